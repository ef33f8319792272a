import type { Connection, ConnectionMap } from '../connection-map/index.js';

/**
 * `map` with connections a crew found while working, so that the next job begins with them. One that is there already,
 * or whose parts this map does not have, is left out.
 */
export function withFound(map: ConnectionMap, found: readonly Connection[]): ConnectionMap {
  const parts = new Set(map.parts.map(({ id }) => id));
  const here = new Set(map.connections.map(({ id }) => id));
  const fresh = found.filter(({ id, between }) => !here.has(id) && between.every((end) => parts.has(end)));
  return { ...map, connections: [...map.connections, ...fresh] };
}
