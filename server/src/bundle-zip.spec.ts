import { createHash } from 'node:crypto';
import { strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import type { JobWithLedger } from '@brisk/contracts/job';
import { entry, TestServer } from './testing/test-server.js';

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
      () => zipSync({ 'job.brisk.json': new Uint8Array(30_000_000) }),
      413,
      /more in that file than this takes/,
    ],
    [
      'with pictures of nothing that fill the memory',
      (whole: Uint8Array) =>
        zipSync({
          ...unzipSync(whole),
          ...Object.fromEntries(
            Array.from({ length: 40 }, (_, index) => [
              `photos/${String(index).padStart(64, '0')}.jpg`,
              new Uint8Array(2_000_000),
            ]),
          ),
        }),
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
});
