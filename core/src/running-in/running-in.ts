import { adjustmentsOf, circuitsNow, isDone, type JobState } from '../ledger/index.js';
import { operationId } from '../teardown/index.js';

/** Something worth a second look, and when: in so many days, or after so many kilometres. */
export interface ProposedLook {
  readonly id: string;
  readonly what: string;
  readonly inDays: number;
  readonly afterKm?: number;
}

/** Usual distances, in km: the first settles what was clamped, the second what was bedded in. */
const SETTLED_KM = 50;
const BEDDED_KM = 200;

/** What is worth a second look on this job, soonest first; usual times, the maker’s win. What is planned already is left out. */
export function proposedLooks(state: JobState): readonly ProposedLook[] {
  const { work } = state;
  const closed = (is: (id: string, name: string) => boolean) =>
    [...work.connections.values()].some(({ id, name }) => is(id, name) && isDone(state, operationId.close(id)));
  const again = [...work.connections.values()].filter(
    ({ id, refit }) => refit.torque?.again && isDone(state, operationId.torque(id)),
  );
  const wheels = again.filter(({ id }) => /^wheel-/.test(id));
  const others = again.filter((connection) => !wheels.includes(connection));
  const filled = circuitsNow(state).filter((circuit) => circuit.filled);
  const looks: readonly (ProposedLook | false)[] = [
    filled.length > 0 && {
      id: 'levels-cold',
      what: `Cold, next morning: ${filled.map(({ circuit }) => circuit.name.toLowerCase()).join(', ')}`,
      inDays: 1,
    },
    others.length > 0 && {
      id: 'torque-again',
      what: `After the first heat cycle, torque once more: ${others.map(({ name, refit }) => `${name}, ${refit.torque?.targetNm} N·m`).join('; ')}`,
      inDays: 1,
    },
    wheels.length > 0 && {
      id: 'wheel-bolts',
      what: 'Wheel bolts once more by the figure, wheels on the ground',
      inDays: 3,
      afterKm: SETTLED_KM,
    },
    filled.length > 0 && {
      id: 'underneath',
      what: 'Underneath with a lamp: every joint that was open',
      inDays: 3,
      afterKm: SETTLED_KM,
    },
    closed((id) => /belt/.test(id)) && {
      id: 'belt',
      what: 'The belt: its tension, its way round, its dust',
      inDays: 7,
      afterKm: BEDDED_KM,
    },
    closed((id) => /^bell|^flywheel|^clutch-/.test(id)) && {
      id: 'clutch',
      what: 'Clutch or drive: where it bites, oil at the bell, every gear',
      inDays: 14,
      afterKm: BEDDED_KM,
    },
  ];
  const planned = new Set([...state.secondLooks.values()].map(({ what }) => what));
  return looks.filter((look): look is ProposedLook => look !== false && !planned.has(look.what));
}

/** What to go easy on until somebody has looked again, in words. */
export function goEasyOn(state: JobState): readonly string[] {
  const renewed = (...ids: readonly string[]) => ids.some((id) => isDone(state, operationId.renew(id)));
  const replaced = [...state.units.values()].some(({ becomes }) => becomes === 'exchange' || becomes === 'donor');
  return [
    ...(replaced || renewed('main-bearings', 'big-end-bearings', 'piston-rings')
      ? ['The engine: half load and changing revolutions for 500 km; the maker’s running in wins']
      : []),
    ...(renewed('clutch') ? ['The clutch: no full load and no hill starts for 300 km'] : []),
    ...adjustmentsOf(state)
      .filter(({ good, done }) => done && !good)
      .map(({ connection, tries }) => `${connection.name}: not set right, ${tries.at(-1)?.accepted ?? ''}`),
    ...[...state.issues.values()].flatMap(({ title, closed, sort }) =>
      closed || sort === 'real' ? [] : [`Until it is cleared: ${title}`],
    ),
    ...[...state.warmUp.values()].flatMap(({ words, is }) =>
      is === 'seen' ? [] : [`Not yet: ${words.toLowerCase()}`],
    ),
    ...circuitsNow(state)
      .filter(({ filled, level }) => filled && !level)
      .map(({ circuit }) => `${circuit.name}: its level is not set yet`),
  ];
}
