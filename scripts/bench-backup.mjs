/** What a backup of two gigabytes of photos takes, and what it takes from those who write. `npm run bench:backup`. */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { Agent } from 'node:http';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { fileURLToPath } from 'node:url';
import { postTo } from './bench-append.mjs';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { root } from './say.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const GIGABYTES = 2;
const PHOTO_BYTES = 600_000;
const port = '4394';
const address = `http://127.0.0.1:${port}`;

/** Times a backup beside a server that is written to, the next one, and going back to it. */
export async function benchBackup(tell) {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-backup-'));
  const [data, into] = [join(folder, 'data'), join(folder, 'backups')];
  const photos = fillPhotos(join(data, 'photos'));
  const server = startServer(
    { BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: join(folder, 'first') },
    'ignore',
  );
  try {
    // The pictures were there before the database, which a server would not start on.
    await untilHealthy(address, server.ended);
    await stopServer(server);
    cpSync(join(folder, 'first', 'brisk-ledger.db'), join(data, 'brisk-ledger.db'));
    const writing = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: data }, 'ignore');
    try {
      await untilHealthy(address, writing.ended);
      const size = { photos, gigabytes: GIGABYTES };
      const first = await besideWriting(() => backUp(data, into));
      tell('back up, with all photos to be copied', first.seconds, 's', size);
      tell('longest that a write waited meanwhile', first.longestMs, 'ms', { writes: first.writes });
      const second = await besideWriting(() => backUp(data, into));
      tell('back up again, with no photo new', second.seconds, 's', size);
      tell('longest that a write waited meanwhile', second.longestMs, 'ms', { writes: second.writes });
    } finally {
      await stopServer(writing);
    }
    const { restore } = await import('../server/dist/backup/restore.js');
    const newest = readdirSync(into)
      .filter((name) => /^\d{4}-/.test(name))
      .sort()
      .at(-1);
    const began = performance.now();
    await restore(join(into, newest), data, new Date());
    tell('go back to it', (performance.now() - began) / 1_000, 's', { photos, gigabytes: GIGABYTES });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Pictures of noise, as many as make the gigabytes; a backup looks at their names and contents, not at what they show. */
function fillPhotos(folder) {
  const many = Math.round((GIGABYTES * 1e9) / PHOTO_BYTES);
  for (let index = 0; index < many; index += 1) {
    const bytes = randomBytes(PHOTO_BYTES);
    const photo = createHash('sha256').update(bytes).digest('hex');
    const path = join(folder, photo.slice(0, 2), `${photo}.jpg`);
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, bytes);
  }
  return many;
}

/** Makes a backup in a thread of its own, as the server does. */
function backUp(dataFolder, into) {
  return new Promise((resolve, reject) => {
    const worker = new Worker(join(root, 'server/dist/backup/backup-worker.js'), {
      workerData: { dataFolder, into, at: Date.now() },
    });
    worker.once('message', resolve);
    worker.once('error', reject);
  });
}

async function besideWriting(act) {
  const agent = new Agent({ keepAlive: true });
  const post = postTo(address, agent);
  const id = randomUUID();
  const job = { id, title: 'Bench', machine: 'Bench', reason: 'same-back', crew: ['Ines'] };
  await post('/api/jobs', { ...job, layout: 'utility-belt', powerpack: 'engine', route: 'top' });
  let over = false;
  let writes = 0;
  let longestMs = 0;
  const writer = (async () => {
    while (!over) {
      const entry = { id: randomUUID(), at: new Date().toISOString(), by: 'Ines', kind: 'noted', text: 'Seen' };
      const began = performance.now();
      await post(`/api/jobs/${id}/ledger`, { expectedPosition: writes, entries: [entry] });
      longestMs = Math.max(longestMs, performance.now() - began);
      writes += 1;
    }
  })();
  const began = performance.now();
  await act();
  const seconds = (performance.now() - began) / 1_000;
  over = true;
  await writer;
  agent.destroy();
  return { seconds, writes, longestMs };
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await ensureInstalled();
  await ensureBuilt();
  await benchBackup((figure, value, unit, more = {}) =>
    process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`),
  );
}
