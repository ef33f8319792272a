import { createHash } from 'node:crypto';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { ProblemError } from './http/problem.js';
import { openDatabase } from './database/open.js';
import { bareJpeg, isBareJpeg } from '@brisk/core/photos';
import { photoFile } from './photos/photo-file.js';
import { pathOn } from './shelf/shelf-files.js';
import { PhotoStore } from './photos/photo-store.js';
import { LiteratureStore } from './literature/literature-store.js';
import { sweepShelves } from './shelf/sweep.js';
import { entry, TestServer } from './testing/test-server.js';

const painted = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#a06030' } });
const jpeg = (width = 64, height = 48) => painted(width, height).jpeg().toBuffer();

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

async function post(body: Buffer | string, type = 'image/jpeg') {
  const bytes = typeof body === 'string' ? body : new Uint8Array(body);
  const response = await fetch(`${server.address}/api/photos`, {
    method: 'POST',
    headers: { 'content-type': type },
    body: bytes,
  });
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
}
const fetched = async (path: string) => {
  const response = await fetch(server.address + path);
  return { response, bytes: Buffer.from(await response.arrayBuffer()) };
};

describe('taking a picture in', () => {
  it('keeps one that is tidy already to the byte, under the hash of its contents', async () => {
    const file = await jpeg();
    const { status, body } = await post(file);
    const photo = createHash('sha256').update(file).digest('hex');
    expect({ status, body }).toEqual({ status: 201, body: { photo, widthPx: 64, heightPx: 48, bytes: file.length } });
    const { response, bytes } = await fetched(`/api/photos/${photo}`);
    expect(response.headers.get('content-type')).toBe('image/jpeg');
    expect(response.headers.get('cache-control')).toContain('immutable');
    expect(bytes.equals(file)).toBe(true);
    expect((await post(file)).body).toEqual(body);
  });

  it('turns it upright, makes it smaller, and leaves out where it was taken', async () => {
    const file = await painted(4_000, 3_000)
      .withExif({ IFD0: { Make: 'Shed camera' }, IFD3: { GPSLatitude: '53/1 7/1 30/1', GPSLatitudeRef: 'N' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(file).metadata()).exif).toBeDefined();
    const { body } = await post(file);
    expect(body).toMatchObject({ widthPx: 1_920, heightPx: 2_560 });
    const { bytes } = await fetched(`/api/photos/${String(body['photo'])}`);
    const kept = await sharp(bytes).metadata();
    expect(kept).toMatchObject({ width: 1_920, height: 2_560, format: 'jpeg' });
    expect(kept.exif).toBeUndefined();
    expect(kept.orientation).toBeUndefined();
  });

  it('takes PNG and WebP as well, and makes a small copy of each', async () => {
    for (const file of [await painted(800, 600).png().toBuffer(), await painted(800, 601).webp().toBuffer()]) {
      const { status, body } = await post(file, 'application/octet-stream');
      expect(status).toBe(201);
      const { bytes } = await fetched(`/api/photos/${String(body['photo'])}/small`);
      expect((await sharp(bytes).metadata()).width).toBe(360);
    }
  });

  it.each([
    ['a text that says it is a picture', Buffer.from('M8 by 25, I think'), 'image/jpeg'],
    ['nothing', Buffer.alloc(0), 'image/jpeg'],
    ['a drawing with a program in it', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), 'image/svg+xml'],
    ['something that is no picture', Buffer.from('%PDF-1.7'), 'application/pdf'],
  ])('refuses %s', async (_what, file, type) => {
    const { status, body } = await post(file, type);
    expect(status).toBe(422);
    expect(body['detail']).toMatch(/picture|empty/);
  });

  it('refuses one that was cut short, and keeps nothing of it', async () => {
    const whole = await sharp({
      create: {
        width: 900,
        height: 700,
        channels: 3,
        noise: { type: 'gaussian', mean: 120, sigma: 40 },
        background: '#000',
      },
    })
      .jpeg()
      .toBuffer();
    const before = readdirSync(join(server.folder, 'photos'), { recursive: true }).length;
    const { status, body } = await post(whole.subarray(0, whole.length / 2));
    expect(status).toBe(422);
    expect(body['detail']).toMatch(/cut short on the way. Nothing was kept/);
    expect(readdirSync(join(server.folder, 'photos'), { recursive: true })).toHaveLength(before);
  });

  it('says so when the disk is full, and leaves no half of a file', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'brisk-full-'));
    const full = new PhotoStore(folder, () =>
      Promise.reject(Object.assign(new Error('no space left on device'), { code: 'ENOSPC' })),
    );
    const refusal = await full.keep(await jpeg(10, 10)).catch((error: unknown) => error);
    expect(refusal).toBeInstanceOf(ProblemError);
    expect(refusal).toMatchObject({ kind: 'no-room' });
    expect((refusal as ProblemError).message).toMatch(/stays on your device/);
    expect(readdirSync(folder)).toEqual([]);
    rmSync(folder, { recursive: true });
  });

  it('hands out nothing but pictures', async () => {
    for (const name of ['a'.repeat(64), '..%2Fbrisk-ledger.db', 'x'])
      expect((await fetched(`/api/photos/${name}`)).response.status).toBe(404);
  });

  it('is written into the ledger by its hash, and only by a hash', async () => {
    const job = await server.begin();
    const taken = { kind: 'photo-taken', widthPx: 64, heightPx: 48, pinnedTo: { operation: 'open:battery-negative' } };
    const photo = createHash('sha256')
      .update(await jpeg())
      .digest('hex');
    expect((await server.append(job, 0, [entry({ ...taken, photo } as never)])).status).toBe(200);
    const wrong = await server.append(job, 1, [entry({ ...taken, photo: '../../etc/passwd' } as never)]);
    expect(wrong.status).toBe(422);
    expect(wrong.body.errors?.[0]?.words).toMatch(/SHA-256/);
  });
});

