import { name, oneOf, optionalAmount, positive, text } from '@brisk/contracts/fields';
import { unitsOf } from '@brisk/core/bench';
import type { Reach, Renewal } from '@brisk/core/connection-map';
import type { JobState } from '@brisk/core/ledger';
import { sentence } from '@brisk/core/words';
import { string } from 'yup';
import { v4 as uuid } from 'uuid';
import type { Answers, Asking } from '../../ui/asking';

const WAYS = ['at-hand', 'out', 'parted', 'off'] as const;

/** Asks for a repair that the map does not know: what, where, what is in front of it, how long, what it costs. */
export function ownRenewalAsking({ work }: JobState): Asking {
  const parts = work.plan.map.parts.filter(({ id }) => id !== work.plan.map.body);
  const couple = unitsOf(work.plan, work.lump).length > 1;
  return {
    title: 'Something of your own to do now or later',
    questions: [
      {
        field: 'name',
        label: 'What is it?',
        as: 'line',
        schema: name().label('What it is'),
        hint: 'cracked ear of the bracket',
      },
      {
        field: 'at',
        label: 'On which part?',
        as: 'choice',
        schema: string().required().label('The part'),
        choices: parts.map(({ id, name: words }) => ({ value: id, words: sentence(words) })),
        initial: parts.find(({ id }) => work.lump.has(id))?.id ?? '',
      },
      {
        field: 'way',
        label: 'How is it reached?',
        as: 'choice',
        schema: oneOf(WAYS).label('This'),
        choices: [
          { value: 'at-hand', words: 'As it is' },
          { value: 'out', words: 'With the powerpack out' },
          ...(couple ? [{ value: 'parted', words: 'With engine and gearbox apart' }] : []),
          { value: 'off', words: 'With that part taken off' },
        ],
        initial: 'out',
      },
      {
        field: 'minutes',
        label: 'Minutes of its own',
        as: 'amount',
        schema: positive(10_000).label('Minutes'),
        initial: 30,
      },
      { field: 'cost', label: 'Parts come to about', as: 'amount', schema: optionalAmount(1_000_000).label('Parts') },
      {
        field: 'years',
        label: 'How many years does one last?',
        as: 'amount',
        schema: positive(100).label('Years'),
        initial: 10,
      },
      { field: 'why', label: 'What comes of it when it fails?', as: 'lines', schema: text().label('What comes of it') },
    ],
    action: 'Put it up',
  };
}

/** The repair as it was answered. */
export function ownRenewal({ work }: JobState, { name: what, at, way, minutes, cost, years, why }: Answers): Renewal {
  const likely = Number(minutes);
  const part = String(at);
  return {
    id: `own-${uuid()}`,
    name: String(what).trim(),
    title: `Mend or renew: ${String(what).trim()}`,
    at: part,
    station: 'bay-top',
    height: 'either',
    hands: 1,
    tools: [],
    minutes: { low: Math.max(1, likely / 2), likely, high: likely * 2 },
    cautions: [],
    reach: reachIn(String(way), part, unitsOf(work.plan, work.lump)),
    why: String(why).trim(),
    parts:
      Number(cost) > 0 ? [{ what: String(what).trim(), count: 1, guideCents: Math.round(Number(cost) * 100) }] : [],
    lastsYears: Number(years),
  };
}

function reachIn(way: string, part: string, [one, other]: readonly string[]): readonly Reach[] {
  if (way === 'parted' && one !== undefined && other !== undefined)
    return [{ parted: [one, other], why: 'It is between the two.' }];
  if (way === 'out') return [{ out: part, why: 'In the machine nobody gets there.' }];
  return way === 'off' ? [{ removed: part, why: 'It comes off for it.' }] : [];
}
