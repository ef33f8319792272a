import { CdkDropList } from '@angular/cdk/drag-drop';
import type { Provider } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { Router } from '@angular/router';
import type { Job } from '@brisk/contracts/job';
import type { Kept, ToolList } from '@brisk/contracts/shop';
import { isDone, type EntryBody } from '@brisk/core/ledger';
import { crewOf, NO_SCHOOL } from '@brisk/core/schedule';
import { NEVER, Observable, Subject, throwError, type Subscriber } from 'rxjs';
import { FakeServer } from '../../../testing/fake-server';
import { problemAnswer } from '../../../testing/problem-answer';
import { testJob, theirEntry } from '../../../testing/test-job';
import { openView, pressable, tick, workedUntil, type Opened } from '../../../testing/open-job';
import { Plan } from './plan';
import { PlanDraft } from '../../planning/plan-draft';
import { PlanSearch } from '../../planning/plan-search';
import { LIFT, type Found } from '@brisk/core/planning';

const draftOf = () => TestBed.inject(PlanDraft);
const orderOf = () => (draftOf().now()?.schedule.steps ?? []).map(({ operation }) => operation.id);
const flat = (element: Element | null | undefined) => element?.textContent?.replace(/\s+/g, ' ').trim() ?? '';
const followedEntry = (
  order: readonly string[],
  changes: Partial<Extract<EntryBody, { kind: 'plan-followed' }>> = {},
) =>
  theirEntry({
    kind: 'plan-followed',
    half: 'out',
    order,
    crew: crewOf(['Ines', 'Tobias']),
    school: NO_SCHOOL,
    pins: [],
    waits: [],
    finishMin: 300,
    heightChanges: 1,
    ...changes,
  });

/** A smaller job, the gearbox alone, for what is the same whatever comes out. */
const gearboxAlone: Job = { ...testJob, plan: { ...testJob.plan, powerpack: 'gearbox', route: 'under' } };
const alone = (entries: Parameters<typeof openView>[1] = [], more: { readonly providers?: readonly Provider[] } = {}) =>
  openView(Plan, entries, () => ({}), { job: gearboxAlone, ...more });

beforeEach(() => localStorage.clear());

