import { optionalName, uuid } from '../../fields.js';
import { measuredBolt } from '../../measured-bolt.js';
import { entry, type EntrySchema } from '../entry-schema.js';

export const boltFoundSchema: EntrySchema<'bolt-found'> = entry('bolt-found', {
  bolt: uuid(),
  measured: measuredBolt(),
  where: optionalName(),
});
