import type { Connection, ConnectionMap } from '../connection-map/index.js';
import { connection, minutes, step } from '../layouts/author.js';
import { findLoop, precedenceGraph, teardownOf, type Precedence } from '../teardown/index.js';
import { tractorMap, tractorPlan } from '../testing/tractor-map.js';
import { refitOf, type Refit } from './index.js';

const backOf = (changes: Partial<ConnectionMap> = {}, more: Partial<typeof tractorPlan> = {}): Refit => {
  const plan = { ...tractorPlan, map: { ...tractorMap, ...changes }, ...more };
  return refitOf(plan, teardownOf(plan));
};
const withJoint = (id: string, changes: Partial<Connection>) =>
  tractorMap.connections.map((one) => (one.id === id ? { ...one, ...changes } : one));
const { operations, precedence } = backOf();
const told = ({ before, after, reason }: Precedence) => `${before} > ${after}: ${reason.words}`;
/** What is said with words that fit `words`, in order. */
const saying = (words: RegExp, edges: readonly Precedence[] = precedence) =>
  edges.filter(({ reason }) => words.test(reason.words)).map(told);
const befores = (after: string, words: RegExp) =>
  precedence.filter((edge) => edge.after === after && words.test(edge.reason.words)).map(({ before }) => before);

const REFIT = operations.filter(({ phase }) => phase === 'refit').map(({ id }) => id);

