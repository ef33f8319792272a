/** How soon the yard is there after a start, with years of jobs in it. `npm run bench:yard`. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import Database from 'libsql';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const JOBS = 500;
const ENTRIES = 1_000;
const port = '4396';
const address = `http://127.0.0.1:${port}`;

/** Times the first list of many jobs: after an ordinary start, and after one whose cards have all to be made anew. */
export async function benchYard(tell) {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-yard-'));
  const settings = { BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder };
  const size = { jobs: JOBS, entries: ENTRIES };
  const startAnd = async (ask) => {
    const server = startServer(settings, 'ignore');
    await untilHealthy(address, server.ended);
    await ask();
    await stopServer(server);
  };
  const timed = async (path) => {
    const began = performance.now();
    const answer = await fetch(address + path);
    await answer.arrayBuffer();
    return performance.now() - began;
  };
  try {
    const { job, ledger } = await sample(startAnd);
    fill(join(folder, 'brisk-ledger.db'), job, ledger);
    await startAnd(async () => {
      const listed = timed('/api/jobs');
      await sleep(50);
      tell('health while every card is made anew', await timed('/api/health'), 'ms', size);
      tell('first list of a file that never had a card', await listed, 'ms', size);
      tell('list again', await timed('/api/jobs'), 'ms', size);
    });
    const database = new Database(join(folder, 'brisk-ledger.db'));
    database.exec('update job_card set edition = 0');
    database.close();
    await startAnd(async () =>
      tell('first list after an upgrade that makes every card anew', await timed('/api/jobs'), 'ms', size),
    );
    await startAnd(async () => tell('first list after an ordinary start', await timed('/api/jobs'), 'ms', size));
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }

  /** A job half-way through its work, as the server keeps it, with its notes. */
  async function sample(start) {
    let kept;
    await start(async () => {
      const id = randomUUID();
      const begun = { id, title: 'Bench', machine: 'Bench', reason: 'same-back', crew: ['Ines'] };
      const post = (path, body) =>
        fetch(address + path, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        });
      await post('/api/jobs', {
        ...begun,
        layout: 'longitudinal-automatic',
        powerpack: 'engine-with-gearbox',
        route: 'top',
      });
      const { job } = await (await fetch(`${address}/api/jobs/${id}`)).json();
      kept = { job, ledger: Array.from({ length: ENTRIES }, (_, index) => entryAt(index)) };
    });
    return kept;
  }
}

const BODIES = [
  { kind: 'noted', text: 'Seen' },
  { kind: 'height-set', height: 'raised' },
  { kind: 'operation-stuck', operation: 'open:starter-cable', trouble: 'seized', tried: 'heat', minutesLost: 5 },
  { kind: 'fasteners-counted', connection: 'upper-hose', direction: 'out', count: 1, bag: 1 },
];

const entryAt = (index) => ({
  at: new Date(Date.parse('2026-03-02T07:00:00.000Z') + index * 60_000).toISOString(),
  by: index % 2 ? 'Ines' : 'Tobias',
  ...BODIES[index % BODIES.length],
});

function fill(file, job, ledger) {
  const database = new Database(file);
  database.exec('begin');
  const addJob = database.prepare('insert into job (id, created_at, document) values (?, ?, ?)');
  const addEntry = database.prepare(
    'insert into ledger_entry (id, job_id, position, kind, at, "by", recorded_at, document) values (?, ?, ?, ?, ?, ?, ?, ?)',
  );
  for (let at = 0; at < JOBS; at += 1) {
    const id = randomUUID();
    addJob.run([id, job.createdAt, JSON.stringify({ ...job, id })]);
    ledger.forEach((body, index) => {
      const entry = { id: randomUUID(), ...body };
      addEntry.run([entry.id, id, index + 1, entry.kind, entry.at, entry.by, entry.at, JSON.stringify(entry)]);
    });
  }
  database.exec('commit');
  database.exec('pragma wal_checkpoint(truncate)');
  database.close();
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await ensureInstalled();
  await ensureBuilt();
  await benchYard((figure, value, unit, more = {}) =>
    process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`),
  );
}
