import { check } from './check';
import type { EntryBody, EntryKind, LedgerEntry } from '@brisk/core/ledger';
import { TEMPLATES, usualMap } from '@brisk/core/layouts';
import { crewOf } from '@brisk/core/schedule';
import { BUNDLE_FORMAT, notOurBundle } from './bundle';
import { ENTRY_SCHEMAS, entrySchema } from './entry';
import { newJobSchema } from './job';
import { connectionMapSchema } from './map';

const uuid = '3f0c8a52-8f1e-4d0a-9a51-6a2b1f0e7c11';
const head = { id: uuid, at: '2026-03-02T07:30:00.000Z', by: 'Ines' };
const wordsOf = (schema: Parameters<typeof check>[0], value: unknown) => {
  const checked = check(schema, value);
  return 'errors' in checked ? checked.errors.map(({ field, words }) => `${field}: ${words}`).join(' | ') : '';
};

const good: { readonly [Kind in EntryKind]: Extract<EntryBody, { kind: Kind }> } = {
  'operation-done': { kind: 'operation-done', operation: 'open:upper-hose' },
  'operation-skipped': { kind: 'operation-skipped', operation: 'open:upper-hose', mode: 'later', reason: 'Lent out' },
  'operation-stuck': {
    kind: 'operation-stuck',
    operation: 'open:upper-hose',
    trouble: 'seized',
    tried: 'Heat',
    minutesLost: 5,
    means: ['penetrant', 'heat'],
    soakMin: 20,
  },
  'height-set': { kind: 'height-set', height: 'raised' },
  'fasteners-counted': { kind: 'fasteners-counted', connection: 'upper-hose', direction: 'out', count: 2, bag: 1 },
  'keeping-chosen': { kind: 'keeping-chosen', keeping: 'card' },
  'set-described': {
    kind: 'set-described',
    connection: 'upper-hose',
    sets: [{ count: 2, what: 'M8×1.25 × 25, 13 mm', washers: ['wave', 'flat'], singleUse: true }],
  },
  'count-accepted': { kind: 'count-accepted', connection: 'upper-hose', reason: 'New one on Monday' },
  'fasteners-judged': {
    kind: 'fasteners-judged',
    connection: 'upper-hose',
    set: 0,
    count: 1,
    condition: 'galled',
    replacedBy: 'M8×1.25 × 25, 13 mm, 8.8',
  },
  'pattern-drawn': {
    kind: 'pattern-drawn',
    connection: 'upper-hose',
    pattern: { shape: 'line', widthMm: 80, heightMm: 0, holes: [{ xMm: 0, yMm: 0, set: 0, note: 'longer' }] },
  },
  'bolt-found': { kind: 'bolt-found', bolt: uuid, measured: { diameterMm: 7.9, drive: 'hex' }, where: 'on the tray' },
  'bolt-homed': { kind: 'bolt-homed', bolt: uuid, connection: 'upper-hose', set: 0 },
  'bolt-set-aside': { kind: 'bolt-set-aside', bolt: uuid, reason: 'From the bench vice' },
  'trouble-test-done': {
    kind: 'trouble-test-done',
    test: 'spark',
    asked: 'Does it spark?',
    answer: 'one',
    answered: 'Missing on one',
    note: 'The third',
  },
  'cause-found': { kind: 'cause-found', cause: 'coil-plug', name: 'A coil is unplugged', mended: 'Pushed home' },
  'leak-looked': { kind: 'leak-looked', connection: 'upper-hose', is: 'weeps', note: 'At the clamp' },
  'shift-handed-over': {
    kind: 'shift-handed-over',
    lines: [{ sort: 'hangs', words: 'Engine on the hoist' }],
    added: 'The 36 spanner is at the lathe',
  },
  'help-called': { kind: 'help-called', text: 'Bring the 36 spanner', operation: 'open:upper-hose', who: 'Tobias' },
  'help-answered': { kind: 'help-answered', call: '0b9d1bd6-7c0e-4a1b-9a52-0f5f6f2c1a11' },
  'second-signer-asked': { kind: 'second-signer-asked', holdPoint: 'pre-lift', asked: true },
  'shift-read': { kind: 'shift-read', shift: '0b9d1bd6-7c0e-4a1b-9a52-0f5f6f2c1a11' },
  'warm-up-noted': {
    kind: 'warm-up-noted',
    point: 'charging',
    words: 'It charges',
    is: 'seen',
    reading: 14.2,
    note: 'With the lights on',
  },
  'second-look-planned': {
    kind: 'second-look-planned',
    look: 'look-1',
    what: 'Wheel bolts',
    dueOn: '2026-03-09',
    afterKm: 50,
  },
  'second-look-done': { kind: 'second-look-done', look: 'look-1', note: 'All tight' },
  'codes-read': { kind: 'codes-read', when: 'before', warnings: ['Glow lamp'], volts: 12.4 },
  'ground-checked': {
    kind: 'ground-checked',
    connection: 'body-strap',
    good: false,
    ohms: 3,
    dropV: 0.6,
    note: 'Paint under it',
  },
  'photo-taken': {
    kind: 'photo-taken',
    photo: 'ab'.repeat(32),
    widthPx: 2560,
    heightPx: 1920,
    pinnedTo: { operation: 'open:upper-hose', bag: 4 },
    words: 'Before',
  },
  'photo-marked': {
    kind: 'photo-marked',
    photo: 'ab'.repeat(32),
    marks: [{ kind: 'arrow', from: { x: 0, y: 0.5 }, to: { x: 1, y: 0.5 }, words: 'this one' }],
  },
  'work-paused': { kind: 'work-paused' },
  'work-resumed': { kind: 'work-resumed' },
  tagged: { kind: 'tagged', connection: 'upper-hose', tag: 4 },
  'connection-found': {
    kind: 'connection-found',
    alreadyOpen: false,
    connection: {
      id: 'found-1',
      name: 'a clip',
      kind: 'clip',
      between: ['engine', 'body'],
      station: 'front',
      height: 'either',
    },
  },
  'left-on-purpose': { kind: 'left-on-purpose', connection: 'upper-hose', reason: 'Comes along' },
  'hold-point-signed': { kind: 'hold-point-signed', holdPoint: 'pre-lift', confirmed: ['rated'] },
  'bolts-tightened': {
    kind: 'bolts-tightened',
    connection: 'bell-bolts',
    stage: 1,
    bolts: [0, 4],
    read: { value: 27, unit: 'N·m' },
    wrench: {
      id: 'three-eighths',
      name: '3/8 in',
      range: { lowestNm: 10, highestNm: 110 },
      handleMm: 380,
      adapter: { lengthMm: 60, angleDeg: 90 },
      calibratedOn: '2026-03-01',
      uses: 410,
    },
    degrees: 30,
  },
  'torque-read': { kind: 'torque-read', connection: 'mount-left', wrench: 'half', read: { value: 75, unit: 'N·m' } },
  'torque-accepted': { kind: 'torque-accepted', connection: 'mount-left', reason: 'No room' },
  'moves-taken': {
    kind: 'moves-taken',
    powerpack: 'engine',
    route: 'top',
    off: ['airbox'],
    measured: { bulkhead: 372 },
    out: [{ title: 'Raise 40 mm', minutes: { low: 1, likely: 2, high: 4 } }],
    back: [{ title: 'Raise 40 mm', minutes: { low: 1, likely: 2, high: 4 } }],
    carriedBy: 'hoist',
    drawnOff: false,
  },
  'load-read': { kind: 'load-read', kg: 340 },
  'machine-measured': { kind: 'machine-measured', plane: 'bulkhead', mm: 372 },
  'fluid-measured': {
    kind: 'fluid-measured',
    circuit: 'coolant',
    direction: 'out',
    litres: 6.8,
    onTop: true,
    joint: 'lower-hose',
    share: 0.33,
  },
  'fill-planned': {
    kind: 'fill-planned',
    circuit: 'coolant',
    freezingC: -36,
    shareInside: 0.33,
    school: 'water-first',
    cansL: [1.5, 5],
    priming: 'gallery',
  },
  'level-set': { kind: 'level-set', circuit: 'gearbox-oil', addedL: 0.2, celsius: 78, note: 'Running, in park' },
  'joint-looked-at': {
    kind: 'joint-looked-at',
    connection: 'fuel-feed',
    looks: ['click', 'pull'],
    good: false,
    note: 'Comes off again',
  },
  'adjustment-tried': {
    kind: 'adjustment-tried',
    connection: 'selector-rod',
    halfTurns: -2,
    went: ['N', 'D'],
    not: ['P', 'R'],
    readingMm: 12,
    belt: { by: 'frequency', spanMm: 300, gramsPerM: 90, hz: 60 },
    from: 10,
    to: 15,
    accepted: 'Bush on order',
  },
  'seat-measured': {
    kind: 'seat-measured',
    operation: 'do:converter-home',
    readingsMm: [21.5],
    figureMm: 22,
    accepted: 'By the maker’s own drawing',
  },
  noted: { kind: 'noted', text: 'Seen' },
  'part-needed': { kind: 'part-needed', need: uuid, name: 'Seal', quantity: 1, reason: 'Weeps' },
  'part-arrived': { kind: 'part-arrived', need: uuid },
  'part-priced': { kind: 'part-priced', need: 'clutch-1', supplier: 'Hallberg', priceCents: 8_500, leadDays: 2 },
  'part-moved-on': { kind: 'part-moved-on', need: 'clutch-1', to: 'ordered', expectedOn: '2026-03-04' },
  'part-compared': {
    kind: 'part-compared',
    need: 'clutch-1',
    compared: [{ what: 'diameter', same: false, note: '10 mm small' }],
  },
  'core-returned': { kind: 'core-returned', need: 'clutch-1' },
  'cost-noted': { kind: 'cost-noted', cost: uuid, sort: 'machine-shop', name: 'Flywheel faced', cents: 4_500 },
  'unit-decided': {
    kind: 'unit-decided',
    unit: 'engine',
    becomes: 'exchange',
    comesWith: ['sump'],
    causeOfDeath: 'Bearing',
  },
  'renewal-decided': { kind: 'renewal-decided', renewals: ['clutch'], doIt: 'later', reason: 'New last year' },
  'renewal-written': {
    kind: 'renewal-written',
    renewal: {
      id: 'own-ear',
      name: 'broken ear',
      title: 'Weld the ear',
      at: 'gearbox',
      station: 'bench',
      height: 'either',
      hands: 1,
      tools: ['welder'],
      minutes: { low: 20, likely: 40, high: 90 },
      cautions: ['eyes'],
      reach: [{ parted: ['engine', 'gearbox'], why: 'Between the two.' }],
      why: 'One bolt less.',
      parts: [{ what: 'rod', count: 2, guideCents: 300 }],
      lastsYears: 20,
    },
  },
  'part-placed': {
    kind: 'part-placed',
    part: 'alternator',
    owner: 'host',
    place: 'shelf',
    where: 'box 4',
    condition: 'cleaned',
    number: 'AL 12',
    waitsFor: 'brushes',
    reason: 'Kept for its ears',
  },
  'looked-at': { kind: 'looked-at', look: 'filter-metal', finding: 'bad', note: 'bronze' },
  'unit-measured': {
    kind: 'unit-measured',
    reading: 'compression',
    values: [11, 10.8, 8, 11.1],
    low: 9,
    high: 13,
    note: 'warm',
  },
  'literature-added': {
    kind: 'literature-added',
    file: `${'a'.repeat(64)}.pdf`,
    title: 'Loom notes',
    type: 'pdf',
    pages: 3,
    bytes: 9_000,
  },
  'page-marked': {
    kind: 'page-marked',
    file: `${'a'.repeat(64)}.pdf`,
    page: 2,
    marks: [{ kind: 'ring', from: { x: 0.1, y: 0.2 }, to: { x: 0.3, y: 0.4 } }],
  },
  'page-pinned': {
    kind: 'page-pinned',
    file: `${'a'.repeat(64)}.txt`,
    page: 1,
    to: { connection: 'bell-bolts' },
    words: 'The table below',
  },
  'pins-read': {
    kind: 'pins-read',
    loom: 'host',
    pins: [
      {
        plug: 'C1',
        pin: '4',
        signal: 'oil pressure',
        colour: 'blue',
        sizeMm2: 0.75,
        goesTo: 'dash',
        amps: 1,
        lengthM: 2,
      },
    ],
  },
  'splices-planned': {
    kind: 'splices-planned',
    steps: [
      {
        id: 'splice-C1.4-X1.6',
        title: 'Join C1 4 to X1 6',
        minutes: { low: 4, likely: 8, high: 18 },
        dueBy: 'start',
        tip: 'Battery off.',
      },
    ],
  },
  'splice-done': { kind: 'splice-done', splice: 'C1.4-X1.6' },
  'life-guessed': { kind: 'life-guessed', renewal: 'clutch', yearsLeft: 2.5, kmLeft: 40_000 },
  'terms-set': { kind: 'terms-set', yearsIn: 5, kmPerYear: 16_000, budgetCents: 60_000, budgetHours: 8 },
  'start-attempted': {
    kind: 'start-attempted',
    voltsBefore: 12.6,
    voltsLowest: 10,
    crankSeconds: 6,
    result: 'cranks',
    purpose: 'oil',
    read: {
      from: 'box',
      crankRpm: 210,
      cylinders: 4,
      weak: 0,
      codes: ['Misfire'],
      trace: { everyMs: 100, volts: [12.6, 10], amps: [0, 180], rpm: [0, 210] },
    },
  },
  'issue-opened': { kind: 'issue-opened', issue: uuid, title: 'Lamp', sort: 'real' },
  'issue-sorted': { kind: 'issue-sorted', issue: uuid, sort: 'stored' },
  'issue-closed': { kind: 'issue-closed', issue: uuid, how: 'Cleared' },
  'handed-over': { kind: 'handed-over', openItems: 0 },
  'plan-followed': {
    kind: 'plan-followed',
    half: 'out',
    order: ['open:upper-hose'],
    moveFirst: ['open:upper-hose'],
    crew: {
      ...crewOf(['Ines']),
      day: { begins: '07:00', ends: '15:30' },
      hands: [{ name: 'Ines', away: [{ fromMin: 30 }] }],
    },
    school: { order: 'by-system', fuel: 'last' },
    pins: [{ of: 'open:upper-hose', before: 'open:upper-hose', after: 'open:starter-cable' }],
    waits: [{ operation: 'open:upper-hose', min: 20, why: 'Hot' }],
    finishMin: 12.5,
    heightChanges: 1,
  },
  corrected: { kind: 'corrected', corrects: uuid, reason: 'Wrong machine' },
};
const entries = Object.values(good).map((body) => [body.kind, { ...head, ...body } as LedgerEntry] as const);

