import { expect, test, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { violations } from './axe';
import { start } from './own-server';
import { beginJob, hand } from './shed';

const PORT = 4396;
const ADDRESS = `http://127.0.0.1:${PORT}`;
const PASSPHRASE = 'three greasy gloves';

test.use({ baseURL: ADDRESS });

async function named(page: Page, name: string, passphrase: string): Promise<void> {
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Passphrase').fill(passphrase);
}

test('a shop gets its people, a tablet is let in by a code, two change over on it, and who is put out is out', async ({
  page,
  browser,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-people-'));
  const server = start({ BRISK_PORT: String(PORT), BRISK_HOST: '127.0.0.1', BRISK_DATA: folder });
  try {
    await expect.poll(server.said, { timeout: 30_000 }).toContain('is open');
    await test.step('open, and it says so', async () => {
      await page.goto('/yard');
      await page.getByRole('link', { name: 'Nobody signs in here' }).click();
      await page.getByRole('link', { name: 'Make the first person' }).click();
      await named(page, 'Ruth', 'short');
      await page.getByLabel('PIN').fill('12');
      await page.getByRole('button', { name: 'Make the shop' }).click();
      await expect(page.getByText(/10 letters or more/)).toBeVisible();
      expect(await violations(page), 'first person').toEqual([]);
      await page.getByLabel('Passphrase').fill(PASSPHRASE);
      await page.getByLabel('PIN').fill('2468');
      await page.getByRole('button', { name: 'Make the shop' }).click();
      await expect(page).toHaveURL(/\/yard$/);
      await expect(page.getByText('Nobody signs in here')).toBeHidden();
    });

    await test.step('people are made', async () => {
      await page.getByRole('link', { name: 'Ruth' }).click();
      for (const name of ['Ines', 'Tobias']) {
        await page.getByRole('button', { name: 'Somebody new' }).click();
        await named(page, name, `${name} has a passphrase`);
        await page.getByLabel('PIN').fill('1357');
        await page.getByRole('button', { name: 'Let them in' }).click();
        await expect(page.getByRole('listitem').filter({ hasText: name })).toBeVisible();
      }
      expect(await violations(page), 'people').toEqual([]);
    });

    const job = await beginJob(page.context().request, 'Shared');
    const tablet = await (await browser.newContext({ baseURL: ADDRESS, reducedMotion: 'reduce' })).newPage();
    await test.step('a tablet is let in by a code', async () => {
      await page.getByRole('button', { name: 'Let a device in' }).click();
      const code = (await page.locator('.code').textContent()) ?? '';
      await tablet.goto(`/join/${code}`);
      await tablet.getByLabel('This device').fill('Tablet');
      await tablet.getByRole('button', { name: 'Let it in' }).click();
      await tablet.getByRole('button', { name: /^Ines/ }).click();
      await tablet.getByLabel('PIN').fill('0000');
      await tablet.getByRole('button', { name: 'It is me' }).click();
      await expect(tablet.getByRole('alert')).toContainText('That is not right');
      expect(await violations(tablet), 'PIN').toEqual([]);
      await tablet.getByLabel('PIN').fill('1357');
      await tablet.getByRole('button', { name: 'It is me' }).click();
      await expect(tablet).toHaveURL(/\/yard$/);
    });

    await test.step('who comes by the address of a job signs in once, and is at the job', async () => {
      const away = await browser.newContext({ baseURL: ADDRESS, reducedMotion: 'reduce' });
      const other = await away.newPage();
      await other.goto(`/jobs/${job}/strip`);
      await named(other, 'Ruth', PASSPHRASE);
      await other.keyboard.press('Enter');
      await expect(hand(other).getByRole('heading', { level: 1 })).toBeVisible();
      await away.close();
    });

    await test.step('each records under their own name', async () => {
      await tablet.goto(`/jobs/${job}/strip`);
      await hand(tablet).locator('button.done').click();
      await tablet.getByRole('button', { name: 'Who is recording: Ines' }).click();
      await tablet.getByRole('menuitemradio', { name: 'Tobias (PIN)' }).click();
      await tablet.getByLabel('PIN').fill('1357');
      await tablet.getByRole('button', { name: 'It is me' }).click();
      await tablet.getByRole('button', { name: 'Who is recording: Tobias' }).click();
      // Both have given it today: back and forth is one touch each.
      await tablet.getByRole('menuitemradio', { name: 'Ines' }).click();
      await expect(tablet.getByRole('button', { name: 'Who is recording: Ines' })).toBeVisible();
      await page.goto(`/jobs/${job}/record`);
      await expect(page.getByText(/Read the stored codes/).first()).toBeVisible();
    });

    await test.step('who is put out is out, and what they recorded meanwhile stays on the device', async () => {
      // Out of reach of the server, or the tablet would know at once.
      await tablet.context().setOffline(true);
      await page.goto('/people');
      await page.getByRole('button', { name: 'Put out: Ines' }).click();
      await page.getByRole('dialog').getByRole('button', { name: 'Put them out' }).click();
      await expect(page.getByText('Put out; the name stays in the ledgers.')).toBeVisible();
      await hand(tablet).locator('button.done').click();
      await expect(tablet.getByRole('contentinfo', { name: 'Hold line' })).toContainText('kept on this device');
      await tablet.context().setOffline(false);
      await expect(tablet.getByRole('heading', { name: 'Who is it?' })).toBeVisible();
      await expect(tablet.getByRole('button', { name: 'Ines' })).toBeHidden();
      await tablet.getByRole('button', { name: /^Tobias/ }).click();
      await tablet.getByRole('button', { name: /held up/ }).click();
      await expect(tablet.getByText('Ines has not signed in on this device').first()).toBeVisible();
    });
  } finally {
    server.child.kill('SIGTERM');
    await server.ended;
    rmSync(folder, { recursive: true, force: true });
  }
});
