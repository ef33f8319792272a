/**
 * The ledger: the append-only record of a job, the one function that folds it to a state, and what may be written next
 * and why not. Server and web fold the same entries with the same function, so they cannot disagree. Nothing here
 * reads a clock; times come with the entries.
 */
export * from './entry.js';
export type * from './state.js';
export { canApply, replay, waitsFor, type Replay } from './can-apply.js';
export type { Refusal } from './refusal.js';
export { extend, foldLedger, startOf } from './fold.js';
export { gateOf, type Blocker, type Gate } from './gates.js';
export { BAG_COLUMNS, bagRows, bagWall, tileOf, type BagTile, type SetStanding, type WallSection } from './bag-wall.js';
export { clockOf, type StepClock } from './clock.js';
export {
  groundsOf,
  heldTo,
  keptWhere,
  leftAndMissing,
  looseBolts,
  openHomes,
  RULES_NOW,
  setCountOf,
  setCounts,
  setsOf,
  unevenWords,
  type Ground,
  type LeftAndMissing,
  type SetCount,
} from './counting.js';
export { fastenerCount, nextBag, nextTag, renumbered, wantsTag } from './numbers.js';
export { fastenersToBuy, type FastenersToBuy } from './shopping.js';
export { soakingSteps, type Soaking } from './soaking.js';
export { countMismatches, openItems, type OpenItem } from './open-items.js';
export { lastEntriesOf } from './last-entries.js';
export { LONGEST_STRETCH_MIN, minutesByOperation, minutesByStop } from './phase-time.js';
export {
  STOPS,
  carrying,
  conditionsInForce,
  hasRun,
  heightNeeded,
  holding,
  isDone,
  isOpen,
  isSettled,
  mayBePassedOver,
  onTheWayOut,
  powerpackMassKg,
  singleUseOpened,
  stillOpen,
  stuckSteps,
  stopOf,
  unsettled,
  type Holding,
  type SingleUse,
  type Stop,
} from './reading.js';
export { nextUp, possibleNow, runSheet, type NextUp, type RunSheet } from './run-sheet.js';
export { lostBy } from './plan-change.js';
