import { RULES_NOW, reachOf, type Connection, type JobPlan, type Part } from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';
import { usualMap } from '../layouts/index.js';
import { ancestorsOf, HEAVY_KG, type Precedence } from '../teardown/index.js';
import { EVERY_JOB } from '../testing/every-job.js';
import { smallMap, smallPlan, smallPlanWith, withConnection, withMore } from '../testing/small-map.js';
import { workOf, type Work } from '../work/index.js';

const before = (id: string, work: Work) => ancestorsOf(id, work);
/** What says, straight and in words that fit `words`, that `after` waits for something. */
const waits = ({ precedence }: Work, after: string, words: RegExp) =>
  precedence.filter((edge) => edge.after === after && words.test(edge.reason.words)).map((edge) => edge.before);

describe.each(EVERY_JOB)('the way back of %s', (_name, plan) => {
  const work = workOf(plan);
  const back = (id: string) => ['refit', 'first-start', 'handover'].includes(work.operations.get(id)?.phase ?? '');

  it('gives each wait a reason that somebody can read, between two steps that are there', () => {
    const odd = work.precedence.filter(
      ({ before: one, after, reason }: Precedence) =>
        !work.operations.has(one) || !work.operations.has(after) || !/^\p{Lu}.{8,}/u.test(reason.words),
    );
    expect(odd).toEqual([]);
    expect(work.precedence.filter(({ after }) => back(after)).length).toBeGreaterThan(100);
  });

  it('leaves joints of a loose group loose until the last of them is in', () => {
    const groups = new Map<string, Connection[]>();
    for (const joint of plan.map.connections) {
      const group = work.operations.has(`close:${joint.id}`) ? joint.refit.torque?.looseUntilAllIn : undefined;
      if (group !== undefined) groups.set(group, [...(groups.get(group) ?? []), joint]);
    }
    for (const joints of groups.values())
      for (const one of joints)
        for (const other of joints)
          if (one !== other) expect(before(`torque:${one.id}`, work).has(`close:${other.id}`)).toBe(true);
    const forItself = work.precedence.filter(({ after, reason }) => {
      const own = work.connections.get(work.operations.get(after)?.connection ?? '');
      return own !== undefined && reason.words === `It stays loose to leave room for ${own.name}.`;
    });
    expect(forItself).toEqual([]);
  });

  it('lets nothing down or away before what needs it is finished', () => {
    for (const { id, released } of plan.map.conditions) {
      if (!released || !work.operations.has(`release:${id}`)) continue;
      for (const { id: joint, refit, needs } of plan.map.connections) {
        const last = [`torque:${joint}`, `close:${joint}`].find((step) => work.operations.get(step)?.phase === 'refit');
        if (last && (needs.includes(id) || refit.supportedBy?.includes(id)))
          expect([joint, before(`release:${id}`, work).has(last)]).toEqual([joint, true]);
      }
    }
  });

  it('sets back what made room only when the powerpack is down', () => {
    const route = plan.map.routes.find(({ id }) => id === plan.route);
    const down = `lower:${route?.lowerSteps.at(-1)?.id}`;
    const early = new Set(
      plan.map.connections.flatMap(({ refit, between }) => (refit.beforeLowering === undefined ? [] : between)),
    );
    for (const { part } of route?.blockedBy ?? [])
      if (work.operations.has(`fit:${part}`) && !early.has(part))
        expect([part, before(`fit:${part}`, work).has(down)]).toEqual([part, true]);
  });

  it('is signed for under its own cautions, one step of the way down after the other', () => {
    const route = plan.map.routes.find(({ id }) => id === plan.route);
    const [first] = route?.lowerSteps ?? [];
    expect(work.operations.get('hold:pre-lower')).toMatchObject({
      station: first?.station,
      height: first?.height,
      cautions: ['under-load'],
    });
    const underCab = reachOf(plan.map, { station: 'bay-top' }).length > 0;
    expect(work.operations.get('hold:pre-start')).toMatchObject({
      station: underCab ? 'front' : 'bay-top',
      height: 'ground',
      cautions: ['fuel', 'exhaust-gas'],
    });
    const chain = ['hold:pre-lower', ...(route?.lowerSteps ?? []).map(({ id }) => `lower:${id}`)];
    chain.slice(1).forEach((id, at) => expect(before(id, work).has(chain[at] ?? '')).toBe(true));
  });

  it('needs a running engine for just the looks after the start', () => {
    for (const { id, when } of plan.map.checks) {
      const check = work.operations.get(`check:${id}`);
      if (check)
        expect([id, check.needsRunning, check.phase === 'handover']).toEqual([
          id,
          when !== 'before-start',
          when === 'handover',
        ]);
    }
  });
});

