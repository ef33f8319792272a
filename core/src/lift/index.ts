/**
 * The lift of one job in true measure: what hangs on the hook now, what still stands round it, the way it goes, that way
 * as moves a person can do, and what taking off one more part would buy.
 */
export { bellFaceMm, judgeBellGap, type BellGaps, type BellJudgement } from './bell-gap.js';
export { findWay, movesToGoBy, type WayFound } from './find-way.js';
export { fluidInside, hangingKg, type FluidInside } from './fluid-inside.js';
export { fromBelow, type FromBelow } from './from-below.js';
export {
  barAboveCentreMm,
  hookFor,
  legsOf,
  onTheWayBack,
  overhangMm,
  weightOf,
  type LiftLeg,
  type LiftOf,
} from './legs.js';
export { fittedEarly, inShape, liftFacts, liftFor, minutesToTakeOff, withoutPart, type LiftFacts } from './lift-for.js';
export { hangsFree, judgeLoad, lastLoad, suspectsOf, type LoadJudgement, type Suspect } from './load-watch.js';
export { measuresOf, type Measure } from './measures.js';
export { moveWords, saysPush } from './move-words.js';
export {
  GO_MM,
  goesOf,
  movesAlong,
  movesPushedAside,
  wayBack,
  type Move,
  type MoveKind,
  type MovePart,
} from './moves.js';
export { goesThrough, poseWords, seatedInEachOther, verdictOf, type Verdict } from './verdict.js';
export { footingsOf, standingsOf, type Footing, type Standing, type StandingAt } from './stands.js';
export { movesHold, movesToTake, type LegWithMoves } from './take-moves.js';
export { rigOf, USUAL_PICKS, type Picks, type Rig } from './rig.js';
export { offersFor, type Offer } from './offers.js';
