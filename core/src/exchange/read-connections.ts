import equal from 'fast-deep-equal';
import type { Connection, ConnectionMap } from '../connection-map/index.js';
import type { MapEdit } from '../map-edit/index.js';
import { HEIGHT_WORDS, KIND_WORDS, STATION_WORDS, SYSTEM_WORDS } from '../words/index.js';
import { figure, finder, idOf, LineError, neededText, noSuch, text, word, type Reader, type Value } from './fields.js';

/** Reads connections; both ends have to be on the map. */
export function connectionReader(map: ConnectionMap): Reader {
  const parts = finder(map.parts);
  const connections = finder(map.connections);
  const edits: MapEdit[] = [];
  const seen = new Set<string>();
  let added = 0;
  let changed = 0;
  let unchanged = 0;
  const end = (value: Value, column: 'from' | 'to', otherwise: string | undefined): string => {
    const said = value(column);
    if (said === '' && otherwise !== undefined) return otherwise;
    const part = parts.find(said);
    if (!part) throw new LineError(column, said === '' ? 'It is empty.' : noSuch(parts.many(said), said));
    return part.id;
  };
  return {
    read: (value) => {
      const id = value('id');
      const known = id === '' ? connections.findFresh(value('name'), seen) : connections.find(id);
      const name = known && value('name') === '' ? known.name : neededText(value, 'name', 120);
      const own = known?.id ?? idOf(value, map, name, seen);
      if (seen.has(own)) throw new LineError('id', `“${own}” stands on an earlier line already.`);
      const from = end(value, 'from', known?.between[0]);
      const to = end(value, 'to', known?.between[1]);
      if (from === to) throw new LineError('to', 'Both ends are at the same part.');
      const likely = figure(value, 'likely', 0.1, 100_000) ?? known?.minutes.likely ?? 3;
      const low = figure(value, 'low', 0.1, 100_000) ?? known?.minutes.low ?? Math.max(1, Math.round(likely / 2));
      const high = figure(value, 'high', 0.1, 100_000) ?? known?.minutes.high ?? likely * 3;
      if (!(low <= likely && likely <= high))
        throw new LineError('likely', `Minutes ${low}, ${likely}, ${high} have to rise from low to high.`);
      const hands = figure(value, 'hands', 1, 2) ?? known?.hands ?? 1;
      if (hands !== 1 && hands !== 2) throw new LineError('hands', 'It is 1 or 2.');
      const nm = figure(value, 'nm', 0.1, 10_000);
      const tip = text(value, 'tip', 2_000);
      const tools = value('tools');
      const minutes = { low, likely, high };
      const connection: Connection = {
        needs: [],
        access: [],
        fasteners: [],
        cautions: [],
        ...known,
        id: own,
        name,
        kind: word(value, 'kind', KIND_WORDS, known?.kind),
        between: [from, to],
        system: word(value, 'system', SYSTEM_WORDS, known?.system ?? 'body'),
        station: word(value, 'station', STATION_WORDS, known?.station),
        height: word(value, 'height', HEIGHT_WORDS, known?.height ?? 'either'),
        hands,
        tools:
          tools === ''
            ? (known?.tools ?? [])
            : tools
                .split(/[;,]/)
                .map((tool) => tool.trim().slice(0, 120))
                .filter((tool) => tool !== ''),
        minutes,
        refit: {
          ...(known?.refit ?? { minutes }),
          ...(nm === undefined ? {} : { torque: { ...known?.refit.torque, targetNm: nm } }),
        },
        ...(tip === '' ? {} : { tip }),
      };
      seen.add(own);
      connections.add(connection);
      if (!known) {
        added += 1;
        edits.push({ kind: 'add-connection', connection });
      } else if (equal(known, connection)) unchanged += 1;
      else {
        changed += 1;
        const { id: _id, ...change } = connection;
        edits.push({ kind: 'change-connection', id: own, change });
      }
    },
    finish: () => ({ edits, added, changed, unchanged }),
  };
}
