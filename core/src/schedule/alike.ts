import type { Connection, ConnectionMap, PartId } from '../connection-map/index.js';
import type { Operation, OperationId } from '../teardown/index.js';

/** What a step belongs with, and where it stands in the row of it. */
export interface InLine {
  readonly line: string;
  readonly place: number;
}

/**
 * The lines in which hands like to work along a machine: a part’s fasteners and then the part, one circuit’s hoses, what
 * is numbered by its numbers (injector 1 to 4), other plugs from one end of the loom to the other as the map lists them;
 * a joint’s torque after it is closed.
 */
export function linesOf(operations: readonly Operation[], map: ConnectionMap): ReadonlyMap<OperationId, InLine> {
  const place = new Map(map.connections.map(({ id }, index) => [id, index]));
  const connections = new Map(map.connections.map((connection) => [connection.id, connection]));
  const moved = new Set(operations.flatMap(({ part }) => part ?? []));
  const order = new Map(map.parts.map(({ id }, index) => [id, index]));
  return new Map(
    operations.flatMap(({ id, kind, connection, part, circuit }): [OperationId, InLine][] => {
      const joint = connections.get(connection ?? '');
      if (joint) {
        const row = /^(.*)-(\d+)$/.exec(joint.id);
        const at = row ? Number(row[2]) : (place.get(joint.id) ?? 0);
        const line = row ? `row ${row[1]}` : lineOf(joint, moved);
        return [[id, { line, place: at + AFTER[kind === 'torque' ? 'torque' : 'joint'] }]];
      }
      // A part comes off after all that held it, and goes on before.
      if (part !== undefined)
        return [
          [id, { line: `part ${part}`, place: kind === 'fit' ? -1 : map.connections.length + (order.get(part) ?? 0) }],
        ];
      return circuit === undefined ? [] : [[id, { line: `circuit ${circuit}`, place: -1 }]];
    }),
  );
}

/** A joint’s torque stands between its closing and the next joint. */
const AFTER = { joint: 0, torque: 0.5 } as const;

function lineOf({ kind, between, circuit, system }: Connection, moved: ReadonlySet<PartId>): string {
  const part = between.find((end) => moved.has(end));
  if (part !== undefined) return `part ${part}`;
  if (circuit !== undefined) return `circuit ${circuit}`;
  return kind === 'plug' ? 'plugs' : system;
}
