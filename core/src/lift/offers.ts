import { closely, COARSE, Gaps, wayThrough, type Gap, type WayThrough } from '../clearance/index.js';
import type { PartId } from '../connection-map/index.js';
import { legsOf, type LiftOf } from './legs.js';
import { goesThrough } from './verdict.js';

/** A part that could come off as well, and what that buys. */
export interface Offer {
  readonly part: PartId;
  readonly name: string;
  /** The clearance of the best way without it, and how much more that is, in mm. */
  readonly clearanceMm: number;
  readonly gainMm: number;
  /** What it costs: minutes of work to take it off and put it back. */
  readonly minutes: number;
  /** It was to be off, and was put off until later. */
  readonly putOff: boolean;
}

/** Less is not worth a spanner, in mm. */
const WORTH_MM = 5;
const LOOK_EVERY_MM = 20;
const LOOK_WITHIN_MM = 60;
/** Things looked at; the nearest first. */
const MOST_TRIED = 8;

/**
 * For every part near the way of one leg that could come off as well, whether it stands in the way or is on what moves:
 * how much room that buys, and for how much work; the best bargain first. `minutesOf` says what taking it off and putting
 * it back takes, or nothing where it cannot come off. Yields after each part that was tried.
 */
export function* offersFor(
  lift: LiftOf,
  leg: number,
  way: WayThrough,
  minutesOf: (part: PartId) => number | undefined,
): Generator<number, readonly Offer[]> {
  const scene = legsOf(lift)[leg]?.scene;
  if (!scene) return [];
  const near = new Map<PartId, Gap>();
  const gaps = new Gaps(scene);
  for (const pose of closely(way.poses, LOOK_EVERY_MM, gaps.reachMm).slice(1))
    for (const gap of gaps.nearest(pose, 4, LOOK_WITHIN_MM))
      for (const { id } of [gap.moving, gap.still]) if (gap.mm < (near.get(id)?.mm ?? Infinity)) near.set(id, gap);
  const parts = [...near]
    .sort(([, one], [, other]) => one.mm - other.mm)
    .flatMap(([part]) => {
      const putOff = lift.putOff.find((one) => one.part === part);
      const minutes = putOff?.minutes ?? (lift.map.parts.some(({ id }) => id === part) ? minutesOf(part) : undefined);
      return minutes === undefined ? [] : [{ part, minutes, putOff: putOff !== undefined }];
    })
    .slice(0, MOST_TRIED);
  const offers: Offer[] = [];
  for (const [index, { part, minutes, putOff }] of parts.entries()) {
    const without = yield* coarse({ ...lift, off: new Set([...lift.off, part]) }, leg, index, parts.length);
    const gainMm = without ? roomOf(without) - roomOf(way) : 0;
    if (!without || gainMm < WORTH_MM) continue;
    const name = lift.map.parts.find(({ id }) => id === part)?.name ?? part;
    offers.push({ part, name, clearanceMm: without.clearanceMm, gainMm, minutes, putOff });
  }
  return offers.sort((one, other) => other.gainMm / other.minutes - one.gainMm / one.minutes);
}

/** The room of a way once it has left its seat; what it overlaps, where it does not go. */
function roomOf(way: WayThrough): number {
  return goesThrough(way) ? way.onTheWayMm : way.clearanceMm;
}

function* coarse(lift: LiftOf, leg: number, index: number, count: number): Generator<number, WayThrough | undefined> {
  const scene = legsOf(lift)[leg]?.scene;
  if (!scene) return undefined;
  const search = wayThrough(scene, COARSE);
  for (let step = search.next(); ; step = search.next()) {
    if (step.done) return step.value;
    yield (index + step.value) / Math.max(1, count);
  }
}
