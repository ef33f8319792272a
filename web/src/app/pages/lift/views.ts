/** What is loaded together: one file each for the browser to fetch cost more than all of them at once. */
export { Lift } from './lift';
export { LiftWay } from './lift-way';
export { LiftRig } from './lift-rig';
export { LiftGear } from './lift-gear';
export { LiftBalance } from './lift-balance';
