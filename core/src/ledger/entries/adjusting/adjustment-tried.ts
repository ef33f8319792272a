import { AdjustError, beltTensionN, type BeltMeasured } from '../../../adjusting/index.js';
import type { ConnectionId } from '../../../connection-map/index.js';
import { operationId } from '../../../teardown/index.js';
import { adjustmentNow, type AdjustmentTry } from '../../adjustments.js';
import type { OpenItem } from '../../open-item.js';
import { isDone } from '../../reading.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** A joint was set and tried: where its adjuster stood, and what came of it. */
export interface AdjustmentTried {
  readonly kind: 'adjustment-tried';
  readonly connection: ConnectionId;
  /** Half turns from where the adjuster stood, either way. */
  readonly halfTurns: number;
  /** Gears that went in, and that did not. */
  readonly went?: readonly string[];
  readonly not?: readonly string[];
  /** Free play, in mm. */
  readonly readingMm?: number;
  readonly belt?: BeltMeasured;
  /** The maker’s figures, where they are known: they stand in the place of the map’s. */
  readonly from?: number;
  readonly to?: number;
  /** Why it is left as it is. */
  readonly accepted?: string;
}

export const adjustmentTried: EntryRules<AdjustmentTried> = {
  // Held to itself, not to what the map wants: that may be edited later, and what was tried stands.
  mayFollow(state, { connection: id, went = [], not = [], readingMm, belt, from, to }) {
    const connection = state.work.connections.get(id);
    if (!connection) return unknown('connection', id);
    if (!isDone(state, operationId.close(id))) return refuse('order', `Put ${connection.name} together first.`);
    if (from !== undefined && to !== undefined && from > to)
      return refuse('sense', 'The least that is wanted is above the most. Look at the maker’s figures again.');
    const both = went.find((gear) => not.includes(gear));
    if (both !== undefined) return refuse('sense', `${both} cannot both have gone in and not.`);
    if (went.length + not.length === 0 && readingMm === undefined && !belt)
      return refuse('sense', 'Try a gear, or measure: nothing came of this try.');
    try {
      if (belt) beltTensionN(belt);
      return NOTHING;
    } catch (error) {
      if (error instanceof AdjustError) return refuse('sense', error.message);
      throw error;
    }
  },
  fold(draft, { connection, halfTurns, went, not, readingMm, belt, from, to, accepted }, mark) {
    const one: AdjustmentTry = {
      ...mark,
      halfTurns,
      ...(went ? { went } : {}),
      ...(not ? { not } : {}),
      ...(readingMm === undefined ? {} : { readingMm }),
      ...(belt ? { belt } : {}),
      ...(from === undefined ? {} : { from }),
      ...(to === undefined ? {} : { to }),
      ...(accepted ? { accepted } : {}),
    };
    draft.tries.set(connection, [...(draft.tries.get(connection) ?? []), one]);
  },
  stop: () => 'refit',
  minutes: 'of-what-comes-next',
  binds: ({ connection }) => ({ connections: [connection], been: 'tried' }),
  leavesOpen: (state) =>
    [...state.tries.keys()].flatMap((id): readonly OpenItem[] => {
      const now = adjustmentNow(state, id);
      if (!now || now.good) return [];
      const last = now.tries.at(-1);
      return [
        {
          is: 'look-at',
          grave: last?.accepted === undefined,
          words: `Not set right: ${now.connection.name}. ${now.words}${last?.accepted ? ` Accepted: ${last.accepted}` : ''}`,
        },
      ];
    }),
  words({ connection, halfTurns, went = [], not = [], readingMm, belt, accepted }, { joint }) {
    const turned = halfTurns === 0 ? 'as it stood' : `${halfTurns > 0 ? '+' : '−'}${Math.abs(halfTurns)} half turns`;
    const came = [
      ...(went.length > 0 ? [`in: ${went.join(', ')}`] : []),
      ...(not.length > 0 ? [`not in: ${not.join(', ')}`] : []),
      ...(readingMm === undefined ? [] : [`${readingMm} mm`]),
      ...(belt ? [`${Math.round(beltTensionN(belt))} N`] : []),
    ].join('; ');
    return `Tried ${joint(connection)}, ${turned}: ${came}${accepted ? `. Accepted: ${accepted}` : ''}`;
  },
};
