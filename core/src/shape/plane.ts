/** Which way a plane is measured: of the engine as its crank lies, or of the machine. */
export type PlaneAxis = 'along' | 'across' | 'up' | 'x' | 'y' | 'z';

/**
 * The reference planes that shapes hang on. `along` is along the crank, from the bell face to the pulley; `across` is
 * from the exhaust side (hot) to the intake side (cold); x, y and z are the machine’s own. The words are what a tape
 * is held to.
 */
export const PLANES = {
  bell: { axis: 'along', words: 'bell face, where engine and gearbox meet' },
  pulley: { axis: 'along', words: 'front of the crank pulley' },
  tail: { axis: 'along', words: 'tail of the gearbox' },
  centre: { axis: 'across', words: 'middle of the crank' },
  cold: { axis: 'across', words: 'intake side of the block' },
  hot: { axis: 'across', words: 'exhaust side of the block' },
  crank: { axis: 'up', words: 'middle of the crank pulley' },
  deck: { axis: 'up', words: 'joint of block and head' },
  top: { axis: 'up', words: 'highest point of the engine' },
  sump: { axis: 'up', words: 'lowest point of the sump' },
  pan: { axis: 'up', words: 'lowest point of the gearbox' },
  'front-axle': { axis: 'x', words: 'middle of the front axle' },
  'rear-axle': { axis: 'x', words: 'middle of the rear axle' },
  nose: { axis: 'x', words: 'foremost point of the machine' },
  'tail-end': { axis: 'x', words: 'rearmost point of the machine' },
  slam: { axis: 'x', words: 'rear edge of the panel that closes the bay at its end' },
  radiator: { axis: 'x', words: 'face of the radiator towards the engine' },
  bulkhead: { axis: 'x', words: 'bulkhead' },
  scuttle: { axis: 'x', words: 'edge of the cowl over the bay' },
  middle: { axis: 'y', words: 'middle of the machine' },
  'left-rail': { axis: 'y', words: 'inner face of the left rail' },
  'right-rail': { axis: 'y', words: 'inner face of the right rail' },
  'left-tower': { axis: 'y', words: 'inner face of the left tower' },
  'right-tower': { axis: 'y', words: 'inner face of the right tower' },
  'left-wing': { axis: 'y', words: 'inner face of the left wing' },
  'right-wing': { axis: 'y', words: 'inner face of the right wing' },
  'left-side': { axis: 'y', words: 'outermost point on the left' },
  'right-side': { axis: 'y', words: 'outermost point on the right' },
  'tunnel-left': { axis: 'y', words: 'left wall of the tunnel' },
  'tunnel-right': { axis: 'y', words: 'right wall of the tunnel' },
  ground: { axis: 'z', words: 'ground, machine on its wheels' },
  floor: { axis: 'z', words: 'underside of the floor' },
  'rail-under': { axis: 'z', words: 'underside of the rails' },
  'rail-top': { axis: 'z', words: 'top of the rails' },
  beam: { axis: 'z', words: 'top of the lower crossbeam' },
  'tunnel-top': { axis: 'z', words: 'roof of the tunnel' },
  sill: { axis: 'z', words: 'edge the powerpack has to be lifted over' },
  cowl: { axis: 'z', words: 'lower edge of the cowl' },
  lid: { axis: 'z', words: 'underside of bonnet or lid' },
} as const satisfies Readonly<Record<string, { readonly axis: PlaneAxis; readonly words: string }>>;

export type PlaneName = keyof typeof PLANES;

/** Every plane there is. */
export const PLANE_NAMES = Object.keys(PLANES) as readonly PlaneName[];

/** Whether there is a plane of that name. */
export const isPlane = (name: string): name is PlaneName => Object.hasOwn(PLANES, name);

/** A plane, a distance in mm from one, or a share of the way between two: `bell+40`, `crank>top*0.5`, `crank>top*0.5+20`. */
export type Level = PlaneName | `${PlaneName}${'+' | '-' | '>'}${string}`;

/** From one level to another. */
export type Range = readonly [Level, Level];

/** A level taken apart: `from`, or `share` of the way from it to `to`, moved by `plusMm`. */
export interface LevelParts {
  readonly from: PlaneName;
  readonly to?: PlaneName;
  readonly share: number;
  readonly plusMm: number;
}

const NAME = Object.keys(PLANES)
  .sort((one, other) => other.length - one.length)
  .join('|');
const LEVEL = new RegExp(`^(${NAME})(?:>(${NAME})\\*(\\d+(?:\\.\\d+)?))?([+-]\\d+(?:\\.\\d+)?)?$`);

/** Levels taken apart: there are only so many in the layouts, and each is asked for again and again. */
const apart = new Map<Level, LevelParts>();

/** Takes a level apart. */
export function levelParts(level: Level): LevelParts {
  const known = apart.get(level) ?? takenApart(level);
  apart.set(level, known);
  return known;
}

function takenApart(level: Level): LevelParts {
  const found = LEVEL.exec(level);
  if (!found) throw new RangeError(`“${level}” is no level.`);
  const [, from, to, share, plus] = found;
  return {
    from: from as PlaneName,
    ...(to === undefined ? {} : { to: to as PlaneName }),
    share: Number(share ?? 0),
    plusMm: Number(plus ?? 0),
  };
}
