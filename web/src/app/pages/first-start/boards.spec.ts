import { TestBed } from '@angular/core/testing';
import { RULES_NOW } from '@brisk/core/connection-map';
import { allLifted, foldLedger, groundsOf, isDone, looksLeft, nextUp, type LedgerEntry } from '@brisk/core/ledger';
import { testJob, theirEntry } from '../../../testing/test-job';
import { openView, type, workedUntil } from '../../../testing/open-job';
import { House } from '../../session/house';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { BatteryBoard } from './battery';
import { Ready } from './ready';
import { RunningIn } from './running-in';
import { Trouble } from './trouble';

const job = { ...testJob, plan: { ...testJob.plan, rules: RULES_NOW } };
const signed = () => workedUntil((state) => isDone(state, 'hold:pre-start'));
const cranked = (): LedgerEntry[] => [
  ...signed(),
  theirEntry({ kind: 'start-attempted', voltsBefore: 11.7, voltsLowest: 9.2, crankSeconds: 8, result: 'cranks' }),
];
const last = ({ server }: Awaited<ReturnType<typeof openView>>) => ({
  ...server.entries.at(-1),
  id: '',
  at: '',
  by: '',
});

describe('what is wrong', () => {
  const open = (entries: readonly LedgerEntry[], answers?: Answers) =>
    openView(Trouble, entries, undefined, {
      job,
      providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
    });

  it('takes what the attempt said, asks what tells most, and ranks causes with their reasons', async () => {
    const view = await open(cranked());
    // That it does not start is told already, and not asked again.
    expect(view.text()).not.toContain('What is wrong with it?');
    expect(view.text()).toMatch(/Next, because it tells most for its minutes: \d+ min/);
    expect(view.text()).toMatch(/Most likely \d+ % The battery is flat/);
    expect(view.text()).toContain('How many volts has the battery at rest? Less.');
  });

  it('is closed with what was done, and begins anew', async () => {
    const view = await open(cranked(), { mended: 'Overnight on the charger' });
    await view.press('That is it: The battery is flat');
    await view.settle();
    expect(last(view)).toMatchObject({
      kind: 'cause-found',
      cause: 'battery-flat',
      mended: 'Overnight on the charger',
    });
    expect(view.text()).toContain('Found The battery is flat Overnight on the charger');
    expect(view.text()).not.toContain('test done');
  });

  it('may be none of these', async () => {
    const view = await open(cranked(), { name: 'A bolt in the starter', mended: 'Out with it' });
    await view.press('That is it: None of these');
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'cause-found', cause: 'other', name: 'A bolt in the starter' });
  });

  it('turns no key before the hold point is signed', async () => {
    const view = await open(workedUntil(allLifted));
    expect(view.text()).toContain('Tests that turn the key wait for the hold point before the start.');
    await view.press('It does not start');
    expect(view.text()).not.toMatch(/one burst/i);
  });

  it('turns none either once the battery was pulled too low', async () => {
    const view = await open(cranked());
    expect(view.text()).toContain('Until then no test that turns the key.');
    expect(view.text()).not.toMatch(/one burst/i);
  });

  it('takes the cylinder drop in figures, and names which does nothing', async () => {
    const view = await open([
      ...signed(),
      theirEntry({
        kind: 'start-attempted',
        voltsBefore: 12.7,
        voltsLowest: 10.6,
        crankSeconds: 3,
        result: 'runs-rough',
      }),
    ]);
    while (!view.element.querySelector('bl-drop-sheet')) {
      const key = [...view.element.querySelectorAll<HTMLElement>('.others button')].find((one) =>
        one.textContent?.includes('Which cylinder'),
      );
      if (key) key.click();
      else view.element.querySelector<HTMLElement>('.answers button')?.click();
      await view.settle();
    }
    for (const [field, rpm] of [
      ['lost-1', '60'],
      ['lost-2', '4'],
      ['lost-3', 'much'],
      ['lost-4', '55'],
    ] as const)
      type(view.element, field, rpm);
    await view.settle();
    expect(view.text()).toContain('1 cylinder next to nothing: 2 (rpm lost: 1: 60, 2: 4, 4: 55)');
    await view.press('Write it down');
    expect(last(view)).toMatchObject({
      kind: 'trouble-test-done',
      test: 'cylinder-drop',
      answer: 'one',
      note: expect.stringContaining('next to nothing: 2'),
    });
  });

  it('says what it was on other machines of this kind', async () => {
    const causes = [
      {
        cause: 'plug-dirty',
        name: 'A dirty plug',
        mended: 'A new one.',
        at: '2026-03-02T10:00:00.000Z',
        machine: 'Minibus 3',
      },
    ];
    const knowledge = { notes: {}, troubles: {}, minutes: {}, found: [], causes };
    const view = await openView(Trouble, cranked(), undefined, {
      job,
      providers: [{ provide: House, useValue: { knowledge: () => knowledge } }],
    });
    expect(view.text()).toContain('It was, on other machines of this kind A dirty plug A new one. Minibus 3');
  });

  it('lets another test be taken first, and leaves it in hand when somebody writes meanwhile', async () => {
    const view = await open(signed());
    await view.press('It does not start');
    const asked = () => view.element.querySelector('.asked')?.textContent;
    const other = view.element.querySelector<HTMLElement>('.others button');
    const words = other?.textContent;
    other?.click();
    await view.settle();
    expect(asked()).toBe(words);
    view.desk.record({ kind: 'noted', text: 'The meter is in the drawer' });
    await view.settle();
    expect(asked()).toBe(words);
  });
});

