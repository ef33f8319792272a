/** How long a touch at the working step takes to show the next one, on a slow tablet. Part of `npm run bench`; by itself: `npm run bench:touch`. */
import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const SLOWED = 6;
const ENTRIES = 1_500;
const TOUCHES = 40;
const WATCHED_MS = 1_500;
const LARGEST = { layout: 'transverse-cradle', powerpack: 'cradle', route: 'under' };
/** How far into its steps a stop is opened: where the most of them are still to come and enough lie behind. */
const STOPS = ['strip', 'refit'];

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;

/**
 * From a touch on “Done” to the end of the frame that shows the next step, and to the end of the last long frame after it, which
 * draws what stands around it; in ms.
 */
async function touched(page) {
  const key = page.locator('.hand button.done');
  await key.scrollIntoViewIfNeeded();
  const box = await key.boundingBox();
  if (!box) throw new Error(`No “Done” at ${page.url()}`);
  await page.evaluate((watchedMs) => {
    const title = () => document.querySelector('.hand h1, .hand h2')?.textContent ?? '';
    const before = title();
    window.touch = new Promise((resolve) => {
      addEventListener(
        'pointerdown',
        (event) => {
          const began = event.timeStamp;
          const long = [];
          const frames = new PerformanceObserver((list) =>
            list.getEntries().forEach(({ startTime, duration }) => long.push({ from: startTime - began, duration })),
          );
          frames.observe({ type: 'long-animation-frame', buffered: false });
          let changed = 0;
          let painted = 0;
          const changes = new MutationObserver(() => {
            if (changed > 0 || title() === before) return;
            changed = performance.now() - began;
            const { port1, port2 } = new MessageChannel();
            port1.onmessage = () => (painted = performance.now() - began);
            port2.postMessage('');
          });
          changes.observe(document.body, { subtree: true, childList: true, characterData: true });
          setTimeout(() => {
            frames.disconnect();
            changes.disconnect();
            const last = long.reduce((end, { from, duration }) => Math.max(end, from + duration), 0);
            const frame = long.find(({ from, duration }) => from <= changed && changed <= from + duration);
            const shown = frame ? frame.from + frame.duration : painted;
            resolve({ shown, quiet: Math.max(shown, last), long });
          }, watchedMs);
        },
        { once: true, capture: true },
      );
    });
  }, WATCHED_MS);
  await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
  return page.evaluate(() => window.touch);
}

