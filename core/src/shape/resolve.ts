import type { Direction, LayoutShape, PlaneAt } from './layout-shape.js';
import { levelParts, PLANES, type Level, type PlaneName, type Range } from './plane.js';
import { hullOf, turn, type Interval, type Point, type Solid } from './solid.js';
import type { SolidSpec } from './spec.js';

/** A shape that cannot be: a plane nobody placed, a part turned inside out by a measurement. `message` is for the crew. */
export class ShapeError extends Error {
  override readonly name = 'ShapeError';
}

/** Distances in mm that a tape gave, each between a plane and the one it is placed from. */
export type Measured = Readonly<Partial<Record<PlaneName, number>>>;

/** Where every plane of one machine is, in machine coordinates (mm). */
export type Planes = ReadonlyMap<PlaneName, number>;

const WAYS: Readonly<Record<Direction, { readonly on: 'x' | 'y'; readonly sign: 1 | -1 }>> = {
  nose: { on: 'x', sign: 1 },
  tail: { on: 'x', sign: -1 },
  left: { on: 'y', sign: 1 },
  right: { on: 'y', sign: -1 },
};

/** On which axis of the machine a plane lies, and which way its offsets count. */
export function axisOf({ pulleyTo, coldTo }: LayoutShape, plane: PlaneName) {
  const { axis } = PLANES[plane];
  if (axis === 'along') return WAYS[pulleyTo];
  if (axis === 'across') return WAYS[coldTo];
  return { on: axis === 'up' ? 'z' : axis, sign: 1 } as const;
}

/** The planes of `layout` with what was measured in place of what is usual. Throws {@link ShapeError}. */
export function planesOf(layout: LayoutShape, measured: Measured = {}): Planes {
  const placed = new Map<PlaneName, number>();
  const place = (name: PlaneName, seen: readonly PlaneName[]): number => {
    const there = placed.get(name);
    if (there !== undefined) return there;
    const at: PlaneAt | undefined = layout.planes[name];
    if (!at) throw new ShapeError(`Nothing says where the ${PLANES[name].words} is.`);
    if (seen.includes(name)) throw new ShapeError(`The ${PLANES[name].words} is placed from itself.`);
    const [from, usualMm] = at;
    const tapedMm = measured[name];
    const mm = tapedMm === undefined ? usualMm : Math.sign(usualMm) * tapedMm;
    const { on, sign } = axisOf(layout, name);
    if (from !== 'origin' && axisOf(layout, from).on !== on)
      throw new ShapeError(`The ${PLANES[name].words} cannot be placed from the ${PLANES[from].words}.`);
    const value = (from === 'origin' ? 0 : place(from, [...seen, name])) + sign * mm;
    placed.set(name, value);
    return value;
  };
  for (const name of Object.keys(layout.planes) as PlaneName[]) place(name, []);
  return placed;
}

/** The planes a solid hangs on. */
export function planesIn(solid: SolidSpec): ReadonlySet<PlaneName> {
  const levels: readonly Level[] =
    solid.seen === 'round' ? [...solid.along, ...solid.middle] : [...solid.corners.flat(), ...solid.through];
  return new Set(
    levels.flatMap((level) => {
      const parts = levelParts(level);
      return parts.to === undefined ? [parts.from] : [parts.from, parts.to];
    }),
  );
}

/** Strips a slanted outline is cut into where it is seen from the end. */
const STRIPS = 3;

/**
 * `spec` in machine coordinates. An outline that lies across the machine becomes a few upright strips round it, each as
 * high as the outline is anywhere in it, so that nothing is made smaller than it is. Throws {@link ShapeError} for a
 * level on the wrong axis, an outline that is not convex, and where `planes` turn it inside out.
 */
export function solidsOf(spec: SolidSpec, layout: LayoutShape, planes: Planes): readonly Solid[] {
  const at = (level: Level, on: 'x' | 'y' | 'z') => levelAt(level, on, layout, planes);
  const pulley = WAYS[layout.pulleyTo].on;
  const cold = WAYS[layout.coldTo].on;
  if (spec.seen === 'round') {
    const along = rangeAt(spec.along, (level) => at(level, pulley));
    const across = at(spec.middle[0], cold);
    const up = at(spec.middle[1], 'z');
    return round(pulley, along, across, up, spec.radiusMm);
  }
  const lying = spec.of === 'machine' ? 'x' : spec.seen === 'side' ? pulley : cold;
  const third = spec.of === 'machine' ? 'y' : spec.seen === 'side' ? cold : pulley;
  const through = rangeAt(spec.through, (level) => at(level, third));
  const corners = spec.corners.map(([one, up]): Point => ({ x: at(one, lying), z: at(up, 'z') }));
  const outline = hullOf(corners);
  const distinct = new Set(corners.map(({ x, z }) => `${x} ${z}`)).size;
  if (outline.length < 3 || outline.length < distinct)
    throw new ShapeError('An outline is not convex, or has no area.');
  if (lying === 'x') return [{ outline, across: through }];
  return strips(outline).map(([from, to]) => {
    const [low, high] = heightBetween(outline, from, to);
    return { outline: rectangle(through, [low, high]), across: [from, to] };
  });
}

