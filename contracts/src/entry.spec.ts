import { check } from './check';
import { ENTRY_SCHEMAS, entrySchema } from './entry';
import { EXAMPLE_ENTRIES, EXAMPLE_ID, EXAMPLES, HEAD } from './testing/entry-examples';
import { wordsOf } from './testing/words-of';

describe('ledger entries', () => {
  it('have an example of every kind here', () => {
    expect(Object.keys(EXAMPLES).sort()).toEqual(Object.keys(ENTRY_SCHEMAS).sort());
  });

  it.each(EXAMPLE_ENTRIES)('%s is taken as it is', (_kind, entry) =>
    expect(check(entrySchema, entry)).toEqual({ value: entry }),
  );

  it.each(EXAMPLE_ENTRIES)('%s is refused without each of its fields', (_kind, entry) => {
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
    const attempt = EXAMPLES['start-attempted'];
    if (attempt.kind !== 'start-attempted' || !attempt.read?.trace) throw new Error('It has a trace.');
    const { read } = attempt;
    const withTrace = (trace: object) => ({
      ...attempt,
      ...HEAD,
      read: { ...read, trace: { ...read.trace, ...trace } },
    });
    expect(wordsOf(entrySchema, withTrace({ amps: [1] }))).toContain('as many volts as amperes and revolutions');
    const long = Array.from({ length: 301 }, () => 12);
    expect(wordsOf(entrySchema, withTrace({ volts: long, amps: long, rpm: long }))).toMatch(/volts/);
    expect(wordsOf(entrySchema, withTrace({ volts: [1e9, 1] }))).toMatch(/volts/);
  });

  it.each(EXAMPLE_ENTRIES)('%s is refused with a field too many', (_kind, entry) => {
    expect(wordsOf(entrySchema, { ...entry, smell: 'burnt' })).toContain('does not belong: smell');
  });

  it.each(EXAMPLE_ENTRIES)('%s is refused with a field of another type', (_kind, entry) => {
    for (const field of Object.keys(entry).filter((one) => one !== 'kind'))
      expect(wordsOf(entrySchema, { ...entry, [field]: { odd: true } })).not.toBe('');
  });

  it('are not taken for the kind of another', () => {
    expect(wordsOf(entrySchema, { ...HEAD, kind: 'toString' })).toContain('has to be one of');
    expect(wordsOf(entrySchema, 7)).not.toBe('');
    expect(wordsOf(entrySchema, null)).not.toBe('');
  });

  it('do not turn text into numbers', () => {
    expect(wordsOf(entrySchema, { ...HEAD, ...EXAMPLES.tagged, tag: '4' })).toContain('Tag has to be a number.');
  });
});

describe('loose fasteners', () => {
  it('are written down only when something of them was measured', () => {
    const found = { ...HEAD, kind: 'bolt-found', bolt: EXAMPLE_ID };
    expect(wordsOf(entrySchema, { ...found, measured: {} })).toContain('Measure something first');
    expect(wordsOf(entrySchema, { ...found, measured: { lengthMm: -3 } })).not.toBe('');
    expect(wordsOf(entrySchema, { ...found, measured: { drive: 'magic' } })).not.toBe('');
  });
});
