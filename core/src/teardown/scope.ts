import { routeOf, type CheckScope, type HoldPoint, type JobPlan } from '../connection-map/index.js';
import type { Requirements } from './requirements.js';

/** Whether a step that is only for some jobs is for this one: whatever `where` says has to hold. */
export function isForJob(
  where: CheckScope = {},
  { map }: JobPlan,
  {
    lump,
    opened,
    drained,
    conditions,
    replaced: gone,
    renewed,
  }: Pick<Requirements, 'lump' | 'opened' | 'drained' | 'conditions' | 'replaced' | 'renewed'>,
): boolean {
  const {
    comesOut,
    staysIn,
    opened: system,
    touches,
    condition,
    drained: emptied,
    notDrained,
    replaced,
    notRenewed,
  } = where;
  return (
    (comesOut === undefined || lump.has(comesOut)) &&
    (staysIn === undefined || !lump.has(staysIn)) &&
    (system === undefined || map.connections.some((one) => one.system === system && opened.has(one.id))) &&
    (touches === undefined || touches.some((id) => opened.has(id))) &&
    (replaced === undefined || (gone?.has(replaced) ?? false)) &&
    (notRenewed === undefined || !renewed?.has(notRenewed)) &&
    (condition === undefined || conditions.has(condition)) &&
    (emptied === undefined || drained.has(emptied)) &&
    (notDrained === undefined || !drained.has(notDrained))
  );
}

/** The hold points of a job, each with what is looked at on one like it. */
export function holdPointsFor(plan: JobPlan, required: Parameters<typeof isForJob>[2]): readonly HoldPoint[] {
  const { liftSteps, lowerSteps } = routeOf(plan);
  return plan.map.holdPoints.map((point) => {
    const next = point.id === 'pre-lift' ? liftSteps[0] : point.id === 'pre-lower' ? lowerSteps[0] : undefined;
    const isBeneath = next?.station === 'underside';
    return {
      ...point,
      confirmations: point.confirmations.filter(
        ({ where, beneath = isBeneath }) => beneath === isBeneath && isForJob(where, plan, required),
      ),
    };
  });
}
