import type { ConnectionMap, Moving } from '../connection-map/index.js';
import type { Operation } from './operation.js';

/** What a step sets in motion, and what its hands are at. */
export interface Motion {
  readonly moves: readonly Moving[];
  readonly at: readonly Moving[];
}

const GEAR = ['support', 'release', 'lift', 'lower', 'shift'];

/**
 * Tells what each operation of work on `map` sets in motion and what hands are at during it. Weight is in motion while
 * gear takes it, carries it or gives it back, and while a mount that carries it is undone or pulled down; whoever is
 * underneath, or where one only gets to with something tilted out of the way, whoever works other gear, and whoever works
 * at the bench, is at it. While it is out every hand is at what turns. Anything else that moves is told on the map: a step
 * that turns the crank, a part that turns with it.
 */
export function motionOn(map: ConnectionMap): (operation: Operation) => Motion {
  const connections = new Map(map.connections.map((connection) => [connection.id, connection]));
  const turned = map.parts.flatMap(({ id, movesWith }) => (movesWith === undefined ? [] : [{ id, movesWith }]));
  const under = new Set(['underside', ...map.conditions.flatMap(({ givesReach = [] }) => givesReach)]);
  return (operation) => {
    const connection = operation.connection === undefined ? undefined : connections.get(operation.connection);
    const gear = GEAR.includes(operation.kind);
    const mount = connection?.carriesLoad === true && ['disconnect', 'connect'].includes(operation.kind);
    const ends = [...(connection?.between ?? []), ...(operation.part === undefined ? [] : [operation.part])];
    const turning = turned.flatMap(({ id, movesWith }) => (ends.includes(id) ? [movesWith] : []));
    const moves: Moving[] = [...(operation.moves ?? []), ...(gear || mount ? (['weight'] as const) : [])];
    // On the bench everybody’s hands are on the one thing that is moved, or turned.
    const onBench = operation.phase === 'bench';
    const at: Moving[] = [
      ...turning,
      ...(gear || under.has(operation.station) || operation.station === 'bench' ? (['weight'] as const) : []),
      ...(onBench ? (['crank'] as const) : []),
    ];
    // Whoever turns the crank is at it by themselves.
    return {
      moves: [...new Set(moves)],
      at: [...new Set(at)].filter((one) => one === 'weight' || !moves.includes(one)),
    };
  };
}
