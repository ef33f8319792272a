/** Writes the JSON Schema of a job bundle into docs. `npm run schema`, after a build. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundleJsonSchema } from '../server/dist/http/openapi.js';
import { root } from './say.mjs';

writeFileSync(join(root, 'docs/job-bundle.schema.json'), `${JSON.stringify(bundleJsonSchema(), null, 2)}\n`);
