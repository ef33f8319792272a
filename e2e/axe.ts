import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly target: readonly string[]; readonly failureSummary?: string }[];
}
declare global {
  interface Window {
    /** Put there by {@link violations}. */
    readonly axe: { run: (options: object) => Promise<{ readonly violations: readonly Violation[] }> };
  }
}

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** What depends on colours and on what has to be scrolled; the rest is the same by day and night, wide and narrow. */
const LOOKS = ['color-contrast', 'scrollable-region-focusable'];

/** Everything axe finds wrong with the page as it stands, or with its `looks` alone, in one line each. */
export async function violations(page: Page, what: 'everything' | 'looks' = 'everything'): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  const runOnly = what === 'looks' ? { type: 'rule', values: LOOKS } : STANDARDS;
  const found = await page.evaluate(async (options) => (await window.axe.run(options)).violations, {
    runOnly,
    resultTypes: ['violations'],
    // Nothing of ours turns with the device, which is all that the style sheets would be fetched again for.
    preload: false,
  });
  return found.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${id} ${target.join(' ')} ${failureSummary ?? ''}`),
  );
}
