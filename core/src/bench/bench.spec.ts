import { compose, templateOf, usualMap } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { descendantsOf, operationId, type OperationId } from '../teardown/index.js';
import { workOf } from '../work/index.js';
import { NOTHING_DECIDED, type BenchDecisions } from './index.js';

const planOf = (layout: string, powerpack: string, route: string): JobPlan => ({
  map: usualMap(layout),
  powerpack,
  route,
  rules: RULES_NOW,
});
const manual = planOf('longitudinal-manual', 'engine-with-gearbox', 'top');
const automatic = planOf('longitudinal-automatic', 'engine-with-gearbox', 'top');
const renewing = (...names: readonly string[]): BenchDecisions => ({ ...NOTHING_DECIDED, now: new Set(names) });
const exchanging = (unit: string, ...comesWith: readonly string[]): BenchDecisions => ({
  ...NOTHING_DECIDED,
  units: new Map([[unit, { becomes: 'exchange', comesWith }]]),
});
const benchOn = (plan: JobPlan, decisions: BenchDecisions) => {
  const work = workOf(plan, [], undefined, decisions);
  const steps = [...work.operations.values()].filter(({ phase }) => phase === 'bench');
  return {
    work,
    steps,
    ids: steps.map(({ id }) => id),
    comesBefore: (before: OperationId, after: OperationId) => descendantsOf(before, work).has(after),
  };
};

