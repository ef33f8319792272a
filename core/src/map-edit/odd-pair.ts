import type { ConnectionKind, ConnectionMap, Part, PartId, System } from '../connection-map/index.js';
import { KIND_WORDS } from '../words/index.js';

/** What runs in the hoses and pipes of a system, where it is one thing only. */
const RUNS_IN: Partial<Readonly<Record<System, string>>> = {
  cooling: 'coolant',
  heating: 'coolant',
  fuel: 'fuel',
  steering: 'steering oil',
  refrigerant: 'refrigerant',
};
const TURNS: readonly System[] = ['driveline', 'steering', 'mounts', 'body'];

/**
 * Why a connection of `kind` between two parts of `map` can hardly be meant, in words to ask with; undefined where it is
 * nothing out of the ordinary. Nothing on the layouts that ship is.
 */
export function oddPair(
  map: ConnectionMap,
  kind: ConnectionKind,
  between: readonly [PartId, PartId],
): string | undefined {
  const [one, other] = between.map((id) => map.parts.find((part) => part.id === id));
  if (!one || !other) return undefined;
  const why = whyOdd(map, kind, one, other);
  return why === undefined ? undefined : `A ${KIND_WORDS[kind]} from the ${one.name} to the ${other.name}? ${why}`;
}

function whyOdd({ body }: ConnectionMap, kind: ConnectionKind, one: Part, other: Part): string | undefined {
  const ends = [one, other];
  const has = (system: System) => ends.some((part) => part.system === system);
  switch (kind) {
    case 'hose':
    case 'pipe': {
      const wired = ends.find(({ system }) => system === 'electrics');
      if (wired) return `Nothing runs through the ${wired.name} but current.`;
      const [from, to] = ends.map(({ system }) => RUNS_IN[system]);
      return from !== undefined && to !== undefined && from !== to
        ? `There is ${from} in the one and ${to} in the other.`
        : undefined;
    }
    case 'plug':
      return has('electrics') || has('body') ? undefined : 'Neither of them is wired.';
    case 'ground':
      return has('body') || one.id === body || other.id === body
        ? undefined
        : 'A ground ends at the body, the frame or a case that is grounded.';
    case 'shaft':
      return ends.every(({ system }) => TURNS.includes(system)) ? undefined : 'One of them does not turn with a shaft.';
    default:
      return undefined;
  }
}