describe('what every layout has somewhere', () => {
  const all = EVERY_JOB.map(([, plan]) => workOf(plan));
  it.each([
    ['loose until all are in', /^It stays loose to leave room for/],
    ['a heavy part that is held up', /is in somebody’s hands until/],
    ['room made for the way', /^It came off to make room\./],
    ['a support that stays', /stays in force until/],
    ['mounts by hand first', /^Every mount is started by hand/],
    ['mounts seated before torque', /^Every mount is seated/],
  ])('%s', (_what, words) => {
    expect(all.some(({ precedence }) => precedence.some(({ reason }) => words.test(reason.words)))).toBe(true);
  });
});

describe('one rule of the way back at a time', () => {
  it('turns access round: what lies over a mount goes on when the mount is finished, not when it is started', () => {
    const over = workOf(
      withConnection('mount-left', { access: [{ open: 'cover-bolts', why: 'The cover is over it.' }] }),
    );
    expect(waits(over, 'close:cover-bolts', /^Later it cannot be reached/)).toEqual(['torque:mount-left']);
    const under = workOf(
      withConnection('cover-bolts', { access: [{ open: 'mount-left', why: 'The mount is over it.' }] }),
    );
    expect(waits(under, 'start:mount-left', /^Later it cannot be reached/)).toEqual(['close:cover-bolts']);
    const both = workOf(withConnection('mount-left', { access: [{ open: 'mount-right', why: 'Right one first.' }] }));
    expect(waits(both, 'start:mount-right', /^Later it cannot be reached/)).toEqual(['start:mount-left']);
  });

  it('closes first what comes first both ways', () => {
    const first = { open: 'radiator-bolts', why: 'Held before it.', orderOnly: true };
    const both = workOf(withConnection('cover-bolts', { access: [{ ...first, firstBackToo: true }] }));
    expect(waits(both, 'close:cover-bolts', /Held before it/)).toEqual(['close:radiator-bolts']);
    const torqued = smallMap.connections.map((one) =>
      one.id === 'radiator-bolts'
        ? { ...one, refit: { ...one.refit, torque: { targetNm: 20 } } }
        : one.id === 'cover-bolts'
          ? { ...one, access: [{ ...first, firstBackToo: true }] }
          : one,
    );
    // In is enough: it need not have its final torque.
    expect(waits(workOf(smallPlanWith({ connections: torqued })), 'close:cover-bolts', /Held before it/)).toEqual([
      'close:radiator-bolts',
    ]);
    const turned = workOf({ ...withConnection('cover-bolts', { access: [first] }), rules: RULES_NOW });
    expect(before('close:radiator-bolts', turned).has('close:cover-bolts')).toBe(true);
  });

  it('keeps a heavy part in somebody’s hands until what came off last is in', () => {
    const rack: Part = {
      id: 'rack',
      name: 'rack',
      zone: 'bay-front',
      system: 'body',
      massKg: HEAVY_KG + 1,
      removal: step({ title: 'Lower the rack', station: 'front', minutes: minutes(1, 2, 4) }),
    };
    const bolts = ['rack-left', 'rack-right'].map((id) =>
      connection({
        id,
        name: `the ${id.replace('-', ' ')} bolts`,
        kind: 'bolted',
        between: ['rack', 'body'],
        system: 'body',
        station: 'front',
        minutes: minutes(1, 2, 4),
      }),
    );
    const more = withMore([rack], bolts);
    const route = smallMap.routes.map((one) => ({
      ...one,
      blockedBy: [...one.blockedBy, { part: 'rack', why: 'It is in the way.' }],
    }));
    const work = workOf({ ...more, rules: RULES_NOW, map: { ...more.map, routes: route } });
    const held = work.precedence.filter(({ reason }) =>
      /^The rack is in somebody’s hands until it hangs on the rack/.test(reason.words),
    );
    expect(held).toHaveLength(1);
    const [{ before: first, after: second } = { before: '', after: '' }] = held;
    expect(before(second, work).has(first)).toBe(true);
    // And the other way round on the way out.
    expect(before(first.replace('close', 'open'), work).has(second.replace('close', 'open'))).toBe(true);
    expect(before('fit:rack', work).has('lower:down')).toBe(true);
  });

  it('has what a swap asks for ready where it is needed: at its joint, before the way down, or by the start', () => {
    const made = { minutes: minutes(5, 10, 20), tip: 'Measure twice' };
    const work = workOf({
      ...smallPlan,
      adaptations: [
        { ...made, id: 'bracket', title: 'Make a bracket', connection: 'radiator-bolts' },
        { ...made, id: 'tunnel', title: 'Widen the tunnel' },
        { ...made, id: 'wiring', title: 'Adapt the loom', connection: 'sensor', dueBy: 'start' },
        { ...made, id: 'gauge', title: 'Fit a gauge', dueBy: 'start' },
      ],
    });
    expect(waits(work, 'close:radiator-bolts', /It has to fit before it is closed/)).toEqual(['adapt:bracket']);
    expect(waits(work, 'hold:pre-lower', /before the powerpack goes down/)).toEqual(['adapt:tunnel']);
    expect(before('close:sensor', work).has('adapt:wiring')).toBe(false);
    expect(before('hold:pre-start', work).has('adapt:wiring')).toBe(true);
    const stations = ['bracket', 'tunnel', 'wiring', 'gauge'].map((id) => work.operations.get(`adapt:${id}`)?.station);
    expect(stations).toEqual(['front', 'front', 'bay-top', 'bay-top']);
    expect(work.operations.get('adapt:tunnel')).toMatchObject({ title: 'Widen the tunnel', ...made, phase: 'refit' });
  });

  it('waits for the powerpack to be down only at what ties it to the machine', () => {
    const work = workOf(smallPlan);
    const wait = (id: string) => waits(work, id, /^The powerpack has to be down/);
    expect(wait('close:hose')).toEqual(['lower:down']);
    expect(wait('start:mount-left')).toEqual(['lower:down']);
    expect(wait('close:cover-bolts')).toEqual([]);
  });

  it('takes away only what was brought, and waits for no other to have the weight back on the mounts', () => {
    const released = step({ title: 'Take it away', station: 'front', minutes: minutes(1, 2, 4) });
    const brought = { by: 'step', step: released, access: [] } as const;
    const work = workOf({
      ...withConnection('hose', { needs: ['propped'] }),
      map: {
        ...withConnection('hose', { needs: ['propped'] }).map,
        conditions: [
          ...smallMap.conditions,
          { id: 'propped', name: 'Propped', established: brought, released },
          { id: 'spare', name: 'Spare', established: brought, released },
        ],
      },
    });
    expect(work.operations.has('release:propped')).toBe(true);
    expect(work.operations.has('release:spare')).toBe(false);
    expect(waits(work, 'release:propped', /stays in force until nothing is left to do at the lower hose/)).toEqual([
      'close:hose',
    ]);
    expect(waits(work, 'close:hose', /^The powerpack sits on its own mounts/)).toEqual(['release:hoisted']);
  });

  it('takes longer to torque the more there is to turn, and longer at a high figure or an angle', () => {
    const likely = (count: number, targetNm: number, more = {}) => {
      const work = workOf(
        withConnection('mount-left', {
          fasteners:
            count === 0
              ? []
              : [
                  { count, what: 'M10×1.5 × 40' },
                  { count: 1, what: 'M8×1.25 × 20' },
                ],
          refit: { minutes: minutes(2, 4, 8), torque: { targetNm, ...more } },
        }),
      );
      return work.operations.get('torque:mount-left')?.minutes;
    };
    expect(likely(7, 25)).toEqual({ low: 2, likely: 3, high: 7 });
    expect(likely(7, 60)).toEqual({ low: 3, likely: 5, high: 11 });
    expect(likely(7, 100)).toEqual({ low: 5, likely: 9, high: 19 });
    expect(likely(7, 60, { angleDeg: 90 })).toEqual({ low: 5, likely: 9, high: 19 });
    expect(likely(0, 25)).toEqual({ low: 1, likely: 2, high: 5 });
  });

  it('takes a second pair of hands again for a joint of two that is pulled hard', () => {
    const hands = (own: 1 | 2, targetNm: number) =>
      workOf(
        withConnection('mount-left', { hands: own, refit: { minutes: minutes(2, 4, 8), torque: { targetNm } } }),
      ).operations.get('torque:mount-left')?.hands;
    expect([hands(2, 100), hands(2, 99), hands(1, 100)]).toEqual([2, 1, 1]);
  });

  it('sets a joint back at the height the map asks for, and says what to mind', () => {
    const work = workOf(
      withConnection('mount-left', {
        moves: ['crank'],
        refit: {
          minutes: minutes(2, 4, 8),
          height: 'ground',
          note: 'Arrow forward',
          torque: { targetNm: 60, height: 'raised' },
        },
      }),
    );
    expect(work.operations.get('close:mount-left')).toMatchObject({
      height: 'ground',
      tip: 'Arrow forward',
      moves: ['crank', 'weight'],
    });
    expect(work.operations.get('torque:mount-left')).toMatchObject({ height: 'raised' });
    expect(work.operations.get('close:mount-right')).not.toHaveProperty('tip');
    expect(work.operations.get('start:mount-left')?.height).toBe(work.connections.get('mount-left')?.height);
  });

  it('leaves tools that only take apart in the box, and what was to be minded taking a part out', () => {
    const parts = smallMap.parts.map((part) =>
      part.id === 'cover' && part.removal
        ? { ...part, removal: { ...part.removal, tools: ['pry bar', '10 mm socket'], tip: 'It is glued' } }
        : part,
    );
    const fit = workOf(smallPlanWith({ parts })).operations.get('fit:cover');
    expect(fit?.tools).toEqual(['10 mm socket']);
    expect(fit?.tip).toBeUndefined();
    expect(fit).toMatchObject({ part: 'cover', kind: 'fit', title: 'Set the cover in place' });
  });
});

