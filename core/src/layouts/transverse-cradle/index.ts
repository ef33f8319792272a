/** Engine and gearbox across the nose on a cradle, driving the front wheels; with a manual gearbox or an automatic one. */
import { after, behind, nose } from '../author.js';
import { airPath, brakeVacuum } from '../systems/air.js';
import { aboveTray, batteryAndLoom, bothParted } from '../systems/battery-and-loom.js';
import { coolant, engineOil, heaterHoses, oilCooler, radiator } from '../systems/cooling.js';
import { diesel } from '../systems/diesel.js';
import { driveBelt, refrigerant, steeringPump } from '../systems/driven-by-belt.js';
import { exhaustSystem } from '../systems/exhaust.js';
import { fuelShut } from '../systems/fuel-shut.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import {
  automaticGearbox,
  bellHousing,
  gearboxOil,
  gearCables,
  manualGearbox,
  selectorCable,
} from '../systems/gearboxes.js';
import { highVoltage } from '../systems/high-voltage.js';
import { looks } from '../systems/looks.js';
import { engineCover, frontPanels, undertray } from '../systems/panels.js';
import { petrol } from '../systems/petrol.js';
import { driveShafts } from '../systems/shafts.js';
import { engineHeld, gearboxOnJack, onTheDolly, onTheHoist } from '../systems/supports.js';
import { forCylinders, sized } from '../cylinders.js';
import { offer, type Piece, type Template } from '../template.js';
import { cradle } from './cradle.js';
import { routesOf } from './ways-out.js';
import { frontPipeSoaked } from '../systems/heat-and-rust.js';
import { oilChange } from '../systems/oil-change.js';
import { cleanBay, coveredPaint } from '../systems/paint-and-bay.js';
import { insideTheEngine } from '../systems/inside-the-engine.js';
import { worthBetween } from '../systems/worth-renewing/between-engine-and-gearbox.js';
import { worthOnTheEngine } from '../systems/worth-renewing/on-the-engine.js';
import { worthOnAnAutomatic, worthOnTheGearbox } from '../systems/worth-renewing/on-the-gearbox.js';
import { clutchWork, converterWork } from '../systems/clutch-work.js';

/** The belt end of an engine that stands across. */
const THROUGH_THE_ARCH = { station: 'wheel-right', height: 'raised', cautions: ['spring', 'stands'] } as const;
const wheelOff = behind('wheel-right', 'It is reached through the arch, with the wheel off.');

const around: readonly Piece[] = [
  batteryAndLoom,
  frontPanels,
  engineCover,
  undertray,
  fuelShut,
  petrol,
  diesel,
  airPath,
  brakeVacuum,
  radiator,
  heaterHoses,
  oilCooler,
  driveBelt,
  steeringPump,
  refrigerant,
  exhaustSystem,
  driveShafts,
  bellHousing,
  frontPipeSoaked,
  oilChange({ plugNm: 30, spanner: '17 mm spanner' }),
  coveredPaint,
  cleanBay,
  insideTheEngine,
  worthBetween,
  worthOnTheEngine,
  worthOnTheGearbox,
  cradle,
  {
    conditions: [onTheHoist({ ...nose, height: 'raised' }), gearboxOnJack, engineHeld, onTheDolly],
    circuits: [
      ...forCylinders((one) => coolant({ capacityL: sized(6.4, one), drainsL: sized(4.8, one) })),
      ...forCylinders((one) => engineOil({ capacityL: sized(4.3, one), drainsL: sized(4, one) })),
    ],
  },
];

const common = {
  bay: 'front',
  body: 'body',
  changes: {
    'downpipe-bracket': { access: [aboveTray] },
    'gearbox-ground': { access: [aboveTray, bothParted] },
    'lower-arm-bolts': { between: ['lower-arms', 'cradle'] },
    'loom-bell-clips': { station: 'bay-top', height: 'either', cautions: [] },
    'starter-cable': { station: 'bay-top', height: 'either', cautions: ['battery'] },
    'starter-signal': { station: 'bay-top', height: 'either', cautions: [] },
    'belt-off': { ...THROUGH_THE_ARCH, access: [wheelOff] },
    'belt-compressor': {
      ...THROUGH_THE_ARCH,
      access: [after('belt-off', 'It is the same belt; the tension comes off at the steering pump.'), wheelOff],
    },
  },
  partChanges: {
    gearbox: { massKg: 42, zone: 'bay-left' },
    starter: { zone: 'bay-front' },
    'heat-shield': { zone: 'under-front' },
    downpipe: { zone: 'under-front' },
    'exhaust-rear': { zone: 'under-middle' },
  },
  powerpacks: [
    { id: 'cradle', name: 'Whole cradle', roots: ['engine', 'gearbox', 'cradle', 'roll-mount', 'lower-arms'] },
    { id: 'engine-with-gearbox', name: 'Engine with gearbox', roots: ['engine', 'gearbox'] },
    { id: 'engine', name: 'Bare engine', roots: ['engine'] },
    { id: 'gearbox', name: 'Gearbox alone', roots: ['gearbox'] },
  ],
} as const satisfies Partial<Template>;

