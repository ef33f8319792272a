import { expect, type Locator, type Page } from '@playwright/test';
import { beginJob, choose, copyOfDemoJob, draftOnDevice, hand } from './shed';
import { open, test } from './tablet';

/** Minutes until the finish, as the page says them. */
async function finish(page: Page): Promise<number> {
  const words = (await page.locator('.sums .figure').first().textContent()) ?? '';
  const [, hours, minutes] = /(?:(\d+) h)? ?(\d+)?(?: min)?/.exec(words.trim()) ?? [];
  return Number(hours ?? 0) * 60 + Number(minutes ?? 0);
}

/** Where `element` is once it stays there: what is fetched meanwhile may still push it about. */
async function restingBox(element: Locator) {
  let last = '';
  await expect(async () => {
    const now = JSON.stringify(await element.boundingBox());
    const before = last;
    last = now;
    expect(now).toBe(before);
  }).toPass({ intervals: [300] });
  return element.boundingBox();
}

/** Drags by the dots of `from` to the middle of `to`, slowly enough to be seen as a drag. */
async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  await from.scrollIntoViewIfNeeded();
  const [one, other] = [await restingBox(from), await restingBox(to)];
  if (!one || !other) throw new Error('Both ends have to be on the page.');
  await page.mouse.move(one.x + one.width / 2, one.y + one.height / 2);
  await page.mouse.down();
  await page.mouse.move(one.x + 20, one.y + 12, { steps: 4 });
  await page.mouse.move(other.x + 60, other.y + 4, { steps: 12 });
  await page.mouse.move(other.x + 60, other.y + 6, { steps: 4 });
  await page.mouse.up();
}

/** Pictures drawn in a second. A page blocked by a search would draw none; how long each takes is in the benchmark. */
async function framesDrawn(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((done) => {
        let seen = 0;
        const count = () => {
          seen += 1;
          if (performance.now() - began < 1_000) requestAnimationFrame(count);
          else done(seen);
        };
        const began = performance.now();
        requestAnimationFrame(count);
      }),
  );
}

test.describe('on a device of its own', () => {
  test.use({ newDevice: true });

  test('a search in the worker finds a better order while the page goes on drawing; it is followed, versioned, printed and still there after a reload', async ({
    page,
    request,
  }) => {
    const job = await beginJob(request, 'Planned');
    await open(page, `/jobs/${job}/plan`);
    const before = await finish(page);
    await page.getByRole('button', { name: 'Find a better order' }).click();
    await expect(page.getByText(/tried, best so far/)).toBeVisible();
    expect(await framesDrawn(page)).toBeGreaterThan(5);
    // The first look ends by itself; the longer one is long enough to be stopped by hand on any machine.
    await expect(page.getByText('Not followed yet.')).toBeVisible();
    const looked = await finish(page);
    expect(looked).toBeLessThan(before);
    await page.getByRole('button', { name: 'Look longer' }).click();
    await page.getByRole('button', { name: 'Stop, take the best' }).click();
    await expect(page.getByText('Not followed yet.')).toBeVisible();
    // What is weighed is more than the finish: a minute later may leave less lying open. It is never back where it began.
    expect(await finish(page)).toBeLessThan(before);
    await draftOnDevice(page);
    await page.reload();
    await expect(page.getByText('Not followed yet.')).toBeVisible();
    await page.getByRole('button', { name: 'Follow this plan' }).click();
    await expect(page.getByText(/Plan 1, followed since/)).toBeVisible();
    const after = await finish(page);
    await page.reload();
    await expect(page.getByText(/Plan 1, followed since/)).toBeVisible();
    expect(await finish(page)).toBe(after);

    const sheet = await page.getByRole('link', { name: 'Print' }).getAttribute('href');
    expect((await request.get(sheet ?? '')).headers()['content-type']).toContain('application/pdf');
    await page.getByRole('link', { name: 'Begin', exact: true }).click();
    await expect(hand(page)).toContainText('by the plan');
  });
});

test('a step dragged where it may not stand says what breaks; where it may it stands, is undone, redone and pinned by key', async ({
  page,
  request,
}) => {
  const job = await beginJob(request, 'Dragged');
  // Both ends of the drag have to be in sight at once.
  await page.setViewportSize({ width: 1280, height: 3200 });
  await open(page, `/jobs/${job}/plan`);
  const row = (title: string) => page.locator('bl-setup-list .row').filter({ hasText: title });
  const names = page.locator('bl-setup-list .row .step > span:first-child');
  await expect(names.first()).toBeVisible();
  const titles = await names.allTextContents();
  await drag(page, row('Lift the air filter box out').locator('.handle'), row('Unbolt the battery negative lead'));
  await expect(page.getByText('That would break something')).toBeVisible();
  await expect(page.locator('.broken')).toContainText('Nobody has looked and signed');
  await page.getByRole('button', { name: 'Leave it where it was' }).click();
  await expect(page.getByText('No plan is followed yet')).toBeVisible();
  await expect(names).toHaveText(titles);

  const from = titles.indexOf('Unplug the alternator control plug');
  const to = titles.indexOf('Unplug the oil pressure switch');
  expect(Math.min(from, to)).toBeGreaterThan(0);
  const [late = '', early = ''] = from > to ? [titles[from], titles[to]] : [titles[to], titles[from]];
  await drag(page, row(late).locator('.handle'), row(early));
  await expect(page.getByText('Not followed yet.')).toBeVisible();
  const moved = await names.allTextContents();
  expect(moved.indexOf(late)).toBeLessThan(titles.indexOf(late));
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(names).toHaveText(titles);
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(names).toHaveText(moved);
  await row(late).locator('.step').click();
  await page.keyboard.press('p');
  await expect(row(late)).toContainText('pinned');
});

test.describe('by touch', () => {
  test.use({ newDevice: true, hasTouch: true, viewport: { width: 820, height: 1180 } });

  test('a helper leaves, and the plan is made anew within a second or so', async ({ page, request }) => {
    const job = await copyOfDemoJob(request, 'Minibus');
    await open(page, `/jobs/${job}/plan`);
    await page.getByRole('button', { name: 'Crew and school' }).tap();
    await page.getByRole('button', { name: 'Without Tobias' }).tap();
    await expect(page.getByText('Without Tobias').first()).toBeVisible();
    await expect(page.locator('bl-plan-changes')).toContainText(/by somebody else/);
    await page.getByRole('button', { name: 'Follow this plan' }).tap();
    await expect(page.getByText(/Plan \d+, followed since/)).toBeVisible();
  });
});

test('schools stand side by side with figures out of the worker, and one is planned', async ({ page, request }) => {
  const job = await beginJob(request, 'Schools');
  await open(page, `/jobs/${job}/plan/schools`);
  const columns = page.locator('section[aria-label^="Column"]');
  await expect(columns).toHaveCount(3);
  for (const column of await columns.all()) await expect(column).toContainText(/Standing by\s*\d/, { timeout: 15_000 });
  await choose(page, 'Engine loom', 'goes with the engine', columns.nth(1));
  await expect(columns.nth(1)).toContainText(/Standing by\s*\d/, { timeout: 15_000 });
  await columns.nth(1).getByRole('button', { name: 'Plan it this way' }).click();
  await expect(page).toHaveURL(/\/plan$/);
  await expect(page.locator('bl-setup-list')).not.toContainText('Unplug the oil pressure switch');
});
