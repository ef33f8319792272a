/** What a person with a browser waits for: drawing and moving the map, a survey, a large spreadsheet. */
import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import { completed, compose, templateOf } from '@brisk/core/layouts';
import { ensureChromium } from './chromium.mjs';

const LARGEST = { layout: 'transverse-cradle', powerpack: 'cradle', route: 'under' };
/** Everything on: the map with the most connections that the layouts can have. */
export const LARGEST_CHOICES = {
  fuel: 'petrol-direct',
  boost: 'turbo',
  throttle: 'electronic',
  steering: 'electric',
  refrigerant: 'opened',
  gasReturn: 'yes',
  canister: 'yes',
  oilCooler: 'yes',
  heater: 'yes',
  undertray: 'yes',
  driveshafts: 'hub-nuts',
  hybrid: 'yes',
};

/** The largest map, and `extra` made-up plugs and hoses between its parts on top. */
export function largeMap(extra = 0) {
  const template = templateOf(LARGEST.layout);
  const map = compose(template, completed(template, LARGEST_CHOICES));
  const kinds = ['plug', 'hose', 'clip', 'cable', 'pipe'];
  const movable = map.parts.filter(({ id }) => id !== map.body);
  const more = Array.from({ length: extra }, (_, index) => ({
    ...map.connections.find(({ id }) => id === 'upper-hose'),
    id: `extra-${index}`,
    name: `the made-up joint ${index}`,
    kind: kinds[index % kinds.length],
    between: [movable[(index * 7) % movable.length].id, movable[(index * 7 + 1 + (index % 11)) % movable.length].id],
    station: ['bay-top', 'underside', 'front'][index % 3],
    access: [],
    circuit: undefined,
  })).filter(({ between: [one, other] }) => one !== other);
  return { ...map, connections: [...map.connections, ...more] };
}

/** Frames while something is done to the page: how many, and how many took more than 50 ms. */
export async function framesWhile(page, act) {
  await page.evaluate(() => {
    window.frames_ = [];
    let last = performance.now();
    const next = (now) => {
      window.frames_.push(now - last);
      last = now;
      window.watching = requestAnimationFrame(next);
    };
    window.watching = requestAnimationFrame(next);
  });
  await act();
  const frames = await page.evaluate(() => {
    cancelAnimationFrame(window.watching);
    return window.frames_.slice(1);
  });
  return {
    frames: frames.length,
    over50ms: frames.filter((time) => time > 50).length,
    longestMs: Math.round(Math.max(...frames)),
  };
}

