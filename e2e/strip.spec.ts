import { randomUUID } from 'node:crypto';
import { expect, type APIRequestContext, type Page } from '@playwright/test';
import sharp from 'sharp';
import { beginAtBattery, beginJob, copyOfDemoJob, hand } from './shed';
import { open, reachOf, test } from './tablet';

interface Entry {
  readonly id: string;
  readonly kind: string;
  readonly [field: string]: unknown;
}

const entriesOf = async (request: APIRequestContext, job: string): Promise<readonly Entry[]> =>
  ((await (await request.get(`/api/jobs/${job}/ledger`)).json()) as { entries: Entry[] }).entries;

/** Writes entries straight into a ledger, as another device would. */
async function write(request: APIRequestContext, job: string, ...bodies: readonly object[]): Promise<void> {
  const { length } = await entriesOf(request, job);
  const answer = await request.post(`/api/jobs/${job}/ledger`, {
    data: {
      expectedPosition: length,
      entries: bodies.map((body) => ({ id: randomUUID(), at: new Date().toISOString(), by: 'Tobias', ...body })),
    },
  });
  expect(answer.status(), await answer.text()).toBe(200);
}

/** A picture as a camera takes it, larger than is kept: on its side, and saying where it was. */
const cameraPicture = () =>
  sharp({
    create: {
      width: 3_200,
      height: 2_400,
      channels: 3,
      background: '#806040',
      noise: { type: 'gaussian', mean: 120, sigma: 30 },
    },
  })
    .withExif({ IFD0: { Make: 'Shed camera' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '53/1 7/1 30/1' } })
    .withMetadata({ orientation: 6 })
    .jpeg({ quality: 85 })
    .toBuffer();

/** About so much, whatever the mouse’s pixels make of it. */
const near = (share: number): unknown => expect.closeTo(share, 1);

const pick = (page: Page, ...files: readonly { name: string; mimeType: string; buffer: Buffer }[]) =>
  page
    .locator('input[name=photos]')
    .first()
    .setInputFiles([...files]);

test('bag, count and tag of a step are one touch, and one more sends them elsewhere', async ({ page, request }) => {
  const job = await beginAtBattery(request, 'Touches');
  await open(page, `/jobs/${job}/strip`);
  await expect(hand(page)).toContainText('battery negative');
  await hand(page).locator('button.done').click();
  await expect(hand(page)).toContainText('Let the rail pressure fall');
  await page.keyboard.press('u');
  await expect(hand(page)).toContainText('battery negative');
  await hand(page).getByText('Card', { exact: true }).click();
  await hand(page).locator('button.done').click();
  await expect
    .poll(async () => (await entriesOf(request, job)).filter(({ kind }) => kind === 'fasteners-counted'))
    .toEqual([
      expect.objectContaining({ bag: 1, kept: 'bag', count: 1 }),
      expect.objectContaining({ kept: 'card', count: 1 }),
    ]);
});

test('photos are turned upright, made smaller, stripped of their place, and shown where they belong', async ({
  page,
  request,
}) => {
  const job = await beginJob(request, 'Photos');
  await open(page, `/jobs/${job}/strip`);
  const file = await cameraPicture();
  expect((await sharp(file).metadata()).exif).toBeDefined();
  await pick(page, { name: 'IMG_1.jpg', mimeType: 'image/jpeg', buffer: file });
  await expect
    .poll(async () => (await entriesOf(request, job)).map(({ kind }) => kind), { timeout: 20_000 })
    .toEqual(['photo-taken']);
  const [taken] = await entriesOf(request, job);
  expect(taken).toMatchObject({ widthPx: 1_920, heightPx: 2_560, pinnedTo: { operation: 'do:codes-before' } });
  await expect.poll(async () => (await request.get(`/api/photos/${String(taken?.['photo'])}`)).status()).toBe(200);
  const kept = await sharp(await (await request.get(`/api/photos/${String(taken?.['photo'])}`)).body()).metadata();
  expect(kept).toMatchObject({ width: 1_920, height: 2_560 });
  expect(kept.exif).toBeUndefined();
  await open(page, `/jobs/${job}/photos`);
  await expect(page.locator('.sheet img')).toHaveCount(1);
});

test('a file that is no picture, or half of one, is told and nothing is lost', async ({ page, request }) => {
  const job = await beginJob(request, 'No picture');
  await open(page, `/jobs/${job}/strip`);
  await pick(page, { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('M8 by 25, I think') });
  await expect(page.getByText('“notes.jpg” is no picture this device can read')).toBeVisible();
  const whole = await cameraPicture();
  await pick(page, { name: 'half.png', mimeType: 'image/png', buffer: whole.subarray(0, 600) });
  await expect(page.getByText('“half.png” is no picture this device can read')).toBeVisible();
  expect(await entriesOf(request, job)).toEqual([]);
});

