import { entriesForNext } from '../testing/crew.js';
import { refused, then, until, done, start, stripped, out, refitted } from '../testing/small-job.js';
import {
  carrying,
  conditionsInForce,
  gateOf,
  holding,
  nextUp,
  stillOpen,
  type EntryBody,
  type JobState,
} from './index.js';

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

  it('cranked for oil it need not be signed; but its weight is off the gear, and it does not fire', () => {
    const forOil = {
      kind: 'start-attempted',
      voltsBefore: 12,
      voltsLowest: 10,
      crankSeconds: 5,
      purpose: 'oil',
    } as const;
    expect(refused(refitted, { ...forOil, result: 'runs' })).toMatch(/an attempt to start/);
    expect(refused(then(refitted, { ...forOil, result: 'cranks' }), { ...forOil, result: 'cranks' })).toBe('');
    const hanging = until((state) => carrying(state).length > 0);
    expect(refused(hanging, { ...forOil, result: 'cranks' })).toMatch(/on the lifting gear/);
    // To start it is the hold point’s to say, as ledgers from before have it.
    const { purpose: _oil, ...toStart } = forOil;
    expect(refused(hanging, { ...toStart, result: 'cranks' })).toMatch(/signed before anybody cranks/);
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
    expect(more.progress.has('open:strap')).toBe(false);
    expect(holding(more).map(({ connection }) => connection.id)).toEqual(['strap']);
  });

  it('has pre-start signed again, and leaves pre-lift as it was once it is out', () => {
    const ready = until((state) => gateOf(state, 'pre-start').signed !== undefined);
    const more = then(ready, found('strap', true));
    expect(gateOf(more, 'pre-start').signed).toBeUndefined();
    expect(more.progress.get('open:strap')?.is).toBe('done');
    expect(gateOf(more, 'pre-start').blockers.map(({ operation }) => operation)).toContain('close:strap');
    expect(gateOf(more, 'pre-lift').signed).toBeDefined();
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
