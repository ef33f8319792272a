/**
 * Writes the demo scenario: the ground-support shed of Larkmoor, a small regional airfield. Every job is worked by a
 * made-up crew through the same rules as a real one, so nothing in it could not have been recorded. Run it with
 * `npm run demo:data` after a build; the bundles it writes are checked in.
 */
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { completed, compose, templateOf } from '@brisk/core/layouts';
import { RULES_NOW } from '@brisk/core/connection-map';
import { gateOf, hasRun, isDone, isOpen, jointNow, nextUp, openItems, setsOf, stopOf } from '@brisk/core/ledger';
import { findWay, hangingKg, legsOf, liftFor, movesToTake } from '@brisk/core/lift';
import { positionsOf } from '@brisk/core/fasteners';
import { interfacesOf, swapWork } from '@brisk/core/swap';
import { LIFT, usualSettings } from '@brisk/core/planning';
import { lookAtOf } from '@brisk/core/survey';
import { spliceList, spliceSteps } from '@brisk/core/pin-tables';
import { CAUSES, TESTS, withComplaint } from '@brisk/core/diagnosis';
import { Crew, idFrom } from './stories/crew.mjs';
import { ENGINE_PINS, HOST_PINS } from './stories/tug-pins.mjs';

const TROUBLE = withComplaint({ tests: TESTS, causes: CAUSES });

/** What a survey of the shed’s longitudinal diesels comes to: both are alike in what was asked. */
const LENGTHWISE = { layout: 'longitudinal-automatic', choices: {}, powerpack: 'engine-with-gearbox', route: 'top' };

function surveyOf({ layout, choices, powerpack, route, unsure = [] }) {
  const template = templateOf(layout);
  const chosen = completed(template, choices);
  const lookAt = lookAtOf(unsure, chosen);
  return {
    plan: {
      map: compose(template, chosen),
      powerpack,
      route,
      ...(lookAt.length > 0 ? { lookAt } : {}),
      rules: RULES_NOW,
    },
    survey: { layout, choices: chosen },
  };
}

/** One of the sample photos, as a ledger names it, pinned where it belongs. */
function photo(name, pinnedTo, words) {
  const file = readFileSync(new URL(`photos/${name}.jpg`, import.meta.url));
  return {
    kind: 'photo-taken',
    photo: createHash('sha256').update(file).digest('hex'),
    widthPx: 1600,
    heightPx: 1200,
    pinnedTo,
    words,
  };
}

/** One of the sample files of the literature, as a ledger names it. */
function literature(name, title, pages) {
  const bytes = readFileSync(new URL(`literature/${name}`, import.meta.url));
  const [, ending] = name.split('.');
  return {
    kind: 'literature-added',
    file: `${createHash('sha256').update(bytes).digest('hex')}.${ending}`,
    title,
    type: ending === 'pdf' ? 'pdf' : 'text',
    pages,
    bytes: bytes.length,
  };
}

function begin(name, createdOn, head, survey = LENGTHWISE) {
  const job = { id: idFrom(name), createdAt: `${createdOn}T07:00:00.000Z`, revision: 1, ...head, ...surveyOf(survey) };
  return new Crew(name, job, createdOn);
}

/** A test of the trouble board with its answer, as the board writes it. */
function troubleTest(id, answer) {
  const { asked, answers } = TROUBLE.tests.find((test) => test.id === id);
  const { words } = answers.find((one) => one.id === answer);
  return { kind: 'trouble-test-done', test: id, asked, answer, answered: words };
}

/** A pattern with something odd about one of its holes. */
function withNote(pattern, hole, note) {
  return { ...pattern, holes: pattern.holes.map((one, index) => (index === hole ? { ...one, note } : one)) };
}

/** What a tape gave, plane by plane. */
function measured(crew, by, planes) {
  for (const [plane, mm] of Object.entries(planes)) crew.write(by, 1, { kind: 'machine-measured', plane, mm });
}

