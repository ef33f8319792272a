import equal from 'fast-deep-equal';
import type { ConnectionId, ConnectionMap, FastenerSet } from '../connection-map/index.js';
import { readWashers } from '../fasteners/index.js';
import type { MapEdit } from '../map-edit/index.js';
import { figure, finder, LineError, neededText, text, type Reader } from './fields.js';

/** Reads fasteners; the lines of one connection together are its whole list. */
export function fastenerReader(map: ConnectionMap): Reader {
  const connections = finder(map.connections);
  const sets = new Map<ConnectionId, FastenerSet[]>();
  return {
    read: (value) => {
      const said = neededText(value, 'connection', 200);
      const connection = connections.find(said);
      if (!connection) throw new LineError('connection', `There is no connection “${said}” on the map.`);
      const count = figure(value, 'count', 1, 1_000);
      if (count === undefined) throw new LineError('count', 'It is empty.');
      if (!Number.isInteger(count)) throw new LineError('count', `“${value('count')}” is not a whole number.`);
      const what = neededText(value, 'what', 120);
      const note = text(value, 'note', 2_000);
      const washers = readWashers(text(value, 'washers', 1_000));
      if (washers.length > 10 || washers.some((one) => one.length > 120))
        throw new LineError('washers', 'At most ten, each in a few words.');
      const single = value('singleUse').toLowerCase();
      if (!['', 'yes', 'no', 'true', 'false', '1', '0', 'x'].includes(single))
        throw new LineError('singleUse', `“${single}” is neither yes nor no.`);
      const list = sets.get(connection.id) ?? [];
      if (list.length >= 40)
        throw new LineError('connection', `“${connection.name}” has 40 sets already; no more can be kept.`);
      sets.set(connection.id, [
        ...list,
        {
          count,
          what,
          ...(note === '' ? {} : { note }),
          ...(['yes', 'true', '1', 'x'].includes(single) ? { singleUse: true } : {}),
          ...(washers.length > 0 ? { washers } : {}),
        },
      ]);
    },
    finish: () => {
      const edits = [...sets].flatMap(([id, fasteners]): readonly MapEdit[] => {
        const known = connections.find(id);
        return known && equal({ fasteners: known.fasteners }, { fasteners })
          ? []
          : [{ kind: 'change-connection', id, change: { fasteners } }];
      });
      return { edits, added: 0, changed: edits.length, unchanged: sets.size - edits.length };
    },
  };
}
