import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { RESULT_WORDS, type StartResult } from '@brisk/core/first-start';
import { nextUp, unsettled, setCountOf, stopOf, unevenWords, type JobState } from '@brisk/core/ledger';
import type { Stop } from '@brisk/core/stops';
import {
  asOneJoint,
  choose,
  doStep,
  hand,
  isNext,
  lookedAndSet,
  nameJob,
  readTorqueOnTarget,
  showsFigure,
  sign,
  surveyMachine,
  workedByCrew,
  waited,
} from './shed';
import { open, test } from './tablet';

/** Why the joint whose torque is next is not torqued: its set does not come out even. */
function unevenTorque(state: JobState): string | undefined {
  const { kind, connection } = nextUp(state)?.operation ?? {};
  return kind === 'torque' ? unevenWords(setCountOf(state, connection ?? '')) : undefined;
}

test.use({ newDevice: true });

test('one machine, from survey to running and handed over', async ({ page, request }) => {
  test.setTimeout(240_000);
  /** Ordinary steps, which other tests do one by one, are written by a crew elsewhere; then the page is looked at again. */
  const crew = async (at: Stop, until: (state: JobState) => boolean) => {
    await expect(page).toHaveURL(new RegExp(`/${at}$`));
    // What this page recorded last is with the server before anybody elsewhere goes on from there.
    await page.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith('brisk-outbox:')));
    await workedByCrew(request, /jobs\/([^/]+)/.exec(page.url())?.[1] ?? '', until);
    const { pathname } = new URL(page.url());
    await open(page, '/yard');
    await open(page, pathname);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  };

  await test.step('Yard and survey', async () => {
    await open(page, '/yard');
    await page.getByRole('link', { name: 'New job' }).click();
    await surveyMachine(page, /Longitudinal front engine, automatic/, /Engine with gearbox Out of the top/);
    await nameJob(page, 'Corvane Tug 5, baggage tractor no. 3', 'Tractor: knocks when hot');
    await page.getByRole('button', { name: 'Work out the plan' }).click();
    await expect(page).toHaveURL(/\/plan$/);
  });

  await test.step('Plan: setups, tools and reasons', async () => {
    await expect(page.getByRole('heading', { name: 'The way out' })).toBeVisible();
    await expect(page.getByText(/^Take/).first()).toBeVisible();
    await page.getByRole('button', { name: /Unbolt the front pipe at the turbocharger/ }).click();
    await expect(page.getByRole('complementary', { name: 'The picked step' })).toContainText(
      'The heat shield covers the exhaust nuts.',
    );
    await page.reload();
    await expect(page.getByRole('complementary', { name: 'The picked step' })).toContainText('It ties the powerpack');
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('link', { name: 'Begin', exact: true }).click();
  });

  await test.step('Strip: made safe, counted, tagged, stuck, skipped, found', async () => {
    const title = hand(page).getByRole('heading', { level: 1 });
    await expect(title).toHaveText('Read the stored codes and write them down');
    await hand(page).locator('button.done').click();
    await expect(title).toHaveText('Unbolt the battery negative lead');
    await expect(page.getByText('55 still hold it').first()).toBeAttached();
    await expect(hand(page)).toContainText('Bag 1');
    await hand(page).locator('button.done').click();
    await expect(hand(page)).toContainText('Let the rail pressure fall');
    await waited(page);
    await expect(hand(page)).toContainText('Let the low side down');
    await hand(page).locator('button.done').click();
    await expect(hand(page)).toContainText('Made safe');
    await sign(page);
    await expect(page.getByRole('contentinfo', { name: 'Hold line' })).toContainText('Battery isolated');

    const stuckStep = (await hand(page).getByRole('heading', { level: 1 }).textContent()) ?? '';
    await hand(page).getByRole('button', { name: 'Stuck' }).click();
    await page.getByLabel('Seized').check();
    await page.getByLabel('In words').fill('Penetrant, letting it stand');
    await page.getByRole('button', { name: 'Record it' }).click();
    await expect(hand(page).getByRole('heading', { level: 1 })).not.toHaveText(stuckStep);
    await expect(page.getByRole('button', { name: '1 issue' })).toBeVisible();

    await hand(page).getByRole('button', { name: 'Skip' }).click();
    await page.getByLabel('Reason').fill('Socket is lent out');
    await page.getByRole('button', { name: 'Skip it' }).click();

    await page.getByRole('button', { name: 'Found one more' }).click();
    await page.getByLabel(/What is it/).fill('the radio ground behind the head');
    await choose(page, 'Kind', 'ground');
    await page.getByRole('button', { name: 'Put it on the map' }).click();
    await expect(page.getByText('56 still hold it').first()).toBeAttached();

    for (let came = 0; came < 2; came += 1) {
      await crew('strip', (state) => nextUp(state)?.comesBack ?? false);
      await expect(page.getByText('It comes back.')).toBeVisible();
      await doStep(page);
    }
    await crew('strip', (state) => unsettled(state, 'strip').length === 1);
    while ((await page.getByRole('heading', { name: 'Stripped' }).count()) === 0) await doStep(page);
    await page.getByRole('link', { name: 'To the lift' }).click();
  });

  await test.step('Lift: one found at the last moment keeps it from being signed', async () => {
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing on the map holds it');
    await page.getByRole('button', { name: 'Found one more' }).click();
    await page.getByLabel(/What is it/).fill('a hose clip on the wing');
    await choose(page, 'Kind', 'clip');
    await page.getByRole('button', { name: 'Put it on the map' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('1 still hold it');
    await expect(page.getByRole('button', { name: /missing/ })).toBeDisabled();
    await page.getByRole('button', { name: 'Leave on purpose: a hose clip on the wing' }).click();
    await page.getByLabel('Reason').fill('Comes along, cut at the wing side');
    await page.getByRole('button', { name: 'Leave it attached' }).click();
    await expect(page.getByText('Left attached on purpose: A hose clip on the wing')).toBeVisible();
    await sign(page);
    while ((await page.getByRole('heading', { name: 'It is out' }).count()) === 0) await doStep(page);
    await page.getByRole('link', { name: 'To the bench' }).click();
  });

  await test.step('Bench: parts, a seal that is worth it, notes', async () => {
    await page.getByRole('tab', { name: 'Parts and money' }).click();
    await page.getByRole('button', { name: 'Something to buy' }).click();
    await page.getByLabel('Part', { exact: true }).fill('Radiator hose');
    await page.getByLabel('Why').fill('Perished');
    await page.getByRole('button', { name: 'Put it on the list' }).click();
    await page.getByRole('button', { name: 'Ordered: Radiator hose' }).click();
    await page.getByRole('button', { name: 'It is ordered' }).click();
    await page.getByRole('button', { name: 'It is here: Radiator hose' }).click();
    await page.getByRole('button', { name: 'Compared' }).click();
    await page.getByRole('button', { name: 'Fitted: Radiator hose' }).click();
    await expect(page.getByRole('heading', { name: 'Fitted or sent back' })).toBeVisible();

    await page.getByRole('tab', { name: 'Now or later' }).click();
    const seal = page.getByRole('listitem').filter({ hasText: 'Converter seal' });
    await seal.getByRole('radio', { name: 'Now' }).click();
    await page.getByRole('tab', { name: 'Work', exact: true }).click();
    await crew('bench', (state) => unsettled(state, 'bench').length === 0);
    await expect(page.getByRole('heading', { name: 'All done at the bench' })).toBeVisible();
    await page.getByRole('button', { name: '0 notes' }).click();
    await page.getByRole('button', { name: 'Write a note' }).click();
    await page.getByRole('textbox', { name: 'Note' }).fill('Flywheel ring is fine');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('Flywheel ring is fine')).toBeVisible();
    await page.getByRole('link', { name: 'Start the refit' }).click();
  });

  await test.step('Refit: counted in, torqued, one missed and done again, one accepted', async () => {
    const value = page.getByLabel('Value read');
    await crew('refit', (state) => isNext(state, 'torque'));
    await expect(page.getByText('the maker’s own wins').first()).toBeVisible();
    await asOneJoint(page);
    await showsFigure(page);
    await value.fill('1');
    await page.getByRole('button', { name: 'Record torque' }).click();
    // Far off for a wrench: it is asked what was meant.
    await page.getByRole('radio', { name: '1 N·m', exact: true }).check();
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText(/Too low/).first()).toBeVisible();
    await readTorqueOnTarget(page);
    await expect(value).toBeHidden();

    await crew('refit', (state) => isNext(state, 'torque'));
    await expect(page.getByText('the maker’s own wins').first()).toBeVisible();
    await asOneJoint(page);
    await value.fill('400');
    await page.getByRole('button', { name: 'Record torque' }).click();
    await page.getByRole('radio', { name: '400 N·m', exact: true }).check();
    await page.getByRole('button', { name: 'Write it down' }).click();
    await page.getByRole('button', { name: 'Accept it with a reason' }).click();
    await page.getByLabel('Reason').fill('Gauge sticks; felt right, checked by a second person');
    await page.getByRole('button', { name: 'Accept it', exact: true }).click();
    await expect(page.getByRole('dialog')).toBeHidden();

    await crew('refit', (state) => {
      const { connection } = nextUp(state)?.operation ?? {};
      return isNext(state, 'connect') && (state.bags.get(connection ?? '')?.out?.count ?? 0) > 1;
    });
    await expect(hand(page)).toContainText('came out');
    await page.getByRole('button', { name: 'One less: In' }).click();
    await expect(hand(page)).toContainText(/There belong \d/);
    await doStep(page);
    await crew('refit', (state) => unevenTorque(state) !== undefined);
    await doStep(page);
    await crew('refit', (state) => stopOf(state) === 'first-start');
    await page.getByRole('link', { name: 'To the first start' }).click();
  });

  await test.step('Looked at and set before the start', async () => {
    await page.getByRole('button', { name: /joints nobody looked at/ }).click();
    await page.getByRole('link', { name: 'Look, set and try' }).first().click();
    await page.getByRole('button', { name: 'All of them went in' }).click();
    await expect(page.getByText('Every gear goes in.')).toBeVisible();
    await page.waitForFunction(() => !Object.keys(localStorage).some((key) => key.startsWith('brisk-outbox:')));
    await lookedAndSet(request, /jobs\/([^/]+)/.exec(page.url())?.[1] ?? '');
    await page.getByRole('link', { name: /First start/ }).click();
  });

  await test.step('First start: signed, tried, trouble found and closed, running', async () => {
    await sign(page);
    const attempt = async (rest: string, lowest: string, result: StartResult) => {
      await page.getByLabel('Volts at rest').fill(rest);
      await page.getByLabel('Lowest while cranking').fill(lowest);
      await page.getByLabel('On the starter').fill('8');
      await choose(page, 'What it did', RESULT_WORDS[result]);
      await page.getByRole('button', { name: 'Record the attempt' }).click();
      await expect(page.getByLabel('Volts at rest')).toHaveValue('');
    };
    await expect(hand(page)).toBeVisible();
    while (await hand(page).isVisible()) await doStep(page);
    await attempt('11.7', '9.2', 'cranks');
    await expect(page.getByText(/Nothing under 11.8 V/)).toBeVisible();
    await page.getByRole('tab', { name: 'What is wrong' }).click();
    await page.getByRole('button', { name: 'That is it: The battery is flat' }).click();
    await page.getByLabel('What was done about it').fill('Overnight on the charger');
    await page.getByRole('button', { name: 'Found', exact: true }).click();
    await expect(page.getByText('Overnight on the charger')).toBeVisible();
    await page.getByRole('tab', { name: 'Start', exact: true }).click();
    await page.getByRole('button', { name: 'Open an issue' }).click();
    await page.getByLabel(/Warning, noise/).fill('Rail pressure lamp');
    await page.getByLabel('Real').check();
    await page.getByRole('button', { name: 'Open it' }).click();
    await page.getByRole('button', { name: 'Close: Rail pressure lamp' }).click();
    await page.getByLabel(/What it was/).fill('Plug not pushed home');
    await page.getByRole('button', { name: 'Close it' }).click();
    await expect(page.getByText('✓ Rail pressure lamp')).toBeVisible();
    await attempt('12.6', '10.4', 'runs');
    await expect(hand(page)).toContainText('Warm up');
    await doStep(page);
    await crew('first-start', (state) => stopOf(state) === 'handover');
    await page.getByRole('link', { name: 'To the handover' }).click();
    await expect(page).toHaveURL(/\/handover$/);
  });

  await test.step('Handover: what is open in red, torque list, bundle, signed', async () => {
    await doStep(page);
    await crew('handover', (state) => nextUp(state) === undefined);
    const red = page.locator('.list > .grave');
    await expect(red.filter({ hasText: 'Left attached on purpose: a hose clip on the wing' })).toBeVisible();
    await expect(red.filter({ hasText: /counted out, \d+ counted in/ })).toBeVisible();
    await expect(page.getByText(/Gauge sticks/).first()).toBeVisible();
    await expect(page.getByRole('row').filter({ hasText: '2 readings' })).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Save the job bundle' }).click(),
    ]);
    const bundle = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
      ledger: unknown[];
      ledgerLength: number;
    };
    expect(bundle.ledger).toHaveLength(bundle.ledgerLength);
    await page.getByRole('button', { name: 'Hand it over' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Hand it over' }).click();
    await expect(page.getByRole('heading', { name: 'Handed over', level: 1 })).toBeVisible();
    await page.getByRole('link', { name: 'Yard' }).click();
    await expect(page.getByRole('link', { name: /Tractor: knocks when hot/ }).first()).toContainText('Handed over');
  });
});
