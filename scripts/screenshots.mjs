/**
 * Takes one picture of each main view, from the demo data, into docs/screenshots. It needs a running demo
 * (`npm run demo`). Options: --out FOLDER, --size 390x844, --night, --only NAME.
 */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { ensureChromium } from './chromium.mjs';
import { demoCookie, leaveDemo } from './demo-people.mjs';
import { root, say } from './say.mjs';

const address = process.env.BRISK_ADDRESS ?? 'http://127.0.0.1:4310';
const option = (name) => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? undefined : process.argv[at + 1];
};
const out = option('out') ?? join(root, 'docs/screenshots');
const [width, height] = (option('size') ?? '1280x800').split('x').map(Number);
const only = option('only');
mkdirSync(out, { recursive: true });

const cookie = await demoCookie(address, 'Screenshots');
const jobs = await (await fetch(`${address}/api/jobs`, { headers: cookie ? { cookie } : {} })).json();
const job = (title) => jobs.find((one) => one.title.startsWith(title)).id;
const minibus = job('Minibus');
const views = {
  yard: '/yard',
  survey: `/jobs/${minibus}/survey`,
  donor: `/jobs/${job('Tug 2')}/survey/donor`,
  plan: `/jobs/${job('Sweeper')}/plan`,
  'ways-out': `/jobs/${job('Sweeper')}/plan/ways`,
  strip: `/jobs/${minibus}/strip?hand=open:downpipe-turbo`,
  bags: `/jobs/${minibus}/bags`,
  mystery: `/jobs/${minibus}/mystery`,
  literature: [`/jobs/${job('Tug 2')}/literature`, 'The bell housing'],
  lift: `/jobs/${minibus}/lift/way`,
  bench: `/jobs/${job('Pickup')}/bench`,
  'now-or-later': `/jobs/${job('Tug 2')}/bench/now-or-later`,
  parts: `/jobs/${job('Tug 2')}/bench/parts`,
  people: '/people',
  refit: `/jobs/${job('Belt loader')}/refit`,
  'first-in': `/jobs/${job('Pickup')}/refit/first-in`,
  fluids: `/jobs/${job('Belt loader')}/refit/fluids`,
  'first-start': `/jobs/${job('De-icer')}/first-start/trouble`,
  handover: `/jobs/${job('De-icer')}/handover`,
};

const browser = await chromium.launch({
  executablePath: ensureChromium(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
});
const page = await browser.newPage({
  serviceWorkers: 'block',
  viewport: { width, height },
  colorScheme: process.argv.includes('--night') ? 'dark' : 'light',
});
if (cookie) {
  const [name, ...value] = cookie.split('=');
  await page.context().addCookies([{ name, value: value.join('='), url: address }]);
}
page.on('console', (message) => message.type() === 'error' && say(`console: ${message.text()}`));
page.on('pageerror', (error) => say(`page error: ${error.message}`));
for (const [name, path] of Object.entries(views)) {
  if (only && only !== name) continue;
  const [start, ...taps] = [path].flat();
  await page.goto(address + start, { waitUntil: 'networkidle' });
  for (const words of taps)
    await page
      .getByRole('button', { name: words })
      .or(page.getByRole('link', { name: words }))
      .first()
      .click();
  await page.evaluate(() => document.fonts.ready);
  // Figures of the planner come out of a worker.
  if (['schools', 'ways-out'].includes(name)) await page.waitForTimeout(9_000);
  if (name === 'lift') {
    await page.getByText('One more part off').waitFor();
    for (let move = 0; move < 4; move += 1) await page.getByRole('button', { name: 'Next move' }).click();
  }
  if (name === 'now-or-later') await page.locator('.board li').first().waitFor();
  if (name === 'literature') await page.locator('bl-marked-picture canvas').first().waitFor();
  await page.screenshot({ path: join(out, `${name}.png`) });
  say(name);
}
await browser.close();
await leaveDemo(address, cookie);
