import { RULES_NOW } from '@brisk/core/connection-map';
import { allLifted, isDone, nextUp, type LedgerEntry } from '@brisk/core/ledger';
import { testJob, theirEntry } from '../../../testing/test-job';
import { openView, type, workedUntil } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { FirstInBoard } from './first-in';
import { Fluids } from './fluids';
import { SetAndTry } from './set-and-try';
import { Together } from './together';

const job = { ...testJob, plan: { ...testJob.plan, rules: RULES_NOW } };
const answering = (answers: Answers | undefined) => [
  { provide: Ask, useValue: { ask: () => Promise.resolve(answers) } },
];
const atTheStart = () => workedUntil((state) => nextUp(state)?.operation.holdPoint === 'pre-start');
const drained = (litres: number): LedgerEntry[] => [
  ...workedUntil((state) => isDone(state, 'drain:coolant')),
  theirEntry({ kind: 'fluid-measured', circuit: 'coolant', direction: 'out', litres }),
];
/** The last entry of a server, without its head. */
const last = ({ server }: Awaited<ReturnType<typeof openView>>) => ({
  ...server.entries.at(-1),
  id: '',
  at: '',
  by: '',
});

describe('the board of fluids', () => {
  const open = (entries: readonly LedgerEntry[], answers?: Answers) =>
    openView(Fluids, entries, undefined, { job, providers: answering(answers) });

  it('says what is inside, where it comes out, and that the tray was short', async () => {
    const view = await open(drained(5.2));
    expect(view.text()).toContain('4.4 l inside of 9.6 l');
    expect(view.text()).toContain('5.2 l caught of the usual 6.8 l: 1.6 l short');
    expect(view.text()).toMatch(/Comes out at the .*: tray under it/);
    expect(view.text()).toContain('Down to what frost has it to hold?');
  });

  it('mixes for the frost once it is told, and says what the other school costs', async () => {
    const view = await open(drained(6.8), { freezingC: -36.8, inside: 33, cans: '1,5 5' });
    await view.press('Frost, strength, cans');
    await view.settle();
    expect(last(view)).toMatchObject({
      kind: 'fill-planned',
      circuit: 'coolant',
      freezingC: -36.8,
      shareInside: 0.33,
      cansL: [1.5, 5],
    });
    expect(view.text()).toContain('3.9 l concentrate, 2.9 l water: 50 % all round, down to -37 °C');
    expect(view.text()).toMatch(/Water first costs 0.7 l more concentrate, 6.8 l to dispose of/);
    expect(view.text()).toContain('Coolant, concentrate 3 × 1.5 l for 3.9 l, 0.6 l left over');
    await view.press('Put on the list: Coolant, concentrate');
    expect(last(view)).toMatchObject({ kind: 'part-needed', name: 'Coolant, concentrate, 1.5 l', quantity: 3 });
    expect(view.text()).toContain('✓ On the list');
    await view.press('Poured as reckoned');
    expect(last(view)).toMatchObject({ kind: 'fluid-measured', direction: 'in', litres: 6.8, onTop: true });
  });

  it('refuses a frost no mix holds, and keeps what was there', async () => {
    const view = await open(drained(6.8), { freezingC: -90, inside: 33, cans: '5' });
    const before = view.server.entries.length;
    await view.press('Frost, strength, cans');
    await view.settle();
    expect(view.server.entries.length).toBe(before);
    expect(view.text()).toContain('Down to what frost has it to hold?');
  });

  it('takes what ran out besides on top, and the level once it is filled', async () => {
    const measured = await open(drained(5), { direction: 'out', litres: 1.5, share: '' });
    await measured.press('Measured');
    await measured.settle();
    expect(measured.text()).toContain('3.1 l inside of 9.6 l');
  });

  it('sets the level of what is filled', async () => {
    const view = await open(atTheStart(), { addedL: 0.3, celsius: 20, note: '' });
    await view.press('Level set');
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'level-set', addedL: 0.3, celsius: 20 });
    expect(view.text()).toMatch(/✓ Level set by \w+, 0.3 l added at 20 °C/);
  });
});

