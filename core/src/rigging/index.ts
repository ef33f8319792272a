/**
 * How a powerpack hangs and what carries it: slings and their angles, leveller and turns, boom holes, and whether the
 * machine stands on its supports while its weight leaves it. The rating plate and the manufacturer’s table come first.
 */
export { balanceOf, EDGE_SHARE, together, type Balance, type Weight } from './balance.js';
export { FIRST_GEAR } from './gear.js';
export type { BoomHole, Dolly, Hoist, Leveller, LiftingGear, Sling, Support } from './gear.js';
export { dolliesFor, slingsFor, supportsFor, type Held, type Lack } from './hold-up.js';
export { DYNAMIC, highestHookMm, holesOf, type HoistNeed, type HoleJudgement } from './hoist.js';
export { hookTravelMm, levellerFor, mostTiltDeg, turnsFor } from './leveller.js';
export { scaleFault, type ScaleFault } from './scale-watch.js';
export { SCALE_EVERY_MS, SCALE_MODES, simulatedScale, type ScaleMode, type ScaleReading } from './simulated-scale.js';
export { GRAVITY, judgeLeg, REFUSE_UNDER_DEG, RiggingError, twoLegs, WARN_UNDER_DEG } from './slings.js';
export type { SlingLeg } from './slings.js';
