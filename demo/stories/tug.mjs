import { completed, compose, templateOf } from '@brisk/core/layouts';
import { stopOf } from '@brisk/core/ledger';
import { spliceList, spliceSteps } from '@brisk/core/pin-tables';
import { interfacesOf, swapWork } from '@brisk/core/swap';
import { Crew, idFrom } from './crew.mjs';
import { literature, surveyOf } from './telling.mjs';
import { ENGINE_PINS, HOST_PINS } from './tug-pins.mjs';

/** A swap: the old mechanical diesel goes, a common-rail one from a wreck comes in. At the bench, with the donor looked at. */
export function tug() {
  const host = {
    layout: 'frame-four-wheel-drive',
    choices: { fuel: 'diesel-mechanical', boost: 'none', throttle: 'cable', exhaust: 'plain', refrigerant: 'none' },
    powerpack: 'engine-with-gearbox',
    route: 'top',
  };
  const donor = {
    name: 'Holmgate Fell, hit in the side, yard at Pell',
    layout: 'frame-four-wheel-drive',
    choices: completed(templateOf('frame-four-wheel-drive'), { fuel: 'diesel-rail', exhaust: 'catalyst' }),
    powerpack: 'engine-with-gearbox',
    note: 'They keep it for us until the first.',
    priceCents: 98_000,
    coreChargeCents: 15_000,
  };
  const surveyed = surveyOf(host);
  const sides = [
    { map: surveyed.plan.map, powerpack: host.powerpack },
    { map: compose(templateOf(donor.layout), donor.choices), powerpack: donor.powerpack },
  ];
  const decisions = {
    'charge-hose-hot': {
      decision: 'make',
      note: 'Cooler goes in front of the radiator, pipes from straight tube',
      minutes: 150,
    },
    'loom-control-unit': {
      decision: 'from-donor',
      note: 'Control unit behind the glove box, loom through the old grommet',
    },
    'fuel-feed': { decision: 'adapt', note: 'Low side stays; filter head from the donor', priceCents: 2_400 },
  };
  const crew = new Crew(
    'tug',
    {
      id: idFrom('tug'),
      createdAt: '2026-11-09T07:00:00.000Z',
      revision: 1,
      title: 'Tug 2: newer diesel from a wreck',
      machine: 'Holmgate Hauler, baggage tug no. 2',
      reason: 'swap',
      crew: ['Ruth', 'Tobias'],
      note: 'No more injection pumps to be had. Common rail goes in, gearbox and transfer box with it.',
      dueOn: '2027-01-15',
      ...surveyed,
      plan: { ...surveyed.plan, ...swapWork(interfacesOf(...sides), decisions) },
      swap: {
        donor,
        found: {
          impact: 'side',
          intake: 'clean',
          'front-cover': 'whole',
          pulley: 'true',
          harness: 'whole',
          mounts: 'torn',
          turns: 'even',
          oil: 'black',
          ran: 'ran',
          distance: 'middle',
          underside: 'damp',
        },
        decisions,
        pulled: {
          'control-unit': { got: true },
          'forgotten-2': { got: true },
          'forgotten-3': { got: true, note: 'cut with a hand of lead' },
          engine: { got: true, priceCents: 98_000, coreChargeCents: 15_000 },
          gearbox: { got: true },
          starter: { got: true, fit: 'same' },
          alternator: { got: false, fit: 'from-host', note: 'ours is new' },
        },
      },
    },
    '2026-11-09',
  );
  const looms = literature('tug-loom-notes.pdf', 'Loom and bell notes', 3);
  const cooling = literature('tug-cooling.txt', 'Cooling: fill and bleed', 1);
  const pinned = ({ file }, page, to, words) => ({ kind: 'page-pinned', file, page, to, words });
  crew.write(
    'Ruth',
    8,
    looms,
    cooling,
    pinned(looms, 3, { connection: 'bell-housing' }, 'Where the three long ones go'),
    pinned(looms, 1, { connection: 'loom-bulkhead' }, 'Plug faces'),
    pinned(looms, 2, { part: 'loom' }, 'What each pin carries'),
    pinned(cooling, 1, { part: 'radiator' }, 'Filling and where it holds air'),
    {
      kind: 'page-marked',
      file: looms.file,
      page: 3,
      marks: [
        {
          kind: 'arrow',
          from: { x: 0.02, y: 0.2 },
          to: { x: 0.13, y: 0.297 },
          words: 'Bracket under this head',
        },
      ],
    },
  );
  crew.workUntil((state) => stopOf(state) === 'bench');
  crew.write('Ruth', 5, {
    kind: 'part-needed',
    need: idFrom('tug mounts'),
    name: 'Engine mount rubber',
    quantity: 2,
    reason: 'Donor’s are torn',
  });
  crew.write('Tobias', 8, {
    kind: 'noted',
    text: 'Exhaust flange of the donor is 5 mm wider. New gasket cut, holes filed.',
  });
  const dressed = [
    ...['starter', 'high-pressure-pump', 'intake-manifold', 'vacuum-pump', 'fan', 'flywheel', 'front-pulley'],
    ...['turbo', 'gas-valve'],
  ];
  const onMap = new Set(crew.state.plan.map.parts.map(({ id }) => id));
  crew.write(
    'Ruth',
    6,
    {
      kind: 'unit-decided',
      unit: 'engine',
      becomes: 'donor',
      comesWith: dressed.filter((id) => onMap.has(id)),
      why: 'Ours is the newer alternator; all else stays as it came',
      causeOfDeath: 'Injection pump worn out, and no more to be had',
    },
    {
      kind: 'unit-decided',
      unit: 'gearbox',
      becomes: 'donor',
      comesWith: ['transfer-box'],
      why: 'It goes with its engine',
      causeOfDeath: 'Nothing: it is kept as a spare',
    },
    { kind: 'terms-set', yearsIn: 6, kmPerYear: 4_000, budgetCents: 60_000, budgetHours: 24 },
  );
  crew.write(
    'Tobias',
    12,
    { kind: 'life-guessed', renewal: 'water-pump', yearsLeft: 2 },
    { kind: 'life-guessed', renewal: 'clutch', yearsLeft: 7, kmLeft: 28_000 },
    { kind: 'renewal-decided', renewals: ['water-pump', 'thermostat', 'rear-hoses'], doIt: 'now' },
    {
      kind: 'renewal-decided',
      renewals: ['clutch'],
      doIt: 'later',
      reason: 'Disc 8.1 mm at the yard: two thirds are left',
    },
  );
  const hallberg = (need, number, priceCents, more = {}) => ({
    kind: 'part-priced',
    need,
    supplier: 'Hallberg Parts',
    number,
    priceCents,
    ...more,
  });
  crew.write(
    'Ruth',
    15,
    hallberg('water-pump-1', 'HB 2210-4', 6_890, { coreChargeCents: 1_500, coreDueOn: '2027-01-08' }),
    hallberg('thermostat-1', 'HB 2215-1', 2_150),
    hallberg('rear-hoses-1', 'HB 2291-7', 1_640),
    hallberg(idFrom('tug mounts'), 'HB 1105-2', 4_380),
    { kind: 'part-moved-on', need: 'water-pump-1', to: 'ordered', expectedOn: '2026-12-02' },
    { kind: 'part-moved-on', need: 'thermostat-1', to: 'ordered' },
    { kind: 'part-moved-on', need: 'rear-hoses-1', to: 'ordered' },
  );
  crew.write('Tobias', 5, {
    kind: 'cost-noted',
    cost: idFrom('tug bender'),
    sort: 'tool-hire',
    name: 'Pipe bender, two days',
    cents: 4_600,
  });
  crew.comeBackOn('2026-11-16');
  crew.write(
    'Tobias',
    10,
    { kind: 'part-moved-on', need: 'thermostat-1', to: 'arrived' },
    {
      kind: 'part-compared',
      need: 'thermostat-1',
      compared: [
        { what: 'size', same: true },
        { what: 'fixing holes or threads', same: true },
      ],
    },
    { kind: 'part-moved-on', need: 'rear-hoses-1', to: 'arrived' },
    {
      kind: 'part-compared',
      need: 'rear-hoses-1',
      compared: [
        { what: 'length', same: false, note: '40 mm short' },
        { what: 'bore at both ends', same: true },
        { what: 'bends and which way they point', same: true },
      ],
    },
  );
  for (let step = 0; step < 6; step += 1) crew.step();
  crew.write('Ruth', 30, { kind: 'pins-read', loom: 'host', pins: HOST_PINS });
  crew.write('Ruth', 20, { kind: 'pins-read', loom: 'engine', pins: ENGINE_PINS });
  crew.write('Tobias', 12, { kind: 'splice-done', splice: 'H1.2-E1.2' }, { kind: 'splice-done', splice: 'H1.5-E2.4' });
  const left = spliceList(HOST_PINS, ENGINE_PINS).filter(({ id }) => !crew.state.splices.has(id));
  crew.write('Ruth', 3, { kind: 'splices-planned', steps: spliceSteps(left) });
  crew.write('Tobias', 2, { kind: 'fill-planned', circuit: 'engine-oil', cansL: [1, 5], priming: 'gallery' });
  return crew;
}
