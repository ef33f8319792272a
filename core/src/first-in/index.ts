/**
 * What must be in first: before the powerpack goes down, what has to be fitted, measured, tied back or left out, what comes
 * before what, and what nobody gets at any more once it is in. From the order of work, from the practice the crew chose, and
 * from the shapes.
 */
export { coveredBy, type Covered, type Side } from './covered.js';
export { firstIn, type FirstIn, type FirstInStep, type LeftOut, type ThisFirst } from './first-in.js';
