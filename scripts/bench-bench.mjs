/**
 * Measures what is reckoned at the bench: all three parts of a job derived and put in order on the largest layout, now
 * against later with the best sets within limits, a price list of fifty thousand lines, two looms of two hundred pins.
 * Core has to be built: `npm run bench:bench`.
 */
import { NOTHING_DECIDED } from '@brisk/core/bench';
import { RULES_NOW, waysOut } from '@brisk/core/connection-map';
import { bestSets, nowOrLater, USUAL_RATES, valueOf } from '@brisk/core/economics';
import { compose, TEMPLATES, usualMap } from '@brisk/core/layouts';
import { foldLedger } from '@brisk/core/ledger';
import { readPriceList } from '@brisk/core/parts';
import { spliceList } from '@brisk/core/pin-tables';
import { planned, usualSettings } from '@brisk/core/planning';
import { workOf } from '@brisk/core/work';

const tell = (figure, value, unit, more = {}) =>
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(4)), unit, ...more })}\n`);
const timed = (work) => {
  const began = performance.now();
  const value = work();
  return { value, ms: performance.now() - began };
};
const median = (values) => [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)];

const maps = TEMPLATES.map((template) => compose(template));
const map = maps.reduce((largest, one) => (one.connections.length > largest.connections.length ? one : largest));
const [way] = waysOut(map);
const plan = { map, powerpack: way.powerpack.id, route: way.route.id, rules: RULES_NOW };
const all = {
  ...NOTHING_DECIDED,
  now: new Set(map.renewals.map(({ id }) => id)),
  units: new Map([['engine', { becomes: 'exchange', comesWith: [] }]]),
};
const derived = Array.from({ length: 9 }, () => timed(() => workOf({ ...plan }, [], undefined, all)));
const [{ value: work }] = derived;
tell('derive out, bench and back with all renewed and another engine', median(derived.map(({ ms }) => ms)), 'ms', {
  layout: map.layout,
  steps: work.operations.size,
  atTheBench: [...work.operations.values()].filter(({ phase }) => phase === 'bench').length,
});
const decisions = [
  { kind: 'unit-decided', unit: 'engine', becomes: 'exchange', comesWith: [] },
  { kind: 'renewal-decided', renewals: map.renewals.map(({ id }) => id), doIt: 'now' },
].map((body, index) => ({ id: `entry-${index}`, at: '2026-03-02T07:00:00.000Z', by: 'Ines', ...body }));
const state = foldLedger(plan, decisions);
const settings = usualSettings(['Ines', 'Tobias']);
const halves = ['out', 'bench', 'back'].map((half) => timed(() => planned(state, half, settings, undefined)));
tell(
  'schedule out, bench and back of the same',
  halves.reduce((sum, { ms }) => sum + ms, 0),
  'ms',
);

const terms = { yearsIn: 5, lives: new Map(), rates: USUAL_RATES };
for (const layout of ['longitudinal-automatic', 'longitudinal-manual', 'heavy-tilt-cab']) {
  const usual = usualMap(layout);
  const [first] = waysOut(usual);
  const job = { map: usual, powerpack: first.powerpack.id, route: first.route.id, rules: RULES_NOW };
  const board = timed(() => nowOrLater(job, NOTHING_DECIDED, terms));
  tell('now or later, with the best set and the second', board.ms, 'ms', {
    layout,
    items: board.value.bargains.length,
  });
  const within = timed(() => bestSets(board.value.problem, { cash: 40_000, minutes: 480 }));
  tell('the best set within money and hours', within.ms, 'ms', { layout, branches: within.value.looked });
  if (board.value.bargains.length < 15) continue;
  const items = board.value.problem.items.slice(0, 15);
  const cut = (list) =>
    list
      .map((one) => ({ ...one, items: one.items.filter((item) => item < 15) }))
      .filter(({ items: some }) => some.length > 0);
  const fifteen = { items, now: cut(board.value.problem.now), later: cut(board.value.problem.later) };
  const exact = timed(() => bestSets(fifteen).best);
  const tried = timed(() => {
    let least = Infinity;
    for (let mask = 0; mask < 2 ** 15; mask += 1) {
      const value = valueOf(
        fifteen,
        items.flatMap((_, index) => ((mask >> index) & 1 ? [index] : [])),
      );
      least = Math.min(least, value.now + value.later);
    }
    return least;
  });
  tell('fifteen items: the exact set against all subsets', exact.ms, 'ms', {
    layout,
    allSubsetsMs: Math.round(tried.ms),
    same: Math.abs(exact.value.now + exact.value.later - tried.value) < 0.01,
  });
}

const rows = Array.from({ length: 50_000 }, (_, index) => ({
  No: `X ${index}`,
  Text: `clip ${index}`,
  Price: `${index % 90}.50`,
  Cur: 'EUR',
}));
const list = timed(() => readPriceList(rows, { number: 'No', name: 'Text', price: 'Price', currency: 'Cur' }, 'EUR'));
tell('a price list of 50,000 lines judged, in the worker', list.ms, 'ms', { lines: list.value.lines.length });

const THINGS = ['coolant', 'oil', 'fuel', 'air', 'throttle', 'crankshaft', 'camshaft', 'knock', 'exhaust', 'boost'];
const MORE = ['brake', 'clutch', 'gearbox', 'fan', 'alternator', 'starter', 'glow', 'vacuum', 'canister', 'wiper'];
const KINDS = [
  'temperature sensor',
  'pressure sensor',
  'position sensor',
  'valve',
  'relay',
  'lamp',
  'supply',
  'ground',
  'speed signal',
  'heater',
];
const OTHERWISE = [
  [/coolant/, 'water'],
  [/temperature/, 'temp'],
  [/sensor/, 'sender'],
  [/pressure/, 'press'],
  [/valve/, 'solenoid'],
  [/ground/, 'earth'],
  [/crankshaft/, 'crank'],
];
const things = [...THINGS, ...MORE];
const host = [];
const engine = [];
for (let at = 0; at < 200; at += 1) {
  const signal = `${things[at % 20]} ${KINDS[Math.floor(at / 20)]}`;
  host.push({ plug: `C${Math.floor(at / 30)}`, pin: String(at), signal, colour: 'red' });
  engine.push({
    plug: `X${Math.floor(at / 40)}`,
    pin: String(at),
    signal: at % 2 === 0 ? OTHERWISE.reduce((words, [from, to]) => words.replace(from, to), signal) : signal,
    colour: 'blue',
  });
}
const splices = timed(() => spliceList(host, [...engine].reverse()));
const right = splices.value.filter(
  ({ host: ours, engine: theirs }) => ours && theirs && ours.pin === theirs.pin,
).length;
tell('two looms of 200 pins, half renamed, colours swapped', splices.ms, 'ms', { rightPairs: right, of: 200 });
