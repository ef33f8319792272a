import equal from 'fast-deep-equal';
import type { ConnectionMap } from '../connection-map/index.js';
import { compose, type Choices, type Template } from '../layouts/index.js';

/**
 * `map` with one answer changed from `before` to `after`: what the new choices bring is added, what they take away is
 * removed, and what they change is changed, except where somebody has edited it since. Throws `ChoiceError`.
 */
export function reanswered(map: ConnectionMap, template: Template, before: Choices, after: Choices): ConnectionMap {
  const from = compose(template, before);
  const to = compose(template, after);
  const carry = <Thing extends { readonly id: string }>(
    now: readonly Thing[],
    was: readonly Thing[],
    becomes: readonly Thing[],
  ): readonly Thing[] => {
    const old = new Map(was.map((thing) => [thing.id, thing]));
    const fresh = new Map(becomes.map((thing) => [thing.id, thing]));
    const here = new Set(now.map(({ id }) => id));
    const kept = now.flatMap((thing): readonly Thing[] => {
      const earlier = old.get(thing.id);
      if (!earlier) return [thing];
      const later = fresh.get(thing.id);
      if (!later) return [];
      return [equal(thing, earlier) ? later : thing];
    });
    return [...kept, ...becomes.filter(({ id }) => !here.has(id) && !old.has(id))];
  };
  const parts = carry(map.parts, from.parts, to.parts);
  const partIds = new Set(parts.map(({ id }) => id));
  const connections = carry(map.connections, from.connections, to.connections).filter(({ between }) =>
    between.every((end) => partIds.has(end)),
  );
  const chores = carry(map.chores ?? [], from.chores ?? [], to.chores ?? []);
  const renewals = carry(map.renewals ?? [], from.renewals ?? [], to.renewals ?? []);
  return {
    ...map,
    ...(to.cylinders ? { cylinders: to.cylinders } : {}),
    parts,
    connections,
    conditions: carry(map.conditions, from.conditions, to.conditions),
    circuits: carry(map.circuits, from.circuits, to.circuits),
    routes: carry(map.routes, from.routes, to.routes),
    powerpacks: carry(map.powerpacks, from.powerpacks, to.powerpacks),
    checks: carry(map.checks, from.checks, to.checks),
    ...(chores.length > 0 ? { chores } : {}),
    ...(renewals.length > 0 ? { renewals } : {}),
  };
}
