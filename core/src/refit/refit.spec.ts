import { usualMap } from '../layouts/index.js';
import { ancestorsOf } from '../teardown/index.js';
import { smallPlan, withConnection } from '../testing/small-map.js';
import { workOf } from '../work/index.js';

const longitudinal = workOf({
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
});
const small = workOf(smallPlan);
const before = (id: string, work = longitudinal) => ancestorsOf(id, work);

describe('the way back', () => {
  it('closes again everything that was opened, and sets every part back', () => {
    for (const id of longitudinal.operations.keys()) {
      if (id.startsWith('open:')) expect(longitudinal.operations.has(id.replace('open:', 'close:'))).toBe(true);
      if (id.startsWith('remove:')) expect(longitudinal.operations.has(id.replace('remove:', 'fit:'))).toBe(true);
      if (id.startsWith('drain:')) expect(longitudinal.operations.has(id.replace('drain:', 'fill:'))).toBe(true);
    }
  });

  it('covers last what was uncovered first: the exhaust nuts are torqued before the heat shield is fitted', () => {
    expect(before('fit:heat-shield').has('torque:downpipe-turbo')).toBe(true);
  });

  it('puts in before lowering what no hand reaches later', () => {
    expect(before('hold:pre-lower').has('torque:bulkhead-shield-nuts')).toBe(true);
    expect(before('hold:pre-lower').has('fit:bulkhead-shield')).toBe(true);
  });

  it('starts every mount by hand before any is seated, and seats all before any is torqued', () => {
    for (const one of ['mount-left', 'mount-right'])
      for (const other of ['mount-left', 'mount-right']) {
        expect(before(`close:${one}`, small).has(`start:${other}`)).toBe(true);
        if (one !== other) expect(before(`torque:${one}`, small).has(`close:${other}`)).toBe(true);
      }
  });

  it('torques the gearbox mount after both engine mounts', () => {
    expect(before('torque:gearbox-mount').has('torque:mount-left')).toBe(true);
    expect(before('torque:gearbox-mount').has('torque:mount-right')).toBe(true);
  });

  it('turns access between two mounts round without tying itself in a knot', () => {
    const work = workOf(withConnection('mount-left', { access: [{ open: 'mount-right', why: 'Right one first.' }] }));
    expect(before('start:mount-right', work).has('start:mount-left')).toBe(true);
  });

  it('lets the hoist down before the machine, and before anything else is connected', () => {
    expect(before('close:upper-hose').has('release:powerpack-supported')).toBe(true);
    expect(before('fit:bonnet').has('release:gearbox-supported')).toBe(true);
  });

  it('lets the hoist down only when every mount is at its final torque', () => {
    for (const mount of ['mount-left', 'mount-right']) {
      expect(before('release:hoisted', small).has(`torque:${mount}`)).toBe(true);
      expect(small.precedence).toContainEqual(
        expect.objectContaining({
          before: `torque:${mount}`,
          after: 'release:hoisted',
          reason: {
            kind: 'safety',
            words: expect.stringMatching(/^On the hoist stays in force until nothing is left to do at the/) as string,
          },
        }),
      );
    }
  });

  it('fills a circuit when all its joints are closed', () => {
    const needed = before('fill:coolant');
    for (const joint of ['upper-hose', 'lower-hose', 'heater-feed', 'heater-return', 'bottle-hose-engine'])
      expect(needed.has(`close:${joint}`)).toBe(true);
  });

  it('connects the battery after all other refit work', () => {
    const needed = before('close:battery-negative');
    const others = [...longitudinal.operations.values()].filter(
      ({ id, phase }) => phase === 'refit' && !id.endsWith(':battery-negative'),
    );
    expect(others.filter(({ id }) => !needed.has(id))).toEqual([]);
  });

  it('begins only after the powerpack has been out', () => {
    for (const { id, phase } of longitudinal.operations.values())
      if (phase === 'refit') expect(before(id).has('lift:set-down')).toBe(true);
  });

  it('keeps the engine from being cranked before the refit is finished and signed for', () => {
    expect(before('check:prime-oil').has('hold:pre-start')).toBe(true);
    expect(before('hold:pre-start').has('torque:battery-negative')).toBe(true);
  });
});

describe('the looks of first start and handover', () => {
  const looks = (powerpack: string, route: string, rules = 3) =>
    [...workOf({ map: usualMap('longitudinal-manual'), powerpack, route, rules }).operations.values()].flatMap(
      ({ kind, id }) => (kind === 'check' ? [id] : []),
    );

  it('fit the job: nobody cranks for oil, primes fuel or bleeds coolant after a gearbox alone', () => {
    expect(looks('gearbox', 'under')).toEqual(
      ['run-warm', 'levels', 'codes-after', 'leaks', 'heat-cycle', 'test-run', 'on-its-wheels'].map(
        (id) => `check:${id}`,
      ),
    );
    expect(looks('engine', 'top-engine').slice(0, 4)).toEqual(
      ['prime-oil', 'prime-fuel', 'first-fire', 'warm-up'].map((id) => `check:${id}`),
    );
  });

  it('are all there in a job planned before', () => {
    expect(looks('gearbox', 'under', 2)).toContain('check:prime-oil');
  });
});

describe('what hides leaks', () => {
  const covered = (checks: typeof smallPlan.map.checks) =>
    workOf({
      ...smallPlan,
      rules: 3,
      map: {
        ...smallPlan.map,
        checks,
        parts: smallPlan.map.parts.map((part) => (part.id === 'cover' ? { ...part, afterLeakCheck: true } : part)),
      },
    });
  const { checks } = smallPlan.map;

  it('goes back on once they have been looked for, and before the machine is driven', () => {
    const [warm] = checks.filter(({ id }) => id === 'warm');
    const work = covered(checks.flatMap((check) => (check === warm ? [check, { ...check, id: 'leaks' }] : [check])));
    expect(work.operations.get('fit:cover')).toMatchObject({ phase: 'handover', needsRunning: true });
    expect(before('fit:cover', work).has('check:leaks')).toBe(true);
    expect(before('check:run', work).has('close:cover-bolts')).toBe(true);
  });

  it('goes back on with the rest where nobody looks', () => {
    const work = covered(checks);
    expect(work.operations.get('fit:cover')).toMatchObject({ phase: 'refit' });
    expect(before('hold:pre-start', work).has('close:cover-bolts')).toBe(true);
  });
});
