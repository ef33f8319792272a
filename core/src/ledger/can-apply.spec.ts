import type { JobPlan } from '../connection-map/index.js';
import { smallPlan, withConnection } from '../testing/small-map.js';
import { entriesForNext, recorder, workOn, write } from '../testing/crew.js';
import {
  canApply,
  conditionsInForce,
  extend,
  foldLedger,
  gateOf,
  holding,
  nextUp,
  openItems,
  possibleNow,
  replay,
  startOf,
  stillOpen,
  stopOf,
  unsettled,
  type EntryBody,
  type JobState,
} from './index.js';

const record = recorder();
const refused = (state: JobState, body: EntryBody) =>
  canApply(state, record(body))
    .map(({ words }) => words)
    .join(' ');
const then = (state: JobState, ...bodies: readonly EntryBody[]) =>
  bodies.reduce((now, body) => write(now, record(body)), state);
const until = (stop: (state: JobState) => boolean) => workOn(startOf(smallPlan), record, stop).state;
const done = (operation: string): EntryBody => ({ kind: 'operation-done', operation });
const start = startOf(smallPlan);

/** The machine stripped and everything open, ready for the pre-lift hold point. */
const stripped = until((state) => stopOf(state) === 'lift');
/** The powerpack out and set down. */
const out = until((state) => stopOf(state) === 'bench');
/** Back in and ready for its pre-start hold point. */
const refitted = until((state) => stopOf(state) === 'first-start');
const running = until((state) => state.attempts.length > 0);

/** The same plan with nothing but the right mount needing the machine up. */
function withConnectionsLow(plan: JobPlan): JobPlan {
  return {
    ...plan,
    map: {
      ...plan.map,
      connections: plan.map.connections.map((one) => (one.id === 'hose' ? { ...one, height: 'ground' } : one)),
      circuits: plan.map.circuits.map((circuit) => ({ ...circuit, drain: { ...circuit.drain, height: 'ground' } })),
    },
  };
}

describe('doing a step', () => {
  it('waits for what comes before it, and says what and why', () => {
    expect(refused(start, done('open:sensor'))).toMatch(
      /First: Lift the cover away. The cover lies over it.*First: Sign: Made safe/s,
    );
  });

  it('does not happen twice', () => {
    expect(refused(then(start, done('open:negative')), done('open:negative'))).toMatch(/finished already/);
  });

  it('waits for the machine to stand at its height', () => {
    const safe = until((state) => gateOf(state, 'made-safe').signed !== undefined);
    expect(refused(safe, done('drain:coolant'))).toMatch(/stands on the ground. Raise it/);
    expect(refused(then(safe, { kind: 'height-set', height: 'raised' }), done('drain:coolant'))).toBe('');
  });

  it('is reached as the machine stands while the hoist carries, since it is not moved then', () => {
    const plan = withConnection('mount-right', {
      height: 'raised',
      access: [{ open: 'mount-left', why: 'Behind it.' }],
    });
    const low = withConnectionsLow(plan);
    const hoisted = workOn(startOf(low), record, (state) => nextUp(state)?.operation.id === 'open:mount-right').state;
    expect(hoisted.height).toBe('ground');
    expect(nextUp(hoisted)?.moveTo).toBeUndefined();
    expect(refused(hoisted, done('open:mount-right'))).toBe('');
  });

  it('is refused for a step nobody knows', () =>
    expect(refused(start, done('open:ghost'))).toMatch(/no step called “open:ghost”/));

  it('is not how a hold point is passed', () =>
    expect(refused(start, done('hold:made-safe'))).toMatch(/signed, not ticked/));
});

