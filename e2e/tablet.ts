import { test as base, type Page } from '@playwright/test';

/** Where a tablet lies between two jobs: a view that asks for nothing. */
const ASIDE = '/find';

/** How long a tablet may take to get from one view to another before it is taken for stuck. */
const STUCK_MS = 30_000;

/**
 * Takes `page` to `address` as a link in the application would, so that it stays loaded; loaded as a whole where it is not
 * there yet, or where only the question behind the address is another.
 */
export async function open(page: Page, address: string): Promise<void> {
  const from = page.url();
  if (!from.startsWith('http') || new URL(from).pathname === address.replace(/\?.*/, '')) {
    await page.goto(address);
    return;
  }
  const arrived = await page.evaluate(
    async ([to, withinMs]) => {
      const shown = () => [...document.querySelectorAll('router-outlet + *')].at(-1);
      const before = shown();
      const began = performance.now();
      history.pushState(null, '', to);
      window.dispatchEvent(new PopStateEvent('popstate'));
      while (shown() === before && performance.now() - began < withinMs) await new Promise(requestAnimationFrame);
      return shown() !== before;
    },
    [address, STUCK_MS] as const,
  );
  if (!arrived) throw new Error(`Still at ${page.url()}, and not at ${address}.`);
}

/** The server as a tablet has it: out of reach from `away` to `back`. */
export interface Reach {
  readonly away: () => void;
  readonly back: () => void;
}

/**
 * Lets a test take the server away from `page`. Asked for before the page is opened: a request that begins just as its ways
 * are laid anew slips through.
 */
export async function reachOf(page: Page): Promise<Reach> {
  let isAway = false;
  await page.route('**/api/**', (route) => (isAway ? route.abort() : route.continue()));
  return { away: () => void (isAway = true), back: () => void (isAway = false) };
}

/** Lays the tablet aside as the next wants to find it; false where something on it stands in the way. */
async function laidAside(page: Page): Promise<boolean> {
  try {
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    for (const event of ['request', 'console', 'pageerror', 'dialog'] as const) page.removeAllListeners(event);
    await open(page, ASIDE);
    return true;
  } catch {
    return false;
  }
}

interface Options {
  /** For what a device keeps or has never seen, and for what is left half made: one that nobody else has in hand. */
  readonly newDevice: boolean;
}
interface InTheShed {
  readonly tablet: { page?: Page };
}

/**
 * `page` is a tablet that lies in the shed all day: the application is loaded once, and each test picks it up where the one
 * before laid it down. After a test that failed the next gets a new one.
 */
export const test = base.extend<Options, InTheShed>({
  newDevice: [false, { option: true }],
  tablet: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      await use({});
    },
    { scope: 'worker' },
  ],
  page: async ({ browser, tablet, newDevice, viewport }, use, info) => {
    const page = newDevice ? await browser.newPage() : (tablet.page ??= await browser.newPage());
    if (viewport) await page.setViewportSize(viewport);
    await use(page);
    if (!newDevice) {
      if (info.status === info.expectedStatus && (await laidAside(page))) return;
      delete tablet.page;
    }
    await page.close();
  },
});