describe('the way back of a small machine, step by step', () => {
  it('is these steps, each what it is, where it is, and called so', () => {
    expect(
      operations.map(
        ({ id, kind, phase, station, height, title }) => `${id}, ${kind}, ${phase}, ${station}, ${height}: ${title}`,
      ),
    ).toEqual([
      'hold:pre-lower, hold-point, refit, front, either: Sign: Ready to lower',
      'lower:down, lower, refit, front, either: Lower in',
      'fit:radiator, fit, refit, front, either: Set the radiator in place',
      'fit:tank, fit, refit, underside, raised: Set the tank in place',
      'fit:cover, fit, refit, bay-top, either: Set the cover in place',
      'close:negative, connect, refit, bay-top, either: Bolt up the battery lead',
      'close:cover-bolts, connect, refit, bay-top, either: Bolt up the cover',
      'close:sensor, connect, refit, bay-top, either: Plug in the sensor plug',
      'close:hose, connect, refit, underside, raised: Push on and clamp the lower hose',
      'close:radiator-bolts, connect, refit, front, either: Bolt up the radiator brackets',
      'start:mount-left, start-by-hand, refit, wheel-left, either: Start the left mount by fingers, every one',
      'close:mount-left, connect, refit, wheel-left, either: Seat the left mount',
      'torque:mount-left, torque, refit, wheel-left, either: Torque the left mount',
      'start:mount-right, start-by-hand, refit, wheel-right, either: Start the right mount by fingers, every one',
      'close:mount-right, connect, refit, wheel-right, either: Seat the right mount',
      'torque:mount-right, torque, refit, wheel-right, either: Torque the right mount',
      'close:filler, connect, refit, rear, either: Push on and clamp the filler hose',
      'close:tank-strap, connect, refit, underside, raised: Do up the tank strap',
      'close:loom-clips, connect, refit, bay-top, either: Clip in the loom clips',
      'fill:coolant, fill, refit, bay-top, either: Fill the coolant',
      'release:hoisted, release, refit, front, either: Let the hoist down',
      'hold:pre-start, hold-point, first-start, bay-top, ground: Sign: Ready to start',
      'check:prime, check, first-start, cabin, either: Prime',
      'check:warm, check, first-start, cabin, either: Warm up',
      'check:run, check, handover, cabin, either: Test run',
    ]);
  });

  it('turns round what the map tells, and closes first what comes first both ways', () => {
    expect(saying(/^Later it cannot be reached/)).toEqual([
      'close:sensor > fit:cover: Later it cannot be reached. On the way out: The cover lies over it.',
      'close:sensor > close:filler: Later it cannot be reached. On the way out: The filler goes first where it goes at all.',
      'close:sensor > fit:tank: Later it cannot be reached. On the way out: The tank goes first where it goes at all.',
      'fill:coolant > fit:cover: Later it cannot be reached. On the way out: The cap is under the cover.',
      'close:sensor > fit:cover: Later it cannot be reached. On the way out: The cover is off before anybody works under it.',
      'close:loom-clips > fit:cover: Later it cannot be reached. On the way out: The cover is off before anybody works under it.',
    ]);
    expect(saying(/^The loom is tied/)).toEqual(['close:loom-clips > close:filler: The loom is tied to it.']);
    expect(saying(/was done before it/)).toEqual([
      'close:sensor > close:negative: Unbolt the battery lead was done before it; it goes back after it.',
      'fill:coolant > close:negative: Unbolt the battery lead was done before it; it goes back after it.',
    ]);
    expect(saying(/^Filled when/)).toEqual([
      'close:hose > fill:coolant: Filled when every joint of the circuit is closed.',
    ]);
  });

  it('sets a part in before it is fastened, and hangs a heavy one on what came off last', () => {
    expect(saying(/^The part is in its place/).map((one) => one.split(':').slice(0, 3).join(':'))).toEqual([
      'fit:radiator > close:hose',
      'fit:radiator > close:radiator-bolts',
      'fit:tank > close:filler',
      'fit:tank > close:tank-strap',
      'fit:cover > close:cover-bolts',
    ]);
    expect(saying(/in somebody’s hands until/)).toEqual([
      'close:radiator-bolts > close:hose: The radiator is in somebody’s hands until it hangs on the radiator brackets.',
      'close:tank-strap > close:filler: The tank is in somebody’s hands until it hangs on the tank strap.',
    ]);
  });

  it('starts every mount by hand, seats every one, and then torques them in their order', () => {
    expect(saying(/Fingers before tools|Seated before its final|Left before right|Every mount/)).toEqual([
      'start:mount-left > close:mount-left: Fingers before tools, or a thread is crossed.',
      'close:mount-left > torque:mount-left: Seated before its final torque.',
      'start:mount-right > close:mount-right: Fingers before tools, or a thread is crossed.',
      'close:mount-right > torque:mount-right: Seated before its final torque.',
      'torque:mount-left > torque:mount-right: Left before right.',
      'start:mount-left > close:mount-right: Every mount is started by hand before any is pulled down, or the holes walk off.',
      'close:mount-left > torque:mount-right: Every mount is seated before any gets its final torque, or the frame twists.',
      'start:mount-right > close:mount-left: Every mount is started by hand before any is pulled down, or the holes walk off.',
      'close:mount-right > torque:mount-left: Every mount is seated before any gets its final torque, or the frame twists.',
    ]);
  });

  it('torques nothing that has no figure', () => {
    const edges = backOf({
      connections: withJoint('mount-right', { refit: { minutes: minutes(1, 2, 4) } }),
    }).precedence;
    expect(saying(/^Every mount is seated/, edges)).toEqual([
      'close:mount-right > torque:mount-left: Every mount is seated before any gets its final torque, or the frame twists.',
    ]);
    expect(saying(/^On the hoist stays/, edges)).toEqual([
      'torque:mount-left > release:hoisted: On the hoist stays in force until nothing is left to do at the left mount.',
      'close:mount-right > release:hoisted: On the hoist stays in force until nothing is left to do at the right mount.',
    ]);
  });

  it('goes down signed, and waits for the powerpack only with what it ties or made room for', () => {
    expect(saying(/^Nothing is lowered|^The powerpack has to be down|^It came off/)).toEqual([
      'hold:pre-lower > lower:down: Nothing is lowered before the pre-lower hold point is signed.',
      'lower:down > close:sensor: The powerpack has to be down in the bay.',
      'lower:down > close:hose: The powerpack has to be down in the bay.',
      'lower:down > start:mount-left: The powerpack has to be down in the bay.',
      'lower:down > start:mount-right: The powerpack has to be down in the bay.',
      'lower:down > fit:radiator: It came off to make room. It stands in the way.',
      'lower:down > fit:tank: It came off to make room. It hangs in the way.',
    ]);
  });

  it('goes down by all steps of the route, and from the signing where it has none', () => {
    const by = (...ids: readonly string[]) =>
      backOf({
        routes: tractorMap.routes.map((route) => ({
          ...route,
          lowerSteps: ids.map((id) => ({ id, ...step({ title: id, station: 'front', minutes: minutes(1, 2, 4) }) })),
        })),
      }).precedence;
    expect(saying(/^Nothing is lowered|^Small steps/, by('in', 'down'))).toEqual([
      'hold:pre-lower > lower:in: Nothing is lowered before the pre-lower hold point is signed.',
      'lower:in > lower:down: Small steps, and a look all round after each.',
    ]);
    expect(saying(/^It hangs|^It came off/, by('in', 'down'))[1]).toMatch(/^lower:down > fit:tank/);
    expect(saying(/^It came off/, by())[1]).toMatch(/^hold:pre-lower > fit:tank/);
  });

  it('has in before it goes down what is out of reach afterwards, and what that is fastened to', () => {
    const { precedence: edges } = backOf({
      connections: withJoint('tank-strap', {
        refit: { minutes: minutes(1, 2, 4), beforeLowering: 'Nobody gets there later.' },
      }),
    });
    expect(saying(/^Nobody gets there/, edges)).toEqual([
      'close:tank-strap > hold:pre-lower: Nobody gets there later.',
    ]);
    expect(saying(/^It came off/, edges)).toEqual([
      'lower:down > fit:radiator: It came off to make room. It stands in the way.',
    ]);
  });

  it('parts and joins what the route parts as it does what ties the powerpack', () => {
    const { precedence: edges } = backOf({
      routes: tractorMap.routes.map((route) => ({ ...route, opensToo: [{ connection: 'pump-bolts', why: 'So.' }] })),
    });
    expect(saying(/^The powerpack has to be down/, edges)).toContain(
      'lower:down > close:pump-bolts: The powerpack has to be down in the bay.',
    );
  });

  it('lets the hoist down once the mounts are torqued, and before all that can wait for it', () => {
    expect(saying(/^On the hoist stays/)).toEqual([
      'torque:mount-left > release:hoisted: On the hoist stays in force until nothing is left to do at the left mount.',
      'torque:mount-right > release:hoisted: On the hoist stays in force until nothing is left to do at the right mount.',
    ]);
    expect(
      precedence
        .filter(({ before }) => before === 'release:hoisted')
        .flatMap(({ after, reason }) =>
          reason.words.startsWith('The powerpack sits on its own mounts') ? [after] : [],
        ),
    ).toEqual([
      'fit:radiator',
      'fit:tank',
      'fit:cover',
      'close:negative',
      'close:cover-bolts',
      'close:sensor',
      'close:hose',
      'close:radiator-bolts',
      'close:filler',
      'close:tank-strap',
      'fill:coolant',
    ]);
  });

  it('has off the hoist whatever is done on the wheels, tied to the powerpack or not', () => {
    const { precedence: edges } = backOf({ connections: withJoint('loom-clips', { height: 'ground' }) });
    expect(saying(/^The powerpack sits/, edges)).toContain(
      'release:hoisted > close:loom-clips: The powerpack sits on its own mounts before anything else is connected.',
    );
  });

  it('has on the hoist what has nothing to do with the powerpack, and is covered by nothing that has', () => {
    const lamp = connection({
      id: 'lamp-screws',
      name: 'the seat lamp',
      kind: 'bolted',
      between: ['seat', 'body'],
      system: 'electrics',
      station: 'rear',
      minutes: minutes(1, 2, 4),
    });
    const over = withJoint('loom-clips', { access: [{ open: 'lamp-screws', why: 'It lies on the loom.' }] });
    const { precedence: edges } = backOf({ connections: [...over, lamp] });
    expect(saying(/^Later.* It lies on the loom/, edges)).toHaveLength(1);
    expect(saying(/^The powerpack sits/, edges).join(' ')).not.toMatch(/lamp-screws|loom-clips/);
  });

  it('has on last only what makes the machine safe', () => {
    const plugged = {
      id: 'plugged',
      name: 'Hose plugged',
      established: { by: 'connection', connection: 'hose' },
    } as const;
    const { precedence: edges } = backOf({
      conditions: [...tractorMap.conditions, plugged],
      connections: withJoint('filler', { needs: ['fuel-down', 'plugged'] }),
    });
    expect(saying(/^Hose plugged/, edges)).toEqual([]);
  });

  it('tells of a start by fingers, and of what is made for a joint, what they take', () => {
    const { operations: steps } = backOf(
      {},
      { adaptations: [{ id: 'gauge', title: 'Fit a gauge', minutes: minutes(5, 10, 20), dueBy: 'start' }] },
    );
    expect(steps.find(({ id }) => id === 'start:mount-left')).toMatchObject({
      tools: [],
      minutes: { low: 2, likely: 5, high: 15 },
    });
    expect(steps.find(({ id }) => id === 'torque:mount-left')?.tools).toEqual(['torque wrench']);
    const gauge = steps.find(({ id }) => id === 'adapt:gauge');
    expect(gauge).toMatchObject({ tools: [], cautions: [], minutes: minutes(5, 10, 20), hands: 1 });
    expect(gauge).not.toHaveProperty('tip');
  });

  it('keeps a cab up for as long as anybody fits or fills under it, or is at what needs it', () => {
    const released = step({ title: 'Let the cab down', station: 'front', minutes: minutes(1, 2, 4) });
    const cab = {
      id: 'cab-up',
      name: 'Cab up',
      established: { by: 'step', step: released, access: [] },
      released,
      givesReach: ['bay-top'],
    } as const;
    const { precedence: edges } = backOf({
      conditions: [...tractorMap.conditions, cab],
      connections: withJoint('filler', {
        refit: { minutes: minutes(1, 2, 4), supportedBy: ['cab-up'] },
      }),
    });
    expect(saying(/^Cab up stays/, edges)).toEqual([
      'close:negative > release:cab-up: Cab up stays in force until nothing is left to do at the battery lead.',
      'close:cover-bolts > release:cab-up: Cab up stays in force until nothing is left to do at the cover.',
      'close:sensor > release:cab-up: Cab up stays in force until nothing is left to do at the sensor plug.',
      'close:filler > release:cab-up: Cab up stays in force until nothing is left to do at the filler hose.',
      'close:loom-clips > release:cab-up: Cab up stays in force until nothing is left to do at the loom clips.',
      'fit:cover > release:cab-up: Cab up stays in force until nobody works there any more.',
      'fill:coolant > release:cab-up: Cab up stays in force until nobody works there any more.',
    ]);
    // The lead is under the cab: it comes down with the battery on.
    expect(findLoop(['release:cab-up'], precedenceGraph(edges))).toBeUndefined();
  });

  it('has the battery lead on last, each wait for it said once', () => {
    const straight = befores('close:negative', /until all other work is done: it goes back last\.$/);
    const otherwise = befores('close:negative', /was done before it|sits on its own mounts/);
    expect([...straight, ...otherwise].sort()).toEqual(REFIT.filter((id) => id !== 'close:negative').sort());
  });

  it('cranks after all of it, signed, and looks at one thing after the other', () => {
    expect(befores('hold:pre-start', /^The refit has to be finished before anybody cranks/)).toEqual(REFIT);
    expect(precedence.slice(-3).map(told)).toEqual([
      'hold:pre-start > check:prime: Signed before the first crank.',
      'check:prime > check:warm: One look after the other.',
      'check:warm > check:run: One look after the other.',
    ]);
  });

  it('leaves loose what stays loose until all of its group are in', () => {
    const loose = { minutes: minutes(1, 2, 4), torque: { targetNm: 20, looseUntilAllIn: 'pipe' } };
    const { precedence: edges } = backOf({
      connections: tractorMap.connections.map((one) =>
        one.id === 'radiator-bolts' || one.id === 'filler' || one.id === 'pump-bolts' ? { ...one, refit: loose } : one,
      ),
    });
    expect(saying(/^It stays loose/, edges)).toEqual([
      'close:filler > torque:radiator-bolts: It stays loose to leave room for the filler hose.',
      'close:radiator-bolts > torque:filler: It stays loose to leave room for the radiator brackets.',
    ]);
  });

  it('parts nothing that is no step of it', () => {
    const every = [
      backOf(),
      backOf({}, { leftOff: ['tank-strap', 'filler'] }),
      backOf({}, { adaptations: [{ id: 'gauge', title: 'Fit a gauge', minutes: minutes(1, 2, 4), dueBy: 'start' }] }),
      backOf({
        circuits: [],
        connections: withJoint('hose', { circuit: 'none' }).map(({ circuit: _circuit, ...one }) => one),
      }),
    ];
    for (const back of every) {
      const ids = new Set([...back.operations.map(({ id }) => id)]);
      expect(back.precedence.filter(({ before, after }) => !ids.has(before) || !ids.has(after))).toEqual([]);
    }
  });

  it('closes nothing that is left off on purpose', () => {
    const left = backOf({}, { leftOff: ['filler'] });
    expect(left.operations.map(({ id }) => id)).toEqual(
      operations.map(({ id }) => id).filter((id) => id !== 'close:filler'),
    );
    expect(left.precedence.filter(({ before, after }) => [before, after].includes('close:filler'))).toEqual([]);
  });

  it('covers what may leak once that is looked at, and before the machine is driven', () => {
    const leaks = {
      id: 'leaks',
      when: 'after-start',
      ...step({ title: 'Look', station: 'front', minutes: minutes(1, 2, 4) }),
    } as const;
    const parts = tractorMap.parts.map((part) => (part.id === 'cover' ? { ...part, afterLeakCheck: true } : part));
    const [prime, warm, run] = tractorMap.checks;
    if (!prime || !warm || !run) throw new Error('The small map has three looks.');
    const late = backOf({ parts, checks: [prime, warm, leaks, run] });
    expect(saying(/^It hides|^Back on/, late.precedence)).toEqual([
      'check:leaks > fit:cover: It hides what may leak: looked for first.',
      'fit:cover > check:run: Back on before the machine is driven.',
      'check:leaks > close:cover-bolts: It hides what may leak: looked for first.',
      'close:cover-bolts > check:run: Back on before the machine is driven.',
    ]);
    expect(
      late.operations.filter(({ id }) => id.includes('cover')).map((one) => [one.phase, one.needsRunning]),
    ).toEqual([
      ['handover', true],
      ['handover', true],
    ]);
    expect(late.precedence.filter(({ before, after }) => before === 'fit:cover' && after === 'hold:pre-start')).toEqual(
      [],
    );
    // Nothing follows the look: nothing waits.
    const last = backOf({ parts, checks: [prime, warm, leaks] });
    expect(saying(/^Back on/, last.precedence)).toEqual([]);
    // Nobody looks, or the rules are those of before: it goes back with the rest.
    expect(saying(/^It hides/, backOf({ parts }).precedence)).toEqual([]);
    expect(saying(/^It hides/, backOf({ parts, checks: [prime, warm, leaks, run] }, { rules: 2 }).precedence)).toEqual(
      [],
    );
  });

  it('turns round only what cannot be reached otherwise in work planned before anybody minded the rest', () => {
    const needs = (orderOnly: boolean) =>
      backOf(
        {
          connections: withJoint('filler', {
            access: [{ open: 'loom-clips', why: 'Out of the way.', because: 'load path', orderOnly }],
          }),
        },
        { rules: 2 },
      ).precedence;
    expect(saying(/Out of the way/, needs(false))).toEqual([]);
    const now = backOf({
      connections: withJoint('filler', {
        access: [{ open: 'loom-clips', why: 'Out of the way.', because: 'load path' }],
      }),
    });
    expect(saying(/Out of the way/, now.precedence)).toEqual([
      'close:filler > close:loom-clips: Later it cannot be reached. On the way out: Out of the way.',
    ]);
  });
});
