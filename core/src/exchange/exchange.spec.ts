import fc from 'fast-check';
import { problemsOf } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { smallMap } from '../testing/small-map.js';
import { COLUMNS, guessMapping, learned, missingColumns, readRows, rowsOf, TABLES, type Row } from './index.js';

const map = usualMap('transverse-cradle');
const own = (table: (typeof TABLES)[number]) => Object.fromEntries(COLUMNS[table].map(({ id }) => [id, id]));
const read = (table: (typeof TABLES)[number], ...rows: readonly Row[]) => readRows(smallMap, table, own(table), rows);
const good = { name: 'the bracket', kind: 'bolted', from: 'pump', to: 'body', station: 'bay-top' };

describe('a map as rows', () => {
  it.each(TABLES)('comes back from its %s without change', (table) => {
    const { bad, added, changed, map: back } = readRows(map, table, own(table), rowsOf(map, table));
    expect({ bad, added, changed }).toEqual({ bad: [], added: 0, changed: 0 });
    expect(back).toEqual(map);
  });

  it('comes back where two parts are told apart by a sign alone', () => {
    const [pump] = smallMap.parts.filter(({ id }) => id === 'pump');
    if (!pump) throw new Error('No pump');
    const parts = [...smallMap.parts, { ...pump, id: 'second', name: pump.name.replace(' ', '-') }];
    const alike = { ...smallMap, parts };
    expect(readRows(alike, 'connections', own('connections'), rowsOf(alike, 'connections')).bad).toEqual([]);
  });

  it('has only columns that can be read again', () => {
    for (const table of TABLES)
      for (const row of rowsOf(map, table)) expect(Object.keys(row)).toEqual(COLUMNS[table].map(({ id }) => id));
  });
});

describe('headings', () => {
  it('are told by what they say, whatever their case and signs', () => {
    expect(guessMapping('connections', ['Name', 'TYPE', 'From', 'to', 'Where', 'Torque (N·m)'])).toMatchObject({
      name: 'Name',
      kind: 'TYPE',
      from: 'From',
      to: 'to',
      station: 'Where',
      nm: 'Torque (N·m)',
    });
    const german = { name: 'Bezeichnung', kind: 'Art', from: 'from' };
    const known = learned('connections', german, [{ table: 'parts', heading: 'Art', column: 'zone' }]);
    expect(guessMapping('connections', ['Art', 'Bezeichnung', 'from'], known)).toEqual(german);
    // What the words tell by themselves is not remembered; what is said of a heading anew takes the place of what was said.
    expect(known.map(({ heading }) => heading)).toEqual(['Art', 'Bezeichnung', 'Art']);
    expect(learned('connections', { system: 'Art' }, known)).toContainEqual({
      table: 'connections',
      heading: 'Art',
      column: 'system',
    });
    expect(learned('connections', { system: 'Art' }, known)).toHaveLength(3);
    expect(missingColumns('connections', { name: 'Name' })).toEqual(['kind', 'from', 'to', 'station']);
    expect(missingColumns('fasteners', guessMapping('fasteners', ['Connection', 'Qty', 'Size']))).toEqual([]);
  });
});

