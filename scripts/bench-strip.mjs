/** Worth and speed of what the strip-down needs, one JSON line a figure. Part of `npm run bench`; by itself: `npm run bench:strip`. */
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { framesWhile } from './bench-browser.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

/** Between two of our requests the browser works for longer than the server keeps a line open. */
const JSON_HEADERS = { 'content-type': 'application/json', connection: 'close' };

const timed = (act) => {
  const began = performance.now();
  const result = act();
  return [result, performance.now() - began];
};
const round = (value, digits = 4) => Number(value.toPrecision(digits));
const median = (values) => [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)];

/** Chance with a seed, so that every run measures the same bolts. */
function dice(seed) {
  const random = xoroshiro128plus(seed);
  const share = () => uniformFloat64(random);
  const below = (many) => Math.floor(share() * many);
  return {
    share,
    below,
    pick: (list) => list[below(list.length)],
    // Sum of twelve uniform numbers: near enough to normal for a calliper.
    normal: () => Array.from({ length: 12 }, share).reduce((sum, one) => sum + one, -6),
    sample: (list, many) => {
      const rest = [...list];
      return Array.from({ length: Math.min(many, rest.length) }, () => rest.splice(below(rest.length), 1)[0]);
    },
  };
}

/** A fastener as somebody with a worn calliper, a thread gauge and no patience measures it. */
function measured({ thread, lengthMm, drive, driveSize, form, flanged }, { share, normal, pick }) {
  const bolt = {};
  const wear = 0.12 * share();
  if (thread && share() < 0.9)
    bolt.diameterMm = Math.max(1, round(thread.diameterMm * 0.9865 - wear + 0.05 * normal(), 3));
  if (thread && share() < 0.5)
    bolt.pitchMm = share() < 0.05 ? pick([0.8, 1, 1.25, 1.5, 1.75]) : round(thread.pitchMm + 0.02 * normal(), 3);
  if (lengthMm !== undefined && share() < 0.9) {
    const overHead = share() < 0.03 ? 0.65 * (thread?.diameterMm ?? 6) : 0;
    bolt.lengthMm = Math.max(1, round(lengthMm + overHead + (0.35 + 0.006 * lengthMm) * normal(), 3));
  }
  if (drive && share() < 0.8) bolt.drive = share() < 0.03 ? pick(['hex', 'star', 'socket']) : drive;
  if (driveSize !== undefined && share() < 0.85) bolt.driveSize = Math.max(1, round(driveSize + 0.08 * normal(), 3));
  if (share() < 0.9) bolt.form = form;
  if (form === 'bolt' && share() < 0.5) bolt.flanged = flanged ?? false;
  return Object.keys(bolt).length > 0 ? bolt : { form };
}

/** What anybody would write in an afternoon: the home whose diameter and length are nearest, what is not known left out. */
function nearestSize(bolt, homes) {
  let best;
  let least = Infinity;
  for (const home of homes) {
    const { thread, lengthMm, driveSize } = home.spec;
    const offs = [
      [bolt.diameterMm, thread?.diameterMm],
      [bolt.lengthMm, lengthMm],
      [bolt.driveSize, driveSize],
    ].flatMap(([read, own]) => (read === undefined ? [] : [own === undefined ? 1 : Math.abs(read - own) / own]));
    const apart = offs.reduce((sum, off) => sum + off, 0);
    if (apart < least) [best, least] = [home, apart];
  }
  return best;
}

/** Each to its nearest home that is still free, the closest pair first. */
function nearestEach(bolts, homes) {
  const free = new Set(homes);
  return bolts.map((bolt) => {
    const home = nearestSize(bolt, [...free]);
    free.delete(home);
    return home;
  });
}

