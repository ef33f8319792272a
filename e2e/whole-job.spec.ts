import { randomUUID } from 'node:crypto';
import type { JobWithLedger } from '@brisk/contracts/job';
import { RESULT_WORDS } from '@brisk/core/first-start';
import { foldLedger, type JobState } from '@brisk/core/ledger';
import { expect, test, type APIRequestContext, type Browser, type Page } from '@playwright/test';
import { byKeyboard, byTouch, type Hands } from './hands';
import { hand, lookedAndSet } from './shed';

/** It takes minutes, so it is run at a release: `WHOLE_JOB=1 npm run test:e2e -- whole-job`. */
test.skip(!process.env['WHOLE_JOB'], 'Run at a release');
test.describe.configure({ mode: 'parallel' });

const PHONE = { width: 390, height: 844 };
const MOST_STEPS = 700;
const SETTLED_MS = 15_000;

test('an own machine, out and back in, by touch on a phone, with a second device that is away for a stretch', async ({
  browser,
  request,
}) => {
  test.setTimeout(1_800_000);
  await wholeJob(browser, request, 'touch');
});

test('an own machine, out and back in, by the keyboard alone, with a second device that is away for a stretch', async ({
  browser,
  request,
}) => {
  test.setTimeout(1_800_000);
  await wholeJob(browser, request, 'keyboard');
});

async function wholeJob(browser: Browser, request: APIRequestContext, how: 'touch' | 'keyboard'): Promise<void> {
  const context = await browser.newContext(how === 'touch' ? { viewport: PHONE, hasTouch: true, isMobile: true } : {});
  const page = await context.newPage();
  const hands = how === 'touch' ? byTouch() : byKeyboard(page);
  const title = `Whole job by ${how}`;
  const job = await surveyed(page, hands, title);
  // Somebody else at another device, by the same plan.
  const other = await (
    await browser.newContext(how === 'touch' ? { viewport: PHONE, hasTouch: true, isMobile: true } : {})
  ).newPage();
  await other.goto(`/jobs/${job}/strip`);
  await hand(other).waitFor();
  await other.getByRole('button', { name: /^Who is recording/ }).click();
  await other.getByRole('menuitemradio', { name: 'Tobias' }).click();
  const theirs = how === 'touch' ? byTouch() : byKeyboard(other);

  let away = 0;
  for (let steps = 0; steps < MOST_STEPS; steps += 1) {
    const state = await stateOf(request, job);
    if (state.handedOver) break;
    // For a stretch of the way out the other device has no server, works on, and comes back.
    if (steps === 30) await other.context().setOffline(true);
    if (steps >= 30 && steps < 40 && (await worksAlone(other, theirs))) {
      away += 1;
      // What both do is held up at whoever comes later; the first few are theirs alone.
      if (away <= 3) continue;
    }
    if (steps === 40) {
      await other.context().setOffline(false);
      await nothingWaits(other);
    }
    await oneStep(page, hands, request, job);
  }
  const state = await stateOf(request, job);
  expect(state.handedOver?.by).toBeTruthy();
  expect(away).toBeGreaterThan(0);
  const done = [...state.progress.values()].filter(({ is }) => is === 'done').length;
  expect(done).toBe(state.work.operations.size);
  // What the device that was away did stands under the name of who did it.
  expect([...state.progress.values()].some(({ by }) => by === 'Tobias')).toBe(true);
  test.info().annotations.push({
    type: 'touches',
    description: `${hands.touches()} for ${done} steps, ${state.entries.length} entries`,
  });
  process.stdout.write(`${title}: ${hands.touches()} touches for ${done} steps, ${state.entries.length} entries\n`);
  await Promise.all([context.close(), other.context().close()]);
}

async function stateOf(request: APIRequestContext, job: string): Promise<JobState> {
  const told = (await (await request.get(`/api/jobs/${job}`)).json()) as JobWithLedger;
  return foldLedger(told.job.plan, told.entries);
}

/** Surveys a machine with the first answer to everything, and returns the job. */
async function surveyed(page: Page, hands: Hands, title: string): Promise<string> {
  await page.goto('/survey');
  await hands.press(page.getByRole('button', { name: /Transverse front engine on a cradle, front drive/ }));
  const question = page.locator('.ask h2');
  for (;;) {
    const asked = (await question.textContent()) ?? '';
    if (asked.includes('which way')) break;
    await hands.press(page.locator('.answers .answer').first());
    await expect(question).not.toHaveText(asked);
  }
  await hands.press(page.getByRole('button', { name: /Whole cradle/ }));
  await hands.write(page.getByRole('textbox', { name: 'Machine' }), `Corvane ${randomUUID().slice(0, 4)}`);
  await hands.write(page.getByLabel('Job', { exact: true }), title);
  await hands.write(page.getByRole('combobox', { name: 'Crew' }), 'Ines, Tobias');
  await hands.press(page.getByRole('button', { name: 'Work out the plan' }));
  await page.waitForURL(/\/plan$/);
  const job = /jobs\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await hands.press(page.getByRole('button', { name: 'Find a better order' }));
  await hands.press(page.getByRole('button', { name: 'Follow this plan' }));
  await hands.press(page.getByRole('link', { name: 'Begin', exact: true }));
  await hand(page).waitFor();
  return job;
}