describe('the plan', () => {
  it('has the key for what comes next in reach once a plan is followed', async () => {
    const view = await openView(Plan);
    draftOf().move(['open:airbox-bolts'], orderOf()[6], 'Moved');
    await view.settle();
    await view.press('Follow this plan');
    await view.settle();
    expect(document.activeElement?.textContent).toContain('Begin');
  });

  it('shows setups with where, how high, who, what to carry and what to catch', async () => {
    const view = await openView(Plan);
    const first = flat(view.element.querySelector('.setup'));
    for (const part of ['In the cabin, on its wheels', 'Take', 'Ines', 'Read the stored codes'])
      expect(first).toContain(part);
    expect(view.text()).toContain('Sign: Made safe');
    expect(view.text()).toContain('114');
    expect(view.text()).toContain('Raise the machine onto stands');
    expect(view.text()).toContain('Catch about 6.8 l of coolant');
  });

  it('draws no order before it is told what the shop raises machines on; told once, this device knows', async () => {
    const told = new Subject<Kept<ToolList>>();
    const asked = jest.spyOn(FakeServer.prototype, 'tools').mockReturnValue(told);
    const view = await openView(Plan);
    expect(orderOf()).toEqual([]);
    expect(view.element.querySelector('mat-progress-bar')).not.toBeNull();
    told.next({ revision: 1, updatedAt: '', document: { tools: [{ tool: LIFT, here: true }] } });
    told.complete();
    await view.settle();
    expect(view.text()).toContain('Raise the machine on the lift');
    const order = orderOf();
    view.fixture.destroy();
    TestBed.resetTestingModule();
    asked.mockReturnValue(NEVER);
    await openView(Plan);
    expect(orderOf()).toEqual(order);
    asked.mockRestore();
  });

  it('goes by stands where nobody can be asked', async () => {
    const asked = jest
      .spyOn(FakeServer.prototype, 'tools')
      .mockReturnValue(throwError(() => problemAnswer('internal', 500, 'No.')));
    const view = await openView(Plan);
    expect(view.text()).toContain('Raise the machine onto stands');
    asked.mockRestore();
  });

  it('draws who is where, with the machine’s height under it and hold points across', async () => {
    const view = await openView(Plan);
    const picture = view.element.querySelector('bl-day-picture figure');
    expect(picture?.getAttribute('aria-label')).toMatch(/2 people, .* moved up or down 1 time, 2 hold points/);
    expect(view.element.querySelectorAll('bl-day-picture .lane')).toHaveLength(3);
    expect(view.element.querySelectorAll('bl-day-picture i')).toHaveLength(2);
    expect(view.element.querySelector('bl-day-picture path')?.getAttribute('d')).toMatch(/^M0 17 H[\d.]+ V3 H100$/);
  });

  it('shows the way back too, and leaves out what is done', async () => {
    const back = await openView(Plan, [], () => ({ way: 'back' }));
    expect(back.text()).toContain('Sign: Ready to go back in');
    expect(back.text()).not.toContain('Let the rail pressure fall');
    const print = new URL(back.element.querySelector<HTMLAnchorElement>('a[href*="run-sheet"]')?.href ?? '');
    expect([...print.searchParams]).toEqual([
      ['half', 'back'],
      ['zone', Intl.DateTimeFormat().resolvedOptions().timeZone],
    ]);
    back.fixture.destroy();
    TestBed.resetTestingModule();
    const view = await openView(
      Plan,
      workedUntil((state) => isDone(state, 'open:battery-negative')),
    );
    expect(view.text()).not.toContain('Unbolt the battery negative lead');
    expect(pressable(view.element, 'Go on stripping')).toBeTruthy();
  });

  it('puts the picked step into the address', async () => {
    const view = await alone();
    await view.press(/Unbolt the front pipe at the turbocharger/);
    await tick(20);
    expect(TestBed.inject(Router).url).toContain('step=open:downpipe-turbo');
  });

  it('finds a better order, says what changes, and follows it in the ledger', async () => {
    const view = await alone();
    const before = draftOf().now()?.schedule.costs.objective ?? 0;
    await view.press('Find a better order');
    expect(draftOf().now()?.schedule.costs.objective).toBeLessThan(before);
    expect(view.text()).toMatch(/Not followed yet/);
    expect(view.element.querySelector('bl-plan-changes')).toBeTruthy();
    const order = orderOf();
    await view.press('Follow this plan');
    await view.settle();
    expect(view.server.entries).toHaveLength(1);
    expect(view.server.entries[0]).toMatchObject({ kind: 'plan-followed', half: 'out', order });
    expect(view.text()).toContain('Plan 1, followed since');
  });

  it('undoes, redoes, drops, and keeps what is not followed over a reload', async () => {
    const view = await alone();
    const first = orderOf();
    await view.press('Find a better order');
    const better = orderOf();
    await view.press('Undo');
    expect(orderOf()).toEqual(first);
    await view.press('Redo');
    expect(orderOf()).toEqual(better);
    view.fixture.destroy();
    TestBed.resetTestingModule();
    const again = await alone();
    expect(orderOf()).toEqual(better);
    await again.press('Drop it');
    expect(orderOf()).toEqual(first);
    expect(Object.keys(localStorage).filter((key) => key.includes('plan'))).toEqual([]);
  });

  it('takes no notice of something else kept under its name', async () => {
    localStorage.setItem('brisk-ledger plan 3f0c8a52-8f1e-4d0a-9a51-6a2b1f0e7c11 out', '{"order":[1],"settings":{}}');
    const view = await alone();
    expect(view.text()).toContain('No plan is followed yet');
  });

  it('stops a search when told, and takes the best so far', async () => {
    let told: Subscriber<Found> | undefined;
    const view = await alone([], {
      providers: [{ provide: PlanSearch, useValue: { search: () => new Observable((to) => void (told = to)) } }],
    });
    await view.press('Find a better order');
    expect(view.text()).toContain('Looking for a better order');
    const { schedule } = draftOf().now() ?? {};
    if (!schedule) throw new Error('There is a plan.');
    const order = orderOf();
    told?.next({ plan: { order }, costs: { ...schedule.costs, objective: 1 }, tried: 77, spentMs: 500, done: false });
    await view.settle();
    expect(view.text()).toContain('77 tried');
    await view.press('Stop, take the best');
    expect(draftOf().dirty()).toBe(true);
    expect(told?.closed).toBe(true);
  });

  it('says so when a search fails, and leaves the plan as it was', async () => {
    const view = await alone([], {
      providers: [
        {
          provide: PlanSearch,
          useValue: { search: () => new Observable((to) => to.error(new Error('The search stopped by itself.'))) },
        },
      ],
    });
    await view.press('Find a better order');
    expect(view.text()).toContain('The search stopped by itself.');
    expect(draftOf().dirty()).toBe(false);
  });
});

