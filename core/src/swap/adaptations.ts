import type { Adaptation, JobPlan, ThreePointMinutes } from '../connection-map/index.js';
import type { Decision, InterfaceGroup, SwapInterface } from './interfaces.js';

/** What a crew decided at one interface, where it is not what was proposed, and what it costs. */
export interface Decided {
  readonly decision: Decision;
  readonly note?: string;
  /** Likely minutes, where somebody knows better. */
  readonly minutes?: number;
  /** What it costs, in whole cents of the shop's money; and what is paid on top until the old part is returned. */
  readonly priceCents?: number;
  readonly coreChargeCents?: number;
}
export type Decisions = Readonly<Record<string, Decided>>;

const MAKE_MINUTES: Readonly<Record<InterfaceGroup, number>> = {
  mounts: 150,
  exhaust: 110,
  harness: 90,
  sensors: 20,
  fuel: 35,
  coolant: 30,
  air: 30,
  linkage: 75,
  drive: 120,
  controls: 40,
  other: 40,
};
/** Adapting what is there takes about half of making it new; bought or brought, it is tried on and fitted. */
const SHARE: Readonly<Record<Decision, number>> = {
  'as-it-is': 0,
  'from-donor': 0.25,
  'from-host': 0.25,
  adapt: 0.5,
  make: 1,
  buy: 0.2,
  'not-needed': 0,
};
const VERB: Readonly<Record<Decision, string>> = {
  'as-it-is': '',
  'from-donor': 'Fit from the donor',
  'from-host': 'Carry over from the host',
  adapt: 'Adapt',
  make: 'Make',
  buy: 'Buy and try on',
  'not-needed': '',
};

/** The decision at `one`: the crew’s, or the proposal where they have not decided. */
export function decisionAt(one: SwapInterface, decisions: Decisions): Decided {
  return decisions[one.id] ?? { decision: one.proposal };
}

/** A guess at how long a decision takes at a kind of interface, spread as such work is. */
export function minutesFor(group: InterfaceGroup, decision: Decision, likely?: number): ThreePointMinutes {
  const middle = likely ?? Math.round(MAKE_MINUTES[group] * SHARE[decision]);
  return { low: Math.max(1, Math.round(middle * 0.6)), likely: middle, high: Math.round(middle * 2.2) };
}

/** The steps that the decisions add to the refit, and the connections that are not closed again. */
export function swapWork(
  interfaces: readonly SwapInterface[],
  decisions: Decisions,
): Required<Pick<JobPlan, 'adaptations' | 'leftOff'>> {
  const adaptations = interfaces.flatMap((one): readonly Adaptation[] => {
    const { decision, note, minutes } = decisionAt(one, decisions);
    if (decision === 'as-it-is' || decision === 'not-needed') return [];
    return [
      {
        id: one.id,
        title: `${VERB[decision]}: ${one.name}`,
        minutes: minutesFor(one.group, decision, minutes),
        ...(one.host ? { connection: one.id } : {}),
        tip: note ?? one.why,
      },
    ];
  });
  const leftOff = interfaces
    .filter((one) => one.host && decisionAt(one, decisions).decision === 'not-needed')
    .map(({ id }) => id);
  return { adaptations, leftOff };
}
