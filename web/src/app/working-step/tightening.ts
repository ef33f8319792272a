import { boltNumbers, type JointNow } from '@brisk/core/ledger';
import {
  calibrationDue,
  clockwiseOrder,
  settingFor,
  TorqueError,
  unevennessOf,
  wrenchTrusted,
  type TorqueVerdict,
  type WrenchInHand,
} from '@brisk/core/torque';

/** What is done about bolts that have something against them. */
const FAULTS: Readonly<Record<Exclude<TorqueVerdict, 'within'>, string>> = {
  over: 'went over: loosen, take out, look. Where one is longer or thinner than its fellows a new one goes in. Then again.',
  under: 'too low: again.',
  'tool-out-of-range': 'with a wrench that is not trusted at this figure: take another, again.',
  'out-of-calibration':
    'with a wrench overdue for calibration: hold it against another one, or accept it with a reason.',
  'too-early': 'at the last figure before all of its group were in: again once they are.',
};

/** What is against the bolts of a joint, one line for each kind, by their numbers. */
export function faultWords(now: JointNow): readonly string[] {
  return [...besideWords(now), ...againstWords(now)];
}

/** Bolts that came straight after their neighbour: said, and left to whoever holds the wrench. */
function besideWords(now: JointNow): readonly string[] {
  if (now.besideLast.length === 0) return [];
  const numbers = boltNumbers(now, now.besideLast).join(', ');
  return [
    `${now.besideLast.length === 1 ? 'Bolt' : 'Bolts'} ${numbers} came straight after a neighbour: it draws to one side. Go by the numbers.`,
  ];
}

function againstWords(now: JointNow): readonly string[] {
  return Object.entries(FAULTS).flatMap(([verdict, words]) => {
    const bolts = now.missed.filter((bolt) => now.faults.get(bolt) === verdict);
    if (bolts.length === 0) return [];
    return [`${bolts.length === 1 ? 'Bolt' : 'Bolts'} ${boltNumbers(now, bolts).join(', ')} ${words}`];
  });
}

/** How far the tightened bolts lie off the middle in this order, and clockwise; empty where that says nothing. */
export function evennessWords({ pattern: { holes }, order }: JointNow): string {
  if (holes.length < 4) return '';
  const percent = (some: readonly number[]) => `${Math.round(unevennessOf(holes, some) * 100)} %`;
  return `In this order it is pulled ${percent(order)} off its middle on average, clockwise ${percent(clockwiseOrder(holes))}.`;
}

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
