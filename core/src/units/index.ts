/**
 * Units: SI inside, the crew's own at the edge. Conversions that torque wrenches and books need,
 * with exact factors, and nothing that formats for a screen.
 */

/** Units a torque may be read in. */
export const TORQUE_UNITS = ['N·m', 'lbf·ft', 'lbf·in', 'kgf·m'] as const;
export type TorqueUnit = (typeof TORQUE_UNITS)[number];

/** A torque as a person read it: the number on the tool and the unit printed beside it. */
export interface TorqueReadingAsRead {
  readonly value: number;
  readonly unit: TorqueUnit;
}

/** Newton metres in one of each unit. Exact by definition of the pound-force, the foot and the kilogram-force. */
const NEWTON_METRES_PER_UNIT: Readonly<Record<TorqueUnit, number>> = {
  'N·m': 1,
  'lbf·ft': 1.3558179483,
  'lbf·in': 0.112984829,
  'kgf·m': 9.80665,
};

/** Torque in N·m of a value read in `unit`. */
export function torqueToNm({ value, unit }: TorqueReadingAsRead): number {
  return value * NEWTON_METRES_PER_UNIT[unit];
}

/** Value in `unit` of a torque given in N·m. */
export function torqueFromNm(torqueNm: number, unit: TorqueUnit): number {
  return torqueNm / NEWTON_METRES_PER_UNIT[unit];
}
