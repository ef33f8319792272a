import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, get, type IncomingMessage, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import express from 'express';
import { webFiles } from './http/web-files.js';

const CODE = 'export const nothing = 0;\n'.repeat(50);
const folder = mkdtempSync(join(tmpdir(), 'brisk-web-files-'));
let server: Server;

beforeAll(async () => {
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Brisk Ledger</title>');
  for (const name of ['chunk-B-53X4eK.js', 'main-J3NHQCEN.js', 'ngsw-worker.js'])
    writeFileSync(join(folder, name), CODE);
  writeFileSync(join(folder, 'chunk-B-53X4eK.js.gz'), gzipSync(CODE));
  writeFileSync(
    join(folder, 'scripts-ahead.json'),
    JSON.stringify([
      ['/{yard}', ['main-J3NHQCEN.js']],
      ['/jobs/:job/strip', ['main-J3NHQCEN.js', 'chunk-B-53X4eK.js']],
      ['/jobs/:job{/*rest}', ['main-J3NHQCEN.js']],
    ]),
  );
  server = createServer(express().use(webFiles(folder)));
  await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
});
afterAll(() => {
  server.close();
  rmSync(folder, { recursive: true });
});

/** What comes back as it went over the line. */
async function fetched(path: string, encodings = 'gzip, br'): Promise<{ answer: IncomingMessage; body: Buffer }> {
  const { port } = server.address() as AddressInfo;
  const answer = await new Promise<IncomingMessage>((there) =>
    get({ host: '127.0.0.1', port, path, headers: { 'accept-encoding': encodings } }, there),
  );
  const chunks: Buffer[] = [];
  for await (const chunk of answer) chunks.push(chunk as Buffer);
  return { answer, body: Buffer.concat(chunks) };
}

it('sends what was packed at the build, and the file itself to who cannot unpack', async () => {
  const packed = await fetched('/chunk-B-53X4eK.js');
  expect(packed.answer.headers).toMatchObject({ 'content-encoding': 'gzip', vary: 'Accept-Encoding' });
  expect(packed.answer.headers['content-type']).toMatch(/^text\/javascript/);
  expect(gunzipSync(packed.body).toString()).toBe(CODE);
  const plain = await fetched('/chunk-B-53X4eK.js', 'identity');
  expect(plain.answer.headers['content-encoding']).toBeUndefined();
  expect(plain.body.toString()).toBe(CODE);
});

it('lets only what is named by its content be kept for good', async () => {
  const keptFor = async (path: string) => (await fetched(path)).answer.headers['cache-control'];
  expect(await keptFor('/chunk-B-53X4eK.js')).toBe('public, max-age=31536000, immutable');
  expect(await keptFor('/main-J3NHQCEN.js')).toBe('public, max-age=0');
  expect(await keptFor('/ngsw-worker.js')).toBe('public, max-age=0');
  expect(await keptFor('/')).toBe('no-store');
});

it('answers every address of a view with the page, and a file that is not there with nothing', async () => {
  for (const path of ['/', '/yard', '/jobs/1/strip']) {
    const { answer, body } = await fetched(path);
    expect([path, answer.statusCode]).toEqual([path, 200]);
    expect(body.toString()).toContain('<title>Brisk Ledger</title>');
  }
  for (const path of [
    '/chunk-AAAAAAAA.js',
    '/jobs/1/chunk-AAAAAAAA.js',
    '/../package.json',
    '/%2e%2e%2fpackage.json',
    '/api/nothing',
  ])
    expect([path, (await fetched(path)).answer.statusCode]).toEqual([path, 404]);
});

it('names in a page the scripts its view takes in the end', async () => {
  const namedAt = async (path: string) => [
    ...(await fetched(path)).body.toString().matchAll(/<link rel="modulepreload" href="([^"]+)"/g),
  ];
  const filesAt = async (path: string) => (await namedAt(path)).map(([, file]) => file);
  for (const path of ['/', '/yard', '/jobs/1', '/jobs/1/bench/where'])
    expect([path, await filesAt(path)]).toEqual([path, ['/main-J3NHQCEN.js']]);
  expect(await filesAt('/jobs/1/strip')).toEqual(['/main-J3NHQCEN.js', '/chunk-B-53X4eK.js']);
  expect(await filesAt('/people')).toEqual([]);
  expect((await fetched('/jobs/1/strip')).answer.headers['cache-control']).toBe('no-store');
});

it('says what to do where nothing is built', async () => {
  const empty = createServer(express().use(webFiles(join(folder, 'nowhere'))));
  await new Promise<void>((up) => empty.listen(0, '127.0.0.1', up));
  const { port } = empty.address() as AddressInfo;
  expect(await (await fetch(`http://127.0.0.1:${port}/yard`)).text()).toContain('npm run build');
  empty.close();
});
