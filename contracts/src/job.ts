import type { JobPlan } from '@brisk/core/connection-map';
import type { LedgerEntry, Stop } from '@brisk/core/ledger';
import { number, string, type Schema } from 'yup';
import { entrySchema } from './entry.js';
import { count, id, list, name, oneOf, optionalText, record, time, uuid } from './fields.js';
import { jobPlanSchema } from './map.js';
import { choicesSchema, swapSchema, type Choices, type Swap } from './swap.js';

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

/**
 * A job as the survey makes it: the server composes the layout’s map with the choices, or copies the shop’s own
 * template, and keeps what nobody knew to be looked at.
 */
export const newJobSchema = record({
  ...headShape,
  layout: id(),
  /** The shop’s own template to begin from, instead of the layout as it usually is. */
  template: string()
    .matches(/^[\w-]+$/, { excludeEmptyString: true })
    .max(80)
    .optional(),
  choices: choicesSchema().optional().default(undefined),
  unsure: list(id(), 40).optional().default(undefined),
  powerpack: id(),
  route: id(),
}) as unknown as Schema<NewJob>;
export interface NewJob extends Omit<Job, 'createdAt' | 'plan' | 'revision' | 'survey' | 'swap'> {
  readonly layout: string;
  readonly template?: string;
  readonly choices?: Choices;
  readonly unsure?: readonly string[];
  readonly powerpack: string;
  readonly route: string;
}

/** What a job’s map came from. */
export interface SurveyRecord {
  readonly layout: string;
  readonly template?: string;
  readonly choices: Choices;
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
  /** Counts the changes of plan, survey and swap; absent in jobs older than editing, which are at their first. */
  readonly revision?: number;
  readonly survey?: SurveyRecord;
  readonly swap?: Swap;
}
const planningShape = {
  plan: jobPlanSchema,
  survey: record({
    layout: id(),
    template: string().max(80).optional(),
    choices: choicesSchema(),
  })
    .optional()
    .default(undefined),
  swap: swapSchema.optional().default(undefined),
};
export const jobSchema = record({
  ...headShape,
  createdAt: time(),
  revision: number().integer().min(1).max(10_000_000).optional(),
  ...planningShape,
}) as unknown as Schema<Job>;

/** Which revision of its planning `job` is at. */
export function revisionOf({ revision }: Pick<Job, 'revision'>): number {
  return revision ?? 1;
}

/** New planning data for a job, made from revision `revision` of it. */
export const planningSchema = record({
  revision: count(10_000_000, 1),
  ...planningShape,
}) as unknown as Schema<Planning>;
export interface Planning extends Pick<Job, 'plan' | 'survey' | 'swap'> {
  readonly revision: number;
}

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

/** What came after a position, and which revision of the planning it belongs to. */
export interface LedgerTail {
  readonly entries: readonly LedgerEntry[];
  readonly revision: number;
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
