import type { Provider, Type } from '@angular/core';
import type { TestElement } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { ErrorStateMatcher } from '@angular/material/core';
import { MatAutocompleteHarness } from '@angular/material/autocomplete/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { provideRouter } from '@angular/router';
import type { Job } from '@brisk/contracts/job';
import { canApply, extend, foldLedger, type EntryBody, type JobState, type LedgerEntry } from '@brisk/core/ledger';
import { entriesForNext } from '@brisk/core/testing/crew';
import { AtTheJob } from '../app/session/at-the-job';
import { Desk } from '../app/session/desk';
import { WhenSent } from '../app/ui/when-sent';
import { Drafts } from '../app/session/drafts';
import { House } from '../app/session/house';
import { JobsHere } from '../app/session/jobs-here';
import { Selection } from '../app/session/selection';
import { PhotoShelf } from '../app/photos/photo-shelf';
import { Tidier } from '../app/photos/tidier';
import { PlanDraft } from '../app/planning/plan-draft';
import { PlanSearch } from '../app/planning/plan-search';
import { Reckoning } from '../app/planning/reckoning';
import { WaySearch } from '../app/planning/way-search';
import { Api } from '../app/api/api';
import { PhotoTaking } from '../app/photos/photo-taking';
import { Recorder } from '../app/session/recorder';
import { HoldActions } from '../app/working-step/hold-actions';
import { JointActions } from '../app/working-step/joint-actions';
import { StepActions } from '../app/working-step/step-actions';
import { FakeServer } from './fake-server';
import { testJob, theirEntry } from './test-job';
import { DraftsInStorage } from './drafts-in-storage';
import { JobsInMemory } from './jobs-in-memory';
import { stillAndPlain } from './still-and-plain';
import { OwnThreadSearch } from './own-thread-search';
import { OwnThreadReckoning } from './own-thread-reckoning';
import { OwnThreadWay } from './own-thread-way';
import { PlainTidier, ShelfInMemory } from './photo-stand-ins';

/** A view with the job open around it, as the shell would have it. */
export interface Opened<View> {
  readonly fixture: ComponentFixture<View>;
  readonly element: HTMLElement;
  readonly server: FakeServer;
  readonly desk: Desk;
  /** Lets everything settle and draws the view again. */
  readonly settle: () => Promise<void>;
  /** The first element that says `words`, among buttons, links and labels. */
  readonly press: (words: string | RegExp) => Promise<void>;
  readonly text: () => string;
}

/** What a test bed needs for any view of a job. */
export function jobProviders(server: FakeServer) {
  return [
    AtTheJob,
    Desk,
    HoldActions,
    House,
    PhotoTaking,
    PlanDraft,
    Recorder,
    Selection,
    JointActions,
    StepActions,
    { provide: Api, useValue: server },
    { provide: ErrorStateMatcher, useClass: WhenSent },
    { provide: PlanSearch, useClass: OwnThreadSearch },
    { provide: WaySearch, useClass: OwnThreadWay },
    { provide: Reckoning, useClass: OwnThreadReckoning },
    stillAndPlain,
    { provide: Drafts, useClass: DraftsInStorage },
    { provide: JobsHere, useClass: JobsInMemory },
    { provide: PhotoShelf, useClass: ShelfInMemory },
    { provide: Tidier, useClass: PlainTidier },
    provideRouter([{ path: '**', children: [] }]),
  ];
}

/** The careful crew at work, as far as any test has needed it: every state it came to, and what it wrote to get there. */
const worked: { readonly states: JobState[]; readonly entries: LedgerEntry[][] } = {
  states: [foldLedger(testJob.plan, [])],
  entries: [[]],
};

/** Entries of a careful crew that has worked until `until`. */
export function workedUntil(until: (state: JobState) => boolean): LedgerEntry[] {
  for (let step = 0; ; step += 1) {
    const state = worked.states[step] ?? workOn();
    if (until(state)) return worked.entries.slice(0, step + 1).flat();
  }
}

function workOn(): JobState {
  let state = worked.states.at(-1) ?? foldLedger(testJob.plan, []);
  const bodies: readonly EntryBody[] = entriesForNext(state);
  if (bodies.length === 0) throw new Error('Nothing is left to do.');
  const entries = bodies.map(theirEntry);
  for (const entry of entries) {
    const [refusal] = canApply(state, entry);
    if (refusal) throw new Error(refusal.words);
    state = extend(state, [entry]);
  }
  worked.states.push(state);
  worked.entries.push(entries);
  return state;
}

