import { expect } from '@playwright/test';
import { beginJob, copyOfDemoJob } from './shed';
import { open, test } from './tablet';

test('the way is found, shown move by move, and becomes the steps of the lift', async ({ page, request }) => {
  // A way is looked for beside other browsers here.
  const LOOKS = { timeout: 25_000 };
  await open(page, `/jobs/${await beginJob(request, 'Lift: by moves', 'longitudinal-manual')}/lift/way`);
  await expect(page.getByText('at the tightest on its way')).toBeVisible(LOOKS);
  await page.getByRole('button', { name: '25 mm', exact: true }).click();
  const moves = page.locator('.moves li');
  await expect(moves.filter({ hasText: 'goes' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Work by these moves' }).click(LOOKS);
  await expect(page.getByText('The lift goes by these moves, out and back.')).toBeVisible();
  const third = (await moves.nth(2).locator('strong').textContent()) ?? '';
  await page.reload();
  await expect(page.getByText('The lift goes by these moves, out and back.')).toBeVisible(LOOKS);
  await expect(page.getByRole('button', { name: '25 mm', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('link', { name: /^Plan/ }).click();
  await expect(page.getByText(third, { exact: true }).first()).toBeAttached();
});

test('a stand is dragged until the weight leaves it, and back', async ({ page, request }) => {
  await open(page, `/jobs/${await beginJob(request, 'Lift: stands')}/lift/balance`);
  const stand = page.locator('path.stand').first();
  const box = await stand.boundingBox();
  if (!box) throw new Error('There is no stand.');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 260, y, { steps: 8 });
  await expect(page.getByRole('alert')).toContainText(/it tips|push would tip|before the rear one/);
  await page.mouse.move(x, y, { steps: 8 });
  await page.mouse.up();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('the simulated scale is read live, and what it reads is written down', async ({ page, request }) => {
  await open(page, `/jobs/${await copyOfDemoJob(request, 'Tractor 3')}/lift`);
  await page.getByRole('button', { name: 'Simulated scale' }).click();
  await page.getByRole('button', { name: 'Comes up even' }).click();
  await expect(page.locator('.live .big')).toHaveText(/^[1-9]\d*$/);
  await page.getByRole('button', { name: 'Write this down' }).click();
  await expect(page.locator('.load')).toHaveText(/^\s*\d+ of \d+ kg on the hook/);
  await page.getByRole('button', { name: 'Switch it off' }).click();
  await expect(page.locator('.live')).toHaveCount(0);
});

test('the gear of the shop is written down once for every lift', async ({ page, request }) => {
  const job = await beginJob(request, 'Lift: gear');
  const sling = `Blue sling ${job.slice(0, 4)}`;
  await open(page, `/jobs/${job}/lift/gear`);
  await page.getByRole('button', { name: 'Another sling' }).click();
  await page.getByLabel('What it is called').fill(sling);
  await page.getByLabel('Rated, kg').fill('1500');
  await page.getByLabel('Length, mm').fill('1400');
  await page.getByRole('button', { name: 'Write it down' }).last().click();
  await expect(page.getByText(sling)).toBeVisible();
  await open(page, `/jobs/${job}/lift/rig`);
  await expect(page.getByText(sling)).toBeVisible();
});
