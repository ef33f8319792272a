import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatExpansionPanelHarness } from '@angular/material/expansion/testing';
import { TestBed } from '@angular/core/testing';
import { foldLedger, isDone, nextUp, torqueAlong, type JobState } from '@brisk/core/ledger';
import { orderOf, planned, usualSettings } from '@brisk/core/planning';
import type { WorkPhase } from '@brisk/core/teardown';
import { testJob, theirEntry } from '../../testing/test-job';
import { openView, pressable, tick, type, wordsOf, workedUntil } from '../../testing/open-job';
import { StepInHand } from './step-in-hand';

const phases: readonly WorkPhase[] = ['strip', 'lift', 'refit', 'first-start', 'handover'];
const at = (step: string) => workedUntil((state) => isDone(state, step));
/** The first joint of the job is in hand. */
const begun = at('do:codes-before');
const open = (entries = begun) => openView(StepInHand, entries, (desk) => ({ state: desk.state(), phases }));
const sent = (view: Awaited<ReturnType<typeof open>>, from: number) =>
  view.server.entries.slice(from).map((entry) => ({ ...entry, id: '', at: '', by: '' }));
const head = { id: '', at: '', by: '' };

describe('the step in hand', () => {
  beforeEach(() => localStorage.setItem('brisk-wrench-shows', 'true'));
  afterEach(() => localStorage.clear());

  it('says what, where, how high, with what and what to watch', async () => {
    const view = await open();
    const words = view.text();
    for (const part of [
      'Over the bay',
      'on its wheels',
      'Unbolt the battery negative lead',
      '10 mm spanner',
      'Key out.',
    ])
      expect(words).toContain(part);
    expect(words).not.toMatch(/\bis safe\b/i);
  });

  it('records a step with one press and goes on to the next', async () => {
    const entries = at('do:rail-wait');
    const view = await open(entries);
    await view.press('Done');
    await view.settle();
    expect(sent(view, entries.length)).toEqual([
      { ...head, kind: 'operation-done', operation: 'make:fuel-depressurised' },
    ]);
    expect(view.text()).toContain('Hold point');
  });

  it('counts fasteners into the next bag and tags both halves, unless told otherwise', async () => {
    const view = await open();
    expect(view.text()).toContain('Tag 1 on both halves');
    await view.press('One more: Out');
    expect(view.text()).toContain('The map says 1');
    await view.press('Done');
    await view.settle();
    expect(sent(view, begun.length)).toEqual([
      {
        ...head,
        kind: 'fasteners-counted',
        connection: 'battery-negative',
        direction: 'out',
        count: 2,
        kept: 'bag',
        bag: 1,
      },
      { ...head, kind: 'tagged', connection: 'battery-negative', tag: 1 },
      { ...head, kind: 'operation-done', operation: 'open:battery-negative' },
    ]);
  });

  it('takes a row of plugs along with one key as far as it is told alike, tags and all, and back again together', async () => {
    const before = workedUntil((state) => nextUp(state)?.operation.id === 'open:injector-1');
    const view = await open(before);
    const tag = Math.max(0, ...(view.desk.state()?.tags.values() ?? []));
    expect(view.text()).toContain(`Tags ${tag + 1} to ${tag + 3}, on both halves of each.`);
    // The fourth is reached otherwise, and says so when it is in hand.
    await view.press('Numbers 1 to 3 done');
    await view.settle();
    const row = [1, 2, 3, 4].map((number) => `open:injector-${number}`);
    const done = () => row.map((id) => isDone(view.desk.state() as never, id));
    expect(done()).toEqual([true, true, true, false]);
    expect([1, 2, 3].map((number) => view.desk.state()?.tags.get(`injector-${number}`))).toEqual(
      [1, 2, 3].map((on) => tag + on),
    );
    expect(view.text()).not.toContain('Numbers');
    await view.press('Undo last');
    await view.settle();
    expect(done()).toEqual([false, false, false, false]);
    expect(view.desk.state()?.tags.get('injector-3')).toBeUndefined();
  });

  it('records a joint closed and clicked with one key, and only where the wrench clicks', async () => {
    const before = workedUntil((state) => {
      const operation = nextUp(state)?.operation;
      return operation !== undefined && torqueAlong(state, operation) !== undefined;
    });
    expect((await open(before)).text()).not.toContain('and clicked at');
    TestBed.resetTestingModule();
    localStorage.clear();
    const view = await open(before);
    const state = view.desk.state() as JobState;
    const closing = nextUp(state)?.operation;
    const along = closing && torqueAlong(state, closing);
    await view.press(`Done, and clicked at ${along?.targetNm} N·m`);
    await view.settle();
    const now = view.desk.state() as JobState;
    expect([closing?.id, along?.operation.id].map((id) => isDone(now, id ?? ''))).toEqual([true, true]);
    expect(now.torques.get(closing?.connection ?? '')?.at(-1)).toMatchObject({
      verdict: 'within',
      read: { value: along?.targetNm, unit: 'N·m' },
    });
  });

  it('puts fasteners back in their hole and leaves the tag off when asked', async () => {
    const view = await open();
    await view.press(/^Tag 1 on both halves/);
    await view.press('Its hole');
    await view.press('Done');
    await view.settle();
    expect(sent(view, begun.length)).toEqual([
      { ...head, kind: 'fasteners-counted', connection: 'battery-negative', direction: 'out', count: 1, kept: 'hole' },
      { ...head, kind: 'operation-done', operation: 'open:battery-negative' },
    ]);
  });

  it('has the machine raised first where the next step needs it', async () => {
    const entries = workedUntil((state) => state.height === 'raised');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex(({ kind }) => kind === 'height-set'),
      ),
    );
    expect(view.text()).toContain('Raise the machine onto stands');
    expect(view.text()).toContain('Stands under the body');
    expect(view.text()).toContain('trolley jack, four rated stands');
    expect(view.text()).toContain('Rock it by hand before anybody goes under.');
    await view.press('It is up');
    await view.settle();
    expect(view.desk.state()?.height).toBe('raised');
  });

  it('measures what is drained, refuses what cannot be, and takes a comma', async () => {
    const entries = at('drain:gearbox-oil');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex((entry) => 'operation' in entry && entry.operation === 'drain:gearbox-oil'),
      ),
    );
    type(view.element, 'litres', 'lots');
    await view.settle();
    expect(view.text()).toContain('Litres have to be a number');
    const before = view.server.entries.length;
    await view.press('Done');
    expect(view.server.entries).toHaveLength(before);
    type(view.element, 'litres', '4,1');
    await view.press('Done');
    await view.settle();
    expect(sent(view, before)[0]).toEqual({
      ...head,
      kind: 'fluid-measured',
      circuit: 'gearbox-oil',
      direction: 'out',
      litres: 4.1,
    });
  });

  it('lets another possible step be taken instead', async () => {
    const view = await open(workedUntil((state) => isDone(state, 'hold:made-safe')));
    const panel = await TestbedHarnessEnvironment.loader(view.fixture).getHarness(MatExpansionPanelHarness);
    await panel.expand();
    await view.press(/^Unplug the oil pressure switch/);
    await tick(20);
    await view.settle();
    expect(view.element.querySelector('h1')?.textContent).toContain('Unplug the oil pressure switch');
    await view.press('Done');
    await view.settle();
    expect(isDone(view.desk.state() as never, 'open:oil-pressure')).toBe(true);
  });

  it('does not offer to skip what others’ safety hangs on', async () => {
    const view = await open();
    expect(() => pressable(view.element, 'Skip')).toThrow();
    expect(pressable(view.element, 'Stuck')).toBeTruthy();
  });

  it('forgets a count when another step comes to hand, and keeps it while others write', async () => {
    const view = await open();
    await view.press('One more: Out');
    view.desk.record({ kind: 'noted', text: 'Meanwhile' });
    await tick();
    await view.settle();
    expect(view.element.querySelector('output')?.textContent).toBe('2');
  });

  it('keeps fasteners the way the job does, unless told otherwise', async () => {
    const entries = [...begun, theirEntry({ kind: 'keeping-chosen', keeping: 'card' })];
    const view = await open(entries);
    await view.press('Done');
    await view.settle();
    expect(sent(view, entries.length)[0]).toMatchObject({ kind: 'fasteners-counted', kept: 'card' });
    expect(sent(view, entries.length)[0]).not.toHaveProperty('bag');
  });

  it('takes back what was recorded last, together', async () => {
    const view = await open();
    await view.press('Done');
    await view.settle();
    expect(view.desk.state()?.tags.get('battery-negative')).toBe(1);
    await view.press('Undo last');
    await view.settle();
    expect(view.desk.state()?.tags.size).toBe(0);
    expect(isDone(view.desk.state() as never, 'open:battery-negative')).toBe(false);
    expect(view.text()).toContain('Unbolt the battery negative lead');
  });

  it('stands still over a break, and goes on with whatever is recorded next', async () => {
    const view = await open();
    await view.press('Break');
    expect(view.text()).toContain('On a break. The clock stands.');
    await view.press('Done');
    await view.settle();
    expect(sent(view, begun.length).map(({ kind }) => kind)).toEqual([
      'work-paused',
      'work-resumed',
      'fasteners-counted',
      'tagged',
      'operation-done',
    ]);
    expect(view.text()).not.toContain('On a break');
  });

  it('says what this shop learned at the step, and how long it really takes here', async () => {
    const view = await open();
    view.server.knowledge = {
      causes: [],
      found: [],
      notes: {
        'open:battery-negative': [
          {
            text: 'Clamp bolt is seized on these',
            by: 'Ruth',
            at: '2026-01-05T08:00:00.000Z',
            machine: 'Minibus no. 3',
          },
        ],
      },
      troubles: {
        'open:battery-negative': [
          {
            trouble: 'seized',
            tried: 'Penetrant',
            means: ['penetrant'],
            came: true,
            at: '2026-01-05T08:00:00.000Z',
            machine: 'Minibus no. 3',
          },
        ],
      },
      minutes: { 'open:battery-negative': { likelyMin: 4, ownMin: 6, times: 2 } },
    };
    view.desk.job.update((job) => job && { ...job });
    await view.settle();
    expect(view.text()).toContain('House note Clamp bolt is seized on these');
    expect(view.text()).toContain('Fought back before seized. Penetrant (penetrant). It came.');
    expect(view.text()).toContain('here it took 6 min, 2×');
  });

  it('says when a soaked step can be tried again, and takes it in hand', async () => {
    const entries = [
      ...workedUntil((state) => isDone(state, 'hold:made-safe')),
      theirEntry({
        kind: 'operation-stuck',
        operation: 'open:oil-pressure',
        trouble: 'seized',
        tried: 'Penetrant',
        minutesLost: 5,
        soakMin: 30,
      }),
    ];
    const view = await open(entries);
    expect(view.text()).toContain('Soaked. Try again: Unplug the oil pressure switch');
    await view.press('Take it');
    await tick(20);
    await view.settle();
    expect(view.element.querySelector('h1')?.textContent).toContain('Unplug the oil pressure switch');
  });

  it('lays down what one of two is stuck at, though the plan has it first, and though it was taken in hand', async () => {
    const before = at('hold:made-safe');
    const state = foldLedger(testJob.plan, before);
    const { schedule } = planned(state, 'out', usualSettings(['Ines', 'Tobias']), undefined);
    const view = await open([
      ...before,
      theirEntry({
        kind: 'plan-followed',
        half: 'out',
        order: orderOf(schedule),
        ...usualSettings(['Ines', 'Tobias']),
        finishMin: 1,
        heightChanges: 0,
      }),
    ]);
    const title = () => view.element.querySelector('h1')?.textContent ?? '';
    const first = title();
    view.desk.record({
      kind: 'operation-stuck',
      operation: [...state.work.operations.values()].find((one) => one.title === first)?.id ?? '',
      trouble: 'seized',
      tried: 'Penetrant',
      minutesLost: 3,
      soakMin: 30,
    });
    await view.settle();
    await tick(80);
    await view.settle();
    expect(title()).not.toBe(first);
    expect(view.text()).toMatch(new RegExp(`to soak: ${first}`));
  });

  it('has no word missing at any step of a job, with a plan for two and somebody from outside', async () => {
    const settings = usualSettings(['Ines', 'Tobias']);
    const start = foldLedger(testJob.plan, []);
    const { schedule } = planned(start, 'out', settings, undefined);
    const plan = theirEntry({
      kind: 'plan-followed',
      half: 'out',
      order: orderOf(schedule),
      ...settings,
      finishMin: 1,
      heightChanges: 0,
    });
    const steps = [...start.work.operations.values()].filter(({ phase }) => phase === 'strip' || phase === 'lift');
    for (let at = 0; at < steps.length; at += 9) {
      TestBed.resetTestingModule();
      const view = await open([plan, ...workedUntil((state) => state.progress.size >= at)]);
      const hand = wordsOf(view.element.querySelector('.hand') as HTMLElement);
      expect(hand).not.toMatch(/\s,|,\s*,|\(\s*\)|\bundefined\b|\bNaN\b|: ?$/);
    }
  });

  it('counts down a wait beside the work that can be done meanwhile, and asks before it is cut short', async () => {
    jest.useFakeTimers({
      doNotFake: ['setTimeout', 'queueMicrotask', 'nextTick'],
      now: Date.parse('2026-03-02T09:00:00.000Z'),
    });
    try {
      const entries = workedUntil((state) => isDone(state, 'do:soak-exhaust'));
      const moments = entries.map((entry) => ({ ...entry, at: '2026-03-02T08:58:00.000Z' }));
      const view = await open(moments);
      expect(view.text()).toMatch(/13 min yet: Let the penetrant creep in/);
      expect(view.element.querySelector('h1')?.textContent).not.toContain('penetrant creep');
      await view.press('Take it');
      await tick(20);
      await view.settle();
      expect(view.element.querySelector('h1')?.textContent).toContain('Let the penetrant creep in');
      expect(view.text()).toContain('13 min yet of 15 min');
      expect(view.text()).not.toContain('yet: Let the penetrant');
      await view.press('It has waited');
      await view.settle();
      expect(wordsOf(document.body)).toContain('has 3 min to go');
      expect(view.server.entries).toHaveLength(entries.length);
      pressable(document.body, 'It has waited long enough').click();
      await view.settle();
      expect(sent(view, entries.length)).toEqual([
        { ...head, kind: 'operation-done', operation: 'do:soak-exhaust-in' },
      ]);
    } finally {
      jest.useRealTimers();
    }
  });

  it('records a photo pinned to the step, and says so where the file is none', async () => {
    const view = await open();
    const chooser = view.element.querySelector<HTMLInputElement>('input[name=photos]');
    if (!chooser) throw new Error('There is no photo key.');
    const pick = async (...names: readonly string[]) => {
      const files = names.map((name) => new File(['x'], name, { type: 'image/jpeg' }));
      Object.defineProperty(chooser, 'files', { value: files, configurable: true });
      chooser.dispatchEvent(new Event('change'));
      await tick(20);
      await view.settle();
    };
    await pick('one.jpg', 'two.jpg');
    expect(sent(view, begun.length)).toEqual([
      expect.objectContaining({
        kind: 'photo-taken',
        pinnedTo: expect.objectContaining({ operation: 'open:battery-negative' }) as unknown,
      }),
      expect.objectContaining({ kind: 'photo-taken', widthPx: 400 }),
    ]);
    expect(view.server.photos).toHaveLength(2);
    await pick('notes.pdf');
    expect(document.body.textContent).toContain('“notes.pdf” is no picture this device can read');
    expect(view.server.entries).toHaveLength(begun.length + 2);
  });
});
