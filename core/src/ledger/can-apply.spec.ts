import { workOn, write } from '../testing/crew.js';
import {
  record,
  refused,
  then,
  until,
  done,
  start,
  stripped,
  out,
  refitted,
  running,
  withConnectionsLow,
} from '../testing/small-job.js';
import { smallPlan, withConnection } from '../testing/small-map.js';
import {
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
} from './index.js';
import { OPEN_ITEM_SORTS } from './open-item.js';

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
    const raised = then(safe, { kind: 'height-set', height: 'raised' });
    expect(refused(raised, done('drain:coolant'))).toBe('');
    const low = startOf(withConnectionsLow(smallPlan));
    const up = then(workOn(low, record, (state) => gateOf(state, 'made-safe').signed !== undefined).state, {
      kind: 'height-set',
      height: 'raised',
    });
    expect(refused(up, done('drain:coolant'))).toMatch(/machine is raised. Let it down/);
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

  it('is refused of what is finished, and of what is no step', () => {
    const skip = { kind: 'operation-skipped', mode: 'later', reason: 'Hot' } as const;
    expect(refused(safe, { ...skip, operation: 'make:fuel-down' })).toMatch(/make:fuel-down/);
    const off = then(safe, { kind: 'operation-done', operation: 'open:cover-bolts' });
    expect(refused(off, { ...skip, operation: 'open:cover-bolts' })).toBe('“Unbolt the cover” is finished already.');
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
      expect.objectContaining({
        grave: true,
        words: 'Left attached on purpose: the sensor plug. Lead is long enough to go along (Ines)',
      }),
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
    expect(openItems(off).map(({ words }) => words)).toContainEqual(
      expect.stringMatching(/^Left off on purpose: the sensor plug/),
    );
    expect(refused(out, { ...left, connection: 'hose' })).toMatch(/fluid runs out/);
    expect(refused(stripped, left)).toMatch(/It is open. Whether it stays off is decided on the way back/);
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

  it('goes by what stands: neither what was taken back before nor the taking back itself is in the way', () => {
    const [first, second, back] = [
      record(done('open:negative')),
      record(done('open:negative')),
      record({ kind: 'noted', text: 'Lead is off' }),
    ];
    const undone = write(write(start, first), record({ kind: 'corrected', corrects: first.id, reason: 'Not yet' }));
    const again = write(write(undone, second), back);
    expect(refused(again, { kind: 'corrected', corrects: second.id, reason: 'Not yet' })).toBe('');
    expect(refused(again, { kind: 'corrected', corrects: back.id, reason: 'Said twice' })).toBe('');
    const covered = then(again, { kind: 'hold-point-signed', holdPoint: 'made-safe', confirmed: ['chocked'] });
    expect(refused(covered, { kind: 'corrected', corrects: second.id, reason: 'Not yet' })).toMatch(
      /Later work stands on it: 1 step is missing; first: Unbolt the battery lead/,
    );
  });
});

describe('what is open', () => {
  it('is told gravest first, and of one gravity by its sort', () => {
    const state = then(
      running,
      { kind: 'part-needed', need: 'p1', name: 'Seal', quantity: 1, reason: 'Weeps' },
      { kind: 'issue-opened', issue: 'i1', title: 'Old lamp', sort: 'stored' },
      { kind: 'issue-opened', issue: 'i2', title: 'Knocks', sort: 'real' },
    );
    const items = openItems(state);
    const grave = items.map((item) => item.grave);
    expect(grave).toEqual([...grave].sort((one, other) => Number(other) - Number(one)));
    expect(new Set(grave).size).toBe(2);
    for (const gravity of [true, false]) {
      const sorts = items.filter((item) => item.grave === gravity).map(({ is }) => OPEN_ITEM_SORTS.indexOf(is));
      expect(sorts).toEqual([...sorts].sort((one, other) => one - other));
      expect(new Set(sorts).size).toBeGreaterThan(1);
    }
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

describe('what is found still on at the lift', () => {
  it('is opened once more and signed for again, and the way back asks for it once', () => {
    const signed = until((state) => gateOf(state, 'pre-lift').signed !== undefined);
    const still: EntryBody = { kind: 'found-still-on', connection: 'sensor' };
    expect(refused(start, still)).toMatch(/still on; its step is there/);
    const found = then(signed, still);
    expect(holding(found).map(({ connection }) => connection.id)).toContain('sensor');
    expect(gateOf(found, 'pre-lift').signed).toBeUndefined();
    expect(nextUp(found)?.operation.id).toBe('open:sensor');
    const again = workOn(found, record, (state) => state.progress.has('hold:pre-lift')).state;
    expect(holding(again).filter(({ connection }) => !connection.carriesLoad)).toEqual([]);
    expect([...again.work.operations.keys()].filter((id) => id === 'close:sensor')).toHaveLength(1);
  });
});

describe('taking back, once the map has more than when work was done', () => {
  it('looks at what stands on an entry, not at what the map would ask today', () => {
    const off = until((state) => state.progress.has('remove:cover'));
    const more = then(off, {
      kind: 'connection-found',
      connection: {
        id: 'hidden-strap',
        name: 'hidden strap',
        kind: 'ground',
        between: ['cover', 'engine'],
        station: 'bay-top',
        height: 'either',
      },
      alreadyOpen: false,
    });
    const noted = then(more, { kind: 'noted', text: 'It hung on a strap' });
    const takenBack = (entry: string) => refused(noted, { kind: 'corrected', corrects: entry, reason: 'Not so' });
    expect(takenBack(noted.entries.at(-1)?.id ?? '')).toBe('');
    // What does stand on it still does.
    const negative = noted.entries.find((entry) => entry.kind === 'operation-done')?.id ?? '';
    expect(takenBack(negative)).toMatch(/Later work stands on it/);
  });
});
