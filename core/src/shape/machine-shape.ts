import type { LayoutShape } from './layout-shape.js';
import { PLANES, type PlaneName } from './plane.js';
import {
  axisOf,
  keepsItsSides,
  planesIn,
  planesOf,
  ShapeError,
  solidsOf,
  type Measured,
  type Planes,
} from './resolve.js';
import { extentOf, middleOf, type Extent, type Place, type Solid } from './solid.js';
import type { SolidSpec } from './spec.js';

/** A part or a feature of the bay in its place. */
export interface Shaped {
  readonly id: string;
  readonly name: string;
  readonly solids: readonly Solid[];
  readonly extent: Extent;
  /** The middle of its volume. */
  readonly middle: Place;
  readonly massKg: number;
  /** May be pushed aside. */
  readonly soft: boolean;
  /** Once it is undone from what leaves it is tied aside. */
  readonly swings: boolean;
  /** Nobody knows its shape: it is drawn where its zone is, and nothing is held to keep clear of it. */
  readonly guessed: boolean;
  /** What it is let into by design. */
  readonly into: ReadonlySet<string>;
  /** The planes it hangs on. */
  readonly planes: ReadonlySet<PlaneName>;
}

/** One machine in true measure. */
export interface MachineShape {
  readonly layout: LayoutShape;
  readonly planes: Planes;
  readonly measured: Measured;
  readonly parts: ReadonlyMap<string, Shaped>;
  readonly bay: readonly Shaped[];
}

/** What a shape needs to know of a part. */
export interface PartToShape {
  readonly id: string;
  readonly name: string;
  readonly zone: string;
  readonly massKg?: number;
}

/** How thick a part is drawn that nobody knows the shape of, in mm. */
const GUESSED_MM = 120;

/**
 * `parts` and the bay of one machine where they are, by what is usual for its layout and what was measured. A part the
 * layout does not know is drawn beside the engine on the side of its zone. Throws {@link ShapeError} where a measurement
 * turns something inside out, naming it.
 */
export function machineShape(
  layout: LayoutShape,
  parts: readonly PartToShape[],
  measured: Measured = {},
): MachineShape {
  const usual = planesOf(layout);
  const planes = planesOf(layout, measured);
  const placed = (id: string, name: string, specs: readonly SolidSpec[]) => {
    const hangsOn = new Set(specs.flatMap((spec) => [...planesIn(spec)]));
    const upset = specs.some((spec) => !keepsItsSides(spec, layout, usual, planes));
    if (upset) throw insideOut(name, hangsOn, layout, measured);
    const solids = specs.flatMap((spec) => solidsOf(spec, layout, planes));
    return { id, name, solids, extent: extentOf(solids) as Extent, middle: middleOf(solids), planes: hangsOn };
  };
  const known = parts.flatMap(({ id, name, massKg }): readonly Shaped[] => {
    const shape = layout.parts[id];
    if (!shape) return [];
    return [
      {
        ...placed(id, name, shape.solids),
        massKg: massKg ?? 0,
        soft: shape.soft ?? false,
        swings: shape.swings ?? false,
        guessed: false,
        into: new Set(shape.into),
      },
    ];
  });
  const usualEngine = layout.parts['engine']?.solids ?? [];
  const engine = known.find(({ id }) => id === 'engine') ?? placed('engine', 'engine', usualEngine);
  const unknown = parts.filter(({ id }) => !layout.parts[id]).map((part, index) => guess(part, engine.extent, index));
  return {
    layout,
    planes,
    measured,
    parts: new Map([...known, ...unknown].map((one) => [one.id, one])),
    bay: layout.bay.map(({ id, name, solids }) => ({
      ...placed(id, name, solids),
      massKg: 0,
      soft: false,
      swings: false,
      guessed: false,
      into: new Set<string>(),
    })),
  };
}

/** Half the width within which a plane is that nobody measured, in mm. */
const UNMEASURED_MM = 15;

/**
 * How far two things may be nearer to each other than drawn, in mm: the spread of every unmeasured plane that only one
 * of them hangs on, as independent errors add up.
 */
export function spreadBetween({ layout, measured }: MachineShape, one: Shaped, other: Shaped): number {
  const chain = (planes: ReadonlySet<PlaneName>): ReadonlySet<PlaneName> => {
    const found = new Set<PlaneName>();
    const add = (plane: PlaneName) => {
      if (found.has(plane)) return;
      found.add(plane);
      const from = layout.planes[plane]?.[0];
      if (from !== undefined && from !== 'origin') add(from);
    };
    planes.forEach(add);
    return found;
  };
  const [mine, theirs] = [chain(one.planes), chain(other.planes)];
  const apart = [...mine, ...theirs].filter(
    (plane) =>
      mine.has(plane) !== theirs.has(plane) &&
      measured[plane] === undefined &&
      layout.planes[plane]?.[0] !== 'origin' &&
      axisOf(layout, plane).on !== 'y',
  );
  return Math.sqrt(apart.length) * UNMEASURED_MM;
}

function insideOut(name: string, planes: ReadonlySet<PlaneName>, layout: LayoutShape, measured: Measured): ShapeError {
  const taped = (Object.keys(measured) as PlaneName[]).find((plane) => {
    const down = [plane];
    for (const next of down)
      for (const [child, at] of Object.entries(layout.planes))
        if (at[0] === next && !down.includes(child as PlaneName)) down.push(child as PlaneName);
    return down.some((one) => planes.has(one));
  });
  const what = taped ? `${String(measured[taped])} mm to the ${PLANES[taped].words}` : 'This';
  return new ShapeError(`${what} would turn the ${name} inside out: measure it again.`);
}

function guess({ id, name, zone, massKg = 0 }: PartToShape, { x, y, z }: Extent, index: number): Shaped {
  const centre = { x: (x[0] + x[1]) / 2, y: (y[0] + y[1]) / 2, z: (z[0] + z[1]) / 2 };
  const off = GUESSED_MM;
  const places: Readonly<Record<string, Partial<Place>>> = {
    'bay-front': { x: x[1] + off },
    'bay-rear': { x: x[0] - off },
    'bay-left': { y: y[1] + off },
    'bay-right': { y: y[0] - off },
    'bay-top': { z: z[1] + off },
    'under-front': { z: z[0] - off },
    'under-middle': { x: x[0] - 4 * off, z: z[0] },
    'under-rear': { x: x[0] - 9 * off, z: z[0] },
    cabin: { x: x[0] - 5 * off, z: z[1] },
    outside: { y: y[1] + 4 * off },
  };
  const at = { ...centre, ...places[zone] };
  const beside = ((index % 5) - 2) * 1.4 * off;
  const ahead = zone === 'bay-front' || zone === 'bay-rear';
  const middle = { x: at.x + (ahead ? 0 : beside), y: at.y + (ahead ? beside : 0), z: at.z };
  const half = GUESSED_MM / 2;
  const solid: Solid = {
    outline: [
      { x: middle.x - half, z: middle.z - half },
      { x: middle.x + half, z: middle.z - half },
      { x: middle.x + half, z: middle.z + half },
      { x: middle.x - half, z: middle.z + half },
    ],
    across: [middle.y - half, middle.y + half],
  };
  return {
    id,
    name,
    solids: [solid],
    extent: extentOf([solid]) as Extent,
    middle,
    massKg,
    soft: true,
    swings: false,
    guessed: true,
    into: new Set(),
    planes: new Set(),
  };
}
