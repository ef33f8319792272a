import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { TextEncoder } from 'node:util';
import { deflateSync, gzipSync } from 'node:zlib';
import { zipSync } from 'fflate';
import sharp from 'sharp';
import { randomFrom } from './kills.mjs';
import { startVictim } from './server.mjs';

const AT_ONCE = 8;

/**
 * Asks a server for what makes no sense until `over`: every address of its own OpenAPI document, with bodies, headers and
 * names of the wrong kind, size and packing. Gives back what came of it.
 */
export async function fuzz(over, seed, progress) {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-fuzz-'));
  const random = randomFrom(seed);
  const count = { requests: 0, serverErrors: 0, deaths: 0, longestBlockMs: 0, mostMemoryMb: 0, worst: [] };
  let server = await startVictim(folder, 4382);
  const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });
  try {
    const world = await worldOf(server.address, random);
    server.seen.blockedMs = 0;
    const asker = async () => {
      while (!over(count.requests)) {
        const asked = nonsense(world, random);
        const status = await send(server.address, agent, asked);
        count.requests += 1;
        if (status >= 500 && status !== 503 && status !== 507) {
          count.serverErrors += 1;
          if (count.worst.length < 10)
            count.worst.push(`${status} ${asked.method} ${asked.path.slice(0, 120)} (${asked.what})`);
        }
        if (count.requests % 2_000 === 0) progress(`${count.requests} requests, ${count.serverErrors} of them 5xx`);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, asker));
    const alive = await fetch(`${server.address}/api/health`).catch(() => undefined);
    if (!alive?.ok) count.deaths += 1;
    await new Promise((resolve) => setTimeout(resolve, 1_200));
    count.longestBlockMs = Math.round(server.seen.blockedMs);
    count.mostMemoryMb = Math.round(server.seen.rssMb);
    if (count.serverErrors > 0) progress(server.seen.log.slice(-3_000));
    return count;
  } finally {
    agent.destroy();
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What there is to ask for: the paths of the document, a job with some work, and bodies that would be right. */
async function worldOf(address, random) {
  const json = async (path, init) => (await fetch(address + path, init)).json();
  const post = (path, body) =>
    json(path, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
  const { paths } = await json('/api/openapi.json');
  const job = {
    id: randomUUID(),
    title: 'Fuzz',
    machine: 'Fuzz',
    reason: 'same-back',
    crew: ['Ines'],
    layout: 'utility-belt',
    powerpack: 'engine',
    route: 'top',
  };
  await post('/api/jobs', job);
  const entry = { id: randomUUID(), at: '2026-03-02T07:00:00.000Z', by: 'Ines', kind: 'noted', text: 'Seen' };
  await post(`/api/jobs/${job.id}/ledger`, { expectedPosition: 0, entries: [entry] });
  const bundle = await json(`/api/jobs/${job.id}/bundle`);
  const picture = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#a63' } })
    .jpeg()
    .toBuffer();
  const { photo } = await json('/api/photos', {
    method: 'POST',
    headers: { 'content-type': 'image/jpeg' },
    body: picture,
  });
  const unsealed = { ...bundle, seal: undefined };
  const long = Array.from({ length: 20_000 }, () => ({ ...entry, id: randomUUID() }));
  return {
    routes: Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => ({ path, method })),
    ),
    job: job.id,
    photo,
    rights: [
      job,
      { expectedPosition: 1, entries: [entry] },
      { revision: 1, plan: bundle.job.plan, survey: bundle.job.survey },
      bundle,
      { revision: 0, document: { tools: [{ tool: 'Crane', here: true }] } },
      {
        revision: 0,
        document: { id: 'own', name: 'Own', layout: 'utility-belt', choices: {}, map: bundle.job.plan.map },
      },
      { aside: true },
    ],
    long: JSON.stringify({
      ...unsealed,
      job: { ...bundle.job, id: randomUUID() },
      ledgerLength: long.length,
      ledger: long,
    }),
    picture,
    zip: zipSync({
      'job.brisk.json': new TextEncoder().encode(JSON.stringify(bundle)),
      [`photos/${photo}.jpg`]: picture,
    }),
    noise: Buffer.from(Array.from({ length: 4_000 }, () => Math.floor(random() * 256))),
  };
}

const one = (list, random) => list[Math.floor(random() * list.length)];

const NAMES = [
  '%00',
  '..%2f..%2fetc%2fpasswd',
  '%E0%A4%A',
  'x'.repeat(3_000),
  '0',
  '-1',
  '%F0%9F%94%A7',
  '"><script>',
  'a;drop table job',
  "'or 1=1--",
  '__proto__',
  'constructor',
];
const VALUES = [
  null,
  true,
  -1,
  1e308,
  'x'.repeat(5_000),
  '',
  [],
  {},
  [[]],
  [null],
  '\u0000',
  '\ud800',
  'M8 × 25',
  Number.MAX_SAFE_INTEGER,
  '2026-99-99',
  { __proto__: 1 },
  Array(3_000).fill({}),
  '💥'.repeat(2_000),
];
const QUERIES = [
  '',
  '?after=-1',
  '?after=1e99',
  '?after=0',
  '?of=bag&count=500',
  '?count=40&from=99999',
  '?of=__proto__',
  '?half=back&zone=Europe/Berlin',
  '?half=sideways',
  '?zone=%00',
  `?q=${'a%20'.repeat(300)}`,
  '?q=%22*%22',
  '?q=starter',
  '?numbers=1,2,x',
  '?stock=roll&count=30',
  '?a[b][c]=1',
];

