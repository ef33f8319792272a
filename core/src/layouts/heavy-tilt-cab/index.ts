/** A heavy goods diesel under a tilting cab, with air, two batteries and tanks on the frame. */
import { liftStep } from '../author.js';
import { airBrakes } from '../systems/air-brakes.js';
import { airPath } from '../systems/air.js';
import { batteryAndLoom } from '../systems/battery-and-loom.js';
import { coolant, engineOil, oilCooler, radiator } from '../systems/cooling.js';
import { diesel } from '../systems/diesel.js';
import { driveBelt, refrigerant } from '../systems/driven-by-belt.js';
import { madeSafe, preLift, preLower, preStart, preWeight } from '../systems/gates.js';
import { bellHousing, gearboxOil, manualGearbox } from '../systems/gearboxes.js';
import { looks } from '../systems/looks.js';
import { propellerShaft } from '../systems/shafts.js';
import { gearboxOnJack, heavyEngineHeld } from '../systems/supports.js';
import { gearboxDown, gearboxUp, jackOutFirst, jackUnderLast } from '../systems/ways.js';
import { offer, type Template } from '../template.js';
import { HEAVIER, HEAVIER_PARTS } from './heavier.js';
import { HEAVIER_RENEWALS } from './heavier-bench.js';
import { driveAndMounts } from './drive-and-mounts.js';
import { underTheCab } from './under-the-cab.js';
import { coolAndSoak } from '../systems/heat-and-rust.js';
import { oilChange } from '../systems/oil-change.js';
import { cleanBay } from '../systems/paint-and-bay.js';
import { insideTheEngine } from '../systems/inside-the-engine.js';
import { worthBetween } from '../systems/worth-renewing/between-engine-and-gearbox.js';
import { worthOnTheEngine } from '../systems/worth-renewing/on-the-engine.js';
import { worthOnTheGearbox } from '../systems/worth-renewing/on-the-gearbox.js';
import { clutchWork } from '../systems/clutch-work.js';

const gantry = { tools: ['gantry crane', 'spreader beam'] } as const;
const up = [
  liftStep(
    'first-inch',
    'Raise 50 mm and look all round',
    'Both rails, both sides, below. If the crane works harder, something is still on.',
    [3, 6, 12],
    gantry,
  ),
  liftStep('forward', 'Forward between the rails', 'Sump over the axle; somebody at each rail.', [6, 12, 30], gantry),
  liftStep('clear', 'Raise clear and travel away', 'Low as soon as it is clear of the frame.', [5, 10, 20], gantry),
  liftStep('set-down', 'Set it down on its stand', 'Level first. The sump never carries it.', [5, 10, 20], gantry),
];
const down = [
  liftStep('over-frame', 'Travel over the frame', 'Lines tied away on both rails.', [5, 10, 20], gantry),
  liftStep(
    'between-rails',
    'Down between the rails',
    'Look at every step; the retarder passes last.',
    [6, 15, 30],
    gantry,
  ),
  liftStep(
    'on-mounts',
    'Lower until the mount holes line up',
    'A bar in the hole, never a finger.',
    [5, 10, 25],
    gantry,
  ),
];
const offTheGearbox = liftStep(
  'off-the-gearbox',
  'Draw the engine forward off the gearbox',
  'Straight, until it is clear of the shaft. The jack keeps the gearbox level.',
  [6, 12, 30],
  gantry,
);
const ontoTheGearbox = liftStep(
  'onto-gearbox',
  'Bar the engine over and bring the faces together',
  'The gap is the same all round. By hand, never with the bolts.',
  [6, 15, 40],
  { ...gantry, meets: true },
);
const above = [
  { part: 'engine-tunnel', why: 'The panels close the opening.' },
  { part: 'air-ram', why: 'It stands over the engine.' },
  { part: 'front-crossbeam', why: 'The powerpack leaves forward between the rails.' },
  { part: 'radiator', why: 'The powerpack leaves forward between the rails.' },
];
const behindIt = [
  { part: 'propshaft', why: 'The gearbox moves forward off it.' },
  { part: 'flex-pipe', why: 'It catches on the rail.' },
  { part: 'gearbox-bearer', why: 'It crosses under the gearbox.' },
];

