import type { Half } from '../teardown/index.js';
import type { OperationId } from '../teardown/index.js';
import { leavesItsWheels } from './raising.js';
import { USUAL_DAY, workUntilDay, workUntilMoment } from './working-day.js';
import { isSettled, stuckSteps, type JobState, type PlanSettings, type Wait } from '../ledger/index.js';
import { crewOf, NO_SCHOOL, type Absence, type RaisedOn, type WorkingDay } from '../schedule/index.js';

/** How long penetrant is given before a seized step is tried again, and how long a step put off is left alone. */
const SOAKING_MIN = 30;
const PUT_OFF_MIN = 15;
/** More people than this are in each other’s way; a plan begins with no more. */
const USUAL_CREW = 3;

/** What a first plan for a job is made with. `names`: the crew of the job; `on`: what the shop raises machines on. */
export function usualSettings(names: readonly string[], on: RaisedOn = 'lift'): PlanSettings {
  return { crew: crewOf(names.slice(0, USUAL_CREW), on), school: NO_SCHOOL, pins: [], waits: [] };
}

/**
 * What has to wait as the job stands: a step whose part is missing for nobody knows how long, other stuck ones until the
 * penetrant has worked, what was put off for a while, and what waits for a part that is on its way. `nowMs`: how much of the soaking is
 * over by then, and from when on is waited; `day`: when the shop works.
 */
export function waitsNow(state: JobState, nowMs?: number, day: WorkingDay = USUAL_DAY): readonly Wait[] {
  const stuck = stuckSteps(state).map(({ id }): Wait => {
    const struggle = state.struggles.get(id)?.at(-1);
    if (struggle?.trouble === 'part-missing') return { operation: id, why: 'A part is missing' };
    const gone = struggle && nowMs !== undefined ? Math.max(0, (nowMs - Date.parse(struggle.at)) / 60_000) : 0;
    const soakMin = struggle?.soakMin === undefined ? SOAKING_MIN : Math.max(0, struggle.soakMin - gone);
    return { operation: id, min: soakMin, why: 'Stuck: penetrant is given time' };
  });
  const putOff = [...state.progress].flatMap(([operation, progress]): readonly Wait[] =>
    progress.is === 'skipped' && progress.mode === 'later' ? [{ operation, min: PUT_OFF_MIN, why: 'Put off' }] : [],
  );
  const known = new Set([...stuck, ...putOff].map(({ operation }) => operation));
  return [...stuck, ...putOff, ...partsAwaited(state, nowMs, day).filter(({ operation }) => !known.has(operation))];
}

/** Steps whose part is on its way: they can begin when the shop opens on the day it is expected. */
function partsAwaited(state: JobState, nowMs: number | undefined, day: WorkingDay): readonly Wait[] {
  if (nowMs === undefined) return [];
  const waits = new Map<OperationId, Wait>();
  for (const { operation, stage, expectedOn, name } of state.needs.values()) {
    const step = operation === undefined ? undefined : state.work.operations.get(operation);
    if (!step || isSettled(state, step) || stage !== 'ordered' || expectedOn === undefined) continue;
    const min = Math.round(workUntilDay(expectedOn, new Date(nowMs), day));
    const before = waits.get(step.id)?.min ?? 0;
    if (min > before) waits.set(step.id, { operation: step.id, min, why: `Waiting for: ${name}` });
  }
  return [...waits.values()];
}

/**
 * `settings` that were made at `madeMs` as they hold at `nowMs`: waits and absences that are over are gone, the rest is so much
 * nearer. Who leaves at a time of day leaves at that time, however often it is reckoned anew.
 */
export function agedBy(settings: PlanSettings, madeMs: number, nowMs: number): PlanSettings {
  const minutes = Math.max(0, (nowMs - madeMs) / 60_000);
  const day = settings.crew.day ?? USUAL_DAY;
  const until = (moment: string) => workUntilMoment(new Date(moment), new Date(nowMs), day);
  const later = (away: readonly Absence[]) =>
    away
      .map(({ fromMin, untilMin, leavesAt, backAt }): Absence => ({
        fromMin: leavesAt === undefined ? Math.max(0, fromMin - minutes) : until(leavesAt),
        ...(backAt !== undefined
          ? { untilMin: until(backAt) }
          : untilMin === undefined
            ? {}
            : { untilMin: untilMin - minutes }),
        ...(leavesAt === undefined ? {} : { leavesAt }),
        ...(backAt === undefined ? {} : { backAt }),
      }))
      .filter(({ untilMin = Infinity }) => untilMin > 0);
  return {
    ...settings,
    crew: {
      ...settings.crew,
      hands: settings.crew.hands.map(({ name, away = [] }) => {
        const left = later(away);
        return left.length > 0 ? { name, away: left } : { name };
      }),
    },
    waits: settings.waits.map((wait) =>
      wait.min === undefined ? wait : { ...wait, min: Math.max(0, wait.min - minutes) },
    ),
  };
}

/**
 * What the rest of `half` is planned with at `nowMs`: as the plan that is followed was made, so much nearer, and with
 * what has got stuck or was put off since; or as a first plan for the crew called `names`, in a shop that raises machines
 * `on` stands or a lift.
 */
export function settingsNow(
  state: JobState,
  half: Half,
  names: readonly string[],
  nowMs: number,
  on: RaisedOn = 'stands',
): PlanSettings {
  const followed = state.plans.get(half);
  const waits = waitsNow(state, nowMs, followed?.settings.crew.day);
  // What stays on its wheels is worked at over a pit, with room for two.
  if (!followed) return { ...usualSettings(names, leavesItsWheels(state, half) ? on : 'lift'), waits };
  const settings = agedBy(followed.settings, Date.parse(followed.at), nowMs);
  const open = settings.waits.filter(({ operation }) => {
    const step = state.work.operations.get(operation);
    return step && !isSettled(state, step);
  });
  return {
    ...settings,
    waits: [...open, ...waits.filter(({ operation }) => !open.some((wait) => wait.operation === operation))],
  };
}
