/**
 * The lift of one job in true measure: what hangs on the hook now, what still stands round it, the way it goes, that way
 * as moves a person can do, and what taking off one more part would buy.
 */
export { legsOf, weightOf, type LiftLeg, type LiftOf } from './legs.js';
export { movesAlong, wayBack, type Move, type MoveKind } from './moves.js';
export { offersFor, type Offer } from './offers.js';
