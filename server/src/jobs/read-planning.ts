import { planningSchema, type Planning } from '@brisk/contracts/job';
import { checked } from '../http/body.js';
import { jsonIn } from '../http/json-bytes.js';
import { refuseProblems, refuseUnworkable } from './workable.js';

/** New planning data as it was sent, held against everything that does not hang on the job. Throws the problem it has. */
export function readPlanning(bytes: Uint8Array): Planning {
  const planning = checked(planningSchema, jsonIn(bytes));
  refuseProblems(planning.plan.map, 'plan.map');
  refuseUnworkable(planning);
  return planning;
}
