/**
 * Measures the search for the way through: for every layout, powerpack and route the time to the first answer and to the
 * one to go by, the smallest clearance, its pinch and what one more part off would buy; then how the time grows with the
 * grid and with the number of shapes, and what the page's frames make of a search and of a lift played. It builds what it
 * needs: `npm run bench:lift`.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { RULES_NOW, waysOut } from '@brisk/core/connection-map';
import { COARSE, FINE, wayThrough } from '@brisk/core/clearance';
import { foldLedger } from '@brisk/core/ledger';
import { compose, TEMPLATES } from '@brisk/core/layouts';
import { legsOf, liftFor, minutesToTakeOff, offersFor } from '@brisk/core/lift';
import { framesWhile } from './bench-browser.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const print = (line) => process.stdout.write(`${line}\n`);

function ended(search) {
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

function timed(work) {
  const began = performance.now();
  const value = work();
  return { value, ms: performance.now() - began };
}

const first = [];
const refined = [];
let largest;
for (const template of TEMPLATES) {
  const map = compose(template);
  for (const { powerpack, route } of waysOut(map)) {
    const plan = { map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW };
    const lift = liftFor(foldLedger(plan, []));
    if (!lift) continue;
    for (const [index, leg] of legsOf(lift).entries()) {
      const coarse = timed(() => ended(wayThrough(leg.scene, COARSE)));
      const fine = timed(() => ended(wayThrough(leg.scene, FINE)));
      first.push(coarse.ms);
      refined.push(fine.ms);
      if (!largest || fine.ms > largest.ms) largest = { ms: fine.ms, scene: leg.scene };
      const way = fine.value;
      const offers = way ? ended(offersFor(lift, index, way, (part) => minutesToTakeOff(plan, part))) : [];
      print(
        [
          `${template.layout} ${powerpack.id} by ${route.id}${index > 0 ? `, leg ${index + 1}` : ''}:`,
          way ? `${way.clearanceMm.toFixed(1)} mm (seated ${way.seatedMm.toFixed(0)})` : 'no way',
          way?.pinch ? `at ${way.pinch.moving.id} to ${way.pinch.still.id}, ${way.pinch.mm.toFixed(0)} mm` : '',
          offers
            .map(({ part, gainMm, minutes }) => `${part} +${gainMm.toFixed(0)} mm for ${minutes.toFixed(0)} min`)
            .join('; '),
          `first ${coarse.ms.toFixed(0)} ms, refined ${fine.ms.toFixed(0)} ms`,
        ]
          .filter((part) => part !== '')
          .join(' · '),
      );
    }
  }
}
const most = (times) => Math.max(...times).toFixed(0);
const middle = (times) => [...times].sort((one, other) => one - other)[times.length >> 1].toFixed(0);
print(
  `\nFirst answer: median ${middle(first)} ms, most ${most(first)} ms. Refined: median ${middle(refined)} ms, most ${most(refined)} ms.`,
);

print('\nThe slowest of them by the size of a cell:');
for (const cellMm of [40, 20, 10]) {
  const { ms, value } = timed(() => ended(wayThrough(largest.scene, { ...FINE, cellMm })));
  print(`  ${cellMm} mm: ${ms.toFixed(0)} ms, ${value?.clearanceMm.toFixed(1)} mm`);
}
print('…and by the number of shapes, each cut into strips across:');
for (const strips of [1, 2, 4]) {
  const still = largest.scene.still.flatMap((body) => {
    const [from, to] = body.across;
    const width = (to - from) / strips;
    return Array.from({ length: strips }, (_, strip) => ({
      ...body,
      across: [from + strip * width, from + (strip + 1) * width],
    }));
  });
  if (still.length + largest.scene.moving.length > 600) continue;
  const { ms } = timed(() => ended(wayThrough({ ...largest.scene, still }, FINE)));
  print(`  ${largest.scene.moving.length} past ${still.length}: ${ms.toFixed(0)} ms`);
}

await ensureInstalled();
await ensureBuilt();
const folder = mkdtempSync(join(tmpdir(), 'brisk-bench-'));
const server = startServer({ BRISK_HOST: '127.0.0.1', BRISK_PORT: '4397', BRISK_DATA: folder });
const address = 'http://127.0.0.1:4397';
const browser = await chromium.launch({ executablePath: ensureChromium(), args: ['--no-sandbox', '--disable-gpu'] });
try {
  await untilHealthy(address, server.ended);
  const id = randomUUID();
  const begun = await fetch(`${address}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', connection: 'close' },
    body: JSON.stringify({
      id,
      title: 'Lift',
      machine: 'Bench',
      reason: 'same-back',
      crew: ['Ines'],
      layout: 'longitudinal-automatic',
      powerpack: 'engine-with-gearbox',
      route: 'top',
    }),
  });
  if (!begun.ok) throw new Error((await begun.json()).detail);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  await page.goto(`${address}/jobs/${id}/lift`);
  await page.getByRole('tab', { name: 'Way through' }).waitFor();
  const searching = await framesWhile(page, async () => {
    await page.getByRole('tab', { name: 'Way through' }).click();
    await page.getByText('One more part off').waitFor();
  });
  const played = await framesWhile(page, async () => {
    await page.getByRole('button', { name: 'Play' }).click();
    await page.waitForTimeout(5_000);
  });
  print(
    `\nOpening the page and searching: ${JSON.stringify(searching)}. Five seconds played: ${JSON.stringify(played)}.`,
  );
} finally {
  await browser.close();
  await stopServer(server);
  rmSync(folder, { recursive: true, force: true });
}
