import { routeOf, type JobPlan, type Route, type ThreePointMinutes } from '../connection-map/index.js';

/** One move of a lift as a step: what to do, what to look at, and how long it takes. */
export interface MoveStep {
  readonly title: string;
  readonly tip?: string;
  readonly minutes: ThreePointMinutes;
}

/** What carries a powerpack on its way: from above, from below, or standing while the body is raised. */
export const CARRIED_BY = ['hoist', 'jack', 'dolly'] as const;
export type CarriedBy = (typeof CARRIED_BY)[number];

/** The moves a powerpack goes out by and comes back by, worked out for this machine. */
export interface MovesOut {
  /** The powerpack and the route they were worked out for: for any other they count for nothing. */
  readonly powerpack: string;
  readonly route: string;
  /** The parts that were off, or would be by then: with another one still on the moves do not hold. In their order. */
  readonly off: readonly string[];
  /** What had been measured, by reference plane, in mm. */
  readonly measured: Readonly<Record<string, number>>;
  readonly out: readonly MoveStep[];
  readonly back: readonly MoveStep[];
  /** What carries it. */
  readonly carriedBy: CarriedBy;
  /** It is drawn straight off its shaft before the first move, and put back onto it after the last. */
  readonly drawnOff: boolean;
}

type Step = Route['liftSteps'][number];

/**
 * `plan` with the steps of its lift and of its way back in the moves of this machine: the layout’s own first step (off the
 * mounts, off the shaft), the moves, the layout’s own last (set down; in place).
 */
export function byMoves(plan: JobPlan, moves: MovesOut): JobPlan {
  const { out, back, carriedBy, drawnOff } = moves;
  if (moves.powerpack !== plan.powerpack || moves.route !== plan.route) return plan;
  const route = routeOf(plan);
  const steps = (fixed: Step | undefined, some: readonly MoveStep[], name: string): readonly Step[] =>
    fixed
      ? some.map(({ tip, ...move }, index) => {
          const { tip: _fixedTip, ...like } = fixed;
          return { ...like, ...move, id: `${name}-${index + 1}`, ...(tip === undefined ? {} : { tip }) };
        })
      : [];
  const [first, ...more] = route.liftSteps;
  const [firstBack, ...moreBack] = route.lowerSteps;
  const begun: Step | undefined = first && (drawnOff ? first : { ...first, title: COMES_FREE[carriedBy] });
  const brought: Step | undefined = firstBack && {
    ...firstBack,
    ...(carriedBy === 'hoist' ? { title: BROUGHT_OVER } : {}),
    tip: [firstBack.tip, NOT_IN_IT].filter((one) => one !== undefined).join(' '),
  };
  const changed: Route = {
    ...route,
    liftSteps: [...(begun ? [begun] : []), ...steps(more[0] ?? first, out, 'move'), ...more.slice(-1)],
    lowerSteps: [
      ...(brought ? [brought] : []),
      ...steps(moreBack[0] ?? firstBack, back, 'back'),
      // Back onto its shaft is two steps: in line with it, and home.
      ...moreBack.slice(drawnOff ? -2 : -1),
    ],
  };
  return {
    ...plan,
    map: { ...plan.map, routes: plan.map.routes.map((one) => (one.id === route.id ? changed : one)) },
  };
}

const COMES_FREE: Readonly<Record<CarriedBy, string>> = {
  hoist: 'Take it up until it just comes free, and look all round',
  jack: 'Take the weight until it just comes free, and look all round',
  dolly: 'Raise the body until it just comes free, and look all round',
};
const BROUGHT_OVER = 'Bring it over the bay, hung as it was when it came clear';
const NOT_IN_IT = 'What is on it now and was not when it came out is not in these moves.';
