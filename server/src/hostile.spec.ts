import { mkdtempSync, rmSync } from 'node:fs';
import { once } from 'node:events';
import { request as httpRequest } from 'node:http';
import { connect } from 'node:net';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Bundle } from '@brisk/contracts/bundle';
import type { JobWithLedger } from '@brisk/contracts/job';
import type { Problem } from '@brisk/contracts/problem';
import { pino } from 'pino';
import { PRINTS_A_MINUTE } from './http/limits.js';
import { serve } from './serve.js';
import { entry, newJob, TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

/** Asks with headers that a browser would not send, and tells the status and what the answer says. */
function ask(path: string, headers: Record<string, string>, method = 'GET', body?: Buffer | string) {
  return new Promise<{ readonly status: number; readonly text: string }>((resolve, reject) => {
    const asked = httpRequest(server.address + path, { method, headers }, (answer) => {
      let text = '';
      answer.setEncoding('utf8');
      answer.on('data', (part: string) => (text += part));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }));
    });
    asked.on('error', reject);
    asked.end(body);
  });
}
const json = { 'content-type': 'application/json' };

describe('what is wrong with a request is told as such', () => {
  it.each<readonly [string, string, Record<string, string>, string, Buffer | string]>([
    ['a body that only says it is compressed', '/api/jobs', { ...json, 'content-encoding': 'gzip' }, 'POST', 'no gzip'],
    [
      'a compressed body that breaks off',
      '/api/jobs',
      { ...json, 'content-encoding': 'gzip' },
      'POST',
      gzipSync('{"a":1}').subarray(0, 12),
    ],
    [
      'a small body that unpacks to a large one',
      '/api/jobs',
      { ...json, 'content-encoding': 'gzip' },
      'POST',
      gzipSync(Buffer.alloc(30_000_000, 32)),
    ],
    [
      'a body in letters nobody has',
      '/api/jobs',
      { 'content-type': 'application/json; charset=klingon' },
      'POST',
      '{}',
    ],
    ['nothing', '/api/jobs', json, 'POST', ''],
    ['a list ten thousand deep', '/api/jobs', json, 'POST', '['.repeat(10_000) + ']'.repeat(10_000)],
    ['a step back out of the folder', '/..%2f..%2fetc/passwd', {}, 'GET', ''],
    ['an address that ends in nothing', '/%00', {}, 'GET', ''],
    ['a picture called nothing', '/api/photos/%00', {}, 'GET', ''],
    ['an address that is no address', '/api/jobs/%E0%A4%A', {}, 'GET', ''],
    ...['jobs/%00', 'jobs/%00/run-sheet.pdf', 'jobs/%00/bolt-cards/x', 'jobs-by-code/%00', 'templates/%00'].map(
      (path) => [`${path}: called nothing`, `/api/${path}`, {}, 'GET', ''] as const,
    ),
    ['a question with nothing in it', '/api/find?q=%00%00', {}, 'GET', ''],
    ['a label for nothing', '/api/jobs/%00/labels/roll.pdf?count=2', {}, 'GET', ''],
    ['a range that is none', '/api/openapi.json', { range: 'bytes=99999999-' }, 'GET', ''],
  ])('%s', async (_what, path, headers, method, body) => {
    const { status, text } = await ask(path, headers, method, body);
    expect(status).toBeLessThan(500);
    expect(text).not.toMatch(/Error:|at \w+ \(|node_modules|SQLITE|ENOENT/);
  });

  it.each([
    ['no request at all', 'GARBAGE\r\n\r\n', /cannot be read/],
    ['a head without end', `GET / HTTP/1.1\r\nHost: localhost\r\nX: ${'a'.repeat(40_000)}\r\n\r\n`, /longer than/],
    ['a tea', 'POST /api/jobs HTTP/1.1\r\nHost: localhost\r\nExpect: tea\r\nContent-Length: 2\r\n\r\n{}', /expects/],
  ])('%s is answered as every problem is', async (_what, sent, words) => {
    const socket = connect(Number(new URL(server.address).port), '127.0.0.1');
    let answer = '';
    socket.setEncoding('utf8').on('data', (part: string) => (answer += part));
    socket.write(sent);
    await once(socket, 'close');
    expect(answer).toMatch(/^HTTP\/1.1 400 Bad Request\r\n/);
    expect(answer).toContain('application/problem+json');
    expect((JSON.parse(/\{.*\}/.exec(answer)?.[0] ?? '{}') as Problem).detail).toMatch(words);
  });

  it('nothing in a text is nothing to be kept', async () => {
    for (const title of ['a\0b', '\0', 'x\u0000'.repeat(20)]) {
      const { status, body } = await server.post('/api/jobs', newJob({ title }));
      expect([status, body.detail]).toEqual([
        422,
        expect.stringMatching(/Title holds a sign that cannot be written/) as unknown,
      ]);
    }
    const job = await server.begin();
    const spoiled = await server.append(job, 0, [entry({ kind: 'noted', text: 'a\0b' })]);
    expect(spoiled.status).toBe(422);
  });

  it('another site has nothing drawn or printed here, be it as a picture', async () => {
    for (const from of ['cross-site', 'same-site'])
      for (const path of ['/api/labels/roll.pdf?count=500', '/API/labels/roll.pdf', '/api/jobs', '/api/health'])
        expect((await server.get(path, { 'sec-fetch-site': from })).status).toBe(403);
    for (const from of ['same-origin', 'none'])
      expect((await server.get('/api/health', { 'sec-fetch-site': from })).status).toBe(200);
    expect((await server.get('/yard', { 'sec-fetch-site': 'cross-site' })).status).toBe(200);
  });

  it('nobody has something printed without end', async () => {
    const asked = Array.from({ length: PRINTS_A_MINUTE + 5 }, () => server.get('/api/labels/roll.pdf?count=0'));
    const statuses = (await Promise.all(asked)).map(({ status }) => status);
    expect(statuses.filter((status) => status === 429)).toHaveLength(5);
    const again = await server.get<Problem>('/api/labels/roll.pdf?count=1');
    expect([again.status, again.headers.get('retry-after'), again.body.detail]).toEqual([
      429,
      '60',
      expect.stringMatching(/more than it may in a minute/),
    ]);
  });

  it('what is not there is named in a line and no more, by its whole address', async () => {
    const { body } = await server.get<Problem>(`/api/nowhere/${'x'.repeat(4_000)}?${'y'.repeat(4_000)}`);
    expect(body.detail).toMatch(/^There is nothing at \/api\/nowhere\/x+…\.$/);
    expect(body.detail.length).toBeLessThan(120);
  });

  it('an id in capitals is no second name, and no template takes the place of the shop’s tools', async () => {
    const job = newJob();
    expect((await server.post('/api/jobs', { ...job, id: job.id.toUpperCase() })).status).toBe(422);
    const tools = { revision: 0, document: { tools: [{ tool: 'Engine crane', here: true }] } };
    expect((await server.put('/api/tools', tools)).status).toBe(200);
    const id = await server.begin();
    const { map } = (await server.get<JobWithLedger>(`/api/jobs/${id}`)).body.job.plan;
    const template = { id: 'tools', name: 'Ours', layout: map.layout, choices: {}, map };
    const answer = await server.put('/api/templates/tools', { revision: 1, document: template });
    expect([answer.status, answer.body.detail]).toEqual([409, expect.stringMatching(/belongs to something else/)]);
    expect((await server.get('/api/tools')).body).toMatchObject({ document: tools.document });
  });

  it('a job that is begun once more is still that job, after its plan has gone on', async () => {
    const begun = newJob();
    expect((await server.post('/api/jobs', begun)).status).toBe(201);
    const { plan } = (await server.get<JobWithLedger>(`/api/jobs/${begun.id}`)).body.job;
    expect((await server.put(`/api/jobs/${begun.id}/planning`, { revision: 1, plan })).status).toBe(200);
    expect((await server.post('/api/jobs', begun)).status).toBe(201);
    expect((await server.post('/api/jobs', { ...begun, title: 'Another' })).status).toBe(409);
  });

  it('wrong items are counted, not all told, and quickly', async () => {
    const began = performance.now();
    const { status, body } = await server.post('/api/jobs', newJob({ unsure: Array(100_000).fill({}) as never }));
    expect(status).toBe(422);
    expect(body.errors?.length).toBeLessThanOrEqual(20);
    expect(performance.now() - began).toBeLessThan(2_000);
  });

  it.each([null, 7, {}, [null], [[]], ['x'.repeat(500)], Array(5_000).fill('spanner')])(
    'no tools are %j',
    async (tools) => {
      const job = await server.begin();
      const { plan, revision = 1 } = (await server.get<JobWithLedger>(`/api/jobs/${job}`)).body.job;
      const [first, ...others] = plan.map.connections;
      const map = { ...plan.map, connections: [{ ...first, tools }, ...others] };
      const answer = await server.put(`/api/jobs/${job}/planning`, { revision, plan: { ...plan, map } });
      expect(answer.status).toBe(422);
      const bundle = (await server.get<Bundle>(`/api/jobs/${job}/bundle`)).body;
      const spoiled = { ...bundle, job: { ...bundle.job, plan: { ...plan, map } } };
      expect((await server.post('/api/bundles', spoiled)).status).toBe(422);
      expect((await server.put('/api/tools', { revision: 0, document: { tools } })).status).toBe(422);
    },
  );
});

describe('a disk that is as good as full', () => {
  it('is told of, and what is kept is read all the same', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'brisk-full-'));
    const settings = { host: '127.0.0.1', port: 0, dataFolder: folder, logLevel: 'silent' };
    const open = await serve(settings, '/nowhere', pino({ level: 'silent' }), { room: () => Promise.resolve(1_000) });
    try {
      const health = await fetch(`${open.address}/api/health`);
      expect([health.status, ((await health.json()) as Problem).type]).toEqual([507, 'urn:brisk-ledger:no-room']);
      expect((await fetch(`${open.address}/api/jobs`)).status).toBe(200);
    } finally {
      await open.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe('a server on the network', () => {
  it('answers to its addresses and names, and to none that somebody made to point to it', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'brisk-names-'));
    const settings = { host: '0.0.0.0', port: 0, dataFolder: folder, logLevel: 'silent', names: ['shed.local'] };
    const open = await serve(settings, '/nowhere', pino({ level: 'silent' }));
    const port = new URL(open.address).port;
    const status = (host: string) =>
      new Promise<number>((resolve, reject) => {
        httpRequest({ host: '127.0.0.1', port, path: '/api/health', headers: { host } }, (answer) => {
          answer.resume();
          resolve(answer.statusCode ?? 0);
        })
          .on('error', reject)
          .end();
      });
    try {
      for (const ours of ['127.0.0.1', `192.168.1.20:${port}`, 'localhost', '[fe80::1]:80', 'Shed.local', hostname()])
        expect([ours, await status(ours)]).toEqual([ours, 200]);
      for (const theirs of ['evil.example', 'shed.local.evil.example', '127.0.0.1.evil.example'])
        expect([theirs, await status(theirs)]).toEqual([theirs, 403]);
    } finally {
      await open.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});
