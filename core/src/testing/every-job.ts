import { RULES_NOW, waysOut, type JobPlan } from '../connection-map/index.js';
import { TEMPLATES, usualMap } from '../layouts/index.js';

/** Every way out of every layout, as a new job would be planned, each with a name to tell it by. */
export const EVERY_JOB: readonly (readonly [name: string, plan: JobPlan])[] = TEMPLATES.flatMap(({ layout }) => {
  const map = usualMap(layout);
  return waysOut(map).map(
    ({ powerpack, route }) =>
      [
        `${layout}, ${powerpack.id} ${route.id}`,
        { map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW },
      ] as const,
  );
});
