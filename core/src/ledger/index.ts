/**
 * The ledger: the append-only record of a job, the one function that folds it to a state, and what may be written next
 * and why not. Server and web fold the same entries with the same function, so they cannot disagree. Nothing here
 * reads a clock; times come with the entries.
 */
export type { BodyOf, EntryBody, EntryKind, LedgerEntry } from './entry.js';
export type { EntryHead } from './entries/entry-rules.js';
export { ENTRY_KINDS } from './entries/registry.js';
export type { LooseBolt } from './entries/fasteners/bolt-found.js';
export type { Accepted } from './entries/fasteners/count-accepted.js';
export { countMismatches, type Bag, type FastenerCount } from './entries/fasteners/fasteners-counted.js';
export {
  CONDITION_WORDS,
  CONDITIONS_OF_FASTENER,
  type FastenerCondition,
  type Judgement,
} from './entries/fasteners/fasteners-judged.js';
export { KEEPING_WORDS, KEEPINGS, type Keeping } from './entries/fasteners/keeping-chosen.js';
export { LAGGING, type Lagging, type LoadReading } from './entries/lift/load-read.js';
export { adjustmentNow, adjustmentsOf, type AdjustmentNow, type AdjustmentTry } from './adjustments.js';
export { looksLeft, type LooksLeft } from './looks-left.js';
export { looseGroups, type GroupJoint, type LooseGroup } from './loose-groups.js';
export type { Seat } from './entries/adjusting/seat-measured.js';
export {
  cansToBuy,
  CIRCUIT_STATE_WORDS,
  circuitNow,
  circuitsNow,
  fillPlanOf,
  USUAL_CANS_L,
  type CansToBuy,
  type CircuitNow,
  type CircuitState,
  type FillPlan,
} from './fluids-now.js';
export { FILL_SCHOOLS, PRIMING_WORDS, type FillSchool, type FillTerms } from './entries/fluids/fill-planned.js';
export type { Flow, Litres } from './entries/fluids/fluid-measured.js';
export type { Level } from './entries/fluids/level-set.js';
export type { FoundConnection } from './entries/map/connection-found.js';
export type { LeftAsItIs } from './entries/map/left-on-purpose.js';
export { COST_SORTS, COST_WORDS, type Cost, type CostSort } from './entries/parts/cost-noted.js';
export type { Finding } from './entries/bench/looked-at.js';
export type { Measured } from './entries/bench/unit-measured.js';
export {
  OWNERS,
  PART_CONDITION_WORDS,
  PART_CONDITIONS,
  PLACE_WORDS,
  PLACES,
  type Owner,
  type PartCondition,
  type Place,
} from './entries/parts/part-placed.js';
export type { Literature } from './entries/literature/literature-added.js';
export type { BelongsTo, PinnedPage } from './entries/literature/page-pinned.js';
export { LOOM_WORDS, LOOMS, type Loom } from './entries/looms/pins-read.js';
export type { Compared } from './entries/parts/part-compared.js';
export { NEXT_STAGES, PART_STAGES, STAGE_WORDS, type PartStage } from './entries/parts/part-moved-on.js';
export type { PartToOrder } from './entries/parts/part-needed.js';
export { WHEN_RENEWED, type DecidedRenewal, type WhenRenewed } from './entries/bench/renewal-decided.js';
export type { Terms } from './entries/bench/terms-set.js';
export type { DecidedUnit } from './entries/bench/unit-decided.js';
export { decidedAtBench, FATE_WORDS } from './at-the-bench.js';
export type { Photo } from './entries/photos/photo-taken.js';
export type { FollowedPlan, Pin, PlanFollowed, PlanSettings, Wait } from './entries/plan/plan-followed.js';
export type { Note } from './entries/record/noted.js';
export { openCalls, type Call } from './entries/crew/help-called.js';
export { SHIFT_SORTS, type Shift, type ShiftLine, type ShiftSort } from './entries/record/shift-handed-over.js';
export type { GroundCheck } from './entries/start/ground-checked.js';
export type { Issue } from './entries/start/issue-opened.js';
export type { Attempt } from './entries/start/start-attempted.js';
export type { FoundCause } from './entries/start/cause-found.js';
export { WHEN_READ, type ReadCodes } from './entries/start/codes-read.js';
export { LEAK_WORDS, LEAKS, type Leak, type LeakSeen } from './entries/start/leak-looked.js';
export type { WarmUpNote } from './entries/start/warm-up-noted.js';
export type { SecondLook } from './entries/start/second-look-planned.js';
export type { TestDone } from './entries/start/trouble-test-done.js';
export { SKIP_MODES, type SkipMode } from './entries/steps/operation-skipped.js';
export {
  MEANS,
  MEANS_WORDS,
  TROUBLE_WORDS,
  TROUBLES,
  type Means,
  type Struggle,
  type Trouble,
} from './entries/steps/operation-stuck.js';
export type { Tightened, Tightening } from './entries/torque/bolts-tightened.js';
export type { TorqueReading } from './entries/torque/torque-read.js';
export { entryWords } from './entry-words.js';
export type { JobState, Mark, Progress } from './state.js';
export { canApply, replay, type Replay } from './can-apply.js';
export { waitsFor } from './waits-for.js';
export type { Refusal } from './refusal.js';
export { extend, foldLedger, startOf } from './fold.js';
export { gateOf, holdPointName, type Blocker, type Gate } from './gates.js';
export { partsAwaitedAt } from './parts-awaited.js';
export { countingAt, fluidAt, tagAt, type Counting, type FluidAtStep, type TagAtStep } from './at-step.js';
export { BAG_COLUMNS, bagRows, bagWall, tileOf, type BagTile, type SetStanding, type WallSection } from './bag-wall.js';
export { clockOf, type StepClock } from './clock.js';
export {
  groundsOf,
  heldTo,
  keptWhere,
  leftAndMissing,
  looseBolts,
  openHomes,
  setCountOf,
  setCounts,
  setsOf,
  unevenWords,
  type Ground,
  type LeftAndMissing,
  type SetCount,
} from './counting.js';
export { fastenerCount, nextBag, nextTag, wantsTag } from './numbers.js';
export { rebased, type Fallen, type Rebased } from './rebased.js';
export { fastenersToBuy, listedAs, type FastenersToBuy } from './shopping.js';
export { leftToItself, type LeftToItself } from './left-to-itself.js';
export type { OpenItem } from './open-item.js';
export { openItems } from './open-items.js';
export { boltNumbers, halfTight, jointNow, jointOf, type Joint, type JointNow } from './joint.js';
export { TORQUE_COLUMNS, torqueSheet, type TorqueRow } from './torque-sheet.js';
export { yearsGiven } from './lives.js';
export { lastEntriesOf } from './last-entries.js';
export { rowAhead } from './row-ahead.js';
export { MANY_BOLTS, torqueAlong, type TorqueAlong } from './torque-along.js';
export { LONGEST_STRETCH_MIN, minutesByOperation, minutesByStop } from './phase-time.js';
export {
  allLifted,
  isAway,
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
  partsOut,
  powerpackMassKg,
  singleUseOpened,
  stillOpen,
  stuckSteps,
  stopOf,
  unsettled,
  type Holding,
  type SingleUse,
} from './reading.js';
export { isPossible, nextOf, nextUp, possibleNow, runSheet, type NextUp, type RunSheet } from './run-sheet.js';
export { lostBy } from './plan-change.js';
