import type { JointNow } from '@brisk/core/ledger';
import { calibrationDue, settingFor, TorqueError, wrenchTrusted, type WrenchInHand } from '@brisk/core/torque';

/** What is next at a joint: the stage, its index, and the bolts in their order. */
export interface NextAtJoint {
  readonly at: number;
  readonly bolts: readonly number[];
}

/** Bolts that missed come first, in the last stage with a wrench; then those that are not through the stage in hand. */
export function nextAt({ missed, next, stageAt, stages }: JointNow): NextAtJoint | undefined {
  if (missed.length > 0) return { at: stages.findLastIndex(({ is }) => is === 'torque'), bolts: missed };
  return next.length > 0 ? { at: stageAt, bolts: next } : undefined;
}

/** Two on opposite sides may be tightened at once: the next, and the one after it where that lies across. */
export function acrossFrom({ pattern, order }: JointNow, bolts: readonly number[]): readonly number[] {
  const [first, second] = bolts.map((bolt) => pattern.holes[bolt]);
  const [one, other] = bolts;
  if (!first || !second || one === undefined || other === undefined) return bolts.slice(0, 1);
  const across = Math.hypot(first.xMm - second.xMm, first.yMm - second.yMm);
  const radius = Math.hypot(pattern.widthMm, pattern.heightMm) / 2;
  return order.length > 3 && across > radius ? [one, other] : [one];
}

/** What is set on a wrench for a figure, or why it cannot be. */
export type Setting = { readonly nm: number; readonly trusted: boolean } | { readonly wrong: string };

/** What is set on `wrench` so that the bolt gets `wantedNm`. */
export function settingOn(wrench: WrenchInHand, wantedNm: number): Setting {
  try {
    const nm = wrench.adapter ? settingFor(wantedNm, wrench.handleMm ?? 0, wrench.adapter) : wantedNm;
    return { nm, trusted: wrenchTrusted(wrench.range, nm) };
  } catch (error) {
    if (error instanceof TorqueError) return { wrong: error.message };
    throw error;
  }
}

/** What speaks against a wrench, in words; nothing where nothing does. */
export function wrenchTrouble(wrench: WrenchInHand, at: string): string | undefined {
  if (!calibrationDue(wrench, at)) return undefined;
  return `${wrench.name} is overdue for calibration: last on ${wrench.calibratedOn ?? 'no day written down'}, ${wrench.uses ?? 0} uses since.`;
}