describe('the bench of a job', () => {
  it('has nothing to do where the same powerpack goes back and nothing is renewed', () => {
    expect(benchOn(manual, NOTHING_DECIDED).ids).toEqual([]);
  });

  it('parts engine and gearbox for a seal between them: stood first, bolts out, drawn off, and together by hand', () => {
    const { work, comesBefore } = benchOn(manual, renewing('rear-crank-seal'));
    const order = [
      operationId.stand(),
      operationId.open('starter-bolts'),
      operationId.open('bell-housing'),
      operationId.apart('gearbox'),
      operationId.chore('clutch-off'),
      operationId.open('flywheel-bolts'),
      operationId.renew('rear-crank-seal'),
      operationId.close('flywheel-bolts'),
      operationId.torque('flywheel-bolts'),
      operationId.chore('clutch-on'),
      operationId.together('gearbox'),
      operationId.start('bell-housing'),
      operationId.torque('bell-housing'),
      operationId.close('starter-bolts'),
      operationId.hold('pre-lower'),
    ];
    order.slice(1).forEach((after, index) => {
      expect([order[index], after, comesBefore(order[index] ?? '', after)]).toEqual([order[index], after, true]);
    });
    expect(work.because.get(operationId.open('flywheel-bolts'))).toMatch(/rear crank seal/);
  });

  it('sets down, parts and joins with two people, under the cautions of a hanging load', () => {
    const { steps } = benchOn(manual, renewing('clutch'));
    const shifts = steps.filter(({ kind }) => kind === 'shift');
    expect(shifts.map(({ id }) => id)).toEqual([
      operationId.stand(),
      operationId.apart('gearbox'),
      operationId.together('gearbox'),
    ]);
    for (const { hands, cautions, moves } of shifts) {
      expect(hands).toBe(2);
      expect(cautions).toContain('under-load');
      expect(moves).toContain('weight');
    }
  });

  it('works at the bench what is out, and in the machine what stayed in it', () => {
    const whole = benchOn(manual, renewing('water-pump'));
    expect(whole.work.operations.get(operationId.renew('water-pump'))?.station).toBe('bench');
    const gearboxOnly = benchOn(planOf('longitudinal-manual', 'gearbox', 'under'), renewing('water-pump', 'clutch'));
    expect(gearboxOnly.work.operations.get(operationId.renew('water-pump'))?.station).toBe('front');
    expect(gearboxOnly.work.operations.get(operationId.drain('coolant'))?.station).toBe('underside');
    expect(gearboxOnly.work.operations.get(operationId.open('flywheel-bolts'))).toBeUndefined();
    expect(gearboxOnly.work.operations.get(operationId.chore('clutch-off-below'))?.station).toBe('underside');
  });

  it('loosens no mount of the machine beside other work, and does not reach what needs the engine out', () => {
    const { work } = benchOn(
      planOf('longitudinal-manual', 'gearbox', 'under'),
      renewing('engine-mounts', 'sump-gasket'),
    );
    expect(work.bench.unreached.map(({ id }) => id).sort()).toEqual(['engine-mounts', 'sump-gasket']);
  });

  it('makes nothing safe anew beside other work: what needs the cab tilted waits until it is', () => {
    const { work, ids } = benchOn(
      planOf('heavy-tilt-cab', 'gearbox', 'under'),
      renewing('water-pump', 'timing-drive', 'output-seal'),
    );
    expect(work.bench.unreached.map(({ id }) => id).sort()).toEqual(['timing-drive', 'water-pump']);
    expect(ids).toContain(operationId.renew('output-seal'));
    expect(ids).not.toContain(operationId.renew('water-pump'));
    expect(ids.filter((id) => work.operations.get(id)?.condition !== undefined)).toEqual([]);
    // What was tried for it is taken back.
    expect(ids).not.toContain(operationId.open('belt-run'));
  });

  it('sets it down before anything on it is undone, though nothing is parted', () => {
    const { ids, work, comesBefore } = benchOn(
      planOf('longitudinal-manual', 'engine', 'top-engine'),
      renewing('sump-gasket'),
    );
    expect(work.bench.pairs).toEqual([]);
    for (const id of ids.filter((one) => one !== operationId.stand() && work.operations.get(one)?.station === 'bench'))
      expect([id, comesBefore(operationId.stand(), id)]).toEqual([id, true]);
    expect(ids).toContain(operationId.stand());
  });

  it('hangs on the hoist what two do not carry', () => {
    const heavy = planOf('heavy-tilt-cab', 'engine-with-gearbox', 'top');
    const { work } = benchOn(heavy, {
      ...exchanging('engine'),
      units: new Map([
        ['engine', { becomes: 'exchange', comesWith: [] }],
        ['gearbox', { becomes: 'exchange', comesWith: [] }],
      ]),
    });
    for (const part of ['flywheel', 'retarder'])
      for (const id of [operationId.remove(part), operationId.fit(part)])
        expect(work.operations.get(id)).toMatchObject({
          hands: 2,
          tools: ['engine hoist', 'rated slings'],
          cautions: ['heavy', 'under-load'],
          moves: ['weight'],
        });
    // A flywheel comes off for a seal as well, with no other engine: its bolts say what hangs on them.
    const bolts = benchOn(heavy, renewing('rear-crank-seal')).work.operations.get(operationId.open('flywheel-bolts'));
    expect(bolts).toMatchObject({ hands: 2, cautions: ['under-load'] });
    expect(bolts?.tools).toContain('hoist or gearbox jack');
  });

  it('has the clutch tried in every gear once the housing was parted at the bench', () => {
    expect(workOf(manual).operations.has(operationId.chore('try-clutch'))).toBe(false);
    expect(benchOn(manual, renewing('clutch')).work.operations.has(operationId.chore('try-clutch'))).toBe(true);
  });

  it('drains at the bench what was not drained before it is opened, and fills it on the way back', () => {
    const { comesBefore } = benchOn(manual, renewing('sump-gasket'));
    expect(comesBefore(operationId.drain('engine-oil'), operationId.open('sump-bolts'))).toBe(true);
    expect(comesBefore(operationId.torque('sump-bolts'), operationId.fill('engine-oil'))).toBe(true);
  });

  describe('with another engine going in', () => {
    const { work, ids, comesBefore } = benchOn(automatic, exchanging('engine'));

    it('moves outer parts over: off the old one, the other one on the stand, on again', () => {
      for (const [part, joint] of [
        ['alternator', 'alternator-bolts'],
        ['turbo', 'turbo-nuts'],
        ['flexplate', 'flexplate-bolts'],
      ] as const) {
        const order = [
          operationId.open(joint),
          operationId.remove(part),
          operationId.change('engine'),
          operationId.fit(part),
          operationId.close(joint),
        ];
        order.slice(1).forEach((after, index) => {
          expect([after, comesBefore(order[index] ?? '', after)]).toEqual([after, true]);
        });
      }
      expect(work.operations.get(operationId.fit('turbo'))?.title).toBe('Set the turbocharger on the other engine');
    });

    it('is held against the old one before anything goes onto it', () => {
      expect(comesBefore(operationId.compare('engine'), operationId.change('engine'))).toBe(true);
      expect(ids).toContain(operationId.carryOver('engine'));
      expect(work.operations.get(operationId.carryOver('engine'))?.tip).toContain('the oil pressure switch');
    });

    it('leaves on the old one what is part of an engine, and what comes with the other', () => {
      expect(ids).not.toContain(operationId.remove('sump'));
      const dressed = benchOn(automatic, exchanging('engine', 'turbo', 'alternator'));
      expect(dressed.ids).not.toContain(operationId.remove('turbo'));
      expect(dressed.ids).not.toContain(operationId.open('turbo-nuts'));
      expect(dressed.ids).toContain(operationId.remove('intake-manifold'));
    });

    it('puts oil filter and sump plug into the one that goes in', () => {
      expect(comesBefore(operationId.change('engine'), operationId.chore('oil-filter'))).toBe(true);
    });

    it('renews what is on the engine on the other one', () => {
      const both = benchOn(automatic, { ...exchanging('engine'), now: new Set(['oil-pickup']) });
      expect(both.comesBefore(operationId.change('engine'), operationId.open('sump-bolts'))).toBe(true);
    });
  });

  describe('with a donor’s powerpack in one piece', () => {
    const donors = (comesWith: readonly string[], ...now: readonly string[]): BenchDecisions => ({
      ...NOTHING_DECIDED,
      now: new Set(now),
      units: new Map([
        ['engine', { becomes: 'donor', comesWith }],
        ['gearbox', { becomes: 'donor', comesWith: [] }],
      ]),
    });

    it('parts neither, and calls it what it is', () => {
      const { ids, work } = benchOn(manual, donors(['flywheel', 'starter']));
      expect(ids).not.toContain(operationId.open('bell-housing'));
      expect(work.operations.get(operationId.change('engine'))?.title).toBe(
        'Take the old powerpack off the stand and set the other one on it',
      );
    });

    it('renews what is behind a part before that goes on to the other unit; jobs from before keep their order', () => {
      const decisions = { ...exchanging('engine'), now: new Set(['rear-crank-seal']) };
      const fitted = operationId.fit('flywheel');
      const renewed = operationId.renew('rear-crank-seal');
      expect(benchOn(manual, decisions).comesBefore(renewed, fitted)).toBe(true);
      expect(benchOn({ ...manual, rules: 3 }, decisions).comesBefore(renewed, fitted)).toBe(false);
    });

    it('renews on the other unit what sits on it behind a part, and has its dowels and senders in first', () => {
      const over = { ...exchanging('engine'), now: new Set(['front-crank-seal', 'timing-drive', 'intake-gasket']) };
      const { steps, comesBefore } = benchOn(manual, over);
      const change = operationId.change('engine');
      for (const renewal of over.now)
        expect([renewal, comesBefore(change, operationId.renew(renewal))]).toEqual([renewal, true]);
      const carried = operationId.carryOver('engine');
      const on = steps.filter(({ title }) => title.endsWith('on the other engine')).map(({ id }) => id);
      expect(on.length).toBeGreaterThan(3);
      for (const id of [...on, operationId.together('gearbox')])
        expect([id, comesBefore(carried, id)]).toEqual([id, true]);
      const both = {
        ...over,
        units: new Map([...exchanging('gearbox').units, ...over.units]),
        now: new Set(['rear-crank-seal']),
      };
      expect(benchOn(manual, both).comesBefore(change, operationId.renew('rear-crank-seal'))).toBe(true);
      // As maps had it then: in the pulley it is behind.
      const renewals = manual.map.renewals?.map((one) =>
        one.id === 'front-crank-seal' ? { ...one, at: 'front-pulley' } : one,
      );
      const before = benchOn({ ...manual, rules: 3, map: { ...manual.map, ...(renewals ? { renewals } : {}) } }, over);
      expect(before.comesBefore(change, operationId.renew('front-crank-seal'))).toBe(false);
      expect(before.comesBefore(carried, operationId.together('gearbox'))).toBe(false);
    });

    it('parts the other one for what is renewed between the two, and both where the flywheel goes over', () => {
      const between = benchOn(manual, donors(['flywheel', 'starter'], 'clutch'));
      expect(between.comesBefore(operationId.change('engine'), operationId.apart('gearbox'))).toBe(true);
      const over = benchOn(manual, donors(['starter'], 'clutch'));
      expect(over.comesBefore(operationId.apart('gearbox'), operationId.change('engine'))).toBe(true);
      expect(over.comesBefore(operationId.change('engine'), operationId.together('gearbox'))).toBe(true);
    });
  });

  it('marks what must not be lost before it is lost, and goes by the mark on the way together', () => {
    const { work, comesBefore } = benchOn(manual, renewing('timing-drive'));
    const locked = work.operations.get(operationId.chore('crank-locked'));
    expect(locked?.photo).toBe(true);
    expect(comesBefore(operationId.remove('timing-cover'), operationId.chore('crank-locked'))).toBe(true);
    expect(comesBefore(operationId.chore('crank-locked'), operationId.renew('timing-drive'))).toBe(true);
    expect(work.operations.get(operationId.chore('crank-turned'))?.recalls).toBe(operationId.chore('crank-locked'));
    expect(comesBefore(operationId.chore('crank-turned'), operationId.fit('timing-cover'))).toBe(true);
    expect(comesBefore(operationId.chore('crank-turned'), operationId.close('timing-cover-bolts'))).toBe(true);
  });

  it('does nothing under a machine while it waits for the lift: all of it comes after the powerpack is down', () => {
    const { ids, work } = benchOn(manual, renewing('clutch', 'timing-drive', 'sump-gasket'));
    const lifted = [...work.operations.values()].filter(({ phase }) => phase === 'lift').at(-1);
    const behind = descendantsOf(lifted?.id ?? '', work);
    for (const id of ids) expect([id, behind.has(id)]).toEqual([id, true]);
  });
});