/** A request that makes no sense, or hardly. */
function nonsense(world, random) {
  const route = one(world.routes, random);
  const method =
    random() < 0.85 ? route.method : one(['get', 'post', 'put', 'delete', 'patch', 'options', 'head'], random);
  const named = (name) => {
    if (random() < 0.3) return one(NAMES, random);
    return name === 'job' ? world.job : name === 'photo' ? world.photo : name === 'connection' ? 'mount-left' : 'own';
  };
  const path = route.path.replace(/\{(\w+)\}/g, (_whole, name) => named(name)) + one(QUERIES, random);
  const { what, body, headers } =
    method === 'get' || method === 'head' ? { what: 'nothing', headers: {} } : someBody(world, random);
  return { method: method.toUpperCase(), path, what, body, headers: { ...headers, ...oddHeaders(random) } };
}

function oddHeaders(random) {
  if (random() > 0.2) return {};
  return one(
    [
      { range: 'bytes=99999999-' },
      { range: 'bytes=0-1,2-3,4-5' },
      { 'if-match': '"x"' },
      { 'if-none-match': '*' },
      { 'accept-encoding': 'gzip;q=0, br;q=9' },
      { accept: 'text/klingon' },
      { origin: 'https://elsewhere.example' },
      { 'sec-fetch-site': 'cross-site' },
      { 'x-forwarded-for': '1.2.3.4, 5.6.7.8' },
      { cookie: 'x'.repeat(4_000) },
    ],
    random,
  );
}

function someBody(world, random) {
  const json = { 'content-type': 'application/json' };
  const right = one(world.rights, random);
  const text = () => JSON.stringify(random() < 0.15 ? right : spoiled(right, random));
  return one(
    [
      () => ({ what: 'spoiled', body: text(), headers: json }),
      () => ({ what: 'spoiled', body: text(), headers: json }),
      () => ({ what: 'spoiled', body: text(), headers: json }),
      () => ({ what: 'cut off', body: text().slice(0, Math.floor(random() * 400)), headers: json }),
      () => ({ what: 'noise', body: world.noise, headers: json }),
      () => ({ what: 'deep', body: '['.repeat(200_000), headers: json }),
      () => ({ what: 'deep and closed', body: '['.repeat(100_000) + ']'.repeat(100_000), headers: json }),
      () => ({ what: 'many', body: `[${'{},'.repeat(30_000)}{}]`, headers: json }),
      () => ({
        what: 'many entries',
        body: `{"expectedPosition":1,"entries":[${'{},'.repeat(30_000)}{}]}`,
        headers: json,
      }),
      () => ({ what: 'packed', body: gzipSync(text()), headers: { ...json, 'content-encoding': 'gzip' } }),
      () => ({ what: 'packed bomb', body: BOMB, headers: { ...json, 'content-encoding': 'gzip' } }),
      () => ({ what: 'packed wrongly', body: deflateSync(text()), headers: { ...json, 'content-encoding': 'gzip' } }),
      () => ({ what: 'other letters', body: text(), headers: { 'content-type': 'application/json; charset=utf-16' } }),
      () => ({ what: 'a picture', body: world.picture, headers: { 'content-type': 'image/jpeg' } }),
      () => ({
        what: 'half a picture',
        body: world.picture.subarray(0, 700),
        headers: { 'content-type': 'image/png' },
      }),
      () => ({
        what: 'an SVG',
        body: '<svg xmlns="http://www.w3.org/2000/svg"/>',
        headers: { 'content-type': 'image/svg+xml' },
      }),
      () => ({ what: 'a bundle with photos', body: world.zip, headers: { 'content-type': 'application/zip' } }),
      () => ({
        what: 'half a ZIP',
        body: world.zip.subarray(0, 3_000),
        headers: { 'content-type': 'application/zip' },
      }),
      () => ({ what: 'a ZIP bomb', body: ZIP_BOMB, headers: { 'content-type': 'application/zip' } }),
      () => (random() < 0.1 ? { what: 'long', body: world.long, headers: json } : { what: 'nothing', headers: json }),
      () => ({ what: 'nothing', headers: {} }),
      () => ({ what: 'a form', body: 'a=1&b=2', headers: { 'content-type': 'application/x-www-form-urlencoded' } }),
    ],
    random,
  )();
}

const BOMB = gzipSync(Buffer.alloc(30_000_000, 32));
const ZIP_BOMB = zipSync({ 'job.brisk.json': new Uint8Array(200_000_000) });

/** `value` with one thing in it made into something else. */
function spoiled(value, random) {
  if (typeof value !== 'object' || value === null || random() < 0.1) return one(VALUES, random);
  const copy = Array.isArray(value) ? [...value] : { ...value };
  const keys = Object.keys(copy);
  if (keys.length === 0 || random() < 0.05) return one(VALUES, random);
  const key = one(keys, random);
  const roll = random();
  if (roll < 0.1) delete copy[key];
  else if (roll < 0.15) copy[`${key}x`] = copy[key];
  else copy[key] = spoiled(copy[key], random);
  return copy;
}

function send(address, agent, { method, path, body, headers }) {
  return new Promise((resolve) => {
    let asked;
    try {
      asked = request(address + path, { method, agent, headers }, (answer) => {
        answer.resume();
        answer.on('end', () => resolve(answer.statusCode ?? 0));
        answer.on('error', () => resolve(0));
      });
    } catch {
      resolve(0);
      return;
    }
    asked.on('error', () => resolve(0));
    asked.end(body);
  });
}
