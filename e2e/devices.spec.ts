import type { JobWithLedger } from '@brisk/contracts/job';
import { foldLedger } from '@brisk/core/ledger';
import { applyEdit } from '@brisk/core/map-edit';
import { expect } from '@playwright/test';
import { violations } from './axe';
import { beginAtBattery, copyOfDemoJob, hand } from './shed';
import { open, reachOf, test } from './tablet';

interface Ledger {
  readonly entries: readonly {
    readonly kind: string;
    readonly operation?: string;
    readonly text?: string;
    readonly tag?: number;
  }[];
}

test('what is recorded while the server is gone is kept over a reload of the view and sent when it is back', async ({
  page,
  request,
}) => {
  const job = await copyOfDemoJob(request, 'Minibus');
  const before = ((await (await request.get(`/api/jobs/${job}/ledger`)).json()) as Ledger).entries.length;
  const server = await reachOf(page);
  await open(page, `/jobs/${job}/strip`);
  const first = (await hand(page).getByRole('heading', { level: 1 }).textContent()) ?? '';
  server.away();
  await hand(page).locator('button.done').click();
  await expect(hand(page).getByRole('heading', { level: 1 })).not.toHaveText(first);
  const line = page.getByRole('contentinfo', { name: 'Hold line' });
  await expect(line).toContainText(/\d kept on this device/);
  const kept = Number(/(\d+) kept on this device/.exec((await line.textContent()) ?? '')?.[1]);

  await page.reload();
  await expect(line).toContainText(`${kept} kept on this device`);
  await expect(hand(page).getByRole('heading', { level: 1 })).not.toHaveText(first);

  server.back();
  await expect
    .poll(async () =>
      ((await (await request.get(`/api/jobs/${job}/ledger?after=${before}`)).json()) as Ledger).entries.map(
        ({ kind }) => kind,
      ),
    )
    .toEqual(['fasteners-counted', 'tagged', 'operation-done']);
  expect(kept).toBe(3);
});

test('two devices on one job see each other, and neither loses or doubles anything', async ({
  browser,
  page: one,
  request,
}) => {
  const job = await beginAtBattery(request, 'Two devices');
  const other = await browser.newPage();
  await open(one, `/jobs/${job}/strip`);
  await other.goto(`/jobs/${job}/strip`);
  await expect(hand(other)).toBeVisible();
  await hand(one).locator('button.done').click();
  await expect(hand(one)).toContainText('Let the rail pressure fall');

  // Each is told who else is there, and at which step.
  await other.getByRole('button', { name: /^Who is recording/ }).click();
  await other.getByRole('menuitemradio', { name: 'Tobias' }).click();
  await expect(one.locator('bl-hold-line .other')).toContainText(/Tobias\s+\w/);

  // The other device has not heard of it yet and writes on top of an older position.
  await other.keyboard.press('n');
  await other.getByRole('textbox', { name: 'Note' }).fill('From the other tablet');
  await other.getByRole('button', { name: 'Write it down' }).click();
  await expect(hand(other)).toContainText('Let the rail pressure fall', { timeout: 15_000 });
  await expect
    .poll(async () =>
      ((await (await request.get(`/api/jobs/${job}/ledger`)).json()) as Ledger).entries.map(({ kind }) => kind),
    )
    .toEqual(['operation-done', 'fasteners-counted', 'tagged', 'operation-done', 'noted']);
  await other.close();
});

test('of a step both devices did, the slower one is told that it is finished and what it carries already', async ({
  page: slow,
  request,
}) => {
  const job = await beginAtBattery(request, 'Same step');
  const server = await reachOf(slow);
  await open(slow, `/jobs/${job}/strip`);
  await expect(hand(slow)).toBeVisible();
  server.away();
  await hand(slow).locator('button.done').click();
  await expect(slow.getByRole('contentinfo', { name: 'Hold line' })).toContainText('kept on this device');
  await request.post(`/api/jobs/${job}/ledger`, {
    data: {
      expectedPosition: 1,
      entries: [
        { kind: 'tagged', connection: 'battery-negative', tag: 7 },
        { kind: 'operation-done', operation: 'open:battery-negative' },
      ].map((body) => ({ id: crypto.randomUUID(), at: new Date().toISOString(), by: 'Tobias', ...body })),
    },
  });
  server.back();
  await expect(slow.getByRole('alert').filter({ hasText: 'held up' })).toContainText('finished already', {
    timeout: 20_000,
  });
  await slow.getByRole('button', { name: /held up/ }).click();
  const held = (words: string) => slow.getByRole('alert').getByRole('listitem').filter({ hasText: words });
  await held('finished already').getByRole('button', { name: 'Drop it' }).click();
  await slow.getByRole('dialog').getByRole('button', { name: 'Drop it' }).click();
  await expect(held('finished already')).toHaveCount(0);
  await expect(held('Tag 1 on')).toContainText('Tobias was there meanwhile: “Tag 7 on the battery negative lead”');
  await held('Tag 1 on').getByRole('button', { name: 'Mine is right' }).click();
  const ledger = async () => ((await (await request.get(`/api/jobs/${job}/ledger`)).json()) as Ledger).entries;
  await expect
    .poll(async () => (await ledger()).flatMap((entry) => (entry.kind === 'tagged' ? [entry.tag] : [])))
    .toEqual([7, 1]);
  expect((await ledger()).filter(({ kind }) => kind === 'operation-done')).toHaveLength(2);
});