describe('what the key would do', () => {
  it('speaks against everything while the weight is on the gear', async () => {
    const view = await openView(Ready, workedUntil(allLifted), undefined, { job });
    expect(view.text()).toContain('Its weight is on lifting gear');
    expect(view.text()).toContain('Nobody starts it before the hold point is signed.');
    expect(view.element.querySelectorAll('.purposes .against').length).toBe(5);
    expect(view.text()).not.toMatch(/\bis safe\b/i);
  });

  it('says beside each purpose what speaks against it, and where it may be cranked for oil', async () => {
    const view = await openView(Ready, workedUntil(allLifted), undefined, { job });
    expect(view.element.querySelector('.purposes li')?.textContent).toMatch(/and \d+ more, below/);
    const ready = workedUntil((state) => nextUp(state)?.operation.holdPoint === 'pre-start');
    const state = foldLedger(job.plan, ready);
    const looked = [
      ...looksLeft(state).map(({ connection, left }) =>
        theirEntry({ kind: 'joint-looked-at', connection: connection.id, looks: left, good: true }),
      ),
      ...groundsOf(state).map(({ connection }) =>
        theirEntry({ kind: 'ground-checked', connection: connection.id, good: true }),
      ),
    ];
    TestBed.resetTestingModule();
    const later = await openView(Ready, [...ready, ...looked], undefined, { job });
    expect(later.text()).toContain('Crank it for oil');
  });

  it('has less and less against it', async () => {
    const view = await openView(Ready, signed(), undefined, { job: testJob });
    expect(view.text()).toContain('Nothing on the record speaks against it');
  });
});

describe('the battery', () => {
  it('is taken from the last attempt: charge, bursts, hours, and that it is boosted', async () => {
    const view = await openView(BatteryBoard, cranked(), undefined, { job });
    expect(view.text()).toContain('Nothing under 11.8 V a battery: charge it before any burst.');
    expect(view.text()).toContain('0 bursts of 10 s left');
    expect(view.text()).toMatch(/Boost it, or another battery/);
    type(view.element, 'rest', '12,45');
    await view.settle();
    expect(view.text()).toContain('75 %');
    expect(view.text()).toMatch(/9\.[45] h on this charger until full/);
  });

  it('reckons the hours on the chargers the shop has, and keeps another one', async () => {
    const view = await openView(BatteryBoard, cranked(), undefined, { job });
    type(view.element, 'rest', '12.24');
    await view.settle();
    await view.press('The shop has this charger of 4 A');
    await view.settle();
    expect(view.server.toolList.document.tools).toEqual([{ tool: 'battery charger, 4 A', here: true }]);
    // 70 Ah at a half: 70 · 0.3 · 1.2 / 4 h to 80 %, and above that twice as slow.
    expect(view.text()).toMatch(/battery charger, 4 A 6\.3 h to 80 %, 14\.7 h until full/);
    expect(view.text()).not.toContain('The shop has this charger');
  });

  it('says where volts are lost, and what a cable loses', async () => {
    const view = await openView(BatteryBoard, [], undefined, { job });
    type(view.element, 'crank', '10,8');
    type(view.element, 'ground', '0,9');
    type(view.element, 'plus', '0,1');
    type(view.element, 'amps', '250');
    await view.settle();
    expect(view.text()).toContain('On the ground side: strap and clamp');
    expect(view.text()).toContain('0.41 V there and back');
  });

  it('says what is wrong with a figure', async () => {
    const view = await openView(BatteryBoard, [], undefined, { job });
    type(view.element, 'rest', '25');
    await view.settle();
    expect(view.text()).toContain('Is it the other voltage');
  });
});

