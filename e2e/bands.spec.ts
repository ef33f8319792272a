import { expect, test, type Page } from '@playwright/test';
import type { JobWithLedger } from '@brisk/contracts/job';
import { foldLedger, nextUp, type JobState, type NextUp } from '@brisk/core/ledger';
import { RAISING } from '@brisk/core/planning';
import { copyOfDemoJob, hand, workedByCrew } from './shed';
import { wrongAtStep } from './seen';
import { open } from './tablet';

const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
  { width: 320, height: 640 },
];
const SETTLES_MS = 600;
/** Every step of every job of the demo at a release (`BANDS=all`); in the daily run those that stand for others. */
const ALL = process.env['BANDS'] === 'all';
/** In the daily run what stands at both ends stands between them. */
const TEXT = ALL ? [100, 130, 200] : [100, 200];
const JOBS = ['Belt loader', 'Minibus', 'Pickup', 'Sweeper'];

// The other jobs of the demo have no step left.
for (const title of ALL ? [...JOBS, 'Tug 2', 'Ramp van', 'Tractor 3'] : JOBS.slice(0, 1))
  test(`nothing that is signed for, no caution and no key is hidden at a step of: ${title}`, async ({
    browser,
    request,
  }) => {
    test.setTimeout(ALL ? 3_600_000 : 180_000);
    const job = await copyOfDemoJob(request, title);
    // One device of each size at the same job: what the crew writes comes to all of them by the bell.
    const pages = await Promise.all(SIZES.map((viewport) => browser.newPage({ viewport })));
    const seen = new Set<string>();
    const problems: string[] = [];
    for (let steps = 0; steps < (ALL ? 600 : 8); steps += 1) {
      // On to the next step that asks for something no other did.
      let like = '';
      await workedByCrew(request, job, (state) => {
        const next = nextUp(state);
        if (!next) return false;
        like = likeOf(state, next);
        return !seen.has(like);
      });
      const told = (await (await request.get(`/api/jobs/${job}`)).json()) as JobWithLedger;
      const next = nextUp(foldLedger(told.job.plan, told.entries));
      if (!next || seen.has(like)) break;
      seen.add(like);
      for (const words of (await Promise.all(pages.map((page) => wrongAt(page, job, next)))).flat())
        problems.push(`${next.operation.title}: ${words}`);
    }
    await Promise.all(pages.map((page) => page.close()));
    expect(seen.size).toBeGreaterThan(5);
    expect([...new Set(problems)]).toEqual([]);
  });

/** What a step asks for; at a release each is one by itself. */
function likeOf(state: JobState, { operation, moveTo }: NextUp): string {
  if (ALL) return `${operation.id} ${moveTo}`;
  const { kind } = state.work.connections.get(operation.connection ?? '') ?? {};
  return [operation.kind, operation.cautions.length > 0, kind, operation.photo, moveTo].join(' ');
}

/** What is wrong with the step on `page`, at every size of text. */
async function wrongAt(page: Page, job: string, next: NextUp): Promise<readonly string[]> {
  const { operation, moveTo } = next;
  const address = `/jobs/${job}/${operation.phase}`;
  if (!page.url().includes(address)) await open(page, address);
  const titles = moveTo
    ? Object.values(RAISING).map((by) => by[moveTo].title)
    : [operation.title, operation.title.replace(/^Sign: /, '')];
  const shown = await page
    .waitForFunction(
      (expected) => expected.includes(document.querySelector('.hand h1, .hand h2')?.textContent?.trim() ?? ''),
      titles,
      { timeout: 15_000 },
    )
    .catch(() => undefined);
  // Steps of the lift and of the start that are not in hand yet stand on pages of their own kind.
  if (!shown || !(await hand(page).isVisible())) return [];
  const wrong: string[] = [];
  for (const percent of TEXT) {
    await page.evaluate((to) => (document.documentElement.style.fontSize = `${to}%`), percent);
    const width = page.viewportSize()?.width;
    for (const words of await wrongOnceSettled(page)) wrong.push(`${width} px wide, ${percent} %: ${words}`);
  }
  await page.evaluate(() => (document.documentElement.style.fontSize = ''));
  return wrong;
}

/** What is wrong once the page has come to rest: on a busy machine a new size is taken on piece by piece. */
async function wrongOnceSettled(page: Page): Promise<readonly string[]> {
  const wrong = await wrongAtStep(page);
  if (wrong.length === 0) return wrong;
  await page.waitForTimeout(SETTLES_MS);
  return wrongAtStep(page);
}
