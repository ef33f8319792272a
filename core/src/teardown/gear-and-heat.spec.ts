import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { compose, templateOf, usualMap } from '../layouts/index.js';
import { workOf } from '../work/index.js';
import { ancestorsOf, operationId } from './index.js';

const planOf = (layout: string, powerpack: string, route: string, more: Partial<JobPlan> = {}): JobPlan => ({
  map: usualMap(layout),
  powerpack,
  route,
  rules: RULES_NOW,
  ...more,
});
const asked = (plan: JobPlan, hold: string) =>
  workOf(plan)
    .holdPoints.find(({ id }) => id === hold)
    ?.confirmations.map(({ id }) => id) ?? [];

describe('gear', () => {
  const plan = planOf('heavy-tilt-cab', 'engine-with-gearbox', 'top');
  const work = workOf(plan);

  it('is signed for before it takes any weight, and jobs planned before have no such signature', () => {
    for (const { id, takesLoad } of plan.map.conditions)
      if (takesLoad && work.operations.has(operationId.establish(id)))
        expect(ancestorsOf(operationId.establish(id), work).has('hold:pre-weight')).toBe(true);
    expect(workOf({ ...plan, rules: 7 }).operations.has('hold:pre-weight')).toBe(false);
  });

  it('is named by what it carries, a quarter heavier', () => {
    expect(work.operations.get('make:powerpack-supported')?.tip).toMatch(
      /^About (\d+) kg: every piece of it rated for (\d+) kg or more\./,
    );
    const [, load = 0, rated = 0] =
      /About (\d+) kg.* rated for (\d+) kg/.exec(work.operations.get('make:powerpack-supported')?.tip ?? '') ?? [];
    expect(Number(rated)).toBeGreaterThanOrEqual(Number(load) * 1.25);
    expect(Number(load)).toBeGreaterThan(1_000);
  });

  it('has a jack under the gearbox before anybody is beneath it, taken away once it hangs and put back on the way in', () => {
    expect(ancestorsOf('open:gearbox-mount', work).has('make:gearbox-supported')).toBe(true);
    expect(ancestorsOf('lift:forward', work).has('lift:jack-away')).toBe(true);
    expect(ancestorsOf('start:gearbox-mount', work).has('lower:jack-back')).toBe(true);
  });
});

describe('a hold point', () => {
  it('asks what this machine has', () => {
    const hybrid = compose(templateOf('longitudinal-automatic'), {
      hybrid: 'yes',
      fuel: 'petrol-direct',
      steering: 'electric',
    });
    expect(asked(planOf('longitudinal-automatic', 'engine-with-gearbox', 'top'), 'made-safe')).not.toContain(
      'proved-dead',
    );
    expect(
      asked(planOf('longitudinal-automatic', 'engine-with-gearbox', 'top', { map: hybrid }), 'made-safe'),
    ).toContain('proved-dead');
    expect(asked(planOf('heavy-tilt-cab', 'engine-with-gearbox', 'top'), 'made-safe')).toContain('air-nought');
    expect(asked(planOf('transverse-cradle', 'cradle', 'under'), 'made-safe')).toContain('airbag-waited');
  });

  it('has nobody sign that nobody is under it where the next step sends somebody there', () => {
    expect(asked(planOf('longitudinal-manual', 'gearbox', 'under'), 'pre-lift')).toEqual([
      'held',
      'walked-round',
      'only-at-the-jack',
    ]);
    expect(asked(planOf('longitudinal-manual', 'engine-with-gearbox', 'top'), 'pre-lift')).toEqual([
      'walked-round',
      'nobody-under',
    ]);
    expect(asked(planOf('longitudinal-manual', 'engine-with-gearbox', 'split'), 'pre-lift')).toContain('on-its-stand');
  });
});

describe('while it cools', () => {
  const work = workOf(planOf('longitudinal-manual', 'engine-with-gearbox', 'top'));

  it('nobody is beneath it, or at what scalds or burns', () => {
    for (const { id, station, phase, kind, cautions } of work.operations.values())
      if (phase === 'strip' && kind !== 'wait' && kind !== 'hold-point')
        if (station === 'underside' || cautions.includes('hot-coolant'))
          expect([id, ancestorsOf(id, work).has('do:cool-down')]).toEqual([id, true]);
  });

  it('what is cold is gone on with', () => {
    expect(ancestorsOf('open:coil-1', work).has('do:cool-down')).toBe(false);
  });
});

describe('fuel', () => {
  const work = (fuel: 'petrol-port' | 'petrol-direct' | 'carburettor' | 'diesel-mechanical') =>
    workOf(
      planOf('longitudinal-manual', 'engine-with-gearbox', 'top', {
        map: compose(templateOf('longitudinal-manual'), {
          fuel,
          boost: 'none',
          ...(fuel === 'diesel-mechanical' || fuel === 'carburettor' ? { throttle: 'cable' as const } : {}),
        }),
      }),
    );

  it('is run down before the battery is off, or has its wait, or is shut and run empty', () => {
    expect(ancestorsOf('open:battery-negative', work('petrol-port')).has('do:run-dry')).toBe(true);
    expect(ancestorsOf('make:fuel-depressurised', work('petrol-direct')).has('do:rail-wait')).toBe(true);
    expect(work('carburettor').operations.get('make:fuel-closed')?.title).toMatch(/float bowl/);
    expect(work('diesel-mechanical').operations.get('make:fuel-closed')?.title).toMatch(/bleed screw/);
    for (const fuel of ['petrol-port', 'petrol-direct', 'carburettor', 'diesel-mechanical'] as const)
      for (const id of ['make:fuel-depressurised', 'make:fuel-closed']) {
        const step = work(fuel).operations.get(id);
        if (step) expect(step.tools).toEqual(expect.arrayContaining(['rags', 'drain tray']));
      }
  });
});

describe('under a tilting cab', () => {
  const work = workOf(planOf('heavy-tilt-cab', 'engine-with-gearbox', 'top'));

  it('nobody is inside when it goes over, and nothing is worked from the seat before it is down and there is air', () => {
    for (const { id, phase, station, moves = [] } of work.operations.values()) {
      if (phase === 'strip' && station === 'cabin') expect(ancestorsOf('make:cab-tilted', work).has(id)).toBe(true);
      if (phase === 'refit' && (station === 'cabin' || moves.includes('pedal') || moves.includes('steering')))
        expect([id, ancestorsOf(id, work).has('release:cab-tilted')]).toEqual([id, true]);
      if (phase === 'refit' && moves.includes('pedal'))
        expect(ancestorsOf(id, work).has('release:air-released')).toBe(true);
    }
  });
});

describe('what its last fastener lets go of', () => {
  const { runs } = workOf(planOf('longitudinal-manual', 'engine-with-gearbox', 'top'));

  it('comes away with it, however light', () => {
    expect(runs).toContainEqual({ first: 'open:engine-cover-posts', then: 'remove:engine-cover' });
  });

  it('and a row of plugs is gone through in the same hands', () => {
    expect(runs).toContainEqual({ first: 'open:coil-1', then: 'open:coil-2' });
    expect(runs).toContainEqual({ first: 'close:coil-3', then: 'close:coil-4' });
  });
});