describe('running in', () => {
  const open = (answers?: Answers) =>
    openView(RunningIn, signed(), undefined, {
      job,
      providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
    });

  it('shows what comes once it has run, and what is worth another look; planned, looked at and kept', async () => {
    const view = await open({ note: 'All tight' });
    expect(view.text()).toContain('Warm up and bleed the coolant');
    await view.press('Plan all of them');
    await view.settle();
    const planned = view.server.entries.filter(({ kind }) => kind === 'second-look-planned');
    expect(planned.length).toBeGreaterThan(1);
    // All at once: one touch, and one to take them back.
    expect(new Set(planned.map(({ at }) => at)).size).toBe(1);
    expect(planned[0]).toMatchObject({ dueOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) });
    expect(view.text()).not.toContain('Worth another look');
    await view.press(/^Looked at: Cold, next morning/);
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'second-look-done', note: 'All tight' });
    expect(view.text()).toContain('All tight');
  });

  it('takes one of the crew’s own, and refuses one without a day or a distance', async () => {
    const answers: Record<string, string> = { what: 'Siren ground', dueOn: '', afterKm: '' };
    const view = await open(answers);
    const before = view.server.entries.length;
    await view.press('Another one');
    await view.settle();
    expect(view.server.entries.length).toBe(before);
    answers['dueOn'] = '2020-03-02';
    await view.press('Another one');
    await view.settle();
    expect(last(view)).toMatchObject({ what: 'Siren ground', dueOn: '2020-03-02' });
    expect(view.text()).toContain('Due: on 2 Mar 2020');
  });

  const ran = () => [
    ...signed(),
    theirEntry({ kind: 'start-attempted', voltsBefore: 12.7, voltsLowest: 10.6, crankSeconds: 3, result: 'runs' }),
  ];
  const openRun = (answers?: Answers) =>
    openView(RunningIn, ran(), undefined, {
      job,
      providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
    });

  it('warms up point by point: what is seen at a touch, what is measured with its figure', async () => {
    const answers: Record<string, string> = { reading: '820', note: '' };
    const view = await openRun(answers);
    const next = () => view.element.querySelector('bl-warm-up .next h3')?.textContent;
    expect(next()).toBe('Oil pressure within seconds, lamp out');
    await view.press('It is so');
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'warm-up-noted', point: 'oil', is: 'seen' });
    await view.press('It is so');
    await view.settle();
    expect(last(view)).toMatchObject({ point: 'idle', reading: 820 });
    answers['reading'] = '12.9';
    await view.press('It is so: It charges');
    await view.settle();
    expect(last(view)).toMatchObject({ point: 'charging', reading: 12.9, note: '12.9 V is under 13.5 V.' });
    answers['note'] = 'Tester is away';
    answers['reading'] = '';
    await view.press('Not yet');
    await view.settle();
    expect(last(view)).toMatchObject({ is: 'not-yet', note: 'Tester is away' });
    expect(view.text()).toContain('Not yet, Tester is away');
  });

  it('ticks leaks joint by joint, and the rest at once', async () => {
    const view = await openRun();
    const left = () => Number(/(\d+) of \d+ not looked at/.exec(view.text())?.[1]);
    const all = left();
    expect(all).toBeGreaterThan(4);
    const key = view.element.querySelector<HTMLElement>('bl-leak-board li button:last-of-type');
    const name = key?.getAttribute('aria-label')?.replace(': Drips', '') ?? '';
    key?.click();
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'leak-looked', is: 'drips' });
    expect(left()).toBe(all - 1);
    await view.press('The rest is dry');
    await view.settle();
    expect(left()).toBe(0);
    expect(view.server.entries.filter((one) => one.kind === 'leak-looked' && one.is === 'dry')).toHaveLength(all - 1);
    await view.press(`${name}: Dry`);
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'leak-looked', is: 'dry' });
  });

  it('looks for nothing before it ran', async () => {
    const view = await openView(RunningIn, signed(), undefined, { job });
    expect(view.text()).toContain('It warms up once an attempt has brought it to run.');
    expect(view.text()).toContain('Leaks are looked for once an attempt has brought it to run.');
  });
});