describe('two units that meet at the bench', () => {
  const seal = benchOn(automatic, renewing('rear-crank-seal'));
  const together = operationId.together('gearbox');

  it('are bolted at once by whoever brought them together, and all else that ties them comes after', () => {
    const first = operationId.start('bell-housing');
    expect(seal.work.runs).toContainEqual({ first: together, then: first });
    for (const other of ['filler-tube', 'gearbox-cooler-clip', 'converter-bolts'])
      expect([other, seal.comesBefore(first, operationId.close(other))]).toEqual([other, true]);
    // Whatever the bolts wait for is done by the time the faces meet.
    for (const { before } of seal.work.into.get(first) ?? [])
      expect([before, before === together || seal.comesBefore(before, together)]).toEqual([before, true]);
  });

  it('have their converter free before the bell is undone, and bolted to its plate when the bell is closed', () => {
    expect(seal.comesBefore(operationId.open('converter-bolts'), operationId.open('bell-housing'))).toBe(true);
    expect(seal.comesBefore(operationId.torque('bell-housing'), operationId.close('converter-bolts'))).toBe(true);
  });

  it('are as they were on a job of an earlier edition', () => {
    const { work } = benchOn({ ...automatic, rules: 6 }, renewing('rear-crank-seal'));
    expect(work.runs.filter(({ first }) => first === together)).toEqual([]);
  });
});

