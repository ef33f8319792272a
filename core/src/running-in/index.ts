/**
 * Running in: what is looked at once more after the first run, by what was done on this job, and what to go easy on until then.
 */
export { oddReading, warmUpOf, type WarmUpPoint } from './warm-up.js';
export { wetJoints, type WetJoint } from './wet-joints.js';
export { goEasyOn, proposedLooks, type ProposedLook } from './running-in.js';
