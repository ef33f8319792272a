/**
 * How it goes without the server, and how many may try to get in. One JSON line a figure: the cold start of a job with
 * `--photos` photos on a device that opened it before, and sign-ins that one address gets an answer to in a minute.
 * It has to be built: `npm run bench:shed -- --photos 300`.
 */
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { ensureChromium } from './chromium.mjs';
import { root } from './say.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const at = process.argv.indexOf('--photos');
const count = at < 0 ? 300 : Number(process.argv[at + 1]);
const port = '4398';
const address = `http://127.0.0.1:${port}`;
const folder = mkdtempSync(join(tmpdir(), 'brisk-shed-'));
const tell = (figure, value, unit, more = {}) =>
  process.stdout.write(`${JSON.stringify({ figure, value, unit, ...more })}\n`);
const send = (path, body, type = 'application/json') =>
  fetch(address + path, {
    method: 'POST',
    headers: { 'content-type': type },
    body: type === 'application/json' ? JSON.stringify(body) : body,
  });

/** A job with so many photos, each a sample of the demo with its number drawn into a corner. */
async function jobWithPhotos() {
  const bundle = JSON.parse(readFileSync(join(root, 'demo/larkmoor/minibus.brisk.json'), 'utf8'));
  await send('/api/bundles', bundle);
  const samples = readdirSync(join(root, 'demo/photos')).filter((name) => name.endsWith('.jpg'));
  const entries = [];
  for (let number = 0; number < count; number += 1) {
    const dot = {
      create: { width: 1 + (number % 40), height: 1 + Math.floor(number / 40), channels: 3, background: '#f00' },
    };
    const picture = await sharp(join(root, 'demo/photos', samples[number % samples.length]))
      .composite([{ input: await sharp(dot).png().toBuffer(), left: 0, top: 0 }])
      .jpeg()
      .toBuffer();
    const kept = await (await send('/api/photos', picture, 'image/jpeg')).json();
    entries.push({
      id: randomUUID(),
      at: new Date().toISOString(),
      by: 'Ines',
      kind: 'photo-taken',
      photo: kept.photo,
      widthPx: kept.widthPx,
      heightPx: kept.heightPx,
      pinnedTo: { connection: bundle.job.plan.map.connections[number % 100].id },
    });
  }
  for (let from = 0; from < entries.length; from += 100) {
    const answer = await send(`/api/jobs/${bundle.job.id}/ledger`, {
      expectedPosition: bundle.ledger.length + from,
      entries: entries.slice(from, from + 100),
    });
    if (!answer.ok) throw new Error((await answer.json()).detail);
  }
  return bundle.job.id;
}

const server = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder }, 'ignore');
const browser = await chromium.launch({ executablePath: ensureChromium(), args: ['--no-sandbox', '--disable-gpu'] });
try {
  await untilHealthy(address, server.ended);
  const job = await jobWithPhotos();
  const device = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await device.newPage();
  await page.goto(`${address}/yard`);
  await page.getByRole('heading', { name: /Minibus/ }).waitFor();
  await page.evaluate(async () => {
    await globalThis.navigator.serviceWorker.ready;
    while (globalThis.navigator.serviceWorker.controller === null) await new Promise((soon) => setTimeout(soon, 50));
  });
  await page.goto(`${address}/jobs/${job}/photos`);
  await page.locator('img').first().waitFor();
  await page.evaluate(() => document.querySelector('main')?.scrollTo(0, 1e6));
  await page.waitForTimeout(8_000);

  const tries = await Promise.all(
    Array.from({ length: 200 }, async () => {
      const answer = await send('/api/session', { name: 'Nobody', passphrase: 'is not it' });
      return answer.status;
    }),
  );
  tell(
    'sign-ins that were looked at, of 200 in a minute from one address',
    tries.filter((status) => status === 401).length,
    'tries',
  );

  await stopServer(server);
  await page.close();
  const again = await device.newPage();
  for (const view of ['strip', 'photos']) {
    const began = performance.now();
    await again.goto(`${address}/jobs/${job}/${view}`);
    await again
      .locator(view === 'strip' ? 'button.done' : 'main img')
      .first()
      .waitFor();
    tell(`cold start without the server, ${view}, ${count} photos`, Math.round(performance.now() - began), 'ms');
  }
} finally {
  await browser.close();
  await stopServer(server);
  rmSync(folder, { recursive: true, force: true });
}
