/**
 * How large the parts of a machine are and where they sit: convex solids in machine coordinates (x along, 0 at the front
 * axle and positive to the nose; y across, positive to the left; z up from the ground; mm), hung on reference planes that
 * a tape can move. The data are written beside the layouts; here they are taken apart, placed and held to account.
 */
export { areaOf, extentOf, hullOf, middleOf, turn } from './solid.js';
export type { Extent, Interval, Place, Point, Solid } from './solid.js';
export { flat, gapOf, type Flat } from './flat.js';
export { depthOf, gapBetween, minkowskiDifference, overlapOf } from './convex.js';
export { isPlane, PLANE_NAMES, PLANES, type Level, type PlaneName, type Range } from './plane.js';
export { block, box, drum, end, hard, letInto, profile, side, soft } from './spec.js';
export type { BayFeature, PartShape, SolidSpec } from './spec.js';
export type { Direction, Exit, LayoutShape, Leg, PlaneAt } from './layout-shape.js';
export { axisOf, planesOf, ShapeError, type Measured, type Planes } from './resolve.js';
export { machineShape, spreadBetween, type MachineShape, type Shaped } from './machine-shape.js';
