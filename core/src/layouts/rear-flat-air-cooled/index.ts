/** A flat, air-cooled engine behind the rear axle, rolled out at the tail. */
import { liftStep, tail } from '../author.js';
import { airPath } from '../systems/air.js';
import { batteryAndLoom } from '../systems/battery-and-loom.js';
import { fuelShut } from '../systems/fuel-shut.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import { gearboxOil } from '../systems/gearboxes.js';
import { looks } from '../systems/looks.js';
import { petrol } from '../systems/petrol.js';
import { driveShafts } from '../systems/shafts.js';
import { gearboxOnJack } from '../systems/supports.js';
import { offer, type Template } from '../template.js';
import { flatEngine } from './flat-engine.js';
import { coolAndSoak } from '../systems/heat-and-rust.js';
import { worthBetween } from '../systems/worth-renewing/between-engine-and-gearbox.js';
import { worthOnASmallEngine } from '../systems/worth-renewing/on-a-small-engine.js';
import { clutchWork } from '../systems/clutch-work.js';
import { cleanBay } from '../systems/paint-and-bay.js';

const jack = {
  station: 'rear',
  tools: ['trolley jack', 'stands'],
  cautions: ['under-load', 'stands'],
} as const;
const tinware = [
  { part: 'rear-apron', why: 'The engine passes where it hangs.' },
  { part: 'front-tinware', why: 'It catches on the body.' },
  { part: 'rear-tinware', why: 'It catches on the body.' },
  { part: 'airbox', why: 'It stands higher than the opening.' },
];

export const rearFlatAirCooled: Template = {
  layout: 'rear-flat-air-cooled',
  name: 'Rear flat engine, air cooled',
  look: 'Low, wide engine behind the axle, no radiator, a blower on top',
  bay: 'rear',
  body: 'body',
  always: { boost: 'none', throttle: 'cable', steering: 'manual', refrigerant: 'none', brakes: 'own', hybrid: 'no' },
  options: [
    offer('fuel', ['carburettor', 'petrol-port', 'single-point']),
    offer('cylinders', ['flat4', 'flat6']),
    offer('clutch', ['cable', 'hydraulic']),
    offer('canister', ['no', 'yes'], 'yes'),
    offer('oilCooler', ['no', 'yes'], 'yes'),
    offer('heater', ['yes', 'no']),
    offer('driveshafts', ['inner-flanges', 'hub-nuts'], 'hub-nuts'),
  ],
  pieces: [
    batteryAndLoom,
    fuelShut,
    petrol,
    airPath,
    driveShafts,
    flatEngine,
    coolAndSoak(['bumper-bolts'], {
      where: tail,
      called: 'bumper bolts',
      hot: ['heat-duct-left', 'heat-duct-right', 'silencer-straps'],
    }),
    cleanBay,
    clutchWork(),
    worthBetween,
    worthOnASmallEngine,
    { conditions: [gearboxOnJack], circuits: [gearboxOil({ capacityL: 3, drainsL: 2.7 })] },
  ],
  without: ['gearbox-ground', 'engine-ground', 'oil-level', 'knock-sensor', 'cam-sensor'],
  changes: {
    'starter-bolts': { access: [] },
    'lower-arm-bolts': { name: 'the trailing arms' },
    'breather-hose': { access: [] },
  },
  partChanges: {
    battery: { zone: 'cabin' },
    starter: { zone: 'under-rear', ridesWith: 'gearbox' },
    alternator: { zone: 'bay-top' },
    loom: { zone: 'bay-left' },
    'lower-arms': { zone: 'under-rear', name: 'trailing arms' },
  },
  stations: { front: 'rear' },
  powerpacks: [
    { id: 'engine', name: 'Bare engine', roots: ['engine'] },
    { id: 'engine-with-gearbox', name: 'Engine with transaxle', roots: ['engine', 'gearbox'] },
  ],
  routes: [
    {
      id: 'rear',
      name: 'Drawn back and rolled out at the tail',
      powerpacks: ['engine'],
      blockedBy: [...tinware, { part: 'bearer', why: 'The engine comes down past it.' }],
      supports: ['engine-on-jack', 'gearbox-supported'],
      liftSteps: [
        liftStep(
          'draw-back',
          'Draw the engine back off the shaft',
          'Straight back a hand’s breadth; rock it, never let it hang.',
          [4, 8, 20],
          jack,
        ),
        liftStep(
          'let-down',
          'Let it down on the jack',
          'Look at the throttle cable and the blower on the way.',
          [3, 6, 12],
          jack,
        ),
        liftStep(
          'roll-out',
          'Raise the tail and roll it out',
          'Body on its stands before anybody reaches in.',
          [4, 8, 15],
          jack,
        ),
      ],
      lowerSteps: [
        liftStep(
          'roll-under',
          'Roll it under the tail',
          'Clutch disc centred, throttle cable through its tube.',
          [3, 6, 12],
          jack,
        ),
        liftStep('raise', 'Raise it level with the shaft', 'The gap is the same all round.', [4, 8, 20], jack),
        liftStep(
          'push-home',
          'Turn the crank by hand and push it home',
          'Lower studs first. Never pull it in with its bolts.',
          [4, 10, 30],
          { ...jack, meets: true },
        ),
      ],
    },
    {
      id: 'rear-whole',
      name: 'Let down with the transaxle and rolled out',
      powerpacks: ['engine-with-gearbox'],
      blockedBy: [
        ...tinware,
        { part: 'bearer', why: 'The engine comes down past it.' },
        { part: 'shaft-left', why: 'It has to be clear of the transaxle.' },
        { part: 'shaft-right', why: 'It has to be clear of the transaxle.' },
      ],
      supports: ['engine-on-jack', 'gearbox-supported'],
      liftSteps: [
        liftStep(
          'let-down-both',
          'Let both jacks down, a little each',
          'Two people, one word. Look above both ends.',
          [5, 10, 20],
          jack,
        ),
        liftStep(
          'roll-out',
          'Raise the tail and roll it out',
          'Body on its stands before anybody reaches in.',
          [4, 8, 15],
          jack,
        ),
      ],
      lowerSteps: [
        liftStep(
          'roll-under',
          'Roll it under the tail',
          'Shift rod and throttle cable through their holes.',
          [3, 6, 12],
          jack,
        ),
        liftStep(
          'raise-both',
          'Raise both jacks until the holes line up',
          'A bar in the hole, never a finger.',
          [5, 12, 30],
          jack,
        ),
      ],
    },
  ],
  holdPoints: [
    madeSafe,
    preWeight,
    preLift(),
    preLower({ id: 'clutch', words: 'Clutch or damper: the right way round and centred' }),
    preStart,
  ],
  checks: looks('air'),
};
