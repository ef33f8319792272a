import { readFileSync } from 'node:fs';
import { expect } from '@playwright/test';
import { beginJob, choose, copyOfDemoJob, draftOnDevice, nameJob, surveyMachine } from './shed';
import { open, test } from './tablet';

test('an ordinary machine is surveyed in 25 taps, and nobody has to know everything', async ({ page }) => {
  await open(page, '/survey');
  const taps = await surveyMachine(page, /Transverse front engine on a cradle, front drive/, /Whole cradle/, {
    'Is there an oil cooler?': /^Yes/,
  });
  expect(taps).toBeLessThanOrEqual(25);
  await nameJob(page, 'Corvane Brush 9', 'Brush: smokes');
  await page.getByRole('button', { name: 'Work out the plan' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.getByText('Whole cradle, down on the cradle')).toBeVisible();
});

test('what nobody knew is asked again on the survey, and the map follows', async ({ page }) => {
  await open(page, '/survey');
  await page.getByRole('button', { name: /Small utility machine/ }).click();
  await page.getByRole('button', { name: /Petrol, carburettor/ }).click();
  const question = page.locator('.ask h2');
  for (let asked = await question.textContent(); !asked?.includes('which way'); asked = await question.textContent()) {
    await page.getByRole('button', { name: /Don’t know/ }).click();
    await expect(question).not.toHaveText(asked ?? '');
  }
  await page.getByRole('button', { name: /Up off the deck/ }).click();
  await nameJob(page, 'Larkmoor mower', 'Mower: no spark');
  await page.getByRole('button', { name: 'Work out the plan' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await page.getByRole('link', { name: /Survey/ }).click();
  const look = page.getByRole('region', { name: 'To be looked at' });
  await expect(look).toContainText('Somebody look');
  const asked = await look.locator('.question').textContent();
  await look.getByRole('button').first().click();
  await expect(look.locator('.question')).not.toHaveText(asked ?? '');
  await page.reload();
  await expect(look.locator('.question')).not.toHaveText(asked ?? '');
});

test.describe('on a device of its own', () => {
  test.use({ newDevice: true });

  test('a map is changed, undone, kept, and stays over a reload; the next survey offers it', async ({
    page,
    request,
  }) => {
    const job = await beginJob(request, 'Map: changed');
    await open(page, `/jobs/${job}/survey`);
    await page.getByRole('button', { name: /^The upper radiator hose/ }).click();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    const changes = page.getByRole('region', { name: 'Changes of the map' });
    await expect(changes).toContainText('2 fewer');
    await page.keyboard.press('z');
    await expect(changes).toBeHidden();
    await page.keyboard.press('y');
    await expect(changes).toContainText('2 fewer');
    await draftOnDevice(page);
    await page.reload();
    await expect(changes).toContainText('2 fewer');
    await changes.getByRole('button', { name: 'Keep changes' }).click();
    await expect(changes).toBeHidden();
    await page.reload();
    await expect(page.getByRole('button', { name: /^The upper radiator hose/ })).toHaveCount(0);

    await page.getByRole('button', { name: 'Keep as the shop’s own map' }).click();
    await page.getByLabel('Name').fill('Test carrier, no upper hose');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Kept as “Test carrier, no upper hose”')).toBeVisible();
    await open(page, '/survey');
    await page
      .getByRole('button', { name: /^Test carrier, no upper hose/ })
      .first()
      .click();
    await page.getByRole('button', { name: /Bare engine/ }).click();
    await nameJob(page, 'Test carrier no. 2', 'From the shop’s own');
    await page.getByRole('button', { name: 'Work out the plan' }).click();
    await expect(page).toHaveURL(/\/plan$/);
  });
});

test('two people change one map: the second is told, and nothing of either is lost', async ({ browser, request }) => {
  const job = await beginJob(request, 'Map: changed by two');
  const [one, other] = await Promise.all([browser.newPage(), browser.newPage()]);
  for (const page of [one, other]) await open(page, `/jobs/${job}/survey`);
  const remove = async (page: typeof one, name: RegExp) => {
    await page.getByRole('button', { name }).click();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
  };
  await remove(one, /^The upper radiator hose/);
  await remove(other, /^The lower radiator hose/);
  // The other does not hear of it by itself before it keeps its own.
  let hear: () => void = () => undefined;
  const heard = new Promise<void>((done) => (hear = done));
  await other.route(/\/ledger\?after=/, async (route) => {
    await heard;
    await route.continue();
  });
  await one.getByRole('button', { name: 'Keep changes' }).click();
  await expect(one.getByRole('region', { name: 'Changes of the map' })).toBeHidden();
  await other.getByRole('button', { name: 'Keep changes' }).click();
  await expect(other.getByRole('alert')).toContainText('Yours now stands on top of theirs');
  hear();
  await other.getByRole('button', { name: 'Keep changes' }).click();
  await expect(other.getByRole('region', { name: 'Changes of the map' })).toBeHidden();
  await other.reload();
  await expect(other.getByRole('button', { name: /^The breather hose/ })).toBeVisible();
  await expect(other.getByRole('button', { name: /^The (upper|lower) radiator hose/ })).toHaveCount(0);
  await other.close();
});

test('the picture is tapped, turned and sized', async ({ page, request }) => {
  await open(page, `/jobs/${await beginJob(request, 'Map: looked at')}/survey`);
  await page.locator('[data-part=alternator] .face').click({ position: { x: 5, y: 5 } });
  await expect(page.getByRole('heading', { name: /At the alternator/ })).toBeVisible();
  await page.getByRole('button', { name: /^Below/ }).click();
  await expect(page.locator('[data-part=starter]')).toBeVisible();
  const paper = page.locator('bl-map-picture svg > g').first();
  await page.getByRole('button', { name: 'Larger' }).click();
  await expect(paper).toHaveAttribute('transform', /scale\(1\.4\)/);
  await page.getByRole('group', { name: /Picture of the map/ }).press('0');
  await expect(paper).toHaveAttribute('transform', /scale\(1\)/);
});

test('a spreadsheet goes out, is changed, and comes in with its bad lines told', async ({ page, request }) => {
  await open(page, `/jobs/${await beginJob(request, 'Map: by spreadsheet')}/survey/files`);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Connections as CSV' }).click();
  const text = readFileSync(await (await saved).path(), 'utf8');
  expect(text).toContain('the upper radiator hose at the thermostat');
  const lines = text.split('\r\n');
  const changed = lines.map((line) => line.replace('the breather hose', 'the new breather hose'));
  changed.push(',a hose from nowhere,hose,nowhere,engine,,bay-top,,,,,,,,');
  await page.getByLabel('Pick a CSV file').setInputFiles({
    name: 'changed.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(changed.join('\r\n')),
  });
  await expect(page.getByText('0 new, 1 changed')).toBeVisible();
  await expect(page.getByRole('row', { name: /nowhere/ })).toContainText('There is no part “nowhere” on the map.');
  await page.getByRole('button', { name: 'Take the good lines' }).click();
  await page.getByRole('button', { name: 'Keep changes' }).click();
  await page.getByRole('tab', { name: 'Map', exact: true }).click();
  await expect(page.getByRole('button', { name: /^The new breather hose/ })).toBeVisible();
});

test('a donor is looked over, its joints decided, and its pull list ticked on a phone', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Tug 2');
  await open(page, `/jobs/${job}/survey/donor`);
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict).toContainText('Look closer');
  await page.getByRole('radio', { name: 'Flakes' }).check();
  await expect(verdict).toContainText('Leave it');
  await expect(verdict).toContainText('Flakes of bearing in the filter.');
  await page.reload();
  await expect(verdict).toContainText('Leave it');

  await page.getByRole('tab', { name: 'Joints' }).click();
  await choose(page, 'What is done: the front pipe at the turbocharger', 'Buy');
  await expect(page.getByText(/steps more/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'What is done: the front pipe at the turbocharger' })).toHaveText(
    'Buy',
  );

  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, `/jobs/${job}/survey/pull`);
  const dipstick = page.getByRole('checkbox', { name: /Dipstick and its tube/ });
  await dipstick.check();
  await page.reload();
  await expect(dipstick).toBeChecked();
});
