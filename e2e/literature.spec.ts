import { expect } from '@playwright/test';
import { beginAtBattery, LOOM_NOTES, LOOM_NOTES_PDF } from './shed';
import { open, test } from './tablet';

test('a page is found by its words, drawn on, pinned to a joint, and opened from the step in hand', async ({
  page,
  request,
}) => {
  const job = await beginAtBattery(request, 'Literature');
  await open(page, `/jobs/${job}/literature`);
  await page.locator('input[name=literature]').setInputFiles([
    { name: 'tug-loom-notes.pdf', mimeType: 'application/pdf', buffer: LOOM_NOTES_PDF },
    { name: 'no.pdf', mimeType: 'application/pdf', buffer: Buffer.from('Torque table') },
    { name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('Battery: 13 mm, minus first.\n') },
  ]);
  await expect(page.getByText('“no.pdf”: That file calls itself a PDF and is none.')).toBeVisible();
  await page.getByRole('link', { name: 'tug-loom-notes' }).click();
  await expect(page.getByRole('img', { name: 'tug-loom-notes, page 1' }).locator('canvas').first()).toBeVisible();
  // A real PDF, read in its worker: paper is white, and there is ink on it.
  const ink = await page
    .locator('bl-marked-picture canvas')
    .first()
    .evaluate((canvas: HTMLCanvasElement) => {
      const { data } = canvas.getContext('2d')?.getImageData(0, 0, canvas.width, canvas.height) ?? { data: [] };
      let dark = 0;
      for (let at = 0; at < data.length; at += 4) if ((data[at] ?? 255) < 100) dark += 1;
      return dark / (data.length / 4);
    });
  expect(ink).toBeGreaterThan(0.001);
  expect(ink).toBeLessThan(0.3);

  await page.getByLabel('Words on its pages').fill('dowels bracket');
  await page.getByLabel('Words on its pages').press('Tab');
  await page.getByRole('button', { name: '3', exact: true }).click();
  await expect(page.getByRole('img', { name: 'tug-loom-notes, page 3' })).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'The page is being drawn' })).toHaveCount(0);
  await page.getByRole('radio', { name: 'Ring' }).click();
  const paper = await page.locator('bl-marked-picture canvas').first().boundingBox();
  if (!paper) throw new Error('No page is shown');
  await page.mouse.move(paper.x + 120, paper.y + 140);
  await page.mouse.down();
  await page.mouse.move(paper.x + 170, paper.y + 140, { steps: 4 });
  await page.mouse.up();
  await page.getByLabel('Words at the mark').fill('Long one');
  await page.getByRole('button', { name: 'Keep what is drawn' }).click();

  await page.getByLabel('What for').fill('Which are long');
  await page.getByLabel('Joint, part or step').fill('battery negative');
  await page.getByRole('option').first().click();
  await page.getByRole('button', { name: 'Pin it there' }).click();
  await expect(page.getByRole('button', { name: /^Take off: .*battery negative/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Take off: .*battery negative/ })).toBeVisible();

  await open(page, `/jobs/${job}/strip`);
  await page.getByRole('link', { name: /tug-loom-notes, page 3: Which are long/ }).click();
  await expect(page).toHaveURL(new RegExp(`/literature/${LOOM_NOTES}/3$`));
  await open(page, `/find?q=long one`);
  await expect(page.getByRole('link', { name: /Long one.*page 3 of “tug-loom-notes”/ })).toBeVisible();
});
