import { expect, test } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { start } from './own-server';
import { beginAtBattery, hand, waited } from './shed';

const PORT = '4397';
const ADDRESS = `http://127.0.0.1:${PORT}`;

test.use({ baseURL: ADDRESS, serviceWorkers: 'allow' });

test('the application starts without the server, a job opened before is worked on, and what was recorded is sent later', async ({
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'brisk-offline-'));
  const settings = { BRISK_PORT: PORT, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder };
  let server = start(settings);
  try {
    await expect.poll(server.said, { timeout: 30_000 }).toContain('is open');
    const job = await beginAtBattery(page.context().request, 'Away');
    await page.goto('/yard');
    await expect(page.getByRole('heading', { name: 'Away' })).toBeVisible();
    await page.goto(`/jobs/${job}/strip`);
    await hand(page).locator('button.done').click();
    await expect(hand(page)).toContainText('Let the rail pressure fall');
    await waited(page);
    await expect(hand(page)).toContainText('Let the low side down');
    const second = await hand(page).getByRole('heading', { level: 1 }).textContent();
    // The whole application is on the device once its worker has it.
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    // A page that was on its way while its worker began is taken on by it at the next load.
    await page.reload();
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
    await expect
      .poll(
        () =>
          page.evaluate(async () => {
            const names = (await caches.keys()).filter((name) => name.includes('assets:application:cache'));
            const kept = await Promise.all(names.map(async (name) => (await (await caches.open(name)).keys()).length));
            return Math.max(0, ...kept);
          }),
        { timeout: 60_000 },
      )
      .toBeGreaterThan(60);
    await page.goto('/yard');
    await expect(page.getByRole('heading', { name: 'Away' })).toBeVisible();

    server.child.kill('SIGKILL');
    await server.ended;
    await page.goto('/yard');
    await expect(page.getByRole('heading', { name: 'Away' })).toBeVisible();
    await page.goto(`/jobs/${job}/strip`);
    await expect(hand(page).getByRole('heading', { level: 1 })).toHaveText(second ?? '');
    await hand(page).locator('button.done').click();
    await expect(hand(page)).toContainText('Made safe');
    await expect(page.getByText('Server not reached. 1 kept on this device.')).toBeVisible();
    // A view that was never opened here is there too.
    await page.goto(`/jobs/${job}/plan`);
    await expect(page.getByRole('heading', { name: 'The way out' })).toBeVisible();

    server = start(settings);
    await expect.poll(server.said, { timeout: 30_000 }).toContain('is open');
    await expect(page.getByText('Server not reached.')).toBeHidden({ timeout: 30_000 });
    const entries = async () =>
      ((await (await page.context().request.get(`/api/jobs/${job}`)).json()) as { entries: unknown[] }).entries.length;
    // Reached, and then sent.
    await expect
      .poll(() => page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('brisk-outbox:'))))
      .toEqual([]);
    expect(await entries()).toBeGreaterThanOrEqual(3);
  } finally {
    server.child.kill('SIGTERM');
    await server.ended;
    rmSync(folder, { recursive: true, force: true });
  }
});
