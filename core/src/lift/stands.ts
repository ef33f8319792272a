import { balanceOf, together, type Balance, type Weight } from '../rigging/index.js';
import type { Shaped } from '../shape/index.js';
import { legsOf, type LiftOf } from './legs.js';

/** Where the machine stands, in mm along it: axles or stands, the front one first. */
export interface Footing {
  readonly frontMm: number;
  readonly rearMm: number;
}

/** How far a lift has come, as far as the machine’s balance goes. */
export type StandingAt = 'whole' | 'stripped' | 'out';

/** The balance of a machine on one footing at one stage. */
export interface Standing {
  readonly at: StandingAt;
  readonly massKg: number;
  readonly balance: Balance;
}

/** The wheels of a machine, and where stands go under it as a rule: behind the front wheels, rear wheels on the ground. */
export function footingsOf({ shape: { planes } }: LiftOf): { readonly wheels: Footing; readonly stands: Footing } {
  const rearMm = planes.get('rear-axle') ?? -2_500;
  const wheels = { frontMm: planes.get('front-axle') ?? 0, rearMm };
  return { wheels, stands: { frontMm: Math.round(0.2 * rearMm), rearMm } };
}

/**
 * A machine on `footing` as it came, with off what the plan takes off before the lift, and with the powerpack out: what
 * each side carries and how far the weight is inside. The machine’s own weight is that of its layout, until it is weighed.
 * Throws `RiggingError` for a footing the wrong way round.
 */
export function standingsOf(lift: LiftOf, footing: Footing): readonly Standing[] {
  const { weight } = lift.shape.layout;
  const rearMm = lift.shape.planes.get('rear-axle') ?? -2_500;
  const whole: Weight = { massKg: weight.massKg, xMm: (1 - weight.frontShare) * rearMm };
  const off = [...lift.off].flatMap((part) => lift.shape.parts.get(part) ?? []);
  const gone = legsOf(lift).flatMap(({ moving }) => moving);
  const stripped = without(whole, off);
  return (
    [
      ['whole', whole],
      ['stripped', stripped],
      ['out', without(stripped, gone)],
    ] as const
  ).map(([at, left]) => ({
    at,
    massKg: left.massKg,
    balance: balanceOf(left, footing.frontMm, footing.rearMm),
  }));
}

function without(whole: Weight, parts: readonly Shaped[]): Weight {
  return together([whole, ...parts.map(({ massKg, middle }) => ({ massKg: -massKg, xMm: middle.x }))]);
}
