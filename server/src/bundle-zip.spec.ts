import { createHash } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Bundle } from '@brisk/contracts/bundle';
import sharp from 'sharp';
import type { JobWithLedger } from '@brisk/contracts/job';
import { entry, TestServer, toldAnew } from './testing/test-server.js';

const handedOver = entry({ kind: 'handed-over', openItems: 0 });

let server: TestServer;
let elsewhere: TestServer;
beforeAll(async () => {
  [server, elsewhere] = await Promise.all([TestServer.start(), TestServer.start()]);
});
afterAll(() => Promise.all([server.stop(), elsewhere.stop()]));

const picture = () =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: '#446' } })
    .jpeg()
    .toBuffer();
const zipOf = async (job: string) =>
  new Uint8Array(await (await fetch(`${server.address}/api/jobs/${job}/bundle.zip`)).arrayBuffer());
async function takeIn(bytes: Uint8Array, at = elsewhere) {
  const response = await fetch(`${at.address}/api/bundles`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: bytes.slice(),
  });
  return { status: response.status, body: (await response.json()) as { detail?: string; written?: number } };
}

/** A job with one photo of its own, and one whose picture never came. */
async function jobWithPhotos() {
  const job = await server.begin();
  const file = await picture();
  await fetch(`${server.address}/api/photos`, {
    method: 'POST',
    headers: { 'content-type': 'image/jpeg' },
    body: new Uint8Array(file),
  });
  const photo = createHash('sha256').update(file).digest('hex');
  const taken = { kind: 'photo-taken', widthPx: 40, heightPx: 30, pinnedTo: {} } as const;
  await server.append(job, 0, [entry({ ...taken, photo }), entry({ ...taken, photo: '0'.repeat(64) })]);
  return { job, photo, file };
}

