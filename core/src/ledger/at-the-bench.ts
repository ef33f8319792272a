import { MapError, type JobPlan, type PartId } from '../connection-map/index.js';
import { NOTHING_DECIDED, type BenchDecisions, type Fate } from '../bench/index.js';
import { workOf, type Work } from '../work/index.js';
import { operationId } from '../teardown/index.js';
import { several } from '../words/index.js';
import { isDone } from './reading.js';
import { NOTHING, refuse, type Refusal } from './refusal.js';
import type { Draft, JobRecord, JobState } from './state.js';

/** What was decided on the units, and what is renewed, as the ledger has it. */
export function decidedAtBench({ units, renewals, ownRenewals }: JobRecord): BenchDecisions {
  if (units.size === 0 && renewals.size === 0 && ownRenewals.size === 0) return NOTHING_DECIDED;
  const now = [...renewals].flatMap(([id, { doIt }]) => (doIt === 'now' ? [id] : []));
  return { units, now: new Set(now), own: [...ownRenewals.values()] };
}

/** What the work of a job is worked out from, besides its plan. */
interface Known extends Pick<JobRecord, 'moves' | 'spliceSteps'> {
  readonly found: JobRecord['found'];
  readonly decided: BenchDecisions;
}

/** The work last worked out for each plan: whether an entry may follow and what it does ask for the same. */
const latest = new WeakMap<JobPlan, Known & { readonly work: Work }>();

/** The work of a job as its record has it now: what was found, the moves of its lift, what is done at the bench. */
export function workNow(state: JobState): Work {
  const { plan, moves, spliceSteps } = state;
  const known: Known = {
    found: [...state.found],
    decided: decidedAtBench(state),
    spliceSteps,
    ...(moves ? { moves } : {}),
  };
  const before = latest.get(plan);
  if (before && isSame(before, known)) return before.work;
  const work = workOf(withSplices(plan, spliceSteps), known.found, moves, known.decided);
  latest.set(plan, { ...known, work });
  return work;
}

function withSplices(plan: JobPlan, steps: JobRecord['spliceSteps']): JobPlan {
  return steps.length === 0 ? plan : { ...plan, adaptations: [...(plan.adaptations ?? []), ...steps] };
}

function isSame(one: Known, other: Known): boolean {
  const names = ({ decided: { now, units } }: Known) =>
    JSON.stringify([
      [...now],
      [...units].map(([unit, { becomes, comesWith, filled }]) => [unit, becomes, comesWith, filled]),
    ]);
  const things = ({ found, decided: { own }, moves, spliceSteps }: Known) => [
    moves,
    ...found,
    null,
    ...own,
    null,
    ...spliceSteps,
  ];
  const [ones, others] = [things(one), things(other)];
  return (
    ones.length === others.length &&
    ones.every((thing, index) => thing === others[index]) &&
    names(one) === names(other)
  );
}

/** Has the work of `draft` worked out anew when it is next asked for: of many decisions in a row only the last counts. */
export function rework(draft: Draft): void {
  const put = (how: PropertyDescriptor) =>
    Object.defineProperty(draft, 'work', { configurable: true, enumerable: true, ...how });
  put({
    get: () => {
      const work = workNow(draft);
      put({ value: work, writable: true });
      return work;
    },
  });
}

/** Following a ledger costs time for each decision, so a ledger may hold only so many. */
const MOST_DECIDED = 100;
const DECISIONS = ['unit-decided', 'renewal-decided', 'renewal-written'];

/**
 * Why the crew may not decide so now: it is on its way back, or steps that were done would belong to nothing any more.
 * `changed`: the record as the decision would leave it.
 */
export function mayDecide(state: JobState, changed: Partial<JobRecord>): readonly Refusal[] {
  if (state.entries.filter(({ kind }) => DECISIONS.includes(kind)).length >= MOST_DECIDED)
    return refuse('sense', `${MOST_DECIDED} decisions were written on this job. Let it stand now.`);
  if (isDone(state, operationId.hold('pre-lower')))
    return refuse('order', 'It is signed ready to go down. What is done at the bench is decided before that.');
  let work: Work;
  try {
    work = workNow({ ...state, ...changed });
  } catch (error) {
    if (error instanceof MapError) return refuse('sense', error.message);
    throw error;
  }
  const lost = [...state.work.operations.values()].filter(
    ({ id, phase }) => phase === 'bench' && !work.operations.has(id) && isDone(state, id),
  );
  if (lost.length === 0) return NOTHING;
  return refuse(
    'order',
    `${several(lost.length, 'step')} of it ${lost.length === 1 ? 'is' : 'are'} done already, “${lost[0]?.title ?? ''}” among them. Take ${lost.length === 1 ? 'it' : 'them'} back first, or let it stand.`,
  );
}

export const FATE_WORDS: Readonly<Record<Fate, string>> = {
  same: 'goes back as it is',
  repaired: 'is repaired and goes back',
  exchange: 'gives way to an exchange unit',
  donor: 'gives way to the donor’s',
};

/** What `part` is called on this job. */
export function partName({ plan }: Pick<JobState, 'plan'>, part: PartId): string {
  return plan.map.parts.find(({ id }) => id === part)?.name ?? part;
}
