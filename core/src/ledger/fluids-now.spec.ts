import fc from 'fast-check';
import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { refused, then } from '../testing/small-job.js';
import {
  cansToBuy,
  circuitNow,
  circuitsNow,
  fillPlanOf,
  isDone,
  nextUp,
  openItems,
  startOf,
  type EntryBody,
  type JobState,
} from './index.js';
import { fluidAt } from './at-step.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const drained = workOn(startOf(plan), recorder(), (state) => isDone(state, 'drain:coolant')).state;
const out = (litres: number, more: object = {}): EntryBody => ({
  kind: 'fluid-measured',
  circuit: 'coolant',
  direction: 'out',
  litres,
  ...more,
});
const coolant = (state: JobState) => {
  const now = circuitNow(state, 'coolant');
  if (!now) throw new Error('There is no coolant.');
  return now;
};
const planned = (more: object): EntryBody => ({ kind: 'fill-planned', circuit: 'coolant', ...more });

describe('a circuit', () => {
  it('keeps inside what was not caught, and says where it comes out: the lowest joint that is still closed', () => {
    const now = coolant(then(drained, out(5.2)));
    expect(now).toMatchObject({ drained: true, filled: false, caughtL: 5.2 });
    expect(now.insideL).toBeCloseTo(9.6 - 5.2, 9);
    expect(now.comesOutAt[0]?.station).toBe('underside');
  });

  it('that nobody measured is taken to have run out as usual', () =>
    expect(coolant(drained).insideL).toBeCloseTo(9.6 - 6.8, 9));

  it('warns at the lowest joint, and what runs out there comes on top', () => {
    const caught = then(drained, out(5.2));
    const [lowest, ...others] = coolant(caught).comesOutAt;
    const opening = caught.work.operations.get(`open:${lowest?.id}`);
    if (!opening || !lowest) throw new Error('Nothing is left to open.');
    expect(fluidAt(caught, opening)).toMatchObject({ direction: 'out', joint: lowest.id, ranOut: 5.2 });
    for (const { id } of others) {
      const other = caught.work.operations.get(`open:${id}`);
      expect(other && fluidAt(caught, other)).toBeUndefined();
    }
    const more = then(caught, out(2.1, { onTop: true, joint: lowest.id }));
    expect(coolant(more).caughtL).toBeCloseTo(7.3, 9);
    expect(coolant(more).insideL).toBeCloseTo(2.3, 9);
    expect(coolant(then(more, out(6))).caughtL).toBe(6);
    const lower = workOn(drained, recorder(), (state) => isDone(state, opening.id)).state;
    const closed = coolant(lower).comesOutAt.map(({ id }) => id);
    expect(closed).not.toContain(lowest.id);
    expect(closed.every((id) => !isDone(lower, `open:${id}`) && lower.work.operations.has(`open:${id}`))).toBe(true);
  });

  it('says how long it has been open', () => {
    const opened = workOn(drained, recorder('Ines', '2026-04-01T07:00:00.000Z'), (state) =>
      isDone(state, `open:${coolant(drained).comesOutAt[0]?.id}`),
    ).state;
    expect(coolant(opened).openSince).toMatch(/^2026-04-01/);
    expect(coolant(drained).openSince).toBeUndefined();
  });

  it('never holds less than nothing: more caught than it should hold is said', () => {
    const over = coolant(then(drained, out(11)));
    expect(over.insideL).toBe(0);
    expect(over.overL).toBeCloseTo(1.4, 9);
  });

  it.each([
    [out(20), /20 l is more than the coolant holds/],
    [out(1, { onTop: true, joint: 'nowhere' }), /There is no connection|no connection called/],
    [{ kind: 'fill-planned', circuit: 'coolant', freezingC: -80 }, /not to -80/],
    [{ kind: 'fill-planned', circuit: 'milk' }, /no circuit called “milk”/],
    [{ kind: 'level-set', circuit: 'coolant', addedL: 0.2 }, /Fill the coolant first/],
    [{ kind: 'level-set', circuit: 'milk', addedL: 0.2 }, /no circuit called “milk”/],
  ] as const)('refuses %j', (body, words) => expect(refused(drained, body)).toMatch(words));

  it('refuses what comes to too much on top', () =>
    expect(refused(then(drained, out(9)), out(9, { onTop: true }))).toMatch(/18 l is more than the coolant holds/));

  it('counts what is filled on top against what was let out in between', () => {
    const filled = (litres: number, more: object = {}): EntryBody =>
      ({ ...out(litres, more), direction: 'in' }) as EntryBody;
    const once = then(drained, out(9), filled(9));
    expect(refused(once, filled(9, { onTop: true }))).toBe('');
    expect(refused(then(drained, filled(9)), filled(9, { onTop: true }))).toMatch(
      /18 l is more than the coolant holds/,
    );
    expect(refused(then(once, out(9, { onTop: true })), filled(9, { onTop: true }))).toBe('');
  });

  it('always adds up: out, in and inside', () => {
    const flow = fc.record({
      direction: fc.constantFrom('out' as const, 'in' as const),
      litres: fc.double({ min: 0, max: 4, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(flow, { minLength: 1, maxLength: 12 }), (flows) => {
        let state = drained;
        for (const { direction, litres } of flows) {
          const body: EntryBody = { ...out(litres, { onTop: true }), direction } as EntryBody;
          if (refused(state, body) === '') state = then(state, body);
        }
        const { caughtL = 0, filledL = 0, insideL, overL, circuit } = coolant(state);
        // What came out beyond what there was, came from somewhere: it is told, not lost.
        if (state === drained) return;
        if (overL === 0 && caughtL > 0) expect(insideL + caughtL - filledL).toBeCloseTo(circuit.capacityL, 6);
        expect(insideL).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a unit that gives way to another', () => {
  const another = then(drained, out(6.8), {
    kind: 'unit-decided',
    unit: 'engine',
    becomes: 'exchange',
    comesWith: [],
  });
  const changed = workOn(another, recorder('Ines', '2026-04-01T07:00:00.000Z'), (state) =>
    isDone(state, 'shift:change-engine'),
  ).state;

  it('takes along what was in it, and nothing of what is filled afterwards', () => {
    expect(coolant(changed).leftWithUnitL).toBeCloseTo(2.8 * 0.7, 9);
    expect(coolant(changed).insideL).toBeCloseTo(2.8 * 0.3, 9);
    const filled = then(changed, { ...out(8.7, { onTop: true }), direction: 'in' } as EntryBody);
    expect(coolant(filled).insideL).toBeCloseTo(2.8 * 0.3 + 8.7, 9);
  });

  it('is full once it is filled, where nobody measured', () => {
    const filled = workOn(changed, recorder('Ines', '2026-05-01T07:00:00.000Z'), (state) =>
      isDone(state, 'fill:coolant'),
    ).state;
    expect(coolant(filled).insideL).toBeCloseTo(9.6, 9);
  });
});

describe('how a circuit is filled', () => {
  it('asks for the frost, then for the strength of what is inside, and mixes for both', () => {
    const caught = then(drained, out(6.8));
    expect(fillPlanOf(caught, coolant(caught))).toMatchObject({ is: 'asked', words: expect.stringMatching(/frost/) });
    const frost = then(caught, planned({ freezingC: -36.8 }));
    expect(fillPlanOf(frost, coolant(frost))).toMatchObject({ is: 'asked', words: expect.stringMatching(/strong/) });
    const known = then(caught, planned({ freezingC: -36.8, shareInside: 0.33 }));
    const fill = fillPlanOf(known, coolant(known));
    expect(fill).toMatchObject({ is: 'mix', mix: { fills: [{ shareAfter: expect.closeTo(0.5, 6) }] } });
    expect(fill.is === 'mix' && fill.mix.concentrateL).toBeCloseTo(3.876, 3);
  });

  it('takes the strength from what was caught, and keeps it by what is poured', () => {
    const caught = then(drained, out(6.8, { share: 0.33 }));
    expect(coolant(caught).shareInside).toBeCloseTo(0.33, 9);
    const poured = then(caught, { ...out(6.8, { share: 0.57 }), direction: 'in' } as EntryBody);
    expect(coolant(poured).shareInside).toBeCloseTo((2.8 * 0.33 + 6.8 * 0.57) / 9.6, 9);
  });

  it('goes to the start level with oil, and the rest once it has run', () => {
    const oil = workOn(startOf(plan), recorder(), (state) => isDone(state, 'drain:engine-oil')).state;
    const now = circuitNow(oil, 'engine-oil');
    const fill = now && fillPlanOf(oil, now);
    if (fill?.is !== 'oil' || !now) throw new Error('Oil is filled by its level.');
    expect(fill.fill.startL + fill.fill.afterL + now.insideL).toBeCloseTo(7.2, 6);
    expect(fill.fill.of.map(({ what }) => what)).toContain('the new filter');
  });

  it('buys whole cans of what is still to be filled', () => {
    const known = then(drained, out(6.8), planned({ freezingC: -36.8, shareInside: 0.33, cansL: [1.5] }));
    expect(cansToBuy(known).find(({ what }) => what === 'Coolant, concentrate')).toMatchObject({
      cans: { cans: [{ sizeL: 1.5, count: 3 }] },
    });
  });

  it('names what is bought by its grade, where the map has one', () => {
    const oil = (state: JobState) => cansToBuy(state).find(({ what }) => what.startsWith('Engine oil'))?.what;
    expect(oil(startOf(plan))).toMatch(/^Engine oil: by the maker’s approval/);
    const circuits = (plan.map.circuits ?? []).map(({ grade: _grade, ...circuit }) => circuit);
    expect(oil(startOf({ ...plan, map: { ...plan.map, circuits } }))).toBe('Engine oil');
  });
});

describe('a tray that came out short', () => {
  const shortWords = (state: JobState) =>
    openItems(state)
      .map(({ words }) => words)
      .filter((words) => words.includes('Its level is not set yet'));

  it('stays open until the level is set, at its temperature or with a reason', () => {
    const short = then(drained, out(5));
    expect(shortWords(short)).toEqual(['Coolant: 5 l caught where 6.8 l usually run out. Its level is not set yet']);
    const filled = workOn(
      short,
      recorder(),
      (state) => isDone(state, 'fill:coolant') || nextUp(state) === undefined,
    ).state;
    const set = { kind: 'level-set', circuit: 'coolant', addedL: 0.3, celsius: 90 } as const;
    expect(refused(filled, set)).toMatch(/read at 0 to 35 °C, not at 90 °C/);
    expect(shortWords(then(filled, { ...set, note: 'By the maker, hot' }))).toEqual([]);
    expect(shortWords(then(filled, { ...set, celsius: 20 }))).toEqual([]);
  });

  it('is none on a job that was planned before the rule', () => {
    const before = workOn(startOf({ ...plan, rules: 4 }), recorder(), (state) => isDone(state, 'drain:coolant')).state;
    expect(shortWords(then(before, out(5)))).toEqual([]);
  });

  it('every circuit that is drained is told of', () =>
    expect(circuitsNow(drained).map(({ circuit }) => circuit.id)).toEqual(['coolant', 'engine-oil', 'gearbox-oil']));
});
