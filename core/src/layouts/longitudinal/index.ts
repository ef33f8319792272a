/** Engine lengthwise behind the front axle, driving the rear wheels; with a manual gearbox or an automatic one. */
import { nose } from '../author.js';
import { airPath, brakeVacuum } from '../systems/air.js';
import { batteryAndLoom } from '../systems/battery-and-loom.js';
import { coolant, engineOil, heaterHoses, oilCooler, radiator } from '../systems/cooling.js';
import { diesel } from '../systems/diesel.js';
import { driveBelt, refrigerant, steeringPump } from '../systems/driven-by-belt.js';
import { exhaustSystem } from '../systems/exhaust.js';
import { fuelShut } from '../systems/fuel-shut.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import { automaticGearbox, bellHousing, gearboxOil, leverOnTop, manualGearbox } from '../systems/gearboxes.js';
import { highVoltage } from '../systems/high-voltage.js';
import { looks } from '../systems/looks.js';
import { engineCover, frontPanels, undertray } from '../systems/panels.js';
import { petrol } from '../systems/petrol.js';
import { propellerShaft } from '../systems/shafts.js';
import { engineHeld, engineOnStand, gearboxOnJack, onTheHoist } from '../systems/supports.js';
import { forCylinders, sized } from '../cylinders.js';
import { offer, type Piece, type Template } from '../template.js';
import { lengthwise } from './lengthwise.js';
import { lengthwiseRoutes, powerpacks } from './ways-out.js';
import { frontPipeSoaked } from '../systems/heat-and-rust.js';
import { oilChange } from '../systems/oil-change.js';
import { cleanBay, coveredPaint } from '../systems/paint-and-bay.js';
import { insideTheEngine } from '../systems/inside-the-engine.js';
import { worthBetween } from '../systems/worth-renewing/between-engine-and-gearbox.js';
import { worthOnTheEngine } from '../systems/worth-renewing/on-the-engine.js';
import { worthOnAnAutomatic, worthOnTheGearbox } from '../systems/worth-renewing/on-the-gearbox.js';
import { clutchWork, converterWork } from '../systems/clutch-work.js';

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
  lengthwise,
  propellerShaft,
  bellHousing,
  frontPipeSoaked,
  oilChange({ plugNm: 35, spanner: '17 mm spanner' }),
  insideTheEngine,
  worthBetween,
  worthOnTheEngine,
  worthOnTheGearbox,
  coveredPaint,
  cleanBay,
  { conditions: [onTheHoist({ ...nose, height: 'raised' }), gearboxOnJack, engineHeld, engineOnStand] },
];

const common = {
  bay: 'front',
  body: 'body',
  options: [
    offer('fuel', ['diesel-rail', 'petrol-port', 'petrol-direct', 'single-point', 'carburettor', 'diesel-mechanical']),
    offer('cylinders', ['4', '5', '6', 'v6', 'v8']),
    offer('boost', ['turbo', 'none']),
    offer('throttle', ['electronic', 'cable'], 'cable'),
    offer('steering', ['hydraulic', 'electric', 'manual']),
    offer('refrigerant', ['swung-aside', 'opened', 'none']),
    offer('hybrid', ['no', 'yes'], 'yes'),
    offer('fan', ['engine', 'electric']),
    offer('brakes', ['vacuum', 'own']),
    offer('exhaust', ['catalyst', 'plain']),
    offer('gasReturn', ['yes', 'no']),
    offer('canister', ['yes', 'no']),
    offer('oilCooler', ['yes', 'no']),
    offer('heater', ['yes', 'no']),
    offer('undertray', ['yes', 'no']),
    offer('propshaft', ['two-piece', 'one-piece']),
    offer('voltage', ['12', '24']),
  ],
  powerpacks,
  checks: looks('coolant'),
} as const satisfies Partial<Template>;

export const longitudinalAutomatic: Template = {
  ...common,
  layout: 'longitudinal-automatic',
  name: 'Longitudinal front engine, automatic, rear drive',
  look: 'Engine lengthwise, selector with P, shaft to the rear axle',
  always: {},
  pieces: [
    ...around,
    automaticGearbox,
    highVoltage,
    converterWork,
    worthOnAnAutomatic,
    {
      circuits: [
        ...forCylinders((one) => coolant({ capacityL: sized(9.6, one), drainsL: sized(6.8, one) })),
        ...forCylinders((one) => engineOil({ capacityL: sized(7.2, one), drainsL: sized(6.6, one) })),
        gearboxOil({ capacityL: 8.4, drainsL: 4.2 }, 'ATF by the maker’s number, no other', {
          by: 'stick',
          fromC: 70,
          toC: 85,
          marksL: 0.4,
        }),
      ],
    },
  ],
  checks: looks('coolant', 'automatic'),
  routes: lengthwiseRoutes([
    'bell-housing',
    'converter-bolts',
    'gearbox-cooler-clip',
    'filler-tube',
    'starter-bolts',
    'gas-pipe-bracket',
  ]),
  holdPoints: [
    madeSafe,
    preWeight,
    preLift(),
    preLower({ id: 'converter', words: 'Converter fully seated and held' }),
    preStart,
  ],
};

export const longitudinalManual: Template = {
  ...common,
  layout: 'longitudinal-manual',
  name: 'Longitudinal front engine, manual, rear drive',
  look: 'Engine lengthwise, gear lever in the tunnel, shaft to the rear axle',
  always: { hybrid: 'no' },
  options: [
    offer('fuel', ['petrol-port', 'diesel-rail', 'petrol-direct', 'single-point', 'carburettor', 'diesel-mechanical']),
    offer('cylinders', ['4', '5', '6', 'v6', 'v8']),
    offer('boost', ['none', 'turbo'], 'turbo'),
    offer('throttle', ['cable', 'electronic']),
    offer('steering', ['hydraulic', 'electric', 'manual']),
    offer('refrigerant', ['none', 'swung-aside', 'opened'], 'swung-aside'),
    offer('clutch', ['hydraulic', 'cable']),
    offer('fan', ['engine', 'electric']),
    offer('brakes', ['vacuum', 'own']),
    offer('exhaust', ['catalyst', 'plain']),
    offer('gasReturn', ['no', 'yes'], 'yes'),
    offer('canister', ['yes', 'no']),
    offer('oilCooler', ['no', 'yes'], 'yes'),
    offer('heater', ['yes', 'no']),
    offer('undertray', ['no', 'yes'], 'yes'),
    offer('propshaft', ['one-piece', 'two-piece'], 'two-piece'),
    offer('voltage', ['12', '24']),
  ],
  pieces: [
    ...around,
    manualGearbox,
    leverOnTop,
    clutchWork(),
    {
      circuits: [
        ...forCylinders((one) => coolant({ capacityL: sized(8.2, one), drainsL: sized(6, one) })),
        ...forCylinders((one) => engineOil({ capacityL: sized(5.4, one), drainsL: sized(5, one) })),
        gearboxOil({ capacityL: 1.8, drainsL: 1.6 }),
      ],
    },
  ],
  routes: lengthwiseRoutes(['bell-housing', 'starter-bolts', 'gas-pipe-bracket']),
  holdPoints: [
    madeSafe,
    preWeight,
    preLift(),
    preLower({ id: 'clutch', words: 'Clutch or damper: the right way round and centred' }),
    preStart,
  ],
};
