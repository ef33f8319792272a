/**
 * Adjust and try: what is looked at when a joint goes together, what a half turn of an adjuster does by the tries so far,
 * how tight a belt is, how far a seat is from its figure, and whether a ground carries. A maker’s figure always wins.
 */
export { beltTensionN, type BeltMeasured } from './belt.js';
export { AdjustError } from './adjust-error.js';
export { gearsFit, type GearTry, type GearsFit } from './gears.js';
export { judgeGround, MOST_DROP_V, MOST_OHMS, type GroundMeasured } from './ground.js';
export { halfTurnsFit, type HalfTurnTry, type HalfTurnsFit } from './half-turns.js';
export { looksAtClosing, LOOK_WORDS, LOOKS, type AskedLook, type Look } from './looks.js';
export { judgeSeat, SEAT_WORDS, type SeatReading, type SeatVerdict } from './seat.js';
