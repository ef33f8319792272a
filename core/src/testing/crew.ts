import { SEAT_WORDS } from '../adjusting/index.js';
import {
  adjustmentsOf,
  canApply,
  extend,
  gateOf,
  groundsOf,
  jointNow,
  looksLeft,
  nextUp,
  openItems,
  partsAwaitedAt,
  type AdjustmentNow,
  type EntryBody,
  type JobState,
  type JointNow,
  type LedgerEntry,
} from '../ledger/index.js';
import { torqueFromNm } from '../units/index.js';
import { wrenchFor, type TighteningStage } from '../torque/index.js';

/** A clock and an id maker for entries, a minute and a number apart. */
export function recorder(by = 'Ines', startsAt = '2026-03-02T07:00:00.000Z') {
  let written = 0;
  return (body: EntryBody): LedgerEntry => {
    written += 1;
    return {
      id: `entry-${String(written).padStart(6, '0')}`,
      at: new Date(Date.parse(startsAt) + written * 60_000).toISOString(),
      by,
      ...body,
    } as LedgerEntry;
  };
}

/** Writes one entry, or throws with the reasons it was refused. */
export function write(state: JobState, entry: LedgerEntry): JobState {
  const refusals = canApply(state, entry);
  if (refusals.length > 0) throw new Error(refusals.map(({ words }) => words).join(' '));
  return extend(state, [entry]);
}

/** What a careful crew records for the step in hand: the machine moved, the torque read, the gate signed. */
export function entriesForNext(state: JobState): readonly EntryBody[] {
  const next = nextUp(state);
  if (!next) return [];
  const { operation, moveTo } = next;
  const bodies: EntryBody[] = moveTo ? [{ kind: 'height-set', height: moveTo }] : [];
  if (operation.holdPoint) {
    const { holdPoint, blockers } = gateOf(state, operation.holdPoint);
    const grounds = blockers.some(({ is }) => is === 'ground') ? groundsOf(state) : [];
    const looks = blockers.some(({ is }) => is === 'look') ? looksLeft(state) : [];
    const unset = blockers.some(({ is }) => is === 'adjust') ? adjustmentsOf(state) : [];
    return [
      ...bodies,
      ...looks.map(({ connection, left, bad }) => ({
        kind: 'joint-looked-at' as const,
        connection: connection.id,
        looks: [...left, ...bad],
        good: true,
      })),
      ...unset.filter(({ closed, done }) => closed && !done).map(setAsWanted),
      ...grounds.map(({ connection }) => ({ kind: 'ground-checked' as const, connection: connection.id, good: true })),
      { kind: 'hold-point-signed', holdPoint: holdPoint.id, confirmed: holdPoint.confirmations.map(({ id }) => id) },
    ];
  }
  const begun = operation.kind === 'torque' && !moveTo ? jointBegun(state, operation.connection) : undefined;
  if (begun?.stage) return [...bodies, stageOf(operation.connection ?? '', begun, begun.stage)];
  if (operation.kind === 'torque' && operation.connection && !begun) {
    const targetNm = state.work.connections.get(operation.connection)?.refit.torque?.targetNm ?? 0;
    bodies.push({
      kind: 'torque-read',
      connection: operation.connection,
      wrench: wrenchFor(targetNm)?.id ?? '',
      read: { value: torqueFromNm(targetNm, 'lbf·ft'), unit: 'lbf·ft' },
    });
  }
  if (operation.measures) {
    const { places } = SEAT_WORDS[operation.measures];
    const readingsMm = Array.from({ length: places }, () => SEAT_MM);
    bodies.push({ kind: 'seat-measured', operation: operation.id, readingsMm, figureMm: SEAT_MM });
  }
  bodies.push(
    ...partsAwaitedAt(state, operation).map(({ need }) => ({
      kind: 'part-moved-on' as const,
      need,
      to: 'arrived' as const,
    })),
  );
  return [...bodies, { kind: 'operation-done', operation: operation.id }];
}

/** The joint as it stands where somebody began it bolt by bolt. */
function jointBegun(state: JobState, connection: string | undefined): JointNow | undefined {
  return connection !== undefined && state.tightened.has(connection) ? jointNow(state, connection) : undefined;
}

/** All that is left of the stage a joint is in, each to its figure. */
function stageOf(connection: string, { done, stageAt, order }: JointNow, stage: TighteningStage): EntryBody {
  const bolts = order.filter((bolt) => (done[bolt] ?? 0) <= stageAt);
  const of = { kind: 'bolts-tightened' as const, connection, stage: stageAt, bolts };
  if (stage.is === 'angle') return { ...of, degrees: stage.degrees };
  return {
    ...of,
    read: { value: stage.nm, unit: 'N·m' },
    wrench: { id: 'crew', name: 'Crew', range: { lowestNm: stage.nm / 2, highestNm: stage.nm * 2 } },
  };
}

const SEAT_MM = 22;

/** A joint set at the first try: every gear in, its play in the middle of what is wanted, its belt plucked. */
function setAsWanted({ connection, spec, from = 0, to = 0 }: AdjustmentNow): EntryBody {
  return {
    kind: 'adjustment-tried',
    connection: connection.id,
    halfTurns: 0,
    ...(spec.what === 'gears' ? { went: spec.gears ?? [] } : {}),
    ...(spec.what === 'free-play' ? { readingMm: (from + to) / 2 } : {}),
    ...(spec.what === 'tension' ? { belt: { by: 'frequency', spanMm: 300, gramsPerM: 90, hz: 60 } } : {}),
  };
}

/** Works a job on until `until` says stop, starting the engine when it is time, and returns every entry written. */
export function workOn(
  start: JobState,
  record: (body: EntryBody) => LedgerEntry,
  until: (state: JobState) => boolean = () => false,
): { readonly state: JobState; readonly entries: readonly LedgerEntry[] } {
  const entries: LedgerEntry[] = [];
  let state = start;
  const put = (body: EntryBody) => {
    const entry = record(body);
    state = write(state, entry);
    entries.push(entry);
  };
  while (!until(state)) {
    const bodies = entriesForNext(state);
    if (bodies.length > 0) bodies.forEach(put);
    else if (state.attempts.length === 0)
      put({ kind: 'start-attempted', voltsBefore: 12.6, voltsLowest: 10.4, crankSeconds: 6, result: 'runs' });
    else if (!state.handedOver) put({ kind: 'handed-over', openItems: openItems(state).length });
    else break;
  }
  return { state, entries };
}
