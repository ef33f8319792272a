const MARK = 0xff;
const START = 0xd8;
const END = 0xd9;
const SCAN = 0xda;
/** Tables, restarts, and frames coded the two ways that every program reads. */
const OF_THE_PICTURE = new Set([0xdb, 0xc4, 0xdd, 0xc0, 0xc1, 0xc2]);
const JFIF = 0xe0;
const ADOBE = 0xee;
const PROFILE = 0xe2;
/** A browser writes the profile of its colours, which is as short as this; a camera’s own may be anything. */
const LONGEST_PROFILE = 4_096;

/**
 * The JPEG in `bytes` with nothing beside the picture (ITU-T T.81, B.1 and B.2): no comment, no note of camera, time or
 * place, no small copy, no second picture, and nothing behind its end; how it is turned is lost with that. The colours may
 * be said (ICC.1, B.4). `bytes` themselves where they are bare already; undefined where they are no whole JPEG.
 */
export function bareJpeg(bytes: Uint8Array): Uint8Array | undefined {
  if (bytes[0] !== MARK || bytes[1] !== START) return undefined;
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  for (let at = 2; at < bytes.length;) {
    const mark = bytes[at + 1];
    if (bytes[at] !== MARK || mark === undefined) return undefined;
    if (mark === END) return joined([...kept, bytes.subarray(at, at + 2)], bytes);
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0);
    if (length < 2) return undefined;
    const header = at + 2 + length;
    const after = mark === SCAN ? endOfScan(bytes, header) : header;
    if (mark === SCAN || OF_THE_PICTURE.has(mark) || isPlainHeader(mark, bytes.subarray(at + 4, header)))
      kept.push(bytes.subarray(at, after));
    else if (!isBeside(mark)) return undefined;
    at = after;
  }
  return undefined;
}

/** Whether `bytes` are a JPEG with nothing beside the picture; see {@link bareJpeg}. */
export function isBareJpeg(bytes: Uint8Array): boolean {
  return bareJpeg(bytes) === bytes;
}

/** What stands beside a picture: notes of programs and cameras, and comments. */
function isBeside(mark: number): boolean {
  return (mark >= 0xe0 && mark <= 0xef) || mark === 0xfe;
}

/** A header that says how the picture is to be shown, and carries no small copy of it. */
function isPlainHeader(mark: number, body: Uint8Array): boolean {
  const says = (word: string) => word === String.fromCharCode(...body.subarray(0, word.length));
  if (mark === JFIF) return body.length === 14 && says('JFIF\0') && body[12] === 0 && body[13] === 0;
  if (mark === PROFILE) return says('ICC_PROFILE\0\x01\x01') && isProfile(body.subarray(14));
  return mark === ADOBE && body.length === 12 && says('Adobe');
}

/** A whole colour profile, and not more: it says its own length first, and what it is from its 36th byte on. */
function isProfile(body: Uint8Array): boolean {
  const says = new DataView(body.buffer, body.byteOffset, body.byteLength);
  return (
    body.length >= 128 &&
    body.length <= LONGEST_PROFILE &&
    says.getUint32(0) === body.length &&
    says.getUint32(36) === 0x61637370
  );
}

/** Where the mark stands that ends the coded lines beginning at `from`: padding and restarts are of the lines. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let at = from; at < bytes.length; at += 1) {
    const next = bytes[at + 1] ?? 0;
    if (bytes[at] === MARK && next !== 0 && (next < 0xd0 || next > 0xd7)) return at;
  }
  return bytes.length;
}

function joined(pieces: readonly Uint8Array[], whole: Uint8Array): Uint8Array {
  const length = pieces.reduce((sum, piece) => sum + piece.length, 0);
  if (length === whole.length) return whole;
  const bare = new Uint8Array(length);
  let at = 0;
  for (const piece of pieces) {
    bare.set(piece, at);
    at += piece.length;
  }
  return bare;
}
