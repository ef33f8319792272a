import { lumpOf, type JobPlan, type Part, type PartId } from '../connection-map/index.js';

/**
 * The units of what comes out: those that carry each other (engine and gearbox), or, where nothing does, the heaviest.
 * `lump`: the parts that leave.
 */
export function unitsOf({ map, powerpack }: JobPlan, lump: ReadonlySet<PartId>): readonly PartId[] {
  const roots = map.powerpacks.find(({ id }) => id === powerpack)?.roots.filter((root) => lump.has(root)) ?? [];
  const joined = map.connections
    .filter(({ carriesLoad, between }) => carriesLoad && between.every((end) => lump.has(end)))
    .flatMap(({ between }) => between);
  const units = roots.filter((root) => joined.includes(root));
  if (units.length > 0) return units;
  const massOf = (id: PartId) => map.parts.find((part) => part.id === id)?.massKg ?? 0;
  return [...roots].sort((one, other) => massOf(other) - massOf(one)).slice(0, 1);
}

/** What is bolted to `unit` and goes over to another one, or comes with it; what is part of it is not among them. */
export function outerPartsOf({ map }: JobPlan, lump: ReadonlySet<PartId>, unit: PartId): readonly Part[] {
  const riding = lumpOf(map, [unit]);
  const inner = new Set(map.parts.filter(({ builtIn }) => builtIn).flatMap(({ id }) => [...lumpOf(map, [id])]));
  return map.parts.filter(({ id }) => id !== unit && riding.has(id) && lump.has(id) && !inner.has(id));
}
