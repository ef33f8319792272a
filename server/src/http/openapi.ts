import { BUNDLE_VERSION, bundleSchema } from '@brisk/contracts/bundle';
import { ENTRY_SCHEMAS } from '@brisk/contracts/entry';
import { jobSchema, newJobSchema, planningSchema } from '@brisk/contracts/job';
import { PROBLEMS } from '@brisk/contracts/problem';
import { inspectionSheetSchema, shopTemplateSchema, toolListSchema } from '@brisk/contracts/shop';
import { convertSchema } from '@sodaru/yup-to-json-schema';
import type { Schema } from 'yup';
import { filePaths } from './openapi-files.js';
import { answer, jobParameter, jsonOf, problem, ref, type Json } from './openapi-words.js';

const templateParameter: Json = { name: 'template', in: 'path', required: true, schema: { type: 'string' } };

/** A Yup record as JSON Schema; the ledger inside it refers to the entry kinds, which are listed on their own. */
function converted(schema: Schema, replace: Readonly<Record<string, Json>> = {}): Json {
  const json = modern(convertSchema(schema as Parameters<typeof convertSchema>[0])) as Json & {
    properties?: Json;
  };
  return { ...json, properties: { ...json.properties, ...replace } };
}

/**
 * Pairs as OpenAPI 3.1 and JSON Schema 2020-12 write them, which the converter still writes the older way; and records
 * with keys of their own, for which it knows no type.
 */
function modern(json: unknown): unknown {
  if (Array.isArray(json)) return json.map(modern);
  if (typeof json !== 'object' || json === null) return json;
  const { items, type, ...others } = Object.fromEntries(
    Object.entries(json).map(([key, value]) => [key, modern(value)]),
  );
  const untyped = type === 'mixed' || (Array.isArray(type) && type.length === 0);
  const rest = {
    ...others,
    ...(type === undefined || (untyped && 'enum' in others) ? {} : { type: untyped ? 'object' : type }),
  };
  if (items === undefined) return rest;
  return Array.isArray(items) ? { ...rest, prefixItems: items, items: false } : { ...rest, items };
}