describe('the crew’s hand', () => {
  it('moves a step where nothing breaks, and pins it there', async () => {
    const view = await openView(Plan);
    const order = orderOf();
    draftOf().move(['open:airbox-bolts'], order[6], 'Moved');
    await view.settle();
    expect(draftOf().broken()).toBeUndefined();
    expect(orderOf().indexOf('open:airbox-bolts')).toBeLessThan(order.indexOf('open:airbox-bolts'));
    draftOf().pin(['open:airbox-bolts']);
    await view.settle();
    expect(view.text()).toContain('pinned');
    await view.press('Find a better order');
    const settings = draftOf().settings();
    for (const { before, after } of settings?.pins ?? [])
      expect(orderOf().indexOf(before)).toBeLessThan(orderOf().indexOf(after));
    draftOf().pin(['open:airbox-bolts']);
    expect(draftOf().settings()?.pins).toEqual([]);
  });

  it('says what a move would break and the harm, puts it back, or takes along what goes along', async () => {
    const view = await openView(Plan);
    const order = orderOf();
    draftOf().move(['open:starter-cable'], order[0], 'Moved');
    await view.settle();
    expect(view.text()).toContain('That would break something');
    expect(view.text()).toContain('burns hands and looms');
    await view.press('Leave it where it was');
    expect(orderOf()).toEqual(order);
    draftOf().move(['open:starter-cable'], order[8], 'Moved');
    await view.settle();
    await view.press('Move it, and what goes along');
    expect(draftOf().broken()).toBeUndefined();
    expect(orderOf().indexOf('open:starter-cable')).toBeLessThan(order.indexOf('open:starter-cable'));
  });

  it('moves and pins the picked step by key', async () => {
    const view = await alone();
    await view.press(/the gearbox breather/);
    await tick(20);
    const at = orderOf().indexOf('open:gearbox-breather');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: ']' }));
    await view.settle();
    expect(draftOf().dirty() || draftOf().broken() !== undefined).toBe(true);
    if (draftOf().dirty()) expect(orderOf().indexOf('open:gearbox-breather')).toBeGreaterThanOrEqual(at);
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'p' }));
    expect(draftOf().pinned().has('open:gearbox-breather')).toBe(true);
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'z' }));
    expect(draftOf().pinned().has('open:gearbox-breather')).toBe(false);
  });

  it('moves a whole setup by its handle and the arrow keys', async () => {
    const view = await alone();
    const handles = [...view.element.querySelectorAll<HTMLButtonElement>('button.handle')];
    handles[1]?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
    await view.settle();
    expect(draftOf().dirty() || draftOf().broken() !== undefined).toBe(true);
  });
});

