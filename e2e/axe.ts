import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly target: readonly string[]; readonly failureSummary?: string }[];
}
interface AxeWindow {
  readonly axe: { run: (options: object) => Promise<{ readonly violations: readonly Violation[] }> };
}

const STANDARDS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/** Everything axe finds wrong with the page as it stands, in one line each. */
export async function violations(page: Page): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe);
  const found = await page.evaluate(
    async (options) => (await (window as unknown as AxeWindow).axe.run(options)).violations,
    { runOnly: [...STANDARDS], resultTypes: ['violations'] },
  );
  return found.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${id} ${target.join(' ')} ${failureSummary ?? ''}`),
  );
}
