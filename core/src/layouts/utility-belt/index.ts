/** A small utility machine: engine on a deck at the tail, belts to the gearbox. */
import { liftStep, tail } from '../author.js';
import { airPath } from '../systems/air.js';
import { batteryAndLoom } from '../systems/battery-and-loom.js';
import { coolant, engineOil, oilCooler, radiator } from '../systems/cooling.js';
import { diesel } from '../systems/diesel.js';
import { fuelShut } from '../systems/fuel-shut.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import { looks } from '../systems/looks.js';
import { undertray } from '../systems/panels.js';
import { petrol } from '../systems/petrol.js';
import { forCylinders, sized } from '../cylinders.js';
import { offer, type Template } from '../template.js';
import { engineDeck } from './engine-deck.js';
import { coolAndSoak } from '../systems/heat-and-rust.js';
import { worthOnASmallEngine } from '../systems/worth-renewing/on-a-small-engine.js';
import { oilChange } from '../systems/oil-change.js';

const hoist = { station: 'rear', height: 'ground', tools: ['engine hoist', 'rated sling'] } as const;

export const utilityBelt: Template = {
  layout: 'utility-belt',
  name: 'Small utility machine, belt drive',
  look: 'A small engine under a tail cover, a belt to the gearbox',
  bay: 'rear',
  body: 'body',
  always: {
    boost: 'none',
    steering: 'manual',
    refrigerant: 'none',
    brakes: 'own',
    exhaust: 'plain',
    gasReturn: 'no',
    voltage: '12',
    hybrid: 'no',
    heater: 'no',
  },
  options: [
    offer('fuel', ['carburettor', 'petrol-port', 'diesel-mechanical']),
    offer('cylinders', ['2', '1', '3']),
    offer('throttle', ['cable', 'electronic']),
    offer('fan', ['engine', 'electric']),
    offer('canister', ['no', 'yes'], 'yes'),
    offer('oilCooler', ['no', 'yes'], 'yes'),
    offer('undertray', ['yes', 'no']),
  ],
  pieces: [
    batteryAndLoom,
    fuelShut,
    petrol,
    diesel,
    airPath,
    radiator,
    oilCooler,
    undertray,
    engineDeck,
    coolAndSoak(['silencer-nuts'], { where: tail }),
    oilChange({ plugNm: 22, spanner: '14 mm spanner' }),
    worthOnASmallEngine,
    {
      circuits: [
        ...forCylinders((one) => coolant({ capacityL: sized(3.2, one, '2'), drainsL: sized(2.4, one, '2') })),
        ...forCylinders((one) =>
          engineOil(
            { capacityL: sized(2.1, one, '2'), drainsL: sized(1.9, one, '2') },
            'small engine oil 10W-30 by the maker’s approval',
          ),
        ),
      ],
    },
  ],
  without: [
    'gearbox-ground',
    'engine-ground',
    'loom-bell-clips',
    'starter-bolts',
    'choke-cable',
    'cam-sensor',
    'knock-sensor',
    'bottle-hose-radiator',
    'control-unit-bracket',
    'distributor',
    'ignition-coil',
  ],
  changes: {
    'starter-cable': { station: 'bay-top', height: 'either', cautions: ['battery'] },
    'starter-signal': { station: 'bay-top', height: 'either', cautions: [] },
    'loom-control-unit': { station: 'bay-top' },
  },
  partChanges: {
    battery: { massKg: 12, zone: 'bay-right' },
    'control-unit': { zone: 'bay-right' },
    radiator: { massKg: 4 },
    starter: { zone: 'bay-front' },
    alternator: { massKg: 3 },
    airbox: { massKg: 2 },
  },
  stations: { front: 'rear' },
  onItsWheels: true,
  powerpacks: [{ id: 'engine', name: 'Bare engine', roots: ['engine'] }],
  routes: [
    {
      id: 'top',
      name: 'Up off the deck',
      blockedBy: [
        { part: 'deck-cover', why: 'It hangs over the engine.' },
        { part: 'side-panel', why: 'The hand that guides it comes in there.' },
        { part: 'silencer', why: 'It catches on the frame.' },
        { part: 'airbox', why: 'It catches on the frame.' },
      ],
      supports: ['engine-slung'],
      liftSteps: [
        liftStep(
          'first-inch',
          'Raise 30 mm and look all round',
          'Kill wire, fuel hose, throttle: the three that stay on.',
          [1, 3, 6],
          hoist,
        ),
        liftStep('clear', 'Raise clear and set it on the bench', 'One on the hoist, one guides.', [2, 5, 10], hoist),
      ],
      lowerSteps: [
        liftStep(
          'over-deck',
          'Over the deck, belt pulley past the guard',
          'Loom and hoses tied away.',
          [2, 4, 8],
          hoist,
        ),
        liftStep('on-marks', 'Down onto the paint marks', 'A bar in the hole, never a finger.', [2, 5, 12], hoist),
      ],
    },
    {
      id: 'rear',
      name: 'Slid out at the tail',
      blockedBy: [
        { part: 'deck-cover', why: 'It closes the tail.' },
        { part: 'silencer', why: 'It stands in the way.' },
        { part: 'radiator', why: 'The engine slides out past it.' },
      ],
      supports: ['engine-slung'],
      liftSteps: [
        liftStep(
          'ease-off',
          'Ease it off the deck and look all round',
          'Kill wire, fuel hose, throttle: the three that stay on.',
          [1, 3, 6],
          hoist,
        ),
        liftStep('slide-out', 'Slide it out onto the table', 'Table at deck height, locked.', [2, 5, 10], hoist),
      ],
      lowerSteps: [
        liftStep('slide-in', 'Slide it in from the table', 'Loom and hoses tied away.', [2, 5, 10], hoist),
        liftStep('on-marks', 'Down onto the paint marks', 'A bar in the hole, never a finger.', [2, 5, 12], hoist),
      ],
    },
  ],
  holdPoints: [
    madeSafe,
    preWeight,
    preLift(),
    preLower({ id: 'pulleys', words: 'Pulleys clean, belt marked and at hand' }),
    preStart,
  ],
  checks: looks('coolant'),
};