describe('what is dragged', () => {
  const drop = (view: Opened<Plan>, list: number, event: object) => {
    const lists = view.fixture.debugElement.queryAll(By.directive(CdkDropList));
    lists[list]?.triggerEventHandler('cdkDropListDropped', event);
    return view.settle();
  };
  const listsOf = (view: Opened<Plan>) =>
    view.fixture.debugElement.queryAll(By.directive(CdkDropList)).map((one) => one.injector.get(CdkDropList));

  it('stands where it was let go, or says what it would break there', async () => {
    const view = await alone();
    const order = orderOf();
    const steps = draftOf().now()?.schedule.steps ?? [];
    const setups = listsOf(view).slice(1);
    for (const [index, container] of setups.entries()) {
      const own = view.element.querySelectorAll(`#setup-${index} > li`);
      if (own.length < 3) continue;
      const ids = steps.map(({ operation }) => operation);
      const title = own[0]?.querySelector('.step span')?.textContent ?? '';
      const id = ids.find((operation) => operation.title === title)?.id ?? '';
      await drop(view, index + 1, {
        item: { data: id },
        container,
        previousContainer: container,
        previousIndex: 0,
        currentIndex: own.length - 1,
      });
      if (draftOf().broken()) {
        expect(view.text()).toContain('Put it back');
        draftOf().putBack();
        continue;
      }
      expect([...orderOf()].sort()).toEqual([...order].sort());
      // Beside somebody else's work it may stand wherever it likes and begin at the same time.
      if (orderOf().some((one, place) => one !== order[place])) return;
      draftOf().undo();
    }
    throw new Error('No step could be moved anywhere.');
  });

  it('is not moved when it is let go where it was', async () => {
    const view = await alone();
    const [, container] = listsOf(view);
    await drop(view, 1, {
      item: { data: orderOf()[0] },
      container,
      previousContainer: container,
      previousIndex: 0,
      currentIndex: 0,
    });
    await drop(view, 0, { previousIndex: 2, currentIndex: 2 });
    expect(draftOf().dirty()).toBe(false);
    expect(draftOf().broken()).toBeUndefined();
  });

  it('takes a whole setup along, or says why it cannot stand there', async () => {
    const view = await alone();
    await drop(view, 0, { previousIndex: listsOf(view).length - 2, currentIndex: 0 });
    const broken = draftOf().broken();
    expect(broken?.breaches.length).toBeGreaterThan(0);
    expect(broken?.ids.length).toBeGreaterThan(0);
    expect(draftOf().dirty()).toBe(false);
  });
});

describe('planning from where the job stands', () => {
  const order = async () => {
    const view = await openView(Plan);
    const steps = orderOf();
    view.fixture.destroy();
    TestBed.resetTestingModule();
    return steps;
  };

  it('says what the plan does not know, and plans the rest from here', async () => {
    const steps = await order();
    const stuck = theirEntry({
      kind: 'operation-stuck',
      operation: 'open:downpipe-turbo',
      trouble: 'seized',
      tried: 'Penetrant',
      minutesLost: 8,
    });
    const found = theirEntry({
      kind: 'connection-found',
      alreadyOpen: false,
      connection: {
        id: 'found-one',
        name: 'a hidden strap',
        kind: 'ground',
        between: ['engine', 'body'],
        station: 'bay-top',
        height: 'either',
      },
    });
    const view = await openView(Plan, [followedEntry(steps), stuck, found]);
    expect(view.text()).toContain('Stuck: Unbolt the front pipe at the turbocharger');
    expect(view.text()).toContain('New: Unbolt a hidden strap');
    await view.press('Plan the rest from here');
    expect(orderOf()).toContain('open:found-one');
    const step = draftOf()
      .now()
      ?.schedule.steps.find(({ operation }) => operation.id === 'open:downpipe-turbo');
    expect(step?.startMin).toBeGreaterThanOrEqual(29);
    await view.press('Follow this plan');
    await view.settle();
    expect(view.text()).toContain('Plan 2, followed since');
    expect(view.text()).not.toContain('The plan does not know');
  });

  it('keeps out what waits for a part nobody knows the time of, and says so', async () => {
    const missing = theirEntry({
      kind: 'operation-stuck',
      operation: 'open:bell-housing',
      trouble: 'part-missing',
      tried: 'Looked',
      minutesLost: 1,
    });
    const view = await alone([missing]);
    expect(view.text()).toMatch(/steps not in this plan: they hang on Unbolt the bell housing/);
    expect(orderOf()).not.toContain('open:bell-housing');
  });
});
