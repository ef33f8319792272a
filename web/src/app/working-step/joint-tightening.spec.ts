import { TestBed } from '@angular/core/testing';
import { jointNow, nextUp, type LedgerEntry } from '@brisk/core/ledger';
import type { WrenchReading } from '@brisk/core/torque';
import { Subject, throwError } from 'rxjs';
import type { Job } from '@brisk/contracts/job';
import { testJob, theirEntry } from '../../testing/test-job';
import { choose, openView, tick, type, workedUntil } from '../../testing/open-job';
import { WrenchShed } from '../planning/wrench-shed';
import { LineTrouble } from '../planning/reading-line';
import { WrenchLine, wrenchReadingIn } from '../planning/wrench-line';
import { Ask } from '../ui/ask';
import { JointTightening } from './joint-tightening';

/** The first joint with four bolts or more that comes to its torque. */
const worked = workedUntil((state) => {
  const { operation, moveTo } = nextUp(state) ?? {};
  return !moveTo && operation?.kind === 'torque' && (jointNow(state, operation.connection ?? '')?.bolts ?? 0) >= 4;
});
const pulls = new Subject<WrenchReading>();
const opened = async (answers = {}, more: readonly LedgerEntry[] = [], job?: Job) => {
  const view = await openView(
    JointTightening,
    [...worked, ...more],
    (desk) => {
      const state = desk.state();
      const id = joint.id ?? nextUp(state ?? noState())?.operation.connection ?? '';
      joint.id = id;
      return { state, connection: state?.work.connections.get(id) };
    },
    {
      ...(job ? { job } : {}),
      providers: [
        { provide: Ask, useValue: { ask: () => Promise.resolve(answers) } },
        { provide: WrenchLine, useValue: { readings: () => pulls } },
      ],
    },
  );
  await tick();
  await view.settle();
  return view;
};
const joint: { id?: string } = {};
function noState(): never {
  throw new Error('No job');
}
type View = Awaited<ReturnType<typeof opened>>;
const now = (view: View) => {
  const state = view.desk.state();
  const found = state && jointNow(state, joint.id ?? '');
  if (!found) throw new Error('No joint');
  return found;
};
const said = (view: View) => view.text().replace(/\s+/g, ' ');

