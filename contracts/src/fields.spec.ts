import { check } from './check';
import { record } from './record';

import fc from 'fast-check';
import { number, type Schema } from 'yup';
import { amount, count, id, list, LONGEST, mapOf, name, oneOf, optionalText, text, time, uuid } from './fields';

const told = (schema: Schema<unknown>, value: unknown) => {
  const checked = check(schema, value);
  return 'errors' in checked ? checked.errors.map(({ words }) => words) : [];
};
const inField = (schema: Schema<unknown>, value: unknown) => told(record({ bag: schema }), { bag: value });

describe('a field that does not fit says what is wrong and what would be right', () => {
  it.each<[string, Schema<unknown>, unknown, string]>([
    ['nothing', name(), undefined, 'Bag is missing.'],
    ['null', count(5), null, 'Bag is missing.'],
    ['only spaces', name(), '  ', 'Bag must not begin or end with a space.'],
    ['a name too long', name(), 'x'.repeat(LONGEST.name + 1), 'Bag is too long: 120 characters at most.'],
    ['a text too long', text(), 'x'.repeat(LONGEST.text + 1), 'Bag is too long: 2000 characters at most.'],
    ['a note too long', optionalText(), 'x'.repeat(LONGEST.text + 1), 'Bag is too long: 2000 characters at most.'],
    ['a number for words', name(), 7, 'Bag has to be text.'],
    ['words for a number', count(5), '3', 'Bag has to be a number.'],
    ['no number at all', amount(5), Number.NaN, 'Bag has to be a number.'],
    ['half a thing', count(5), 1.5, 'Bag has to be a whole number.'],
    ['too few', count(5, 1), 0, 'Bag is too small: 1 at least.'],
    ['too many', count(5), 6, 'Bag is too large: 5 at most.'],
    ['more than there can be', amount(2.5), 2.6, 'Bag is too large: 2.5 at most.'],
    ['none where some is wanted', number().moreThan(0), 0, 'Bag has to be more than 0.'],
    ['as much as is too much', number().lessThan(3), 3, 'Bag has to be less than 3.'],
    ['a word not on the list', oneOf(['out', 'in']), 'up', 'Bag has to be one of: out, in.'],
    ['an id with a slash', id(), '../etc', 'Bag has signs in it that do not belong there.'],
    ['an id too long', id(), 'x'.repeat(81), 'Bag is too long: 80 characters at most.'],
    ['an id that is no UUID', uuid(), '4711', 'Bag has to be an id in UUID form.'],
    ['a day for a time', time(), '2026-03-02', 'Bag has to be a time such as 2026-03-02T07:30:00.000Z.'],
    ['a time of somewhere', time(), '2026-03-02T07:30:00+02:00', 'Bag has to be a time in UTC, with a Z at its end.'],
    ['no id at all', id(), '', 'Bag is missing.'],
    ['one for a list', list(name()), 'bag', 'Bag has to be a list.'],
    ['a list too long', list(name(), 2), ['a', 'b', 'c'], 'Bag has too many: 2 at most.'],
    ['a list too short', list(name()).min(1), [], 'Bag needs 1 at least.'],
    ['a list for a record', record({}), 'bag', 'Bag has to be a record.'],
  ])('%s', (_what, schema, value, words) => {
    expect(inField(schema, value)).toEqual([words]);
  });

  it('names the place in a list, and every field at once', () => {
    const shape = record({ crew: list(name(), 4), bag: count(9) });
    expect(told(shape, { crew: ['Ines', ''], bag: -1 })).toEqual([
      'Crew[1] is missing.',
      'Bag is too small: 0 at least.',
    ]);
  });

  it('does not take what it does not know', () => {
    expect(told(record({ bag: count(9) }), { bag: 1, box: 2 })).toEqual([
      'There is something in it that does not belong: box.',
    ]);
    const nested = record({ bag: record({ number: count(9) }) });
    expect(told(nested, { bag: { number: 1, box: 2 } })).toEqual([
      'Bag has something in it that does not belong: box.',
    ]);
  });

  it('tells no more than twenty at once', () => {
    expect(
      told(
        list(count(5)),
        Array.from({ length: 60 }, () => -1),
      ),
    ).toHaveLength(20);
  });
});

describe('a record by ids', () => {
  const minutes = mapOf(amount(90), 3);

  it('is taken where every key is an id and every value fits', () => {
    expect(check(minutes, { 'open:hose': 4, 'open:lead': 0 })).toEqual({ value: { 'open:hose': 4, 'open:lead': 0 } });
  });

  it('names the key at fault', () => {
    expect(inField(minutes, { 'open:hose': 'four' })).toEqual(['Bag.open:hose has to be a number.']);
    expect(inField(minutes, { 'a b': 1 })).toEqual(['Bag has a key that is no id: “a b”.']);
    expect(inField(minutes, { a: 1, b: 1, c: 1, d: 1 })).toEqual(['Bag has too many: 3 at most.']);
    for (const none of ['open', 4, [4]]) expect(inField(minutes, none)).toEqual(['Bag has to be a record.']);
  });

  it('lets nothing through but what it was made for, and never throws', () => {
    fc.assert(
      fc.property(fc.anything({ withNullPrototype: true }), (value) => {
        const checked = check(minutes, value);
        if ('errors' in checked) expect(checked.errors.length).toBeGreaterThan(0);
        else
          for (const [key, one] of Object.entries(checked.value as Record<string, unknown>)) {
            expect(key).toMatch(/^[\w.:-]+$/);
            expect(typeof one).toBe('number');
          }
      }),
      { numRuns: 500 },
    );
  });
});
