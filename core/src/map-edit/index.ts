/**
 * Editing a connection map: each change is plain data and gives a new map, so undo is the map before. What is deleted
 * is also forgotten wherever it was named. What a change means for the work is told as operations and minutes.
 */
export { applyEdit, type MapEdit } from './apply.js';
export { effectOf, type Effect } from './effect.js';
export { firstValues, heldBy, kindIn, type FirstLook, type FirstValues } from './first-values.js';
export { freshId } from './fresh-id.js';
export { oddPair } from './odd-pair.js';
export { withFound } from './with-found.js';