describe('pins in crank or pump', () => {
  const diesel: JobPlan = {
    map: compose(templateOf('longitudinal-automatic'), { fuel: 'diesel-rail' }),
    powerpack: 'engine-with-gearbox',
    route: 'top',
    rules: RULES_NOW,
  };
  const { steps, comesBefore, work } = benchOn(diesel, renewing('timing-drive', 'rear-crank-seal'));
  const pinned = (which: 'in' | 'out') =>
    (diesel.map.chores ?? [])
      .filter(({ pins, id }) => pins === which && work.operations.has(operationId.chore(id)))
      .map(({ id }) => operationId.chore(id));

  it('are in only while nothing pulls at what turns with the crank', () => {
    const loads = ['front-pulley-bolt', 'flexplate-bolts', 'converter-bolts'];
    expect(pinned('in').length).toBeGreaterThan(0);
    expect(steps.map(({ id }) => id)).toEqual(expect.arrayContaining(loads.map(operationId.open)));
    for (const load of loads) {
      for (const pin of pinned('in'))
        expect([load, pin, comesBefore(operationId.open(load), pin)]).toEqual([load, pin, true]);
      for (const pin of pinned('out'))
        expect([load, pin, comesBefore(pin, operationId.close(load))]).toEqual([load, pin, true]);
    }
  });
});