export async function benchTouch(tell) {
  const { extend, foldLedger, nextUp, startOf } = await import('@brisk/core/ledger');
  const { entriesForNext } = await import('@brisk/core/testing/crew');
  const { largeMap, LARGEST_CHOICES } = await import('./bench-browser.mjs');
  const map = largeMap(40);
  const folder = mkdtempSync(join(tmpdir(), 'brisk-touch-'));
  const port = '4396';
  const address = `http://127.0.0.1:${port}`;
  const server = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder }, 'ignore');
  const send = async (method, path, body) => {
    const answer = await fetch(address + path, {
      method,
      headers: { 'content-type': 'application/json', connection: 'close' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(await answer.text());
    return answer.json();
  };
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    await untilHealthy(address, server.ended);
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
      reducedMotion: 'reduce',
    });
    const page = await context.newPage();
    const slow = await context.newCDPSession(page);
    for (const stop of STOPS) {
      const id = randomUUID();
      await send('POST', '/api/jobs', {
        id,
        title: `Touch ${stop}`,
        machine: 'Bench',
        reason: 'same-back',
        crew: ['Ines', 'Tobias'],
        ...LARGEST,
        choices: LARGEST_CHOICES,
      });
      const job = await send('PUT', `/api/jobs/${id}/planning`, {
        revision: 1,
        plan: { map, powerpack: LARGEST.powerpack, route: LARGEST.route },
      });
      const steps = startOf(job.plan).work.operations.size;
      let state = foldLedger(job.plan, []);
      let into = 0;
      while (into < 12 || !plain(nextUp(state))) {
        const next = nextUp(state);
        if (!next) throw new Error(`${stop} was never reached`);
        if (next.operation.phase === stop) into += 1;
        state = extend(state, entriesForNext(state).map(stamped));
      }
      const here = nextUp(state).operation;
      const notes = Array.from({ length: Math.max(0, ENTRIES - state.entries.length) }, () =>
        stamped({ kind: 'noted', text: 'Seen, and written down.', operation: here.id }),
      );
      const entries = [...state.entries, ...notes];
      for (let position = 0; position < entries.length; position += 200)
        await send('POST', `/api/jobs/${id}/ledger`, {
          expectedPosition: position,
          entries: entries.slice(position, position + 200),
        });
      const fetched = new Set();
      const note = (asked) => ['script', 'stylesheet'].includes(asked.resourceType()) && fetched.add(asked.url());
      page.on('request', note);
      await page.goto(`${address}/jobs/${id}/${stop}`);
      await page.locator('.hand .keys-band button').first().waitFor();
      page.off('request', note);
      await page.waitForLoadState('networkidle');
      const sizes = await Promise.all([...fetched].map(transferredBytes));
      tell(
        `first load of the working step, ${stop}, compressed`,
        sizes.reduce((sum, size) => sum + size, 0) / 1024,
        'KiB',
        {
          files: fetched.size,
        },
      );
      await page.waitForTimeout(2_000);
      for (const slowed of [1, SLOWED]) {
        await slow.send('Emulation.setCPUThrottlingRate', { rate: slowed });
        const times = [];
        while (times.length < (slowed === 1 ? TOUCHES / 2 : TOUCHES)) {
          const told = await (await fetch(`${address}/api/jobs/${id}`, { headers: { connection: 'close' } })).json();
          const reached = foldLedger(told.job.plan, told.entries);
          const next = nextUp(reached);
          if (next?.operation.phase !== stop) break;
          if (plain(next)) times.push(await touched(page));
          else {
            // What takes more than one touch is done elsewhere, and comes in by the bell.
            await send('POST', `/api/jobs/${id}/ledger`, {
              expectedPosition: told.entries.length,
              entries: entriesForNext(reached).map(stamped),
            });
          }
          await page.waitForTimeout(plain(next) ? 100 : 1_500);
        }
        await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });
        const sorted = (field) => times.map((time) => Math.round(time[field])).sort((one, other) => one - other);
        const shown = sorted('shown');
        const quiet = sorted('quiet');
        tell(
          `touch to the next step settled, ${stop}, ${slowed === 1 ? 'at full speed' : `slowed ${slowed} times`}: median`,
          at(shown, 0.5),
          'ms',
          {
            p95: at(shown, 0.95),
            allAroundItMedian: at(quiet, 0.5),
            allAroundItP95: at(quiet, 0.95),
            framesOver50ms: times.reduce((sum, { long }) => sum + long.length, 0),
            longestFrameMs: Math.round(
              Math.max(0, ...times.flatMap(({ long }) => long.map(({ duration }) => duration))),
            ),
            touches: times.length,
            steps,
            entries: entries.length,
          },
        );
      }
    }
  } finally {
    await browser.close();
    if (server.child.exitCode === null) await stopServer(server);
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Bytes of `url` as they cross the wire to a browser that takes gzip. */
const transferredBytes = (url) =>
  new Promise((resolve, reject) => {
    get(url, { headers: { 'accept-encoding': 'gzip' } }, (answer) => {
      let bytes = 0;
      answer.on('data', (part) => (bytes += part.length)).on('end', () => resolve(bytes));
    }).on('error', reject);
  });
const plain = (next) =>
  next !== undefined && !next.moveTo && !['hold-point', 'torque', 'wait'].includes(next.operation.kind);
const stamped = (body) => ({ id: randomUUID(), at: new Date().toISOString(), by: 'Ines', ...body });

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await ensureInstalled();
  await ensureBuilt();
  await benchTouch((figure, value, unit, more = {}) =>
    process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`),
  );
}