test('what the map lost while a device was away is held up by name, and all the rest is written', async ({
  page,
  request,
}) => {
  const id = await copyOfDemoJob(request, 'Minibus');
  const server = await reachOf(page);
  await open(page, `/jobs/${id}/strip`);
  const title = (await hand(page).getByRole('heading', { level: 1 }).textContent()) ?? '';
  server.away();
  await page.keyboard.press('b');
  await hand(page).locator('button.done').click();
  await expect(hand(page).getByRole('heading', { level: 1 })).not.toHaveText(title);

  const { job, entries } = (await (await request.get(`/api/jobs/${id}`)).json()) as JobWithLedger;
  const lost = foldLedger(job.plan, entries).work.operations;
  const connection = [...lost.values()].find((operation) => operation.title === title)?.connection ?? '';
  const map = applyEdit(job.plan.map, { kind: 'remove-connection', id: connection });
  const answer = await request.put(`/api/jobs/${id}/planning`, {
    data: { revision: job.revision ?? 1, plan: { ...job.plan, map } },
  });
  expect(answer.status(), await answer.text()).toBe(200);

  server.back();
  const held = page.getByRole('alert').filter({ hasText: 'held up' });
  await expect(held).toContainText('until you say what becomes of it', { timeout: 15_000 });
  await held.getByRole('button', { name: /held up/ }).click();
  const written = async () =>
    ((await (await request.get(`/api/jobs/${id}/ledger?after=${entries.length}`)).json()) as Ledger).entries;
  // The break and its end are nothing the map could lose.
  await expect.poll(async () => (await written()).map(({ kind }) => kind)).toEqual(['work-paused', 'work-resumed']);
  expect(await violations(page), 'what is held up').toEqual([]);
  const many = await held.getByRole('listitem').count();
  expect(many).toBeGreaterThan(0);
  await page.reload();
  await held.getByRole('button', { name: /held up/ }).click();
  await expect(held.getByRole('listitem')).toHaveCount(many);
  await held.getByRole('button', { name: 'Keep it as a note' }).first().click();
  await expect.poll(async () => (await written()).filter(({ kind }) => kind === 'noted').length).toBe(1);
  for (let left = many - 1; left > 0; left -= 1) {
    await held.getByRole('button', { name: 'Drop it' }).first().click();
    await page.getByRole('dialog').getByRole('button', { name: 'Drop it' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  await expect(held).toHaveCount(0);
});

test('everything on the strip goes by keyboard, and the last thing can be taken back', async ({ page, request }) => {
  const job = await beginAtBattery(request, 'Keyboard');
  await open(page, `/jobs/${job}/strip`);
  await expect(hand(page)).toContainText('Unbolt the battery negative lead');
  await page.keyboard.press('d');
  await expect(hand(page)).toContainText('Let the rail pressure fall');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(hand(page)).toContainText('Unbolt the battery negative lead');
  await page.keyboard.press('w');
  await expect(page.getByRole('complementary', { name: 'The picked step' })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: 'The way out' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Go to the yard');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.keyboard.press('y');
  await expect(page.getByRole('heading', { name: 'Yard' })).toBeVisible();
});

test('a bundle brought in by hand stands in the yard', async ({ page, request }, info) => {
  const job = await copyOfDemoJob(request, 'Sweeper');
  const file = info.outputPath('sweeper.brisk.json');
  const { writeFileSync } = await import('node:fs');
  writeFileSync(file, await (await request.get(`/api/jobs/${job}/bundle`)).text());
  await open(page, '/yard');
  await page.locator('input[type=file]').setInputFiles(file);
  await expect(page.getByRole('status').filter({ hasText: '0 entries taken in' })).toBeVisible();
});
