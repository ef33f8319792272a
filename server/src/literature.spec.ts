import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import type { JobWithLedger } from '@brisk/contracts/job';
import { MOST_LITERATURE, type KeptLiterature } from '@brisk/core/literature';
import sharp from 'sharp';
import { backupsIn } from './backup/backup-folder.js';
import { makeBackup } from './backup/make-backup.js';
import { restore } from './backup/restore.js';
import { openDatabase } from './database/open.js';
import { LiteratureStore } from './literature/literature-store.js';
import { PhotoStore } from './photos/photo-store.js';
import { pdfOf } from './printing/pdf.js';
import { pathOn } from './shelf/shelf-files.js';
import { sweepShelves } from './shelf/sweep.js';
import { entry, TestServer } from './testing/test-server.js';

let server: TestServer;
let pdf: Buffer;
beforeAll(async () => {
  [server, pdf] = await Promise.all([TestServer.start(), pdfPages(3)]);
});
afterAll(() => server.stop());

function pdfPages(pages: number, more: { readonly userPassword?: string } = {}): Promise<Buffer> {
  const content = Array.from({ length: pages }, (_, page) => ({
    text: `Sheet ${page + 1}`,
    ...(page > 0 ? { pageBreak: 'before' as const } : {}),
  }));
  return pdfOf({ content, defaultStyle: { font: 'Barlow' }, ...more });
}

async function post(bytes: Uint8Array, type = 'application/pdf', at = server) {
  const response = await fetch(`${at.address}/api/literature`, {
    method: 'POST',
    headers: { 'content-type': type },
    body: Uint8Array.from(bytes),
  });
  return { status: response.status, body: (await response.json()) as Partial<KeptLiterature> & Refused };
}
interface Refused {
  readonly detail?: string;
  readonly errors?: readonly { readonly words: string }[];
}
const wordsOf = ({ detail, errors = [] }: Refused) => [detail, ...errors.map(({ words }) => words)].join(' ');
const fetched = async (file: string, at = server) => {
  const response = await fetch(`${at.address}/api/literature/${file}`);
  return { response, bytes: Buffer.from(await response.arrayBuffer()) };
};
const added = ({ file = '', type = 'pdf', pages = 1, bytes = 1 }: Partial<KeptLiterature>) =>
  entry({ kind: 'literature-added', file, type, pages, bytes, title: 'Loom notes' });

describe('a file of the literature', () => {
  it('is a PDF kept to the byte, its pages counted; a browser saves it and does not open it', async () => {
    const { status, body } = await post(pdf);
    const file = `${createHash('sha256').update(pdf).digest('hex')}.pdf`;
    expect({ status, body }).toEqual({ status: 201, body: { file, type: 'pdf', pages: 3, bytes: pdf.length } });
    const { response, bytes } = await fetched(file);
    expect(bytes.equals(pdf)).toBe(true);
    expect(response.headers.get('content-type')).toBe('application/pdf');
    expect(response.headers.get('content-disposition')).toBe('attachment');
    expect(response.headers.get('cache-control')).toContain('immutable');
    expect((await post(pdf)).body).toEqual(body);
  });

  it('is a picture, sharp enough for small print, without the place it was taken at', async () => {
    const sheet = await sharp({ create: { width: 7_000, height: 3_500, channels: 3, background: '#eee' } })
      .withExif({ IFD3: { GPSLatitude: '53/1 7/1 30/1', GPSLatitudeRef: 'N' } })
      .png()
      .toBuffer();
    const { body } = await post(sheet, 'image/png');
    expect(body).toMatchObject({ type: 'picture', pages: 1 });
    const { bytes } = await fetched(body.file ?? '');
    expect(await sharp(bytes).metadata()).toMatchObject({ format: 'jpeg', width: 6_000, height: 3_000 });
    expect((await sharp(bytes).metadata()).exif).toBeUndefined();
  });

  it.each([
    ['UTF-8', Buffer.from('Bell bolts: 55 N·m\n'), 'Bell bolts: 55 N·m\n'],
    ['UTF-16', Buffer.from('\ufeffBell bolts: 55 N·m\n', 'utf16le'), 'Bell bolts: 55 N·m\n'],
    ['the letters of an older Windows', Buffer.from('Bell bolts: 55 N\xb7m\n', 'latin1'), 'Bell bolts: 55 N·m\n'],
  ])('is a text in %s, kept in UTF-8', async (_what, sent, kept) => {
    const { body } = await post(sent, 'text/plain');
    expect(body).toMatchObject({ type: 'text', pages: 1 });
    const { response, bytes } = await fetched(body.file ?? '');
    expect(bytes.toString('utf8')).toBe(kept);
    expect(response.headers.get('content-type')).toBe('text/plain; charset=utf-8');
  });

  it.each<readonly [string, () => Uint8Array | Promise<Uint8Array>, string, RegExp]>([
    ['a PDF that is none', () => Buffer.from('Torque table'), 'application/pdf', /calls itself a PDF and is none/],
    ['a PDF that breaks off', () => pdf.subarray(0, pdf.length / 2), 'application/pdf', /breaks off before its end/],
    [
      'a PDF without pages',
      () => Buffer.from('%PDF-1.7\nnothing of the kind\n%%EOF'),
      'application/pdf',
      /damaged: its pages are not found/,
    ],
    ['a PDF that is locked', () => pdfPages(1, { userPassword: 'loom' }), 'application/pdf', /locked with a password/],
    ['a picture that is none', () => Buffer.from('Torque table'), 'image/png', /not a picture/],
    ['a text that is none', () => Buffer.from([65, 0, 66, 200]), 'text/plain', /That is no text/],
    ['a text as long as a book', () => Buffer.alloc(500_001, 'x'), 'text/plain', /save it as a PDF/],
    ['nothing', () => new Uint8Array(), 'application/pdf', /empty/],
    ['something else', () => Buffer.from('<svg/>'), 'application/zip', /PDF, picture or text/],
  ])('is not %s', async (_what, file, type, words) => {
    const before = readdirSync(join(server.folder, 'literature'), { recursive: true }).length;
    const { status, body } = await post(await file(), type);
    expect(status).toBe(422);
    expect(wordsOf(body)).toMatch(words);
    expect(readdirSync(join(server.folder, 'literature'), { recursive: true })).toHaveLength(before);
    expect(readdirSync(join(server.folder, 'incoming'))).toEqual([]);
  });

  it('is not one of 200 MB: it is refused before it is sent whole', async () => {
    const { status, body } = await post(Buffer.alloc(MOST_LITERATURE.fileBytes + 1));
    expect(status).toBe(413);
    expect(body.detail).toMatch(/more than this takes at once. Nothing was written/);
  });

  it('is asked for by its name, and nothing else is', async () => {
    for (const name of [`${'a'.repeat(64)}.pdf`, '..%2Fbrisk-ledger.db', `${'a'.repeat(64)}.exe`])
      expect((await fetched(name)).response.status).toBe(404);
    const job = await server.begin();
    const wrong = await server.append(job, 0, [added({ file: '../../etc/passwd' })]);
    expect(wrong.status).toBe(422);
    expect(wrong.body.errors?.[0]?.words).toMatch(/SHA-256/);
  });
});

