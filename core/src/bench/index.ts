/**
 * Bench: what is done to the powerpack while it is out. From the map, the way it came out and what the crew decided
 * (which units go back, what is renewed) to the steps of parting it, getting at things, renewing them, moving outer parts
 * over to another unit, and putting it together again, with what must come before what and why.
 */
export { FATES, isReplaced, NOTHING_DECIDED, type BenchDecisions, type Fate, type UnitDecision } from './decisions.js';
export { benchOf, benchSteps, openedInAll, type Bench } from './derive.js';
export { outerPartsOf, unitsOf } from './units.js';
export { benchRequired, renewalsOf, type BenchRequirements, type Pair } from './required.js';
export { AT_THE_BENCH_WORDS } from './edges.js';
