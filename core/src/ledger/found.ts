import type { Connection } from '../connection-map/index.js';
import type { FoundConnection } from './entries/map/connection-found.js';

/** A found connection as the map holds it, with the plainest guesses for what nobody has measured yet. */
export function asFound({ id, name, kind, between, station, height }: FoundConnection): Connection {
  const minutes = { low: 1, likely: 3, high: 10 };
  return {
    id,
    name,
    kind,
    between,
    system: kind === 'plug' || kind === 'cable' || kind === 'ground' ? 'electrics' : 'body',
    station,
    height,
    hands: 1,
    tools: [],
    minutes,
    cautions: height === 'raised' ? ['stands'] : [],
    fasteners: [],
    needs: [],
    access: [],
    refit: { minutes, note: 'Found while working; the map did not have it.' },
  };
}
