import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { JobState, Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** Where a part can be. */
export const PLACES = ['machine', 'old-unit', 'bench', 'shelf', 'machine-shop', 'bin'] as const;
export type Place = (typeof PLACES)[number];

export const PLACE_WORDS: Readonly<Record<Place, string>> = {
  machine: 'On the machine',
  'old-unit': 'On the old unit',
  bench: 'On the bench',
  shelf: 'On a shelf or in a box',
  'machine-shop': 'At the machine shop',
  bin: 'Thrown away',
};

/** What has been done about a part that is off. */
export const PART_CONDITIONS = ['as-it-came', 'cleaned', 'checked', 'repaired', 'replaced'] as const;
export type PartCondition = (typeof PART_CONDITIONS)[number];

export const PART_CONDITION_WORDS: Readonly<Record<PartCondition, string>> = {
  'as-it-came': 'as it came',
  cleaned: 'cleaned',
  checked: 'checked',
  repaired: 'repaired',
  replaced: 'replaced by another',
};

/** Which machine a part is of: the one in the shop, or the other one that gives parts. */
export const OWNERS = ['host', 'donor'] as const;
export type Owner = (typeof OWNERS)[number];

/** A part was put somewhere, or more is known of it. */
export interface PartPlaced {
  readonly kind: 'part-placed';
  readonly part: string;
  readonly owner: Owner;
  readonly place: Place;
  /** The shelf, box or shop. */
  readonly where?: string;
  readonly condition?: PartCondition;
  /** The number read off it. */
  readonly number?: string;
  readonly waitsFor?: string;
  readonly reason?: string;
}

export interface PlacedPart extends Mark {
  readonly part: string;
  readonly owner: Owner;
  readonly place: Place;
  readonly where?: string;
  readonly condition?: PartCondition;
  readonly number?: string;
  readonly waitsFor?: string;
  readonly reason?: string;
}

export const partPlaced: EntryRules<PartPlaced> = {
  mayFollow(state, { part, owner, place, where, reason }) {
    const known = state.work.plan.map.parts.find(({ id }) => id === part);
    if (!known && owner === 'host') return unknown('part', part);
    if (part === state.work.plan.map.body) return refuse('sense', 'The machine itself stays where it is.');
    const name = known?.name ?? part;
    if (place === 'shelf' && !where?.trim())
      return refuse('sense', `Say which shelf or box: the ${name} is looked for by that.`);
    if (place === 'bin' && !reason?.trim())
      return refuse('sense', `Old parts are kept until handover. Say why the ${name} goes now.`);
    if (owner === 'host' && place !== 'machine' && isFast(state, part))
      return refuse(
        'sense',
        `By the record the ${name} is on the machine: it cannot be in two places. Do its step, or take the step back.`,
      );
    return NOTHING;
  },
  /** Number and condition stay with the part; where it was is over once it is somewhere else. */
  fold(draft, { kind: _kind, id: _id, at: _at, by: _by, ...placed }, mark) {
    const key = `${placed.owner}:${placed.part}`;
    const { number, condition } = draft.placed.get(key) ?? {};
    draft.placed.set(key, {
      ...(number === undefined ? {} : { number }),
      ...(condition === undefined ? {} : { condition }),
      ...placed,
      ...mark,
    });
  },
  stop: () => 'bench',
  minutes: 'of-what-comes-next',
  fills: ({ owner, part }) => [`${owner} ${part}`],
  leavesOpen: ({ placed, work }) =>
    [...placed.values()].flatMap(({ part, place, where, waitsFor }) =>
      place === 'machine-shop' || waitsFor
        ? [
            {
              is: 'part',
              grave: false,
              words: `Still ${waitsFor ? `waiting for ${waitsFor}` : 'at the machine shop'}: the ${work.plan.map.parts.find(({ id }) => id === part)?.name ?? part}${where ? `, ${where}` : ''}`,
            },
          ]
        : [],
    ),
  words: ({ part, place, where, reason }, { state }) =>
    `${state.work.plan.map.parts.find(({ id }) => id === part)?.name ?? part}: ${PLACE_WORDS[place].toLowerCase()}${where ? `, ${where}` : ''}${reason ? `. ${reason}` : ''}`,
};

/** Whether nothing that holds `part` to what stays has been undone: it is where it always was. */
function isFast({ work, progress }: JobState, part: string): boolean {
  const done = (id: string) => progress.get(id)?.is === 'done';
  if (work.lump.has(part)) return ![...work.operations.values()].some(({ id, kind }) => kind === 'lift' && done(id));
  return ![`remove:${part}`].some(done) || done(`fit:${part}`);
}
