/** One try: how many half turns from where the adjuster stood, and what was measured there. */
export interface HalfTurnTry {
  readonly halfTurns: number;
  readonly reading: number;
}

/** What a half turn does, by the tries so far, and where to go. */
export interface HalfTurnsFit {
  /** What one half turn adds to the reading; undefined until it was tried at two places. */
  readonly perHalfTurn?: number;
  /** Half turns from the start at which the middle of what is wanted is met, to the nearest half turn. */
  readonly goTo?: number;
  /** How far the tries lie from the straight line, as a rule: a worn joint, or a slip of the rule. */
  readonly scatter?: number;
  /** The tries say that turning does nothing, or next to it. */
  readonly stuck: boolean;
  /** The last try lies within what is wanted. */
  readonly within: boolean;
}

/** A half turn that does less than this share of what is still missing is turning on the spot. */
const NEXT_TO_NOTHING = 0.01;
/** Nobody turns an adjuster further without looking again. */
const FURTHEST = 40;

/**
 * Least squares through the tries: reading = a + b · half turns, the later ones counting no more than the first. `from` and
 * `to` bound what is wanted, in the unit of the readings; with one of them it is aimed at, with none nothing is.
 */
export function halfTurnsFit(tries: readonly HalfTurnTry[], from?: number, to?: number): HalfTurnsFit {
  const last = tries.at(-1);
  const within = last !== undefined && last.reading >= (from ?? -Infinity) && last.reading <= (to ?? Infinity);
  const places = new Set(tries.map(({ halfTurns }) => halfTurns));
  if (places.size < 2) return { stuck: false, within };
  const mean = (of: (one: HalfTurnTry) => number) => tries.reduce((sum, one) => sum + of(one), 0) / tries.length;
  const turnsMean = mean(({ halfTurns }) => halfTurns);
  const readingMean = mean(({ reading }) => reading);
  const spread = mean(({ halfTurns }) => (halfTurns - turnsMean) ** 2);
  const perHalfTurn = mean(({ halfTurns, reading }) => (halfTurns - turnsMean) * (reading - readingMean)) / spread;
  const at = (halfTurns: number) => readingMean + perHalfTurn * (halfTurns - turnsMean);
  const scatter = Math.sqrt(mean(({ halfTurns, reading }) => (reading - at(halfTurns)) ** 2));
  const middle = ((from ?? to ?? last?.reading ?? 0) + (to ?? from ?? last?.reading ?? 0)) / 2;
  const missing = Math.abs(middle - (last?.reading ?? middle));
  const stuck = !within && Math.abs(perHalfTurn) <= missing * NEXT_TO_NOTHING;
  if (stuck) return { perHalfTurn, scatter, stuck, within };
  const goTo = perHalfTurn === 0 ? turnsMean : turnsMean + (middle - readingMean) / perHalfTurn;
  return { perHalfTurn, scatter, stuck, within, goTo: Math.max(-FURTHEST, Math.min(FURTHEST, Math.round(goTo))) };
}