describe('passing a step over', () => {
  const safe = until((state) => gateOf(state, 'made-safe').signed !== undefined);

  it('for later puts it behind what else can be done', () => {
    const first = nextUp(safe)?.operation.id ?? '';
    const put = then(safe, {
      kind: 'operation-skipped',
      operation: first,
      mode: 'later',
      reason: 'Socket is lent out',
    });
    expect(nextUp(put)?.operation.id).not.toBe(first);
    expect(possibleNow(put).map(({ id }) => id)).toContain(first);
  });

  it('as not on this machine satisfies what waited for it', () => {
    const gone = then(safe, {
      kind: 'operation-skipped',
      operation: 'open:cover-bolts',
      mode: 'not-here',
      reason: 'Cover lost',
    });
    expect(refused(gone, done('remove:cover'))).toBe('');
    expect(holding(gone).map(({ connection }) => connection.id)).not.toContain('cover-bolts');
  });

  it('does not let a drain be passed over as nothing to drain, or nobody fills it again', () => {
    expect(
      refused(safe, { kind: 'operation-skipped', operation: 'drain:coolant', mode: 'not-here', reason: 'Empty' }),
    ).toMatch(/Record nought litres/);
    expect(refused(safe, { kind: 'operation-skipped', operation: 'drain:coolant', mode: 'later', reason: 'Hot' })).toBe(
      '',
    );
  });

  it('is refused on the way back as not being there: what was off goes back on', () => {
    expect(
      refused(out, { kind: 'operation-skipped', operation: 'close:sensor', mode: 'not-here', reason: 'Gone' }),
    ).toMatch(/has to go back/);
  });

  it('of a part that is not there needs nothing set back', () => {
    const gone = then(safe, {
      kind: 'operation-skipped',
      operation: 'remove:cover',
      mode: 'not-here',
      reason: 'Cover lost',
    });
    const left = unsettled(gone).map(({ id }) => id);
    expect(left).not.toContain('fit:cover');
    expect(left).toContain('fit:radiator');
  });

  it('is refused where safety hangs on it', () => {
    for (const operation of ['open:negative', 'make:hoisted', 'hold:pre-lift', 'lift:inch'])
      expect(refused(start, { kind: 'operation-skipped', operation, mode: 'later', reason: 'In a hurry' })).toMatch(
        /cannot be passed over/,
      );
    expect(
      refused(safe, { kind: 'operation-skipped', operation: 'open:mount-left', mode: 'not-here', reason: 'Gone' }),
    ).toMatch(/carries the weight/);
  });
});

describe('what still holds it', () => {
  it('is the cut between powerpack and machine, live', () => {
    const held = (state: JobState) =>
      holding(state)
        .map(({ connection }) => connection.id)
        .sort();
    expect(held(start)).toEqual(['hose', 'mount-left', 'mount-right', 'sensor']);
    expect(held(stripped)).toEqual([]);
  });

  it('tells what is fast to the body from what only drags a loose part along', () => {
    const loose = until((state) => state.progress.has('open:radiator-bolts'));
    const hose = holding(loose).find(({ connection }) => connection.id === 'hose');
    expect(hose?.toBody).toBe(false);
    expect(holding(start).find(({ connection }) => connection.id === 'hose')?.toBody).toBe(true);
  });

  it('counts one the map did not have, and keeps the lift from going on', () => {
    const lifting = then(stripped, ...entriesForNext(stripped), done('lift:inch'));
    const surprised = then(lifting, {
      kind: 'connection-found',
      alreadyOpen: false,
      connection: {
        id: 'found-1',
        name: 'a ground strap',
        kind: 'ground',
        between: ['engine', 'body'],
        station: 'bay-top',
        height: 'either',
      },
    });
    expect(holding(surprised).map(({ connection }) => connection.name)).toEqual(['a ground strap']);
    expect(refused(surprised, done('lift:clear'))).toMatch(/1 still hold it: a ground strap/);
    expect(nextUp(surprised)?.operation.id).toBe('open:found-1');
    const freed = then(surprised, done('open:found-1'));
    expect(nextUp(freed)?.operation.id).toBe('hold:pre-lift');
    expect(stillOpen(freed).map(({ id }) => id)).toContain('found-1');
  });

  it('refuses a found one that ties nothing of concern, or ties a part to itself', () => {
    const found = (between: readonly [string, string]): EntryBody => ({
      kind: 'connection-found',
      alreadyOpen: false,
      connection: { id: 'found-2', name: 'a clip', kind: 'clip', between, station: 'bay-top', height: 'either' },
    });
    expect(refused(start, found(['battery', 'body']))).toMatch(/neither the powerpack nor anything in its way/);
    expect(refused(start, found(['engine', 'engine']))).toMatch(/same part/);
    expect(refused(start, found(['engine', 'ghost']))).toMatch(/no part called “ghost”/);
    expect(refused(out, found(['engine', 'body']))).toMatch(/Record it as open/);
  });
});

