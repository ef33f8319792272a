import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import sharp from 'sharp';
import { startVictim } from './server.mjs';

/** Longest that a server is let work before it is killed. */
const LONGEST_MS = 450;

/**
 * Kills a server in the midst of every kind of writing until `over`, and looks after each kill whether all that was
 * acknowledged is there, once, in its order, and nothing by halves. Gives back what it counted.
 */
export async function kills(over, seed, progress) {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-torture-'));
  const random = randomFrom(seed);
  const record = new Record();
  const count = { kills: 0, acknowledged: 0, lost: 0, doubled: 0, halves: 0 };
  try {
    while (!over(count.kills)) {
      const server = await startVictim(folder, 4381);
      await look(server.address, record, count, folder);
      let killed = false;
      const writers = WRITERS.map((write) => writeUntil(() => killed, write, server.address, record, random));
      await sleep(20 + random() * LONGEST_MS);
      await server.kill();
      killed = true;
      await Promise.all(writers);
      count.kills += 1;
      if (count.kills % 20 === 0) progress(count);
    }
    const last = await startVictim(folder, 4381);
    await look(last.address, record, count, folder, true);
    await last.stop();
    count.acknowledged = record.acknowledged;
    return count;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What was acknowledged and has to be there, and what was sent and may be there. */
class Record {
  /** By job, the ids of every acknowledged entry. */
  jobs = new Map();
  /** Jobs that have to be there whole, by how many entries that may be. */
  whole = [];
  photos = new Set();
  revisions = new Map();
  acknowledged = 0;
}

async function writeUntil(isOver, write, address, record, random) {
  while (!isOver())
    try {
      await write(address, record, random);
    } catch {
      // The server was killed under it; what was not acknowledged is nobody’s loss.
      await sleep(5);
    }
}

const note = (text = 'Seen') => ({ id: randomUUID(), at: new Date().toISOString(), by: 'Ines', kind: 'noted', text });

async function ask(address, method, path, body, type = 'application/json') {
  const raw = type === 'application/json' ? JSON.stringify(body) : body;
  const answer = await fetch(address + path, { method, headers: { 'content-type': type }, body: raw });
  const text = await answer.text();
  if (!answer.ok) throw new Error(text);
  return JSON.parse(text);
}

const newJob = () => ({
  id: randomUUID(),
  title: 'Torture',
  machine: 'Torture',
  reason: 'same-back',
  crew: ['Ines'],
  layout: 'utility-belt',
  powerpack: 'engine',
  route: 'top',
});

async function begin(address, record) {
  const job = newJob();
  await ask(address, 'POST', '/api/jobs', job);
  record.jobs.set(job.id, []);
  record.revisions.set(job.id, 1);
  return job.id;
}

async function positionOf(address, job) {
  const answer = await fetch(`${address}/api/jobs/${job}`);
  const { entries } = await answer.json();
  return entries.length;
}

/** Jobs that are written to; a new one now and then, so that none grows without end. */
async function someJob(address, record, random) {
  const jobs = [...record.jobs.keys()];
  return jobs.length < 4 || random() < 0.02 ? begin(address, record) : jobs.at(-1 - Math.floor(random() * 4));
}

async function append(address, record, random, many) {
  const job = await someJob(address, record, random);
  let position = await positionOf(address, job);
  for (let times = 0; times < 12; times += 1) {
    const entries = Array.from({ length: many }, () => note());
    await ask(address, 'POST', `/api/jobs/${job}/ledger`, { expectedPosition: position, entries });
    record.jobs.get(job).push(...entries.map(({ id }) => id));
    record.acknowledged += many;
    position += many;
  }
}

async function photo(address, record, random) {
  const background = { r: Math.floor(random() * 256), g: Math.floor(random() * 256), b: Math.floor(random() * 256) };
  const width = 20 + Math.floor(random() * 400);
  const file = await sharp({ create: { width, height: 40, channels: 3, background } })
    .jpeg()
    .toBuffer();
  record.photos.add((await ask(address, 'POST', '/api/photos', file, 'image/jpeg')).photo);
}

/** A job of 2,000 entries from another server: there whole, or not at all. */
async function takeIn(address, record) {
  const source = await begin(address, record);
  const bundle = await (await fetch(`${address}/api/jobs/${source}/bundle`)).json();
  const unsealed = { ...bundle, seal: undefined };
  const job = { ...bundle.job, id: randomUUID() };
  const ledger = Array.from({ length: 2_000 }, () => note());
  record.whole.push({ id: job.id, sizes: [0, 2_000] });
  await ask(address, 'POST', '/api/bundles', { ...unsealed, job, ledger, ledgerLength: ledger.length });
  record.jobs.set(
    job.id,
    ledger.map(({ id }) => id),
  );
  record.acknowledged += ledger.length;
  // The same job with more of it: its plan and 500 entries, both or neither.
  const more = [...ledger, ...Array.from({ length: 500 }, () => note())];
  const changed = { ...job, revision: 2 };
  record.whole.push({ id: job.id, sizes: [2_000, 2_500], revisionAt: 2_500 });
  await ask(address, 'POST', '/api/bundles', { ...unsealed, job: changed, ledger: more, ledgerLength: more.length });
  record.jobs.set(
    job.id,
    more.map(({ id }) => id),
  );
  record.revisions.set(job.id, 2);
  record.acknowledged += 500;
}

async function replan(address, record, random) {
  const id = await someJob(address, record, random);
  const { job } = await (await fetch(`${address}/api/jobs/${id}`)).json();
  const revision = job.revision ?? 1;
  await ask(address, 'PUT', `/api/jobs/${id}/planning`, { revision, plan: job.plan, survey: job.survey });
  record.revisions.set(id, Math.max(record.revisions.get(id) ?? 1, revision + 1));
}

const WRITERS = [
  (address, record, random) => append(address, record, random, 1),
  (address, record, random) => append(address, record, random, 1),
  (address, record, random) => append(address, record, random, 50),
  photo,
  takeIn,
  replan,
];

/** Holds what is there against what was acknowledged. Jobs nobody writes to any more are looked at once, and at the end. */
async function look(address, record, count, folder, all = false) {
  const names = [...record.jobs.keys()];
  for (const [job, acknowledged] of record.jobs) {
    if (!all && !names.slice(-12).includes(job)) continue;
    const answer = await fetch(`${address}/api/jobs/${job}`);
    if (!answer.ok) {
      count.lost += acknowledged.length + 1;
      continue;
    }
    const { job: kept, entries } = await answer.json();
    const ids = entries.map(({ id }) => id);
    const there = new Set(ids);
    count.doubled += ids.length - there.size;
    count.lost += acknowledged.filter((id) => !there.has(id)).length;
    const inOrder = acknowledged.map((id) => ids.indexOf(id));
    if (!isFromOneWriter(record, job)) continue;
    if (inOrder.some((at, index) => index > 0 && at < inOrder[index - 1])) count.halves += 1;
    if ((kept.revision ?? 1) < (record.revisions.get(job) ?? 1)) count.lost += 1;
  }
  for (const { id, sizes, revisionAt } of all ? record.whole : record.whole.slice(-6)) {
    const answer = await fetch(`${address}/api/jobs/${id}`);
    const { job, entries } = answer.ok ? await answer.json() : { job: {}, entries: [] };
    if (revisionAt === undefined && ![...sizes, 2_500].includes(entries.length)) count.halves += 1;
    if (revisionAt !== undefined && entries.length === revisionAt && job.revision !== 2) count.halves += 1;
    if (revisionAt !== undefined && entries.length < revisionAt && job.revision === 2) count.halves += 1;
  }
  for (const kept of record.photos) {
    const answer = await fetch(`${address}/api/photos/${kept}`);
    if (!answer.ok) count.lost += 1;
    await answer.arrayBuffer();
    if (!all) record.photos.delete(kept);
  }
  const litter = readdirSync(join(folder)).filter((name) => name === 'incoming' || name.includes('unfinished'));
  count.halves += litter.length;
}

const isFromOneWriter = (record, job) => record.whole.some(({ id }) => id === job);

/** Numbers from 0 to 1 that are the same for the same seed (mulberry32). */
export function randomFrom(seed) {
  let at = seed >>> 0;
  return () => {
    at = (at + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(at ^ (at >>> 15), at | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
