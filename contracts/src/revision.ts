import type { Job } from './job.js';

/** Which revision of its planning `job` is at. By itself, for who needs this and none of the rules a job is held to. */
export function revisionOf({ revision }: Pick<Job, 'revision'>): number {
  return revision ?? 1;
}