test('a photo taken while the server is away is kept on the device and sent later', async ({ page, request }) => {
  const job = await beginJob(request, 'Away');
  const server = await reachOf(page);
  await open(page, `/jobs/${job}/strip`);
  await expect(hand(page)).toBeVisible();
  server.away();
  const small = await sharp({ create: { width: 300, height: 200, channels: 3, background: '#338' } })
    .jpeg()
    .toBuffer();
  await pick(page, { name: 'a.jpg', mimeType: 'image/jpeg', buffer: small });
  await expect(page.getByRole('contentinfo', { name: 'Hold line' })).toContainText('1 kept on this device');
  server.back();
  await page.reload();
  await expect.poll(async () => (await entriesOf(request, job)).length, { timeout: 20_000 }).toBe(1);
  const photo = String((await entriesOf(request, job))[0]?.['photo']);
  await expect.poll(async () => (await request.get(`/api/photos/${photo}`)).status(), { timeout: 30_000 }).toBe(200);
});

test('an arrow is drawn across a photo, given words, and stands beside the untouched picture', async ({
  page,
  request,
}) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/photos`);
  await page.getByRole('link', { name: /Shield before it came off/ }).click();
  const canvas = page.locator('bl-marked-picture canvas').last();
  await expect(canvas).toBeVisible();
  await page.getByRole('radio', { name: 'Arrow' }).click();
  const box = await canvas.boundingBox();
  if (!box) throw new Error('No picture');
  await page.mouse.move(box.x + box.width * 0.2, box.y + box.height * 0.8);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.5, box.y + box.height * 0.5, { steps: 6 });
  await page.mouse.up();
  await page.getByRole('textbox', { name: 'Words at the mark' }).fill('washer stays here');
  await page.getByRole('button', { name: 'Keep what is drawn' }).click();
  await expect
    .poll(async () => (await entriesOf(request, job)).findLast(({ kind }) => kind === 'photo-marked')?.['marks'])
    .toEqual([
      {
        kind: 'arrow',
        words: 'washer stays here',
        from: { x: near(0.2), y: near(0.8) },
        to: { x: near(0.5), y: near(0.5) },
      },
    ]);
});

test('two devices that count into the same bag lose nothing: the slower one is told its new number', async ({
  page: slow,
  request,
}) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  const server = await reachOf(slow);
  await open(slow, `/jobs/${job}/strip?hand=open:heater-feed`);
  await expect(hand(slow)).toContainText('heater feed hose');
  const number = Number(await hand(slow).locator('bl-keeping-choice .figure').textContent());
  server.away();
  await hand(slow).locator('button.done').click();
  await write(request, job, {
    kind: 'fasteners-counted',
    connection: 'gearbox-main',
    direction: 'out',
    count: 1,
    bag: number,
    kept: 'bag',
  });
  server.back();
  const told = slow.getByRole('alert').filter({ hasText: 'The number was taken' });
  await expect(told).toContainText(`Write ${number + 1} on the bag of the heater feed hose`, { timeout: 20_000 });
  await slow.getByRole('button', { name: 'I have changed the label' }).click();
  await expect
    .poll(async () =>
      (await entriesOf(request, job)).filter(
        ({ kind, connection }) => kind === 'fasteners-counted' && connection === 'heater-feed',
      ),
    )
    .toEqual([expect.objectContaining({ bag: number + 1, kept: 'bag' })]);
});

test('stuck is told in touches, soaks while other work goes on, and orders what it takes', async ({
  page,
  request,
}) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/strip`);
  const title = (await hand(page).getByRole('heading', { level: 1 }).textContent()) ?? '';
  await page.keyboard.press('x');
  await page.getByText('Pipe broke', { exact: true }).click();
  await page.getByText('Penetrant', { exact: true }).click();
  await page.getByRole('button', { name: 'Record it, go on elsewhere' }).click();
  await expect(hand(page).getByRole('heading', { level: 1 })).not.toHaveText(title);
  await expect(page.getByText(`30 min to soak: ${title}`)).toBeVisible();
  await expect
    .poll(async () => (await entriesOf(request, job)).slice(-2).map(({ kind }) => kind))
    .toEqual(['operation-stuck', 'part-needed']);
});

