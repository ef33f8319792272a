/**
 * Fluids: what is still inside after draining, how a mix for a wanted frost is reached and in how many fills, how much oil
 * goes in to start with and how much after it has run, and which whole cans that makes. Litres and shares by volume
 * throughout, temperatures in °C.
 */
export { wholeCans, type Cans } from './cans.js';
export {
  freezingAtC,
  mixFor,
  shareFor,
  STRONGEST_SHARE,
  waterFirst,
  type Fill,
  type Mix,
  type WaterFirst,
} from './coolant-mix.js';
export { FluidError } from './fluid-error.js';
export { HELD_BY, heldBy } from './held-by.js';
export { startFill, toUpperMarkL, type StartFill } from './oil-level.js';
export { PRIMING_WAYS, type PrimingWay } from './priming.js';
