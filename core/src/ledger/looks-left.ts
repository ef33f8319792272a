import { looksAtClosing, type Look } from '../adjusting/index.js';
import type { Connection } from '../connection-map/index.js';
import { operationId } from '../teardown/index.js';
import { isDone } from './reading.js';
import type { JobState } from './state.js';

/** A joint that went together without every look that belongs to it, or with one that came out bad. */
export interface LooksLeft {
  readonly connection: Connection;
  readonly left: readonly Look[];
  readonly bad: readonly Look[];
}

/** Joints that are closed and were not looked at as they ought to be, in map order. */
export function looksLeft(state: JobState): readonly LooksLeft[] {
  return [...state.work.connections.values()].flatMap((connection): readonly LooksLeft[] => {
    if (!isDone(state, operationId.close(connection.id))) return [];
    const taken = state.looks.get(connection.id);
    const asked = looksAtClosing(connection).map(({ look }) => look);
    const left = asked.filter((look) => !taken?.has(look));
    const bad = asked.filter((look) => taken?.get(look)?.good === false);
    return left.length + bad.length > 0 ? [{ connection, left, bad }] : [];
  });
}
