/** Speed, one JSON line a figure. `npm run bench`. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

await ensureInstalled();
await ensureBuilt();
const { completed, compose, lintMap, OPTION_IDS, TEMPLATES, templateOf, usualMap } =
  await import('@brisk/core/layouts');
const { benchAppend } = await import('./bench-append.mjs');
const { benchYard } = await import('./bench-yard.mjs');
const { benchBrowser, LARGEST_CHOICES } = await import('./bench-browser.mjs');
const { benchPlan } = await import('./bench-plan.mjs');
const { benchStrip } = await import('./bench-strip.mjs');
const { benchTouch } = await import('./bench-touch.mjs');
const { workOf } = await import('@brisk/core/work');
const { groupedOrder } = await import('@brisk/core/schedule');
const { foldLedger, runSheet, startOf } = await import('@brisk/core/ledger');

const plan = { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' };
const tell = (figure, value, unit, more = {}) =>
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`);

function medianMs(runs, act) {
  const times = [];
  for (let run = 0; run < runs; run += 1) {
    const began = performance.now();
    act();
    times.push(performance.now() - began);
  }
  return times.sort((one, other) => one - other)[Math.floor(runs / 2)];
}

const template = templateOf('transverse-cradle');
const largestChoices = completed(template, LARGEST_CHOICES);
tell(
  'compose the largest map',
  medianMs(100, () => compose(template, largestChoices)),
  'ms',
);
tell(
  'compose, lint and derive the largest map, one way out',
  medianMs(30, () => {
    const map = compose(template, largestChoices);
    lintMap(map, []);
    workOf({ map, powerpack: 'cradle', route: 'under' });
  }),
  'ms',
  { connections: compose(template, largestChoices).connections.length },
);
tell(
  'lint the largest map by every powerpack and route',
  medianMs(10, () => lintMap(compose(template, largestChoices))),
  'ms',
);
const authored = new Set(TEMPLATES.flatMap(({ pieces }) => pieces.flatMap(({ connections = [] }) => connections)));
tell('connections authored', authored.size, 'connections', {
  layouts: TEMPLATES.length,
  options: OPTION_IDS.length,
  parts: new Set(TEMPLATES.flatMap(({ pieces }) => pieces.flatMap(({ parts = [] }) => parts))).size,
});

const work = workOf(plan);
const operations = [...work.operations.values()];
tell(
  'derive and order the longitudinal automatic',
  medianMs(30, () => {
    const fresh = workOf(plan);
    groupedOrder({ operations: [...fresh.operations.values()], graph: fresh, height: 'ground' });
  }),
  'ms',
  {
    connections: plan.map.connections.length,
    opened: operations.filter(({ id }) => id.startsWith('open:')).length,
    operations: operations.length,
    precedence: work.precedence.length,
  },
);
tell(
  'order a job’s run sheet from the start',
  medianMs(30, () => runSheet(startOf(plan))),
  'ms',
  { operations: operations.length },
);

const entryOf = (body, index) => ({
  id: randomUUID(),
  at: new Date(Date.parse('2026-03-02T07:00:00.000Z') + index * 60_000).toISOString(),
  by: index % 2 ? 'Ines' : 'Tobias',
  ...body,
});
const bodies = [
  { kind: 'noted', text: 'Seen' },
  { kind: 'height-set', height: 'raised' },
  { kind: 'operation-stuck', operation: 'open:starter-cable', trouble: 'seized', tried: 'heat', minutesLost: 5 },
  { kind: 'fasteners-counted', connection: 'upper-hose', direction: 'out', count: 1, bag: 1 },
  { kind: 'operation-done', operation: 'open:battery-negative' },
];
const long = Array.from({ length: 10_000 }, (_, index) => entryOf(bodies[index % bodies.length], index));
tell(
  'fold 10,000 ledger entries',
  medianMs(10, () => foldLedger(plan, long)),
  'ms',
);

const folder = mkdtempSync(join(tmpdir(), 'brisk-bench-'));
const port = '4398';
const address = `http://127.0.0.1:${port}`;
const agent = new Agent({ keepAlive: true, maxSockets: 8 });
/** Bytes of `path` as they cross the wire to a browser that takes gzip. */
const transferred = (path) =>
  new Promise((resolve, reject) => {
    request(address + path, { agent, headers: { 'accept-encoding': 'gzip' } }, (answer) => {
      let bytes = 0;
      answer.on('data', (part) => (bytes += part.length)).on('end', () => resolve(bytes));
    })
      .on('error', reject)
      .end();
  });
const server = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder }, 'ignore');
try {
  await untilHealthy(address, server.ended);
  const page = await (await fetch(`${address}/yard`)).text();
  const scripts = [...new Set([...page.matchAll(/(?:src|href)="([^"]+\.js)"/g)].map(([, path]) => `/${path}`))];
  const sizes = await Promise.all(scripts.map((path) => transferred(path)));
  tell('initial JavaScript transferred, compressed', sizes.reduce((sum, size) => sum + size, 0) / 1024, 'KiB', {
    files: scripts.length,
  });

  await benchBrowser(address, tell);
} finally {
  if (server.child.exitCode === null) await stopServer(server);
  agent.destroy();
  rmSync(folder, { recursive: true, force: true });
}

await benchAppend(tell);
await benchYard(tell);
await benchPlan(tell);
await benchStrip(tell);
await benchTouch(tell);