/** Runs the browser’s part of the benchmark against a server at `address`; `tell` prints a figure. */
export async function benchBrowser(address, tell) {
  const browser = await chromium.launch({
    executablePath: ensureChromium(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const send = async (method, path, body) => {
    const answer = await fetch(address + path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (!answer.ok) throw new Error(await answer.text());
    return answer.json();
  };
  try {
    for (const extra of [0, 300]) {
      const map = largeMap(extra);
      const id = randomUUID();
      await send('POST', '/api/jobs', {
        id,
        title: `Bench ${extra}`,
        machine: 'Bench',
        reason: 'same-back',
        crew: ['Ines'],
        ...LARGEST,
        choices: LARGEST_CHOICES,
      });
      await send('PUT', `/api/jobs/${id}/planning`, {
        revision: 1,
        plan: { map, powerpack: LARGEST.powerpack, route: LARGEST.route },
      });
      await page.goto(`${address}/jobs/${id}/survey`, { waitUntil: 'networkidle' });
      await page.locator('[data-mark]').first().waitFor();
      const frame = await page.locator('.frame').boundingBox();
      const middle = { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 };
      const drawn = await page.locator('[data-mark]').count();
      const moved = await framesWhile(page, async () => {
        await page.mouse.move(middle.x, middle.y);
        await page.mouse.wheel(0, -400);
        await page.mouse.down();
        for (let step = 0; step < 90; step += 1)
          await page.mouse.move(middle.x + 200 * Math.sin(step / 8), middle.y + 120 * Math.cos(step / 8));
        await page.mouse.up();
      });
      tell('pan and size the drawn map: frames over 50 ms', moved.over50ms, 'frames', {
        connections: map.connections.length,
        drawn,
        ...moved,
      });
      // Looked up beforehand: finding a button by its words costs the page more than drawing the map.
      const views = await Promise.all(
        [/^Below/, /^Inside/, /^Above/].map((view) => page.getByRole('button', { name: view }).boundingBox()),
      );
      const turned = await framesWhile(page, async () => {
        for (const { x, y, width, height } of views) {
          await page.mouse.click(x + width / 2, y + height / 2);
          await page.waitForTimeout(350);
        }
      });
      tell('draw the map anew from another side: longest frame', turned.longestMs, 'ms', {
        connections: map.connections.length,
        ...turned,
      });
      await page.goto(`${address}/jobs/${id}/plan`, { waitUntil: 'networkidle' });
      const look = await page.getByRole('button', { name: 'Find a better order' }).boundingBox();
      await page.mouse.move(look.x + 10, look.y + 10);
      const searching = await framesWhile(page, async () => {
        await page.mouse.click(look.x + 10, look.y + 10);
        await page.waitForTimeout(3_000);
      });
      const stop = await page.getByRole('button', { name: 'Stop, take the best' }).boundingBox();
      const taken = await framesWhile(page, async () => {
        await page.mouse.click(stop.x + 10, stop.y + 10);
        await page.waitForTimeout(700);
      });
      const steps = await page.locator('bl-setup-list .row').count();
      tell('search for a plan: frames over 50 ms on the page', searching.over50ms, 'frames', { steps, ...searching });
      tell('take a plan on: longest frame', taken.longestMs, 'ms', { steps, ...taken });
    }

    await page.goto(`${address}/survey`, { waitUntil: 'networkidle' });
    const surveyBegan = performance.now();
    let taps = 1;
    await page.getByRole('button', { name: /Transverse front engine/ }).click();
    for (;;) {
      const asked = await page.locator('.ask h2').textContent();
      if (asked.includes('which way')) break;
      await page.locator('.answers .answer').first().click();
      taps += 1;
      await page.waitForFunction((words) => document.querySelector('.ask h2')?.textContent !== words, asked);
    }
    await page.locator('.answers .answer').first().click();
    await page.getByRole('textbox', { name: 'Machine' }).fill('Bench');
    await page.getByRole('textbox', { name: 'Job' }).fill('Bench');
    await page.getByRole('combobox', { name: 'Crew' }).fill('Ines');
    await page.getByRole('button', { name: 'Work out the plan' }).click();
    await page.waitForURL(/\/plan$/);
    tell('scripted survey of an ordinary machine', (performance.now() - surveyBegan) / 1_000, 's', { taps: taps + 2 });

    const job = page.url().match(/jobs\/([^/]+)/)[1];
    await page.goto(`${address}/jobs/${job}/survey/files`, { waitUntil: 'networkidle' });
    await page.getByRole('radio', { name: 'Fasteners' }).check();
    const connections = compose(templateOf(LARGEST.layout)).connections;
    const lines = Array.from({ length: 10_000 }, (_, index) => {
      const { id } = connections[index % connections.length];
      return index % 50 === 0
        ? `${id};many;"M8, short";`
        : `${id};${(index % 9) + 1};"M8×1.25 × ${index % 60}, 13 mm";`;
    });
    const began = performance.now();
    const frames = await framesWhile(page, async () => {
      await page.locator('input[type=file]').setInputFiles({
        name: 'bench.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(`connection;count;fastener;note\n${lines.join('\n')}\n`),
      });
      await page.locator('.verdict').waitFor();
    });
    tell('CSV of 10,000 lines read, looked through and its bad lines told', (performance.now() - began) / 1_000, 's', {
      ...frames,
    });
  } finally {
    await browser.close();
  }
}
