import type { JobPlan } from '../connection-map/index.js';
import { levellerFor } from '../rigging/index.js';
import type { FurtherLeg, LegMoves, MovesOut, MoveStep } from '../work/index.js';
import { fittedEarly, liftFor } from './lift-for.js';
import type { LiftLeg, LiftOf } from './legs.js';
import equal from 'fast-deep-equal';
import type { JobState } from '../ledger/index.js';
import { moveWords } from './move-words.js';
import { GO_MM, goesOf, wayBack, type Move } from './moves.js';

/** What one go of hoist or jack takes with a look all round, and a degree on the leveller, in minutes. */
const GO_MIN = 0.8;
const DEGREE_MIN = 0.12;
const LOOK_MIN = 0.6;

/** One leg of a lift with the moves it goes by. */
export interface LegWithMoves {
  readonly leg: LiftLeg;
  readonly moves: readonly Move[];
  /** Those it comes back by, as of a way out, where they are others. */
  readonly back?: readonly Move[];
}

/**
 * The moves of every leg of a lift as steps a crew can take, out and back, in goes of so many millimetres. Nothing where
 * there is no leg, or nobody wrote down between which steps a further one stands.
 */
export function movesToTake(
  { powerpack, route }: Pick<JobPlan, 'powerpack' | 'route'>,
  lift: Pick<LiftOf, 'off' | 'shape' | 'gear'>,
  legs: readonly LegWithMoves[],
  goMm = GO_MM,
): MovesOut | undefined {
  const [first, ...more] = legs.map((one) => legMoves(one, lift, goMm));
  if (!first) return undefined;
  const then = more.flatMap((moves, index): readonly FurtherLeg[] => {
    const between = legs[index + 1]?.leg.leg.between;
    return between ? [{ ...moves, ...between }] : [];
  });
  if (then.length < more.length) return undefined;
  return { powerpack, route, ...reckonedFor(lift), ...first, ...(then.length > 0 ? { then } : {}) };
}

function legMoves({ leg, moves, back = moves }: LegWithMoves, { gear }: Pick<LiftOf, 'gear'>, goMm: number): LegMoves {
  const leveller = levellerFor(gear, leg.massKg);
  const step = (move: Move): MoveStep => {
    const likely = LOOK_MIN + goesOf(move, goMm) * GO_MIN + Math.abs(move.to.tiltDeg - move.from.tiltDeg) * DEGREE_MIN;
    const round = (minutes: number) => Math.max(0.5, Math.round(minutes * 2) / 2);
    const tip = watchWords(move);
    return {
      title: moveWords(move, leg, leveller, goMm),
      ...(tip === undefined ? {} : { tip }),
      minutes: { low: round(likely * 0.6), likely: round(likely), high: round(likely * 2.5) },
    };
  };
  const { xMm, yMm } = leg.drawnOff;
  return {
    out: moves.map(step),
    back: wayBack(back).map(step),
    carriedBy: leg.leg.by,
    drawnOff: xMm !== 0 || yMm !== 0,
  };
}

function reckonedFor({ off, shape }: Pick<LiftOf, 'off' | 'shape'>): Pick<MovesOut, 'off' | 'measured'> {
  return { off: [...off].sort(), measured: { ...shape.measured } };
}

/**
 * Whether the moves a lift goes by were worked out for the machine as it is: the same parts off, none fitted
 * before it is back in, the same measures. True
 * where it goes by the layout’s own steps. Throws `ShapeError` as {@link liftFor} does.
 */
export function movesHold(state: JobState): boolean {
  const { moves } = state;
  const { powerpack, route } = state.plan;
  if (!moves || moves.powerpack !== powerpack || moves.route !== route) return true;
  if (fittedEarly(state).length > 0) return false;
  const lift = liftFor(state);
  return lift !== undefined && equal(reckonedFor(lift), { off: moves.off, measured: moves.measured });
}

/** What to look at, from which side: the two nearest things on the way. */
function watchWords({ watch, clearanceMm }: Move): string | undefined {
  const [nearest, next] = watch;
  if (!nearest) return undefined;
  const { across } = nearest.still;
  const middle = (across[0] + across[1]) / 2;
  const from = Math.abs(middle) < SIDE_MM ? '' : middle > 0 ? ' From the left.' : ' From the right.';
  const also = next ? ` Then ${next.moving.name} and ${next.still.name}.` : '';
  return `${Math.round(Math.max(0, clearanceMm))} mm as drawn. Look at ${nearest.moving.name} and ${nearest.still.name}.${also}${from}`;
}
const SIDE_MM = 200;
