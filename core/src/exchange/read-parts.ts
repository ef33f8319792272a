import equal from 'fast-deep-equal';
import type { ConnectionMap, Part } from '../connection-map/index.js';
import type { MapEdit } from '../map-edit/index.js';
import { SYSTEM_WORDS, ZONE_WORDS } from '../words/index.js';
import { figure, finder, idOf, LineError, neededText, noSuch, word, type Reader } from './fields.js';

/** Reads parts. */
export function partReader(map: ConnectionMap): Reader {
  const parts = finder(map.parts);
  const edits: MapEdit[] = [];
  const seen = new Set<string>();
  let added = 0;
  let changed = 0;
  let unchanged = 0;
  return {
    read: (value) => {
      const id = value('id');
      const known = id === '' ? parts.findFresh(value('name'), seen) : parts.find(id);
      const name = known && value('name') === '' ? known.name : neededText(value, 'name', 120);
      const own = known?.id ?? idOf(value, map, name, seen);
      if (seen.has(own)) throw new LineError('id', `“${own}” stands on an earlier line already.`);
      const rides = value('ridesWith');
      const ridesWith = rides === '' ? known?.ridesWith : parts.find(rides)?.id;
      if (rides !== '' && ridesWith === undefined)
        throw new LineError('ridesWith', noSuch(parts.many(rides), rides, 'on the map or above'));
      const massKg = figure(value, 'massKg', 0, 100_000) ?? known?.massKg;
      const part: Part = {
        // What no column tells stays as it is.
        ...known,
        id: own,
        name,
        zone: word(value, 'zone', ZONE_WORDS, known?.zone),
        system: word(value, 'system', SYSTEM_WORDS, known?.system ?? 'body'),
        ...(massKg === undefined ? {} : { massKg }),
        ...(ridesWith === undefined ? {} : { ridesWith }),
      };
      seen.add(own);
      parts.add(part);
      if (!known) {
        added += 1;
        edits.push({ kind: 'add-part', part });
      } else if (equal(known, part)) unchanged += 1;
      else {
        changed += 1;
        const { id: _id, ...change } = part;
        edits.push({ kind: 'change-part', id: own, change });
      }
    },
    finish: () => ({ edits, added, changed, unchanged }),
  };
}
