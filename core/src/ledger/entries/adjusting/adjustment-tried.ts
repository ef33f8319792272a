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
  mayFollow(state, { connection: id, went = [], not = [], readingMm, belt, from, to }) {
    const connection = state.work.connections.get(id);
    if (!connection) return unknown('connection', id);
    const spec = connection.refit.adjust;
    if (!spec) return refuse('sense', `Nothing is set at ${connection.name}.`);
    if (!isDone(state, operationId.close(id))) return refuse('order', `Put ${connection.name} together first.`);
    if (from !== undefined && to !== undefined && from > to)
      return refuse('sense', 'The least that is wanted is above the most. Look at the maker’s figures again.');
    if (spec.what === 'gears') {
      const stranger = [...went, ...not].find((gear) => !spec.gears?.includes(gear));
      if (stranger !== undefined) return refuse('sense', `There is no gear called “${stranger}” here.`);
      const both = went.find((gear) => not.includes(gear));
      if (both !== undefined) return refuse('sense', `${both} cannot both have gone in and not.`);
      return went.length + not.length > 0 ? NOTHING : refuse('sense', 'Try at least one gear.');
    }
    if (spec.what === 'free-play')
      return readingMm === undefined ? refuse('sense', 'Measure its free play first.') : NOTHING;
    if (!belt) return refuse('sense', 'Pluck the belt, or press it, and measure.');
    try {
      beltTensionN(belt);
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