const options = [
  offer('fuel', ['petrol-port', 'petrol-direct', 'diesel-rail', 'single-point', 'carburettor', 'diesel-mechanical']),
  offer('cylinders', ['4', '3', '5', 'v6']),
  offer('boost', ['none', 'turbo'], 'turbo'),
  offer('throttle', ['electronic', 'cable'], 'cable'),
  offer('steering', ['electric', 'hydraulic', 'manual'], 'hydraulic'),
  offer('refrigerant', ['swung-aside', 'opened', 'none']),
  offer('hybrid', ['no', 'yes'], 'yes'),
  offer('clutch', ['hydraulic', 'cable', 'none'], 'hydraulic'),
  offer('brakes', ['vacuum', 'own']),
  offer('exhaust', ['catalyst', 'plain']),
  offer('gasReturn', ['no', 'yes'], 'yes'),
  offer('canister', ['yes', 'no']),
  offer('oilCooler', ['no', 'yes'], 'yes'),
  offer('heater', ['yes', 'no']),
  offer('undertray', ['yes', 'no']),
  offer('driveshafts', ['hub-nuts', 'inner-flanges']),
] as const satisfies Template['options'];

const HOLDS = [madeSafe, preWeight, preLift()];

export const transverseCradle: Template = {
  ...common,
  layout: 'transverse-cradle',
  name: 'Transverse front engine on a cradle, front drive',
  look: 'Engine across the nose, gearbox beside it, a frame below that carries both',
  always: { fan: 'electric' },
  options,
  pieces: [
    ...around,
    manualGearbox,
    gearCables,
    clutchWork(),
    highVoltage,
    { circuits: [gearboxOil({ capacityL: 2, drainsL: 1.8 })] },
  ],
  without: ['steering-box', 'steering-box-bolts'],
  changes: {
    ...common.changes,
    'road-speed': { access: [aboveTray] },
    'clutch-cylinder-bolts': { station: 'bay-top', height: 'either', cautions: [] },
    'reverse-lamp': { station: 'bay-top', height: 'either', cautions: [] },
  },
  partChanges: { ...common.partChanges, flywheel: { zone: 'bay-left' }, 'clutch-cylinder': { zone: 'bay-left' } },
  routes: routesOf('shaft'),
  holdPoints: [
    ...HOLDS,
    preLower({ id: 'clutch', words: 'Clutch or damper: the right way round and centred' }),
    preStart,
  ],
  checks: looks('coolant'),
};

export const transverseAutomatic: Template = {
  ...common,
  layout: 'transverse-automatic',
  name: 'Transverse front engine on a cradle, automatic, front drive',
  look: 'Engine across the nose, a wide gearbox beside it, selector with P',
  always: { fan: 'electric', hybrid: 'no' },
  // No foot, and no high-voltage drive: neither is asked.
  options: options.filter(({ option }) => option !== 'clutch' && option !== 'hybrid'),
  pieces: [
    ...around,
    automaticGearbox,
    selectorCable(),
    converterWork,
    worthOnAnAutomatic,
    {
      circuits: [
        gearboxOil({ capacityL: 6.8, drainsL: 3.6 }, 'ATF by the maker’s number, no other', {
          by: 'stick',
          fromC: 70,
          toC: 85,
          marksL: 0.4,
        }),
      ],
    },
  ],
  without: ['steering-box', 'steering-box-bolts', 'selector', 'park-lock'],
  partChanges: {
    ...common.partChanges,
    gearbox: { massKg: 74, zone: 'bay-left' },
    converter: { zone: 'bay-left' },
    flexplate: { zone: 'bay-left' },
    'window-cover': { zone: 'bay-left' },
  },
  routes: routesOf('converter'),
  holdPoints: [...HOLDS, preLower({ id: 'converter', words: 'Converter fully seated and held' }), preStart],
  checks: looks('coolant', 'automatic'),
};
