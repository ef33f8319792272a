import type { Finding, Inspection, InspectionSheet } from './sheet.js';

/** What was found, look by look; a look nobody took is left out. */
export type Found = Readonly<Record<string, string>>;

export type Bet = 'good-bet' | 'look-closer' | 'leave-it';

/** One thing that speaks for or against a donor. */
export interface Speaks {
  readonly inspection: string;
  readonly words: string;
  readonly weight: number;
}

export interface Verdict {
  readonly bet: Bet;
  /** Out of 100 for a donor nothing speaks against; more is possible, less than nought is not. */
  readonly points: number;
  /** What decides it alone. */
  readonly stops: readonly string[];
  /** Gravest first. */
  readonly against: readonly Speaks[];
  readonly inFavour: readonly Speaks[];
  /** What to look at next: first because of what was found, then what nobody has looked at, heaviest first. */
  readonly next: readonly string[];
  readonly unseen: readonly Inspection[];
}

/**
 * Weighs what was `found` on a donor by `sheet`. Every point comes from the sheet: 100, and the weight of every finding,
 * and a little off for every look not taken. A stop decides alone. With a third of the looks or more not taken it is
 * never called a good bet.
 */
export function verdictOf(sheet: InspectionSheet, found: Found): Verdict {
  const seen = sheet.inspections.flatMap((inspection): readonly (readonly [Inspection, Finding])[] => {
    const finding = inspection.findings.find(({ id }) => id === found[inspection.id]);
    return finding ? [[inspection, finding]] : [];
  });
  const unseen = sheet.inspections.filter(({ id }) => !seen.some(([inspection]) => inspection.id === id));
  const points = Math.max(
    0,
    Math.round(100 + seen.reduce((sum, [, { weight }]) => sum + weight, 0) + unseen.length * sheet.unseen),
  );
  const stops = seen.flatMap(([, { stop, reason }]) => (stop ? [reason] : []));
  const speaking = seen
    .map(([{ id }, { reason, weight }]): Speaks => ({ inspection: id, words: reason, weight }))
    .sort((one, other) => one.weight - other.weight);
  const enoughSeen = unseen.length * 3 < sheet.inspections.length;
  const bet: Bet =
    stops.length > 0 || points < sheet.closerFrom
      ? 'leave-it'
      : points >= sheet.goodFrom && enoughSeen
        ? 'good-bet'
        : 'look-closer';
  const heaviest = ({ findings }: Inspection) => Math.min(...findings.map(({ weight }) => weight));
  return {
    bet,
    points,
    stops,
    against: speaking.filter(({ weight }) => weight < 0),
    inFavour: speaking.filter(({ weight }) => weight > 0).reverse(),
    next: [
      ...seen.flatMap(([, { next }]) => next ?? []),
      ...[...unseen].sort((one, other) => heaviest(one) - heaviest(other)).map(({ question }) => question),
    ],
    unseen,
  };
}
