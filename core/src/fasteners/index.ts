/**
 * Fasteners: what is written of one (`M8×1.25 × 25, 13 mm flange`) read into thread, length, head and drive; how sure it
 * is that a loose one came from a certain hole, one by one and a handful at once; what goes wrong where another one is
 * put in its place; and where the holes of a joint are. Lengths are millimetres, measured under the head.
 */
export { lookalikesOf, readThread, THREADS, type Thread } from './thread.js';
export {
  DRIVES,
  FORMS,
  PROPERTY_CLASSES,
  readFastener,
  specWords,
  type Drive,
  type FastenerForm,
  type FastenerSpec,
} from './spec.js';
export { hasMeasured, type MeasuredBolt } from './measured.js';
export { fitOf, type Fit } from './fit.js';
export { placeAll, rankHomes, type Candidate, type Home, type Placing } from './mystery.js';
export { readWashers } from './washers.js';
export { substitutionRisks, type Risk } from './substitution.js';
export {
  commonestSet,
  drawnSize,
  PATTERN_SHAPES,
  positionsOf,
  usualPattern,
  type BoltPattern,
  type DrawnSize,
  type HolePlace,
  type PatternShape,
} from './pattern.js';
