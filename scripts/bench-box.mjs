/**
 * The live trace of a bench box over ten minutes (or as many as asked): frames that take long, and memory, minute by minute; and
 * how surely a weak cylinder is named on traces with noise. `npm run bench:box -- 10`.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { compressionsOf, simulatedBox } from '@brisk/core/instrument';
import { chromium } from '@playwright/test';
import { framesWhile } from './bench-browser.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { root } from './say.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const PORT = 4399;
const SEEDS = 500;
const NOISE_A = [0, 10, 20, 30, 40];

const tell = (figure) => process.stdout.write(`${JSON.stringify(figure)}\n`);

/** A burst of the simulated engine with more noise on its current, uniform within `noiseA`. */
function burst(fault, seed, noiseA) {
  let state = seed;
  const random = () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const box = simulatedBox(fault, seed);
  return Array.from({ length: 60 }, () => box.next().value)
    .filter(({ rippleA }) => rippleA)
    .map((reading) => ({
      ...reading,
      rippleA: reading.rippleA.map((amps) => amps + (random() - 0.5) * 2 * noiseA),
    }));
}

for (const noiseA of NOISE_A) {
  const seeds = Array.from({ length: SEEDS }, (_, at) => at + 1);
  const share = (count) => Math.round((1_000 * count) / SEEDS) / 10;
  tell({
    figure: 'weak cylinder of the simulated engine, 60 % of the others',
    noiseA,
    'named right, %': share(
      seeds.filter((seed) => compressionsOf(burst('weak-cylinder', seed, noiseA))?.weak === 3).length,
    ),
    'named though all are alike, %': share(
      seeds.filter((seed) => compressionsOf(burst('no-crank-signal', seed, noiseA))?.weak !== undefined).length,
    ),
  });
}

const minutes = Number(process.argv[2] ?? 10);
await ensureInstalled();
await ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), 'brisk-bench-box-'));
const address = `http://127.0.0.1:${PORT}`;
const server = startServer({ BRISK_PORT: String(PORT), BRISK_DATA: folder }, 'ignore');
const browser = await chromium.launch({
  executablePath: ensureChromium(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--disable-background-networking',
    '--js-flags=--expose-gc',
  ],
});
try {
  await untilHealthy(address, server.ended);
  const bundle = readFileSync(join(root, 'demo/larkmoor/de-icer.brisk.json'), 'utf8');
  const taken = await fetch(`${address}/api/bundles`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: bundle,
  });
  if (!taken.ok) throw new Error(await taken.text());
  const { id } = JSON.parse(bundle).job;
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.goto(`${address}/jobs/${id}/first-start`, { waitUntil: 'networkidle' });
  await page.getByRole('button', { name: 'Bench box' }).click();
  await page.getByRole('button', { name: 'Switch it on' }).click();
  await page.locator('bl-box-chart canvas').scrollIntoViewIfNeeded();
  // All of ten minutes is shown: the most there is to draw.
  await page.getByLabel('Shown').click();
  await page.getByRole('option', { name: '10 min' }).click();
  await page.evaluate(() => {
    globalThis.longTasks_ = [];
    new globalThis.PerformanceObserver((list) =>
      globalThis.longTasks_.push(...list.getEntries().map((one) => one.duration)),
    ).observe({
      type: 'longtask',
    });
  });
  await sleep(5_000);
  for (let minute = 1; minute <= minutes; minute += 1) {
    const frames = await framesWhile(page, () => sleep(60_000));
    const megabytes = await page.evaluate(() => {
      globalThis.gc?.();
      return performance.memory.usedJSHeapSize / 1_000_000;
    });
    const tasks = await page.evaluate(() => globalThis.longTasks_.splice(0));
    tell({
      figure: 'live trace',
      minute,
      ...frames,
      'tasks over 50 ms': tasks.length,
      'heap, MB': Math.round(megabytes * 10) / 10,
    });
  }
} finally {
  await browser.close();
  await stopServer(server);
  rmSync(folder, { recursive: true, force: true });
}
