import { partsById, type Connection, type ConnectionMap, type Part } from '../connection-map/index.js';
import { operationId, type Operation, type OperationId } from '../teardown/index.js';

/** What stands open to dirt from the end of one step to the beginning of another. */
export interface Opening {
  readonly from: OperationId;
  readonly until: OperationId;
}

/**
 * What is opened and closed again among `operations`: covers and manifolds off an engine or a gearbox, and pipes and hoses whose
 * ends stand open.
 */
export function openingsIn(operations: readonly Operation[], map: ConnectionMap): readonly Opening[] {
  const here = new Set(operations.map(({ id }) => id));
  const parts = partsById(map);
  const pairs: readonly Opening[] = [
    ...map.parts
      .filter((part) => opensUp(part, parts))
      .map(({ id }) => ({ from: operationId.remove(id), until: operationId.fit(id) })),
    ...map.connections
      .filter(carriesWhatDirtSpoils)
      .map(({ id }) => ({ from: operationId.open(id), until: operationId.close(id) })),
  ];
  return pairs.filter(({ from, until }) => here.has(from) && here.has(until));
}

/** Off it, one looks into an engine or a gearbox. */
function opensUp({ builtIn, system, ridesWith }: Part, parts: ReadonlyMap<string, Part>): boolean {
  return (
    builtIn === true || (system === 'air' && ridesWith !== undefined && parts.get(ridesWith)?.ridesWith === undefined)
  );
}

function carriesWhatDirtSpoils({ kind, tools }: Connection): boolean {
  return (kind === 'pipe' || kind === 'hose') && tools.includes('plugs and caps');
}