describe('a bundle with its photos', () => {
  it('goes out as one file and comes in whole elsewhere', async () => {
    const { job, photo, file } = await jobWithPhotos();
    const bytes = await zipOf(job);
    expect(Object.keys(unzipSync(bytes)).sort()).toEqual(['job.brisk.json', `photos/${photo}.jpg`]);
    expect(await takeIn(bytes)).toMatchObject({ status: 201, body: { written: 2 } });
    const there = await elsewhere.get<JobWithLedger>(`/api/jobs/${job}`);
    expect(there.body.entries).toHaveLength(2);
    const kept = await fetch(`${elsewhere.address}/api/photos/${photo}`);
    expect(Buffer.from(await kept.arrayBuffer()).equals(file)).toBe(true);
    expect((await takeIn(bytes)).body.written).toBe(0);
  });

  it.each([
    ['cut short', (bytes: Uint8Array) => bytes.slice(0, bytes.length / 2), 422, /breaks off/],
    ['no ZIP at all', () => strToU8('M8 by 25'), 422, /breaks off or is not a job bundle/],
    ['without a bundle in it', () => zipSync({ 'readme.txt': strToU8('hello') }), 422, /no job.brisk.json/],
    ['with half a bundle', () => zipSync({ 'job.brisk.json': strToU8('{"format":') }), 400, /breaks off/],
    [
      'with a bundle of somebody else',
      () => zipSync({ 'job.brisk.json': strToU8('{}') }),
      422,
      /not a job bundle of ours/,
    ],
    [
      'with more than it says it holds',
      () => zipSync({ 'job.brisk.json': new Uint8Array(25_000_000) }, { level: 1 }),
      413,
      /more in that file than this takes/,
    ],
    [
      'with a picture of nothing that fills the memory',
      (whole: Uint8Array) =>
        zipSync({ ...unzipSync(whole), [`photos/${'0'.repeat(64)}.jpg`]: new Uint8Array(2_000_000) }, { level: 1 }),
      413,
      /more in that file than this takes/,
    ],
  ] as const)('%s is refused, and nothing is taken in', async (_how, spoil, status, words) => {
    const { job } = await jobWithPhotos();
    const answer = await takeIn(spoil(await zipOf(job)));
    expect(answer.status).toBe(status);
    expect(answer.body.detail).toMatch(words);
    expect((await elsewhere.get(`/api/jobs/${job}`)).status).toBe(404);
  });

  it('does not take one picture under the name of another', async () => {
    const { job } = await jobWithPhotos();
    const files = unzipSync(await zipOf(job));
    const forged = zipSync({
      'job.brisk.json': files['job.brisk.json'] ?? strToU8(''),
      [`photos/${'a'.repeat(64)}.jpg`]: await picture(),
    });
    const { status, body } = await takeIn(forged);
    expect(status).toBe(422);
    expect(body.detail).toMatch(/not the one its name says/);
  });

  it('leaves no picture of a bundle that is refused', async () => {
    const { job } = await jobWithPhotos();
    const file = await sharp({ create: { width: 41, height: 31, channels: 3, background: '#123' } })
      .jpeg()
      .toBuffer();
    const photo = createHash('sha256').update(file).digest('hex');
    const files = unzipSync(await zipOf(job));
    const bundle = JSON.parse(strFromU8(files['job.brisk.json'] ?? new Uint8Array())) as Bundle;
    const outOfOrder = toldAnew(bundle, [...bundle.ledger.slice(0, 1), handedOver]);
    const refused = await takeIn(
      zipSync({ 'job.brisk.json': strToU8(JSON.stringify(outOfOrder)), [`photos/${photo}.jpg`]: file }),
    );
    expect(refused.status).toBe(422);
    expect(refused.body.detail).toMatch(/does not follow/);
    expect((await fetch(`${elsewhere.address}/api/photos/${photo}`)).status).toBe(404);
    expect(readdirSync(join(elsewhere.folder, 'incoming'))).toEqual([]);
  });

  it('is not taken in packed once more, nor where it breaks off on the way, and leaves nothing lying about', async () => {
    const { job } = await jobWithPhotos();
    const zip = await zipOf(job);
    const ask = (headers: Record<string, string | number>, body: Uint8Array, breakOff: boolean) =>
      new Promise<number>((resolve) => {
        const asked = request(
          `${elsewhere.address}/api/bundles`,
          { method: 'POST', headers: { 'content-type': 'application/zip', ...headers } },
          (answer) => {
            answer.resume();
            resolve(answer.statusCode ?? 0);
          },
        );
        asked.on('error', () => resolve(0));
        asked.write(body);
        if (breakOff) setTimeout(() => asked.destroy(), 100);
        else asked.end();
      });
    expect(await ask({ 'content-encoding': 'gzip' }, gzipSync(zip), false)).toBe(400);
    expect(await ask({ 'content-length': 500_000_000 }, zip, false)).toBe(413);
    expect(await ask({ 'content-length': zip.length + 10 }, zip, true)).toBe(0);
    await new Promise((resolve) => setTimeout(resolve, 200));
    expect(readdirSync(join(elsewhere.folder, 'incoming'))).toEqual([]);
    expect((await elsewhere.get(`/api/jobs/${job}`)).status).toBe(404);
  });

  it('does not read two files out of the same bytes', async () => {
    const { job } = await jobWithPhotos();
    const zip = Buffer.from(zipSync(unzipSync(await zipOf(job))));
    // Every entry of the directory at the end is made to begin where the first one does.
    for (let at = zip.indexOf('PK\x01\x02', 0, 'latin1'); at >= 0; at = zip.indexOf('PK\x01\x02', at + 4, 'latin1'))
      zip.writeUInt32LE(0, at + 42);
    const { status, body } = await takeIn(zip);
    expect(status).toBe(422);
    expect(body.detail).toMatch(/not a job bundle/);
  });

  it('is refused where its ledger is not the one it was sealed with', async () => {
    const { job } = await jobWithPhotos();
    const bundle = (await server.get<Bundle>(`/api/jobs/${job}/bundle`)).body;
    const meddled = { ...bundle, ledger: bundle.ledger.map((one) => ({ ...one, by: 'Somebody else' })) };
    const { status, body } = await elsewhere.post('/api/bundles', meddled);
    expect([status, body.detail]).toEqual([422, expect.stringMatching(/not the one it was sealed with/)]);
    expect((await elsewhere.post('/api/bundles', bundle)).status).toBe(201);
  });
});
