import { CONNECTION_KINDS, STATIONS, STEP_HEIGHTS } from '@brisk/core/connection-map';
import type { FoundConnection } from '@brisk/core/ledger';
import { id, name, oneOf, pairOfIds, yesOrNo } from '../../fields.js';
import { record } from '../../record.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const connectionFoundSchema: EntrySchema<'connection-found'> = entry('connection-found', {
  connection: record<FoundConnection>({
    id: id(),
    name: name(),
    kind: oneOf(CONNECTION_KINDS),
    between: pairOfIds(),
    station: oneOf(STATIONS),
    height: oneOf(STEP_HEIGHTS),
  }),
  alreadyOpen: yesOrNo(),
});
