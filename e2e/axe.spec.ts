import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, test, type Page } from '@playwright/test';
import { demoJob } from './shed';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly target: readonly string[]; readonly failureSummary?: string }[];
}

/** Everything axe finds wrong with the page as it stands, in one line each. */
async function violations(page: Page): Promise<string[]> {
  await page.evaluate(axe);
  const found = await page.evaluate(async () => {
    const runner = (window as unknown as { axe: { run: (options: object) => Promise<{ violations: Violation[] }> } })
      .axe;
    const result = await runner.run({
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
    });
    return result.violations;
  });
  return found.flatMap(({ id, nodes }) =>
    nodes.map(({ target, failureSummary }) => `${id} ${target.join(' ')} ${failureSummary ?? ''}`),
  );
}

const STOPS = ['survey', 'plan', 'strip', 'lift', 'bench', 'refit', 'first-start', 'handover'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
  { width: 390, height: 844 },
];

for (const colorScheme of ['light', 'dark'] as const)
  for (const viewport of colorScheme === 'light' ? SIZES : SIZES.slice(0, 1))
    test.describe(`${viewport.width} wide, ${colorScheme}`, () => {
      test.use({ viewport, colorScheme });

      test('no view has a fault of access or scrolls sideways', async ({ page, request }) => {
        test.setTimeout(180_000);
        const minibus = await demoJob(request, 'Minibus');
        const deicer = await demoJob(request, 'De-icer');
        const tender = await demoJob(request, 'Fire tender');
        const sweeper = await demoJob(request, 'Sweeper');
        const tug = await demoJob(request, 'Tug 2');
        const paths = [
          '/yard',
          '/survey',
          '/nowhere',
          ...STOPS.map((stop) => `/jobs/${minibus}/${stop}`),
          `/jobs/${minibus}/plan?step=open:downpipe-turbo&way=back`,
          '/find?q=starter',
          ...['bags', 'bags/steering-pump-bolts', 'mystery', 'photos', 'record'].map(
            (view) => `/jobs/${minibus}/${view}`,
          ),
          `/jobs/${deicer}/first-start`,
          `/jobs/${deicer}/handover`,
          `/jobs/${tender}/handover`,
          `/jobs/${sweeper}/survey`,
          `/jobs/${sweeper}/survey/files`,
          ...['', '/schools', '/ways', '/tools'].map((view) => `/jobs/${sweeper}/plan${view}`),
          ...['donor', 'joints', 'pull'].map((view) => `/jobs/${tug}/survey/${view}`),
        ];
        for (const path of paths) {
          await page.goto(path);
          await expect(page.getByRole('heading').first()).toBeVisible();
          await page.evaluate(() => document.fonts.ready);
          expect.soft(await violations(page), path).toEqual([]);
          const overflow = await page.evaluate(
            () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
          );
          expect.soft(overflow, `${path} scrolls sideways`).toBeLessThanOrEqual(0);
        }
      });
    });

test('no question of the survey and no form of the map has a fault of access', async ({ page, request }) => {
  await page.goto('/survey');
  await page.getByRole('button', { name: /Transverse front engine/ }).click();
  await page.getByRole('button', { name: /Petrol, carburettor/ }).click();
  expect(await violations(page), 'question').toEqual([]);
  await page.goto(`/jobs/${await demoJob(request, 'Minibus')}/survey`);
  await page.getByRole('button', { name: /^The upper radiator hose/ }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  expect(await violations(page), 'connection').toEqual([]);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'Add a part' }).click();
  expect(await violations(page), 'part').toEqual([]);
});

test('no sheet over a view has a fault of access', async ({ page, request }) => {
  const minibus = await demoJob(request, 'Minibus');
  await page.goto(`/jobs/${minibus}/strip`);
  for (const key of ['?', 'x', 's', 'n', 'f']) {
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.waitForTimeout(300);
    expect(await violations(page), `sheet ${key}`).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  for (const key of ['h', 'i']) {
    await page.keyboard.press(key);
    expect(await violations(page), `list ${key}`).toEqual([]);
  }
});

test('targets on the working screen are large enough for gloves', async ({ page, request }) => {
  await page.goto(`/jobs/${await demoJob(request, 'Minibus')}/strip`);
  const done = page.locator('button.done');
  await done.waitFor();
  const boxes = await page
    .locator('main button:visible, main .tick:visible')
    .evaluateAll((elements) =>
      elements.map((element) => ({ words: element.textContent, height: element.getBoundingClientRect().height })),
    );
  expect(boxes.length).toBeGreaterThan(4);
  expect(boxes.filter(({ height }) => height < 48)).toEqual([]);
  expect((await done.boundingBox())?.height).toBeGreaterThanOrEqual(72);
});
