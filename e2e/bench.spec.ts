import { expect } from '@playwright/test';
import { copyOfDemoJob } from './shed';
import { open, test } from './tablet';

test('what pays now goes into the plan in one touch, what is left keeps its reason until handover', async ({
  page,
  request,
}) => {
  const tug = await copyOfDemoJob(request, 'Tug 2');
  await open(page, `/jobs/${tug}/bench/now-or-later`);
  const row = (name: string) => page.locator('.board li').filter({ hasText: name });
  await expect(row('Sump gasket')).toContainText('★ in the best set', { timeout: 25_000 });
  await row('Sump gasket').getByRole('radio', { name: 'Leave' }).click();
  await page.getByLabel('Reason').fill('Dry all round');
  await page.getByRole('button', { name: 'Leave it', exact: true }).click();
  await expect(row('Sump gasket')).toContainText('Left: Dry all round');
  await page.getByRole('button', { name: /^Put the best set into the plan/ }).click();
  await expect(row('Oil pick-up strainer').getByRole('radio', { name: 'Now' })).toBeChecked();
  await expect(page.getByRole('button', { name: /^Put the best set into the plan/ })).toHaveCount(0);

  await page.getByRole('tab', { name: 'Parts and money' }).click();
  await expect(page.getByText('For: Clean the oil pick-up strainer')).toBeVisible();
  await open(page, `/jobs/${tug}/plan?way=bench`);
  await expect(page.getByRole('heading', { name: 'At the bench', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: /Renew the water pump/ })).toBeVisible();
  await open(page, `/jobs/${tug}/handover`);
  await expect(page.getByText('Left for another time: the sump gasket. Dry all round')).toBeVisible();
});

test('another engine brings what is ticked, and a decision whose steps are done is not turned round', async ({
  page,
  request,
}) => {
  const pickup = await copyOfDemoJob(request, 'Pickup');
  await open(page, `/jobs/${pickup}/bench`);
  await expect(page.getByText('Engine gives way to an exchange unit.')).toBeVisible();
  await page.getByRole('button', { name: 'Decide otherwise on the engine' }).click();
  await page.getByRole('radio', { name: 'Goes back as it is' }).check();
  await page.getByRole('button', { name: 'Decide so' }).click();
  await expect(page.getByText(/steps of it are done already/)).toBeVisible();
});

test('a price list is tried before it is taken, and its bad lines are named', async ({ page, request }) => {
  const tug = await copyOfDemoJob(request, 'Tug 2');
  await open(page, `/jobs/${tug}/bench/parts`);
  const lines = Array.from({ length: 50_000 }, (_, index) => `X ${index};clip ${index};${index % 90}.50;EUR`);
  const list = ['number;name;price;currency', ...lines, 'HB 2210-4;water pump;59.90;EUR', 'HB 1;pump;9;USD'].join('\n');
  await page.locator('input[name=prices]').setInputFiles({
    name: 'hallberg.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(list),
  });
  await expect(page.getByText('50001 prices read.')).toBeVisible({ timeout: 25_000 });
  await expect(page.getByText('Line 50003: HB 1 is in USD; the shop reckons in EUR.')).toBeVisible();
  await page.getByRole('button', { name: 'Take the prices' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'water pump with gasket' })).toContainText('59.90 EUR');
});
