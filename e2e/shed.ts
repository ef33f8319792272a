import { createHash, randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { JobWithLedger } from '@brisk/contracts/job';
import {
  countingAt,
  extend,
  foldLedger,
  nextUp,
  type EntryBody,
  type JobState,
  type LedgerEntry,
} from '@brisk/core/ledger';
import type { OperationKind } from '@brisk/core/teardown';
import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test';
import { entriesForNext } from '@brisk/core/testing/crew';

/** A PDF of three sheets, as the demo has it, and the name it is kept under. */
export const LOOM_NOTES_PDF = readFileSync(join(import.meta.dirname, '../demo/literature/tug-loom-notes.pdf'));
export const LOOM_NOTES = `${createHash('sha256').update(LOOM_NOTES_PDF).digest('hex')}.pdf`;

/** Begins a job over the API and returns its id. */
export async function beginJob(
  request: APIRequestContext,
  title: string,
  layout = 'longitudinal-automatic',
): Promise<string> {
  const id = randomUUID();
  const answer = await request.post('/api/jobs', {
    data: {
      id,
      title,
      machine: 'Test carrier no. 1',
      reason: 'same-back',
      crew: ['Ines', 'Tobias'],
      layout,
      powerpack: 'engine-with-gearbox',
      route: 'top',
    },
  });
  expect(answer.status()).toBe(201);
  return id;
}

/** A job as {@link beginJob} begins it, whose stored codes are read: its battery lead is in hand. */
export async function beginAtBattery(request: APIRequestContext, title: string): Promise<string> {
  const job = await beginJob(request, title);
  const entry = { id: randomUUID(), at: new Date().toISOString(), by: 'Ines' };
  const answer = await request.post(`/api/jobs/${job}/ledger`, {
    data: {
      expectedPosition: 0,
      entries: [{ ...entry, kind: 'operation-done', operation: 'do:codes-before' }],
    },
  });
  expect(answer.status()).toBe(200);
  return job;
}

/**
 * Writes what a careful crew writes, step by step, until `until` says stop or nothing is left to do. Where a page wrote
 * meanwhile, from what stands then.
 */
export async function workedByCrew(
  request: APIRequestContext,
  job: string,
  until: (state: JobState) => boolean = () => false,
): Promise<void> {
  for (;;) {
    const told = (await (await request.get(`/api/jobs/${job}`)).json()) as JobWithLedger;
    const written = crewEntries(foldLedger(told.job.plan, told.entries), until).slice(0, 200);
    if (written.length === 0) return;
    const answer = await request.post(`/api/jobs/${job}/ledger`, {
      data: { expectedPosition: told.entries.length, entries: written },
    });
    if (answer.status() === 409) continue;
    expect(await answer.json()).toHaveProperty('written');
  }
}

/** Writes what a careful crew looks at and sets before the hold point that is next, and leaves the signing. */
export async function lookedAndSet(request: APIRequestContext, job: string): Promise<void> {
  const told = (await (await request.get(`/api/jobs/${job}`)).json()) as JobWithLedger;
  const bodies = entriesForNext(foldLedger(told.job.plan, told.entries)).filter(
    ({ kind }) => kind === 'joint-looked-at' || kind === 'adjustment-tried',
  );
  const entries = bodies.map((body) => ({ id: randomUUID(), at: new Date().toISOString(), by: 'Ines', ...body }));
  if (entries.length === 0) return;
  const answer = await request.post(`/api/jobs/${job}/ledger`, {
    data: { expectedPosition: told.entries.length, entries },
  });
  expect(await answer.json()).toHaveProperty('written');
}

function crewEntries(start: JobState, until: (state: JobState) => boolean): readonly LedgerEntry[] {
  let state = start;
  while (!until(state)) {
    const next = entriesForNext(state);
    if (next.length === 0) break;
    const moves = next.filter(({ kind }) => kind === 'height-set');
    const bodies = moves.length > 0 ? moves : [...counted(state), ...next];
    const by = [...state.firstSigned.values()].some((first) => first.by === 'Ines') ? 'Tobias' : 'Ines';
    state = extend(
      state,
      bodies.map((body) => ({ id: randomUUID(), at: new Date().toISOString(), by, ...body })),
    );
  }
  return state.entries.slice(start.entries.length);
}

/** Whether a step of `kind` is in hand, with the machine as it has to stand for it. */
export function isNext(state: JobState, kind: OperationKind): boolean {
  const next = nextUp(state);
  return next?.operation.kind === kind && next.moveTo === undefined;
}

/** Fasteners are counted out of what the next step opens, and back into what it closes. */
function counted(state: JobState): readonly EntryBody[] {
  const { operation, moveTo } = nextUp(state) ?? {};
  const counting = operation && !moveTo ? countingAt(state, operation) : undefined;
  if (operation?.connection === undefined || !counting) return [];
  const { direction, expected: count } = counting;
  const of = { kind: 'fasteners-counted', connection: operation.connection, direction, count } as const;
  return [counting.direction === 'out' ? { ...of, kept: 'bag', bag: counting.bag } : of];
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
    /"([0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12})"/g,
    (_all, id: string) => {
      if (!fresh.has(id)) fresh.set(id, randomUUID());
      return `"${fresh.get(id)}"`;
    },
  );
  const bundle = JSON.parse(copy) as { job: { title: string }; seal?: unknown };
  // The seal is that of the original.
  delete bundle.seal;
  bundle.job.title = `Copy of ${bundle.job.title}`;
  const answer = await request.post('/api/bundles', { data: bundle });
  expect(answer.status()).toBe(201);
  return fresh.get(source) ?? '';
}

