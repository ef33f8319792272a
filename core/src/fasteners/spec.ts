import { readThread, type Thread } from './thread.js';

/** What a fastener is, by its shape. */
export const FORMS = ['bolt', 'nut', 'stud', 'screw', 'union', 'clamp', 'clip', 'pin', 'other'] as const;
export type FastenerForm = (typeof FORMS)[number];

/** What turns it. */
export const DRIVES = ['hex', 'socket', 'star', 'multi-tooth', 'slot', 'cross', 'hand'] as const;
export type Drive = (typeof DRIVES)[number];

/** Marks on heads: metric by ISO 898-1, inch by SAE J429. */
export const PROPERTY_CLASSES = ['4.6', '4.8', '5.8', '8.8', '10.9', '12.9', 'grade 2', 'grade 5', 'grade 8'] as const;

/** A fastener as it can be read off the map, and measured off the thing itself. */
export interface FastenerSpec {
  readonly form: FastenerForm;
  readonly thread?: Thread;
  /** Under the head. */
  readonly lengthMm?: number;
  readonly drive?: Drive;
  /** Across the flats; for a star the number of its size. */
  readonly driveSize?: number;
  /** The head has a flange, or a washer that does not come off. */
  readonly flanged?: boolean;
  readonly propertyClass?: string;
  /** What was written and is none of the above, in its own words. */
  readonly also: readonly string[];
}

const FORM_WORDS: readonly (readonly [RegExp, FastenerForm])[] = [
  [/\bclamp nut\b|\bnut\b/, 'nut'],
  [/\bunion\b|\bfitting\b|\bgland\b/, 'union'],
  [/\bstud\b/, 'stud'],
  [/\bsheet screw\b|\bscrew\b/, 'screw'],
  [/\bclamp\b/, 'clamp'],
  [/\bclip\b|\bcatch\b|\bpost\b|\bplug\b/, 'clip'],
  [/\bpin\b/, 'pin'],
  [/\bbolt\b/, 'bolt'],
];

/**
 * Reads what is written of a fastener on the map. The thread comes first, then `× length`, then, after commas, the size
 * across flats and whatever else there is to say. What cannot be read stays in `also`, so that nothing is lost.
 */
export function readFastener(what: string): FastenerSpec {
  const text = what.trim();
  const threaded = readThread(text);
  const sheet = threaded ? undefined : /^(T\d+) sheet screw (\d+(?:\.\d+)?) × (\d+(?:\.\d+)?)/.exec(text);
  let rest = threaded?.rest ?? (sheet ? text.slice(sheet[0].length) : text);
  const long = /^\s*[×x]\s*(\d+(?:\.\d+)?)/.exec(rest);
  if (long) rest = rest.slice(long[0].length);
  const pieces = rest
    .split(',')
    .map((piece) => piece.trim())
    .filter((piece) => piece !== '');
  const turned = drivenBy(pieces, sheet?.[1]);
  const propertyClass = PROPERTY_CLASSES.find((name) =>
    new RegExp(`(^|\\s)${name.replace('.', '\\.')}(\\s|$)`).test(rest),
  );
  const lengthMm = long ? Number(long[1]) : sheet ? Number(sheet[3]) : undefined;
  // A bolt with a nut on it is a bolt: what has a length is called by the shape that has it.
  const named = FORM_WORDS.find(([words]) => words.test(text))?.[1];
  const form: FastenerForm = sheet
    ? 'screw'
    : threaded && lengthMm !== undefined && named !== 'stud' && named !== 'screw'
      ? 'bolt'
      : (named ?? (threaded ? 'bolt' : 'other'));
  return {
    form,
    ...(threaded ? { thread: threaded.thread } : {}),
    ...(lengthMm === undefined ? {} : { lengthMm }),
    ...turned.drive,
    ...(/\bflange\b|captive washer|large-washer/.test(text) ? { flanged: true } : {}),
    ...(propertyClass ? { propertyClass } : {}),
    also: turned.also,
  };
}

function drivenBy(pieces: readonly string[], star: string | undefined) {
  let drive: Pick<FastenerSpec, 'drive' | 'driveSize'> = star
    ? { drive: 'star', driveSize: Number(star.slice(1)) }
    : {};
  const also: string[] = [];
  for (const piece of pieces) {
    const flats = /^(\d+(?:\.\d+)?) mm\b(?! hole)/.exec(piece);
    const starred = /\bT(\d+)\b/.exec(piece);
    if (flats && drive.drive === undefined) drive = { drive: 'hex', driveSize: Number(flats[1]) };
    else if (starred && drive.drive === undefined) drive = { drive: 'star', driveSize: Number(starred[1]) };
    else if (/multi-tooth|\bM\d+ bit\b/.test(piece)) drive = { drive: 'multi-tooth' };
    else if (/\bsocket head\b|\ballen\b/.test(piece)) drive = { drive: 'socket' };
    else if (/\bslotted\b/.test(piece)) drive = { drive: 'slot' };
    else if (/\bwing nut\b|\bknurled\b/.test(piece)) drive = { drive: 'hand' };
    else {
      also.push(piece);
      continue;
    }
    const left = piece.replace(/^(\d+(?:\.\d+)?) mm\b|\bT\d+\b|\bslotted\b|\bmulti-tooth\b/, '').trim();
    if (left !== '') also.push(left);
  }
  return { drive, also };
}

/** A fastener in the words it is written with on the map. */
export function specWords({ form, thread, lengthMm, drive, driveSize, propertyClass, flanged }: FastenerSpec): string {
  const size =
    drive === 'star' && driveSize !== undefined
      ? `T${driveSize}`
      : drive === 'hex' && driveSize !== undefined
        ? `${driveSize} mm${flanged ? ' flange' : ''}`
        : undefined;
  const body = [thread?.name, lengthMm === undefined ? undefined : `× ${lengthMm}`, form === 'bolt' ? undefined : form]
    .filter((word) => word !== undefined)
    .join(' ');
  return [body, size, propertyClass].filter((word) => word !== undefined && word !== '').join(', ');
}
