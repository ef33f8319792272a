import { crossing, lumpOf, type ConnectionKind, type ConnectionMap, type MapProblem } from '../connection-map/index.js';
import { depthOf, type MachineShape, type Shaped } from '../shape/index.js';

/** What two things that are not let into each other may overlap, in mm: shapes are drawn to the centimetre. */
const CONTACT_MM = 4;
/** How far apart the shapes of two parts may be that are joined like this, in mm. */
const REACH_MM: Readonly<Record<ConnectionKind, number>> = {
  bolted: 220,
  clamp: 160,
  shaft: 200,
  clip: 260,
  strap: 260,
  ground: 900,
  plug: 900,
  linkage: 600,
  pipe: 2_000,
  hose: 2_200,
  cable: 1_800,
};
/** What bends reaches further, and the body is more than the bay: brackets and panels nobody drew. */
const BENDS_MM = 1_400;
const BRACKET_MM = 1_000;
/** A filter’s bowl or duct reaches over the engine. */
const DUCT_MM = 820;
const LIGHTEST_KG = 30;
const HEAVIEST_KG = 2_000;

/**
 * What is wrong with the shapes of `map`: a part nobody drew, one outside its machine, two hard things in each other
 * that are not let into each other, a powerpack of no likely weight or with its weight outside itself, and a connection
 * between two that are nowhere near each other.
 */
export function lintShape(map: ConnectionMap, shape: MachineShape): readonly MapProblem[] {
  const problems: MapProblem[] = [];
  const say = (where: string, words: string) => problems.push({ at: where, words });
  const parts = [...shape.parts.values()];
  for (const { id, name, guessed } of parts) if (guessed) say(id, `Nobody drew the ${name}.`);
  const hard = parts.filter(({ soft }) => !soft);
  for (const one of hard) for (const words of outside(one, shape)) say(one.id, words);
  for (const [index, one] of hard.entries())
    for (const other of [...hard.slice(index + 1), ...shape.bay]) {
      if (one.into.has(other.id) || other.into.has(one.id)) continue;
      const mm = deepest(one, other);
      if (mm > CONTACT_MM) say(one.id, `The ${one.name} is ${Math.round(mm)} mm in the ${other.name}.`);
    }
  for (const { id, between, kind, name, system } of map.connections) {
    const [one, other] = between.map((part) => shape.parts.get(part));
    const mm = one && other ? -deepest(one, other) : nearestBay(one ?? other, shape);
    const bends = (one?.soft ?? false) || (other?.soft ?? false);
    const reachMm = Math.max(
      REACH_MM[kind],
      bends ? BENDS_MM : 0,
      one && other ? 0 : BRACKET_MM,
      system === 'air' ? DUCT_MM : 0,
    );
    if (mm > reachMm) say(id, `Between the ends of ${name} are ${Math.round(mm)} mm.`);
  }
  for (const { id, roots } of map.powerpacks) {
    const inside = [...lumpOf(map, roots)].flatMap((part) => shape.parts.get(part) ?? []);
    const massKg = inside.reduce((sum, part) => sum + part.massKg, 0);
    if (massKg < LIGHTEST_KG || massKg > HEAVIEST_KG) say(id, `It weighs ${Math.round(massKg)} kg.`);
    if (crossing(map.connections, lumpOf(map, roots)).length === 0) say(id, 'Nothing ties it.');
  }
  return problems;
}

function deepest(one: Shaped, other: Shaped): number {
  let mm = -Infinity;
  for (const mine of one.solids) for (const theirs of other.solids) mm = Math.max(mm, depthOf(mine, theirs));
  return mm;
}

function nearestBay(one: Shaped | undefined, { bay }: MachineShape): number {
  if (!one) return 0;
  return Math.min(...bay.map((feature) => -deepest(one, feature)));
}

function outside({ name, extent }: Shaped, { planes }: MachineShape): readonly string[] {
  const at = (plane: Parameters<typeof planes.get>[0]) => planes.get(plane) ?? 0;
  const beyond = [
    extent.x[1] > at('nose') ? 'before the nose' : undefined,
    extent.x[0] < at('tail-end') ? 'behind the tail' : undefined,
    extent.y[1] > at('left-side') + 20 ? 'beyond the left side' : undefined,
    extent.y[0] < at('right-side') - 20 ? 'beyond the right side' : undefined,
    extent.z[0] < 0 ? 'in the ground' : undefined,
  ];
  return beyond.flatMap((where) => (where === undefined ? [] : [`The ${name} is ${where}.`]));
}