function minibus() {
  const crew = begin('minibus', '2026-11-18', {
    title: 'Minibus: slips when warm',
    machine: 'Aldwick Tern 2.6 D, crew minibus no. 7',
    reason: 'same-back',
    crew: ['Ines', 'Tobias'],
    note: 'Gearbox slips into third when warm. Comes out with the engine; the rear seal is weeping anyway.',
    dueOn: '2026-12-04',
  });
  crew.write('Ines', 5, { kind: 'noted', text: 'Scratch on the left wing was there before. Photo on the shed phone.' });
  crew.workUntil((state) => isDone(state, 'remove:heat-shield'), {
    'open:steering-pump-bolts': (now) => {
      now.write(
        'Ines',
        2,
        photo('pump-aside', { operation: 'open:steering-pump-bolts' }, 'Pump swung aside, hoses on'),
      );
      now.step({ note: 'one 15 mm shorter, top; strap round the wing', kept: 'card' });
    },
    'open:undertray-screws': (now) => {
      now.write(
        'Tobias',
        1,
        photo('undertray-screws', { operation: 'open:undertray-screws' }, 'Two were missing already'),
      );
      now.step({ count: 10, note: 'two sheet screws were missing already' });
    },
    'open:heat-shield-nuts': (now) => {
      now.write(
        'Tobias',
        1,
        photo('shield-before', { operation: 'open:heat-shield-nuts' }, 'Shield before it came off'),
      );
      now.step();
    },
  });
  crew.write('Tobias', 4, {
    kind: 'part-needed',
    need: idFrom('minibus washers'),
    name: 'Large washers for the heat shield',
    quantity: 4,
    reason: 'Nuts pull through the shield',
  });
  measured(crew, 'Ines', { bulkhead: 372, cowl: 931, slam: 455, radiator: 44, pulley: 581, crank: 448, top: 419 });
  crew.workUntil((state) => state.progress.get('open:downpipe-turbo')?.is === 'stuck', {
    'open:downpipe-turbo': (now) =>
      now.write('Tobias', 25, {
        kind: 'operation-stuck',
        operation: 'open:downpipe-turbo',
        trouble: 'rounded',
        tried: 'Two nuts came with heat. The upper one is round; penetrant on it over night, then the extractor.',
        minutesLost: 25,
        means: ['penetrant', 'heat'],
        soakMin: 720,
      }),
  });
  crew.write('Tobias', 2, {
    kind: 'part-needed',
    need: idFrom('minibus nuts'),
    name: 'Copper nuts M8 for the turbocharger',
    quantity: 3,
    reason: 'Single use, one rounded',
    operation: 'open:downpipe-turbo',
  });
  const nuts = photo('turbo-nuts', { operation: 'open:downpipe-turbo' }, 'Upper nut at the turbocharger is round');
  crew.write('Tobias', 1, nuts, {
    kind: 'photo-marked',
    photo: nuts.photo,
    marks: [
      { kind: 'ring', from: { x: 0.6, y: 0.333 }, to: { x: 0.655, y: 0.333 }, words: 'this one' },
      { kind: 'arrow', from: { x: 0.25, y: 0.85 }, to: { x: 0.5, y: 0.57 }, words: 'came with heat' },
    ],
  });
  crew.write('Ines', 2, photo('loom-tags', { tag: 11 }, 'Plugs behind the engine, tags 11 to 13'));
  crew.write('Ines', 2, {
    kind: 'set-described',
    connection: 'steering-pump-bolts',
    sets: [
      { count: 1, what: 'M8×1.25 × 60, 13 mm', note: 'top, with the spacer', washers: ['wave', 'flat'] },
      { count: 2, what: 'M8×1.25 × 75, 13 mm' },
    ],
  });
  crew.write('Ines', 2, {
    kind: 'pattern-drawn',
    connection: 'steering-pump-bolts',
    pattern: withNote(positionsOf('circle', setsOf(crew.state, 'steering-pump-bolts'), 96, 96), 0, 'the short one'),
  });
  crew.write(
    'Tobias',
    3,
    { kind: 'fasteners-judged', connection: 'heat-shield-nuts', set: 0, count: 2, condition: 'corroded' },
    {
      kind: 'bolt-found',
      bolt: idFrom('minibus loose 1'),
      measured: { form: 'bolt', diameterMm: 7.86, lengthMm: 24.6, drive: 'hex', driveSize: 13 },
      where: 'on the crossmember, left',
    },
    {
      kind: 'bolt-found',
      bolt: idFrom('minibus loose 2'),
      measured: { form: 'bolt', diameterMm: 5.88, lengthMm: 16.3, driveSize: 10 },
      where: 'in the undertray',
    },
    {
      kind: 'bolt-found',
      bolt: idFrom('minibus loose 3'),
      measured: { form: 'screw', lengthMm: 16.2, drive: 'star', driveSize: 25 },
      where: 'swept up under the lift',
    },
    photo('loose-bolts', {}, 'Three nobody can place'),
  );
  crew.write('Ines', 3, {
    kind: 'noted',
    text: 'Old cable ties on the loom by the bell housing. New ones on the way back.',
  });
  return crew;
}