/** Opens `view` on the test job with `entries` in its ledger. */
export async function openView<View>(
  view: Type<View>,
  entries: readonly LedgerEntry[] = [],
  inputs: (desk: Desk) => Readonly<Record<string, unknown>> = () => ({}),
  more: { readonly job?: Job; readonly providers?: readonly Provider[] } = {},
): Promise<Opened<View>> {
  const server = new FakeServer();
  server.entries = [...entries];
  if (more.job) server.opened = more.job;
  TestBed.configureTestingModule({ imports: [view], providers: [...jobProviders(server), ...(more.providers ?? [])] });
  const desk = TestBed.inject(Desk);
  desk.open(testJob.id);
  await tick();
  // What a view fetches only when it is shown is known to it by then.
  await TestBed.compileComponents();
  const fixture = TestBed.createComponent(view);
  const feed = () => {
    for (const [name, value] of Object.entries(inputs(desk))) fixture.componentRef.setInput(name, value);
  };
  const settle = async () => {
    await tick();
    feed();
    fixture.detectChanges();
    await fixture.whenStable();
  };
  const element: HTMLElement = fixture.nativeElement as HTMLElement;
  feed();
  await settle();
  return {
    fixture,
    element,
    server,
    desk,
    settle,
    text: () => wordsOf(element),
    press: async (words) => {
      pressable(element, words).click();
      await settle();
    },
  };
}

/** What `element` says, with its white space as a person sees it. */
export function wordsOf(element: Element): string {
  const words: string[] = [];
  const texts = document.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  for (let text = texts.nextNode(); text; text = texts.nextNode()) words.push(text.textContent ?? '');
  return words
    .join(' ')
    .replace(/\s+/g, ' ')
    .replace(/ ([,.;:])/g, '$1')
    .trim();
}

const PRESSED = 'button, a, label, mat-expansion-panel-header, mat-chip-option';

/** The button, link or label in `element` that says `words`. */
export function pressable(element: ParentNode, words: string | RegExp): HTMLElement {
  const found = [...element.querySelectorAll<HTMLElement>(PRESSED)].find((one) => {
    const said = one.getAttribute('aria-label') ?? wordsOf(one);
    return typeof words === 'string' ? said === words : words.test(said);
  });
  if (!found) throw new Error(`Nothing to press says ${String(words)}`);
  return found;
}

/** Types `value` into the field called `name`. */
export function type(element: ParentNode, name: string, value: string): void {
  const entry = element.querySelector<HTMLInputElement | HTMLTextAreaElement>(`[name="${name}"]`);
  if (!entry) throw new Error(`There is no field ${name}`);
  write(entry, value);
}

/** The field of `element` whose label says `label`. */
export function field(element: ParentNode, label: string | RegExp): HTMLInputElement | HTMLTextAreaElement {
  const found = [...element.querySelectorAll('mat-form-field')].find((one) => {
    const said = wordsOf(one.querySelector('mat-label') ?? one);
    return typeof label === 'string' ? said === label : label.test(said);
  });
  const entry = found?.querySelector<HTMLInputElement | HTMLTextAreaElement>('input, textarea');
  if (!entry) throw new Error(`There is no field called ${String(label)}`);
  return entry;
}

/** Writes `value` into `entry`, and leaves it. */
export function write(entry: HTMLInputElement | HTMLTextAreaElement, value: string): void {
  entry.value = value;
  entry.dispatchEvent(new Event('input', { bubbles: true }));
  entry.dispatchEvent(new Event('change', { bubbles: true }));
}

/** Picks `words` from the list called `label`, as a hand does: opens it and touches one. */
export async function choose(fixture: ComponentFixture<unknown>, label: string | RegExp, words: string): Promise<void> {
  const selects = await TestbedHarnessEnvironment.documentRootLoader(fixture).getAllHarnesses(MatSelectHarness);
  for (const select of selects) {
    const host = await select.host();
    const said = (await host.getAttribute('aria-label')) ?? (await labelOf(host));
    if (typeof label === 'string' ? said !== label : !label.test(said)) continue;
    await select.open();
    await select.clickOptions({ text: words });
    return;
  }
  throw new Error(`There is no list called ${String(label)}`);
}

/** Types a piece of `words` into the field called `label` and takes what is offered. */
export async function find(fixture: ComponentFixture<unknown>, label: string, words: string): Promise<void> {
  const named = field(document, label).getAttribute('name');
  const list = await TestbedHarnessEnvironment.documentRootLoader(fixture).getHarness(
    MatAutocompleteHarness.with({ selector: `[name="${named}"]` }),
  );
  await list.enterText(words);
  await list.selectOption({ text: words });
}

async function labelOf(host: TestElement): Promise<string> {
  const [id] = ((await host.getAttribute('aria-labelledby')) ?? '').split(' ');
  return wordsOf(document.getElementById(id ?? '') ?? document.createElement('p'));
}

/** Lets promises and timers that are due run. */
export function tick(ms = 0): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms));
}
