import type { Chore, Deed, JobPlan } from '../connection-map/index.js';
import { operationId, type Half, type Operation, type OperationId, type Precedence } from './operation.js';
import type { Requirements } from './requirements.js';
import { isForJob } from './scope.js';

/** Where what is done to something begins and ends, by the steps of one half; undefined where it is not done in it. */
export type DeedSteps = (deed: Deed) => { readonly first: OperationId; readonly last: OperationId } | undefined;

/** The chores of `half` that this job has: those for such a job that come before something which is done on it. */
export function choresFor(plan: JobPlan, required: Requirements, half: Half, steps: DeedSteps): readonly Chore[] {
  const serves = ({ before }: Chore) =>
    before.some((deed) => 'holdPoint' in deed || (!('chore' in deed) && steps(deed) !== undefined));
  return (plan.map.chores ?? []).filter(
    (chore) => chore.half === half && isForJob(chore.where, plan, required) && serves(chore),
  );
}

/** A chore as a step of its half. */
export function choreOperation({
  id,
  half,
  why: _why,
  wait,
  where: _where,
  recalls,
  pins: _pins,
  after: _after,
  before: _before,
  ...step
}: Chore): Operation {
  const phase = ({ out: 'strip', bench: 'bench', back: 'refit' } as const)[half];
  return {
    ...step,
    id: operationId.chore(id),
    phase,
    kind: wait === true ? 'wait' : 'prepare',
    ...(recalls === undefined ? {} : { recalls: operationId.chore(recalls) }),
  };
}

/** What each of `chores` waits for, and what waits for it, as far as that is done on the job. */
export function choreEdges(chores: readonly Chore[], steps: DeedSteps): readonly Precedence[] {
  const there = new Set(chores.map(({ id }) => id));
  const stepsOf: DeedSteps = (deed) => {
    if (!('chore' in deed)) return steps(deed);
    const own = operationId.chore(deed.chore);
    return there.has(deed.chore) ? { first: own, last: own } : undefined;
  };
  return chores.flatMap(({ id, why, after, before }): readonly Precedence[] => {
    const own = operationId.chore(id);
    const reason = { kind: 'sequence', words: why } as const;
    return [
      ...after.flatMap((deed) => {
        const other = stepsOf(deed);
        return other ? [{ before: other.last, after: own, reason }] : [];
      }),
      ...before.flatMap((deed) => {
        const other = stepsOf(deed);
        return other ? [{ before: own, after: other.first, reason }] : [];
      }),
    ];
  });
}

/** The steps of the way out by what they are done to: `there` says which are on the job. */
export function deedsOut(there: ReadonlySet<OperationId>, establishing: (condition: string) => OperationId): DeedSteps {
  return (deed) => {
    if ('renewal' in deed) return undefined;
    const id =
      'undone' in deed
        ? [operationId.remove(deed.undone), operationId.open(deed.undone)].find((one) => there.has(one))
        : 'connection' in deed
          ? operationId.open(deed.connection)
          : 'part' in deed
            ? operationId.remove(deed.part)
            : 'circuit' in deed
              ? operationId.drain(deed.circuit)
              : 'condition' in deed
                ? establishing(deed.condition)
                : 'holdPoint' in deed
                  ? operationId.hold(deed.holdPoint)
                  : operationId.chore(deed.chore);
    return id !== undefined && there.has(id) ? { first: id, last: id } : undefined;
  };
}
