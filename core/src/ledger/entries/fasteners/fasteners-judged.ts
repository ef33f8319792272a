import type { ConnectionId } from '../../../connection-map/index.js';
import { setsOf } from '../../counting.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** What a fastener is like when it is looked at. `wrong`: of a kind that does not belong there; `lost`: not there any more. */
export const CONDITIONS_OF_FASTENER = [
  'good',
  'stretched',
  'galled',
  'corroded',
  'rounded',
  'broken',
  'wrong',
  'lost',
] as const;
export type FastenerCondition = (typeof CONDITIONS_OF_FASTENER)[number];

export const CONDITION_WORDS: Readonly<Record<FastenerCondition, string>> = {
  good: 'Good',
  stretched: 'Stretched',
  galled: 'Galled',
  corroded: 'Corroded',
  rounded: 'Rounded',
  broken: 'Broken',
  wrong: 'Does not belong here',
  lost: 'Lost',
};

/** `count` of one kind of fastener of a joint are in this condition; with what they are replaced, as far as anybody knows. */
export interface FastenersJudged {
  readonly kind: 'fasteners-judged';
  readonly connection: ConnectionId;
  /** Index among the sets of the joint. */
  readonly set: number;
  readonly count: number;
  readonly condition: FastenerCondition;
  readonly replacedBy?: string;
}

/** Fasteners of one kind of a joint in one condition. */
export interface Judgement extends Mark {
  readonly set: number;
  readonly count: number;
  readonly condition: FastenerCondition;
  readonly replacedBy?: string;
}

export const fastenersJudged: EntryRules<FastenersJudged> = {
  mayFollow(state, entry) {
    if (!state.work.connections.has(entry.connection)) return unknown('connection', entry.connection);
    const set = setsOf(state, entry.connection)[entry.set];
    if (!set) return unknown('kind of fastener', String(entry.set));
    return entry.count > set.count
      ? refuse('sense', `There are only ${set.count} × ${set.what} here, not ${entry.count}.`)
      : NOTHING;
  },
  fold(draft, { connection, set, count, condition, replacedBy }, mark) {
    const judgement: Judgement = { set, count, condition, ...(replacedBy ? { replacedBy } : {}), ...mark };
    const others = (draft.judged.get(connection) ?? []).filter((one) => one.set !== set || one.condition !== condition);
    draft.judged.set(connection, count === 0 ? others : [...others, judgement]);
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  fills: ({ connection, set, condition }) => [`${connection} ${set} ${condition}`],
  binds: ({ connection }) => ({ connections: [connection], been: 'judged' }),
  words: ({ connection, count, condition, replacedBy }, { joint }) =>
    `${count} of ${joint(connection)}: ${CONDITION_WORDS[condition].toLowerCase()}${replacedBy ? `, replaced by ${replacedBy}` : ''}`,
};
