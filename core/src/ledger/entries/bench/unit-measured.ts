import { judgeReadings, READING_WORDS, type Reading } from '../../../inspection/index.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Figures read on the unit on the stand: one a cylinder, or some against the maker’s limits. */
export interface UnitMeasured {
  readonly kind: 'unit-measured';
  readonly reading: Reading;
  readonly values: readonly number[];
  readonly low?: number;
  readonly high?: number;
  readonly note?: string;
}

export interface Measured extends Mark {
  readonly reading: Reading;
  readonly values: readonly number[];
  readonly low?: number;
  readonly high?: number;
  readonly note?: string;
}

export const unitMeasured: EntryRules<UnitMeasured> = {
  mayFollow: (_state, { low, high }) =>
    low !== undefined && high !== undefined && low > high
      ? refuse('sense', 'The lower limit is above the upper one. Look at the maker’s table again.')
      : NOTHING,
  fold: (draft, { reading, values, low, high, note }, mark) =>
    void draft.readings.push({
      reading,
      values,
      ...(low === undefined ? {} : { low }),
      ...(high === undefined ? {} : { high }),
      ...(note === undefined ? {} : { note }),
      ...mark,
    }),
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  words({ reading, values, low, high }) {
    const limits = { ...(low === undefined ? {} : { low }), ...(high === undefined ? {} : { high }) };
    const { words, unit } = READING_WORDS[reading];
    return `${words}: ${values.join(', ')} ${unit}. ${judgeReadings(reading, values, limits).words}`;
  },
};
