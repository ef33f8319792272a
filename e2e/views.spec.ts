import { expect, type Page } from '@playwright/test';
import { violations } from './axe';
import { demoJob, LOOM_NOTES } from './shed';
import { open, test } from './tablet';

/** Every view, by the demo job it is looked at on. */
const DAILY: Readonly<Record<string, readonly string[]>> = {
  'the shop': ['/yard', '/survey', '/nowhere', '/find?q=starter'],
  'Minibus, the way out': ['/plan?step=open:downpipe-turbo', '/strip', '/lift', '/lift/balance', '/lift/gear'],
  'Minibus, its things': ['/bags', '/bags/steering-pump-bolts', '/mystery', '/photos', '/literature', '/record'],
  'Belt loader': ['/refit', '/refit/together', '/refit/set', '/refit/fluids', '/refit/wrenches'],
  'De-icer': [
    '/first-start',
    '/first-start/ready',
    '/first-start/battery',
    '/first-start/trouble',
    '/first-start/known',
  ],
  'Fire tender': ['/handover'],
  'Stair truck': ['/first-start/running-in'],
  'Ramp van': ['/lift/way'],
  'Tractor 3': ['/lift/rig'],
  Sweeper: ['/survey/files', '/plan', '/plan/schools', '/plan/ways', '/plan/tools'],
  Pickup: ['/bench', '/bench/looked', '/bench/where', '/refit/first-in', '/plan?way=bench'],
  'Tug 2': [
    '/bench/now-or-later',
    '/bench/parts',
    '/bench/looms',
    `/literature/${LOOM_NOTES}/3`,
    '/survey/donor',
    '/survey/joints',
    '/survey/pull',
  ],
};
/** The same views on jobs that stand otherwise, looked at before a release (`VIEWS=all`). */
const AT_A_RELEASE: typeof DAILY = {
  Minibus: ['/bench', '/refit', '/first-start', '/handover'],
  'De-icer, before and after': ['/bench', '/refit/set', '/refit/fluids', '/handover'],
  'Stair truck, under way': ['/first-start', '/first-start/trouble'],
  'Tractor 3, its way': ['/lift', '/lift/way'],
  'Sweeper, its survey': ['/survey'],
  'Tug 2, its papers': ['/literature'],
};
const VIEWS = { ...DAILY, ...(process.env['VIEWS'] === 'all' ? AT_A_RELEASE : {}) };
/** Axe looks at everything at the widest, and at the looks of the narrowest by night; at each for what sticks out. */
const WIDE = { width: 1280, height: 800 };
const NARROWER = [
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
  { width: 320, height: 640 },
];

/** Turns the whole page to its colours of the night, or of the day. */
async function turnTo(page: Page, light: 'day' | 'night'): Promise<void> {
  await page.evaluate(async (night) => {
    const { classList, style } = document.documentElement;
    classList.toggle('night', night);
    // As it stands when it is opened, not scrolled to where the view before it was.
    window.scrollTo(0, 0);
    // Some elements keep their colour until they are laid out anew.
    style.display = 'none';
    // Asked for, or both changes are one and nothing is laid out between them.
    void document.body.offsetHeight;
    style.display = '';
    await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
    // One that is called off has come to its end too.
    await Promise.allSettled(document.getAnimations().map(({ finished }) => finished));
  }, light === 'night');
}

/** Faults of looks that last: what is on its way from one colour to the other is looked at again. */
async function lastingFaults(page: Page): Promise<readonly string[]> {
  let faults = await violations(page, 'looks');
  for (let again = 0; faults.length > 0 && again < 4; again += 1) {
    await page.waitForTimeout(400);
    faults = await violations(page, 'looks');
  }
  return faults;
}

/** What pushes the page off its right side, where it scrolls sideways. */
async function sticksOut(page: Page): Promise<readonly string[]> {
  return page.evaluate(() => {
    const { scrollWidth, clientWidth } = document.documentElement;
    if (scrollWidth <= clientWidth) return [];
    return [...document.querySelectorAll('body *')]
      .filter((element) => element.getBoundingClientRect().right > clientWidth + 1)
      .map((element) => `${element.tagName} ${element.className}: ${(element.textContent ?? '').trim().slice(0, 60)}`)
      .slice(-5);
  });
}

/** Words on the page that have a place in them which nobody filled: “raised , by the plan”, “NaN min”. */
async function emptySlots(page: Page): Promise<readonly string[]> {
  const words = await page.evaluate(() => document.body.innerText);
  return words
    .split('\n')
    .filter((line) => /\b(undefined|NaN|null)\b|\[object |\w ,|\(\s*\)|,\s*,|\w \.(\s|$)/.test(line))
    .map((line) => line.trim());
}

for (const [job, views] of Object.entries(VIEWS))
  test(`the views of ${job} are named, whole at every size, by day and night, and all our own`, async ({
    page,
    request,
    baseURL,
  }) => {
    const elsewhere: string[] = [];
    const wrong: string[] = [];
    page.on('request', (sent) => {
      if (!sent.url().startsWith(baseURL ?? '') && !/^(data|blob):/.test(sent.url())) elsewhere.push(sent.url());
    });
    page.on('console', (message) => message.type() === 'error' && wrong.push(message.text()));
    page.on('pageerror', (error) => wrong.push(error.message));

    const at = job === 'the shop' ? '' : `/jobs/${await demoJob(request, job.split(',')[0] ?? '')}`;
    for (const view of views) {
      await page.setViewportSize(WIDE);
      await open(page, `${at}${view}`);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await page.evaluate(() => document.fonts.ready);
      await expect(page).toHaveTitle(/· Brisk Ledger$/);
      expect.soft(await violations(page), `${view}, ${WIDE.width} wide`).toEqual([]);
      for (const size of [WIDE, ...NARROWER]) {
        await page.setViewportSize(size);
        expect.soft(await sticksOut(page), `${view} scrolls sideways at ${size.width}`).toEqual([]);
      }
      expect.soft(await emptySlots(page), `${view} has a place that nobody filled`).toEqual([]);
      await page.evaluate(() => (document.documentElement.style.fontSize = '200%'));
      await page.setViewportSize(WIDE);
      expect.soft(await sticksOut(page), `${view} scrolls sideways in large letters`).toEqual([]);
      await page.evaluate(() => (document.documentElement.style.fontSize = ''));
      await page.setViewportSize(NARROWER.at(-1) ?? WIDE);
      await turnTo(page, 'night');
      expect.soft(await lastingFaults(page), `${view} at night, narrow`).toEqual([]);
      await turnTo(page, 'day');
    }
    expect(elsewhere).toEqual([]);
    expect(wrong).toEqual([]);
  });
