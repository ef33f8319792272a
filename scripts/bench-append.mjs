/** How quickly entries are on the disk, through HTTP and without. `npm run bench:append`. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import Database from 'libsql';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const CLIENTS = [1, 4, 16];
const ENTRIES = 1_600;

/** Appends one entry a request by so many clients at once, then 100 a request, each against bare durable inserts. */
export async function benchAppend(tell) {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-append-'));
  const port = '4397';
  const address = `http://127.0.0.1:${port}`;
  const agent = new Agent({ keepAlive: true, maxSockets: 16 });
  const post = postTo(address, agent);
  const server = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder }, 'ignore');
  const rates = new Map();
  try {
    await untilHealthy(address, server.ended);
    for (const clients of CLIENTS) {
      const jobs = await Promise.all(Array.from({ length: clients }, () => post('/api/jobs', newJob())));
      const each = ENTRIES / clients;
      const began = performance.now();
      await Promise.all(
        jobs.map(async ({ id }) => {
          for (let position = 0; position < each; position += 1)
            await post(`/api/jobs/${id}/ledger`, { expectedPosition: position, entries: [noteAt(position)] });
        }),
      );
      rates.set(clients, rateOf(ENTRIES, began));
    }
    const { id } = await post('/api/jobs', newJob());
    const began = performance.now();
    for (let batch = 0; batch < 20; batch += 1)
      await post(`/api/jobs/${id}/ledger`, {
        expectedPosition: batch * 100,
        entries: Array.from({ length: 100 }, (_, index) => noteAt(batch * 100 + index)),
      });
    tell('append through HTTP, 100 entries a request', rateOf(2_000, began), 'entries/s');
    await stopServer(server);
    const bare = bareRate(join(folder, 'brisk-ledger.db'), id);
    tell('bare inserts into the same file, same durability', bare, 'entries/s');
    for (const [clients, rate] of rates) {
      tell('append through HTTP, one entry a request', rate, 'entries/s', { clients });
      tell('append through HTTP against bare inserts', rate / bare, 'ratio', { clients });
    }
  } finally {
    if (server.child.exitCode === null) await stopServer(server);
    agent.destroy();
    rmSync(folder, { recursive: true, force: true });
  }
}

const rateOf = (entries, began) => (entries * 1_000) / (performance.now() - began);

const noteAt = (index) => ({
  id: randomUUID(),
  at: new Date(Date.parse('2026-03-02T07:00:00.000Z') + index * 60_000).toISOString(),
  by: index % 2 ? 'Ines' : 'Tobias',
  kind: 'noted',
  text: 'Seen',
});

const newJob = () => ({
  id: randomUUID(),
  title: 'Bench',
  machine: 'Bench',
  reason: 'same-back',
  crew: ['Ines'],
  layout: 'longitudinal-automatic',
  powerpack: 'engine-with-gearbox',
  route: 'top',
});

/** A function that posts JSON to `address` and gives back the answer. */
export function postTo(address, agent) {
  return (path, body) =>
    new Promise((resolve, reject) => {
      const sent = request(
        address + path,
        { method: 'POST', agent, headers: { 'content-type': 'application/json' } },
        (answer) => {
          let text = '';
          answer.setEncoding('utf8').on('data', (part) => (text += part));
          answer.on('end', () => (answer.statusCode < 300 ? resolve(JSON.parse(text)) : reject(new Error(text))));
        },
      );
      sent.on('error', reject).end(JSON.stringify(body));
    });
}

function bareRate(file, job) {
  const database = new Database(file);
  database.exec('pragma journal_mode = wal');
  database.exec('pragma synchronous = full');
  const insert = database.prepare(
    'insert into ledger_entry (id, job_id, position, kind, at, "by", recorded_at, document) values (?, ?, ?, ?, ?, ?, ?, ?)',
  );
  const began = performance.now();
  for (let index = 0; index < ENTRIES; index += 1) {
    const entry = noteAt(index);
    insert.run(entry.id, job, 100_000 + index, entry.kind, entry.at, entry.by, entry.at, JSON.stringify(entry));
  }
  const rate = rateOf(ENTRIES, began);
  database.close();
  return rate;
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await ensureInstalled();
  await ensureBuilt();
  await benchAppend((figure, value, unit, more = {}) =>
    process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`),
  );
}
