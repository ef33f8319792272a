import { expect, test, type Page } from '@playwright/test';
import { violations } from './axe';
import { demoJob } from './shed';

/** Every view, by the demo job it is looked at on. */
const VIEWS: Readonly<Record<string, readonly string[]>> = {
  'the shop': ['/yard', '/survey', '/nowhere', '/find?q=starter'],
  'Minibus, the way out': [
    '/survey',
    '/plan',
    '/plan?step=open:downpipe-turbo&way=back',
    '/strip',
    '/lift',
    '/bench',
    '/refit',
    '/first-start',
    '/handover',
  ],
  'Minibus, its things': ['/bags', '/bags/steering-pump-bolts', '/mystery', '/photos', '/record'],
  'Belt loader': ['/refit'],
  'De-icer': ['/bench', '/first-start', '/handover'],
  'Fire tender': ['/handover'],
  Sweeper: ['/survey', '/survey/files', '/plan', '/plan/schools', '/plan/ways', '/plan/tools'],
  'Tug 2': ['/survey/donor', '/survey/joints', '/survey/pull'],
};
/** Axe looks at the widest by day and at the narrowest by night; between them only for what sticks out. */
const SIZES = [
  { width: 1280, height: 800, looked: true },
  { width: 820, height: 1180, looked: false },
  { width: 390, height: 844, looked: false },
];

async function sidewaysPx(page: Page): Promise<number> {
  return page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
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
      await page.goto(`${at}${view}`);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(page).toHaveTitle(/· Brisk Ledger$/);
      await page.evaluate(() => document.fonts.ready);
      for (const { looked, ...size } of SIZES) {
        await page.setViewportSize(size);
        if (looked) expect.soft(await violations(page), `${view}, ${size.width} wide`).toEqual([]);
        expect.soft(await sidewaysPx(page), `${view} scrolls sideways at ${size.width}`).toBeLessThanOrEqual(0);
      }
      await page.evaluate(async () => {
        const { classList, style } = document.documentElement;
        classList.add('night');
        // Some elements keep their colour until they are laid out anew.
        style.display = 'none';
        await new Promise(requestAnimationFrame);
        style.display = '';
        await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
        await Promise.all(document.getAnimations().map(({ finished }) => finished));
      });
      expect.soft(await violations(page), `${view} at night, 390 wide`).toEqual([]);
    }
    expect(elsewhere).toEqual([]);
    expect(wrong).toEqual([]);
  });
