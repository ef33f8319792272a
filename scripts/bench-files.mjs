/**
 * Measures what large files take: a price list of fifty thousand lines (seconds, and frames of the page meanwhile), a book
 * of six hundred pages taken in, opened, leafed through and searched. Needs a build: `npm run bench:files`.
 */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { framesWhile } from './bench-browser.mjs';
import { ensureChromium } from './chromium.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';
import { pdfOf } from '../server/dist/printing/pdf.js';

const LINES = 50_000;
const PAGES = 600;
const tell = (figure, value, unit, more = {}) =>
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`);

const book = await pdfOf({
  defaultStyle: { font: 'Barlow' },
  content: Array.from({ length: PAGES }, (_, page) => ({
    ...(page > 0 ? { pageBreak: 'before' } : {}),
    stack: [
      { text: `Sheet ${page + 1}${page === PAGES - 10 ? ': the dowels of the bell' : ''}`, fontSize: 18 },
      {
        table: {
          body: Array.from({ length: 30 }, (_row, row) => [`M${6 + (row % 4) * 2}`, `${row * 3} N·m`, 'bracket']),
        },
      },
    ],
  })),
});

const folder = mkdtempSync(join(tmpdir(), 'brisk-files-'));
const port = '4397';
const address = `http://127.0.0.1:${port}`;
const server = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder }, 'ignore');
const browser = await chromium.launch({ executablePath: ensureChromium(), args: ['--no-sandbox', '--disable-gpu'] });
try {
  await untilHealthy(address, server.ended);
  const id = randomUUID();
  const begun = await fetch(`${address}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      id,
      title: 'Large files',
      machine: 'Bench',
      reason: 'same-back',
      crew: ['Ines'],
      layout: 'longitudinal-manual',
      powerpack: 'engine-with-gearbox',
      route: 'top',
    }),
  });
  if (!begun.ok) throw new Error(await begun.text());
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });

  await page.goto(`${address}/jobs/${id}/bench/parts`, { waitUntil: 'networkidle' });
  const lines = Array.from({ length: LINES }, (_, index) => `X ${index};clip ${index};${index % 90}.50;EUR`);
  // By its path: bytes that are handed to the page are unpacked on its own thread first.
  const list = join(folder, 'prices.csv');
  writeFileSync(list, `number;name;price;currency\n${lines.join('\n')}`);
  const began = performance.now();
  const reading = await framesWhile(page, async () => {
    await page.locator('input[name=prices]').setInputFiles(list);
    await page.getByText(`${LINES} prices read.`).waitFor();
  });
  tell(`a price list of ${LINES} lines read in the browser`, (performance.now() - began) / 1_000, 's', reading);

  const sending = performance.now();
  const kept = await fetch(`${address}/api/literature`, {
    method: 'POST',
    headers: { 'content-type': 'application/pdf' },
    body: book,
  });
  const { file, pages, bytes } = await kept.json();
  tell('a book taken in and its pages counted', performance.now() - sending, 'ms', { pages, bytes });
  await page.goto(`${address}/jobs/${id}/literature`, { waitUntil: 'networkidle' });
  await page
    .locator('input[name=literature]')
    .setInputFiles({ name: 'book.pdf', mimeType: 'application/pdf', buffer: book });
  const drawn = async (number, act) => {
    const from = performance.now();
    const frames = await framesWhile(page, async () => {
      await act();
      await page
        .getByRole('img', { name: `book, page ${number}` })
        .locator('canvas')
        .first()
        .waitFor();
      await page.getByRole('progressbar', { name: 'The page is being drawn' }).waitFor({ state: 'detached' });
    });
    return { ms: performance.now() - from, frames };
  };
  const first = await drawn(1, () => page.getByRole('link', { name: 'book' }).first().click());
  tell('its first page is shown', first.ms, 'ms', { file: file.slice(0, 8), ...first.frames });
  const next = await drawn(2, () => page.getByRole('button', { name: 'Next' }).click());
  tell('the next page is shown', next.ms, 'ms', next.frames);
  const looking = performance.now();
  await page.getByLabel('Words on its pages').fill('dowels bell');
  await page.getByLabel('Words on its pages').press('Tab');
  await page.getByRole('button', { name: `${PAGES - 9}`, exact: true }).waitFor();
  tell(`words found on page ${PAGES - 9}`, (performance.now() - looking) / 1_000, 's');
} finally {
  await browser.close();
  if (server.child.exitCode === null) await stopServer(server);
  rmSync(folder, { recursive: true, force: true });
}
