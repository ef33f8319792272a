import type { CircuitId, PartId } from '../connection-map/index.js';

/** Which part holds what does not run out of a circuit, and what share of it: most of the coolant left is in block and head. */
export const HELD_BY: Readonly<Record<CircuitId, readonly [part: PartId, share: number]>> = {
  'engine-oil': ['engine', 1],
  coolant: ['engine', 0.7],
  'gearbox-oil': ['gearbox', 1],
  'transfer-oil': ['transfer-box', 1],
};