/** The OpenAPI 3.1 document of this server, made from the schemas that hold its input to account. */
export function openApiDocument(): Json {
  const entryNames = Object.fromEntries(
    Object.entries(ENTRY_SCHEMAS).map(([kind, schema]) => [`Entry.${kind}`, converted(schema)]),
  );
  const ledger: Json = { type: 'array', items: ref('Entry') };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Brisk Ledger',
      version: '1',
      description: 'Jobs of taking a powerpack out and putting it back, and the ledger of each.',
      license: { name: 'MIT' },
    },
    paths: {
      '/api/health': {
        get: { summary: 'Whether the server works', responses: { 200: answer('It works.', { type: 'object' }) } },
      },
      '/api/layouts': {
        get: { summary: 'Layouts to start a job from', responses: { 200: answer('All layouts.', { type: 'array' }) } },
      },
      '/api/jobs': {
        get: { summary: 'Every job as it stands', responses: { 200: answer('All jobs.', { type: 'array' }) } },
        post: {
          summary: 'Begin a job; the id is the client’s, and the same job again is answered the same',
          requestBody: { required: true, content: jsonOf(ref('NewJob')) },
          responses: {
            201: answer('The job.', ref('Job')),
            409: problem('Another job has this id.'),
            422: problem('Something in it is not right.'),
          },
        },
      },
      '/api/jobs/{job}': {
        get: {
          summary: 'A job with its whole ledger',
          parameters: [jobParameter],
          responses: {
            200: answer('The job.', { type: 'object', properties: { job: ref('Job'), entries: ledger } }),
            404: problem('No such job.'),
          },
        },
      },
      '/api/jobs/{job}/ledger': {
        get: {
          summary: 'Entries after a position',
          parameters: [jobParameter, { name: 'after', in: 'query', schema: { type: 'integer', minimum: 0 } }],
          responses: {
            200: answer('The entries.', { type: 'object', properties: { entries: ledger } }),
            404: problem('No such job.'),
          },
        },
        post: {
          summary: 'Append entries, all or none; entries that stand already are answered as before',
          parameters: [jobParameter],
          requestBody: {
            required: true,
            content: jsonOf({
              type: 'object',
              required: ['expectedPosition', 'entries'],
              properties: { expectedPosition: { type: 'integer', minimum: 0 }, entries: ledger },
            }),
          },
          responses: {
            200: answer('Where each entry stands.', { type: 'object' }),
            409: problem('Somebody wrote meanwhile, or an id is taken.'),
            413: problem('More than is taken at once.'),
            422: problem('It may not be written now, or is not right.'),
          },
        },
      },
      '/api/jobs/{job}/planning': {
        put: {
          summary: 'Change the map, the answers or the swap of a job, from the revision the sender knew',
          parameters: [jobParameter],
          requestBody: { required: true, content: jsonOf(ref('Planning')) },
          responses: {
            200: answer('The job as it is now.', ref('Job')),
            404: problem('No such job.'),
            409: problem('Somebody changed it meanwhile.'),
            422: problem('It is not right, or something recorded already would be lost.'),
          },
        },
      },
      '/api/templates': {
        get: { summary: 'The shop’s own templates', responses: { 200: answer('All templates.', { type: 'array' }) } },
      },
      '/api/templates/{template}': {
        get: {
          summary: 'One template with its map',
          parameters: [templateParameter],
          responses: { 200: answer('The template.', ref('ShopTemplate')), 404: problem('No such template.') },
        },
        put: {
          summary: 'Keep a template, from the revision the sender knew; nought for a new one',
          parameters: [templateParameter],
          requestBody: { required: true, content: jsonOf(ref('ShopTemplate')) },
          responses: {
            200: answer('The template as it is now.', ref('ShopTemplate')),
            409: problem('Somebody changed it meanwhile.'),
            422: problem('It is not right.'),
          },
        },
        delete: {
          summary: 'Forget a template; jobs begun from it keep their map',
          parameters: [templateParameter],
          responses: { 204: { description: 'It is gone.' } },
        },
      },
      '/api/inspection-sheet': {
        get: {
          summary: 'How the shop weighs a donor',
          responses: { 200: answer('The sheet.', ref('InspectionSheet')) },
        },
        put: {
          summary: 'Weigh differently, from the revision the sender knew',
          requestBody: { required: true, content: jsonOf(ref('InspectionSheet')) },
          responses: {
            200: answer('The sheet as it is now.', ref('InspectionSheet')),
            409: problem('Somebody changed it meanwhile.'),
            422: problem('It is not right.'),
          },
        },
      },
      '/api/tools': {
        get: {
          summary: 'The shop’s own list of tools: what it has, what it hires',
          responses: { 200: answer('The list.', ref('ToolList')) },
        },
        put: {
          summary: 'Write the list anew, from the revision the sender knew',
          requestBody: { required: true, content: jsonOf(ref('ToolList')) },
          responses: {
            200: answer('The list as it is now.', ref('ToolList')),
            409: problem('Somebody changed it meanwhile.'),
            422: problem('It is not right.'),
          },
        },
      },
      '/api/jobs/{job}/run-sheet.pdf': {
        get: {
          summary: 'What is left of one half of the job as the crew follows it, on two pages to carry',
          parameters: [
            jobParameter,
            { name: 'half', in: 'query', required: false, schema: { enum: ['out', 'back'], default: 'out' } },
          ],
          responses: {
            200: { description: 'The sheet.', content: { 'application/pdf': { schema: { type: 'string' } } } },
            404: problem('No such job.'),
            422: problem('There is no such half.'),
          },
        },
      },
      ...filePaths,
      '/api/jobs/{job}/house': {
        get: {
          summary: 'What the shop learned of this kind of machine on its other jobs, by step',
          parameters: [jobParameter],
          responses: { 200: answer('Notes, troubles and minutes.', { type: 'object' }), 404: problem('No such job.') },
        },
      },
      '/api/find': {
        get: {
          summary: 'Words looked for on every job: joints, bags, tags, notes, parts, photos',
          parameters: [{ name: 'q', in: 'query', required: false, schema: { type: 'string' } }],
          responses: { 200: answer('What answers, job by job.', { type: 'array' }) },
        },
      },
      '/api/jobs-by-code/{code}': {
        get: {
          summary: 'The job a label belongs to, by the beginning of its id',
          parameters: [{ name: 'code', in: 'path', required: true, schema: { type: 'string' } }],
          responses: { 200: answer('The job.', { type: 'object' }), 404: problem('No such job here.') },
        },
      },
      '/api/jobs/{job}/bundle': {
        get: {
          summary: 'The job in one file',
          parameters: [jobParameter],
          responses: { 200: answer('The bundle.', ref('Bundle')), 404: problem('No such job.') },
        },
      },
      '/api/jobs/{job}/bundle.zip': {
        get: {
          summary: 'The job in one file with its photos: job.brisk.json, and photos/ by their hash',
          parameters: [jobParameter],
          responses: {
            200: { description: 'The file.', content: { 'application/zip': { schema: { type: 'string' } } } },
            404: problem('No such job.'),
          },
        },
      },
      '/api/bundles': {
        post: {
          summary: 'Take a job in from a bundle, or from a bundle with its photos',
          requestBody: {
            required: true,
            content: { ...jsonOf(ref('Bundle')), 'application/zip': { schema: { type: 'string' } } },
          },
          responses: {
            201: answer('The job is here.', { type: 'object' }),
            400: problem('It cannot be read.'),
            409: problem('It is here already and differs.'),
            413: problem('It is too large.'),
            422: problem('It is not right.'),
          },
        },
      },
    },
    components: {
      schemas: {
        ...entryNames,
        Entry: {
          oneOf: Object.keys(entryNames).map(ref),
          discriminator: {
            propertyName: 'kind',
            mapping: Object.fromEntries(
              Object.keys(ENTRY_SCHEMAS).map((kind) => [kind, `#/components/schemas/Entry.${kind}`]),
            ),
          },
        },
        NewJob: converted(newJobSchema),
        Job: converted(jobSchema),
        Planning: converted(planningSchema),
        ShopTemplate: converted(shopTemplateSchema),
        InspectionSheet: converted(inspectionSheetSchema),
        ToolList: converted(toolListSchema),
        Bundle: converted(bundleSchema, { job: ref('Job'), ledger }),
        Problem: {
          type: 'object',
          required: ['type', 'title', 'status', 'detail'],
          properties: {
            type: { enum: PROBLEMS.map((kind) => `urn:brisk-ledger:${kind}`) },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
            position: { type: 'integer' },
            revision: { type: 'integer' },
            errors: {
              type: 'array',
              items: { type: 'object', properties: { field: { type: 'string' }, words: { type: 'string' } } },
            },
          },
        },
      },
    },
  };
}

/** The JSON Schema of a job bundle, standing by itself, for programs that read or write one. */
export function bundleJsonSchema(): Json {
  const { components } = openApiDocument() as {
    readonly components: { readonly schemas: Readonly<Record<string, Json>> };
  };
  const { Bundle, Job, Entry } = components.schemas;
  const entries = Object.entries(components.schemas).filter(([name]) => name.startsWith('Entry.'));
  const local = (json: unknown): unknown =>
    JSON.parse(JSON.stringify(json).replaceAll('#/components/schemas/', '#/$defs/')) as unknown;
  const { discriminator: _discriminator, ...entry } = Entry ?? {};
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:brisk-ledger:job-bundle:${BUNDLE_VERSION}`,
    title: 'Brisk Ledger job bundle',
    ...(local(Bundle) as Json),
    $defs: local({ ...Object.fromEntries(entries), Entry: entry, Job }),
  };
}
