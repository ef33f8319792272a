import fc from 'fast-check';
import { extend, startOf, type EntryBody, type LedgerEntry } from '../ledger/index.js';
import { smallPlan } from '../testing/small-map.js';
import { houseOf, learnedMinutes, lessonsOf, type PastJob } from './index.js';

let made = 0;
const entry = (minute: number, body: EntryBody): LedgerEntry => {
  made += 1;
  return {
    id: `h${made}`,
    at: new Date(Date.UTC(2026, 2, 2, 8, minute)).toISOString(),
    by: 'Ines',
    ...body,
  } as LedgerEntry;
};
const worked = (entries: readonly LedgerEntry[]) => extend(startOf(smallPlan), entries);
const job = (machine: string, entries: readonly LedgerEntry[]): PastJob => ({
  machine,
  lessons: lessonsOf(worked(entries)),
});
const note = (text: string, house: boolean): EntryBody => ({
  kind: 'noted',
  text,
  operation: 'open:hose',
  ...(house ? { house } : {}),
});

describe('what the house learned', () => {
  const here = worked([entry(0, note('Mine', true))]);

  it('brings notes the shop wanted kept to the same step of the next machine, its own first', () => {
    const other = job('Sweeper 1', [entry(0, note('Catch is brittle', true)), entry(1, note('Only today', false))]);
    const same = job('Sweeper 3', [entry(0, note('Clamp sits behind the bracket', true))]);
    const { notes } = houseOf('Sweeper 3', here, [other, same]);
    expect(notes['open:hose']?.map(({ text }) => text)).toEqual(['Clamp sits behind the bracket', 'Catch is brittle']);
  });

  it('tells what fought back, and whether it came in the end', () => {
    const other = job('Sweeper 1', [
      entry(0, {
        kind: 'operation-stuck',
        operation: 'open:negative',
        trouble: 'seized',
        tried: 'Heat',
        minutesLost: 9,
        means: ['heat'],
      }),
      entry(9, { kind: 'operation-done', operation: 'open:negative' }),
    ]);
    expect(houseOf('Sweeper 3', here, [other]).troubles['open:negative']).toEqual([
      expect.objectContaining({ trouble: 'seized', means: ['heat'], came: true, machine: 'Sweeper 1' }),
    ]);
  });

  it('learns how long steps take from every job but the one in hand', () => {
    const other = job('Sweeper 1', [
      entry(0, { kind: 'noted', text: 'Begin' }),
      entry(7, { kind: 'operation-done', operation: 'open:negative' }),
    ]);
    expect(houseOf('Sweeper 3', here, [other]).minutes['open:negative']).toEqual({
      likelyMin: 2.5,
      ownMin: 7,
      times: 1,
    });
    expect(houseOf('Sweeper 3', here, [])).toEqual({ notes: {}, troubles: {}, minutes: {}, found: [], causes: [] });
  });
});

describe('what was found late', () => {
  const found: EntryBody = {
    kind: 'connection-found',
    alreadyOpen: false,
    connection: {
      id: 'found-1',
      name: 'the strap behind the bell',
      kind: 'ground',
      between: ['engine', 'body'],
      station: 'underside',
      height: 'either',
    },
  };

  it('comes to the next machine of its kind, and none from a card that does not know of it', () => {
    const here = worked([]);
    const other = job('Sweeper 1', [entry(0, found)]);
    const { found: none, ...lessons } = other.lessons;
    expect(none).toHaveLength(1);
    expect(houseOf('Sweeper 3', here, [other, { machine: 'Old', lessons }]).found).toEqual([
      {
        machine: 'Sweeper 1',
        name: 'the strap behind the bell',
        kind: 'ground',
        between: ['engine', 'body'],
        station: 'underside',
      },
    ]);
  });
});

describe('what was wrong', () => {
  const wrong = (cause: string, name: string): EntryBody => ({ kind: 'cause-found', cause, name, mended: 'Mended' });

  it('comes to the next machine of its kind, the newest first, and none from a card that does not know of it', () => {
    const other = job('Sweeper 1', [
      entry(0, wrong('plug-dirty', 'A dirty plug')),
      entry(9, wrong('other', 'A mouse')),
    ]);
    const { causes: none, ...lessons } = other.lessons;
    expect(none).toHaveLength(2);
    expect(
      houseOf('Sweeper 3', worked([]), [other, { machine: 'Old', lessons }]).causes.map(({ name, machine }) => [
        name,
        machine,
      ]),
    ).toEqual([
      ['A mouse', 'Sweeper 1'],
      ['A dirty plug', 'Sweeper 1'],
    ]);
  });
});

describe('learned minutes', () => {
  it('keep to the map’s figure until there is something to learn from, and leave it the oftener it is done', () => {
    expect(learnedMinutes(10, [])).toEqual({ likelyMin: 10, ownMin: 10, times: 0 });
    const once = learnedMinutes(10, [20]).likelyMin;
    const often = learnedMinutes(10, [20, 20, 20, 20, 20, 20, 20, 20, 20]).likelyMin;
    expect(once).toBe(12.5);
    expect(often).toBe(17.5);
  });

  it('are not moved far by one bad day', () => {
    expect(learnedMinutes(10, [9, 10, 11, 10, 240]).ownMin).toBeLessThan(12);
  });

  it('always lie between the map’s figure and the shop’s own extremes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.array(fc.double({ min: 0.5, max: 200, noNaN: true }), { minLength: 1, maxLength: 20 }),
        (book, times) => {
          const { likelyMin } = learnedMinutes(book, times);
          expect(likelyMin).toBeGreaterThanOrEqual(Math.min(book, ...times) - 1e-9);
          expect(likelyMin).toBeLessThanOrEqual(Math.max(book, ...times) + 1e-9);
        },
      ),
    );
  });
});
