import type { LedgerEntry } from '@brisk/core/ledger';
import type { Seal } from '@brisk/core/seal';
import { string } from 'yup';
import { entrySchema } from './entry.js';
import { count, list, LONGEST, oneOf, time } from './fields.js';
import { jobSchema, type Job } from './job.js';
import { record } from './record.js';

export const BUNDLE_FORMAT = 'brisk-ledger-job';
/**
 * Version 2 added the survey, the revision and the swap of a job; version 3 counts with schools, loose fasteners, photos
 * and breaks; version 4 carries the seal of its ledger. Older ones are still read.
 */
export const BUNDLE_VERSION = 4;
const OLDEST_READ = 1;

/** One job in one file: its plan, its ledger, and how long that ledger is, so that a file cut short is noticed. */
export interface Bundle {
  readonly format: typeof BUNDLE_FORMAT;
  readonly version: number;
  readonly exportedAt: string;
  readonly job: Job;
  readonly ledgerLength: number;
  readonly ledger: readonly LedgerEntry[];
  /** What the ledger was sealed with when it was written; absent before version 4. */
  readonly seal?: Seal;
}

export const bundleSchema = record<Bundle>({
  format: oneOf([BUNDLE_FORMAT]),
  version: count(BUNDLE_VERSION, OLDEST_READ),
  exportedAt: time(),
  job: jobSchema,
  ledgerLength: count(LONGEST.ledger),
  ledger: list(entrySchema, LONGEST.ledger),
  seal: record<Seal>({
    entries: count(LONGEST.ledger),
    hash: string()
      .matches(/^[0-9a-f]{64}$/)
      .required(),
  })
    .optional()
    .default(undefined),
});

/** Why something that is not even shaped like one of our bundles is refused, or undefined when it may be one. */
export function notOurBundle(value: unknown): string | undefined {
  if (typeof value !== 'object' || value === null || !('format' in value) || value.format !== BUNDLE_FORMAT)
    return 'This file is not a job bundle of ours.';
  const version = 'version' in value ? value.version : undefined;
  if (typeof version === 'number' && version > BUNDLE_VERSION)
    return `This bundle is of version ${version}; this Brisk Ledger reads up to version ${BUNDLE_VERSION}. Update it first.`;
  return undefined;
}
