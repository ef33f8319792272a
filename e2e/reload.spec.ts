import { expect, test } from '@playwright/test';
import { demoJob, hand } from './shed';

const views = [
  ['Minibus', 'survey'],
  ['Sweeper', 'survey/files'],
  ['Sweeper', 'plan/ways'],
  ['Sweeper', 'plan/schools'],
  ['Sweeper', 'plan/tools'],
  ['Tug 2', 'survey/donor'],
  ['Tug 2', 'survey/joints'],
  ['Tug 2', 'survey/pull'],
  ['Minibus', 'plan'],
  ['Minibus', 'strip'],
  ['Minibus', 'lift'],
  ['Minibus', 'bags'],
  ['Minibus', 'bags/steering-pump-bolts'],
  ['Minibus', 'mystery'],
  ['Minibus', 'photos'],
  ['Minibus', 'record'],
  ['De-icer', 'bench'],
  ['Belt loader', 'refit'],
  ['De-icer', 'first-start'],
  ['Fire tender', 'handover'],
] as const;

test('a reload comes back to the same stop, and the tab is named after it', async ({ page, request }) => {
  for (const [title, stop] of views) {
    await page.goto(`/jobs/${await demoJob(request, title)}/${stop}`);
    const heading = page.getByRole('heading').first();
    await expect(heading).toBeVisible();
    const before = await heading.textContent();
    await page.reload();
    await expect(heading).toHaveText(before ?? '');
    await expect(page).toHaveTitle(/· Brisk Ledger$/);
    await expect(page).toHaveURL(new RegExp(`/${stop}$`));
  }
});

test('a step taken in hand instead of the proposed one is still in hand after a reload', async ({ page, request }) => {
  await page.goto(`/jobs/${await demoJob(request, 'Minibus')}/strip`);
  const title = hand(page).getByRole('heading', { level: 1 });
  const proposed = (await title.textContent()) ?? '';
  await page.getByText(/other steps? possible now/).click();
  await page.locator('.other').first().click();
  await expect(title).not.toHaveText(proposed);
  const taken = (await title.textContent()) ?? '';
  await page.reload();
  await expect(title).toHaveText(taken);
});

test('night colours stay over a reload', async ({ page }) => {
  await page.goto('/yard');
  await page.getByRole('button', { name: 'Night colours' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveClass(/night/);
  await expect(page.getByRole('button', { name: 'Day colours' })).toBeVisible();
});

test('nothing is fetched from anywhere but the server itself', async ({ page, request, baseURL }) => {
  const elsewhere: string[] = [];
  const wrong: string[] = [];
  page.on('request', (sent) => {
    if (!sent.url().startsWith(baseURL ?? '') && !sent.url().startsWith('data:')) elsewhere.push(sent.url());
  });
  page.on('console', (message) => message.type() === 'error' && wrong.push(message.text()));
  page.on('pageerror', (error) => wrong.push(error.message));
  for (const [title, stop] of views) {
    await page.goto(`/jobs/${await demoJob(request, title)}/${stop}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
  }
  expect(elsewhere).toEqual([]);
  expect(wrong).toEqual([]);
});
