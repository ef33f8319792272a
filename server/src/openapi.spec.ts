import { ENTRY_SCHEMAS } from '@brisk/contracts/entry';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bundleJsonSchema, openApiDocument } from './http/openapi.js';
import { entry, newJob } from './testing/test-server.js';

interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, object>> };
}
const document = openApiDocument() as unknown as Document;

const ajv = new Ajv2020({ strict: false });
addFormats.default(ajv);
ajv.addSchema(document, 'openapi');
const validator = (name: string) => ajv.compile({ $ref: `openapi#/components/schemas/${name}` });

describe('the OpenAPI document', () => {
  it('has every address and every kind of entry', () => {
    expect(Object.keys(document.paths).sort()).toEqual([
      '/api/bundles',
      '/api/find',
      '/api/health',
      '/api/inspection-sheet',
      '/api/jobs',
      '/api/jobs-by-code/{code}',
      '/api/jobs/{job}',
      '/api/jobs/{job}/bolt-cards/{connection}',
      '/api/jobs/{job}/bundle',
      '/api/jobs/{job}/bundle.zip',
      '/api/jobs/{job}/house',
      '/api/jobs/{job}/labels.pdf',
      '/api/jobs/{job}/ledger',
      '/api/jobs/{job}/planning',
      '/api/jobs/{job}/run-sheet.pdf',
      '/api/labels/roll.pdf',
      '/api/layouts',
      '/api/photos',
      '/api/photos/{photo}',
      '/api/photos/{photo}/small',
      '/api/templates',
      '/api/templates/{template}',
      '/api/tools',
    ]);
    for (const kind of Object.keys(ENTRY_SCHEMAS))
      expect(document.components.schemas).toHaveProperty([`Entry.${kind}`]);
  });

  it('agrees with the server on what a job and an entry are', () => {
    const job = validator('NewJob');
    expect(job(newJob())).toBe(true);
    expect(job({ ...newJob(), title: 'x'.repeat(121) })).toBe(false);
    expect(job({ ...newJob(), title: undefined })).toBe(false);
    const note = validator('Entry.noted');
    expect(note(entry({ kind: 'noted', text: 'Seen' }))).toBe(true);
    expect(note({ ...entry({ kind: 'noted', text: 'Seen' }), text: undefined })).toBe(false);
  });
});

describe('the JSON Schema of a bundle', () => {
  const schema = bundleJsonSchema();
  const valid = new Ajv2020({ strict: false });
  addFormats.default(valid);
  const isBundle = valid.compile(schema);

  it('is the one that is published beside the documents', () => {
    const published = JSON.parse(readFileSync(join(process.cwd(), 'docs/job-bundle.schema.json'), 'utf8')) as unknown;
    expect(schema).toEqual(published);
  });

  it('takes the demo bundles, and no others', () => {
    const bundle = JSON.parse(readFileSync(join(process.cwd(), 'demo/larkmoor/tug.brisk.json'), 'utf8')) as {
      job: object;
    };
    expect(isBundle(bundle)).toBe(true);
    expect(isBundle({ ...bundle, format: 'else' })).toBe(false);
    expect(isBundle({ ...bundle, job: { ...bundle.job, plan: {} } })).toBe(false);
  });
});
