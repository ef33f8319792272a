import type { ConnectionId } from './step.js';

/** A map that cannot be worked with as it is; `message` says what to change. */
export class MapError extends Error {
  override readonly name: string = 'MapError';
}

/** Steps that each wait for another of them. `connections` are the ones in the loop, in order. */
export class CyclicMapError extends MapError {
  override readonly name = 'CyclicMapError';
  constructor(
    readonly connections: readonly ConnectionId[],
    names: readonly string[],
  ) {
    super(`These wait for each other and none can be first: ${[...names, names[0]].join(' → ')}.`);
  }
}
