import { writeFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { RESULT_WORDS } from '@brisk/core/first-start';
import {
  asOneJoint,
  beginJob,
  choose,
  copyOfDemoJob,
  demoJob,
  findInList,
  hand,
  isNext,
  nameJob,
  surveyMachine,
  workedByCrew,
  showsFigure,
} from './shed';
import { open, reachOf, test } from './tablet';

const LONG = 'x'.repeat(2_001);

test.describe('on a device of its own', () => {
  test.use({ newDevice: true });

  test('the survey says what is missing and keeps what was typed', async ({ page }) => {
    await open(page, '/survey');
    await surveyMachine(page, /Small utility machine/, /Up off the deck/);
    await page.getByRole('button', { name: 'Work out the plan' }).click();
    for (const words of ['Machine is missing.', 'Job is missing.', 'Somebody has to be on it.'])
      await expect(page.getByText(words)).toBeVisible();
    await page.getByRole('textbox', { name: 'Machine' }).fill('x'.repeat(121));
    await page.getByLabel('Job', { exact: true }).fill('Kept');
    await page.getByLabel('Crew').fill(' , ,');
    await page.getByRole('button', { name: 'Work out the plan' }).click();
    await expect(page.getByText('Machine is too long: 120 characters at most.')).toBeVisible();
    await expect(page.getByText('Somebody has to be on it.')).toBeVisible();
    await expect(page.getByLabel('Job', { exact: true })).toHaveValue('Kept');
    await expect(page).toHaveURL(/\/survey$/);
  });
});

test('the survey keeps everything when the server is gone, and sends it once', async ({ page }) => {
  const server = await reachOf(page);
  await open(page, '/survey');
  await surveyMachine(page, /Small utility machine/, /Up off the deck/);
  await nameJob(page, 'Marram Tug', 'Tug: sent once', 'Ines');
  server.away();
  await page.getByRole('button', { name: 'Work out the plan' }).click();
  await expect(page.getByText(/server does not answer.*still here/)).toBeVisible();
  server.back();
  await page.getByRole('button', { name: 'Work out the plan' }).click();
  await expect(page).toHaveURL(/\/plan$/);
});

test('the sheets over a step say what is missing', async ({ page, request }) => {
  await open(page, `/jobs/${await demoJob(request, 'Minibus')}/strip`);
  await hand(page).getByRole('button', { name: 'Stuck' }).click();
  await page.getByRole('button', { name: 'Record it' }).click();
  await expect(page.getByText('What happened? One touch above says it.')).toBeVisible();
  await page.getByLabel('Seized').check();
  await expect(page.getByText('What was tried? “Nothing yet” will do.')).toBeVisible();
  await page.getByLabel('In words').fill(LONG);
  await expect(page.getByText('That is too long; the rest belongs into a note.')).toBeVisible();
  await page.keyboard.press('Escape');

  await hand(page).getByRole('button', { name: 'Skip' }).click();
  await page.getByRole('button', { name: 'Skip it' }).click();
  await expect(page.getByText('Reason is missing.')).toBeVisible();
  await page.getByLabel('Reason').fill(LONG);
  await expect(page.getByText('Reason is too long: 2000 characters at most.')).toBeVisible();
  await page.keyboard.press('Escape');

  await hand(page).getByRole('button', { name: 'Note' }).click();
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Note is missing.')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Found one more' }).click();
  await page.getByRole('button', { name: 'Put it on the map' }).click();
  await expect(page.getByText('What it is is missing.')).toBeVisible();
  await page.getByLabel(/What is it/).fill('a clip of no concern');
  await choose(page, 'Kind', 'clip');
  await findInList(page, 'One end at', 'battery');
  await findInList(page, 'Other end at', 'body');
  await page.getByRole('button', { name: 'Put it on the map' }).click();
  await expect(page.getByText(/ties neither the powerpack nor anything in its way/)).toBeVisible();
});

test('litres that are none are refused at the drain', async ({ page, request }) => {
  const job = await beginJob(request, 'Litres');
  await workedByCrew(request, job, (state) => isNext(state, 'drain'));
  await open(page, `/jobs/${job}/strip`);
  const step = hand(page);
  const litres = page.locator('input[name=litres]');
  await litres.fill('a bucket');
  await expect(page.getByText(/have to be a number/)).toBeVisible();
  await litres.fill('-3');
  await expect(page.getByText(/nought or more/)).toBeVisible();
  await litres.fill('60');
  await expect(page.getByText(/It holds only/)).toBeVisible();
  await step.locator('button.done').click();
  await expect(litres).toBeVisible();
  await litres.fill('4,1');
  const drained = (await step.getByRole('heading', { level: 1 }).textContent()) ?? '';
  await step.locator('button.done').click();
  await expect(step.getByRole('heading', { level: 1 })).not.toHaveText(drained);
});

