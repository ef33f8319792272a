import { expect } from '@playwright/test';
import { violations } from './axe';
import { demoJob } from './shed';
import { open, test } from './tablet';

// What is begun here is left half done.
test.describe('on a device of its own', () => {
  test.use({ newDevice: true });

  test('no question of the survey and no form of the map has a fault of access', async ({ page, request }) => {
    await open(page, '/survey');
    await page.getByRole('button', { name: /Transverse front engine on a cradle, front drive/ }).click();
    await page.getByRole('button', { name: /Petrol, carburettor/ }).click();
    expect(await violations(page), 'question').toEqual([]);
    await open(page, `/jobs/${await demoJob(request, 'Minibus')}/survey`);
    await page.getByRole('button', { name: /^The upper radiator hose/ }).click();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    expect(await violations(page), 'connection').toEqual([]);
    await page.getByRole('button', { name: 'Leave it' }).click();
    await page.getByRole('button', { name: 'Add a part' }).click();
    expect(await violations(page), 'part').toEqual([]);
  });
});

test('no sheet over a view has a fault of access', async ({ page, request }) => {
  const minibus = await demoJob(request, 'Minibus');
  await open(page, `/jobs/${minibus}/strip`);
  for (const key of ['?', 'x', 's', 'n', 'f', 'h', 'i']) {
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.waitForTimeout(300);
    expect(await violations(page), `sheet ${key}`).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
});

test('targets on the working screen are large enough for gloves', async ({ page, request }) => {
  await open(page, `/jobs/${await demoJob(request, 'Minibus')}/strip`);
  const done = page.locator('button.done');
  await done.waitFor();
  const boxes = await page
    .locator('main button:visible, main mat-checkbox label:visible')
    .evaluateAll((elements) =>
      elements.map((element) => ({ words: element.textContent, height: element.getBoundingClientRect().height })),
    );
  expect(boxes.length).toBeGreaterThan(4);
  expect(boxes.filter(({ height }) => height < 48)).toEqual([]);
  expect((await done.boundingBox())?.height).toBeGreaterThanOrEqual(72);
});
