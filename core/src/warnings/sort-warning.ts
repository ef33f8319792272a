import type { Connection } from '../connection-map/index.js';
import { LOWEST_CRANKING_V, type IssueSort } from '../first-start/index.js';
import { isDone, isOpen, type JobState } from '../ledger/index.js';
import { operationId } from '../teardown/index.js';
import { sentence } from '../words/index.js';

/** A warning with its sort, why it is that, and what clears it. */
export interface SortedWarning {
  readonly title: string;
  readonly sort: IssueSort;
  readonly why: string;
  readonly clears: string;
  /** The joint it most likely speaks of. */
  readonly connection?: Connection;
}

/** The warnings in what somebody typed or pasted: one a line, numbered or not, none twice. */
export function warningsIn(typed: string): readonly string[] {
  const lines = typed
    .split(/\r?\n/)
    .map((line) => line.replace(/^\s*(?:\d+[.)]\s+|[-*•]\s+)/, '').trim())
    .filter((line) => line !== '');
  return [...new Set(lines)];
}

/** Words that say nothing of where: every second code has them. */
const OF_NO_PLACE = new Set([
  ...[
    'the',
    'at',
    'on',
    'of',
    'in',
    'and',
    'to',
    'a',
    'low',
    'high',
    'fault',
    'circuit',
    'sensor',
    'signal',
    'open',
    'short',
  ],
  ...[
    'plug',
    'lamp',
    'warning',
    'code',
    'range',
    'performance',
    'voltage',
    'input',
    'control',
    'unit',
    'engine',
    'switch',
  ],
]);
const tokensOf = (words: string) =>
  words
    .toLowerCase()
    .split(/[^a-zäöüß]+/)
    .filter((word) => word.length > 2 && !OF_NO_PLACE.has(word));

/**
 * The joint of this job a warning most likely speaks of: that whose name shares most of its telling words, and more than one
 * half of them; nothing where none does, or two do alike and neither is open.
 */
function jointFor(state: JobState, title: string): Connection | undefined {
  const said = new Set(tokensOf(title));
  const scored = [...state.work.connections.values()]
    .filter(({ id }) => state.work.operations.has(operationId.open(id)))
    .map((connection) => {
      const own = tokensOf(`${connection.name}`);
      const shared = own.filter((word) => said.has(word)).length;
      return { connection, shared, share: own.length === 0 ? 0 : shared / own.length };
    })
    .filter(({ shared, share }) => shared > 0 && share > 0.5)
    .sort(
      (one, other) =>
        other.shared - one.shared ||
        other.share - one.share ||
        Number(isOpen(state, other.connection.id)) - Number(isOpen(state, one.connection.id)),
    );
  return scored[0]?.connection;
}

/**
 * Sorts one warning: there before the job, so stored; of a joint that is open or left off, so still unplugged; come up with the
 * volts too low (`volts`, or else the last attempt’s), so low voltage; and real otherwise, with what was undone near it.
 */
export function sortWarning(state: JobState, title: string, before: readonly string[], volts?: number): SortedWarning {
  const connection = jointFor(state, title);
  const joint = connection ? { connection } : {};
  if (before.some((one) => one.toLowerCase() === title.toLowerCase()))
    return {
      ...joint,
      title,
      sort: 'stored',
      why: 'It was there before the job.',
      clears: 'Cleared by the tester; if it comes back it was wrong before.',
    };
  if (connection && isOpen(state, connection.id))
    return {
      title,
      connection,
      sort: 'still-unplugged',
      why: `${sentence(connection.name)} is ${state.leftAsItIs.get(connection.id)?.as === 'off' ? 'left off' : 'still open'}.`,
      clears: 'Gone once it is on again and the code is cleared.',
    };
  const lowest = volts ?? state.attempts.at(-1)?.voltsLowest;
  const batteries = (state.attempts.at(-1)?.voltsBefore ?? 0) > 16 || (volts ?? 0) > 16 ? 2 : 1;
  if (lowest !== undefined && lowest / batteries < LOWEST_CRANKING_V)
    return {
      ...joint,
      title,
      sort: 'low-voltage',
      why: `It came with ${lowest.toFixed(1)} V.`,
      clears: 'Charge, clear, and see whether it comes back.',
    };
  return {
    ...joint,
    title,
    sort: 'real',
    why:
      connection && isDone(state, operationId.open(connection.id))
        ? `${sentence(connection.name)} was off on this job: look there first.`
        : 'Nothing that is open, no low volts, and new since the job.',
    clears: 'Found and mended.',
  };
}
