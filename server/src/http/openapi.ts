import { BUNDLE_VERSION, bundleSchema } from '@brisk/contracts/bundle';
import { ENTRY_SCHEMAS } from '@brisk/contracts/entry';
import { hereSchema } from '@brisk/contracts/here';
import { jobSchema, newJobSchema, planningSchema } from '@brisk/contracts/job';
import {
  firstPersonSchema,
  joinSchema,
  newPersonSchema,
  personChangeSchema,
  signInSchema,
  takeOverSchema,
} from '@brisk/contracts/people';
import { PROBLEMS } from '@brisk/contracts/problem';
import { keepRackSchema } from '@brisk/contracts/torque-wrenches';
import { keepGearSchema } from '@brisk/contracts/lifting-gear';
import { keepRatesSchema } from '@brisk/contracts/rates';
import { keepShopWritingSchema } from '@brisk/contracts/shop-writing';
import { inspectionSheetSchema, shopTemplateSchema, toolListSchema } from '@brisk/contracts/shop';
import { keepOwnKnowledgeSchema } from '@brisk/contracts/trouble-knowledge';
import { convertSchema } from '@sodaru/yup-to-json-schema';
import type { Schema } from 'yup';
import { ledger, ref, type Json } from './openapi-words.js';

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

/** The OpenAPI 3.1 document of what is served at `paths`, with the schemas that hold its input to account. */
export function openApiDocument(paths: Json): Json {
  const entryNames = Object.fromEntries(
    Object.entries(ENTRY_SCHEMAS).map(([kind, schema]) => [`Entry.${kind}`, converted(schema)]),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Brisk Ledger',
      version: '1',
      description: 'Jobs of taking a powerpack out and putting it back, and the ledger of each.',
      license: { name: 'MIT' },
    },
    paths,
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
        LiftingGear: converted(keepGearSchema),
        TorqueWrenches: converted(keepRackSchema),
        Rates: converted(keepRatesSchema),
        ShopWriting: converted(keepShopWritingSchema),
        OwnKnowledge: converted(keepOwnKnowledgeSchema),
        HereNow: converted(hereSchema),
        FirstPerson: converted(firstPersonSchema),
        SignIn: converted(signInSchema),
        JoinShed: converted(joinSchema),
        TakeOver: converted(takeOverSchema),
        NewPerson: converted(newPersonSchema),
        PersonChange: converted(personChangeSchema),
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
  const { components } = openApiDocument({}) as {
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
