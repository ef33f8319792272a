/**
 * What takes too long for the thread that answers the crew, by name. Takes and gives plain data. A thread loads what a task
 * takes when it is first asked for it: whoever makes a job does not wait for the printing to be loaded.
 */
export const TASKS = {
  'print a run sheet': async () => (await import('../run-sheet/print-sheet.js')).printSheet,
  'print labels': async () => (await import('../labels/print-labels.js')).printLabels,
  'print a bolt card': async () => (await import('../bolt-card/print-card.js')).printCard,
  'read a planning': async () => (await import('../jobs/read-planning.js')).readPlanning,
  'read a template': async () => (await import('../shop/read-template.js')).readTemplate,
  'read a bundle': async () => (await import('../jobs/read-bundle.js')).readBundle,
  'read a bundle with photos': async () => (await import('../jobs/read-zip.js')).readZip,
  'read literature': async () => (await import('../literature/read-literature.js')).readLiterature,
  'look for a spare': async () => (await import('../backup/spare.js')).spareIn,
  'put a job right': async () => (await import('../jobs/put-right.js')).putRight,
} as const;

export type TaskName = keyof typeof TASKS;
type Task<Name extends TaskName> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
export type TaskInput<Name extends TaskName> = Parameters<Task<Name>>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<Task<Name>>>;

/** Does one of the tasks beside the answering of requests. Throws what the task throws for whoever asked. */
export type InBackground = <Name extends TaskName>(name: Name, input: TaskInput<Name>) => Promise<TaskOutput<Name>>;
