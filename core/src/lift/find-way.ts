import {
  COARSE,
  FINE,
  Gaps,
  judged,
  pushedAside,
  wayThrough,
  type Fineness,
  type PushedAside,
  type Scene,
  type WayThrough,
} from '../clearance/index.js';
import type { PartId } from '../connection-map/index.js';
import { legsOf, onTheWayBack, type LiftOf } from './legs.js';
import { movesAlong, movesPushedAside, type Move } from './moves.js';
import { offersFor, type Offer } from './offers.js';
import { goesThrough } from './verdict.js';

/** What is known of a way so far. */
export interface WayFound {
  /** How much of the search is done. */
  readonly share: number;
  /** Absent until the first answer; “none” where the gear lets nothing out. */
  readonly way?: WayThrough | 'none';
  readonly moves: readonly Move[];
  /** Whether the way is the one to go by, and not a first answer. */
  readonly fine: boolean;
  /** Where pushing it to one side gives more room; absent where it gives none, or nobody has looked yet. */
  readonly aside?: PushedAside & { readonly moves: readonly Move[] };
  /**
   * The way back: as the way out, or, where something is in before it that was off then, its own, with its moves as of a way
   * out. Absent until it is known.
   */
  readonly back?: 'as out' | { readonly way: WayThrough | 'none'; readonly moves: readonly Move[] };
  /** What one more part off would buy; absent until every part near the way has been tried. */
  readonly offers?: readonly Offer[];
}

const NOTHING_YET: WayFound = { share: 0, moves: [], fine: false };

/**
 * The way through of one leg, told as it becomes known: a first answer on a coarse grid, the one to go by, its moves, then
 * whether pushing it aside helps and what one more part off would buy. Throws `SceneError`.
 */
export function* findWay(
  lift: LiftOf,
  leg: number,
  minutesOf: (part: PartId) => number | undefined,
): Generator<WayFound, WayFound> {
  const scene = legsOf(lift)[leg]?.scene;
  if (!scene) return { ...NOTHING_YET, share: 1, way: 'none', fine: true };
  const back = onTheWayBack(lift);
  const sceneBack = back.off.size < lift.off.size ? legsOf(back)[leg]?.scene : undefined;
  let found = NOTHING_YET;
  const stages: readonly (readonly [Fineness, number, number])[] = [
    [COARSE, 0, 0.1],
    [FINE, 0.1, 0.6],
  ];
  for (const [fineness, from, to] of stages) {
    const search = wayThrough(scene, fineness);
    let step = search.next();
    for (; !step.done; step = search.next()) yield { ...found, share: from + step.value * (to - from) };
    const way = step.value ?? 'none';
    found = {
      share: to,
      way,
      moves: way === 'none' ? [] : movesAlong(scene, way.poses),
      fine: fineness === FINE,
      ...(sceneBack ? {} : { back: 'as out' as const }),
    };
    yield found;
  }
  const out = found.way;
  if (out === undefined || out === 'none') return { ...found, share: 1, offers: [] };
  if (sceneBack) {
    const way = (yield* wayIn(sceneBack, found)) ?? 'none';
    found = { ...found, back: { way, moves: way === 'none' ? [] : movesAlong(sceneBack, way.poses) } };
  }
  const pushing = pushedAside(scene, out);
  let push = pushing.next();
  for (; !push.done; push = pushing.next()) yield { ...found, share: 0.6 + 0.1 * push.value };
  if (push.value) found = { ...found, aside: { ...push.value, moves: movesPushedAside(scene, push.value) } };
  const trying = offersFor(lift, leg, out, minutesOf);
  let step = trying.next();
  for (; !step.done; step = trying.next()) yield { ...found, share: 0.7 + 0.3 * step.value };
  return { ...found, share: 1, offers: step.value };
}

/**
 * The moves a lift may go by: fine, through, and back in again. Pushed `aside` only where it comes back as it went. Nothing
 * where it does not go, or that is not known yet.
 */
export function movesToGoBy(
  { way, moves, fine, aside: pushed, back }: WayFound,
  aside: boolean,
): { readonly moves: readonly Move[]; readonly back?: readonly Move[] } | undefined {
  if (!fine || back === undefined) return undefined;
  if (aside) return pushed && back === 'as out' ? { moves: pushed.moves } : undefined;
  if (way === undefined || way === 'none' || !goesThrough(way) || moves.length === 0) return undefined;
  if (back === 'as out') return { moves };
  return back.way !== 'none' && goesThrough(back.way) ? { moves, back: back.moves } : undefined;
}

/** Where the way out leaves no less room than this below what it had, it is the way back as well, in mm. */
const MUCH_AS_OUT_MM = 3;

/** The way back in past what is in by then: the way out where that still passes, else the best there is. */
function* wayIn(scene: Scene, found: WayFound): Generator<WayFound, WayThrough | undefined> {
  const { way: out } = found;
  if (out && out !== 'none') {
    const same = judged(new Gaps(scene), out.poses);
    if (goesThrough(same) && same.onTheWayMm >= out.onTheWayMm - MUCH_AS_OUT_MM) return same;
  }
  const search = wayThrough(scene, FINE);
  let step = search.next();
  for (; !step.done; step = search.next()) yield { ...found, share: 0.6 };
  return step.value;
}
