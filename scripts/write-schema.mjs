/** Writes the JSON Schema of a job bundle into docs. `npm run schema`, after a build. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { bundleJsonSchema } from '../server/dist/http/openapi.js';
import { root } from './say.mjs';

const file = join(root, 'docs/job-bundle.schema.json');
const style = { ...(await resolveConfig(file)), filepath: file };
writeFileSync(file, await format(JSON.stringify(bundleJsonSchema(), null, 2), style));