describe('leaving something on purpose', () => {
  const left: EntryBody = { kind: 'left-on-purpose', connection: 'sensor', reason: 'Lead is long enough to go along' };
  const sign: EntryBody = { kind: 'hold-point-signed', holdPoint: 'pre-lift', confirmed: ['rated'] };

  it('lets the lift be signed and stays in red to the end', () => {
    const almost = workOn(
      then(
        startOf(smallPlan),
        done('open:negative'),
        { kind: 'hold-point-signed', holdPoint: 'made-safe', confirmed: ['chocked'] },
        left,
      ),
      record,
      (state) => stopOf(state) === 'lift',
    ).state;
    expect(refused(almost, sign)).toBe('');
    const items = openItems(almost).filter(({ is }) => is === 'left-on-purpose');
    expect(items).toEqual([
      expect.objectContaining({ grave: true, words: expect.stringContaining('Lead is long enough') }),
    ]);
  });

  it('is refused for what carries weight and for what does not hold it', () => {
    expect(refused(start, { ...left, connection: 'mount-left' })).toMatch(/carries the weight/);
    expect(refused(start, { ...left, connection: 'pump-bolts' })).toMatch(/does not hold the powerpack/);
    expect(refused(then(start, left), left)).toMatch(/already/);
  });

  it('on the way back means it stays off, but never a joint of a circuit', () => {
    const off = then(out, left);
    expect(stillOpen(off).map(({ id }) => id)).not.toContain('sensor');
    expect(refused(out, { ...left, connection: 'hose' })).toMatch(/fluid runs out/);
  });
});

describe('hold points', () => {
  it('pre-lift cannot be signed while anything holds, and names it', () => {
    const held = until((state) => conditionsInForce(state).some(({ id }) => id === 'hoisted'));
    expect(refused(held, { kind: 'hold-point-signed', holdPoint: 'pre-lift', confirmed: ['rated'] })).toMatch(
      /2 still hold it: the left mount, the right mount/,
    );
  });

  it('ask for every confirmation by itself', () => {
    expect(refused(stripped, { kind: 'hold-point-signed', holdPoint: 'pre-lift', confirmed: [] })).toMatch(
      /Not confirmed: Hoist rated/,
    );
  });

  it('pre-start is computed: what is open, untorqued or unfilled', () => {
    expect(new Set(gateOf(out, 'pre-start').blockers.map(({ is }) => is))).toEqual(
      new Set(['open', 'torque', 'unfilled', 'step']),
    );
    expect(gateOf(refitted, 'pre-start').blockers).toEqual([]);
    expect(
      refused(refitted, { kind: 'start-attempted', voltsBefore: 12, voltsLowest: 10, crankSeconds: 5, result: 'runs' }),
    ).toMatch(/signed before anybody cranks/);
  });
});

describe('a connection found after a hold point was signed', () => {
  const found = (id: string, alreadyOpen: boolean): EntryBody => ({
    kind: 'connection-found',
    alreadyOpen,
    connection: {
      id,
      name: 'a strap',
      kind: 'ground',
      between: ['engine', 'body'],
      station: 'front',
      height: 'either',
    },
  });
  const sign = (holdPoint: 'pre-lift' | 'pre-start', confirmed: string): EntryBody => ({
    kind: 'hold-point-signed',
    holdPoint,
    confirmed: [confirmed],
  });

  it('has pre-lift signed again while it is not out yet', () => {
    const signed = then(stripped, sign('pre-lift', 'rated'));
    expect(gateOf(signed, 'pre-lift').signed).toBeDefined();
    const more = then(signed, found('strap', false));
    expect(gateOf(more, 'pre-lift').signed).toBeUndefined();
    expect(holding(more).map(({ connection }) => connection.id)).toEqual(['strap']);
  });

  it('has pre-start signed again, and leaves pre-lift as it was once it is out', () => {
    const ready = until((state) => gateOf(state, 'pre-start').signed !== undefined);
    const more = then(ready, found('strap', true));
    expect(gateOf(more, 'pre-start').signed).toBeUndefined();
    expect(gateOf(more, 'pre-start').blockers.map(({ operation }) => operation)).toContain('close:strap');
    expect(gateOf(more, 'pre-lift').signed).toBeDefined();
  });
});