export const heavyTiltCab: Template = {
  layout: 'heavy-tilt-cab',
  name: 'Heavy goods diesel under a tilting cab',
  look: 'The cab tips over the engine, air tanks and batteries on the frame',
  bay: 'front',
  body: 'body',
  always: { steering: 'manual', hybrid: 'no', canister: 'no', clutch: 'hydraulic', cylinders: '6' },
  options: [
    offer('fuel', ['diesel-rail', 'diesel-mechanical']),
    offer('boost', ['turbo', 'none']),
    offer('throttle', ['electronic', 'cable'], 'cable'),
    offer('refrigerant', ['swung-aside', 'opened', 'none']),
    offer('fan', ['engine', 'electric']),
    offer('brakes', ['air', 'own']),
    offer('gasReturn', ['yes', 'no']),
    offer('oilCooler', ['yes', 'no']),
    offer('heater', ['yes', 'no']),
    offer('propshaft', ['two-piece', 'one-piece']),
    offer('voltage', ['24', '12']),
  ],
  pieces: [
    batteryAndLoom,
    diesel,
    airPath,
    airBrakes,
    radiator,
    oilCooler,
    driveBelt,
    refrigerant,
    manualGearbox,
    bellHousing,
    propellerShaft,
    underTheCab,
    driveAndMounts,
    coolAndSoak(['flex-clamp-turbo', 'flex-clamp-box']),
    oilChange({ plugNm: 60, spanner: '24 mm spanner' }),
    cleanBay,
    clutchWork({ coverNm: 62, spanner: '17 mm ratchet', times: { off: [12, 25, 50], on: [18, 35, 70] } }),
    insideTheEngine,
    worthBetween,
    worthOnTheEngine,
    worthOnTheGearbox,
    {
      conditions: [gearboxOnJack, heavyEngineHeld],
      circuits: [
        coolant({ capacityL: 48, drainsL: 38 }),
        engineOil({ capacityL: 34, drainsL: 32 }, 'heavy duty 10W-40 by the maker’s approval'),
        gearboxOil({ capacityL: 12, drainsL: 11 }, 'long-life gear oil 75W-85 by the maker’s number'),
      ],
    },
  ],
  without: ['clutch-cylinder', 'clutch-cable', 'control-unit'],
  changes: {
    ...HEAVIER,
    'battery-negative': { station: 'wheel-left' },
    'battery-link': { station: 'wheel-left' },
    'upper-hose': { ...HEAVIER['upper-hose'], needs: ['cab-tilted'] },
    'alternator-cable': { needs: ['cab-tilted', 'battery-isolated'] },
    'intake-duct': { ...HEAVIER['intake-duct'], needs: ['cab-tilted'] },
    'charge-hose-cold': { ...HEAVIER['charge-hose-cold'], needs: ['cab-tilted'] },
    'fuel-feed': { needs: ['cab-tilted', 'fuel-depressurised', 'battery-isolated'] },
    'fuel-return': { needs: ['cab-tilted', 'fuel-depressurised', 'battery-isolated'] },
    'injection-feed': { needs: ['cab-tilted', 'fuel-closed', 'battery-isolated'] },
    'injection-return': { needs: ['cab-tilted', 'fuel-closed', 'battery-isolated'] },
    'air-delivery': { needs: ['cab-tilted', 'air-released'] },
    'prop-front': { ...HEAVIER['prop-rear'], access: [] },
  },
  partChanges: HEAVIER_PARTS,
  renewalChanges: HEAVIER_RENEWALS,
  onItsWheels: true,
  powerpacks: [
    { id: 'engine-with-gearbox', name: 'Engine with gearbox', roots: ['engine', 'gearbox'] },
    { id: 'engine', name: 'Bare engine', roots: ['engine'] },
    { id: 'gearbox', name: 'Gearbox alone', roots: ['gearbox'] },
  ],
  routes: [
    {
      id: 'top',
      name: 'Forward and up, cab tilted',
      powerpacks: ['engine-with-gearbox'],
      blockedBy: [...above, ...behindIt],
      supports: ['cab-tilted', 'powerpack-supported', 'gearbox-supported'],
      liftSteps: jackOutFirst(up),
      lowerSteps: jackUnderLast(down),
    },
    {
      id: 'top-engine',
      name: 'Engine up, gearbox stays',
      powerpacks: ['engine'],
      blockedBy: [...above, { part: 'flex-pipe', why: 'It catches on the rail.' }],
      supports: ['cab-tilted', 'powerpack-supported', 'gearbox-supported'],
      liftSteps: [offTheGearbox, ...up.slice(1)],
      lowerSteps: [...down.slice(0, 2), ontoTheGearbox, ...down.slice(2)],
    },
    {
      id: 'under',
      name: 'Gearbox down over the pit',
      powerpacks: ['gearbox'],
      blockedBy: [
        { part: 'propshaft', why: 'The gearbox moves back, where the shaft is.' },
        { part: 'gearbox-bearer', why: 'It crosses under the gearbox.' },
      ],
      supports: ['engine-held', 'gearbox-supported'],
      liftSteps: gearboxDown,
      lowerSteps: gearboxUp,
    },
  ],
  holdPoints: [
    madeSafe,
    preWeight,
    preLift({ id: 'cab-lock', words: 'Cab lock looked at again, prop in' }),
    preLower({ id: 'clutch', words: 'Clutch or damper: the right way round and centred' }),
    preStart,
  ],
  // Cab down again, the top of the engine is out of reach.
  checks: looks('coolant').map((look) => (look.station === 'bay-top' ? { ...look, station: 'front' } : look)),
};
