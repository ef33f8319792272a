import { AdjustError, judgeSeat, SEAT_WORDS } from '../../../adjusting/index.js';
import type { OperationId } from '../../../teardown/index.js';
import type { OpenItem } from '../../open-item.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import { stopOfStep } from '../../stop-of-step.js';
import type { EntryRules } from '../entry-rules.js';

/** A seat was measured before the faces meet. */
export interface SeatMeasured {
  readonly kind: 'seat-measured';
  /** The step it is measured at. */
  readonly operation: OperationId;
  readonly readingsMm: readonly number[];
  /** The maker’s figure, in mm. */
  readonly figureMm?: number;
  /** Why it is left as it is. */
  readonly accepted?: string;
}

export interface Seat extends Mark {
  readonly readingsMm: readonly number[];
  readonly figureMm?: number;
  readonly accepted?: string;
  readonly good: boolean;
  readonly words: string;
}

export const seatMeasured: EntryRules<SeatMeasured> = {
  mayFollow({ work }, { operation: id, readingsMm, figureMm }) {
    const operation = work.operations.get(id);
    if (!operation) return unknown('step', id);
    if (!operation.measures) return refuse('sense', `Nothing is measured at “${operation.title}”.`);
    try {
      judgeSeat({ seat: operation.measures, readingsMm, ...(figureMm === undefined ? {} : { figureMm }) });
      return NOTHING;
    } catch (error) {
      if (error instanceof AdjustError) return refuse('sense', error.message);
      throw error;
    }
  },
  fold(draft, { operation, readingsMm, figureMm, accepted }, mark) {
    const seat = draft.work.operations.get(operation)?.measures;
    if (!seat) return;
    draft.seats.set(operation, {
      ...mark,
      readingsMm,
      ...(figureMm === undefined ? {} : { figureMm }),
      ...(accepted ? { accepted } : {}),
      ...judgeSeat({ seat, readingsMm, ...(figureMm === undefined ? {} : { figureMm }) }),
    });
  },
  stop: (state, { operation }) => stopOfStep(state, operation) ?? 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ operation }) => [operation],
  binds: ({ operation }) => ({ operations: [operation] }),
  leavesOpen: (state) =>
    [...state.seats].flatMap(([operation, { good, words, accepted }]): readonly OpenItem[] =>
      good
        ? []
        : [
            {
              is: 'look-at',
              grave: accepted === undefined,
              words: `${nameOf(state.work.operations.get(operation)?.measures)}: ${words}${accepted ? ` Accepted: ${accepted}` : ''}`,
            },
          ],
    ),
  words: ({ operation, readingsMm, figureMm, accepted }, { state }) =>
    `${nameOf(state.work.operations.get(operation)?.measures)}: ${readingsMm.join(', ')} mm${
      figureMm === undefined ? '' : `, the figure is ${figureMm} mm`
    }${accepted ? `. Accepted: ${accepted}` : ''}`,
};

function nameOf(seat: keyof typeof SEAT_WORDS | undefined): string {
  return seat ? SEAT_WORDS[seat].name : 'Seat';
}
