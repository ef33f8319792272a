import { burstOf, simulatedBox, type BoxReading } from '@brisk/core/instrument';
import { expect } from '@playwright/test';
import { choose, copyOfDemoJob } from './shed';
import { open, test } from './tablet';

/** Readings of an engine with a dirty plug, as a real box would send them. */
function readings(): readonly BoxReading[] {
  const box = simulatedBox('dirty-plug', 3);
  return Array.from({ length: 300 }, () => box.next().value);
}

test('a real box sends JSON lines: its burst is drawn, recorded with its trace, and told on the trouble board', async ({
  page,
  request,
}) => {
  const box = `shed-${Date.now()}`;
  const all = readings();
  const send = async (from: number, to: number) => {
    const answer = await request.post(`/api/bench-boxes/${box}/readings`, {
      headers: { 'content-type': 'application/x-ndjson' },
      data: all
        .slice(from, to)
        .map((one) => JSON.stringify(one))
        .join('\n'),
    });
    expect(answer.status(), await answer.text()).toBe(200);
  };
  const job = await copyOfDemoJob(request, 'De-icer');
  await open(page, `/jobs/${job}/first-start`);
  await page.getByRole('button', { name: 'Bench box' }).click();
  // A box is heard of as long as it sends.
  await send(0, 5);
  await page.getByRole('button', { name: 'Look for boxes' }).click();
  await choose(page, 'Which box', `Box ${box}`);
  await page.getByRole('button', { name: 'Switch it on' }).click();
  await expect(page.getByText('It stands', { exact: true })).toBeVisible();
  await send(5, 100);
  await expect(page.getByText('It runs', { exact: true })).toBeVisible();
  await send(100, all.length);
  const burst = burstOf(all);
  await expect(page.getByText(/Runs rough: .*cylinder 2 in firing order adds next to nothing/)).toBeVisible();
  await expect(page.getByLabel('Volts at rest')).toHaveValue(String(burst?.voltsBefore));
  await page.getByRole('button', { name: 'Record the attempt' }).click();
  await expect(page.getByText(/By a bench box, 2\d\d rpm/)).toBeVisible();
  await expect(page.getByText('Over each other')).toBeVisible();
  await page.reload();
  await expect(page.getByText(/By a bench box, 2\d\d rpm/)).toBeVisible();
});

test('what we know is changed, and the trouble board goes by it', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'De-icer');
  await open(page, `/jobs/${job}/first-start/known`);
  await page.getByLabel('Look for a cause or a test').fill('air in the fuel');
  await page.getByRole('button', { name: /^Change There is air in the fuel/ }).click();
  await page.getByLabel('How often, against the others').fill('0');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('How often has to be more than 0.')).toBeVisible();
  await page.getByLabel('How often, against the others').fill('900');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Changed here')).toBeVisible();
  await page.getByRole('tab', { name: 'What is wrong' }).click();
  await expect(page.locator('ol.causes li').filter({ hasText: 'There is air in the fuel' })).toContainText(/9\d %/);
  // As it ships once more, for whoever comes next.
  await page.getByRole('tab', { name: 'What we know' }).click();
  await page.getByLabel('Look for a cause or a test').fill('air in the fuel');
  await page.getByRole('button', { name: /^Take away There is air in the fuel/ }).click();
  await expect(page.getByText('Changed here')).toHaveCount(0);
});