async function benchMystery(tell) {
  const { completed, compose, TEMPLATES } = await import('@brisk/core/layouts');
  const { placeAll, rankHomes, readFastener } = await import('@brisk/core/fasteners');
  const maps = TEMPLATES.map((template) => compose(template, completed(template, {})));
  const homesOf = (map) =>
    map.connections.flatMap(({ id, fasteners }) =>
      fasteners.map(({ what }, set) => ({ id: `${id}#${set}`, what, spec: readFastener(what), room: 1, weight: 1 })),
    );
  const chance = dice(11);
  const total = {
    bolts: 0,
    ranked: 0,
    rankedVery: 0,
    nearest: 0,
    placed: 0,
    placedVery: 0,
    nearestEach: 0,
    odd: 0,
    oddTold: 0,
  };
  const takes = (home, own) => Number(home?.what === own.what);
  const times = [];
  for (let handful = 0; handful < 1_000; handful += 1) {
    // Twenty joints miss one, twelve of those bolts lie here; of twenty more the count came out right.
    const all = chance
      .sample(homesOf(chance.pick(maps)), 40)
      .map((home, index) => ({ ...home, weight: index < 20 ? 1 : 0.02 }));
    const own = chance.sample(
      all.slice(0, 20).filter(({ spec }) => spec.thread ?? spec.lengthMm),
      12,
    );
    const bolts = own.map(({ spec }) => measured(spec, chance));
    const [placed, ms] = timed(() => placeAll(bolts, all));
    times.push(ms);
    const greedy = nearestEach(bolts, all.slice(0, 20));
    own.forEach((home, index) => {
      const first = rankHomes(bolts[index], all).candidates[0]?.home;
      total.bolts += 1;
      total.ranked += takes(first, home);
      total.rankedVery += Number(first?.id === home.id);
      total.nearest += takes(nearestSize(bolts[index], all.slice(0, 20)), home);
      total.placed += takes(placed[index].home, home);
      total.placedVery += Number(placed[index].home?.id === home.id);
      total.nearestEach += takes(greedy[index], home);
    });
    // One from another machine altogether: an inch bolt none of the homes takes.
    const odd = measured(
      readFastener(chance.pick(['7/16-14 × 33, 16 mm', '9/16-12 × 47, 21 mm', '#10-24 × 19, 8 mm'])),
      chance,
    );
    total.odd += 1;
    total.oddTold += Number(placeAll([...bolts.slice(0, 11), odd], all).at(-1).home === undefined);
  }
  const share = (hits, of = total.bolts) => round((100 * hits) / of, 3);
  tell(
    'mystery bolt by itself, 40 homes of which 20 miss one: sent to a home that takes it',
    share(total.ranked),
    '%',
    {
      toTheVeryHome: share(total.rankedVery),
      nearestSize: share(total.nearest),
      bolts: total.bolts,
    },
  );
  tell(
    'mystery bolts by handfuls of 12, 40 homes of which 20 miss one: sent to a home that takes it',
    share(total.placed),
    '%',
    {
      toTheVeryHome: share(total.placedVery),
      nearestSizeEach: share(total.nearestEach),
      handfuls: times.length,
      medianMs: round(median(times), 3),
    },
  );
  tell('mystery bolts: one from elsewhere in a handful told as such', share(total.oddTold, total.odd), '%');

  const many = maps.flatMap(homesOf);
  const homes = chance.sample(many, 120);
  const bolts = chance.sample(homes, 60).map(({ spec }) => measured(spec, chance));
  const times60 = Array.from({ length: 9 }, () => timed(() => placeAll(bolts, homes))[1]);
  tell('assignment of 60 bolts to 120 homes, with how sure each is', round(median(times60), 3), 'ms');
}

async function benchLabels(tell) {
  const { rollLabels } = await import('@brisk/core/labels');
  const { LABEL_STOCKS } = await import('../server/dist/labels/label-stock.js');
  const { labelSheet } = await import('../server/dist/labels/label-sheet.js');
  const { pdfOf } = await import('../server/dist/printing/pdf.js');
  const labels = rollLabels('bag', 1, 200).map((label) => ({
    ...label,
    path: `/b/3f0c8a52/${label.number}`,
    title: 'the front pipe at the turbocharger',
    details: ['3 in it'],
  }));
  const decoder = ['zbarimg', 'pdftoppm'].every((tool) => spawnSync(tool, ['--version']).error === undefined);
  for (const stock of LABEL_STOCKS) {
    const began = performance.now();
    const pdf = await pdfOf(labelSheet(labels, stock, 'http://192.168.1.20:4310', 'Minibus no. 7'));
    const ms = performance.now() - began;
    const read = decoder ? readBack(pdf, stock) : undefined;
    tell(`labels read back by zbarimg at 200 dpi, ${stock.id}`, read ?? -1, 'of 200', {
      pdfMs: round(ms, 3),
      ...(decoder ? {} : { not: 'apt-get install zbar-tools poppler-utils' }),
    });
  }
}