test('a label saved as a picture is read back from a photo, and opens its joint', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/bags`);
  await page.locator('.wall a').filter({ hasText: 'The fan shroud' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Bag label, PNG' }).click();
  const label = await (await saved).path();
  // Photographed a little askew on a dark bench.
  const photo = await sharp(label)
    .rotate(7, { background: '#554433' })
    .extend({ top: 300, bottom: 200, left: 260, right: 240, background: '#554433' })
    .jpeg({ quality: 70 })
    .toBuffer();
  await open(page, `/jobs/${job}/bags`);
  await page.getByRole('button', { name: 'Scan a label' }).click();
  await page.locator('input[name=label-photo]').setInputFiles({ name: 'l.jpg', mimeType: 'image/jpeg', buffer: photo });
  await expect(page.getByRole('heading', { name: 'The fan shroud' })).toBeVisible({ timeout: 30_000 });
  // As a phone that has read the label opens it.
  await page.goto(`/t/${job.slice(0, 8)}/11`);
  await expect(page).toHaveURL(new RegExp(`/jobs/${job}/bags/`));
});

test('a number of the roll is scanned or typed onto the step, and nothing else is taken for one', async ({
  page,
  request,
}) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/strip`);
  await page.getByRole('button', { name: 'Scan a label' }).click();
  await page.locator('input[name=label-number]').fill('bag four');
  await page.getByRole('button', { name: 'Take it', exact: true }).last().click();
  await expect(page.getByText('A label has a whole number from 1 on.')).toBeVisible();
  await page.locator('input[name=label-number]').fill('117');
  await page.getByRole('button', { name: 'Take it', exact: true }).last().click();
  await expect(hand(page)).toContainText('Tag 117 on both halves');
  await hand(page).locator('button.done').click();
  await expect
    .poll(async () => (await entriesOf(request, job)).findLast(({ kind }) => kind === 'tagged')?.['tag'])
    .toBe(117);
});

test('three loose bolts find their homes', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/mystery`);
  await expect(page.locator('.loose [mat-list-item]')).toHaveCount(3);
  await expect(page.locator('.ranked li').first()).toContainText('front pipe bracket');
  await page.getByRole('button', { name: /swept up under the lift/ }).click();
  await expect(page.locator('.ranked li').first()).toContainText('undertray');
  await expect(page.locator('.ranked li').first()).toContainText('one is missing here');
  await page.locator('.ranked li').first().getByRole('button').click();
  await expect(page.locator('.loose [mat-list-item]')).toHaveCount(2);
  await expect
    .poll(async () => (await entriesOf(request, job)).at(-1))
    .toMatchObject({ kind: 'bolt-homed', connection: 'undertray-screws' });
});

test('what the shop learned on another machine stands at the same step', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/strip?hand=open:downpipe-turbo`);
  await expect(hand(page)).toContainText('House note');
  await expect(hand(page)).toContainText('Never without soaking');
  await expect(page.getByText('Fought back before').first()).toBeVisible();
});

test('the record is taken back by a new entry, and the last thing by one key', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/record`);
  await page.getByRole('button', { name: /^Take back: Note: Old cable ties/ }).click();
  await page.getByRole('textbox', { name: 'Reason' }).fill('Done already');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.locator('li.gone')).toContainText('Old cable ties');
  await expect.poll(async () => (await entriesOf(request, job)).at(-1)?.kind).toBe('corrected');
});

test('the bags go out as a spreadsheet, and the whole shop is searched', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/bags`);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'CSV' }).click();
  const stream = await (await saved).createReadStream();
  let text = '';
  for await (const piece of stream) text += String(piece);
  expect(text.split('\r\n')[0]).toContain('bag,kept,joint,zone,tag,fasteners,out,in,belong here,standing,note');
  expect(text).toContain('the undertray');
  await open(page, '/yard');
  await page.getByRole('link', { name: 'Find' }).click();
  await page.getByRole('searchbox').fill('fan shroud');
  await expect(page.getByRole('link', { name: /The fan shroud bag \d+/ }).first()).toBeVisible();
});

test('the bolt card is moved by mouse and key, kept, and printed', async ({ page, request }) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  await open(page, `/jobs/${job}/bags/steering-pump-bolts`);
  const hole = page.getByRole('button', { name: /^Hole 2/ });
  await hole.focus();
  await page.keyboard.press('ArrowUp');
  await page.getByRole('button', { name: 'Keep this card' }).click();
  await expect.poll(async () => (await entriesOf(request, job)).at(-1)?.kind).toBe('pattern-drawn');
  const address = await page.getByRole('link', { name: 'Print at true scale' }).getAttribute('href');
  const card = await request.get(address ?? '');
  expect(card.headers()['content-type']).toContain('application/pdf');
});