/** A step of somebody whose device has no server; false where none of theirs is plain enough to be done so. */
async function worksAlone(page: Page, hands: Hands): Promise<boolean> {
  const done = hand(page).locator('button.done');
  if (!(await done.isVisible()) || (await page.getByRole('dialog').isVisible())) return false;
  const before = await titleOf(page);
  await hands.press(done);
  await expect(hand(page).getByRole('heading').first()).not.toHaveText(before);
  return true;
}

async function nothingWaits(page: Page): Promise<void> {
  await page.waitForFunction(
    () =>
      Object.keys(localStorage).every((key) => !key.startsWith('brisk-outbox:') || localStorage.getItem(key) === '[]'),
    undefined,
    { timeout: 60_000 },
  );
}

const titleOf = async (page: Page) => ((await hand(page).getByRole('heading').first().textContent()) ?? '').trim();

/** Whatever is next on the page: the step in hand, a hold point, an attempt to start, or the way to the next stop. */
async function oneStep(page: Page, hands: Hands, request: APIRequestContext, job: string): Promise<void> {
  const gate = page.locator('bl-hold-point').getByText('Hold point', { exact: true });
  const onward = page.getByRole('link', { name: /^(To the|Start the) / }).first();
  const over = page.getByRole('button', { name: 'Hand it over' });
  const attempt = page.getByRole('button', { name: 'Record the attempt' });
  await hand(page).or(gate).or(onward).or(over).or(attempt).first().waitFor({ timeout: SETTLED_MS });
  if (await gate.isVisible()) return sign(page, hands, request, job);
  if (await hand(page).isVisible()) return stepInHand(page, hands);
  if (await onward.isVisible()) {
    const from = page.url();
    await hands.press(onward);
    return page.waitForURL((url) => url.href !== from);
  }
  if (await over.isVisible()) {
    await hands.press(over);
    await hands.press(page.getByRole('dialog').getByRole('button', { name: 'Hand it over' }));
    return nothingWaits(page);
  }
  await hands.write(page.getByLabel('Volts at rest'), '12,6');
  await hands.write(page.getByLabel('Lowest while cranking'), '10,4');
  await hands.write(page.getByLabel('On the starter'), '3');
  await hands.pick(page.getByRole('combobox', { name: 'What it did' }), RESULT_WORDS.runs);
  await hands.press(attempt);
  return nothingWaits(page);
}

async function sign(page: Page, hands: Hands, request: APIRequestContext, job: string): Promise<void> {
  const point = page.locator('bl-hold-point');
  const name = (await point.getByRole('heading').first().textContent()) ?? '';
  await nothingWaits(page);
  // What is looked at and set by trying is done on pages of its own, and has browser runs of its own.
  await lookedAndSet(request, job);
  const grounds = page.getByRole('button', { name: /^Good: / });
  for (let left = await grounds.count(); left > 0; left = await grounds.count()) {
    await hands.press(grounds.first());
    await expect(grounds).toHaveCount(left - 1);
  }
  await expect(point.getByText(/^Not yet\./)).toHaveCount(0);
  for (const look of await point.getByRole('checkbox').all()) await hands.press(look);
  await hands.press(page.getByRole('button', { name: /^Sign as/ }));
  await expect(point.getByRole('heading', { name })).toHaveCount(0);
}

async function stepInHand(page: Page, hands: Hands): Promise<void> {
  const step = hand(page);
  const before = await titleOf(page);
  const tightened = step.getByRole('button', { name: /^(All \d+|Both|The other \d+) (clicked|at )/ });
  const bolt = step.getByRole('button', { name: /^Bolts? [\d and]+( clicked|: \d+° on)$/ });
  const clicked = step.getByRole('button', { name: /^Clicked at / });
  const done = step.locator('button.done');
  const atOnce = step.locator('button.at-once');
  await clicked.or(tightened).or(bolt).or(done).first().waitFor();
  const bolts = (await tightened.first().isVisible()) ? tightened.first() : bolt.first();
  if (await clicked.isVisible()) await hands.press(clicked);
  else if (await bolts.isVisible()) {
    const entries = await step.textContent();
    await hands.press(bolts);
    await expect(step).not.toHaveText(entries ?? '');
    return;
  } else if (await atOnce.isVisible()) {
    if (!(await hands.key('D'))) await hands.press(atOnce);
  } else if (!(await hands.key('d'))) await hands.press(done);
  // A wait is asked about, a part that is not here too.
  const dialog = page.getByRole('dialog');
  const next = step.getByRole('heading').first().filter({ hasNotText: before });
  const away = page.locator('main').filter({ hasNot: step });
  await dialog.or(next).or(away).first().waitFor({ timeout: SETTLED_MS });
  if (await dialog.isVisible()) await hands.press(dialog.getByRole('button').last());
}