describe('an attempt to start', () => {
  it('keeps what whoever cranked saw and heard', () => {
    const attempt = {
      kind: 'start-attempted',
      voltsBefore: 12.6,
      voltsLowest: 10,
      crankSeconds: 5,
      result: 'cranks',
    } as const;
    const ready = until((state) => gateOf(state, 'pre-start').signed !== undefined && nextUp(state) === undefined);
    const tried = then(ready, { ...attempt, note: 'White smoke, smells of fuel' }, attempt);
    expect(tried.attempts.map(({ note }) => note)).toEqual(['White smoke, smells of fuel', undefined]);
  });
});

describe('conditions in force', () => {
  const names = (state: JobState) => conditionsInForce(state).map(({ id }) => id);
  it('follow the work: isolated, on the hoist, set down, on the hoist again, let down, battery back', () => {
    expect(names(then(start, done('open:negative')))).toEqual(['isolated']);
    expect(names(stripped)).toEqual(['isolated', 'hoisted']);
    expect(names(out)).toEqual(['isolated']);
    expect(names(until((state) => state.progress.has('lower:down')))).toEqual(['isolated', 'hoisted']);
    expect(names(refitted)).toEqual([]);
  });

  it('keep the machine from being moved while the hoist carries', () => {
    expect(
      refused(stripped, { kind: 'height-set', height: stripped.height === 'raised' ? 'ground' : 'raised' }),
    ).toMatch(/On the hoist: the machine is not moved/);
  });
});

describe('torque', () => {
  const read = (value: number): EntryBody => ({
    kind: 'torque-read',
    connection: 'mount-left',
    wrench: 'half',
    read: { value, unit: 'N·m' },
  });
  const wrench110 = (value: number): EntryBody => ({
    ...(read(value) as Extract<EntryBody, { kind: 'torque-read' }>),
    wrench: 'three-eighths',
  });
  const seated = until((state) => nextUp(state)?.operation.id === 'torque:mount-left');

  it('keeps a reading that missed and asks for another or a reason', () => {
    const missed = then(seated, wrench110(50));
    expect(missed.torques.get('mount-left')?.[0]?.verdict).toBe('under');
    expect(refused(missed, done('torque:mount-left'))).toMatch(/missed its target/);
    const again = then(missed, wrench110(60), done('torque:mount-left'));
    expect(again.torques.get('mount-left')).toHaveLength(2);
    expect(openItems(again).some(({ is }) => is === 'torque')).toBe(false);
  });

  it('may be accepted with a reason, and shows at handover', () => {
    const accepted = then(
      seated,
      wrench110(50),
      { kind: 'torque-accepted', connection: 'mount-left', reason: 'No room' },
      done('torque:mount-left'),
    );
    expect(openItems(accepted).find(({ is }) => is === 'torque')).toMatchObject({
      grave: false,
      words: expect.stringContaining('No room'),
    });
  });

  it('flags a wrench that cannot be trusted so low', () => {
    expect(then(seated, read(60)).torques.get('mount-left')?.[0]?.verdict).toBe('tool-out-of-range');
  });

  it('is judged by what is printed on the wrench that was used, whatever the shop has now', () => {
    const own = (lowestNm: number, highestNm: number): EntryBody => ({
      ...(read(60) as Extract<EntryBody, { kind: 'torque-read' }>),
      wrench: 'long-one',
      range: { lowestNm, highestNm },
    });
    expect(then(seated, own(20, 200)).torques.get('mount-left')?.[0]?.verdict).toBe('within');
    expect(then(seated, own(80, 400)).torques.get('mount-left')?.[0]?.verdict).toBe('tool-out-of-range');
    expect(refused(seated, own(200, 20))).toMatch(/does not exist/);
  });

  it('has nothing to read before the joint is closed, nor where there is no figure', () => {
    expect(refused(out, read(60))).toMatch(/Close the left mount before/);
    expect(refused(refitted, { ...read(60), connection: 'hose' } as EntryBody)).toMatch(/no torque figure/);
    expect(refused(seated, { ...read(60), wrench: 'teeth' } as EntryBody)).toMatch(/no wrench called/);
  });
});