describe('ledger entries', () => {
  it('have an example of every kind here', () => {
    expect(Object.keys(good).sort()).toEqual(Object.keys(ENTRY_SCHEMAS).sort());
  });

  it.each(entries)('%s is taken as it is', (_kind, entry) =>
    expect(check(entrySchema, entry)).toEqual({ value: entry }),
  );

  it.each(entries)('%s is refused without each of its fields', (_kind, entry) => {
    const spare = new Set([
      ...['bag', 'moveFirst', 'note', 'means', 'soakMin', 'kept', 'replacedBy', 'where', 'words', 'kind'],
      ...['low', 'high', 'condition', 'number', 'waitsFor', 'kmLeft', 'kmPerYear', 'read', 'wrench', 'degrees'],
      ...[
        'onTop',
        'joint',
        'share',
        'freezingC',
        'shareInside',
        'school',
        'cansL',
        'priming',
        'celsius',
        'ohms',
        'dropV',
        'volts',
        'dueOn',
        'afterKm',
        'purpose',
        'reading',
        'added',
        'who',
      ],
      ...['went', 'not', 'readingMm', 'belt', 'from', 'to', 'accepted', 'figureMm'],
      ...['supplier', 'priceCents', 'leadDays', 'expectedOn', 'causeOfDeath', 'budgetCents', 'budgetHours'],
      ...(entry.kind === 'help-called' ? ['operation'] : []),
      // A reason for leaving something is asked for by core: renewing it needs none.
      ...(entry.kind === 'renewal-decided' || entry.kind === 'part-placed' ? ['reason'] : []),
    ]);
    const needed = Object.keys(entry).filter((field) => !spare.has(field));
    for (const field of needed) {
      const { [field]: _left, ...rest } = entry as unknown as Record<string, unknown>;
      expect(wordsOf(entrySchema, rest)).toMatch(new RegExp(`${field}.*is missing`, 'i'));
    }
  });

  it('a trace has as many points of each figure, and none too many', () => {
    const attempt = good['start-attempted'];
    if (attempt.kind !== 'start-attempted' || !attempt.read?.trace) throw new Error('It has a trace.');
    const { read } = attempt;
    const withTrace = (trace: object) => ({
      ...attempt,
      ...head,
      read: { ...read, trace: { ...read.trace, ...trace } },
    });
    expect(wordsOf(entrySchema, withTrace({ amps: [1] }))).toContain('as many volts as amperes and revolutions');
    const long = Array.from({ length: 301 }, () => 12);
    expect(wordsOf(entrySchema, withTrace({ volts: long, amps: long, rpm: long }))).toMatch(/volts/);
    expect(wordsOf(entrySchema, withTrace({ volts: [1e9, 1] }))).toMatch(/volts/);
  });

  it.each(entries)('%s is refused with a field too many', (_kind, entry) => {
    expect(wordsOf(entrySchema, { ...entry, smell: 'burnt' })).toContain('does not belong: smell');
  });

  it.each(entries)('%s is refused with a field of another type', (_kind, entry) => {
    for (const field of Object.keys(entry).filter((one) => one !== 'kind'))
      expect(wordsOf(entrySchema, { ...entry, [field]: { odd: true } })).not.toBe('');
  });

  it('are not taken for the kind of another', () => {
    expect(wordsOf(entrySchema, { ...head, kind: 'toString' })).toContain('has to be one of');
    expect(wordsOf(entrySchema, 7)).not.toBe('');
    expect(wordsOf(entrySchema, null)).not.toBe('');
  });

  it('do not turn text into numbers', () => {
    expect(wordsOf(entrySchema, { ...head, ...good.tagged, tag: '4' })).toContain('Tag has to be a number.');
  });
});