/** How many different labels of a PDF an independent reader gets, each label looked at by itself as a phone does. */
function readBack(pdf, { page, columns, rows, label, margin }) {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-labels-'));
  const dots = (mm) => Math.round((mm / 25.4) * 200);
  try {
    const file = join(folder, 'labels.pdf');
    writeFileSync(file, pdf);
    const seen = new Set();
    const perPage = columns * rows;
    for (let place = 0; place < perPage; place += 1) {
      const x = dots(margin.leftMm + (place % columns) * label.widthMm);
      const y = dots(margin.topMm + Math.floor(place / columns) * label.heightMm);
      const cut = ['-x', x, '-y', y, '-W', dots(label.widthMm), '-H', dots(label.heightMm)].map(String);
      const name = join(folder, `place-${place}`);
      execFileSync('pdftoppm', ['-r', '200', '-png', ...(page.widthMm > 100 ? cut : []), file, name], {
        stdio: 'ignore',
      });
      const pictures = readdirSync(folder)
        .filter((one) => one.startsWith(`place-${place}-`))
        .map((one) => join(folder, one));
      for (const picture of pictures) {
        const { stdout } = spawnSync('zbarimg', ['-q', '--raw', '-Sdisable', '-Sqrcode.enable', picture], {
          encoding: 'utf8',
        });
        for (const line of stdout.split('\n')) if (line.includes('/b/3f0c8a52/')) seen.add(line.trim());
      }
    }
    return seen.size;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

async function benchPhotosAndTouches(tell) {
  const { usualMap } = await import('@brisk/core/layouts');
  const { foldLedger } = await import('@brisk/core/ledger');
  const { findPhotos } = await import('@brisk/core/find');
  const folder = mkdtempSync(join(tmpdir(), 'brisk-bench-'));
  const address = 'http://127.0.0.1:4396';
  const server = startServer({ BRISK_HOST: '127.0.0.1', BRISK_PORT: '4396', BRISK_DATA: folder });
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
  });
  try {
    await untilHealthy(address, server.ended);
    const begin = async (title) => {
      const id = randomUUID();
      const job = {
        id,
        title,
        machine: 'Bench',
        reason: 'same-back',
        crew: ['Ines'],
        layout: 'longitudinal-automatic',
        powerpack: 'engine-with-gearbox',
        route: 'top',
      };
      const answer = await fetch(`${address}/api/jobs`, {
        method: 'POST',
        headers: JSON_HEADERS,
        body: JSON.stringify(job),
      });
      if (!answer.ok) throw new Error((await answer.json()).detail);
      return id;
    };
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });

    const job = await begin('Photos');
    await page.goto(`${address}/jobs/${job}/strip`, { waitUntil: 'networkidle' });
    const file = await sharp({
      create: {
        width: 4_000,
        height: 3_000,
        channels: 3,
        background: '#806040',
        noise: { type: 'gaussian', mean: 120, sigma: 30 },
      },
    })
      .jpeg({ quality: 92 })
      .toBuffer();
    // By its path: a buffer would be carried into the page by the test driver, and block it.
    const path = join(folder, 'twelve.jpg');
    writeFileSync(path, file);
    const stored = page.waitForResponse(
      (response) => response.url().endsWith('/api/photos') && response.status() === 201,
    );
    const began = performance.now();
    const frames = await framesWhile(page, async () => {
      await page.locator('input[name=photos]').first().setInputFiles(path);
      await stored;
    });
    tell('a photo of 12 megapixels from pick to stored', round((performance.now() - began) / 1_000, 3), 's', {
      megabytes: round(file.length / 1e6, 3),
      longestFrameMs: frames.longestMs,
      framesOver50ms: frames.over50ms,
    });

    const touching = await begin('Touches');
    await page.goto(`${address}/jobs/${touching}/strip`, { waitUntil: 'networkidle' });
    const done = page.locator('button.done');
    await done.click();
    await page.getByText('battery negative').first().waitFor();
    const from = performance.now();
    await done.click();
    await page.getByText('Hold point', { exact: true }).waitFor();
    tell('step done to next step, with bag, count and tag', 1, 'touches', {
      machineSeconds: round((performance.now() - from) / 1_000, 2),
    });

    const many = Array.from({ length: 2_000 }, (_, index) => ({
      id: randomUUID(),
      at: new Date(Date.UTC(2026, 0, 5 + (index % 60), 8, index % 60)).toISOString(),
      by: ['Ines', 'Tobias'][index % 2],
      kind: 'photo-taken',
      photo: createHash('sha256').update(String(index)).digest('hex'),
      widthPx: 2_560,
      heightPx: 1_920,
      pinnedTo: { connection: usualMap('longitudinal-automatic').connections[index % 100].id },
    }));
    const crowded = await begin('Many photos');
    for (let start = 0; start < many.length; start += 200) {
      const answer = await fetch(`${address}/api/jobs/${crowded}/ledger`, {
        method: 'POST',
        headers: JSON_HEADERS,
        body: JSON.stringify({ expectedPosition: start, entries: many.slice(start, start + 200) }),
      });
      if (!answer.ok) throw new Error((await answer.json()).detail);
    }
    const state = foldLedger(
      { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' },
      many,
    );
    const dayOf = (at) => at.slice(0, 10);
    const search = median(
      Array.from({ length: 15 }, () => timed(() => findPhotos(state, { words: 'starter', by: 'Ines' }, dayOf))[1]),
    );
    const opened = performance.now();
    await page.goto(`${address}/jobs/${crowded}/photos`);
    await page.locator('.sheet img').first().waitFor();
    const listMs = performance.now() - opened;
    const asked = performance.now();
    await page.locator('[name=photo-words]').fill('starter');
    await page.waitForFunction(() => !document.querySelector('h1')?.textContent?.includes('2000'));
    tell('2,000 photos on a job: page opened and listed', round(listMs, 3), 'ms', {
      searchInCoreMs: round(search, 3),
      searchOnThePageMs: round(performance.now() - asked, 3),
    });
  } finally {
    await browser.close();
    await stopServer(server);
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Tells every figure of the strip-down through `tell(figure, value, unit, more)`. */
export async function benchStrip(tell) {
  await ensureInstalled();
  await ensureBuilt();
  await benchMystery(tell);
  await benchLabels(tell);
  await benchPhotosAndTouches(tell);
}

if (process.argv[1]?.endsWith('bench-strip.mjs'))
  await benchStrip((figure, value, unit, more = {}) =>
    process.stdout.write(`${JSON.stringify({ figure, value, unit, ...more })}\n`),
  );
