import type { ConnectionId } from '../../../connection-map/index.js';
import type { MeasuredBolt } from '../../../fasteners/index.js';
import { looseBolts } from '../../counting.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** A fastener nobody knows the home of. */
export interface BoltFound {
  readonly kind: 'bolt-found';
  readonly bolt: string;
  readonly measured: MeasuredBolt;
  readonly where?: string;
}

/** A fastener found loose, and what became of it. */
export interface LooseBolt extends Mark {
  readonly bolt: string;
  readonly measured: MeasuredBolt;
  readonly where?: string;
  readonly home?: Mark & { readonly connection: ConnectionId; readonly set: number };
  readonly aside?: Mark & { readonly reason: string };
}

export const boltFound: EntryRules<BoltFound> = {
  mayFollow: ({ loose }, { bolt }) =>
    loose.has(bolt) ? refuse('twice', 'This one is written down already.') : NOTHING,
  fold: (draft, { bolt, measured, where }, mark) =>
    void draft.loose.set(bolt, { bolt, measured, ...(where ? { where } : {}), ...mark }),
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  leavesOpen: (state) =>
    looseBolts(state).map(({ measured, where }) => ({
      is: 'fastener',
      grave: true,
      words: `Loose and without a home: ${measured.form ?? 'a fastener'}${where ? `, ${where}` : ''}`,
    })),
  words: ({ where }) => `Found loose${where ? `: ${where}` : ''}`,
};
