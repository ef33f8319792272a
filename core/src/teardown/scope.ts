import type { CheckScope, JobPlan } from '../connection-map/index.js';
import type { Requirements } from './requirements.js';

/** Whether a step that is only for some jobs is for this one: whatever `where` says has to hold. */
export function isForJob(
  where: CheckScope = {},
  { map }: JobPlan,
  { lump, opened, drained }: Pick<Requirements, 'lump' | 'opened' | 'drained'>,
): boolean {
  const { comesOut, staysIn, opened: system, touches, drained: emptied, notDrained } = where;
  return (
    (comesOut === undefined || lump.has(comesOut)) &&
    (staysIn === undefined || !lump.has(staysIn)) &&
    (system === undefined || map.connections.some((one) => one.system === system && opened.has(one.id))) &&
    (touches === undefined || touches.some((id) => opened.has(id))) &&
    (emptied === undefined || drained.has(emptied)) &&
    (notDrained === undefined || !drained.has(notDrained))
  );
}
