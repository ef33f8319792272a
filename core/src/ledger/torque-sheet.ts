import type { ConnectionId } from '../connection-map/index.js';
import { FIRST_WRENCHES, stageWords } from '../torque/index.js';
import type { LedgerEntry } from './entry.js';
import { boltNumbers, jointOf } from './joint.js';
import type { JobState } from './state.js';

export const TORQUE_COLUMNS = [
  { id: 'joint', heading: 'joint' },
  { id: 'bolts', heading: 'bolts' },
  { id: 'stage', heading: 'stage' },
  { id: 'figureNm', heading: 'figure N·m' },
  { id: 'showed', heading: 'showed' },
  { id: 'wrench', heading: 'wrench' },
  { id: 'verdict', heading: 'verdict' },
  { id: 'accepted', heading: 'accepted because' },
  { id: 'by', heading: 'by' },
  { id: 'at', heading: 'at' },
] as const;

/** One touch of a joint, as it stands on its torque sheet. */
export type TorqueRow = Readonly<Record<(typeof TORQUE_COLUMNS)[number]['id'], string>>;

/**
 * Every touch of every joint, or of one, in the order of the ledger: which bolts, in which stage, what the wrench showed,
 * what was made of it, and why it stays where it missed. What was taken back is not on it.
 */
export function torqueSheet(state: JobState, only?: ConnectionId): readonly TorqueRow[] {
  const verdicts = new Map(
    [...state.torques.values(), ...[...state.tightened.values()].map(({ touches }) => touches)]
      .flat()
      .map(({ entry, verdict }) => [entry, verdict]),
  );
  const accepted = new Map([...state.torques.values()].flat().map((reading) => [reading.entry, reading.accepted]));
  return state.entries.flatMap((entry) => {
    if (entry.kind !== 'bolts-tightened' && entry.kind !== 'torque-read') return [];
    if (state.corrected.has(entry.id) || (only !== undefined && entry.connection !== only)) return [];
    const joint = jointOf(state, entry.connection);
    return [
      {
        joint: state.work.connections.get(entry.connection)?.name ?? entry.connection,
        ...touched(entry, joint),
        figureNm: String(state.work.connections.get(entry.connection)?.refit.torque?.targetNm ?? ''),
        verdict: verdicts.get(entry.id) ?? '',
        accepted: accepted.get(entry.id) ?? '',
        by: entry.by,
        at: entry.at,
      },
    ];
  });
}

type Touch = Extract<LedgerEntry, { readonly kind: 'bolts-tightened' | 'torque-read' }>;

function touched(
  entry: Touch,
  joint: ReturnType<typeof jointOf>,
): Pick<TorqueRow, 'bolts' | 'stage' | 'showed' | 'wrench'> {
  if (entry.kind === 'torque-read')
    return {
      bolts: 'all',
      stage: 'final',
      showed: `${entry.read.value} ${entry.read.unit}`,
      wrench: FIRST_WRENCHES.find(({ id }) => id === entry.wrench)?.name ?? entry.wrench,
    };
  const { bolts, stage: at, read, degrees, wrench } = entry;
  const stage = joint?.stages[at];
  const adapter = wrench?.adapter;
  return {
    bolts: joint && bolts.length === joint.bolts ? 'all' : (joint ? boltNumbers(joint, bolts) : bolts).join(', '),
    stage: stage ? stageWords(stage) : String(at + 1),
    showed: read ? `${read.value} ${read.unit}` : `${degrees ?? 0}°`,
    wrench: `${wrench?.name ?? ''}${adapter ? `, adapter ${adapter.lengthMm} mm at ${adapter.angleDeg}°` : ''}`,
  };
}
