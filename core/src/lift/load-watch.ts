import type { Connection, ConnectionId } from '../connection-map/index.js';
import type { HouseFound } from '../house/index.js';
import { holding, isDone, isOpen, type JobState, type Lagging, type LoadReading } from '../ledger/index.js';
import type { Shaped } from '../shape/index.js';
import { operationId } from '../teardown/index.js';
import type { LiftLeg } from './legs.js';

/** A reading held against what should hang. */
export interface LoadJudgement {
  readonly expectedKg: number;
  readonly readKg: number;
  readonly is: 'not yet all of it' | 'as expected' | 'ahead' | 'far ahead';
}

/** The map’s weights are good to this share, a scale and its slings to so many kg. */
const SURE_SHARE = 0.1;
const SLINGS_KG = 15;
/** Beyond this share over what is expected nobody goes on. */
const FAR_SHARE = 0.25;

/** Holds what a scale reads against the mass that should hang, in kg. */
export function judgeLoad(expectedKg: number, readKg: number): LoadJudgement {
  const is =
    readKg > expectedKg * (1 + FAR_SHARE) + SLINGS_KG
      ? 'far ahead'
      : readKg > expectedKg * (1 + SURE_SHARE) + SLINGS_KG
        ? 'ahead'
        : readKg < expectedKg * (1 - SURE_SHARE)
          ? 'not yet all of it'
          : 'as expected';
  return { expectedKg, readKg, is };
}

/** Something that may still be on. */
export interface Suspect {
  readonly key: string;
  /** The connection it is; absent for what was found on other machines and is not on this map. */
  readonly connection?: ConnectionId;
  /** What it would be on the map, if it is found to hold. */
  readonly like: Pick<Connection, 'name' | 'kind' | 'between' | 'station'>;
  /** Whether the record says that it is still on: then it is opened like any other. */
  readonly known: boolean;
  readonly name: string;
  readonly why: string;
  /** The likelier, the larger; only its order means anything. */
  readonly weight: number;
}

/** What crews forget most, by what it is: how likely, and why. */
const OFTEN_FORGOTTEN: readonly (readonly [(connection: Connection) => boolean, number, string])[] = [
  [({ kind }) => kind === 'ground', 0.5, 'A ground strap hides behind mount or bell.'],
  [({ system, kind }) => system === 'steering' && kind !== 'bolted', 0.46, 'A steering line holds and does not show.'],
  [({ name }) => name.includes('vacuum'), 0.42, 'A vacuum hose is thin and behind.'],
  [({ system, kind }) => system === 'electrics' && kind === 'clip', 0.4, 'A loom clip stays when its plug is off.'],
  [({ kind, system }) => kind === 'cable' && system !== 'electrics', 0.38, 'A cable end slips back onto its lever.'],
  [({ system, kind }) => system === 'exhaust' && kind !== 'plug', 0.36, 'An exhaust hanger holds more than it looks.'],
  [({ kind }) => kind === 'plug', 0.2, 'A plug looks off and is not.'],
];
const LEFT_ON = 0.9;
const HOLDS = 1;
const PASSED_OVER = 0.8;
const FOUND_ELSEWHERE = 0.6;
const NEAR_THE_SIDE = 0.25;
const SHOWN = 6;

/**
 * What is most likely still on when the hook carries more than it should: what the map says still holds, what was left on
 * purpose, what was passed over, what was found late on other machines of this kind (`elsewhere`), then what crews forget
 * most of what is recorded as open; nearer the side that lags first.
 */
export function suspectsOf(
  state: JobState,
  leg: LiftLeg | undefined,
  lagging?: Lagging,
  elsewhere: readonly HouseFound[] = [],
): readonly Suspect[] {
  const suspects = new Map<string, Suspect>();
  const suspect = (connection: Connection, weight: number, why: string, known = false) => {
    const { id, name, kind, between, station } = connection;
    const before = suspects.get(id);
    if (before && before.weight >= weight) return;
    suspects.set(id, { key: id, connection: id, name, like: { name, kind, between, station }, why, weight, known });
  };
  for (const { connection } of holding(state)) suspect(connection, HOLDS, 'By the record it is still on.', true);
  for (const connection of state.work.boundary) {
    const { id } = connection;
    const left = state.leftAsItIs.get(id);
    if (left?.as === 'attached') suspect(connection, LEFT_ON, `Left on purpose: ${left.reason}`);
    const progress = state.progress.get(operationId.open(id));
    if (progress?.is === 'skipped' && progress.mode === 'later')
      suspect(connection, PASSED_OVER, `Put off until later: ${progress.reason}`);
    if (!isOpen(state, id)) continue;
    const forgotten = OFTEN_FORGOTTEN.find(([is]) => is(connection));
    if (forgotten) suspect(connection, forgotten[1], `Recorded as off. ${forgotten[2]}`);
  }
  const here = new Set([...state.work.connections.values()].map(({ name }) => name.toLowerCase()));
  const parts = new Set(state.work.plan.map.parts.map(({ id }) => id));
  for (const { machine, ...like } of elsewhere) {
    const { name, between } = like;
    if (here.has(name.toLowerCase()) || !between.every((part) => parts.has(part))) continue;
    here.add(name.toLowerCase());
    const why = `Found late on ${machine}, and on no map.`;
    suspects.set(`elsewhere ${name}`, { key: name, name, like, why, weight: FOUND_ELSEWHERE, known: false });
  }
  return [...suspects.values()]
    .map((one) => ({ ...one, weight: one.weight + (isAt(leg, one.like.between, lagging) ? NEAR_THE_SIDE : 0) }))
    .sort((one, other) => other.weight - one.weight)
    .slice(0, SHOWN);
}

/** Whether a connection is on the side of the load that lags. */
function isAt(leg: LiftLeg | undefined, between: Connection['between'], lagging?: Lagging): boolean {
  if (!leg || lagging === undefined) return false;
  const parts: readonly Shaped[] = [...leg.moving, ...leg.still];
  const ends = between.flatMap((part) => parts.find((one) => one.id === part) ?? []);
  // What goes to the body has one end that is drawn; between two the smaller says where it is.
  const at = ends.sort((one, other) => one.massKg - other.massKg)[0]?.middle;
  if (!at) return false;
  const { centre } = leg;
  if (lagging === 'front') return at.x > centre.x;
  if (lagging === 'rear') return at.x < centre.x;
  return lagging === 'left' ? at.y > centre.y : at.y < centre.y;
}

/** Whether all of it should hang by now: it has come free, and is not set down yet. */
export function hangsFree(state: JobState): boolean {
  const onTheHook = [...state.work.operations.values()].filter(
    ({ kind, tools }) => kind === 'lift' && tools.includes('engine hoist'),
  );
  const [first, last] = [onTheHook[0], onTheHook.at(-1)];
  return first !== undefined && last !== undefined && isDone(state, first.id) && !isDone(state, last.id);
}

/** The last reading of a job’s hook. */
export function lastLoad({ loads }: JobState): LoadReading | undefined {
  return loads.at(-1);
}