describe('what is set by trying', () => {
  const open = (answers?: Answers) =>
    openView(SetAndTry, atTheStart(), undefined, { job, providers: answering(answers) });

  it('is tried gear by gear, and says what to turn', async () => {
    const view = await open();
    expect(view.text()).toContain('Try every gear as it stands.');
    const toggle = (gear: string, went: string) =>
      [...view.element.querySelectorAll(`[aria-label="Gear ${gear}"] button`)]
        .find((one) => one.textContent?.includes(went))
        ?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    for (const gear of ['P', 'R', 'N']) toggle(gear, 'in');
    toggle('D', 'not');
    await view.settle();
    await view.press('Record this try');
    expect(last(view)).toMatchObject({
      kind: 'adjustment-tried',
      connection: 'selector-rod',
      halfTurns: 0,
      went: ['P', 'R', 'N'],
      not: ['D'],
    });
    expect(view.text()).toMatch(/Turn it \d+ half turns? (on|back)/);
    expect(view.element.querySelector('bl-try-chart table')?.textContent).toContain('✗');
    await view.press('All of them went in');
    expect(view.text()).toContain('Every gear goes in.');
  });

  it('asks for at least one gear', async () => {
    const view = await open();
    await view.press('Record this try');
    expect(view.text()).toContain('Say of at least one gear whether it went in.');
  });

  it('looks at what nobody looked at, and keeps what is wrong', async () => {
    const view = await open({ note: 'Comes off again' });
    await view.press('Not right: Pulled hard: it stays, the fuel return at the rail');
    await view.settle();
    expect(last(view)).toMatchObject({
      kind: 'joint-looked-at',
      looks: ['pull'],
      good: false,
      note: 'Comes off again',
    });
    await view.press('Good now: Pulled hard: it stays, the fuel return at the rail');
    expect(last(view)).toMatchObject({ looks: ['pull'], good: true });
  });

  it('measures grounds, and takes none for good that does not carry', async () => {
    const poor = await open({ ohms: '', dropV: 0.8, note: '' });
    const before = poor.server.entries.length;
    await poor.press('Measure: the engine ground strap');
    await poor.settle();
    expect(poor.server.entries.length).toBe(before);
  });

  it('says of a ground what the meter gave', async () => {
    const view = await open({ ohms: 0.1, dropV: '', note: '' });
    await view.press('Measure: the engine ground strap');
    await view.settle();
    expect(view.text()).toContain('The engine ground strap good, 0.1 Ω');
  });
});

describe('joints that stay loose', () => {
  it('are one group with its state and what is next', async () => {
    const view = await openView(Together, workedUntil(allLifted), undefined, { job });
    expect(view.text()).toContain('Mounts and crossmembers Start every one by fingers first: 0 of 4');
    expect(view.text()).toContain('After the left engine mount. Engine mounts before the gearbox mount');
    const [next] = view.element.querySelectorAll('li.next button');
    expect(next?.getAttribute('aria-label')).toMatch(/^(Start by hand|Close): /);
  });

  it('are all final at the start', async () => {
    const view = await openView(Together, atTheStart(), undefined, { job });
    expect(view.text()).toContain('All at final torque');
  });
});

describe('what must be in first', () => {
  it('is counted, with why, what stays out and what is tied back', async () => {
    const view = await openView(FirstInBoard, workedUntil(allLifted), undefined, { job });
    expect(view.text()).toMatch(/\d+ still to do before it goes down/);
    expect(view.text()).toContain('With the engine in, no hand gets behind the head any more.');
    expect(view.text()).toContain('Set the radiator in place');
    expect(view.text()).toMatch(/Tied back out of its way .*loose ends/);
    expect(view.text()).toMatch(/behind the alternator; reached from (the left or below|.*) only/);
    expect(view.text()).not.toMatch(/\bis safe\b/i);
  });

  it('says before the lift that it is not out yet', async () => {
    const view = await openView(FirstInBoard, [], undefined, { job });
    expect(view.text()).toContain('It is not out yet.');
  });
});

it('a field of play takes a comma for a point, and no words', async () => {
  const cable = {
    ...job,
    plan: {
      ...job.plan,
      map: {
        ...job.plan.map,
        connections: job.plan.map.connections.map((one) =>
          one.id === 'selector-rod'
            ? { ...one, refit: { ...one.refit, adjust: { what: 'free-play' as const, from: 15, to: 25 } } }
            : one,
        ),
      },
    },
  };
  const view = await openView(SetAndTry, atTheStart(), undefined, { job: cable });
  type(view.element, 'play', '75 mm');
  await view.settle();
  await view.press('Record this try');
  expect(view.text()).toContain('The free play has to be a number of mm, nought or more.');
  type(view.element, 'play', '31,5');
  await view.settle();
  await view.press('Record this try');
  expect(last(view)).toMatchObject({ readingMm: 31.5 });
  expect(view.text()).toContain('31.5 mm. Turn it one half turn and measure again');
});
