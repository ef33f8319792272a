/** Body on a frame, engine lengthwise, gearbox with a transfer box, both axles driven. */
import type { Circuit } from '../../connection-map/index.js';
import { behind, nose } from '../author.js';
import { lengthwiseRoutes } from '../longitudinal/ways-out.js';
import { airPath, brakeVacuum } from '../systems/air.js';
import { batteryAndLoom, bothParted } from '../systems/battery-and-loom.js';
import { coolant, engineOil, heaterHoses, oilCooler, radiator } from '../systems/cooling.js';
import { diesel } from '../systems/diesel.js';
import { driveBelt, refrigerant, steeringPump } from '../systems/driven-by-belt.js';
import { exhaustSystem } from '../systems/exhaust.js';
import { fuelShut } from '../systems/fuel-shut.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import { bellHousing, gearboxOil, leverOnTop, manualGearbox } from '../systems/gearboxes.js';
import { looks } from '../systems/looks.js';
import { frontPanels } from '../systems/panels.js';
import { petrol } from '../systems/petrol.js';
import { propellerShaft } from '../systems/shafts.js';
import { engineHeld, engineOnStand, gearboxOnJack, onTheHoist } from '../systems/supports.js';
import { forCylinders, sized } from '../cylinders.js';
import { offer, type Template } from '../template.js';
import { ladderFrame } from './frame.js';
import { transferBox, transferOil } from './transfer.js';
import { frontPipeSoaked } from '../systems/heat-and-rust.js';
import { oilChange } from '../systems/oil-change.js';
import { cleanBay, coveredPaint } from '../systems/paint-and-bay.js';
import { insideTheEngine } from '../systems/inside-the-engine.js';
import { worthBetween } from '../systems/worth-renewing/between-engine-and-gearbox.js';
import { worthOnTheEngine } from '../systems/worth-renewing/on-the-engine.js';
import { worthOnTheGearbox } from '../systems/worth-renewing/on-the-gearbox.js';
import { clutchWork } from '../systems/clutch-work.js';

/** Its plug is above the skid plate. */
const aboveTheSkidPlate = (oil: Circuit): Circuit => ({
  ...oil,
  drain: { ...oil.drain, access: [...oil.drain.access, behind('skid-plate', 'The plug is above the skid plate.')] },
});

export const frameFourWheelDrive: Template = {
  layout: 'frame-four-wheel-drive',
  name: 'Body on frame, four-wheel drive with transfer box',
  look: 'Two long rails under the body, two levers, a shaft to each axle',
  bay: 'front',
  body: 'body',
  always: { hybrid: 'no' },
  options: [
    offer('fuel', ['diesel-rail', 'diesel-mechanical', 'petrol-port', 'petrol-direct', 'single-point', 'carburettor']),
    offer('cylinders', ['4', '5', '6', 'v6', 'v8']),
    offer('boost', ['turbo', 'none']),
    offer('throttle', ['electronic', 'cable'], 'cable'),
    offer('steering', ['hydraulic', 'electric', 'manual']),
    offer('refrigerant', ['swung-aside', 'opened', 'none']),
    offer('clutch', ['hydraulic', 'cable']),
    offer('fan', ['engine', 'electric']),
    offer('brakes', ['vacuum', 'own']),
    offer('exhaust', ['plain', 'catalyst'], 'catalyst'),
    offer('gasReturn', ['yes', 'no']),
    offer('canister', ['yes', 'no']),
    offer('oilCooler', ['yes', 'no']),
    offer('heater', ['yes', 'no']),
    offer('propshaft', ['one-piece', 'two-piece'], 'two-piece'),
    offer('voltage', ['12', '24']),
  ],
  pieces: [
    batteryAndLoom,
    frontPanels,
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
    manualGearbox,
    leverOnTop,
    bellHousing,
    propellerShaft,
    transferBox,
    ladderFrame,
    frontPipeSoaked,
    oilChange({ plugNm: 40, spanner: '19 mm spanner' }),
    coveredPaint,
    cleanBay,
    clutchWork(),
    insideTheEngine,
    worthBetween,
    worthOnTheEngine,
    worthOnTheGearbox,
    {
      conditions: [onTheHoist({ ...nose, height: 'raised' }), gearboxOnJack, engineHeld, engineOnStand],
      circuits: [
        ...forCylinders((one) => coolant({ capacityL: sized(11.5, one), drainsL: sized(8.4, one) })),
        ...forCylinders((one) =>
          aboveTheSkidPlate(engineOil({ capacityL: sized(8.8, one), drainsL: sized(8.2, one) })),
        ),
        gearboxOil({ capacityL: 2.8, drainsL: 2.5 }),
        transferOil,
      ],
    },
  ],
  without: ['strut-brace'],
  changes: {
    'prop-front': {
      between: ['transfer-box', 'propshaft'],
      name: 'the rear propeller shaft at the transfer box',
      access: [],
    },
    'engine-ground': { access: [behind('skid-plate', 'The skid plate covers it.'), bothParted] },
    'starter-cable': { access: [behind('skid-plate', 'The starter is above the skid plate.'), bothParted] },
    'lower-hose': { access: [{ removed: 'skid-plate', why: 'The skid plate covers it.' }] },
    'oil-cooler-lines': { access: [{ removed: 'skid-plate', why: 'The skid plate covers the filter head.' }] },
    'transfer-bolts': { circuit: 'transfer-oil' },
  },
  powerpacks: [
    { id: 'engine-with-gearbox', name: 'Engine with gearbox and transfer box', roots: ['engine', 'gearbox'] },
    { id: 'engine', name: 'Bare engine', roots: ['engine'] },
    { id: 'gearbox', name: 'Gearbox with transfer box', roots: ['gearbox'] },
  ],
  routes: lengthwiseRoutes(['bell-housing', 'starter-bolts', 'gas-pipe-bracket']).map((route) => ({
    ...route,
    blockedBy: [
      ...route.blockedBy.filter(({ part }) => part !== 'strut-brace' && part !== 'bulkhead-shield'),
      ...(route.id === 'top-engine' ? [] : [{ part: 'front-propshaft', why: 'It runs beside the gearbox.' }]),
      ...(route.id === 'under' ? [] : [{ part: 'skid-plate', why: 'The sump has to be seen from below.' }]),
    ],
  })),
  holdPoints: [
    madeSafe,
    preWeight,
    preLift(),
    preLower({ id: 'clutch', words: 'Clutch or damper: the right way round and centred' }),
    preStart,
  ],
  checks: looks('coolant'),
};
