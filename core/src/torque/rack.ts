import type { Adapter } from './adapter.js';
import { FIRST_WRENCHES, wrenchTrusted, type TorqueWrench } from './reading.js';

/** A torque wrench of the shop. */
export interface ShopWrench extends TorqueWrench {
  /** From the square to the middle of the grip, in mm. */
  readonly handleMm?: number;
  /** The day it was last calibrated. */
  readonly calibratedOn?: string;
}

/** What a shop tightens with. */
export interface WrenchRack {
  readonly wrenches: readonly ShopWrench[];
  readonly adapters: readonly Adapter[];
}

/** What every shop begins with, until it writes down its own. */
export const FIRST_RACK: WrenchRack = { wrenches: FIRST_WRENCHES, adapters: [] };

/**
 * The smallest wrench of `rack` that can be trusted at `setNm`, the figure that is set on it; undefined where none reaches
 * it.
 */
export function wrenchAt(setNm: number, { wrenches }: WrenchRack): ShopWrench | undefined {
  return [...wrenches]
    .sort((one, other) => one.highestNm - other.highestNm)
    .find((wrench) => wrenchTrusted(wrench, setNm));
}