it('has beside it what its reader in the browser asks for', async () => {
  for (const [path, type] of [
    ['/pdf/cmaps/78-EUC-H.bcmap', 'application/octet-stream'],
    ['/pdf/fonts/FoxitFixed.pfb', 'application/x-font-type1'],
    ['/pdf/unpack/jbig2.wasm', 'application/wasm'],
  ] as const) {
    const response = await fetch(server.address + path);
    expect([path, response.status, response.headers.get('content-type')]).toEqual([path, 200, type]);
    await response.body?.cancel();
  }
  expect((await fetch(`${server.address}/pdf/unpack/..%2Fpackage.json`)).status).not.toBe(200);
});

describe('what belongs to a job', () => {
  const jobWithBook = async () => {
    const { body } = await post(pdf);
    const job = await server.begin();
    expect((await server.append(job, 0, [added(body)])).status).toBe(200);
    return { job, file: body.file ?? '' };
  };
  const takeIn = async (bytes: Uint8Array, at: TestServer) => {
    const response = await fetch(`${at.address}/api/bundles`, {
      method: 'POST',
      headers: { 'content-type': 'application/zip' },
      body: bytes.slice(),
    });
    return { status: response.status, body: (await response.json()) as Refused };
  };

  it('goes with it in its bundle, and comes in whole elsewhere', async () => {
    const { job, file } = await jobWithBook();
    const bytes = new Uint8Array(await (await fetch(`${server.address}/api/jobs/${job}/bundle.zip`)).arrayBuffer());
    expect(Object.keys(unzipSync(bytes))).toContain(`literature/${file}`);
    const elsewhere = await TestServer.start();
    const other = { ...unzipSync(bytes), [`literature/${file}`]: strToU8('%PDF-1.7 something else %%EOF') };
    expect((await takeIn(zipSync(other), elsewhere)).status).toBe(422);
    const renamed = { ...unzipSync(bytes), [`literature/${'0'.repeat(64)}.pdf`]: new Uint8Array(pdf) };
    const wrong = await takeIn(zipSync(renamed), elsewhere);
    expect(wordsOf(wrong.body)).toMatch(/not the one its name says/);
    expect((await fetched(file, elsewhere)).response.status).toBe(404);
    expect((await takeIn(bytes, elsewhere)).status).toBe(201);
    expect((await fetched(file, elsewhere)).bytes.equals(pdf)).toBe(true);
    expect((await elsewhere.get<JobWithLedger>(`/api/jobs/${job}`)).body.entries).toHaveLength(1);
    await elsewhere.stop();
  });

  it('is in a backup and comes back with it; it goes once nobody names it for a month', async () => {
    const { file } = await jobWithBook();
    const never = (await post(Buffer.from('Nobody’s'), 'text/plain')).body.file ?? '';
    const into = mkdtempSync(join(tmpdir(), 'brisk-books-'));
    const backup = await makeBackup(server.folder, into, new Date('2026-11-27T12:00:00.000Z'));
    expect(backup.literature).toEqual(expect.arrayContaining([file, never]));
    const [found] = await backupsIn(into);
    const target = join(into, 'data');
    await restore(found?.folder ?? '', target, new Date('2026-11-27T12:00:00.000Z'));
    const books = join(target, 'literature');
    expect(existsSync(pathOn(books, file))).toBe(true);

    const database = await openDatabase(target);
    const shelves = { photos: new PhotoStore(join(target, 'photos')), literature: new LiteratureStore(books) };
    const inDays = (days: number) => new Date(Date.now() + days * 86_400_000);
    expect(await sweepShelves(database, shelves, inDays(29))).toBe(0);
    expect(await sweepShelves(database, shelves, inDays(31))).toBeGreaterThan(0);
    await database.close();
    expect([file, never].map((name) => existsSync(pathOn(books, name)))).toEqual([true, false]);
    rmSync(into, { recursive: true, force: true });
  });
});
