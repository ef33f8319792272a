import { number, string } from 'yup';
import { bundleSchema } from './bundle';
import { check } from './check';
import { list, name } from './fields';
import { appendSchema } from './job';
import { record } from './record';

interface Shelf {
  readonly label: string;
  readonly boxes: readonly { readonly pieces: number }[];
}
const box = record<Shelf['boxes'][number]>({ pieces: number().integer().required() });
const shelf = record<Shelf>({ label: name(), boxes: list(box, 30) });
const told = (value: unknown) => {
  const checked = check(shelf, value);
  return 'errors' in checked ? checked.errors.map(({ field, words }) => `${field}: ${words}`) : [];
};

describe('holding a value against a schema', () => {
  it('gives the very value back where it fits', () => {
    const given = { label: 'Left', boxes: [{ pieces: 3 }] };
    const checked = check(shelf, given);
    expect('value' in checked && checked.value).toBe(given);
  });

  it('names every field at fault, each once, at its place', () => {
    expect(told({ label: '', boxes: [{ pieces: 3 }, { pieces: 'two' }, 7], more: 1 })).toEqual([
      ': There is something in it that does not belong: more.',
      'label: Label is missing.',
      'boxes[1].pieces: Boxes[1].pieces has to be a number.',
      'boxes[2]: Boxes[2] has to be a record.',
    ]);
  });

  it('measures a list before it looks at anything in it', () => {
    let looked = 0;
    const eyed = list(
      string().test('eye', 'no', () => (looked += 1) > 0),
      3,
    );
    expect(
      check(record<{ readonly all: readonly (string | undefined)[] }>({ all: eyed }), { all: ['', '', '', ''] }),
    ).toEqual({
      errors: [{ field: 'all', words: 'All has too many: 3 at most.' }],
    });
    expect(looked).toBe(0);
  });

  it('stops looking once enough is wrong, however much there is', () => {
    expect(told({ label: 'Left', boxes: Array.from({ length: 30 }, () => ({})) })).toHaveLength(20);
    const zeros = { format: 'brisk-ledger-job', version: 3, ledger: new Array(50_000).fill(0) };
    for (const [schema, value] of [
      [bundleSchema, zeros],
      [bundleSchema, { ...zeros, ledger: new Array(400_000).fill(0) }],
      [appendSchema, { expectedPosition: 0, entries: new Array(200).fill({}) }],
    ] as const) {
      const checked = check<unknown>(schema, value);
      expect('errors' in checked && checked.errors.length).toBeLessThanOrEqual(20);
    }
  });
});