/** The step in hand on the page. */
export function hand(page: Page) {
  return page.getByRole('region', { name: 'The step in hand' });
}

/** Picks `words` from the list called `label`. */
export async function choose(
  page: Page,
  label: string,
  words: string | RegExp,
  within: Page | Locator = page,
): Promise<void> {
  await within.getByRole('combobox', { name: label }).click();
  await page.getByRole('option', typeof words === 'string' ? { name: words, exact: true } : { name: words }).click();
}

/** Types `words` into the field called `label` and takes what is offered under that name. */
export async function findInList(page: Page, label: string, words: string): Promise<void> {
  await page.getByLabel(label).fill(words);
  await page.getByRole('option', { name: words, exact: true }).click();
}

/** Says of the wait in hand that it is over, although the clock does not think so. */
export async function waited(page: Page): Promise<void> {
  await hand(page).locator('button.done').click();
  await page.getByRole('button', { name: 'It has waited long enough' }).click();
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

/** Has one reading taken for the joint in hand, where it would be tightened bolt by bolt. */
export async function asOneJoint(page: Page): Promise<void> {
  const whole = page.getByRole('button', { name: 'One reading for the whole joint' });
  if (await whole.isVisible()) await whole.click();
}

/** Opens the fields of a wrench that shows a figure. */
export async function showsFigure(page: Page): Promise<void> {
  const fold = page.getByRole('button', { name: 'It shows a figure, or another wrench' });
  if ((await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
}

/** Reads the target from the page and records it as read with the proposed wrench. */
export async function readTorqueOnTarget(page: Page): Promise<void> {
  await showsFigure(page);
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
  await asOneJoint(page);
  const clicks = step.getByRole('button', { name: /^Clicked at / });
  if (await gate.isVisible()) await sign(page);
  else if (await clicks.isVisible()) await clicks.click();
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

/** Waits until what somebody makes and has not kept yet is on the device: drafts are written behind what is drawn. */
export async function draftOnDevice(page: Page): Promise<void> {
  const drafts = () =>
    page.evaluate(
      () =>
        new Promise<number>((resolve, reject) => {
          const open = indexedDB.open('brisk-drafts');
          open.onerror = () => reject(open.error ?? new Error('No drafts'));
          open.onsuccess = () => {
            const count = open.result.transaction('drafts').objectStore('drafts').count();
            count.onsuccess = () => {
              open.result.close();
              resolve(count.result);
            };
          };
        }),
    );
  await expect.poll(drafts).toBe(1);
}
