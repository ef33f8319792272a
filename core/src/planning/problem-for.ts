import type { MachineHeight, Station } from '../connection-map/index.js';
import { carrying, isDone, unsettled, type JobState, type Pin, type PlanSettings } from '../ledger/index.js';
import { linesOf, openingsIn, stagesOf, type Load, type SchedulingProblem } from '../schedule/index.js';
import {
  descendantsOf,
  phasesOf,
  type Operation,
  type OperationId,
  type Precedence,
  type Half,
} from '../teardown/index.js';
import type { Work } from '../work/index.js';

/** What is asked of the scheduler for the rest of one half of a job. */
export interface PlanningProblem extends SchedulingProblem {
  /** Steps that wait for something nobody knows the time of, and all that hang on them: not in this plan. */
  readonly heldUp: readonly Operation[];
  /** Pins that cannot be kept any more. */
  readonly lostPins: readonly Pin[];
}

/**
 * The rest of `half` of a job as a scheduling problem, from where crew and machine stand now: what is settled is out,
 * what the crew pinned and its school of order are in. `minutes`: the shop’s own, where it has any.
 */
export function problemFor(
  state: JobState,
  half: Half,
  settings: PlanSettings,
  minutes: OwnMinutes = NO_MINUTES,
): PlanningProblem {
  const { work } = state;
  const { crew, school, pins, waits } = settings;
  const left = phasesOf(half)
    .flatMap((phase) => unsettled(state, phase))
    .map((operation) => timed(operation, minutes));
  const held = new Set<OperationId>();
  for (const { operation, min } of waits) {
    if (min !== undefined) continue;
    held.add(operation);
    for (const id of descendantsOf(operation, work)) held.add(id);
  }
  const operations = left.filter(({ id }) => !held.has(id));
  const { edges, lost } = pinned(work, operations, pins);
  return {
    operations,
    precedence: edges,
    crew,
    height: half !== 'out' && carriesOnFromOut(state) ? heightAfterOut(state) : state.height,
    standing: standingOf(state),
    load: loadsOf(work, operations),
    carrying: half !== 'out' && carriesOnFromOut(state) ? 0 : carrying(state).length,
    notBefore: new Map(waits.flatMap(({ operation, min }) => (min === undefined ? [] : [[operation, min] as const]))),
    outside: new Set(operations.filter(isLicensed).map(({ id }) => id)),
    runs: work.runs,
    lines: linesOf(operations, work.plan.map),
    openings: openingsIn(operations, work.plan.map),
    stages: half === 'out' ? stagesOf(school, operations, edges, work.plan.map, work.lump) : new Map(),
    heldUp: left.filter(({ id }) => held.has(id)),
    lostPins: lost,
  };
}

/** Likely minutes of steps as a shop takes them, in place of the map’s. */
export type OwnMinutes = ReadonlyMap<OperationId, number>;
const NO_MINUTES: OwnMinutes = new Map();

function timed(operation: Operation, own: OwnMinutes): Operation {
  const likely = own.get(operation.id);
  if (likely === undefined) return operation;
  const { low, high } = operation.minutes;
  return { ...operation, minutes: { low: Math.min(low, likely), likely, high: Math.max(high, likely) } };
}

/** Work only certified or qualified people do; it is arranged with somebody from outside. */
export function isLicensed({ kind, cautions }: Operation): boolean {
  return (
    cautions.includes('high-voltage') || (['make-safe', 'release'].includes(kind) && cautions.includes('refrigerant'))
  );
}

/** Edges of the work with the crew’s pins among them, and the pins that would tie steps into a ring. */
function pinned(work: Work, operations: readonly Operation[], pins: readonly Pin[]) {
  const among = new Set(operations.map(({ id }) => id));
  const edges: Precedence[] = work.precedence.filter(({ before, after }) => among.has(before) && among.has(after));
  const following = new Map<OperationId, OperationId[]>();
  const link = ({ before, after }: Precedence) => following.set(before, [...(following.get(before) ?? []), after]);
  edges.forEach(link);
  const lost: Pin[] = [];
  for (const pin of pins) {
    if (!among.has(pin.before) || !among.has(pin.after)) continue;
    if (reaches(following, pin.after, pin.before)) {
      lost.push(pin);
      continue;
    }
    const { before, after } = pin;
    const edge: Precedence = { before, after, reason: { kind: 'crew', words: 'The crew pinned it there.' } };
    edges.push(edge);
    link(edge);
  }
  return { edges, lost };
}

function reaches(following: ReadonlyMap<OperationId, readonly OperationId[]>, from: OperationId, to: OperationId) {
  const seen = new Set([from]);
  const waiting = [from];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (id === to) return true;
    for (const next of following.get(id) ?? [])
      if (!seen.has(next)) {
        seen.add(next);
        waiting.push(next);
      }
  }
  return false;
}

/** What each step does to the weight of the powerpack. */
function loadsOf(work: Work, operations: readonly Operation[]): ReadonlyMap<OperationId, Load> {
  const loads = new Map<OperationId, Load>();
  const takers = new Set(work.plan.map.conditions.filter(({ takesLoad }) => takesLoad).map(({ id }) => id));
  for (const { id, kind, condition } of operations) {
    if (kind === 'support') loads.set(id, 'takes');
    if (kind === 'release' && condition !== undefined && takers.has(condition)) loads.set(id, 'gives-back');
  }
  const last = operations.findLast(({ kind }) => kind === 'lift');
  if (last) loads.set(last.id, 'sets-down');
  const first = [...work.operations.values()].find(({ kind }) => kind === 'lower');
  if (first && operations.some(({ id }) => id === first.id)) loads.set(first.id, 'takes-all');
  return loads;
}

/** Where each person of the job worked last. */
function standingOf(state: JobState): ReadonlyMap<string, Station> {
  const standing = new Map<string, Station>();
  for (const entry of state.entries) {
    if (entry.kind !== 'operation-done' || !isDone(state, entry.operation)) continue;
    const station = state.work.operations.get(entry.operation)?.station;
    if (station) standing.set(entry.by, station);
  }
  return standing;
}

function carriesOnFromOut(state: JobState): boolean {
  return unsettled(state, 'lift').length > 0;
}

/** How the machine will stand when the powerpack is out. */
function heightAfterOut(state: JobState): MachineHeight {
  const last = unsettled(state, 'lift').findLast(({ height }) => height !== 'either');
  return last?.height === 'ground' || last?.height === 'raised' ? last.height : state.height;
}
