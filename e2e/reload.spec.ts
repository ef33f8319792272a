import { expect } from '@playwright/test';
import { demoJob, hand } from './shed';
import { open, test } from './tablet';

const views = [
  ['Sweeper', 'plan'],
  ['De-icer', 'first-start'],
  ['Fire tender', 'handover'],
] as const;

test('a reload comes back to the same stop', async ({ page, request }) => {
  for (const [title, stop] of views) {
    await open(page, `/jobs/${await demoJob(request, title)}/${stop}`);
    const heading = page.getByRole('heading').first();
    await expect(heading).toBeVisible();
    const before = await heading.textContent();
    await page.reload();
    await expect(heading).toHaveText(before ?? '');
    await expect(page).toHaveURL(new RegExp(`/${stop}$`));
  }
});

test('a step taken in hand instead of the proposed one is still in hand after a reload', async ({ page, request }) => {
  await open(page, `/jobs/${await demoJob(request, 'Minibus')}/strip`);
  const title = hand(page).getByRole('heading', { level: 1 });
  const proposed = (await title.textContent()) ?? '';
  await page.getByText(/other steps? possible now/).click();
  await page.locator('.other').first().click();
  await expect(title).not.toHaveText(proposed);
  const taken = (await title.textContent()) ?? '';
  await page.reload();
  await expect(title).toHaveText(taken);
});

test.describe('on a device of its own', () => {
  test.use({ newDevice: true });

  test('night colours stay over a reload', async ({ page }) => {
    await open(page, '/yard');
    await page.getByRole('switch', { name: 'Night' }).click();
    await page.reload();
    await expect(page.locator('html')).toHaveClass(/night/);
    await expect(page.getByRole('switch', { name: 'Night' })).toBeChecked();
  });
});
