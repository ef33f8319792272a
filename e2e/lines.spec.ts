import { expect, test, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { start } from './own-server';
import { beginJob, hand } from './shed';

/** A browser has six connections to one server. As people have it: with the service worker, that keeps a page alive on purpose. */
test.use({ serviceWorkers: 'allow', ignoreHTTPSErrors: true });

const SHOWN_WITHIN_MS = 15_000;
/** Fifty openings at a release (`LINES=all`); more than a browser has connections, each way, in the daily run. */
const ALL = process.env['LINES'] === 'all';
const OPENED = ALL ? 15 : 8;
const IN_TABS = ALL ? 5 : 2;

async function underTheWorker(page: Page): Promise<void> {
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.reload();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}

/** The lines that are open in `page` now, where {@link countingLines} was there first. */
const linesOf = (page: Page) => page.evaluate(() => (window as unknown as { lines: Set<EventSource> }).lines.size);

async function countingLines(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    const lines = new Set<EventSource>();
    Object.assign(window, {
      lines,
      EventSource: class extends EventSource {
        constructor(address: string) {
          super(address);
          lines.add(this);
        }
        override close(): void {
          lines.delete(this);
          super.close();
        }
      },
    });
  });
}

const OVER = [
  ['http', 4401, {}],
  ['https', 4402, { BRISK_TLS: 'self' }],
] as const;
for (const [how, port, tls] of ALL ? OVER : OVER.slice(0, 1))
  test(`a job is opened again and again, by reload, by links and in five tabs, over ${how}`, async ({
    browser,
  }, info) => {
    const folder = mkdtempSync(join(tmpdir(), 'brisk-lines-'));
    const server = start({ BRISK_PORT: String(port), BRISK_HOST: '127.0.0.1', BRISK_DATA: folder, ...tls });
    const address = `${how}://127.0.0.1:${port}`;
    // A certificate of its own making keeps a browser from having a worker, unless it is told to take it.
    const { executablePath, args = [] } = info.project.use.launchOptions ?? {};
    const trusting = await browser.browserType().launch({
      ...(executablePath ? { executablePath } : {}),
      args: [...args, '--ignore-certificate-errors'],
    });
    const context = await trusting.newContext({ baseURL: address, ignoreHTTPSErrors: true, reducedMotion: 'reduce' });
    try {
      await expect.poll(server.said, { timeout: 30_000 }).toContain('is open');
      const job = await beginJob(context.request, 'Again and again');
      await countingLines(context);
      const page = await context.newPage();
      const shown = (on: Page) => expect(hand(on)).toBeVisible({ timeout: SHOWN_WITHIN_MS });
      await page.goto(`/jobs/${job}/strip`);
      await shown(page);
      await underTheWorker(page);
      await test.step('by reload', async () => {
        for (let opened = 0; opened < OPENED; opened += 1) {
          await page.reload();
          await shown(page);
        }
      });
      await test.step('by links, and back', async () => {
        for (let opened = 0; opened < OPENED; opened += 1) {
          await page.getByRole('link', { name: 'Yard' }).first().click();
          await page
            .getByRole('link', { name: /Again and again/ })
            .first()
            .click();
          await expect(page.getByRole('contentinfo', { name: 'Hold line' })).toBeVisible({ timeout: SHOWN_WITHIN_MS });
        }
        expect(await linesOf(page)).toBe(1);
        await page.goto(`/jobs/${job}/strip`);
        await shown(page);
      });
      await test.step('in five tabs, which share one line', async () => {
        const tabs = [page];
        for (let more = 0; more < 4; more += 1) tabs.push(await context.newPage());
        for (const tab of tabs.slice(1))
          for (let opened = 0; opened < IN_TABS; opened += 1) {
            await tab.goto(`/jobs/${job}/strip`);
            await shown(tab);
          }
        const lines = await Promise.all(tabs.map(linesOf));
        expect(lines.reduce((sum, one) => sum + one, 0)).toBe(1);
        const title = (await hand(page).getByRole('heading', { level: 1 }).textContent()) ?? '';
        await hand(page).locator('button.done').click();
        // What one writes the others have by the bell, wherever the line is.
        for (const tab of tabs.slice(1))
          await expect(hand(tab).getByRole('heading', { level: 1 })).not.toHaveText(title, { timeout: 3_000 });
        // Whoever had the line is closed: another has it.
        for (const tab of tabs.slice(1)) await tab.close();
        await expect.poll(() => linesOf(page)).toBe(1);
      });
      await expect(page.getByText(/Sending \d|Nothing sent/)).toHaveCount(0);
    } finally {
      await trusting.close();
      server.child.kill('SIGKILL');
      await server.ended;
      rmSync(folder, { recursive: true, force: true });
    }
  });