function deicer() {
  const crew = begin('de-icer', '2026-10-19', {
    title: 'De-icer: exchange engine',
    machine: 'Marram Frost 8, de-icer carrier',
    reason: 'exchange',
    crew: ['Ruth', 'Kamal'],
    note: 'Burns a litre of oil a day. Exchange engine from stock, own gearbox.',
    dueOn: '2026-11-27',
  });
  crew.workUntil((state) => stopOf(state) === 'lift', {
    'open:loom-bell-clips': { note: 'upper bolt only with the long extension from behind' },
    'open:downpipe-turbo': (now) => {
      if (!now.state.progress.has('open:downpipe-turbo'))
        now.write(
          'Kamal',
          20,
          {
            kind: 'operation-stuck',
            operation: 'open:downpipe-turbo',
            trouble: 'seized',
            tried: 'Penetrant and half an hour, then the six-point socket on a long bar',
            minutesLost: 20,
            means: ['penetrant', 'leverage'],
            soakMin: 30,
          },
          {
            kind: 'noted',
            text: 'Never without soaking: half an hour of penetrant, six-point socket, then they come whole.',
            operation: 'open:downpipe-turbo',
            house: true,
          },
        );
    },
    'open:oil-pressure': (now) => {
      now.write('Ruth', 1, {
        kind: 'noted',
        text: 'The catch is brittle: warm it with the hand first, then press from below.',
        operation: 'open:oil-pressure',
        house: true,
      });
      now.step();
    },
  });
  crew.workUntil((state) => stopOf(state) === 'bench');
  crew.write('Ruth', 6, {
    kind: 'part-needed',
    need: idFrom('de-icer seal'),
    name: 'Rear crank seal',
    quantity: 1,
    reason: 'New while it is out: eleven hours to reach it later',
  });
  crew.write('Ruth', 3, {
    kind: 'part-needed',
    need: idFrom('de-icer mounts'),
    name: 'Engine mount',
    quantity: 2,
    reason: 'Rubber torn on the left one',
  });
  crew.write('Kamal', 4, {
    kind: 'part-needed',
    need: idFrom('de-icer plug'),
    name: 'Plug body for the exhaust temperature sensor',
    quantity: 1,
    reason: 'Catch broke off',
  });
  crew.write('Kamal', 10, {
    kind: 'noted',
    text: 'Exchange engine came without the oil level sensor. Ours moved over, new washer.',
  });
  crew.comeBackOn('2026-11-09');
  crew.write(
    'Ruth',
    5,
    { kind: 'part-arrived', need: idFrom('de-icer seal') },
    { kind: 'part-arrived', need: idFrom('de-icer mounts') },
  );
  crew.workUntil((state) => stopOf(state) === 'first-start', {
    'close:exhaust-sensor': (now) =>
      now.write('Kamal', 2, {
        kind: 'left-on-purpose',
        connection: 'exhaust-sensor',
        reason: 'Plug body is on order; warning lamp is expected until then.',
      }),
    'close:compressor-bolts': { count: 2, countAccepted: 'Third hole is stripped; insert on order' },
    'torque:mount-left': { torque: [66.0, 75.4] },
    'torque:downpipe-turbo': {
      torque: [21.5],
      accepted: 'No straight reach for the wrench; checked cold, again after the heat cycle',
    },
  });
  crew.workUntil((state) => isDone(state, 'check:prime-fuel'));
  const attempt = (minutes, voltsBefore, voltsLowest, crankSeconds, result) =>
    crew.write('Ruth', minutes, { kind: 'start-attempted', voltsBefore, voltsLowest, crankSeconds, result });
  attempt(4, 12.3, 10.1, 9, 'cranks');
  attempt(3, 12.1, 9.7, 10, 'cranks');
  attempt(4, 11.9, 9.3, 10, 'cranks');
  crew.write('Ruth', 2, troubleTest('complaint', 'no-start'));
  crew.write('Kamal', 5, troubleTest('bubbles', 'bubbles'));
  crew.write(
    'Kamal',
    6,
    {
      kind: 'issue-opened',
      issue: idFrom('de-icer lamp'),
      title: 'Exhaust temperature lamp',
      sort: 'still-unplugged',
      connection: 'exhaust-sensor',
    },
    {
      kind: 'issue-opened',
      issue: idFrom('de-icer gearbox'),
      title: 'Gearbox warning while cranking',
      sort: 'low-voltage',
    },
    {
      kind: 'issue-opened',
      issue: idFrom('de-icer fuel'),
      title: 'Turns, no fuel pressure at the rail',
      sort: 'real',
      connection: 'rail-sensor',
    },
  );
  crew.write('Ruth', 5, {
    kind: 'issue-opened',
    issue: idFrom('de-icer glow'),
    title: 'Glow lamp fault from before',
    sort: 'stored',
  });
  crew.write('Ruth', 4, { kind: 'issue-closed', issue: idFrom('de-icer glow'), how: 'Cleared; did not come back' });
  crew.write('Kamal', 3, { kind: 'noted', text: 'Battery on the 4 A charger over night. No more cranking today.' });
  return crew;
}

