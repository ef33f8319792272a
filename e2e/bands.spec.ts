import { expect, type Page } from '@playwright/test';
import type { JobWithLedger } from '@brisk/contracts/job';
import { foldLedger, nextUp } from '@brisk/core/ledger';
import { copyOfDemoJob, hand, workedByCrew } from './shed';
import { wrongAtStep } from './seen';
import { open, test } from './tablet';

const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
  { width: 320, height: 640 },
];
const TEXT = [100, 130, 200];
const SETTLES_MS = 600;
/** All of them at a release (`BANDS=all`); in the daily run those that stand for others are passed over. */
const ALL = process.env['BANDS'] === 'all';
const JOBS = ['Minibus', 'Belt loader', 'Pickup', 'Sweeper'];

for (const title of ALL ? [...JOBS, 'Tug 2', 'De-icer', 'Fire tender', 'Stair'] : JOBS.slice(0, 2))
  test(`nothing that is signed for, no caution and no key is hidden at a step of: ${title}`, async ({
    page,
    request,
  }) => {
    test.setTimeout(ALL ? 3_600_000 : 180_000);
    const job = await copyOfDemoJob(request, title);
    const seen = new Set<string>();
    const problems: string[] = [];
    for (let steps = 0; steps < (ALL ? 400 : 7); steps += 1) {
      // On to the next step that asks for something no other did.
      let like = '';
      await workedByCrew(request, job, (state) => {
        const operation = nextUp(state)?.operation;
        if (!operation) return false;
        const connection =
          operation.connection === undefined ? undefined : state.work.connections.get(operation.connection);
        like = ALL
          ? operation.id
          : [operation.kind, operation.phase, operation.cautions.length, connection?.kind, operation.photo].join(' ');
        // The torque’s own keys are long, and told of at a release.
        return !seen.has(like) && (ALL || operation.kind !== 'torque');
      });
      if (seen.has(like)) break;
      seen.add(like);
      const told = (await (await request.get(`/api/jobs/${job}`)).json()) as JobWithLedger;
      const next = nextUp(foldLedger(told.job.plan, told.entries));
      if (!next) break;
      await open(page, `/jobs/${job}/${stopOf(next.operation.phase)}`);
      if (
        !(await hand(page)
          .isVisible()
          .catch(() => false))
      )
        continue;
      await expect(hand(page).locator('.keys-band')).toBeVisible();
      for (const size of SIZES) {
        await page.setViewportSize(size);
        for (const percent of TEXT) {
          // At the two large sizes what stands at 200 % stands at 130 % as well.
          if (!ALL && size.width > 700 && percent === 130) continue;
          await page.evaluate((to) => (document.documentElement.style.fontSize = `${to}%`), percent);
          for (const words of await wrongOnceSettled(page))
            problems.push(`${next.operation.title} at ${size.width}×${size.height}, ${percent} %: ${words}`);
        }
      }
      await page.evaluate(() => (document.documentElement.style.fontSize = ''));
      await page.setViewportSize(SIZES[0] ?? { width: 1280, height: 800 });
    }
    expect(seen.size).toBeGreaterThan(5);
    expect(problems).toEqual([]);
  });

/** What is wrong once the page has come to rest: on a busy machine a new size is taken on piece by piece. */
async function wrongOnceSettled(page: Page): Promise<readonly string[]> {
  const wrong = await wrongAtStep(page);
  if (wrong.length === 0) return wrong;
  await page.waitForTimeout(SETTLES_MS);
  return wrongAtStep(page);
}

function stopOf(phase: string): string {
  return phase === 'handover' ? 'handover' : phase;
}
