import { FluidError } from './fluid-error.js';

/**
 * Freezing point of ethylene glycol in water by volume: share of concentrate, °C. Common handbook values; the figure on the
 * can wins.
 */
const FREEZING: readonly (readonly [share: number, celsius: number])[] = [
  [0, 0],
  [0.1, -3.4],
  [0.2, -7.9],
  [0.3, -13.7],
  [0.4, -23.5],
  [0.5, -36.8],
  [0.6, -52.8],
];
/** Stronger than this it freezes sooner again, and carries less heat. */
export const STRONGEST_SHARE = 0.6;
const COLDEST_C = -52.8;

/** Where a mix with so large a `share` of concentrate freezes, in °C, interpolated. Throws {@link FluidError} outside 0 to 60 %. */
export function freezingAtC(share: number): number {
  if (!(share >= 0 && share <= STRONGEST_SHARE))
    throw new FluidError('A mix has 0 to 60 % of concentrate; above that it freezes sooner again.');
  return between(FREEZING, share);
}

/** The least share of concentrate that holds down to `celsius`. Throws {@link FluidError} where no mix does. */
export function shareFor(celsius: number): number {
  if (!(celsius >= COLDEST_C && celsius <= 0))
    throw new FluidError(`A mix holds from 0 down to ${COLDEST_C} °C, not to ${celsius} °C.`);
  return between(
    FREEZING.map(([share, at]) => [-at, share] as const),
    -celsius,
  );
}

function between(table: readonly (readonly [number, number])[], at: number): number {
  const next = table.findIndex(([x]) => x >= at);
  const [toX, toY] = table[next] ?? [at, 0];
  const [fromX, fromY] = table[next - 1] ?? [toX, toY];
  return toX === fromX ? toY : fromY + ((at - fromX) / (toX - fromX)) * (toY - fromY);
}

/** One fill: what is poured, in litres, and the share of concentrate it comes to all round. */
export interface Fill {
  readonly concentrateL: number;
  readonly waterL: number;
  readonly shareAfter: number;
}

/** The fills it takes, drained between them, and what is drained away again. */
export interface Mix {
  readonly fills: readonly Fill[];
  readonly concentrateL: number;
  readonly waterL: number;
  readonly wastedL: number;
}

/** What a circuit holds, what of it is inside now and how strong that is, and what runs out each time it is drained. */
interface Inside {
  readonly capacityL: number;
  readonly insideL: number;
  readonly shareInside: number;
  readonly drainsL: number;
}

const MOST_FILLS = 12;
/** As near as a can is poured. */
const NEAR = 1e-9;

/**
 * How `wanted` (share of concentrate) is reached. One fill where concentrate `x = c V − R c₀` fits into the room
 * `D = V − R` that is left (0 ≤ x ≤ D); otherwise the room is filled with concentrate, or with water where it is too strong,
 * run through, drained and filled again, until it fits. Throws {@link FluidError} where it cannot be reached.
 */
export function mixFor({ capacityL, insideL, shareInside, drainsL }: Inside, wanted: number): Mix {
  freezingAtC(wanted);
  if (!(shareInside >= 0 && shareInside <= 1)) throw new FluidError('What is inside has 0 to 100 % of concentrate.');
  if (!(capacityL > 0 && insideL >= 0 && insideL <= capacityL))
    throw new FluidError('More is inside than it holds: measure what you catch once more.');
  const fills: Fill[] = [];
  let rest = insideL;
  let share = shareInside;
  for (;;) {
    const room = capacityL - rest;
    const concentrate = wanted * capacityL - rest * share;
    const fits = concentrate >= -NEAR && concentrate <= room + NEAR;
    const pouredL = fits ? Math.min(room, Math.max(0, concentrate)) : concentrate > room ? room : 0;
    share = (rest * share + pouredL) / capacityL;
    fills.push({ concentrateL: pouredL, waterL: room - pouredL, shareAfter: share });
    if (fits) break;
    rest = capacityL - Math.min(drainsL, capacityL);
    if (fills.length === MOST_FILLS || rest >= capacityL)
      throw new FluidError(
        `${Math.round(wanted * 100)} % is not reached in ${fills.length} ${fills.length === 1 ? 'fill' : 'fills'}: too much stays inside each time. Drain the block as well.`,
      );
  }
  const sum = (of: (fill: Fill) => number) => fills.reduce((litres, fill) => litres + of(fill), 0);
  return {
    fills,
    concentrateL: sum(({ concentrateL }) => concentrateL),
    waterL: sum(({ waterL }) => waterL),
    wastedL: (fills.length - 1) * Math.min(drainsL, capacityL),
  };
}

/** The school that runs it on plain water first and mixes once it is known to be tight. */
export interface WaterFirst {
  /** Water of the first fill, how strong it is with what was inside, and where that freezes. */
  readonly firstWaterL: number;
  readonly shareThen: number;
  readonly freezesAtC: number;
  /** What follows once that is drained again. */
  readonly then: Mix;
  /** Concentrate it costs above mixing at once; less than nothing where the water thins what was too strong. */
  readonly moreConcentrateL: number;
  /** What is drained away, all of it to be disposed of. */
  readonly wastedL: number;
}

/** What it takes, and costs, to fill `inside` with water first and come to `wanted` afterwards. Throws {@link FluidError}. */
export function waterFirst(inside: Inside, wanted: number): WaterFirst {
  const { capacityL, insideL, shareInside, drainsL } = inside;
  const atOnce = mixFor(inside, wanted);
  const shareThen = (insideL * shareInside) / capacityL;
  const then = mixFor({ capacityL, insideL: capacityL - drainsL, shareInside: shareThen, drainsL }, wanted);
  return {
    firstWaterL: capacityL - insideL,
    shareThen,
    freezesAtC: freezingAtC(Math.min(shareThen, STRONGEST_SHARE)),
    then,
    moreConcentrateL: then.concentrateL - atOnce.concentrateL,
    wastedL: drainsL + then.wastedL,
  };
}