describe('fasteners, tags and fluids', () => {
  const count = (direction: 'out' | 'in', n: number, bag?: number): EntryBody => ({
    kind: 'fasteners-counted',
    connection: 'hose',
    direction,
    count: n,
    ...(bag === undefined ? {} : { bag }),
  });

  it('a count in needs a count out, and a difference is an open item', () => {
    expect(refused(start, count('in', 2))).toMatch(/Nothing was counted out/);
    const short = workOn(then(start, count('out', 3, 7)), record, (state) => stopOf(state) === 'first-start').state;
    expect(openItems(then(short, count('in', 2))).find(({ is }) => is === 'count')?.words).toBe(
      'The lower hose: 3 counted out, 2 counted in',
    );
    expect(openItems(then(short, count('in', 3))).some(({ is }) => is === 'count')).toBe(false);
  });

  it('a bag and a tag belong to one connection', () => {
    const used = then(start, count('out', 3, 7), { kind: 'tagged', connection: 'hose', tag: 4 });
    expect(refused(used, { ...count('out', 1, 7), connection: 'sensor' } as EntryBody)).toMatch(
      /Bag 7 holds the fasteners of the lower hose/,
    );
    expect(refused(used, { kind: 'tagged', connection: 'sensor', tag: 4 })).toMatch(/Tag 4 is on the lower hose/);
  });

  it('a joint may be counted again into the bag it has', () => {
    const used = then(start, count('out', 3, 7));
    expect(refused(used, count('out', 4, 7))).toBe('');
    expect(then(used, count('out', 4, 7)).bags.get('hose')?.out).toMatchObject({ count: 4, bag: 7 });
  });

  it('less in than out is an open item, and so is what nobody measured', () => {
    const measured = (direction: 'out' | 'in', litres: number): EntryBody => ({
      kind: 'fluid-measured',
      circuit: 'coolant',
      direction,
      litres,
    });
    const fluids = (state: JobState) => openItems(state).filter(({ is }) => is === 'fluid');
    const drained = workOn(then(start, measured('out', 4)), record, (state) => stopOf(state) === 'first-start').state;
    expect(fluids(drained)).toEqual([expect.objectContaining({ grave: false })]);
    expect(fluids(then(drained, measured('in', 2.5)))).toEqual([
      { is: 'fluid', grave: true, words: 'Coolant: 4 l ran out, only 2.5 l went in' },
    ]);
    expect(fluids(then(drained, measured('in', 3.9)))).toEqual([]);
  });

  it('more than a circuit can hold is refused', () => {
    expect(refused(start, { kind: 'fluid-measured', circuit: 'coolant', direction: 'out', litres: 60 })).toMatch(
      /more than the coolant holds/,
    );
    const litres = (amount: number): EntryBody => ({
      kind: 'fluid-measured',
      circuit: 'coolant',
      direction: 'out',
      litres: amount,
    });
    // Half as much again as it holds is still believed.
    expect(refused(start, litres(9))).toBe('');
    expect(refused(start, litres(9.1))).toMatch(/more than the coolant holds \(6 l\)/);
    expect(refused(start, { ...litres(1), circuit: 'beer' } as EntryBody)).toMatch(/no circuit called/);
  });
});

describe('correcting', () => {
  it('takes an entry back and keeps both', () => {
    const wrong = record(done('open:negative'));
    const state = write(
      write(start, wrong),
      record({ kind: 'corrected', corrects: wrong.id, reason: 'Wrong machine' }),
    );
    expect(state.position).toBe(2);
    expect(conditionsInForce(state)).toEqual([]);
    expect(refused(state, { kind: 'corrected', corrects: wrong.id, reason: 'Again' })).toMatch(/corrected already/);
  });

  it('is refused while later work stands on it', () => {
    const negative = stripped.entries.find(
      (entry) => entry.kind === 'operation-done' && entry.operation === 'open:negative',
    );
    expect(refused(stripped, { kind: 'corrected', corrects: negative?.id ?? '', reason: 'Oops' })).toMatch(
      /Later work stands on it/,
    );
  });
});