describe('loose fasteners', () => {
  it('are written down only when something of them was measured', () => {
    const found = { ...head, kind: 'bolt-found', bolt: uuid };
    expect(wordsOf(entrySchema, { ...found, measured: {} })).toContain('Measure something first');
    expect(wordsOf(entrySchema, { ...found, measured: { lengthMm: -3 } })).not.toBe('');
    expect(wordsOf(entrySchema, { ...found, measured: { drive: 'magic' } })).not.toBe('');
  });
});

describe('jobs and maps', () => {
  const job = {
    id: uuid,
    title: 'Minibus',
    machine: 'No. 7',
    reason: 'swap',
    crew: ['Ines'],
    layout: 'a',
    powerpack: 'b',
    route: 'c',
  };

  it('takes a job with and without what may be left out', () => {
    expect(wordsOf(newJobSchema, job)).toBe('');
    expect(wordsOf(newJobSchema, { ...job, dueOn: '2026-12-01', note: 'Slips' })).toBe('');
  });

  it.each([
    [{ title: ' Minibus' }, /begin or end with a space/],
    [{ crew: Array.from({ length: 21 }, () => 'Ines') }, /too many: 20/],
    [{ crew: [7] }, /has to be text/],
    [{ dueOn: '1.12.2026' }, /such as 2026/],
    [{ layout: '../secret' }, /signs in it/],
  ])('refuses %j', (change, words) => expect(wordsOf(newJobSchema, { ...job, ...change })).toMatch(words));

  it.each(TEMPLATES.map(({ layout }) => [layout, usualMap(layout)] as const))(
    'takes the layout %s as it is',
    (_name, map) => {
      expect(check(connectionMapSchema, map)).toEqual({ value: map });
    },
  );

  it('refuses access that names neither or both of a connection and a part', () => {
    const map = usualMap('longitudinal-automatic');
    const [first] = map.connections;
    const spoiled = (access: unknown) => ({ ...map, connections: [{ ...first, access: [access] }] });
    expect(wordsOf(connectionMapSchema, spoiled({ why: 'So' }))).toContain('either a connection to open or a part');
    expect(wordsOf(connectionMapSchema, spoiled({ open: 'a', removed: 'b', why: 'So' }))).toContain(
      'either a connection',
    );
  });

  it('tells our bundles from other files', () => {
    expect(notOurBundle({ format: BUNDLE_FORMAT, version: 1 })).toBeUndefined();
    expect(notOurBundle({ format: BUNDLE_FORMAT, version: 5 })).toMatch(/reads up to version 4/);
    for (const other of [null, 7, 'text', [], {}, { format: 'else' }])
      expect(notOurBundle(other)).toMatch(/not a job bundle/);
  });
});