describe('what is kept of a picture', () => {
  const comment = Buffer.concat([Buffer.from([0xff, 0xfe, 0, 12]), Buffer.from('53.1 N 7.1')]);
  const secondPicture = Buffer.concat([Buffer.from([0xff, 0xe2, 0, 10]), Buffer.from('MPF\0MM\0*')]);
  const smallCopy = Buffer.from([0xff, 0xe0, 0, 19, ...Buffer.from('JFIF\0'), 1, 2, 0, 0, 1, 0, 1, 1, 1, 9, 9, 9]);
  const afterStart = (file: Buffer, segment: Buffer) => Buffer.concat([file.subarray(0, 2), segment, file.subarray(2)]);

  it.each<readonly [string, (file: Buffer, other: Buffer) => Buffer]>([
    ['a comment', (file) => afterStart(file, comment)],
    ['the note that there are more pictures', (file) => afterStart(file, secondPicture)],
    ['a small copy in its header', (file) => afterStart(file, smallCopy)],
    ['a second picture behind it', (file, other) => Buffer.concat([file, other])],
    ['a file behind it', (file) => Buffer.concat([file, Buffer.from('PK place 53.1 N 7.1')])],
    ['a comment between its lines', (file) => Buffer.concat([file.subarray(0, -2), comment, file.subarray(-2)])],
  ])('is the picture, without %s', async (_what, spoil) => {
    const spoiled = spoil(await jpeg(), await jpeg(20, 20));
    expect(isBareJpeg(spoiled)).toBe(false);
    // A device cuts away what stands beside it without coding the picture anew.
    expect(Buffer.from(bareJpeg(spoiled) ?? []).equals(await jpeg())).toBe(true);
    const { body } = await post(spoiled);
    const { bytes } = await fetched(`/api/photos/${String(body['photo'])}`);
    expect(isBareJpeg(bytes)).toBe(true);
    expect(bytes.includes('53.1 N')).toBe(false);
    expect(await sharp(bytes).metadata()).toMatchObject({ width: 64, height: 48 });
  });

  it('is what it was, with the colours a browser says of it, and without those a camera might', async () => {
    const profile = Buffer.alloc(400);
    profile.writeUInt32BE(400, 0);
    profile.write('acsp', 36, 'latin1');
    const said = (body: Buffer) => {
      const words = Buffer.concat([Buffer.from('ICC_PROFILE\0\x01\x01', 'latin1'), body]);
      return Buffer.concat([Buffer.from([0xff, 0xe2, (words.length + 2) >> 8, (words.length + 2) & 255]), words]);
    };
    const file = await jpeg();
    expect(isBareJpeg(afterStart(file, said(profile)))).toBe(true);
    for (const other of [Buffer.concat([profile, Buffer.from('53.1 N')]), profile.subarray(0, 100), Buffer.alloc(400)])
      expect(isBareJpeg(afterStart(file, said(other)))).toBe(false);
  });

  it('is what it was, however a picture of our own is coded', async () => {
    for (const options of [{ progressive: true }, { mozjpeg: true }, { chromaSubsampling: '4:4:4' }, { quality: 100 }])
      expect([options, isBareJpeg(await painted(300, 200).jpeg(options).toBuffer())]).toEqual([options, true]);
    for (const none of [Buffer.from(''), Buffer.from([0xff, 0xd8]), await painted(9, 9).png().toBuffer()])
      expect(isBareJpeg(none)).toBe(false);
  });

  it('is put right by whoever sends it again, once it got damaged', async () => {
    const file = await jpeg(80, 60);
    const { body } = await post(file);
    const photo = String(body['photo']);
    const path = pathOn(join(server.folder, 'photos'), photoFile(photo));
    writeFileSync(path, file.subarray(0, 40));
    await post(file);
    expect(readFileSync(path).equals(file)).toBe(true);
  });
});

describe('sweeping', () => {
  it('removes what nobody names any more after a month, and nothing else', async () => {
    const shop = await TestServer.start();
    const store = new PhotoStore(join(shop.folder, 'photos'));
    const shelves = { photos: store, literature: new LiteratureStore(join(shop.folder, 'literature')) };
    const keep = async (width: number) => (await store.keep(await jpeg(width, 50))).photo;
    const [named, takenBack, never] = [await keep(90), await keep(91), await keep(92)];
    const job = await shop.begin();
    const taken = (photo: string) => entry({ kind: 'photo-taken', photo, widthPx: 90, heightPx: 50, pinnedTo: {} });
    const wrong = taken(takenBack);
    const back = entry({ kind: 'corrected', corrects: wrong.id, reason: 'Blurred' });
    expect((await shop.append(job, 0, [taken(named), wrong, back])).status).toBe(200);
    await shop.pause();
    const database = await openDatabase(shop.folder);
    const inDays = (days: number) => new Date(Date.now() + days * 86_400_000);
    expect(await sweepShelves(database, shelves, inDays(29))).toBe(0);
    expect(await sweepShelves(database, shelves, inDays(31))).toBe(2);
    const left = await store.shelf.all();
    await database.close();
    expect([named, takenBack, never].map((photo) => left.has(photoFile(photo)))).toEqual([true, false, false]);
    rmSync(shop.folder, { recursive: true, force: true });
  });
});
