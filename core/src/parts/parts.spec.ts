import { foldLedger, type EntryBody } from '../ledger/index.js';
import { USUAL_RATES } from '../economics/index.js';
import { recorder } from '../testing/crew.js';
import { smallPlan } from '../testing/small-map.js';
import { comparisonsFor, pricesFor, readPriceList, spendingOf } from './index.js';

const record = recorder('Ines');
const folded = (...bodies: readonly EntryBody[]) => foldLedger(smallPlan, bodies.map(record));
const dayOf = (at: string) => at.slice(0, 10);

const pump: EntryBody = { kind: 'part-needed', need: 'pump', name: 'Water pump', quantity: 2, reason: 'Weeps' };
const priced: EntryBody = {
  kind: 'part-priced',
  need: 'pump',
  priceCents: 5_000,
  coreChargeCents: 1_000,
  number: 'HB 22.10',
};
const ordered: EntryBody = { kind: 'part-moved-on', need: 'pump', to: 'ordered' };

describe('what a job costs', () => {
  it('counts what is ordered, its core charges, and other costs; what is needed is still to come', () => {
    expect(spendingOf(folded(pump, priced), USUAL_RATES, dayOf).now).toMatchObject({
      ordered: 0,
      toCome: 10_000,
      cores: 0,
    });
    const { now, byDay } = spendingOf(
      folded(pump, priced, ordered, {
        kind: 'cost-noted',
        cost: 'c',
        sort: 'machine-shop',
        name: 'Faced',
        cents: 4_500,
      }),
      USUAL_RATES,
      dayOf,
    );
    expect(now).toMatchObject({ ordered: 10_000, toCome: 0, cores: 2_000, costs: 4_500, unpriced: 0 });
    expect(byDay).toEqual([{ day: '2026-03-02', cents: 16_500 }]);
  });

  it('gives back what was sent back, and a core that was returned', () => {
    const arrived: EntryBody = { kind: 'part-moved-on', need: 'pump', to: 'arrived' };
    const back = folded(pump, priced, ordered, arrived, { kind: 'part-moved-on', need: 'pump', to: 'returned' });
    expect(spendingOf(back, USUAL_RATES, dayOf)).toMatchObject({
      now: { ordered: 0, cores: 0 },
      byDay: [{ cents: 0 }],
    });
    const core = folded(pump, priced, ordered, arrived, { kind: 'core-returned', need: 'pump' });
    expect(spendingOf(core, USUAL_RATES, dayOf)).toMatchObject({ now: { cores: 0 }, byDay: [{ cents: 10_000 }] });
  });

  it('says how many parts nobody knows a price of', () => {
    expect(spendingOf(folded(pump), USUAL_RATES, dayOf).now.unpriced).toBe(1);
  });
});

describe('a price list', () => {
  const mapping = { number: 'No', price: 'Price', core: 'Core', currency: 'Money', days: 'Days' };
  const read = (...rows: readonly Record<string, string>[]) => readPriceList(rows, mapping, 'EUR');

  it.each([
    ['12', 1_200],
    ['12.5', 1_250],
    ['12,50', 1_250],
    ['1.234,50', 123_450],
    ['1,234.50 EUR', 123_450],
    ['1.234', 123_400],
  ])('reads %s as %i hundredths', (price, priceCents) => {
    expect(read({ No: 'A', Price: price }).lines).toEqual([{ number: 'A', name: '', priceCents }]);
  });

  it('names the lines that cannot be taken, by their number in the file', () => {
    const { lines, bad } = read(
      { No: 'A', Price: '1' },
      { No: '', Price: '1' },
      { No: 'B', Price: 'ask' },
      { No: 'C', Price: '-1' },
      { No: 'D', Price: '1', Money: 'USD' },
      { No: 'E', Price: '1', Days: '-2' },
      { No: 'F', Price: '1', Core: 'yes' },
      { No: '', Price: '' },
      { No: 'G', Price: '2', Money: 'eur', Days: '3', Core: '0.5' },
    );
    expect(lines).toEqual([
      { number: 'A', name: '', priceCents: 100 },
      { number: 'G', name: '', priceCents: 200, coreChargeCents: 50, leadDays: 3 },
    ]);
    expect(bad).toEqual([
      { line: 3, words: 'It has no number.' },
      { line: 4, words: 'B: “ask” is no price.' },
      { line: 5, words: 'C: a price below nought.' },
      { line: 6, words: 'D is in USD; the shop reckons in EUR.' },
      { line: 7, words: 'E: “-2” is no number of days.' },
      { line: 8, words: 'F: “yes” is no core charge.' },
    ]);
  });

  it('finds the parts of a job by their numbers, however they are spaced', () => {
    const needs = [...folded(pump, priced).needs.values()];
    const { lines } = read({ No: 'hb-2210', Price: '7' }, { No: 'HB 99', Price: '8' });
    expect(pricesFor(needs, lines).map(({ part, line }) => [part.need, line.priceCents])).toEqual([['pump', 700]]);
  });
});

describe('what is held against the old part', () => {
  it.each([
    ['Radiator hose', 'length'],
    ['oil pressure switch', 'shape of the plug'],
    ['rear crank seal', 'inner diameter'],
    ['Exchange engine', 'number on the plate'],
    ['Left-hand something', 'size'],
  ])('%s: first of all %s', (name, first) => {
    expect(comparisonsFor(name)[0]).toBe(first);
    expect(comparisonsFor(name).length).toBeGreaterThanOrEqual(2);
  });
});
