import type { Connection } from '../connection-map/index.js';
import { operationId, type OperationId } from '../teardown/index.js';

/** Where a connection's way back begins and ends: started by hand, closed, at final torque. */
export interface Stages {
  readonly first: OperationId;
  readonly close: OperationId;
  readonly last: OperationId;
}

/** The stages of one connection’s way back. */
export function stagesOf({ id, carriesLoad, refit }: Connection): Stages {
  const close = operationId.close(id);
  return {
    first: carriesLoad ? operationId.start(id) : close,
    close,
    last: refit.torque ? operationId.torque(id) : close,
  };
}