test('parts to order and attempts say what is missing or makes no sense', async ({ page, request }) => {
  const deicer = await copyOfDemoJob(request, 'De-icer');
  await open(page, `/jobs/${deicer}/bench/parts`);
  await page.getByRole('button', { name: 'Something to buy' }).click();
  await page.getByLabel('How many').fill('0');
  await page.getByRole('button', { name: 'Put it on the list' }).click();
  await expect(page.getByText('Part is missing.')).toBeVisible();
  await expect(page.getByText('How many is too small: 1 at least.')).toBeVisible();
  await expect(page.getByText('Why is missing.')).toBeVisible();
  await page.getByLabel('How many').fill('1.5');
  await expect(page.getByText('How many has to be a whole number.')).toBeVisible();

  await open(page, `/jobs/${deicer}/first-start`);
  await page.getByRole('button', { name: 'Record the attempt' }).click();
  for (const words of [
    'Volts at rest is missing.',
    'Lowest volts is missing.',
    'Seconds is missing.',
    'What it did is missing.',
  ])
    await expect(page.getByText(words)).toBeVisible();
  await page.getByLabel('Volts at rest').fill('10');
  await page.getByLabel('Lowest while cranking').fill('12');
  await page.getByLabel('On the starter').fill('8');
  await choose(page, 'What it did', RESULT_WORDS.cranks);
  await page.getByRole('button', { name: 'Record the attempt' }).click();
  await expect(page.getByText('cannot be above the volts before').first()).toBeVisible();
  await expect(page.getByLabel('Volts at rest')).toHaveValue('10');
  await page.getByRole('button', { name: 'Open an issue' }).click();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('What it is is missing.')).toBeVisible();
});

test('a torque without a value, and one that is none, are refused', async ({ page, request }) => {
  const deicer = await demoJob(request, 'De-icer');
  const entries = (await (await request.get(`/api/jobs/${deicer}/ledger`)).json()) as {
    entries: { id: string; kind: string; operation?: string }[];
  };
  expect(entries.entries.length).toBeGreaterThan(100);

  const job = await beginJob(request, 'Torque');
  const upTo = entries.entries.findIndex(({ operation }) => operation === 'torque:bulkhead-shield-nuts');
  const replayed = entries.entries
    .slice(0, upTo)
    .map((entry) => ({ ...entry, id: crypto.randomUUID() }))
    .filter(({ kind }) => !kind.startsWith('torque') && !kind.startsWith('part'));
  for (let start = 0; start < replayed.length; start += 100) {
    const answer = await request.post(`/api/jobs/${job}/ledger`, {
      data: { expectedPosition: start, entries: replayed.slice(start, start + 100) },
    });
    expect(answer.status(), await answer.text()).toBe(200);
  }
  await open(page, `/jobs/${job}/refit`);
  await expect(page.getByRole('heading', { name: 'Torque the bulkhead heat shield' })).toBeVisible();
  await showsFigure(page);
  await page.getByLabel('Or what it showed').fill('75 Nm');
  await page.getByRole('button', { name: 'Bolt 1 clicked' }).click();
  await expect(page.getByText('What it showed has to be a number above 0, without its unit.')).toBeVisible();
  await asOneJoint(page);
  await page.getByRole('button', { name: 'Record torque' }).click();
  await expect(page.getByText('Value read is missing.')).toBeVisible();
  await page.getByLabel('Value read').fill('-8');
  await expect(page.getByText('Value read has to be more than 0.')).toBeVisible();
  await page.getByLabel('Value read').fill('8');
  await choose(page, 'Wrench', /^1\/2 in/);
  await page.getByRole('button', { name: 'Record torque' }).click();
  await expect(page.getByText(/Wrench not trusted at this figure/).first()).toBeVisible();
  await choose(page, 'Unit', 'lbf·ft');
  await expect(page.locator('bl-torque-entry .target')).toContainText('5.9');
});

test('a broken bundle is refused in words and nothing is taken in', async ({ page }, info) => {
  await open(page, '/yard');
  const before = await page.getByRole('listitem').count();
  const bring = async (name: string, content: string) => {
    const file = info.outputPath(name);
    writeFileSync(file, content);
    await page.locator('input[type=file]').setInputFiles(file);
  };
  await bring('short.json', '{"format":"brisk-ledger-job","version":1,');
  await expect(page.getByText(/breaks off or is not a job bundle/)).toBeVisible();
  await bring('newer.json', '{"format":"brisk-ledger-job","version":9}');
  await expect(page.getByText(/version 9.*reads up to version 4/)).toBeVisible();
  await bring('other.json', '{"a":1}');
  await expect(page.getByText(/not a job bundle of ours/)).toBeVisible();
  expect(await page.getByRole('listitem').count()).toBeGreaterThanOrEqual(before);
});

test('an unknown job and an unknown address say where to go', async ({ page }) => {
  await open(page, '/jobs/00000000-0000-4000-8000-000000000000/strip');
  await expect(page.getByRole('heading', { name: 'This job is not here' })).toBeVisible();
  await open(page, '/no/such/view');
  await page.getByRole('link', { name: 'To the yard' }).click();
  await expect(page.getByRole('heading', { name: 'Yard' })).toBeVisible();
});