describe('engine and gearbox that meet on the way in', () => {
  const planBy = (layout: string, powerpack: string, route: string, rules = RULES_NOW): JobPlan => ({
    map: usualMap(layout),
    powerpack,
    route,
    rules,
  });
  const comesBefore = (work: Work, one: string, other: string) => before(other, work).has(one);

  it('are bolted at once by the same people, wherever units are parted', () => {
    const ways: readonly (readonly [layout: string, powerpack: string, route: string, meets: string, bolts: string])[] =
      [
        ['longitudinal-manual', 'gearbox', 'under', 'gearbox-home', 'bell-housing'],
        ['longitudinal-manual', 'engine', 'top-engine', 'onto-gearbox', 'bell-housing'],
        ['longitudinal-automatic', 'engine-with-gearbox', 'split', 'gearbox-home', 'bell-housing'],
        ['transverse-cradle', 'engine', 'top-engine', 'onto-shaft', 'bell-housing'],
        ['heavy-tilt-cab', 'engine', 'top-engine', 'onto-gearbox', 'bell-housing'],
        ['rear-flat-air-cooled', 'engine', 'rear', 'push-home', 'bell-lower'],
      ];
    for (const [layout, powerpack, route, meets, bolts] of ways)
      expect(workOf(planBy(layout, powerpack, route)).runs).toContainEqual({
        first: `lower:${meets}`,
        then: `start:${bolts}`,
      });
  });

  it('are closed before a mount pulls at either, and hang no longer than it takes to start the mounts', () => {
    const under = workOf(planBy('longitudinal-manual', 'gearbox', 'under'));
    expect(comesBefore(under, 'close:bell-housing', 'close:gearbox-mount')).toBe(true);
    const above = workOf(planBy('longitudinal-manual', 'engine', 'top-engine'));
    expect(comesBefore(above, 'start:bell-housing', 'lower:on-mounts')).toBe(true);
    expect(comesBefore(above, 'start:mount-left', 'close:bell-housing')).toBe(true);
    expect(comesBefore(above, 'close:bell-housing', 'close:mount-left')).toBe(true);
  });

  it('meet under an engine that sits on its mounts by then', () => {
    const split = workOf(planBy('longitudinal-manual', 'engine-with-gearbox', 'split'));
    for (const mount of ['mount-left', 'mount-right'])
      expect(comesBefore(split, `close:${mount}`, 'lower:gearbox-under')).toBe(true);
    const asItWas = workOf(planBy('longitudinal-manual', 'engine-with-gearbox', 'split', 6));
    expect(comesBefore(asItWas, 'close:mount-left', 'lower:gearbox-under')).toBe(false);
  });
});
