import { usualMap } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { operationId } from '../teardown/index.js';
import { recorder } from '../testing/crew.js';
import {
  canApply,
  extend,
  foldLedger,
  openItems,
  stopOf,
  type EntryBody,
  type JobState,
  type LedgerEntry,
} from './index.js';

const plan: JobPlan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const write = recorder('Ines');
const folded = (...bodies: readonly EntryBody[]): JobState => foldLedger(plan, bodies.map(write));
const refusals = (state: JobState, body: EntryBody): readonly string[] =>
  canApply(state, write(body)).map(({ words }) => words);

/** Everything of the way out is done, and the powerpack set down. */
const lifted: readonly LedgerEntry[] = [...foldLedger(plan, []).work.operations.values()]
  .filter(({ phase }) => phase === 'strip' || phase === 'lift')
  .map(({ id }) => write({ kind: 'operation-done', operation: id }));
const out = (...bodies: readonly EntryBody[]) => foldLedger(plan, [...lifted, ...bodies.map(write)]);

const seal: EntryBody = { kind: 'renewal-decided', renewals: ['rear-crank-seal'], doIt: 'now' };
const exchange: EntryBody = { kind: 'unit-decided', unit: 'engine', becomes: 'exchange', comesWith: ['alternator'] };

describe('what is decided at the bench', () => {
  it('puts the steps into the work and what they need onto the list, and takes both out again', () => {
    const now = out(seal);
    expect(now.work.operations.has(operationId.renew('rear-crank-seal'))).toBe(true);
    expect(now.needs.get('rear-crank-seal-1')).toMatchObject({
      name: 'rear crank seal',
      stage: 'needed',
      guideCents: 2_800,
    });
    const later = out(seal, {
      kind: 'renewal-decided',
      renewals: ['rear-crank-seal'],
      doIt: 'later',
      reason: 'It is dry',
    });
    expect(later.work.operations.has(operationId.renew('rear-crank-seal'))).toBe(false);
    expect(later.needs.size).toBe(0);
  });

  it('keeps on the list what was asked for already', () => {
    const state = out(
      seal,
      { kind: 'part-moved-on', need: 'rear-crank-seal-1', to: 'ordered' },
      { kind: 'renewal-decided', renewals: ['rear-crank-seal'], doIt: 'later', reason: 'It is dry' },
    );
    expect(state.needs.get('rear-crank-seal-1')?.stage).toBe('ordered');
  });

  it('wants a reason for what is left, and tells it at handover', () => {
    expect(refusals(out(), { kind: 'renewal-decided', renewals: ['clutch'], doIt: 'later', reason: ' ' })).toEqual([
      'There is no renewal called “clutch” on this job.',
    ]);
    expect(refusals(out(), { kind: 'renewal-decided', renewals: ['water-pump'], doIt: 'later' })).toEqual([
      'Say why it is left: it is read at handover, and when it fails.',
    ]);
    const left = out({ kind: 'renewal-decided', renewals: ['water-pump'], doIt: 'later', reason: 'New last year' });
    expect(openItems(left).map(({ words }) => words)).toContain('Left for another time: the water pump. New last year');
  });

  it('does not let steps that are done belong to nothing', () => {
    const begun = out(
      exchange,
      { kind: 'operation-done', operation: operationId.compare('engine') },
      { kind: 'operation-done', operation: operationId.stand() },
    );
    expect(refusals(begun, { kind: 'unit-decided', unit: 'engine', becomes: 'same', comesWith: [] })[0]).toMatch(
      /2 steps of it are done already/,
    );
    expect(refusals(begun, { ...exchange, comesWith: [] })).toEqual([]);
  });

  it('is decided before it goes down', () => {
    const state = out();
    const signed: JobState = {
      ...state,
      progress: new Map([
        ...state.progress,
        [operationId.hold('pre-lower'), { is: 'done', by: 'I', at: '', entry: '' }],
      ]),
    };
    expect(refusals(signed, seal)[0]).toMatch(/signed ready to go down/);
  });

  it('knows units, parts and what stays in the machine', () => {
    expect(refusals(out(), { ...exchange, unit: 'radiator' })).toEqual([
      'There is no unit called “radiator” on this job.',
    ]);
    expect(refusals(out(), { ...exchange, comesWith: ['wings'] })).toEqual([
      'There is no part called “wings” on this job.',
    ]);
    const alone = foldLedger({ ...plan, powerpack: 'engine', route: 'top-engine' }, []);
    expect(refusals(alone, { kind: 'unit-decided', unit: 'gearbox', becomes: 'exchange', comesWith: [] })).toEqual([
      'The gearbox stays in the machine on this plan.',
    ]);
  });

  it('lets nothing take the place of what goes with a unit', () => {
    const cradle = foldLedger(
      { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under', rules: RULES_NOW },
      [],
    );
    expect(refusals(cradle, { kind: 'unit-decided', unit: 'roll-mount', becomes: 'donor', comesWith: [] })).toEqual([
      'The lower roll mount goes with what it is bolted to. Decide on that.',
    ]);
  });

  it('decides on a set in one entry, and takes all of it or none', () => {
    const set: EntryBody = { kind: 'renewal-decided', renewals: ['rear-crank-seal', 'water-pump'], doIt: 'now' };
    const state = out(set);
    expect([...state.needs.keys()]).toEqual(['rear-crank-seal-1', 'water-pump-1']);
    expect(state.work.bench.renewed.map(({ id }) => id).sort()).toEqual(['rear-crank-seal', 'water-pump']);
    expect(refusals(out(), { ...set, renewals: ['water-pump', 'nothing'] })).toEqual([
      'There is no renewal called “nothing” on this job.',
    ]);
    const gearbox = foldLedger({ ...plan, powerpack: 'gearbox', route: 'under' }, []);
    expect(refusals(gearbox, { ...set, renewals: ['water-pump', 'sump-gasket'] })).toEqual([
      'The sump gasket is not reached with what comes out on this plan.',
    ]);
  });

  it('works it out once for many decisions in a row, and the same as step by step', () => {
    const bodies: readonly EntryBody[] = [
      seal,
      exchange,
      { kind: 'renewal-decided', renewals: ['rear-crank-seal'], doIt: 'later', reason: 'It is dry' },
      { kind: 'renewal-decided', renewals: ['water-pump'], doIt: 'now' },
    ];
    const entries = bodies.map(write);
    const atOnce = foldLedger(plan, [...lifted, ...entries]);
    const oneByOne = entries.reduce((state, entry) => extend(state, [entry]), foldLedger(plan, lifted));
    expect([...atOnce.work.operations.keys()]).toEqual([...oneByOne.work.operations.keys()]);
    expect(atOnce.work.operations.has(operationId.renew('water-pump'))).toBe(true);
    expect(atOnce.work.operations.has(operationId.renew('rear-crank-seal'))).toBe(false);
  });

  it('puts an exchange unit onto the list, and asks what the old one died of', () => {
    const state = out(exchange);
    expect(state.needs.get('unit-engine')?.name).toBe('Exchange engine');
    expect(openItems(state).map(({ words }) => words)).toContain('Nobody wrote down what the old engine died of');
    const told = out({ ...exchange, causeOfDeath: 'Big end, cylinder 3' });
    expect(openItems(told).map(({ words }) => words)).not.toContain('Nobody wrote down what the old engine died of');
  });

  it('keeps the job at the bench until all of it is done', () => {
    expect(stopOf(out(seal))).toBe('bench');
  });

  it('keeps its fasteners, their counts and their torque like any other stop’s', () => {
    const state = out(seal, { kind: 'operation-done', operation: operationId.stand() });
    expect(refusals(state, { kind: 'operation-done', operation: operationId.open('starter-bolts') })).toEqual([]);
    expect(refusals(state, { kind: 'operation-done', operation: operationId.renew('rear-crank-seal') })[0]).toMatch(
      /^First: /,
    );
    expect(
      refusals(state, { kind: 'fasteners-counted', connection: 'bell-housing', direction: 'out', count: 10 }),
    ).toEqual([]);
  });

  it('takes repairs the crew wrote itself', () => {
    const written: EntryBody = {
      kind: 'renewal-written',
      renewal: {
        id: 'own-ear',
        name: 'broken ear of the bell housing',
        title: 'Weld the ear',
        at: 'gearbox',
        station: 'bench',
        height: 'either',
        hands: 1,
        tools: ['welder'],
        minutes: { low: 20, likely: 40, high: 90 },
        cautions: ['eyes'],
        reach: [{ parted: ['engine', 'gearbox'], why: 'It is between the two.' }],
        why: 'One bolt less holds the gearbox.',
        parts: [],
        lastsYears: 20,
      },
    };
    const state = out(written, { kind: 'renewal-decided', renewals: ['own-ear'], doIt: 'now' });
    expect(state.work.operations.has(operationId.apart('gearbox'))).toBe(true);
    expect(refusals(state, written)).toEqual(['“broken ear of the bell housing” is on the list already.']);
    expect(
      refusals(out(), {
        ...written,
        renewal: { ...written.renewal, reach: [{ removed: 'wings', why: 'It is behind.' }] },
      }),
    ).toEqual(['There is no part called “wings” on this job.']);
  });

  it('comes to the same after one of its entries is taken back', () => {
    const entries = [...lifted, write(seal), write(exchange)];
    const back = write({ kind: 'corrected', corrects: entries.at(-1)?.id ?? '', reason: 'Not the engine' });
    const state = foldLedger(plan, [...entries, back]);
    expect(state.units.size).toBe(0);
    expect([...state.work.operations.keys()].sort()).toEqual([...out(seal).work.operations.keys()].sort());
  });
});

describe('what is bought', () => {
  const needed: EntryBody = {
    kind: 'part-needed',
    need: 'hose',
    name: 'Radiator hose',
    quantity: 1,
    reason: 'Perished',
  };
  const ordered: EntryBody = { kind: 'part-moved-on', need: 'hose', to: 'ordered' };
  const arrived: EntryBody = { kind: 'part-moved-on', need: 'hose', to: 'arrived' };

  it('goes from needed to fitted, and no way that is none', () => {
    const state = folded(needed, ordered, arrived, { kind: 'part-moved-on', need: 'hose', to: 'fitted' });
    expect(state.needs.get('hose')).toMatchObject({ stage: 'fitted', arrived: { by: 'Ines' } });
    expect(refusals(folded(needed), { kind: 'part-moved-on', need: 'hose', to: 'fitted' })).toEqual([
      '“Radiator hose” is needed; it cannot be fitted from there.',
    ]);
    expect(refusals(folded(needed, ordered), ordered)).toEqual(['“Radiator hose” is ordered already.']);
  });

  it('is found wrong when it is held against the old one, on the day it comes', () => {
    const state = folded(needed, ordered, arrived, {
      kind: 'part-compared',
      need: 'hose',
      compared: [
        { what: 'bore', same: true },
        { what: 'length', same: false, note: '40 mm short' },
      ],
    });
    expect(state.needs.get('hose')).toMatchObject({ stage: 'wrong', note: 'length: 40 mm short' });
    expect(state.needs.get('hose')?.arrived).toBeUndefined();
    expect(openItems(state).map(({ words }) => words)).toContain('Not arrived: 1 × Radiator hose');
    expect(refusals(folded(needed), { kind: 'part-compared', need: 'hose', compared: [] })[0]).toMatch(/not here yet/);
  });

  it('does not come on a day that is over', () => {
    expect(refusals(folded(needed), { ...ordered, expectedOn: '2001-01-01' })).toEqual([
      'The day it is expected is over already. Write one that is to come.',
    ]);
    expect(refusals(folded(needed), { kind: 'part-priced', need: 'hose', coreDueOn: '2001-01-01' })[0]).toMatch(
      /is over/,
    );
  });

  it('gives the same core back once', () => {
    const charged: EntryBody = { kind: 'part-priced', need: 'hose', priceCents: 20_000, coreChargeCents: 5_000 };
    const back: EntryBody = { kind: 'core-returned', need: 'hose' };
    expect(refusals(folded(needed), back)).toEqual(['No core charge is written down for “Radiator hose”.']);
    const owing = folded(needed, charged, ordered, arrived);
    expect(openItems(owing).map(({ words }) => words)).toContain(
      'Old part of “Radiator hose” is to go back for its core charge',
    );
    expect(refusals(folded(needed, charged, back), back)).toEqual([
      'The old part of “Radiator hose” went back already, by Ines.',
    ]);
  });
});
