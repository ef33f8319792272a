import { usualMap } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { operationId, type Operation } from '../teardown/index.js';
import { recorder, workOn } from '../testing/crew.js';
import {
  allLifted,
  canApply,
  extend,
  foldLedger,
  NEXT_STAGES,
  nextUp,
  openItems,
  partsAwaitedAt,
  PART_STAGES,
  STAGE_WORDS,
  startOf,
  yearsGiven,
  type EntryBody,
  type PartStage,
} from './index.js';

const plan: JobPlan = {
  map: usualMap('longitudinal-manual'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const write = recorder('Ines');
const folded = (...bodies: readonly EntryBody[]) => foldLedger(plan, bodies.map(write));
const refused = (before: readonly EntryBody[], body: EntryBody) =>
  canApply(folded(...before), write(body)).map(({ words }) => words);
const open = (...bodies: readonly EntryBody[]) => openItems(folded(...bodies)).map(({ words }) => words);

const pump: EntryBody = { kind: 'part-needed', need: 'pump', name: 'Water pump', quantity: 1, reason: 'Weeps' };
const charged: EntryBody = {
  kind: 'part-priced',
  need: 'pump',
  coreChargeCents: 1_500,
  coreDueOn: '2026-04-01',
};
const renewed: EntryBody = { kind: 'renewal-decided', renewals: ['clutch'], doIt: 'now' };
const moved = (to: PartStage, more: { readonly expectedOn?: string; readonly note?: string } = {}): EntryBody => ({
  kind: 'part-moved-on',
  need: 'pump',
  to,
  ...more,
});
const compared = (same: boolean): EntryBody => ({
  kind: 'part-compared',
  need: 'pump',
  compared: [
    { what: 'flange', same: true },
    { what: 'shaft', same, ...(same ? {} : { note: '4 mm longer' }) },
  ],
});
const placed = (more: object): EntryBody => ({
  kind: 'part-placed',
  part: 'radiator',
  owner: 'host',
  place: 'bench',
  ...more,
});
const radiatorOff: EntryBody = { kind: 'operation-done', operation: operationId.remove('radiator') };
const pins = (loom: 'host' | 'engine'): EntryBody => ({
  kind: 'pins-read',
  loom,
  pins: [{ plug: 'C1', pin: '1', signal: 'rev counter' }],
});
const splice: EntryBody = { kind: 'splice-done', splice: 'C1.1-C1.1' };
const cost: EntryBody = { kind: 'cost-noted', cost: 'c1', sort: 'tool-hire', name: 'Hoist', cents: 4_000 };
const own: EntryBody = {
  kind: 'renewal-written',
  renewal: {
    id: 'own-ear',
    name: 'broken ear',
    title: 'Weld the ear',
    at: 'gearbox',
    reach: [{ parted: ['engine', 'gearbox'], why: 'It is between the two.' }],
    why: 'The bolt has nothing to bite.',
    parts: [],
    lastsYears: 20,
    station: 'bench',
    height: 'either',
    hands: 1,
    tools: ['welder'],
    minutes: { low: 20, likely: 30, high: 60 },
    cautions: ['eyes'],
  },
};
const ownWith = (more: object): EntryBody => ({ ...own, renewal: { ...own.renewal, ...more } }) as EntryBody;

describe('what is written at the bench', () => {
  it.each<readonly [string, readonly EntryBody[], EntryBody, string]>([
    [
      'a guess at nothing',
      [],
      { kind: 'life-guessed', renewal: 'nothing', yearsLeft: 2 },
      'There is no renewal called “nothing” on this job.',
    ],
    [
      'a look nobody knows',
      [],
      { kind: 'looked-at', look: 'nothing', finding: 'bad' },
      'There is no look called “nothing” on this job.',
    ],
    [
      'an answer nobody knows',
      [],
      { kind: 'looked-at', look: 'rear-seal-wear', finding: 'so-so' },
      'There is no finding called “so-so” on this job.',
    ],
    [
      'limits the wrong way round',
      [],
      { kind: 'unit-measured', reading: 'end-float', values: [0.2], low: 0.3, high: 0.1 },
      'The lower limit is above the upper one. Look at the maker’s table again.',
    ],
    [
      'a splice before there is a list',
      [pins('host')],
      splice,
      'There is no splice list yet: read the pin tables of both looms first.',
    ],
    ['a splice made twice', [pins('host'), pins('engine'), splice], splice, 'That one is made already, by Ines.'],
    ['a cost written twice', [cost], cost, '“Hoist” is written down already.'],
    ['a price of nothing', [], charged, 'There is no part called “pump” on this job.'],
    [
      'a core due yesterday',
      [pump],
      { kind: 'part-priced', need: 'pump', coreDueOn: '2026-03-01' },
      'The day by which the old part has to be back is over. Write one that is to come.',
    ],
    ['a core of nothing', [], { kind: 'core-returned', need: 'pump' }, 'There is no part called “pump” on this job.'],
    [
      'a core without a charge',
      [pump],
      { kind: 'core-returned', need: 'pump' },
      'No core charge is written down for “Water pump”.',
    ],
    [
      'a core that is back',
      [pump, charged, { kind: 'core-returned', need: 'pump' }],
      { kind: 'core-returned', need: 'pump' },
      'The old part of “Water pump” went back already, by Ines.',
    ],
    [
      'a part held against the old one before it is here',
      [pump],
      compared(true),
      '“Water pump” is not here yet: there is nothing to hold against the old one.',
    ],
    ['a part nobody needs, compared', [], compared(true), 'There is no part called “pump” on this job.'],
    ['a part nobody needs, moved on', [], moved('ordered'), 'There is no part called “pump” on this job.'],
    [
      'a part expected yesterday',
      [pump],
      moved('ordered', { expectedOn: '2026-03-01' }),
      'The day it is expected is over already. Write one that is to come.',
    ],
    [
      'a wrong part, nobody says how',
      [pump, moved('arrived')],
      moved('wrong', { note: ' ' }),
      'Say what is wrong with it: the counter asks.',
    ],
    [
      'a part in two places',
      [],
      placed({}),
      'By the record the radiator is on the machine: it cannot be in two places. Do its step, or take the step back.',
    ],
    ['a part nobody knows', [], placed({ part: 'wings' }), 'There is no part called “wings” on this job.'],
    ['the machine itself', [], placed({ part: plan.map.body }), 'The machine itself stays where it is.'],
    [
      'a shelf nobody finds',
      [radiatorOff],
      placed({ place: 'shelf' }),
      'Say which shelf or box: the radiator is looked for by that.',
    ],
    [
      'something thrown away for nothing',
      [radiatorOff],
      placed({ place: 'bin' }),
      'Old parts are kept until handover. Say why the radiator goes now.',
    ],
    ['a repair of nothing', [], ownWith({ at: 'wings' }), 'There is no part called “wings” on this job.'],
    [
      'a repair behind nothing',
      [],
      ownWith({ reach: [{ open: 'wing-bolts', why: 'Behind.' }] }),
      'There is no connection called “wing-bolts” on this job.',
    ],
    [
      'a repair between a unit and itself',
      [],
      ownWith({ reach: [{ parted: ['engine', 'engine'], why: 'Between.' }] }),
      'It takes two units to be drawn apart.',
    ],
    [
      'minutes that fall',
      [],
      ownWith({ minutes: { low: 30, likely: 20, high: 60 } }),
      'Its minutes have to rise: when it goes well, as a rule, when it fights back.',
    ],
  ])('says what is wrong with %s', (_what, before, body, words) => {
    expect(refused(before, body)).toEqual([words]);
  });

  it('lets a part go only where parts go from there, and says so otherwise', () => {
    const to: Readonly<Record<PartStage, readonly EntryBody[]>> = {
      needed: [],
      asked: [moved('asked')],
      ordered: [moved('ordered')],
      arrived: [moved('arrived')],
      wrong: [moved('arrived'), moved('wrong', { note: 'Short' })],
      fitted: [moved('arrived'), moved('fitted')],
      returned: [moved('arrived'), moved('returned')],
    };
    for (const from of PART_STAGES)
      for (const next of PART_STAGES) {
        const told = refused([pump, ...to[from]], moved(next, { note: 'Short' }));
        const expected = NEXT_STAGES[from].includes(next)
          ? []
          : [
              from === next
                ? `“Water pump” is ${STAGE_WORDS[next]} already.`
                : `“Water pump” is ${STAGE_WORDS[from]}; it cannot be ${STAGE_WORDS[next]} from there.`,
            ];
        expect([from, next, told]).toEqual([from, next, expected]);
      }
  });

  it('makes wrong what is not like the old part, and right again what is', () => {
    const wrong = folded(pump, moved('arrived'), compared(false)).needs.get('pump');
    expect(wrong).toMatchObject({ stage: 'wrong', note: 'shaft: 4 mm longer' });
    expect(wrong).not.toHaveProperty('arrived');
    const right = folded(pump, moved('arrived'), compared(false), compared(true)).needs.get('pump');
    expect(right).toMatchObject({ stage: 'arrived', arrived: { by: 'Ines' } });
  });

  it('forgets the day a part was expected when it is ordered anew without one', () => {
    const ordered = moved('ordered', { expectedOn: '2026-03-09' });
    expect(folded(pump, ordered).needs.get('pump')?.expectedOn).toBe('2026-03-09');
    expect(folded(pump, ordered, moved('needed'), moved('ordered')).needs.get('pump')).not.toHaveProperty('expectedOn');
  });

  it('keeps number and condition with a part wherever it goes, and where it was no longer', () => {
    const state = folded(
      radiatorOff,
      placed({ place: 'shelf', where: 'B 2', number: 'R 44', condition: 'cleaned' }),
      placed({ place: 'machine-shop', where: 'Brandt' }),
    );
    expect(state.placed.get('host:radiator')).toMatchObject({
      place: 'machine-shop',
      where: 'Brandt',
      number: 'R 44',
      condition: 'cleaned',
    });
    expect(
      folded(radiatorOff, placed({ place: 'shelf', where: 'B 2' }), placed({})).placed.get('host:radiator'),
    ).not.toHaveProperty('where');
  });

  it('takes an old part back once there is a charge on it', () => {
    const back: EntryBody = { kind: 'core-returned', need: 'pump' };
    expect(refused([pump, charged], back)).toEqual([]);
    expect(folded(pump, charged, back).needs.get('pump')?.coreReturned).toMatchObject({ by: 'Ines' });
  });

  it('takes parts of the other machine under any name', () => {
    expect(refused([], placed({ owner: 'donor', part: 'odd-bracket' }))).toEqual([]);
  });

  it('lists at handover what is still out of the house, owed, or was seen bad', () => {
    expect(open(radiatorOff, placed({ place: 'machine-shop', where: 'Brandt' }))).toContain(
      'Still at the machine shop: the radiator, Brandt',
    );
    expect(open(radiatorOff, placed({ waitsFor: 'a new cap' }))).toContain('Still waiting for a new cap: the radiator');
    expect(open(radiatorOff, placed({ place: 'shelf' }))).not.toContainEqual(
      expect.stringMatching(/^Still .*radiator/),
    );
    expect(open(pump, charged, moved('arrived'))).toContain(
      'Old part of “Water pump” is to go back for its core charge, by 1 Apr 2026',
    );
    expect(
      openItems(folded(pump, charged, moved('arrived'))).find(({ words }) => /core charge/.test(words))?.grave,
    ).toBe(false);
    expect(open(pump, charged)).not.toContainEqual(expect.stringMatching(/core charge/));
    expect(open({ kind: 'looked-at', look: 'rear-seal-wear', finding: 'bad', note: 'Runs' })).toContain(
      'Seen at the bench: rear crank seal: oil runs down. Runs',
    );
    expect(open({ kind: 'looked-at', look: 'rear-seal-wear', finding: 'watch' })).not.toContainEqual(
      expect.stringMatching(/rear crank seal/),
    );
  });

  it('puts a table that is read again in the place of the one before, and leaves the other loom alone', () => {
    const again: EntryBody = { ...pins('host'), pins: [{ plug: 'X', pin: '9', signal: 'horn' }] } as EntryBody;
    const state = folded(pins('host'), pins('engine'), again);
    expect(state.pins.get('host')).toEqual([{ plug: 'X', pin: '9', signal: 'horn' }]);
    expect(state.pins.get('engine')).toHaveLength(1);
  });
});

describe('what is renewed', () => {
  it('is renewed with what has come; else the old one goes back, and that stays open to the end', () => {
    const ready = workOn(startOf(plan), write, (now) => allLifted(now)).state;
    const decided = extend(ready, [write(renewed)]);
    const step = operationId.renew('clutch');
    const { state } = workOn(decided, write, (now) => nextUp(now)?.operation.id === step);
    const awaited = partsAwaitedAt(state, state.work.operations.get(step) as Operation);
    expect(awaited.length).toBeGreaterThan(0);
    const done = (more: object = {}) => write({ kind: 'operation-done', operation: step, ...more } as EntryBody);
    expect(canApply(state, done()).map(({ words }) => words)).toEqual([
      expect.stringMatching(/^Not here: .*\(needed\).*or that the old one goes back\.$/),
    ]);
    expect(canApply(state, done({ withOld: true }))).toEqual([]);
    const old = extend(state, [done({ withOld: true })]);
    expect(openItems(old).map(({ words }) => words)).toContain(
      `Not renewed, the old one went back: ${state.work.operations.get(step)?.title}`,
    );
    const here = extend(
      state,
      awaited.map(({ need }) => write({ kind: 'part-moved-on', need, to: 'arrived' })),
    );
    expect(canApply(here, done())).toEqual([]);
  });
});

describe('splices as steps', () => {
  const step = (id: string) => ({
    id: `splice-${id}`,
    title: `Join ${id}`,
    minutes: { low: 4, likely: 8, high: 18 },
    dueBy: 'start' as const,
  });
  const planned = (...ids: readonly string[]): EntryBody => ({ kind: 'splices-planned', steps: ids.map(step) });
  const made = (id: string): EntryBody => ({ kind: 'operation-done', operation: operationId.adapt(`splice-${id}`) });

  it('are done in the bay or before, and hold up the start, not the lowering', () => {
    const { work } = folded(planned('a', 'b'));
    const id = operationId.adapt('splice-a');
    expect(work.operations.get(id)).toMatchObject({ station: 'bay-top', phase: 'refit', minutes: { likely: 8 } });
    const waiting = (hold: 'pre-lower' | 'pre-start') =>
      (work.into.get(operationId.hold(hold)) ?? []).map(({ before }) => before);
    expect(waiting('pre-lower')).not.toContain(id);
    expect(waiting('pre-start')).toContain(id);
    expect(open(planned('a', 'b'), made('a')).filter((words) => /Join .$/.test(words))).toEqual(['Not done: Join b']);
  });

  it('are planned anew as long as nothing that was made is lost', () => {
    expect(folded(planned('a', 'b'), planned('b', 'c')).spliceSteps.map(({ id }) => id)).toEqual([
      'splice-b',
      'splice-c',
    ]);
    expect(refused([planned('a', 'b'), made('a')], planned('a'))).toEqual([]);
    expect(refused([planned('a', 'b'), made('a')], planned('b'))).toEqual([
      '“Join a” is made already and would belong to nothing. Take it back first.',
    ]);
    expect(refused([], planned('a', 'a'))).toEqual(['Two of those steps are one and the same.']);
  });
});

describe('how long something is given', () => {
  const guess = (more: object): EntryBody => ({
    kind: 'life-guessed',
    renewal: 'rear-crank-seal',
    yearsLeft: 4,
    ...more,
  });
  const years = (...bodies: readonly EntryBody[]) => yearsGiven(folded(...bodies)).get('rear-crank-seal');
  const goes = (kmPerYear?: number): EntryBody => ({
    kind: 'terms-set',
    yearsIn: 5,
    ...(kmPerYear === undefined ? {} : { kmPerYear }),
  });

  it('is what was said in years, or what the kilometres come to as far as it goes in a year', () => {
    expect(years(guess({}))).toBe(4);
    expect(years(guess({ kmLeft: 30_000 }))).toBe(4);
    expect(years(goes(10_000), guess({ kmLeft: 30_000 }))).toBe(3);
    expect(years(goes(10_000), guess({ kmLeft: 30_000 }), goes(15_000))).toBe(2);
    expect(years(goes(10_000), guess({ kmLeft: 30_000 }), guess({ yearsLeft: 6 }))).toBe(6);
  });
});

it('keeps of the terms what was said, and nothing in the place of what was not', () => {
  const bounds = { kmPerYear: 12_000, budgetCents: 90_000, budgetHours: 8 };
  expect(folded({ kind: 'terms-set', yearsIn: 5, ...bounds }).terms).toMatchObject({ yearsIn: 5, ...bounds });
  for (const bound of Object.keys(bounds))
    expect(folded({ kind: 'terms-set', yearsIn: 5 }).terms).not.toHaveProperty(bound);
});
