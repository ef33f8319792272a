import {
  carrying,
  circuitsNow,
  holdPointName,
  conditionsInForce,
  halfTight,
  isDone,
  looseBolts,
  nextUp,
  openCalls,
  stuckSteps,
  SHIFT_SORTS,
  type JobState,
  type ShiftLine,
  type ShiftSort,
} from '../ledger/index.js';
import { operationId } from '../teardown/index.js';
import { litres, sentence } from '../words/index.js';

/** What each sort of line is about, as a heading. */
export const SHIFT_WORDS: Readonly<Record<ShiftSort, string>> = {
  hangs: 'Hangs or stands on something',
  live: 'May be live or under pressure',
  leave: 'Stays as it is',
  inside: 'Still inside',
  open: 'Begun and not finished',
  next: 'Comes next',
};

const FIND_OUT = 'Find out before anybody reaches in or opens it';

/** Below this nothing is worth a tray. */
const A_DROP_L = 0.1;

/**
 * How the machine of `state` stands, gravest first: what hangs, what nobody has made safe, what was made safe and has to stay
 * so, what is still inside, what is half done, and what comes next. Nothing of what is handed over already.
 */
export function shiftReport(state: JobState): readonly ShiftLine[] {
  if (state.handedOver) return [];
  const { map } = state.work.plan;
  const inForce = conditionsInForce(state);
  const begun = state.progress.size > 0;
  // Once it may be cranked, what was made safe for the work is so no more.
  const cranks = isDone(state, operationId.hold('pre-start'));
  const out: Readonly<Record<ShiftSort, readonly string[]>> = {
    hangs: [
      ...carrying(state).map(
        ({ name }) => `${sentence(name)}: nobody under it, and nobody leaves it hanging who can set it down`,
      ),
      ...(state.height === 'raised'
        ? ['The machine is raised: look at what it stands on before anybody goes under']
        : []),
    ],
    live: begun
      ? map.conditions
          .filter((condition) => condition.makeSafe && !inForce.includes(condition))
          .map(({ name }) => `${cranks ? 'No longer so' : 'Nobody saw to it'}: ${name.toLowerCase()}. ${FIND_OUT}`)
      : [],
    leave: inForce.filter(({ makeSafe }) => makeSafe).map(({ name }) => sentence(name)),
    inside: circuitsNow(state).flatMap(({ circuit, drained, insideL }) =>
      drained && insideL > A_DROP_L && insideL < circuit.capacityL - A_DROP_L
        ? [`About ${litres(insideL)} of ${circuit.name.toLowerCase()}: it comes out at the lowest joint that is opened`]
        : [],
    ),
    open: [
      ...halfTight(state).map(({ words }) => `Half-tight: ${words}`),
      ...stuckSteps(state).map(({ title }) => `Stuck: ${title}`),
      ...[...state.issues.values()].flatMap(({ title, closed }) => (closed ? [] : [title])),
      ...[...state.firstSigned]
        .filter(([id]) => !isDone(state, operationId.hold(id)))
        .map(([id, { by }]) => `Signed by ${by} alone, a second has to look: ${holdPointName(state, id)}`),
      ...openCalls(state).map(({ by, text }) => `${by} called for: ${text}`),
      ...looseBolts(state).map(({ where }) => `A bolt without a home${where ? `, found: ${where}` : ''}`),
    ],
    next: [nextUp(state)?.operation.title ?? 'Nothing is left to do'],
  };
  return SHIFT_SORTS.flatMap((sort) => out[sort].map((words) => ({ sort, words })));
}
