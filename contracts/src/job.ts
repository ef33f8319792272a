import type { JobPlan } from '@brisk/core/connection-map';
import type { Standing } from '@brisk/core/journey';
import type { LedgerEntry } from '@brisk/core/ledger';
import { number, string } from 'yup';
import { entrySchema } from './entry.js';
import {
  count,
  id,
  list,
  name,
  oneOf,
  optionalDay,
  optionalList,
  optionalText,
  optionalYesOrNo,
  time,
  uuid,
  yesOrNo,
} from './fields.js';
import { jobPlanSchema } from './map.js';
import { record, type FieldsOf } from './record.js';
import { choicesSchema, swapSchema, type Choices, type Swap } from './swap.js';

/** Why the powerpack comes out. */
export const JOB_REASONS = ['same-back', 'exchange', 'swap'] as const;
export type JobReason = (typeof JOB_REASONS)[number];

/** What a job is called, and whose it is. */
interface JobHead {
  readonly id: string;
  readonly title: string;
  readonly machine: string;
  readonly reason: JobReason;
  readonly crew: readonly string[];
  readonly note?: string;
  readonly dueOn?: string;
}

/** A job as the survey makes it. */
export interface NewJob extends JobHead {
  readonly layout: string;
  /** The shop’s own template to begin from, instead of the layout as it usually is. */
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

/** What a job sets out to do, which may be changed while the work goes on. */
interface JobPlanning {
  readonly plan: JobPlan;
  readonly survey?: SurveyRecord;
  readonly swap?: Swap;
}

/** A job with its own map. The ledger comes beside it. */
export interface Job extends JobHead, JobPlanning {
  readonly createdAt: string;
  /** It was brought in with work recorded that does not follow from its plan, which nobody here has checked. */
  readonly unchecked?: boolean;
  /** Counts the changes of plan, survey and swap; absent in jobs older than editing, which are at their first. */
  readonly revision?: number;
}

/** New planning data for a job, made from revision `revision` of it. */
export interface Planning extends JobPlanning {
  readonly revision: number;
}

const headFields: FieldsOf<JobHead> = {
  id: uuid(),
  title: name(),
  machine: name(),
  reason: oneOf(JOB_REASONS),
  crew: list(name(), 20, 1),
  note: optionalText(),
  dueOn: optionalDay(),
};

/** The shop’s own template of that name, where there is one. */
const templateName = () =>
  string()
    .matches(/^[\w-]+$/, { excludeEmptyString: true })
    .max(80)
    .optional();

/**
 * The server composes the layout’s map with the choices, or copies the shop’s own template, and keeps what nobody knew
 * to be looked at.
 */
export const newJobSchema = record<NewJob>({
  ...headFields,
  layout: id(),
  template: templateName(),
  choices: choicesSchema().optional().default(undefined),
  unsure: optionalList(id(), 40),
  powerpack: id(),
  route: id(),
});

const planningFields: FieldsOf<JobPlanning> = {
  plan: jobPlanSchema,
  survey: record<SurveyRecord>({ layout: id(), template: string().max(80).optional(), choices: choicesSchema() })
    .optional()
    .default(undefined),
  swap: swapSchema.optional().default(undefined),
};

export const jobSchema = record<Job>({
  ...headFields,
  createdAt: time(),
  unchecked: optionalYesOrNo(),
  revision: number().integer().min(1).max(10_000_000).optional(),
  ...planningFields,
});

export const planningSchema = record<Planning>({ revision: count(10_000_000, 1), ...planningFields });

/** A job with everything needed to fold it. `entries[i]` stands at position i + 1. */
export interface JobWithLedger {
  readonly job: Job;
  readonly entries: readonly LedgerEntry[];
}

/** A job as it stands in the yard. */
export interface JobSummary extends Standing, Omit<JobHead, 'note'> {
  /** It was brought in and could not be checked; see {@link Job}. */
  readonly unchecked?: boolean;
  /** It is set aside, apart from the jobs in hand. */
  readonly aside?: true;
  /** Why what is stored of it cannot be read; then nothing else is known but its name. */
  readonly unreadable?: string;
}

/** Whether a job is set aside. */
export interface Aside {
  readonly aside: boolean;
}

export const asideSchema = record<Aside>({ aside: yesOrNo() });

/** What a job that could not be read was put right with. */
export interface PutRightFrom {
  /** When the backup was made that the copy is from. */
  readonly madeAt: string;
  /** Entries that could not be read. */
  readonly entries: number;
  /** How many of those no copy was found of; a note stands in their place. */
  readonly lost: number;
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
export interface Append {
  readonly expectedPosition: number;
  readonly entries: readonly LedgerEntry[];
}
export const appendSchema = record<Append>({
  expectedPosition: count(10_000_000),
  entries: list(entrySchema, 200, 1),
});

/** Where each sent entry stands. A retry is answered the same. */
export interface Appended {
  readonly written: readonly { readonly id: string; readonly position: number }[];
}
