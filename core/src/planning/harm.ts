import { heightNeeded, isSettled, type JobState } from '../ledger/index.js';
import type { Caution } from '../connection-map/index.js';
import type { Operation, OperationId, Precedence } from '../teardown/index.js';

/** A reason that doing something now would break, and what may come of it. */
export interface Breach {
  /** What should have come first; absent where it is how the machine stands. */
  readonly step?: Operation;
  readonly reason: string;
  readonly harm: string;
  readonly grave: boolean;
}

const OF_CAUTION: Partial<Record<Caution, string>> = {
  battery: 'A spanner between a live lead and the body burns hands and looms.',
  fuel: 'Fuel sprays out under pressure, and may catch fire.',
  refrigerant: 'Refrigerant escapes: frostbite, and nobody may vent it.',
  'high-voltage': 'There may be high voltage on it: it kills.',
  'air-pressure': 'Air at full pressure throws the line, and whatever is loose.',
  airbag: 'An airbag may go off.',
};

/**
 * What would be broken if `operation` were done now: every reason it still waits for, the gravest first, with the harm
 * in words of the trade. Empty where nothing speaks against it. It never means that something is safe.
 */
export function whatIfNow(state: JobState, operation: Operation): readonly Breach[] {
  const { work } = state;
  const breaches = (work.into.get(operation.id) ?? []).flatMap((edge): readonly Breach[] => {
    const step = work.operations.get(edge.before);
    return step && !isSettled(state, step) ? [breachOf(state, edge, step, operation)] : [];
  });
  const height = heightNeeded(state, operation);
  if (height)
    breaches.push({
      reason: height === 'raised' ? 'The machine stands on its wheels.' : 'The machine stands raised.',
      harm:
        height === 'raised'
          ? 'There is no room under it; on a jack alone it comes down on whoever is there.'
          : 'Pulled hard, it rocks off its stands.',
      grave: true,
    });
  return sorted(breaches);
}

/**
 * What the order `order` would break, by the step that comes too early: for a step dragged to where it may not stand.
 * `edges`: what holds between the steps, pins among them.
 */
export function brokenBy(
  state: JobState,
  order: readonly OperationId[],
  edges: readonly Precedence[],
): readonly (Breach & { readonly early: Operation })[] {
  const place = new Map(order.map((id, index) => [id, index]));
  return sorted(
    edges.flatMap((edge) => {
      const [first, then] = [place.get(edge.before), place.get(edge.after)];
      const step = state.work.operations.get(edge.before);
      const early = state.work.operations.get(edge.after);
      if (first === undefined || then === undefined || first < then || !step || !early) return [];
      return [{ ...breachOf(state, edge, step, early), early }];
    }),
  );
}

function sorted<One extends Breach>(breaches: readonly One[]): readonly One[] {
  return [...breaches].sort((one, other) => Number(other.grave) - Number(one.grave));
}

function breachOf(state: JobState, { reason }: Precedence, step: Operation, operation: Operation): Breach {
  const breach = (harm: string, grave: boolean): Breach => ({ step, reason: reason.words, harm, grave });
  const { map } = state.work.plan;
  const circuit = map.circuits.find(({ id }) => id === step.circuit);
  if (step.kind === 'support' && operation.kind !== 'hold-point')
    return breach(`${underneath(state, operation)} has nothing under it.`, true);
  if (step.kind === 'drain' && circuit)
    return breach(
      `${circuit.drainsL} l of ${circuit.fluid} run out over whoever is there.`,
      circuit.fluid !== 'coolant',
    );
  for (const caution of step.cautions) {
    const harm = OF_CAUTION[caution];
    if (harm !== undefined && step.kind === 'make-safe') return breach(harm, true);
  }
  switch (reason.kind) {
    case 'load path':
      return breach('The weight comes onto what is left; it shifts or drops.', true);
    case 'hold point':
      return step.kind === 'hold-point'
        ? breach('Nobody has looked and signed that it may be done.', true)
        : breach('It still holds: it goes tight half-way, and something tears.', true);
    case 'condition':
    case 'safety':
      return breach('Somebody may be hurt.', true);
    case 'part':
      return breach('It still hangs on that; pulled away, one of the two tears.', false);
    case 'crew':
      return breach('The crew pinned it the other way round.', false);
    case 'access':
      return operation.phase === 'strip' || operation.kind === 'disconnect' || operation.kind === 'remove'
        ? breach('It cannot be reached; forced past it, something bends or breaks.', false)
        : breach('Later it cannot be reached any more, and this comes off again.', false);
    case 'sequence':
      return breach('It has to be undone again, and the work is done twice.', false);
  }
}

/** The part that would hang on nothing: the end of the connection that leaves with the powerpack. */
function underneath(state: JobState, { connection }: Operation): string {
  const { work } = state;
  const end = work.connections.get(connection ?? '')?.between.find((part) => work.lump.has(part));
  const name = work.plan.map.parts.find(({ id }) => id === end)?.name;
  return name === undefined ? 'The powerpack' : `The ${name}`;
}
