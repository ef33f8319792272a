/**
 * Economics: what it costs to do something now, what it would cost to come back for it, and which of all that could be
 * done now is the best set to do. Costs are unions: what has to be opened for several things is opened and paid for once.
 */
export { chanceWithin, usualYearsLeft } from './chance.js';
export { bestSets, valueOf, type Limits, type SetProblem, type ValuedSet } from './best-set.js';
export { USUAL_RATES, type Rates } from './rates.js';
export { nowOrLater, type Bargain, type NowOrLater, type Price, type ReckonedWith } from './now-or-later.js';
