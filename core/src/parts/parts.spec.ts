import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { canApply, foldLedger, openItems, type EntryBody, type JobState } from '../ledger/index.js';
import { USUAL_RATES } from '../economics/index.js';
import { recorder } from '../testing/crew.js';
import { smallPlan } from '../testing/small-map.js';
import { comparisonsFor, partCards, pricesFor, readPriceList, spendingOf } from './index.js';

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
    expect(spendingOf(core, USUAL_RATES, dayOf)).toMatchObject({
      now: { cores: 0, coresOwing: 0 },
      byDay: [{ cents: 10_000 }],
    });
  });

  it('counts the old parts that are still to go back, and the day the first of them is due', () => {
    const due: EntryBody = { ...priced, coreDueOn: '2026-04-01' };
    expect(spendingOf(folded(pump, due), USUAL_RATES, dayOf).now).not.toHaveProperty('firstCoreDueOn');
    expect(spendingOf(folded(pump, due, ordered), USUAL_RATES, dayOf).now).toMatchObject({
      coresOwing: 1,
      firstCoreDueOn: '2026-04-01',
    });
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

describe('where everything is', () => {
  const plan: JobPlan = {
    map: usualMap('longitudinal-manual'),
    powerpack: 'engine-with-gearbox',
    route: 'top',
    rules: RULES_NOW,
  };
  const write = recorder('Kamal');
  const lifted = [...foldLedger(plan, []).work.operations.values()]
    .filter(({ phase }) => phase === 'strip' || phase === 'lift')
    .map(({ id }) => write({ kind: 'operation-done', operation: id }));
  const out = (...bodies: readonly EntryBody[]) => foldLedger(plan, [...lifted, ...bodies.map(write)]);
  const card = (state: JobState, key: string) => partCards(state).find((one) => one.key === key);
  const refused = (state: JobState, body: EntryBody) => canApply(state, write(body)).map(({ words }) => words);
  const placed = (part: string, more: object): EntryBody =>
    ({ kind: 'part-placed', part, owner: 'host', place: 'shelf', ...more }) as EntryBody;

  it('has a card for what is off, and none for what is where it always was', () => {
    expect(partCards(foldLedger(plan, []))).toEqual([]);
    expect(card(out(), 'host:radiator')).toMatchObject({ place: 'bench', settled: false });
    expect(card(out(), 'host:battery')).toBeUndefined();
  });

  it('goes by what somebody said, and by its step once it is fitted', () => {
    const shelf = out(placed('radiator', { where: 'rack 2', number: 'R 7', condition: 'cleaned' }));
    expect(card(shelf, 'host:radiator')).toMatchObject({ place: 'shelf', where: 'rack 2', number: 'R 7' });
    const shop = out(
      placed('radiator', { where: 'rack 2', number: 'R 7' }),
      placed('radiator', { place: 'machine-shop', where: 'Pell' }),
    );
    expect(card(shop, 'host:radiator')).toMatchObject({ place: 'machine-shop', where: 'Pell', number: 'R 7' });
    const back = out(placed('radiator', { where: 'rack 2' }), { kind: 'operation-done', operation: 'fit:radiator' });
    expect(card(back, 'host:radiator')).toMatchObject({ place: 'machine', settled: true });
  });

  it('knows what is on the old unit, what came with the other, and what is kept until handover', () => {
    const state = out(
      { kind: 'unit-decided', unit: 'engine', becomes: 'exchange', comesWith: ['starter'] },
      { kind: 'operation-done', operation: 'shift:change-engine' },
    );
    expect(card(state, 'host:engine')).toMatchObject({ name: 'old engine', place: 'old-unit', keep: true });
    expect(card(state, 'donor:starter')).toMatchObject({ name: 'other starter', place: 'bench' });
    expect(card(state, 'unit-engine')).toMatchObject({ owner: 'bought', place: 'to-come' });
  });

  it('asks why something goes before handover, which shelf, and keeps nothing in two places', () => {
    expect(refused(out(), placed('radiator', { place: 'bin' }))[0]).toMatch(/^Old parts are kept until handover/);
    expect(refused(out(), placed('radiator', { where: ' ' }))[0]).toMatch(/^Say which shelf or box/);
    expect(refused(out(), placed('battery', { where: 'rack 1' }))[0]).toMatch(/cannot be in two places/);
    expect(refused(out(), placed('body', { where: 'rack 1' }))[0]).toMatch(/stays where it is/);
    expect(refused(out(), placed('wings', { where: 'rack 1' }))[0]).toMatch(/no part called/);
  });

  it('tells at handover what is still at the machine shop', () => {
    const state = out(placed('radiator', { place: 'machine-shop', where: 'Pell' }));
    expect(openItems(state).map(({ words }) => words)).toContain('Still at the machine shop: the radiator, Pell');
  });
});
