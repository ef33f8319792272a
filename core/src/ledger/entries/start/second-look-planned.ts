import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Something that is looked at once more, on a day or after so many kilometres. */
export interface SecondLookPlanned {
  readonly kind: 'second-look-planned';
  readonly look: string;
  readonly what: string;
  readonly dueOn?: string;
  readonly afterKm?: number;
}

export interface SecondLook extends Mark {
  readonly what: string;
  readonly dueOn?: string;
  readonly afterKm?: number;
  readonly done?: Mark & { readonly note?: string };
}

export const secondLookPlanned: EntryRules<SecondLookPlanned> = {
  mayFollow(state, { look, dueOn, afterKm }) {
    if (state.secondLooks.has(look)) return refuse('twice', 'This second look is planned already.');
    return dueOn === undefined && afterKm === undefined
      ? refuse('sense', 'Say when it is due: on a day, or after so many kilometres.')
      : NOTHING;
  },
  fold: (draft, { look, what, dueOn, afterKm }, mark) =>
    void draft.secondLooks.set(look, {
      what,
      ...(dueOn === undefined ? {} : { dueOn }),
      ...(afterKm === undefined ? {} : { afterKm }),
      ...mark,
    }),
  afterHandover: true,
  stop: () => 'handover',
  minutes: 'of-what-comes-next',
  fills: ({ look }) => [look],
  words: ({ what, dueOn, afterKm }, { day }) =>
    `Second look: ${what}${dueOn === undefined ? '' : `, on ${day(dueOn)}`}${afterKm === undefined ? '' : `, after ${afterKm} km`}`,
};
