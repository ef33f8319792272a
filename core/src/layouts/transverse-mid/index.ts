/** Engine and gearbox across, behind the seats, driving the rear wheels. */
import { behind, liftStep, tail } from '../author.js';
import { airPath, brakeVacuum } from '../systems/air.js';
import { aboveTray, batteryAndLoom, bothParted } from '../systems/battery-and-loom.js';
import { coolant, engineOil, heaterHoses, oilCooler, radiator } from '../systems/cooling.js';
import { driveBelt, refrigerant } from '../systems/driven-by-belt.js';
import { exhaustSystem } from '../systems/exhaust.js';
import { fuelShut } from '../systems/fuel-shut.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import { bellHousing, gearboxOil, gearCables, manualGearbox } from '../systems/gearboxes.js';
import { looks } from '../systems/looks.js';
import { engineCover, undertray } from '../systems/panels.js';
import { petrol } from '../systems/petrol.js';
import { driveShafts } from '../systems/shafts.js';
import { gearboxOnJack, engineHeld, onTheDolly, onTheHoist } from '../systems/supports.js';
import { bodyOff, bodyOn, gearboxDown, gearboxUp } from '../systems/ways.js';
import { forCylinders, sized } from '../cylinders.js';
import { offer, type Template } from '../template.js';
import { behindTheSeats } from './behind-the-seats.js';
import { frontPipeSoaked } from '../systems/heat-and-rust.js';
import { oilChange } from '../systems/oil-change.js';
import { cleanBay, coveredPaint } from '../systems/paint-and-bay.js';
import { insideTheEngine } from '../systems/inside-the-engine.js';
import { worthBetween } from '../systems/worth-renewing/between-engine-and-gearbox.js';
import { worthOnTheEngine } from '../systems/worth-renewing/on-the-engine.js';
import { worthOnTheGearbox } from '../systems/worth-renewing/on-the-gearbox.js';
import { clutchWork } from '../systems/clutch-work.js';

const shafts = [
  { part: 'shaft-left', why: 'It has to be clear of the gearbox.' },
  { part: 'shaft-right', why: 'It has to be clear of the gearbox.' },
];

