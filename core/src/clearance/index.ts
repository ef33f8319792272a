/**
 * The way through: how a powerpack leaves its bay with most room round it. Shapes of what is on it now move along, up and
 * tilt against what still stands round it; the answer is a way, its narrowest place, and never more room than there is.
 */
export { closestPoints } from './closest.js';
export { Gaps, poseBetween, type Gap } from './gaps.js';
export { nearestOn, type NearestOn } from './nearest-on.js';
export { furtherOn, MOST_BODIES, onFrom, pairOf, placed, SceneError, SEATED } from './scene.js';
export type { Body, Pose, Scene, WayOut } from './scene.js';
export { pushedAside, pushedFrom, type PushedAside } from './pushed-aside.js';
export { closely } from './refine.js';
export { COARSE, FINE, judged, outOf, wayThrough } from './way-through.js';
export type { Fineness, Pinch, WayThrough } from './way-through.js';
export { WIDE_MM } from './widest-way.js';
