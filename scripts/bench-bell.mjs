/** How soon what one device writes is on the others: from sending to having fetched it, by the bell. `npm run bench:bell`. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const PORT = '4398';
const WRITES = 300;
const DEVICES = [1, 8];
const address = `http://127.0.0.1:${PORT}`;

await ensureInstalled();
await ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), 'brisk-bench-bell-'));
const server = startServer({ BRISK_PORT: PORT, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder }, 'ignore');

async function send(method, path, body) {
  const answer = await fetch(address + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return answer.json();
}

/** Listens to the bell of `job` as a page does, and tells `seen` of each entry it has fetched. */
async function device(job, signal, seen) {
  const bell = await fetch(`${address}/api/bell`, { signal });
  const words = new globalThis.TextDecoder();
  let position = 0;
  let text = '';
  try {
    for await (const bytes of bell.body) {
      text += words.decode(bytes, { stream: true });
      const events = text.split('\n\n');
      text = events.pop() ?? '';
      if (!events.some((event) => event.includes(job))) continue;
      const tail = await fetch(`${address}/api/jobs/${job}/ledger?after=${position}`, { signal });
      for (const entry of (await tail.json()).entries) {
        position += 1;
        seen(entry.id);
      }
    }
  } catch (error) {
    if (!signal.aborted) throw error;
  }
}

try {
  await untilHealthy(address, server.ended);
  for (const devices of DEVICES) {
    const job = randomUUID();
    await send('POST', '/api/jobs', {
      id: job,
      title: 'Bell',
      machine: 'Bench',
      reason: 'same-back',
      crew: ['Ines'],
      layout: 'longitudinal-manual',
      powerpack: 'engine-with-gearbox',
      route: 'top',
    });
    const off = new globalThis.AbortController();
    const sentAt = new Map();
    const took = [];
    const listening = Array.from({ length: devices }, () =>
      device(job, off.signal, (id) => took.push(performance.now() - sentAt.get(id))),
    );
    await sleep(300);
    for (let position = 0; position < WRITES; position += 1) {
      const entry = {
        id: randomUUID(),
        at: new Date().toISOString(),
        by: 'Ines',
        kind: 'noted',
        text: `No. ${position}`,
      };
      sentAt.set(entry.id, performance.now());
      await send('POST', `/api/jobs/${job}/ledger`, { expectedPosition: position, entries: [entry] });
      await sleep(10);
    }
    await sleep(500);
    off.abort();
    await Promise.all(listening);
    const sorted = took.sort((one, other) => one - other);
    const at = (share) => Math.round(10 * sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]) / 10;
    process.stdout.write(
      `${JSON.stringify({ figure: 'an entry seen on another device', devices, writes: WRITES, seen: sorted.length, 'p50, ms': at(0.5), 'p99, ms': at(0.99) })}\n`,
    );
  }
} finally {
  await stopServer(server);
  rmSync(folder, { recursive: true, force: true });
}