function sweeper() {
  const crew = begin(
    'sweeper',
    '2026-11-20',
    {
      title: 'Sweeper: coolant in the oil',
      machine: 'Corvane Brush 3, runway sweeper',
      reason: 'same-back',
      crew: ['Tobias', 'Ruth'],
      note: 'Petrol engine of the brush. Waits for the minibus to free the lift.',
      dueOn: '2026-12-18',
    },
    {
      layout: 'transverse-cradle',
      choices: {
        fuel: 'petrol-port',
        boost: 'none',
        throttle: 'cable',
        steering: 'hydraulic',
        oilCooler: 'yes',
        gasReturn: 'yes',
      },
      unsure: ['oilCooler', 'gasReturn'],
      powerpack: 'cradle',
      route: 'under',
    },
  );
  const settings = usualSettings(crew.job.crew);
  crew.follow('Ruth', 10, { ...settings, school: { order: 'by-system', fuel: 'last' } });
  crew.follow('Tobias', 25, {
    ...settings,
    pins: [{ of: 'remove:airbox', before: 'remove:airbox', after: 'open:gear-cable-select' }],
  });
  measured(crew, 'Ruth', { radiator: 150, tail: 332 });
  return crew;
}

/** A swap: the old mechanical diesel goes, a common-rail one from a wreck comes in. At the bench, with the donor looked at. */
function tug() {
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

/** An exchange engine on the stand, half dressed with what the old one had. */
function pickup() {
  const crew = begin(
    'pickup',
    '2026-11-16',
    {
      title: 'Pickup: exchange engine',
      machine: 'Aldwick Heron 2.0, apron pickup no. 1',
      reason: 'exchange',
      crew: ['Ines', 'Kamal'],
      note: 'Knocked, then stood. Exchange engine without outer parts; its own gearbox stays.',
      dueOn: '2026-12-08',
    },
    {
      layout: 'longitudinal-manual',
      choices: { fuel: 'petrol-port', throttle: 'cable', steering: 'hydraulic', refrigerant: 'none' },
      powerpack: 'engine-with-gearbox',
      route: 'top',
    },
  );
  crew.write('Ines', 4, {
    kind: 'unit-decided',
    unit: 'engine',
    becomes: 'exchange',
    comesWith: [],
    why: 'Bearing shells in the sump',
    causeOfDeath: 'Big end of cylinder 3: ran low on oil',
  });
  crew.write(
    'Kamal',
    6,
    {
      kind: 'part-priced',
      need: 'unit-engine',
      supplier: 'Norden Engine Exchange',
      number: 'NE 20-774',
      priceCents: 168_000,
      coreChargeCents: 40_000,
      coreDueOn: '2027-01-15',
    },
    { kind: 'part-moved-on', need: 'unit-engine', to: 'ordered', expectedOn: '2026-11-20' },
    { kind: 'renewal-decided', renewals: ['clutch', 'rear-crank-seal', 'release-bearing'], doIt: 'now' },
  );
  crew.workUntil((state) => stopOf(state) === 'bench');
  crew.write('Ines', 3, { kind: 'part-moved-on', need: 'unit-engine', to: 'arrived' });
  crew.write('Ines', 3, {
    kind: 'part-compared',
    need: 'unit-engine',
    compared: [
      { what: 'number on the plate', same: true },
      { what: 'bell face and bolt pattern', same: true },
      { what: 'bosses, sensors and outlets', same: true },
    ],
  });
  crew.write(
    'Ines',
    20,
    { kind: 'looked-at', look: 'filter-metal', finding: 'bad', note: 'Copper and bright flakes' },
    { kind: 'looked-at', look: 'sump-metal', finding: 'bad' },
    { kind: 'looked-at', look: 'crank-play', finding: 'bad' },
    { kind: 'looked-at', look: 'clutch-thickness', finding: 'watch' },
    { kind: 'looked-at', look: 'mount-rubber', finding: 'good' },
    { kind: 'looked-at', look: 'hoses-age', finding: 'watch' },
    {
      kind: 'unit-measured',
      reading: 'compression',
      values: [11.4, 11.2, 8.1, 11.5],
      low: 9.5,
      note: 'old engine, cold, throttle open',
    },
  );
  const place = (part, more) => ({ kind: 'part-placed', part, owner: 'host', condition: 'as-it-came', ...more });
  crew.write(
    'Kamal',
    15,
    place('bonnet', { place: 'shelf', where: 'north wall, on foam' }),
    place('radiator', { place: 'shelf', where: 'rack 2', condition: 'cleaned' }),
    place('propshaft', { place: 'shelf', where: 'rack 1', condition: 'checked' }),
    place('flywheel', { place: 'machine-shop', where: 'Pell Machining', waitsFor: 'facing', number: 'FW 2231' }),
  );
  crew.workUntil((state) => isDone(state, 'shift:change-engine'));
  crew.write('Kamal', 4, {
    kind: 'part-placed',
    part: 'flywheel',
    owner: 'host',
    place: 'bench',
    condition: 'repaired',
    reason: 'Faced by 0.3 mm',
  });
  crew.write('Kamal', 3, place('engine', { place: 'old-unit', where: 'pallet by the gate', number: '20-4417' }));
  crew.workUntil((state) => nextUp(state)?.operation.id === 'torque:bell-housing', {
    'do:clutch-on': {
      seat: [{ kind: 'seat-measured', operation: 'do:clutch-on', readingsMm: [36.4, 36.1, 36.3], figureMm: 36 }],
    },
  });
  const { order, stages } = jointNow(crew.state, 'bell-housing');
  const tight = (stage, bolts) => ({
    kind: 'bolts-tightened',
    connection: 'bell-housing',
    stage,
    bolts,
    read: { value: Number(stages[stage].nm.toFixed(1)), unit: 'N·m' },
    wrench: { id: 'half', name: '1/2 in, 40–330 N·m', range: { lowestNm: 40, highestNm: 330 } },
  });
  crew.write('Kamal', 3, tight(0, order));
  for (const bolt of order.slice(0, 3)) crew.write('Kamal', 1, tight(1, [bolt]));
  return crew;
}

/** A small engine on a deck: its lower seal weeps onto the belt. Half back together. */
function loader() {
  const crew = begin(
    'loader',
    '2026-11-02',
    {
      title: 'Belt loader: front crank seal',
      machine: 'Corvane Ramp 4, belt loader no. 2',
      reason: 'same-back',
      crew: ['Kamal', 'Ines'],
      note: 'Oil on the drive belt; it slips when two cases lie on it.',
      dueOn: '2026-11-30',
    },
    { layout: 'utility-belt', choices: { fuel: 'carburettor' }, powerpack: 'engine', route: 'top' },
  );
  crew.workUntil((state) => stopOf(state) === 'bench', {
    'open:deck-front': (now) => {
      now.write(
        'Kamal',
        1,
        photo('mount-out', { operation: 'open:deck-front' }, 'Where it stood on the deck, painted'),
      );
      now.step();
    },
    'open:drive-belt-off': { note: 'arrow points to the guard' },
  });
  crew.write('Ines', 4, {
    kind: 'part-needed',
    need: idFrom('loader seal'),
    name: 'Front crank seal',
    quantity: 1,
    reason: 'The reason it came out',
  });
  crew.write('Kamal', 3, {
    kind: 'part-needed',
    need: idFrom('loader belt'),
    name: 'Drive belt to the gearbox',
    quantity: 1,
    reason: 'Soaked with oil, it never grips again',
  });
  crew.comeBackOn('2026-11-19');
  crew.write('Kamal', 5, { kind: 'part-arrived', need: idFrom('loader seal') });
  // The yard is at minus twenty in February; the mix is worked out before anything is poured.
  crew.write('Kamal', 4, {
    kind: 'fill-planned',
    circuit: 'coolant',
    freezingC: -30,
    shareInside: 0.33,
    cansL: [1, 5],
  });
  crew.workUntil((state) => isDone(state, 'torque:deck-front'));
  crew.write(
    'Ines',
    2,
    photo('mount-back', { operation: 'close:deck-rear' }, 'To the paint, straight edge along the pulleys'),
  );
  crew.write('Kamal', 6, {
    kind: 'torque-read',
    connection: 'deck-rear',
    wrench: 'three-eighths',
    read: { value: 21.5, unit: 'N·m' },
  });
  return crew;
}

/** One that hangs half-way: its moves reckoned from what was measured, a snag felt, found and put on the map. */
function tractor() {
  const crew = begin(
    'tractor',
    '2026-11-16',
    {
      title: 'Tractor 3: clutch slips',
      machine: 'Halden Mule 1.9, baggage tractor no. 3',
      reason: 'same-back',
      crew: ['Mika', 'Kamal'],
      note: 'Slips under a full train of carts. Clutch, release bearing and rear seal while it is out.',
      dueOn: '2026-12-01',
    },
    { layout: 'longitudinal-manual', choices: {}, powerpack: 'engine-with-gearbox', route: 'top' },
  );
  measured(crew, 'Mika', { bulkhead: 368, cowl: 946, slam: 462, radiator: 52, pulley: 566, crank: 452, top: 414 });
  crew.workUntil((state) => stopOf(state) === 'lift');
  const lift = liftFor(crew.state);
  const [leg] = legsOf(lift);
  const { moves, back } = last(findWay(lift, 0, () => undefined));
  crew.write('Mika', 6, {
    kind: 'moves-taken',
    ...movesToTake(crew.state.plan, lift, [{ leg, moves, ...(back ? { back: back.moves } : {}) }]),
  });
  crew.workUntil((state) => isDone(state, 'lift:first-inch'));
  crew.write('Kamal', 2, { kind: 'load-read', kg: Math.round(hangingKg(crew.state) * 1.28), lagging: 'rear' });
  crew.write('Kamal', 4, {
    kind: 'connection-found',
    alreadyOpen: false,
    connection: {
      id: 'found-bell-strap',
      name: 'the second ground strap behind the bell housing',
      kind: 'ground',
      between: ['gearbox', 'body'],
      station: 'underside',
      height: 'raised',
    },
  });
  crew.workUntil((state) => isOpen(state, 'found-bell-strap') && gateOf(state, 'pre-lift').signed !== undefined);
  crew.write('Kamal', 3, { kind: 'load-read', kg: Math.round(hangingKg(crew.state)) + 4 });
  const half = crew.state.moves.out.length / 2;
  crew.workUntil((state) => isDone(state, `lift:move-${Math.ceil(half)}`));
  return crew;
}

/** One whose way is barred: a shroud was put off, and with it on the engine does not come past the cowl. */
function van() {
  const crew = begin(
    'van',
    '2026-11-17',
    {
      title: 'Ramp van: gearbox howls',
      machine: 'Halden Post 1.9, ramp van no. 5',
      reason: 'same-back',
      crew: ['Tobias', 'Mika'],
      note: 'Howls in third and fourth. Comes out with the engine; clutch looked at while it is apart.',
      dueOn: '2026-12-08',
    },
    { layout: 'longitudinal-manual', choices: {}, powerpack: 'engine-with-gearbox', route: 'top' },
  );
  measured(crew, 'Tobias', { bulkhead: 368, cowl: 946, slam: 462, radiator: 52, pulley: 566, crank: 452, top: 414 });
  crew.workUntil(onlyPutOff, {
    'remove:fan-shroud': (now) =>
      now.write('Tobias', 3, {
        kind: 'operation-skipped',
        operation: 'remove:fan-shroud',
        mode: 'later',
        reason: 'Lower clip is behind the hose; it may stay as it is',
      }),
  });
  return crew;
}

/** Whether what comes next is what was put off: everything else before the lift is done. */
function onlyPutOff(state) {
  const next = nextUp(state)?.operation.id;
  return next !== undefined && state.progress.get(next)?.is === 'skipped';
}

function last(generator) {
  for (let step = generator.next(); ; step = generator.next()) if (step.done) return step.value;
}

/** A heavy one under a tilting cab, finished: the record of a whole job, with one connection nobody knew of. */
function tender() {
  const crew = begin(
    'tender',
    '2026-09-07',
    {
      title: 'Fire tender: broken mount',
      machine: 'Holmgate Rescue 2, fire tender',
      reason: 'same-back',
      crew: ['Ines', 'Kamal'],
      note: 'Front mount torn through. The gantry of the fire station is lent for two days.',
      dueOn: '2026-09-30',
    },
    {
      layout: 'heavy-tilt-cab',
      choices: { fuel: 'diesel-rail', voltage: '12' },
      powerpack: 'engine-with-gearbox',
      route: 'top',
    },
  );
  crew.workUntil((state) => stopOf(state) === 'bench', {
    'open:flex-clamp-turbo': (now) => {
      if (!now.state.progress.has('open:flex-clamp-turbo'))
        now.write(
          'Kamal',
          20,
          {
            kind: 'operation-stuck',
            operation: 'open:flex-clamp-turbo',
            trouble: 'seized',
            tried: 'Soaked, then the T bolt turned round in the band',
            minutesLost: 20,
            means: ['penetrant', 'leverage'],
            soakMin: 30,
          },
          {
            kind: 'noted',
            text: 'Band clamps of the hot side are cut and bought new: an hour saved each time.',
            operation: 'open:flex-clamp-turbo',
            house: true,
          },
          photo('ground-strap', { connection: 'engine-ground' }, 'Engine strap, both ends'),
        );
    },
    'open:range-switches': (now) =>
      now.write(
        'Ines',
        6,
        {
          kind: 'connection-found',
          alreadyOpen: false,
          connection: {
            id: 'found-siren-ground',
            name: 'a siren ground on the gearbox bolt',
            kind: 'ground',
            between: ['gearbox', 'body'],
            station: 'underside',
            height: 'either',
          },
        },
        {
          kind: 'operation-skipped',
          operation: 'open:range-switches',
          mode: 'later',
          reason: 'Siren ground is in front of it',
        },
      ),
  });
  crew.comeBackOn('2026-09-21');
  crew.workUntil((state) => stopOf(state) === 'first-start');
  crew.workUntil((state) => isDone(state, 'check:prime-fuel'));
  crew.write('Ines', 3, {
    kind: 'start-attempted',
    voltsBefore: 12.7,
    voltsLowest: 10.6,
    crankSeconds: 7,
    result: 'cranks',
  });
  crew.write('Ines', 2, troubleTest('complaint', 'no-start'));
  crew.write('Kamal', 6, troubleTest('bubbles', 'bubbles'));
  crew.write('Kamal', 12, {
    kind: 'cause-found',
    cause: 'air-in-fuel',
    name: 'There is air in the fuel: not bled, or a joint draws it',
    mended: 'Union of the tank feed was finger tight; tightened, bled at the filter',
  });
  crew.write('Ines', 2, {
    kind: 'start-attempted',
    voltsBefore: 12.5,
    voltsLowest: 10.4,
    crankSeconds: 5,
    result: 'runs',
  });
  crew.workUntil((state) => hasRun(state) && isDone(state, 'check:on-its-wheels'));
  crew.write('Ines', 10, {
    kind: 'handed-over',
    openItems: openItems(crew.state).length,
    note: 'Siren ground is on the map now.',
  });
  const looks = [
    { look: idFrom('tender cold'), what: 'Cold, next morning: every level', dueOn: '2026-10-01' },
    {
      look: idFrom('tender mount'),
      what: 'New front mount: its nut, the rubber, the gap',
      dueOn: '2026-11-20',
      afterKm: 200,
    },
  ];
  crew.write('Ines', 4, ...looks.map((look) => ({ kind: 'second-look-planned', ...look })));
  crew.comeBackOn('2026-10-01');
  crew.write('Kamal', 9, { kind: 'second-look-done', look: looks[0].look, note: 'A quarter litre of coolant' });
  return crew;
}

for (const crew of [minibus(), deicer(), sweeper(), tug(), loader(), tractor(), van(), pickup(), tender()]) {
  const bundle = {
    format: 'brisk-ledger-job',
    version: 3,
    exportedAt: '2026-11-21T08:00:00.000Z',
    job: crew.job,
    ledgerLength: crew.entries.length,
    ledger: crew.entries,
  };
  writeFileSync(new URL(`larkmoor/${crew.name}.brisk.json`, import.meta.url), `${JSON.stringify(bundle, null, 1)}\n`);
  process.stdout.write(`${crew.name}: ${crew.entries.length} entries, at ${stopOf(crew.state)}\n`);
}

const tools = [
  { tool: LIFT, here: true },
  { tool: 'engine hoist', here: true },
  { tool: 'load leveller', here: true },
  { tool: 'transmission jack', here: true },
  { tool: 'rated slings', here: true },
  { tool: 'lift or two jacks', here: true },
  { tool: 'quick-connector tool', here: true },
  { tool: 'powerpack dolly', here: false, hire: 'Fire station workshop lends theirs, a day’s notice' },
  { tool: '32 mm socket', here: true },
  { tool: 'ball joint puller', here: false },
];
writeFileSync(new URL('tools.json', import.meta.url), `${JSON.stringify({ tools }, null, 2)}\n`);
