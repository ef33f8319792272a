import type { Pin } from '../../../pin-tables/index.js';
import { several } from '../../../words/index.js';
import { NOTHING } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** The two looms that meet in a swap. */
export const LOOMS = ['host', 'engine'] as const;
export type Loom = (typeof LOOMS)[number];

export const LOOM_WORDS: Readonly<Record<Loom, string>> = { host: 'the host’s loom', engine: 'the engine’s loom' };

/** The pin table of one loom was read in; it takes the place of the one before. */
export interface PinsRead {
  readonly kind: 'pins-read';
  readonly loom: Loom;
  readonly pins: readonly Pin[];
}

export const pinsRead: EntryRules<PinsRead> = {
  mayFollow: () => NOTHING,
  fold: (draft, { loom, pins }) => void draft.pins.set(loom, pins),
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ loom }) => [loom],
  words: ({ loom, pins }) => `Pin table of ${LOOM_WORDS[loom]}: ${several(pins.length, 'pin')}`,
};
