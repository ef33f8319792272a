import { workOn } from '../testing/crew.js';
import { record, refused, then, until, done, start, out, refitted, running } from '../testing/small-job.js';
import { gateOf, nextUp, openItems, stopOf, type EntryBody, type JobState } from './index.js';

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
    expect(refused(refitted, { ...read(60), connection: 'ghost' } as EntryBody)).toMatch(
      /no connection called “ghost”/,
    );
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
