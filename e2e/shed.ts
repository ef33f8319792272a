import { randomUUID } from 'node:crypto';
import { expect, type APIRequestContext, type Page } from '@playwright/test';

/** Begins a job over the API and returns its id. */
export async function beginJob(request: APIRequestContext, title: string): Promise<string> {
  const id = randomUUID();
  const answer = await request.post('/api/jobs', {
    data: {
      id,
      title,
      machine: 'Test carrier no. 1',
      reason: 'same-back',
      crew: ['Ines', 'Tobias'],
      layout: 'longitudinal-automatic',
      powerpack: 'engine-with-gearbox',
      route: 'top',
    },
  });
  expect(answer.status()).toBe(201);
  return id;
}

/** Id of the demo job whose title begins with `title`. */
export async function demoJob(request: APIRequestContext, title: string): Promise<string> {
  const jobs = (await (await request.get('/api/jobs')).json()) as { id: string; title: string }[];
  const job = jobs.find((one) => one.title.startsWith(title));
  if (!job) throw new Error(`No job ${title}`);
  return job.id;
}

/** A copy of a demo job under new ids and a title of its own, so that a test may work on it. */
export async function copyOfDemoJob(request: APIRequestContext, title: string): Promise<string> {
  const source = await demoJob(request, title);
  const text = await (await request.get(`/api/jobs/${source}/bundle`)).text();
  const fresh = new Map<string, string>();
  const copy = text.replace(
    /"([0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-8[0-9a-f]{3}-[0-9a-f]{12})"/g,
    (_all, id: string) => {
      if (!fresh.has(id)) fresh.set(id, randomUUID());
      return `"${fresh.get(id)}"`;
    },
  );
  const bundle = JSON.parse(copy) as { job: { title: string } };
  bundle.job.title = `Copy of ${bundle.job.title}`;
  const answer = await request.post('/api/bundles', { data: bundle });
  expect(answer.status()).toBe(201);
  return fresh.get(source) ?? '';
}

/** The step in hand on the page. */
export function hand(page: Page) {
  return page.getByRole('region', { name: 'The step in hand' });
}

/** Signs the hold point on the page after looking at every ground and confirming every look. */
export async function sign(page: Page): Promise<void> {
  await page.getByText('Hold point', { exact: true }).waitFor();
  const grounds = page.getByRole('button', { name: /^Good: / });
  for (let left = await grounds.count(); left > 0; left = await grounds.count()) {
    await grounds.first().click();
    await expect(grounds).toHaveCount(left - 1);
  }
  for (const look of await page.locator('bl-hold-point').getByRole('checkbox').all()) await look.check();
  await page.getByRole('button', { name: /^Sign as/ }).click();
}

/** Reads the target from the page and records it as read with the proposed wrench. */
export async function readTorqueOnTarget(page: Page): Promise<void> {
  const target = (await page.locator('bl-torque-entry .target .figure').textContent()) ?? '';
  await page.getByLabel('Value read').fill(target.trim());
  await page.getByRole('button', { name: 'Record torque' }).click();
}

/** Does what the step in hand asks for, whatever it is, and waits until the next one is there. */
export async function doStep(page: Page): Promise<void> {
  const step = hand(page);
  const gate = step.getByText('Hold point', { exact: true });
  const heading = step.getByRole('heading').first();
  const title = (await heading.textContent()) ?? '';
  const uneven = step.getByRole('button', { name: 'Accept it as it is' });
  if (await uneven.isVisible()) {
    await uneven.click();
    await page.getByLabel('Reason').fill('One is on order');
    await page.getByRole('button', { name: 'Accept it', exact: true }).click();
    await expect(uneven).toBeHidden();
    return;
  }
  if (await gate.isVisible()) await sign(page);
  else if (await step.getByLabel('Value read').isVisible()) await readTorqueOnTarget(page);
  else await step.locator('button.done').click();
  await expect(heading.filter({ hasText: title })).toHaveCount(0);
}

/** Surveys a machine: its layout, the first answer to every question but those given, and a way out. Returns the taps. */
export async function surveyMachine(
  page: Page,
  layout: RegExp,
  way: RegExp,
  answers: Readonly<Record<string, RegExp>> = {},
): Promise<number> {
  let taps = 1;
  await page.getByRole('button', { name: layout }).click();
  const question = page.locator('.ask h2');
  for (;;) {
    const asked = (await question.textContent()) ?? '';
    if (asked.includes('which way')) break;
    const given = answers[asked.trim()];
    const answer = given
      ? page.locator('.answers').getByRole('button', { name: given })
      : page.locator('.answers .answer').first();
    await answer.click();
    taps += 1;
    await expect(question).not.toHaveText(asked);
  }
  await page.getByRole('button', { name: way }).click();
  return taps + 1;
}

/** Fills the last step of a survey. */
export async function nameJob(page: Page, machine: string, title: string, crew = 'Ines, Tobias'): Promise<void> {
  await page.getByRole('textbox', { name: 'Machine' }).fill(machine);
  await page.getByLabel('Job', { exact: true }).fill(title);
  await page.getByLabel('Crew').fill(crew);
}