/** Whether two machines’ planes have every corner of `spec` the same way round. */
export function keepsItsSides(spec: SolidSpec, layout: LayoutShape, usual: Planes, now: Planes): boolean {
  const at = (level: Level, planes: Planes) => {
    const parts = levelParts(level);
    return levelAt(level, axisOf(layout, parts.from).on, layout, planes);
  };
  const same = ([from, to]: Range) => {
    const before = at(to, usual) - at(from, usual);
    const after = at(to, now) - at(from, now);
    return Math.sign(before) === Math.sign(after) && Math.abs(after) >= THINNEST_MM;
  };
  if (spec.seen === 'round') return same(spec.along);
  const turned = (planes: Planes) => {
    const points = spec.corners.map(([one, up]): Point => ({ x: at(one, planes), z: at(up, planes) }));
    return points.map((point, index) => {
      const next = points[(index + 1) % points.length] ?? point;
      const after = points[(index + 2) % points.length] ?? point;
      return Math.sign(turn(point, next, after));
    });
  };
  const before = turned(usual);
  return same(spec.through) && turned(now).every((sign, index) => sign === before[index]);
}

/** Nothing a crew lifts is thinner. */
const THINNEST_MM = 1;

function levelAt(level: Level, on: 'x' | 'y' | 'z', layout: LayoutShape, planes: Planes): number {
  const parts = levelParts(level);
  const of = (name: PlaneName): number => {
    if (axisOf(layout, name).on !== on) throw new ShapeError(`“${level}” is not measured along ${on}.`);
    const value = planes.get(name);
    if (value === undefined) throw new ShapeError(`Nothing says where the ${PLANES[name].words} is.`);
    return value;
  };
  const from = of(parts.from);
  const between = parts.to === undefined ? 0 : parts.share * (of(parts.to) - from);
  return from + between + axisOf(layout, parts.from).sign * parts.plusMm;
}

function rangeAt([from, to]: Range, at: (level: Level) => number): Interval {
  const [one, other] = [at(from), at(to)];
  return one < other ? [one, other] : [other, one];
}

function rectangle([left, right]: Interval, [low, high]: Interval): readonly Point[] {
  return hullOf([
    { x: left, z: low },
    { x: right, z: low },
    { x: right, z: high },
    { x: left, z: high },
  ]);
}

function strips(outline: readonly Point[]): readonly Interval[] {
  const marks = [...new Set(outline.map(({ x }) => x))].sort((one, other) => one - other);
  return marks.slice(1).flatMap((to, index): readonly Interval[] => {
    const from = marks[index] ?? to;
    const [low, high] = heightBetween(outline, from, to);
    const upright = [from, to].every((x) => {
      const [a, b] = heightBetween(outline, x, x);
      return a === low && b === high;
    });
    if (upright) return [[from, to]];
    return Array.from({ length: STRIPS }, (_, strip): Interval => [
      from + ((to - from) * strip) / STRIPS,
      from + ((to - from) * (strip + 1)) / STRIPS,
    ]);
  });
}

/** The lowest and highest z of an outline between two x. */
function heightBetween(outline: readonly Point[], from: number, to: number): Interval {
  const heights: number[] = [];
  outline.forEach((one, index) => {
    const next = outline[(index + 1) % outline.length] ?? one;
    if (one.x >= from && one.x <= to) heights.push(one.z);
    for (const x of [from, to]) {
      if (one.x === next.x || (one.x - x) * (next.x - x) > 0) continue;
      heights.push(one.z + ((next.z - one.z) * (x - one.x)) / (next.x - one.x));
    }
  });
  return [Math.min(...heights), Math.max(...heights)];
}

/** A cylinder: an octagon round it where it lies across the machine, a thick middle and two thinner sides where along. */
function round(on: 'x' | 'y', along: Interval, across: number, up: number, radiusMm: number): readonly Solid[] {
  if (on === 'y') {
    const outline = Array.from({ length: 8 }, (_, corner): Point => {
      const angle = (Math.PI / 4) * corner + Math.PI / 8;
      const reach = radiusMm / Math.cos(Math.PI / 8);
      return { x: across + reach * Math.cos(angle), z: up + reach * Math.sin(angle) };
    });
    return [{ outline: hullOf(outline), across: along }];
  }
  const slab = (from: number, to: number, half: number): Solid => ({
    outline: rectangle(along, [up - half * radiusMm, up + half * radiusMm]),
    across: [across + from * radiusMm, across + to * radiusMm],
  });
  // At 0.6 of the radius a circle is 0.8 of it high.
  return [slab(-0.6, 0.6, 1), slab(-1, -0.6, 0.8), slab(0.6, 1, 0.8)];
}
