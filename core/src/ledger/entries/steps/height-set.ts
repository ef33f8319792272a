import type { MachineHeight } from '../../../connection-map/index.js';
import { HEIGHT_WORDS } from '../../../words/index.js';
import { carrying } from '../../reading.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** The machine was raised onto stands, or let down. */
export interface HeightSet {
  readonly kind: 'height-set';
  readonly height: MachineHeight;
}

export const heightSet: EntryRules<HeightSet> = {
  mayFollow(state, { height }) {
    if (height === state.height)
      return refuse('twice', height === 'raised' ? 'It stands raised already.' : 'It stands on the ground already.');
    const load = carrying(state);
    return load.length > 0
      ? refuse(
          'sense',
          `${load.map(({ name }) => name).join(' and ')}: the machine is not moved while that carries the weight.`,
        )
      : NOTHING;
  },
  fold: (draft, { height }) => void (draft.height = height),
  stop: () => 'strip',
  minutes: 'by-itself',
  words: ({ height }) => `The machine stands ${HEIGHT_WORDS[height]}`,
};
