import type { Circuit, CircuitId, Connection, PartId } from '../connection-map/index.js';
import {
  FluidError,
  HELD_BY,
  mixFor,
  shareFor,
  startFill,
  waterFirst,
  wholeCans,
  type Cans,
  type Mix,
  type StartFill,
  type WaterFirst,
} from '../fluids/index.js';
import { isReplaced } from '../bench/index.js';
import { operationId } from '../teardown/index.js';
import type { FillTerms } from './entries/fluids/fill-planned.js';
import type { Level } from './entries/fluids/level-set.js';
import { isDone, isOpen } from './reading.js';
import type { JobState } from './state.js';

/** How a circuit stands: what the record knows is in it, or that it knows of nothing. */
export type CircuitState = 'full' | 'drained' | 'never-filled' | 'unknown';

export const CIRCUIT_STATE_WORDS: Readonly<Record<CircuitState, string>> = {
  full: 'full',
  drained: 'drained, not filled again',
  'never-filled': 'never filled: another unit comes dry',
  unknown: 'nobody knows what is in it',
};

/** A circuit as it stands: what it holds, what came out and went in, and what must still be inside. Litres. */
export interface CircuitNow {
  readonly circuit: Circuit;
  readonly is: CircuitState;
  /** It is drained on this job, or filled because another unit comes without. */
  readonly drains: boolean;
  readonly drained: boolean;
  readonly filled: boolean;
  readonly caughtL?: number;
  readonly filledL?: number;
  readonly insideL: number;
  /** What left with a unit that is replaced. */
  readonly leftWithUnitL: number;
  /** More came out than it should hold: water got in, or the figure is wrong. */
  readonly overL: number;
  /** Concentrate as a share of what is inside, where it was measured. */
  readonly shareInside?: number;
  /** When the first of its joints that are open now was opened. */
  readonly openSince?: string;
  /** Joints of it that are still to be opened, those lowest first: there it comes out. */
  readonly comesOutAt: readonly Connection[];
  readonly level?: Level;
  readonly terms?: FillTerms;
}

/** Joints that lie low, by where one works at them: what is inside runs out there. */
const LOW_STATIONS: readonly Connection['station'][] = ['underside', 'wheel-left', 'wheel-right', 'rear', 'front'];

/** A circuit of the job as it stands, or undefined where there is none of the name. */
export function circuitNow(state: JobState, id: CircuitId): CircuitNow | undefined {
  const circuit = state.work.plan.map.circuits.find((one) => one.id === id);
  if (!circuit) return undefined;
  const drain = operationId.drain(id);
  const { out, in: taken, flows = [] } = state.litres.get(id) ?? {};
  let insideL = circuit.capacityL;
  let overL = 0;
  let leftWithUnitL = 0;
  let refilled = false;
  let share = flows.find(({ direction, share: strong }) => direction === 'out' && strong !== undefined)?.share;
  share ??= state.fills.get(id)?.shareInside;
  for (const { direction, litres, share: strong } of flows) {
    if (direction === 'out') {
      overL = Math.max(overL, litres - insideL);
      insideL = Math.max(0, insideL - litres);
    } else {
      if (!refilled) {
        leftWithUnitL = goneWithUnit(state, circuit, insideL);
        insideL -= leftWithUnitL;
        refilled = true;
      }
      if (share !== undefined && strong !== undefined && insideL + litres > 0)
        share = (insideL * share + litres * strong) / (insideL + litres);
      else if (insideL > 0) share = undefined;
      else share = strong;
      insideL += litres;
    }
  }
  // Drained and nobody measured: what usually runs out did.
  if (out === undefined && isDone(state, drain)) insideL = Math.max(0, insideL - circuit.drainsL);
  const filled = isDone(state, operationId.fill(id));
  if (!refilled) {
    leftWithUnitL = goneWithUnit(state, circuit, insideL);
    // Filled and nobody measured: it is taken to be full.
    insideL = filled ? circuit.capacityL : insideL - leftWithUnitL;
  }
  const own = [...state.work.connections.values()].filter((connection) => connection.circuit === id);
  const openSince = own
    .filter((connection) => isOpen(state, connection.id))
    .flatMap((connection) => state.progress.get(operationId.open(connection.id))?.at ?? [])
    .sort()[0];
  const comesOutAt = own
    .filter(({ id: joint }) => {
      const open = operationId.open(joint);
      return state.work.operations.has(open) && !isDone(state, open);
    })
    .sort((one, other) => lowness(one) - lowness(other));
  const level = state.levels.get(id);
  const terms = state.fills.get(id);
  return {
    circuit,
    is: standsAs(state, circuit, openSince !== undefined),
    drains: state.work.operations.has(drain) || state.work.operations.has(operationId.fill(id)),
    drained: isDone(state, drain),
    filled,
    ...(out === undefined ? {} : { caughtL: out }),
    ...(taken === undefined ? {} : { filledL: taken }),
    insideL,
    leftWithUnitL,
    overL,
    ...(share === undefined ? {} : { shareInside: share }),
    ...(openSince === undefined ? {} : { openSince }),
    comesOutAt,
    ...(level ? { level } : {}),
    ...(terms ? { terms } : {}),
  };
}

/**
 * Filled, or left alone, a circuit is full; drained, or open, it is not. A unit that came from elsewhere was never filled. Of what
 * was neither filled nor said, and of what somebody only said and nobody has looked at, nothing is known.
 */