describe('handing over', () => {
  it('needs an engine that has run and eyes on every open item', () => {
    expect(refused(refitted, { kind: 'handed-over', openItems: 0 })).toMatch(/has not run yet/);
    const open = openItems(running).length;
    expect(refused(running, { kind: 'handed-over', openItems: open + 1 })).toMatch(/Read them again/);
    const over = then(running, { kind: 'handed-over', openItems: open });
    expect(refused(over, { kind: 'height-set', height: 'raised' })).toMatch(/handed over/);
    expect(refused(over, { kind: 'noted', text: 'Customer called' })).toBe('');
  });
});

describe('issues and parts', () => {
  it('are opened once, sorted, and closed once', () => {
    const open = then(running, { kind: 'issue-opened', issue: 'i1', title: 'Warning lamp', sort: 'real' });
    expect(refused(open, { kind: 'issue-opened', issue: 'i1', title: 'Again', sort: 'real' })).toMatch(/open already/);
    const sorted = then(open, { kind: 'issue-sorted', issue: 'i1', sort: 'stored' });
    expect(sorted.issues.get('i1')?.sort).toBe('stored');
    const closed = then(sorted, { kind: 'issue-closed', issue: 'i1', how: 'Cleared' });
    expect(refused(closed, { kind: 'issue-closed', issue: 'i1', how: 'Cleared' })).toMatch(/closed already/);
  });

  it('and notes, speak of steps and joints that are there', () => {
    const issue = { kind: 'issue-opened', issue: 'i-9', title: 'Lamp', sort: 'real' } as const;
    expect(refused(start, { ...issue, connection: 'ghost' })).toMatch(/no connection called “ghost”/);
    expect(refused(start, { ...issue, connection: 'hose' })).toBe('');
    expect(refused(start, { kind: 'noted', text: 'Chafed', operation: 'open:ghost' })).toMatch(/no step called/);
    expect(refused(start, { kind: 'noted', text: 'Chafed', operation: 'open:hose' })).toBe('');
    expect(
      refused(start, {
        kind: 'part-needed',
        need: 'n',
        name: 'Seal',
        quantity: 1,
        reason: 'Weeps',
        operation: 'open:ghost',
      }),
    ).toMatch(/no step called/);
  });

  it('parts wait on the list until they arrive', () => {
    const needed = then(start, { kind: 'part-needed', need: 'p1', name: 'Rear seal', quantity: 1, reason: 'It weeps' });
    expect(openItems(needed).some(({ words }) => words === 'Not arrived: 1 × Rear seal')).toBe(true);
    const arrived = then(needed, { kind: 'part-arrived', need: 'p1' });
    expect(openItems(arrived).some(({ is }) => is === 'part')).toBe(false);
    expect(refused(arrived, { kind: 'part-arrived', need: 'p1' })).toMatch(/arrived already/);
  });
});

describe('a ledger that somebody filled to choke us', () => {
  it('takes only so many found connections', () => {
    let state = start;
    const found = (index: number): EntryBody => ({
      kind: 'connection-found',
      alreadyOpen: false,
      connection: {
        id: `found-${index}`,
        name: `clip ${index}`,
        kind: 'clip',
        between: ['engine', 'body'],
        station: 'front',
        height: 'either',
      },
    });
    for (let index = 0; index < 100; index += 1) state = extend(state, [record(found(index))]);
    expect(refused(state, found(100))).toMatch(/100 were found on this job already/);
  });

  it('is followed once through, however long it is', () => {
    const long = Array.from({ length: 20_000 }, (_, index) => record({ kind: 'noted', text: `Note ${index}` }));
    const { state, refused: stopped } = replay(start, long);
    expect(stopped).toBeUndefined();
    expect(state.notes).toHaveLength(20_000);
    expect(start.notes).toHaveLength(0);
  });
});

it('follows a ledger without touching the state it began from', () => {
  const before = foldLedger(smallPlan, stripped.entries);
  replay(before, [record({ kind: 'noted', text: 'After' }), record({ kind: 'height-set', height: 'ground' })]);
  expect(before).toEqual(stripped);
});

it('folds the same from the start as step by step', () => {
  expect(foldLedger(smallPlan, running.entries)).toEqual(running);
});