export const transverseMid: Template = {
  layout: 'transverse-mid',
  name: 'Transverse mid engine, rear drive',
  look: 'Engine across, between the seats and the rear wheels',
  bay: 'middle',
  body: 'body',
  always: { fan: 'electric', steering: 'electric', hybrid: 'no' },
  options: [
    offer('fuel', ['petrol-port', 'petrol-direct', 'single-point', 'carburettor']),
    offer('cylinders', ['4', '3', 'v6', 'v8']),
    offer('boost', ['none', 'turbo'], 'turbo'),
    offer('throttle', ['electronic', 'cable'], 'cable'),
    offer('refrigerant', ['swung-aside', 'opened', 'none']),
    offer('clutch', ['hydraulic', 'cable']),
    offer('brakes', ['vacuum', 'own']),
    offer('exhaust', ['catalyst', 'plain']),
    offer('gasReturn', ['no', 'yes'], 'yes'),
    offer('canister', ['yes', 'no']),
    offer('oilCooler', ['yes', 'no']),
    offer('heater', ['yes', 'no']),
    offer('undertray', ['yes', 'no']),
    offer('driveshafts', ['inner-flanges', 'hub-nuts'], 'hub-nuts'),
  ],
  pieces: [
    batteryAndLoom,
    engineCover,
    undertray,
    fuelShut,
    petrol,
    airPath,
    brakeVacuum,
    radiator,
    heaterHoses,
    oilCooler,
    driveBelt,
    refrigerant,
    exhaustSystem,
    manualGearbox,
    gearCables,
    driveShafts,
    bellHousing,
    frontPipeSoaked,
    oilChange({ plugNm: 30, spanner: '17 mm spanner' }),
    coveredPaint,
    cleanBay,
    clutchWork(),
    insideTheEngine,
    worthBetween,
    worthOnTheEngine,
    worthOnTheGearbox,
    behindTheSeats,
    {
      conditions: [onTheHoist({ ...tail, height: 'raised' }, ['lid']), gearboxOnJack, engineHeld, onTheDolly],
      circuits: [
        ...forCylinders((one) => coolant({ capacityL: sized(13.5, one), drainsL: sized(7.5, one) })),
        ...forCylinders((one) => engineOil({ capacityL: sized(5.2, one), drainsL: sized(4.8, one) })),
        gearboxOil({ capacityL: 2.3, drainsL: 2.1 }),
      ],
    },
  ],
  without: ['fan-shroud', 'radiator', 'condenser'],
  changes: {
    'downpipe-bracket': { access: [aboveTray] },
    'road-speed': { access: [aboveTray] },
    'gearbox-ground': { access: [aboveTray, bothParted] },
    'lower-arm-bolts': { between: ['lower-arms', 'rear-cradle'] },
    'charge-cooler-pins': { between: ['charge-cooler', 'body'], name: 'the charge cooler in its side duct' },
    'compressor-hoses': { between: ['compressor', 'body'] },
    'belt-compressor': {
      station: 'wheel-right',
      height: 'raised',
      cautions: ['spring', 'stands'],
      access: [behind('wheel-right', 'It is reached through the arch, with the wheel off.')],
    },
    'heater-feed': { station: 'underside', height: 'raised', cautions: ['hot-coolant', 'stands'] },
    'heater-return': { station: 'underside', height: 'raised', cautions: ['hot-coolant', 'stands'] },
    'servo-hose': { name: 'the long servo vacuum hose at the pump' },
  },
  partChanges: {
    gearbox: { massKg: 40, zone: 'bay-left' },
    flywheel: { zone: 'bay-left' },
    'clutch-cylinder': { zone: 'bay-left' },
    starter: { zone: 'bay-front' },
    'lower-arms': { zone: 'under-rear' },
    'oil-cooler': { zone: 'bay-right' },
    'charge-cooler': { zone: 'bay-left' },
    'heat-shield': { zone: 'under-rear' },
    downpipe: { zone: 'under-rear' },
  },
  stations: { front: 'rear' },
  powerpacks: [
    { id: 'cradle', name: 'Whole rear cradle', roots: ['engine', 'gearbox', 'rear-cradle', 'lower-arms'] },
    { id: 'engine-with-gearbox', name: 'Engine with gearbox', roots: ['engine', 'gearbox'] },
    { id: 'gearbox', name: 'Gearbox alone', roots: ['gearbox'] },
  ],
  routes: [
    {
      id: 'under',
      name: 'Down on the cradle, body raised off',
      powerpacks: ['cradle'],
      blockedBy: [
        { part: 'brace-bar', why: 'It crosses under the cradle.' },
        { part: 'downpipe', why: 'It hangs behind the cradle.' },
        { part: 'wheel-left', why: 'The hub is reached behind it.' },
        { part: 'wheel-right', why: 'The hub is reached behind it.' },
        ...shafts,
      ],
      supports: ['powerpack-on-dolly'],
      liftSteps: bodyOff,
      lowerSteps: bodyOn,
    },
    {
      id: 'top',
      name: 'Out of the top',
      powerpacks: ['engine-with-gearbox'],
      blockedBy: [
        { part: 'lid', why: 'The hoist boom needs the space above.' },
        { part: 'airbox', why: 'It narrows the opening.' },
        { part: 'expansion-bottle', why: 'The gearbox turns past it.' },
        { part: 'downpipe', why: 'It catches on the cradle.' },
        ...shafts,
      ],
      supports: ['powerpack-supported'],
      liftSteps: [
        liftStep(
          'first-inch',
          'Raise 50 mm and look all round',
          'Through the panel behind the seats as well.',
          [3, 5, 10],
        ),
        liftStep(
          'turn',
          'Turn the gearbox end up past the quarter panel',
          'Foil on the paint; somebody watches each side.',
          [5, 12, 30],
        ),
        liftStep('set-down', 'Raise clear, roll away, set down', 'Level first. The sump never carries it.', [4, 8, 15]),
      ],
      lowerSteps: [
        liftStep('over-tail', 'Over the tail, gearbox end up', 'Loom and hoses tied away.', [4, 8, 20]),
        liftStep('turn-back', 'Turn it in and level out', 'Shafts held clear of the seals.', [5, 12, 30]),
        liftStep('on-mounts', 'Lower until the mount holes line up', 'A bar in the hole, never a finger.', [4, 8, 20]),
      ],
    },
    {
      id: 'under-gearbox',
      name: 'Gearbox down and out below',
      powerpacks: ['gearbox'],
      blockedBy: [...shafts, { part: 'brace-bar', why: 'It crosses under the gearbox.' }],
      supports: ['engine-held', 'gearbox-supported'],
      liftSteps: gearboxDown,
      lowerSteps: gearboxUp,
    },
  ],
  holdPoints: [
    madeSafe,
    preWeight,
    preLift(),
    preLower({ id: 'clutch', words: 'Clutch or damper: the right way round and centred' }),
    preStart,
  ],
  checks: looks('coolant'),
};