function standsAs(state: JobState, { id }: Circuit, open: boolean): CircuitState {
  const fill = operationId.fill(id);
  if (isDone(state, fill)) return open ? 'unknown' : 'full';
  if (isReplacedIn(state, HELD_BY[id]?.[0])) {
    if (state.levels.has(id)) return 'full';
    const said = state.units.get(HELD_BY[id]?.[0] ?? '')?.filled?.includes(id) === true;
    if (said || !state.work.operations.has(fill)) return 'unknown';
    // Hoses and radiator keep theirs.
    return isDone(state, operationId.drain(id)) && (HELD_BY[id]?.[1] ?? 1) < 1 ? 'drained' : 'never-filled';
  }
  if (isDone(state, operationId.drain(id))) return 'drained';
  // Opened although it was not drained: who knows what ran out.
  return open ? 'unknown' : 'full';
}

/** Whether another unit stands in the place of `unit`; those of a donor come in one piece. */
function isReplacedIn({ units, work, progress }: JobState, unit: PartId | undefined): boolean {
  const decided = unit === undefined ? undefined : units.get(unit);
  if (unit === undefined || !decided || !isReplaced(decided)) return false;
  const [first = unit] = [...work.bench.replaced].find(([, stays]) => stays.has(unit)) ?? [];
  return progress.get(operationId.change(first))?.is === 'done';
}

/** Every circuit of the job that is drained or filled on it, or that was measured, in map order. */
export function circuitsNow(state: JobState): readonly CircuitNow[] {
  return state.work.plan.map.circuits.flatMap(({ id }) => {
    const now = circuitNow(state, id);
    return now && (now.drains || now.is !== 'full' || state.litres.has(id)) ? [now] : [];
  });
}

function lowness({ station }: Connection): number {
  const at = LOW_STATIONS.indexOf(station);
  return at < 0 ? LOW_STATIONS.length : at;
}

/** What was in a unit that has given way to another one is gone with it, unless somebody says it is in the other one as well. */
function goneWithUnit(state: JobState, { id }: Circuit, insideL: number): number {
  const [unit, share = 0] = HELD_BY[id] ?? [];
  const said = state.units.get(unit ?? '')?.filled?.includes(id) === true;
  return isReplacedIn(state, unit) && !said ? insideL * share : 0;
}

/** What a circuit takes, by what is inside it now. */
export type FillPlan =
  | { readonly is: 'mix'; readonly mix: Mix; readonly waterFirst: WaterFirst; readonly wanted: number }
  | { readonly is: 'oil'; readonly fill: StartFill }
  | { readonly is: 'rest'; readonly litres: number }
  /** What is missing, or why it cannot be had. */
  | { readonly is: 'asked'; readonly words: string };

/** Litres kept back of a fill that has no figure better than what ran out. */
const NEAR_ENOUGH_L = 0.05;

/** How `now` is filled: mixed for its frost, to the start level of oil, or with what is missing. */
export function fillPlanOf(state: JobState, now: CircuitNow): FillPlan {
  const { circuit, insideL, shareInside, terms } = now;
  const { capacityL, drainsL, fluid } = circuit;
  if (fluid === 'coolant') {
    if (terms?.freezingC === undefined) return { is: 'asked', words: 'Down to what frost has it to hold?' };
    const share = insideL < NEAR_ENOUGH_L ? 0 : shareInside;
    if (share === undefined)
      return { is: 'asked', words: 'How strong is what is still inside? Measure what was caught.' };
    try {
      const wanted = shareFor(terms.freezingC);
      const inside = { capacityL, insideL: Math.min(insideL, capacityL), shareInside: share, drainsL };
      return { is: 'mix', wanted, mix: mixFor(inside, wanted), waterFirst: waterFirst(inside, wanted) };
    } catch (error) {
      if (error instanceof FluidError) return { is: 'asked', words: error.message };
      throw error;
    }
  }
  if (circuit.fillsLater?.length) {
    const drinks = circuit.fillsLater.filter(
      ({ opened }) => opened === undefined || isDone(state, operationId.open(opened)),
    );
    return { is: 'oil', fill: startFill(capacityL, insideL, drinks) };
  }
  return { is: 'rest', litres: Math.max(0, capacityL - insideL) };
}

/** One thing to buy for the fills, in whole cans. */
export interface CansToBuy {
  readonly what: string;
  readonly litres: number;
  readonly cans: Cans;
}

/** Sizes cans come in where nobody said otherwise, in litres. */
export const USUAL_CANS_L: readonly number[] = [1, 5];

/** What there is to buy for what is still to be filled, in whole cans, in map order. */
export function cansToBuy(state: JobState): readonly CansToBuy[] {
  return circuitsNow(state).flatMap((now): readonly CansToBuy[] => {
    if (now.filled) return [];
    const plan = fillPlanOf(state, now);
    const sizes = now.terms?.cansL ?? USUAL_CANS_L;
    const bought = (what: string, litres: number): readonly CansToBuy[] =>
      litres < NEAR_ENOUGH_L ? [] : [{ what, litres, cans: wholeCans(litres, sizes) }];
    const { name, grade } = now.circuit;
    const full = grade === undefined ? name : `${name}: ${grade}`;
    switch (plan.is) {
      case 'mix': {
        const first = now.terms?.school === 'water-first';
        return bought(`${name}, concentrate`, (first ? plan.waterFirst.then : plan.mix).concentrateL);
      }
      case 'oil':
        return bought(full, plan.fill.startL + plan.fill.afterL);
      case 'rest':
        return bought(full, plan.litres);
      case 'asked':
        return [];
    }
  });
}
