import type { Circuit, CircuitId, ConnectionMap, PartId } from '../connection-map/index.js';

/** Which part holds what does not run out of a circuit, and what share of it: most of the coolant left is in block and head. */
export const HELD_BY: Readonly<Record<CircuitId, readonly [part: PartId, share: number]>> = {
  'engine-oil': ['engine', 1],
  coolant: ['engine', 0.7],
  'gearbox-oil': ['gearbox', 1],
  'transfer-oil': ['transfer-box', 1],
};

/** The circuits of `map` that `unit` holds: what it comes with or without. */
export function heldBy({ circuits }: Pick<ConnectionMap, 'circuits'>, unit: PartId): readonly Circuit[] {
  return circuits.filter(({ id }) => HELD_BY[id]?.[0] === unit);
}