describe('reading rows', () => {
  it('adds what is new, by names as people write them, and changes what is there', () => {
    const run = read(
      'connections',
      good,
      { ...good, name: 'the second', from: 'Water PUMP' },
      { id: 'hose', nm: '7,5', hands: '2' },
    );
    expect(run).toMatchObject({ added: 2, changed: 1, bad: [] });
    expect(run.map.connections.find(({ id }) => id === 'bracket')).toMatchObject({
      between: ['pump', 'body'],
      hands: 1,
    });
    expect(run.map.connections.find(({ id }) => id === 'hose')).toMatchObject({
      hands: 2,
      refit: { torque: { targetNm: 7.5 } },
    });
    expect(problemsOf(run.map)).toEqual([]);
  });

  it('takes the words of the screen for what they are', () => {
    const run = read('connections', {
      name: 'the strap',
      kind: 'Bolted joint',
      from: 'the water pump',
      to: 'body',
      system: 'Cooling',
      station: 'Left wheel arch',
      height: 'On its wheels',
    });
    expect(run.bad).toEqual([]);
    expect(run.map.connections.at(-1)).toMatchObject({
      kind: 'bolted',
      system: 'cooling',
      station: 'wheel-left',
      height: 'ground',
    });
  });

  it('knows what is on the map by its name, and takes a second line of that name for another', () => {
    const { name, zone } = smallMap.parts.find(({ id }) => id === 'pump') ?? { name: '', zone: 'cabin' };
    const run = read('parts', { name, zone, massKg: '14' }, { name, zone, massKg: '15' });
    expect(run).toMatchObject({ added: 1, changed: 1, bad: [] });
    expect(run.map.parts.filter((part) => part.name === name).map(({ massKg }) => massKg)).toEqual([14, 15]);
    const tied = readRows(run.map, 'connections', own('connections'), [{ ...good, from: name }]);
    expect(tied.bad[0]?.words).toMatch(/Several parts are called/);
  });

  it.each<[string, Row, string, RegExp]>([
    ['no name', { ...good, name: '' }, 'name', /empty/],
    ['an unknown part', { ...good, to: 'moon' }, 'to', /no part “moon”/],
    ['both ends at one part', { ...good, to: 'pump' }, 'to', /same part/],
    ['an unknown kind', { ...good, kind: 'glued' }, 'kind', /not one of: bolted joint, plug/],
    ['no station', { ...good, station: '' }, 'station', /empty; it has to be one of: over the bay/],
    ['minutes that are no figure', { ...good, likely: 'soon' }, 'minutes', /not a figure/],
    ['minutes upside down', { ...good, low: '9', likely: '3' }, 'minutes', /rise from low to high/],
    ['three hands', { ...good, hands: '3' }, 'hands', /from 1 to 2/],
    ['half a hand more', { ...good, hands: '1.5' }, 'hands', /1 or 2/],
    ['an id with blanks', { ...good, id: 'a b' }, 'id', /is no id/],
    ['too long a name', { ...good, name: 'x'.repeat(130) }, 'name', /130 signs long/],
  ])('tells the line, the column and the reason for %s', (_what, row, column, words) => {
    const { bad, added } = read('connections', good, row, { ...good, name: 'the last' });
    expect(bad).toEqual([{ line: 3, column, words: expect.stringMatching(words) as string }]);
    expect(added).toBe(2);
  });

  it('refuses the same id twice in one file', () => {
    expect(read('connections', { ...good, id: 'a' }, { ...good, id: 'a' }).bad[0]?.words).toMatch(/earlier line/);
    expect(
      read('parts', { id: 'a', name: 'a', zone: 'cabin' }, { id: 'a', name: 'b', zone: 'cabin' }).bad[0]?.words,
    ).toMatch(/earlier line/);
  });

  it('reads parts that ride on parts of earlier lines', () => {
    const run = read(
      'parts',
      { id: 'carrier', name: 'carrier', zone: 'bay-top', massKg: '2,5' },
      { name: 'Sensor', zone: 'bay-top', ridesWith: 'carrier' },
      { name: 'Lost', zone: 'bay-top', ridesWith: 'nowhere' },
    );
    expect(run.added).toBe(2);
    expect(run.bad).toEqual([{ line: 4, column: 'rides with', words: expect.stringContaining('nowhere') as string }]);
    expect(run.map.parts.find(({ name }) => name === 'Sensor')).toMatchObject({ ridesWith: 'carrier' });
  });

  it('takes the fastener rows of a connection together as its list', () => {
    const run = read(
      'fasteners',
      { connection: 'hose', count: '2', what: 'clip', singleUse: 'yes', washers: 'wave; flat' },
      { connection: 'hose', count: '1', what: 'long clip', note: 'below' },
      { connection: 'hose', count: '1.5', what: 'clip' },
      { connection: 'ghost', count: '1', what: 'clip' },
      { connection: 'hose', count: '1', what: '' },
      { connection: 'hose', count: '1', what: 'x', singleUse: 'maybe' },
    );
    expect(run.map.connections.find(({ id }) => id === 'hose')?.fasteners).toEqual([
      { count: 2, what: 'clip', singleUse: true, washers: ['wave', 'flat'] },
      { count: 1, what: 'long clip', note: 'below' },
    ]);
    expect(run.bad.map(({ line, column }) => [line, column])).toEqual([
      [4, 'count'],
      [5, 'connection'],
      [6, 'fastener'],
      [7, 'single use'],
    ]);
  });

  it('skips empty lines and counts them', () => {
    expect(read('connections', {}, { ...good, kind: 'glued' }).bad[0]?.line).toBe(3);
  });

  it('takes the sign off that guards a spreadsheet from formulas', () => {
    expect(read('connections', { ...good, name: "'=SUM(A1)" }).map.connections.at(-1)?.name).toBe('=SUM(A1)');
  });

  it('never throws, whatever stands in a file', () => {
    const anything = fc.record(Object.fromEntries(COLUMNS.connections.map(({ id }) => [id, fc.string()])));
    fc.assert(
      fc.property(fc.array(anything, { maxLength: 8 }), (rows) => {
        const { bad, added, changed, unchanged } = readRows(smallMap, 'connections', own('connections'), rows);
        expect(bad.length + added + changed + unchanged).toBeLessThanOrEqual(rows.length);
      }),
      { numRuns: 200 },
    );
  });
});
