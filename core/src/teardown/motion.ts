import type { ConnectionMap, Moving, Station } from '../connection-map/index.js';
import type { Operation } from './operation.js';

/** What a step sets in motion, and what its hands are at. */
export interface Motion {
  readonly moves: readonly Moving[];
  readonly at: readonly Moving[];
}

const GEAR: readonly Operation['kind'][] = ['support', 'release', 'lift', 'lower', 'shift'];
/** Where front wheels that are turned from lock to lock come near hands and heads. */
const NEAR_THE_WHEELS: readonly Station[] = ['underside', 'wheel-left', 'wheel-right'];
const STILL: Motion = { moves: [], at: [] };

/**
 * Tells what each operation of work on `map` sets in motion and what hands are at during it. Weight is in motion while
 * gear takes it, carries it or gives it back, and while a mount that carries it is undone or pulled down; whoever is
 * underneath, or where one only gets to with something tilted out of the way, whoever works other gear, and whoever works
 * at the bench, is at it. Whoever is beneath or in an arch is at the front wheels, which turn with the steering. While it is out every hand is at what turns. Anything else that moves is told on the map: a step
 * that turns the crank, a part that turns with it.
 */
export function motionOn(map: ConnectionMap): (operation: Operation) => Motion {
  const connections = new Map(map.connections.map((connection) => [connection.id, connection]));
  const turned = new Map(
    map.parts.flatMap(({ id, movesWith }) => (movesWith === undefined ? [] : [[id, movesWith] as const])),
  );
  const under = new Set(['underside', 'bench', ...map.conditions.flatMap(({ givesReach = [] }) => givesReach)]);
  const wheelsTurn = (map.bay ?? 'front') === 'front';
  return ({ kind, phase, station, connection: at, part, moves: told }) => {
    const connection = at === undefined ? undefined : connections.get(at);
    const gear = GEAR.includes(kind);
    const mount = connection?.carriesLoad === true && (kind === 'disconnect' || kind === 'connect');
    const moves = new Set<Moving>(told);
    if (gear || mount) moves.add('weight');
    const hands = new Set<Moving>();
    for (const end of connection?.between ?? []) add(hands, turned.get(end));
    if (part !== undefined) add(hands, turned.get(part));
    // On the bench everybody’s hands are on the one thing that is moved, or turned.
    if (phase === 'bench') hands.add('crank');
    if (gear || under.has(station)) hands.add('weight');
    if (wheelsTurn && NEAR_THE_WHEELS.includes(station)) hands.add('steering');
    // Whoever turns the crank is at it by themselves.
    for (const one of moves) if (one !== 'weight') hands.delete(one);
    return moves.size + hands.size === 0 ? STILL : { moves: [...moves], at: [...hands] };
  };
}

function add(hands: Set<Moving>, moved: Moving | undefined): void {
  if (moved !== undefined) hands.add(moved);
}
