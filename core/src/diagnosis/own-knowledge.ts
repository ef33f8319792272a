import type { Cause, TroubleKnowledge, TroubleTest } from './knowledge.js';

/** What a shop knows otherwise: tests and causes of its own, or in place of those that ship, and causes it has no use for. */
export interface OwnKnowledge {
  readonly tests: readonly TroubleTest[];
  readonly causes: readonly Cause[];
  /** Ids of causes that ship and are left out. */
  readonly without: readonly string[];
}

export const NO_OWN_KNOWLEDGE: OwnKnowledge = { tests: [], causes: [], without: [] };

/** A cause that was found on a machine of this kind. */
export interface FoundCause {
  readonly cause: string;
}

/** So many cases stand behind the weights that ship: what a shop finds itself counts against these. */
const CASES_BEHIND = 60;

/**
 * `shipped` as the shop knows it: its own tests and causes in place of those of the same id, or after them, what it left out gone;
 * and each cause the heavier the oftener it was `found`. A weight is a Dirichlet prior of {@link CASES_BEHIND} cases: each case
 * found adds one.
 */
export function knowledgeOf(
  shipped: TroubleKnowledge,
  own: OwnKnowledge,
  found: readonly FoundCause[] = [],
): TroubleKnowledge {
  const causes = merged(
    shipped.causes.filter(({ id }) => !own.without.includes(id)),
    own.causes,
  );
  const oneCase = causes.reduce((sum, { weight }) => sum + weight, 0) / CASES_BEHIND;
  const times = (id: string) => found.filter(({ cause }) => cause === id).length;
  return {
    tests: merged(shipped.tests, own.tests),
    causes: causes.map((cause) => ({ ...cause, weight: cause.weight + times(cause.id) * oneCase })),
  };
}

function merged<Thing extends { readonly id: string }>(
  shipped: readonly Thing[],
  own: readonly Thing[],
): readonly Thing[] {
  const mine = new Map(own.map((one) => [one.id, one]));
  return [
    ...shipped.map((one) => mine.get(one.id) ?? one),
    ...own.filter(({ id }) => !shipped.some((one) => one.id === id)),
  ];
}
