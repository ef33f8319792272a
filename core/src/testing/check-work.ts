import type { Chore, ConnectionMap, Deed } from '../connection-map/index.js';
import type { ScheduledStep } from '../schedule/index.js';

const CLOSE = 1e-6;
const WORKED: readonly ScheduledStep['operation']['kind'][] = ['disconnect', 'connect', 'start-by-hand', 'torque'];

/** What is done in each part of one job, as it was scheduled. */
export interface WholeJob {
  readonly out: readonly ScheduledStep[];
  readonly bench: readonly ScheduledStep[];
  readonly back: readonly ScheduledStep[];
}

/** What would bend or fall on `map` if a job were done as scheduled, in words; written without looking at any rule of order. */
export function bendsOrFalls(map: ConnectionMap, job: WholeJob): readonly string[] {
  return [...bends(map, job.bench), ...falls(map, job)];
}

/** Bolts of what turns with the crank that are worked while a pin holds it. */
function bends({ chores = [], connections, parts }: ConnectionMap, steps: readonly ScheduledStep[]): readonly string[] {
  const turning = new Set(parts.filter(({ movesWith }) => movesWith === 'crank').map(({ id }) => id));
  const loading = steps.filter(({ operation: { connection, kind } }) => {
    const joint = connections.find(({ id }) => id === connection);
    return WORKED.includes(kind) && joint?.kind === 'bolted' && joint.between.some((end) => turning.has(end));
  });
  return chores.flatMap((chore) => {
    const pinned = chore.pins === 'in' ? stepOf(steps, `do:${chore.id}`) : undefined;
    if (!pinned) return [];
    const until = pinsOutAt(chore, chores, steps);
    return loading
      .filter(({ startMin, endMin }) => endMin > pinned.endMin + CLOSE && startMin < until - CLOSE)
      .map(({ operation }) => `${operation.id} while ${chore.id} holds the crank`);
  });
}

/** When what `chore` pinned is free again: with the chore that takes the pins out of the same thing, or with that thing undone. */
function pinsOutAt(chore: Chore, chores: readonly Chore[], steps: readonly ScheduledStep[]): number {
  const about = new Set(chore.before.map(nameOf));
  const out = chores.find(({ pins, after }) => pins === 'out' && after.some((deed) => about.has(nameOf(deed))));
  const undone = chore.before.flatMap((deed) => ('undone' in deed ? (stepOf(steps, `open:${deed.undone}`) ?? []) : []));
  const ends = [...(out ? [stepOf(steps, `do:${out.id}`)] : []), ...undone].flatMap((step) => step?.endMin ?? []);
  return ends.length > 0 ? Math.min(...ends) : Infinity;
}

const nameOf = (deed: Deed): string =>
  Object.entries(deed)
    .map(([is, what]) => `${is} ${String(what)}`)
    .join();

/** Mounts that are let go before gear has the weight, and gear that goes before they have it again. */
function falls({ connections, conditions }: ConnectionMap, { out, back }: WholeJob): readonly string[] {
  const carrying = new Set(connections.filter(({ carriesLoad }) => carriesLoad).map(({ id }) => id));
  const takers = new Set(conditions.filter(({ takesLoad }) => takesLoad).map(({ id }) => id));
  const taken = out.filter(({ operation }) => operation.kind === 'support');
  const letGo = out.filter(
    ({ operation: { kind, connection = '' } }) => kind === 'disconnect' && carrying.has(connection),
  );
  const given = back.filter(({ operation: { kind, condition = '' } }) => kind === 'release' && takers.has(condition));
  const held = back.filter(
    ({ operation: { kind, connection = '' } }) => kind === 'connect' && carrying.has(connection),
  );
  return [
    ...taken.flatMap((gear) =>
      letGo
        .filter(({ startMin }) => startMin < gear.endMin - CLOSE)
        .map(({ operation }) => `${operation.id} before ${gear.operation.id} has the weight`),
    ),
    ...given.flatMap((gear) =>
      held
        .filter(({ endMin }) => endMin > gear.startMin + CLOSE)
        .map(({ operation }) => `${gear.operation.id} before ${operation.id} has the weight`),
    ),
  ];
}

const stepOf = (steps: readonly ScheduledStep[], id: string): ScheduledStep | undefined =>
  steps.find(({ operation }) => operation.id === id);
