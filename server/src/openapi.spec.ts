import { BUNDLE_VERSION } from '@brisk/contracts/bundle';
import { ENTRY_SCHEMAS } from '@brisk/contracts/entry';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { pino } from 'pino';
import { appOf } from './app.js';
import type { OpenDatabase } from './database/open.js';
import { bundleJsonSchema } from './http/openapi.js';
import { entry, newJob, TestServer } from './testing/test-server.js';

interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, unknown>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, object>> };
}
const { app } = appOf({
  database: {} as OpenDatabase,
  logger: pino({ level: 'silent' }),
  host: '127.0.0.1',
  firstCode: '',
  secure: false,
  webFolder: 'nowhere',
  incomingFolder: '/nowhere',
  room: () => Promise.resolve(0),
  spareOf: () => Promise.resolve(undefined),
  background: () => Promise.reject(new Error('Nothing is done here')),
  photoFolder: 'nowhere',
  literatureFolder: 'nowhere',
  address: undefined,
  now: () => new Date(0),
  names: [],
  backup: () => ({}),
  closing: () => false,
});

let document: Document;
let ajv: Ajv2020;
const validator = (name: string) => ajv.compile({ $ref: `openapi#/components/schemas/${name}` });

beforeAll(async () => {
  const server = await TestServer.start();
  document = (await server.get<Document>('/api/openapi.json')).body;
  await server.stop();
  ajv = new Ajv2020({ strict: false });
  addFormats.default(ajv);
  ajv.addSchema(document, 'openapi');
});

/** Every method and path that `app` really answers, as OpenAPI writes them; what is behind `/api` is mounted there. */
function answered(layers: readonly Layer[], at = ''): readonly string[] {
  return layers.flatMap(({ route, handle }) => {
    if (route)
      return Object.keys(route.methods).map(
        (method) => `${method} ${at}${String(route.path).replace(/:(\w+)/g, '{$1}')}`,
      );
    return handle.stack ? answered(handle.stack, '/api') : [];
  });
}
interface Layer {
  readonly route?: { readonly path: string | RegExp; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: { readonly stack?: readonly Layer[] };
}

describe('the OpenAPI document', () => {
  it('has every address that is answered, by every method, and no other; and every kind of entry', () => {
    const said = Object.entries(document.paths).flatMap(([path, methods]) =>
      Object.keys(methods).map((method) => `${method} ${path}`),
    );
    const stack = (app.router as unknown as { readonly stack: readonly Layer[] }).stack;
    const routes = answered(stack).filter((route) => route.includes('/api/') && !route.includes('?!'));
    expect(routes).toContain('put /api/jobs/{job}/planning');
    expect([...new Set(routes)].sort()).toEqual(said.sort());
    for (const kind of Object.keys(ENTRY_SCHEMAS))
      expect(document.components.schemas).toHaveProperty([`Entry.${kind}`]);
  });

  it('says which revision of the planning entries belong to, and which version a bundle is of', () => {
    expect(JSON.stringify(document.paths['/api/jobs/{job}/ledger']?.['get'])).toContain('"revision"');
    expect(bundleJsonSchema()).toHaveProperty('$id', `urn:brisk-ledger:job-bundle:${BUNDLE_VERSION}`);
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
