/**
 * Schedule: puts operations in an order that respects every edge, and cuts that order into setups. {@link Orderer} is
 * the seam: whatever orders operations takes an {@link OrderingProblem} and gives them back in order.
 */
export { groupedOrder } from './grouped-order.js';
export type { Orderer, OrderingProblem } from './problem.js';
export { setupsOf, totalMinutes, type Setup } from './setups.js';
