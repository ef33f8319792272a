import { routeOf, type JobPlan, type LiftStep, type Route, type ThreePointMinutes } from '../connection-map/index.js';

/** One move of a lift as a step: what to do, what to look at, and how long it takes. */
export interface MoveStep {
  readonly title: string;
  readonly tip?: string;
  readonly minutes: ThreePointMinutes;
}

/** What carries a powerpack on its way: from above, from below, or standing while the body is raised. */
export const CARRIED_BY = ['hoist', 'jack', 'dolly'] as const;
export type CarriedBy = (typeof CARRIED_BY)[number];

/** The moves one leg of a lift goes out by and comes back by. */
export interface LegMoves {
  readonly out: readonly MoveStep[];
  readonly back: readonly MoveStep[];
  /** What carries it. */
  readonly carriedBy: CarriedBy;
  /** It is drawn straight off its shaft before the first move, and put back onto it after the last. */
  readonly drawnOff: boolean;
}

/** A further leg, and between which of the layout’s own steps it stands. */
export interface FurtherLeg extends LegMoves {
  /** The step that comes between the leg before and this one: on the way out, and on the way back. */
  readonly after: string;
  readonly before: string;
}

/** The moves a powerpack goes out by and comes back by, worked out for this machine; those of its first leg first. */
export interface MovesOut extends LegMoves {
  /** The powerpack and the route they were worked out for: for any other they count for nothing. */
  readonly powerpack: string;
  readonly route: string;
  /** The parts that were off, or would be by then: with another one still on the moves do not hold. In their order. */
  readonly off: readonly string[];
  /** What had been measured, by reference plane, in mm. */
  readonly measured: Readonly<Record<string, number>>;
  /** The legs after the first, where it leaves in several. */
  readonly then?: readonly FurtherLeg[];
}

type Step = LiftStep;

/**
 * `plan` with the steps of its lift and of its way back in the moves of this machine: of each leg the layout’s own first
 * step (off the mounts, off the shaft), the moves, the layout’s own last (set down; in place). Unchanged where the moves
 * are of another powerpack or route, or the route has not the steps its legs stand between.
 */
export function byMoves(plan: JobPlan, moves: MovesOut): JobPlan {
  if (moves.powerpack !== plan.powerpack || moves.route !== plan.route) return plan;
  const route = routeOf(plan);
  const further = moves.then ?? [];
  const legs: readonly LegMoves[] = [moves, ...further];
  const out = runsOf(
    route.liftSteps,
    further.map(({ after }) => after),
  );
  const back = runsOf(route.lowerSteps, further.map(({ before }) => before).reverse());
  if (!out || !back) return plan;
  const changed: Route = {
    ...route,
    liftSteps: out.runs.flatMap((run, index) => [
      ...wayOut(run, legs[index] ?? moves, nameOf('move', index)),
      ...out.between.slice(index, index + 1),
    ]),
    lowerSteps: back.runs.flatMap((run, index) => {
      const leg = legs.length - 1 - index;
      return [...wayIn(run, legs[leg] ?? moves, nameOf('back', leg)), ...back.between.slice(index, index + 1)];
    }),
  };
  return {
    ...plan,
    map: { ...plan.map, routes: plan.map.routes.map((one) => (one.id === route.id ? changed : one)) },
  };
}

function nameOf(way: 'move' | 'back', leg: number): string {
  return leg === 0 ? way : `leg-${leg + 1}-${way}`;
}

/** `steps` parted at the steps called `at`, in that order; nothing where one of them is not there. */
function runsOf(
  steps: readonly Step[],
  at: readonly string[],
): { readonly runs: readonly (readonly Step[])[]; readonly between: readonly Step[] } | undefined {
  const places = at.map((id) => steps.findIndex((step) => step.id === id));
  if (places.some((place, index) => place <= (places[index - 1] ?? -1))) return undefined;
  const ends = [...places, steps.length];
  return {
    runs: ends.map((end, index) => steps.slice((places[index - 1] ?? -1) + 1, end)),
    between: places.flatMap((place) => steps.slice(place, place + 1)),
  };
}

function wayOut(run: readonly Step[], { out, carriedBy, drawnOff }: LegMoves, name: string) {
  const [first, ...more] = run.filter(({ kept }) => !kept);
  const begun: Step | undefined = first && (drawnOff ? first : { ...first, title: COMES_FREE[carriedBy] });
  return [
    ...(begun ? [begun] : []),
    ...run.filter(({ kept }) => kept),
    ...stepsOf(more[0] ?? first, out, name),
    ...more.slice(-1),
  ];
}

function wayIn(run: readonly Step[], { back, carriedBy, drawnOff }: LegMoves, name: string) {
  const [first, ...more] = run.filter(({ kept }) => !kept);
  const brought: Step | undefined = first && {
    ...first,
    ...(carriedBy === 'hoist' ? { title: BROUGHT_OVER } : {}),
    tip: [first.tip, NOT_IN_IT].filter((one) => one !== undefined).join(' '),
  };
  return [
    ...(brought ? [brought] : []),
    ...stepsOf(more[0] ?? first, back, name),
    // Back onto its shaft is two steps: in line with it, and home.
    ...more.slice(drawnOff ? -2 : -1),
    ...run.filter(({ kept }) => kept),
  ];
}

function stepsOf(fixed: Step | undefined, moves: readonly MoveStep[], name: string): readonly Step[] {
  if (!fixed) return [];
  return moves.map(({ tip, ...move }, index) => {
    const { tip: _fixedTip, ...like } = fixed;
    return { ...like, ...move, id: `${name}-${index + 1}`, ...(tip === undefined ? {} : { tip }) };
  });
}

const COMES_FREE: Readonly<Record<CarriedBy, string>> = {
  hoist: 'Take it up until it just comes free, and look all round',
  jack: 'Take the weight until it just comes free, and look all round',
  dolly: 'Raise the body until it just comes free, and look all round',
};
const BROUGHT_OVER = 'Bring it over the bay, hung as it was when it came clear';
const NOT_IN_IT = 'What is on it now and was not when it came out is not in these moves.';
