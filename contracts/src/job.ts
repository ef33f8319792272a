import type { JobPlan } from '@brisk/core/connection-map';
import type { LedgerEntry, Stop } from '@brisk/core/ledger';
import { string, type Schema } from 'yup';
import { entrySchema } from './entry.js';
import { count, id, list, name, oneOf, optionalText, record, time, uuid } from './fields.js';
import { jobPlanSchema } from './map.js';

/** Why the powerpack comes out. */
export const JOB_REASONS = ['same-back', 'exchange', 'swap'] as const;
export type JobReason = (typeof JOB_REASONS)[number];

const headShape = {
  id: uuid(),
  title: name(),
  machine: name(),
  reason: oneOf(JOB_REASONS),
  crew: list(name(), 20).min(1),
  note: optionalText(),
  dueOn: string()
    .matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'dueOn has to be a day such as 2026-03-02.', excludeEmptyString: true })
    .optional(),
};

/** A job as the survey makes it: the server copies the layout’s map into it. */
export const newJobSchema = record({
  ...headShape,
  layout: id(),
  powerpack: id(),
  route: id(),
}) as unknown as Schema<NewJob>;
export interface NewJob extends Omit<Job, 'createdAt' | 'plan'> {
  readonly layout: string;
  readonly powerpack: string;
  readonly route: string;
}

/** A job with its own map. The ledger comes beside it. */
export interface Job {
  readonly id: string;
  readonly title: string;
  readonly machine: string;
  readonly reason: JobReason;
  readonly crew: readonly string[];
  readonly note?: string;
  readonly dueOn?: string;
  readonly createdAt: string;
  readonly plan: JobPlan;
}
export const jobSchema = record({ ...headShape, createdAt: time(), plan: jobPlanSchema }) as unknown as Schema<Job>;

/** A job with everything needed to fold it. `entries[i]` stands at position i + 1. */
export interface JobWithLedger {
  readonly job: Job;
  readonly entries: readonly LedgerEntry[];
}

/** A job as it stands in the yard. */
export interface JobSummary {
  readonly id: string;
  readonly title: string;
  readonly machine: string;
  readonly reason: JobReason;
  readonly crew: readonly string[];
  readonly dueOn?: string;
  readonly stop: Stop;
  readonly handedOver: boolean;
  /** The next step, or what the job waits for. */
  readonly nextStep: string;
  /** What stands in its way: stuck steps, parts not arrived, real issues. */
  readonly blockedBy: readonly string[];
  readonly holding: number;
  readonly stepsDone: number;
  readonly steps: number;
  readonly minutesLeft: number;
  readonly position: number;
  readonly lastEntryAt?: string;
}

/** A layout to start a job from. */
export interface LayoutSummary {
  readonly layout: string;
  readonly name: string;
  readonly parts: number;
  readonly connections: number;
  readonly powerpacks: readonly { readonly id: string; readonly name: string }[];
  readonly routes: readonly { readonly id: string; readonly name: string }[];
}

/** Entries to be written after `expectedPosition`, all or none. */
export const appendSchema = record({
  expectedPosition: count(10_000_000),
  entries: list(entrySchema, 200).min(1),
}) as unknown as Schema<Append>;
export interface Append {
  readonly expectedPosition: number;
  readonly entries: readonly LedgerEntry[];
}

/** Where each sent entry stands. A retry is answered the same. */
export interface Appended {
  readonly written: readonly { readonly id: string; readonly position: number }[];
}
