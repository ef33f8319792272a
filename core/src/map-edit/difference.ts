import equal from 'fast-deep-equal';
import type { Connection, ConnectionMap, Part } from '../connection-map/index.js';

/** What one map has that another has not, and what both have but differently. */
export interface MapDifference {
  readonly added: { readonly parts: readonly Part[]; readonly connections: readonly Connection[] };
  readonly removed: { readonly parts: readonly Part[]; readonly connections: readonly Connection[] };
  readonly changed: { readonly parts: readonly Part[]; readonly connections: readonly Connection[] };
}

/** What has to happen to `before` to make it `after`; `changed` holds things as they are in `after`. */
export function mapDifference(before: ConnectionMap, after: ConnectionMap): MapDifference {
  const parts = parted(before.parts, after.parts);
  const connections = parted(before.connections, after.connections);
  return {
    added: { parts: parts.added, connections: connections.added },
    removed: { parts: parts.removed, connections: connections.removed },
    changed: { parts: parts.changed, connections: connections.changed },
  };
}

function parted<Thing extends { readonly id: string }>(before: readonly Thing[], after: readonly Thing[]) {
  const was = new Map(before.map((thing) => [thing.id, thing]));
  const is = new Set(after.map(({ id }) => id));
  return {
    added: after.filter(({ id }) => !was.has(id)),
    removed: before.filter(({ id }) => !is.has(id)),
    changed: after.filter((thing) => was.has(thing.id) && !equal(was.get(thing.id), thing)),
  };
}
