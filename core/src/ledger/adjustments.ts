import {
  beltTensionN,
  gearsFit,
  halfTurnsFit,
  type BeltMeasured,
  type GearsFit,
  type HalfTurnsFit,
} from '../adjusting/index.js';
import type { AdjustmentSpec, Connection, ConnectionId } from '../connection-map/index.js';
import { operationId } from '../teardown/index.js';
import { isDone, isSettled } from './reading.js';
import type { JobState, Mark } from './state.js';

/** One try at setting a joint. */
export interface AdjustmentTry extends Mark {
  readonly halfTurns: number;
  readonly went?: readonly string[];
  readonly not?: readonly string[];
  readonly readingMm?: number;
  readonly belt?: BeltMeasured;
  readonly from?: number;
  readonly to?: number;
  readonly accepted?: string;
}

/** How far the setting of a joint is. */
export interface AdjustmentNow {
  readonly connection: Connection;
  readonly spec: AdjustmentSpec;
  readonly tries: readonly AdjustmentTry[];
  /** What is wanted, in mm or N: the maker’s figures where somebody wrote them, else the map’s. */
  readonly from?: number;
  readonly to?: number;
  readonly gears?: GearsFit;
  readonly play?: HalfTurnsFit;
  /** The last reading, in mm or N. */
  readonly reading?: number;
  /** As wanted. */
  readonly good: boolean;
  /** As wanted, or accepted with a reason. */
  readonly done: boolean;
  /** What to do next, or what came of it. */
  readonly words: string;
}

/** How far `id` is set, or undefined where nothing is set at it. */
export function adjustmentNow(state: JobState, id: ConnectionId): AdjustmentNow | undefined {
  const connection = state.work.connections.get(id);
  const spec = connection?.refit.adjust;
  if (!connection || !spec) return undefined;
  const tries = state.tries.get(id) ?? [];
  const last = tries.at(-1);
  const from = tries.findLast((one) => one.from !== undefined)?.from ?? spec.from;
  const to = tries.findLast((one) => one.to !== undefined)?.to ?? spec.to;
  const found =
    spec.what === 'gears' ? byGears(spec.gears ?? [], tries, spec.inLine) : byReading(spec, tries, from, to);
  return {
    connection,
    spec,
    tries,
    ...(from === undefined ? {} : { from }),
    ...(to === undefined ? {} : { to }),
    ...found,
    done: found.good || last?.accepted !== undefined,
  };
}

type Found = Pick<AdjustmentNow, 'gears' | 'play' | 'reading' | 'good' | 'words'>;

function byGears(names: readonly string[], tries: readonly AdjustmentTry[], inLine = false): Found {
  const gears = gearsFit(
    names,
    tries.map(({ halfTurns, went = [], not = [] }) => ({ halfTurns, went, not })),
    inLine,
  );
  const last = tries.at(-1);
  const untried = names.filter((gear) => last && !last.went?.includes(gear) && !last.not?.includes(gear));
  const words =
    last === undefined
      ? 'Try every gear as it stands.'
      : gears.all
        ? 'Every gear goes in.'
        : gears.elsewhere
          ? 'No setting explains these tries: look for what is bent, worn or joined wrong.'
          : (last.not ?? []).length === 0
            ? `Still to try: ${untried.join(', ')}.`
            : `${goTo(last.halfTurns, gears.goTo ?? last.halfTurns)} ${Math.round(gears.chance * 100)} in 100 that all go in there.`;
  return { gears, good: gears.all, words };
}

function byReading(
  { what }: AdjustmentSpec,
  tries: readonly AdjustmentTry[],
  from: number | undefined,
  to: number | undefined,
): Found {
  const unit = what === 'tension' ? 'N' : 'mm';
  const readings = tries.flatMap(({ halfTurns, readingMm, belt }) => {
    const reading = belt ? beltTensionN(belt) : readingMm;
    return reading === undefined ? [] : [{ halfTurns, reading }];
  });
  const last = readings.at(-1);
  if (!last) return { good: false, words: 'Measure it as it stands.' };
  const { reading } = last;
  const said = `${reading.toFixed(unit === 'N' ? 0 : 1)} ${unit}`;
  if (from === undefined && to === undefined)
    return { reading, good: true, words: `${said}. Compare it with the maker’s figure, and write that down.` };
  const fit = halfTurnsFit(readings, from, to);
  const words = fit.within
    ? `${said}, as wanted.`
    : fit.stuck
      ? `${said}, and turning changes nothing: look for what slips or is seized.`
      : fit.goTo === undefined
        ? `${said}. Turn it one half turn and measure again: that tells what one does.`
        : `${goTo(last.halfTurns, fit.goTo)} A half turn does about ${Math.abs(fit.perHalfTurn ?? 0).toFixed(1)} ${unit}.`;
  return {
    play: fit,
    reading,
    good: fit.within,
    words: fit.within || fit.stuck || fit.goTo === undefined ? words : `${said}. ${words}`,
  };
}

/** How the adjuster is turned from where it stands to `to`, both in half turns from the mark. */
function goTo(at: number, to: number): string {
  const by = to - at;
  if (by === 0) return 'Leave it where it is and try again.';
  return `Turn it ${Math.abs(by)} half ${Math.abs(by) === 1 ? 'turn' : 'turns'} ${by > 0 ? 'on' : 'back'}, to ${to > 0 ? '+' : to < 0 ? '−' : ''}${Math.abs(to)}.`;
}

/** Every joint of the way back that is set by trying, in map order. */
export function adjustmentsOf(state: JobState): readonly (AdjustmentNow & { readonly closed: boolean })[] {
  return [...state.work.connections.keys()].flatMap((id) => {
    const close = state.work.operations.get(operationId.close(id));
    if (!close) return [];
    const now = adjustmentNow(state, id);
    const closed = isDone(state, close.id);
    // What was never undone, or is left off, is not set either.
    return now && (closed || !isSettled(state, close)) ? [{ ...now, closed }] : [];
  });
}
