import {
  CyclicMapError,
  RULES_NOW,
  reachOf,
  routeOf,
  type ConnectionKind,
  type Part,
} from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';
import { EVERY_JOB } from '../testing/every-job.js';
import { smallMap, smallPlan, smallPlanWith } from '../testing/small-map.js';
import { workOf, type Work } from '../work/index.js';
import { ancestorsOf, closingTitle, halfOf, HEAVY_KG, openingTitle, phasesOf, teardownOf } from './index.js';

const before = (id: string, work: Work) => ancestorsOf(id, work);

describe.each(EVERY_JOB)('the way out of %s', (_name, plan) => {
  const work = workOf(plan);
  const { map } = plan;
  const steps = [...work.operations.values()];
  const route = routeOf(plan);

  it('has each step done at its own place, by its own kind, and says what for', () => {
    const odd = steps.filter(
      ({ id, title, station, minutes: takes }) =>
        !id || !title || !station || !(takes.low <= takes.likely && takes.likely <= takes.high),
    );
    expect(odd).toEqual([]);
    const { operations, because } = teardownOf(plan);
    // What carries a step of its own into the plan is said, down to the hold points and the lift, which every job has.
    const unsaid = operations.filter(({ id, kind }) => !because.get(id) && kind !== 'hold-point' && kind !== 'lift');
    expect(unsaid).toEqual([]);
    for (const { id, established, takesLoad } of map.conditions)
      if (established.by === 'step' && work.operations.has(`make:${id}`))
        expect(work.operations.get(`make:${id}`)).toMatchObject({
          title: established.step.title,
          kind: takesLoad ? 'support' : 'make-safe',
          condition: id,
        });
  });

  it('signs for what is safe on the ground, from in front where a cab lies over the bay, and for the lift where it begins', () => {
    const underCab = reachOf(map, { station: 'bay-top' }).length > 0;
    expect(work.operations.get('hold:made-safe')).toMatchObject({
      kind: 'hold-point',
      station: underCab ? 'front' : 'bay-top',
      height: 'ground',
      cautions: ['battery', 'fuel'],
      hands: 1,
    });
    expect(work.operations.get('hold:pre-lift')).toMatchObject({
      kind: 'hold-point',
      phase: 'lift',
      station: route.liftSteps[0]?.station,
      height: route.liftSteps[0]?.height,
      cautions: ['under-load'],
    });
  });

  it('lifts in the steps of the route, one after the other, once it is signed', () => {
    const lifts = steps.filter(({ kind }) => kind === 'lift');
    expect(lifts.map(({ id, title, phase }) => [id, title, phase])).toEqual(
      route.liftSteps.map(({ id, title }) => [`lift:${id}`, title, 'lift']),
    );
    const chain = ['hold:pre-lift', ...lifts.map(({ id }) => id)];
    chain.slice(1).forEach((id, at) => expect(before(id, work).has(chain[at] ?? '')).toBe(true));
    for (const { id, phase } of steps) if (phase === 'strip') expect(before('hold:pre-lift', work).has(id)).toBe(true);
  });

  it('has whatever closes the bay off before anybody works in it', () => {
    const safe = new Set(
      map.conditions.flatMap(({ makeSafe, established }) =>
        makeSafe && established.by === 'connection' ? [`open:${established.connection}`] : [],
      ),
    );
    for (const { id, coversBay, removal } of map.parts) {
      const off = `remove:${id}`;
      if (!coversBay || !work.operations.has(off)) continue;
      const first = before(off, work);
      const under = steps.filter(
        (one) =>
          one.phase === 'strip' &&
          ['bay-top', removal?.station].includes(one.station) &&
          !['hold-point', 'wait'].includes(one.kind) &&
          one.id !== off &&
          !first.has(one.id) &&
          !safe.has(one.id),
      );
      expect(under.filter((one) => !before(one.id, work).has(off))).toEqual([]);
      // What does come before it is what holds it, or has to be for that.
      expect([...first].filter((one) => work.operations.get(one)?.kind === 'drain')).toEqual([]);
    }
  });

  it('drains what it opens, and nothing else', () => {
    const opened = map.connections.flatMap(({ id, circuit = '' }) =>
      work.operations.has(`open:${id}`) ? [circuit] : [],
    );
    const drained = map.circuits.map(({ id }) => id).filter((id) => work.operations.has(`drain:${id}`));
    expect(drained).toEqual(map.circuits.map(({ id }) => id).filter((id) => opened.includes(id)));
  });
});

