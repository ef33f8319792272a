import { refuse, NOTHING } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** What a line of a hand-over is about, gravest first. */
export const SHIFT_SORTS = ['hangs', 'live', 'leave', 'inside', 'open', 'next'] as const;
export type ShiftSort = (typeof SHIFT_SORTS)[number];

export interface ShiftLine {
  readonly sort: ShiftSort;
  readonly words: string;
}

/** The end of somebody's shift: how the machine stands then, as it was worked out and read by who wrote it, and what they add. */
export interface ShiftHandedOver {
  readonly kind: 'shift-handed-over';
  readonly lines: readonly ShiftLine[];
  readonly added?: string;
}

/** The last hand-over of a shift, and who has read it since. */
export interface Shift extends Mark {
  readonly lines: readonly ShiftLine[];
  readonly added?: string;
  readonly readBy: readonly Mark[];
}

export const shiftHandedOver: EntryRules<ShiftHandedOver> = {
  mayFollow: (_state, { lines, added }) =>
    lines.length === 0 && added === undefined
      ? refuse('sense', 'There is nothing to hand over: say at least how it stands.')
      : NOTHING,
  fold(draft, { lines, added }, mark) {
    draft.shift = { lines, ...(added ? { added } : {}), readBy: [], ...mark };
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words: ({ lines, added }) =>
    `Shift handed over: ${lines.length} ${lines.length === 1 ? 'line' : 'lines'}${added ? `. ${added}` : ''}`,
};