describe('a joint bolt by bolt', () => {
  beforeEach(() => localStorage.setItem('brisk-wrench-shows', 'true'));
  afterEach(() => localStorage.clear());

  it('shows the next bolt and what is set, and takes a touch for each, or one for all of a stage', async () => {
    const view = await opened();
    const { bolts, order, stages } = now(view);
    expect(said(view)).toMatch(/Set [\d.]+ N·m on /);
    expect(view.element.querySelector('g.next')?.getAttribute('aria-label')).toBe('Bolt 1, next');
    await view.press(/^\s*Bolt 1\s+clicked/);
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'bolts-tightened', stage: 0, bolts: [order[0]] });
    expect(view.element.querySelector('g.next')?.getAttribute('aria-label')).toBe('Bolt 2, next');
    expect(view.element.querySelectorAll('g.through')).toHaveLength(1);
    await view.press(new RegExp(`The other ${bolts - 1}`));
    for (let stage = 1; stage < stages.length; stage += 1) {
      await view.settle();
      await view.press(new RegExp(`All ${bolts}`));
    }
    await view.settle();
    expect(view.server.entries.slice(-2).map(({ kind }) => kind)).toEqual(['bolts-tightened', 'operation-done']);
    expect(now(view).final).toBe(true);
  });

  it('keeps what the wrench showed, and asks for a bolt that went over to be looked at', async () => {
    const view = await opened({ reason: 'Looked at, as long as its fellows' });
    const { bolts, targetNm } = now(view);
    for (let stage = 0; stage < 2; stage += 1) {
      await view.press(new RegExp(`All ${bolts}`));
      await view.settle();
    }
    type(view.element, 'showed', String(Math.round(targetNm * 1.3)));
    await view.press(/^\s*Bolt 1\s+clicked/);
    await view.settle();
    expect(said(view)).toMatch(/Bolt 1 went over: loosen, take out, look/);
    expect(view.element.querySelectorAll('g.missed')).toHaveLength(1);
    await view.press('Accept it with a reason');
    await view.settle();
    expect(now(view).missed).toEqual([]);
    type(view.element, 'showed', '75 Nm');
    await view.press(/^\s*Bolt 2\s+clicked/);
    await view.settle();
    expect(view.text()).toContain('has to be a number above 0, without its unit');
  });

  it('sets less on a wrench that an adapter makes longer, and says what cannot be trusted', async () => {
    const view = await opened();
    const shed = TestBed.inject(WrenchShed);
    const { targetNm } = now(view);
    const own = { lowestNm: 1, highestNm: targetNm * 1.5, handleMm: 400 };
    await shed.change(() => ({
      wrenches: [{ id: 'own', name: 'Own', ...own, calibratedOn: '2020-01-01' }],
      adapters: [{ id: 'foot', name: 'Crow’s foot', lengthMm: 100 }],
    }));
    await view.settle();
    const shown = () => Number(/Set ([\d.]+)/.exec(said(view))?.[1]);
    const plain = shown();
    expect(said(view)).toContain('Own is overdue for calibration: last on 2020-01-01');
    await choose(view.fixture, 'Adapter', 'Crow’s foot');
    await view.settle();
    expect(shown()).toBeCloseTo(plain, 1);
    type(view.element, 'angle', '0');
    await view.settle();
    expect(shown()).toBeCloseTo(plain * 0.8, 0);
    await shed.change((rack) => ({ ...rack, wrenches: [{ id: 'tiny', name: 'Tiny', lowestNm: 1, highestNm: 2 }] }));
    await view.settle();
    expect(said(view)).toContain(`No wrench of yours reaches ${targetNm} N·m.`);
  });

  it('takes the clicks of the simulated wrench, and says when it falls silent', async () => {
    const view = await opened();
    await view.press('Take the simulated wrench');
    await view.settle();
    expect(said(view)).toContain('Simulated wrench: 0.0 N·m');
    pulls.next({ atMs: 50, nm: 3 });
    pulls.next({ atMs: 900, nm: 9.4, click: true });
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'bolts-tightened', read: { value: 9.4, unit: 'N·m' } });
    TestBed.inject(WrenchLine).readings = () => throwError(() => new LineTrouble('The wrench sends nothing any more.'));
    await view.press('Put it down');
    await view.press('Take the simulated wrench');
    await view.settle();
    expect(view.text()).toContain('The wrench sends nothing any more.');
  });

  it('offers two at once on opposite sides', async () => {
    const view = await opened();
    view.element.querySelector<HTMLInputElement>('mat-checkbox input')?.click();
    await view.settle();
    expect(view.element.querySelectorAll('g.next').length).toBe(2);
    await view.press(/^\s*Bolts 1 and 2/);
    await view.settle();
    expect(now(view).through).toBe(2);
  });

  it('is never turned past its angle, by touches or all at once', async () => {
    const { bolts, order } = now(await opened());
    TestBed.resetTestingModule();
    const connections = testJob.plan.map.connections.map((one) =>
      one.id === joint.id && one.refit.torque
        ? { ...one, refit: { ...one.refit, torque: { ...one.refit.torque, angleDeg: 45 } } }
        : one,
    );
    const job = { ...testJob, plan: { ...testJob.plan, map: { ...testJob.plan.map, connections } } };
    const view = await opened({}, [], job);
    expect(said(view)).toMatch(/In the end from [\d.]+ to [\d.]+ N·m, then 45°\./);
    for (let stage = 0; stage < 3; stage += 1) {
      await view.press(new RegExp(`All ${bolts} clicked`));
      await view.settle();
    }
    const turns = () =>
      view.server.entries.flatMap((entry) =>
        entry.kind === 'bolts-tightened' && entry.degrees !== undefined ? [[entry.bolts, entry.degrees]] : [],
      );
    expect(said(view)).toMatch(/From its [\d.]+ N·m on it goes by the mark, not by the wrench\./);
    expect(said(view)).not.toContain('In the end');
    const [first = 0, ...others] = order;
    await view.press(/^\s*Bolt 1: 30° on/);
    await view.settle();
    await view.press(/^\s*Bolt 1: 15° on/);
    await view.settle();
    expect(now(view)).toMatchObject({ through: 1, stageAt: 3 });
    view.element.querySelector<SVGGElement>('g.through')?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    await view.settle();
    expect(said(view)).toContain('Bolt 1 has its 45° already. Turned on, it stretches.');
    await view.press(/^\s*Bolt 2: 30° on/);
    await view.settle();
    expect(said(view)).not.toContain('already');
    await view.press(new RegExp(`The other ${bolts - 1} at 45°`));
    await view.settle();
    const [second = 0, ...rest] = others;
    expect(turns()).toEqual([
      [[first], 30],
      [[first], 15],
      [[second], 30],
      [[second], 15],
      [rest, 45],
    ]);
    expect(view.server.entries.at(-1)?.kind).toBe('operation-done');
    expect(now(view)).toMatchObject({ final: true, turnedDeg: order.map(() => 45) });
  });

  it('goes on where another person left it', async () => {
    const { order } = now(await opened());
    TestBed.resetTestingModule();
    const view = await opened({}, [
      theirEntry({
        kind: 'bolts-tightened',
        connection: joint.id ?? '',
        stage: 0,
        bolts: order.slice(0, 3),
        read: { value: 1, unit: 'N·m' },
        wrench: { id: 'w', name: 'W', range: { lowestNm: 1, highestNm: 900 } },
      }),
    ]);
    expect(view.element.querySelector('g.next')?.getAttribute('aria-label')).toBe('Bolt 4, next');
  });

  it('asks what was meant by a reading ten times too high, and writes down what is answered', async () => {
    const view = await opened({});
    const wanted = Number(view.element.querySelector('.target .figure')?.textContent);
    const meant = `${wanted} N·m`;
    TestBed.inject(Ask).ask = () => Promise.resolve({ meant });
    type(view.element, 'showed', String(wanted * 10));
    await view.press(/^Bolts? .* clicked$/);
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      kind: 'bolts-tightened',
      read: { value: wanted, unit: 'N·m' },
    });
    const before = view.server.entries.length;
    TestBed.inject(Ask).ask = () => Promise.resolve(undefined);
    type(view.element, 'showed', String(wanted * 10));
    await view.press(/^Bolts? .* clicked$/);
    await view.settle();
    expect(view.server.entries).toHaveLength(before);
  });
});

it('reads nothing out of what is no reading of a wrench', () => {
  for (const text of ['', '[]', '{"nm":"5","atMs":1}', '{"nm":-5,"atMs":1}', '{"atMs":1}', 'nonsense'])
    expect(wrenchReadingIn(text)).toBeUndefined();
  expect(wrenchReadingIn('{"nm":5,"atMs":1,"click":true,"simulated":true}')).toEqual({ nm: 5, atMs: 1, click: true });
});