describe('one rule of the way out at a time', () => {
  it('has each hold point signed under its own name', () => {
    const { operations } = workOf(smallPlan);
    for (const { id, name } of smallMap.holdPoints) expect(operations.get(`hold:${id}`)?.title).toBe(`Sign: ${name}`);
    expect(workOf(smallPlanWith({ holdPoints: [] })).operations.get('hold:pre-lift')?.title).toBe('Sign: pre-lift');
  });

  it('drains only circuits that are opened, each with what its drain needs first', () => {
    const [coolant] = smallMap.circuits;
    if (!coolant) throw new Error('The small map has one circuit.');
    const other = { ...coolant, id: 'oil', name: 'Oil', drain: { ...coolant.drain, needs: ['isolated'] } };
    const work = workOf(
      smallPlanWith({ circuits: [{ ...coolant, drain: { ...coolant.drain, needs: ['isolated'] } }, other] }),
    );
    expect(work.operations.has('drain:coolant')).toBe(true);
    expect(work.operations.has('drain:oil')).toBe(false);
    expect(before('drain:coolant', work).has('open:negative')).toBe(true);
    expect(work.precedence.filter(({ after }) => after === 'drain:oil')).toEqual([]);
  });

  it('has what lies over the bay off before hands are in it, whatever else waits for nothing', () => {
    const parts = smallMap.parts.map((part): Part => (part.id === 'cover' ? { ...part, coversBay: true } : part));
    const held = (rules: number) => {
      const work = workOf({ ...smallPlanWith({ parts }), rules });
      return work.precedence
        .filter(({ reason }) => /^The cover is off before anybody works under it/.test(reason.words))
        .map(({ after }) => after);
    };
    expect(held(RULES_NOW)).toEqual(['open:sensor']);
    expect(held(2)).toEqual([]);
  });

  it('leaves a heavy part hanging on what is fast to something that stays on it', () => {
    const tank: Part = {
      id: 'tank',
      name: 'tank',
      zone: 'bay-front',
      system: 'body',
      massKg: HEAVY_KG + 1,
      removal: step({ title: 'Lower the tank', station: 'front', minutes: minutes(1, 2, 4) }),
    };
    const lid: Part = { id: 'lid', name: 'lid', zone: 'bay-front', system: 'body', massKg: 1, ridesWith: 'tank' };
    const at = { kind: 'bolted', system: 'body', station: 'front', minutes: minutes(1, 2, 4) } as const;
    const work = teardownOf({
      ...smallPlan,
      rules: RULES_NOW,
      map: {
        ...smallMap,
        parts: [...smallMap.parts, tank, lid],
        connections: [
          ...smallMap.connections,
          connection({ ...at, id: 'lid-screws', name: 'the lid', between: ['lid', 'tank'] }),
          connection({ ...at, id: 'tank-bolts', name: 'the tank', between: ['tank', 'body'] }),
          connection({ ...at, id: 'tank-strap', name: 'the tank strap', kind: 'strap', between: ['tank', 'body'] }),
        ],
        routes: smallMap.routes.map((route) => ({ ...route, blockedBy: [{ part: 'tank', why: 'In the way.' }] })),
      },
    });
    const [hanging] = work.hanging;
    expect(hanging?.part.id).toBe('tank');
    expect([hanging?.last.id, ...(hanging?.others ?? []).map(({ id }) => id)].sort()).toEqual([
      'tank-bolts',
      'tank-strap',
    ]);
    expect(work.precedence).toContainEqual({
      before: `open:${hanging?.others[0]?.id}`,
      after: `open:${hanging?.last.id}`,
      reason: {
        kind: 'sequence',
        words: `With ${hanging?.last.name} undone the tank is in somebody’s hands, so all else is off it before.`,
      },
    });
  });

  it('calls each joint by what really holds it', () => {
    const titles = (kind: ConnectionKind, ...held: readonly string[]) => {
      const joint = connection({
        id: 'joint',
        name: 'the end',
        kind,
        between: ['engine', 'body'],
        system: 'body',
        station: 'front',
        minutes: minutes(1, 2, 4),
        fasteners: held.map((what) => ({ count: 1, what })),
      });
      return [openingTitle(joint), closingTitle(joint)];
    };
    expect(titles('bolted')).toEqual(['Unbolt the end', 'Bolt up the end']);
    expect(titles('plug')).toEqual(['Unplug the end', 'Plug in the end']);
    expect(titles('hose')).toEqual(['Pull off the end', 'Push on and clamp the end']);
    expect(titles('pipe')).toEqual(['Undo the end', 'Connect the end']);
    expect(titles('cable')).toEqual(['Unhook the end', 'Hook up the end']);
    expect(titles('ground')).toEqual(['Unbolt the end', 'Bolt up the end']);
    expect(titles('linkage')).toEqual(['Disconnect the end', 'Connect the end']);
    expect(titles('shaft')).toEqual(['Part the end', 'Join the end']);
    expect(titles('clip')).toEqual(['Unclip the end', 'Clip in the end']);
    expect(titles('strap')).toEqual(['Undo the end', 'Do up the end']);
    expect(titles('clamp')).toEqual(['Loosen the end', 'Clamp the end']);
    expect(titles('cable', 'pinch screw, 8 mm')).toEqual(['Disconnect the end', 'Connect the end']);
    expect(titles('cable', 'M8 nut, 13 mm')).toEqual(['Unbolt the end', 'Bolt on the end']);
    expect(titles('cable', 'spring clip', 'M6, 10 mm')).toEqual(['Unbolt the end', 'Bolt on the end']);
    expect(titles('cable', 'hook')).toEqual(['Unhook the end', 'Hook up the end']);
    expect(titles('hose', 'banjo M12')).toEqual(['Undo the end', 'Connect the end']);
    expect(titles('hose', 'spring band')).toEqual(['Pull off the end', 'Push on and clamp the end']);
    expect(titles('clip', 'cross screw')).toEqual(['Unscrew the end', 'Screw on the end']);
    expect(titles('clamp', 'T bolt')).toEqual(['Undo the end', 'Clamp the end']);
    expect(titles('clamp', 'M8 band')).toEqual(['Undo the end', 'Clamp the end']);
  });

  it('says which half a stretch of the journey is of', () => {
    expect(phasesOf('out')).toEqual(['strip', 'lift']);
    expect(phasesOf('bench')).toEqual(['bench']);
    expect(phasesOf('back')).toEqual(['refit', 'first-start', 'handover']);
    expect(halfOf('first-start')).toBe('back');
  });

  it('signs for the lift in front of a machine whose route has no steps', () => {
    const routes = smallMap.routes.map((route) => ({ ...route, liftSteps: [] }));
    expect(teardownOf(smallPlanWith({ routes })).operations.at(-1)).toMatchObject({
      id: 'hold:pre-lift',
      station: 'front',
      height: 'ground',
    });
  });

  it('refuses a map that speaks of what is not on it', () => {
    const routes = smallMap.routes.map((route) => ({ ...route, opensToo: [{ connection: 'gone', why: 'So.' }] }));
    expect(() => teardownOf(smallPlanWith({ routes }))).toThrow('The map speaks of “gone”, which is not on it.');
  });

  it('names the steps of a ring that goes by no joint by what they are called', () => {
    const [coolant] = smallMap.circuits;
    if (!coolant) throw new Error('The small map has one circuit.');
    const circuits = [{ ...coolant, drain: { ...coolant.drain, access: [{ removed: 'radiator', why: 'So.' }] } }];
    const act = () => teardownOf(smallPlanWith({ circuits }));
    expect(act).toThrow(CyclicMapError);
    expect(act).toThrow(/Drain the coolant/);
    expect(act).toThrow(/Lift the radiator out/);
    expect(act).toThrow(/the lower hose/);
  });
});
