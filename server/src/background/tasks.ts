import { printCard } from '../bolt-card/print-card.js';
import { spareIn } from '../backup/spare.js';
import { putRight } from '../jobs/put-right.js';
import { readBundle } from '../jobs/read-bundle.js';
import { readPlanning } from '../jobs/read-planning.js';
import { readZip } from '../jobs/read-zip.js';
import { readLiterature } from '../literature/read-literature.js';
import { printLabels } from '../labels/print-labels.js';
import { printSheet } from '../run-sheet/print-sheet.js';
import { readTemplate } from '../shop/read-template.js';

/** What takes too long for the thread that answers the crew, by name. Takes and gives plain data. */
export const TASKS = {
  'print a run sheet': printSheet,
  'print labels': printLabels,
  'print a bolt card': printCard,
  'read a planning': readPlanning,
  'read a template': readTemplate,
  'read a bundle': readBundle,
  'read a bundle with photos': readZip,
  'read literature': readLiterature,
  'look for a spare': spareIn,
  'put a job right': putRight,
} as const;

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;
export type TaskInput<Name extends TaskName> = Parameters<Tasks[Name]>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<Tasks[Name]>>;

/** Does one of the tasks beside the answering of requests. Throws what the task throws for whoever asked. */
export type InBackground = <Name extends TaskName>(name: Name, input: TaskInput<Name>) => Promise<TaskOutput<Name>>;
