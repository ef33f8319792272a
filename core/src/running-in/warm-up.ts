import { machineOf } from '../diagnosis/index.js';
import type { JobState, WarmUpNote } from '../ledger/index.js';

/** One point of the warm-up, in its order. */
export interface WarmUpPoint {
  readonly id: string;
  readonly words: string;
  readonly how: string;
  /** What is measured at it, and between what it usually lies; the maker’s figure wins. */
  readonly reading?: { readonly unit: string; readonly from?: number; readonly to?: number };
  readonly caution?: string;
  readonly said?: WarmUpNote;
}

const OF_COOLANT = 'coolant';
const HOT_CAP = 'Never open it hot: it scalds. The maker’s literature wins.';
const LIFTED = 'Engine stopped, key out; nobody under what is not on stands.';
const MOVING = 'Keep hands, sleeves and hair from belt and fan.';
/** Two batteries of twelve volts charge at this and more. */
const TWO_BATTERIES_V = 16;

type Bare = Omit<WarmUpPoint, 'said'>;

/** The warm-up of this machine, point by point, with what was said of each: by what cools it, what feeds it and what it drives through. */
export function warmUpOf(state: JobState): readonly WarmUpPoint[] {
  const { burns, cooled, gearbox } = machineOf(state.work.plan.map);
  const electronic = burns === 'petrol-injected' || burns === 'diesel-rail';
  const batteries = (state.attempts.at(-1)?.voltsBefore ?? 0) > TWO_BATTERIES_V ? 2 : 1;
  const points: readonly (Bare | false)[] = [
    { id: 'oil', words: 'Oil pressure within seconds, lamp out', how: 'If not: stop it at once.' },
    {
      id: 'idle',
      words: 'It idles, without a noise that was not there',
      how: 'Somebody stays at the stop.',
      reading: { unit: 'rpm', from: 550, to: 1_100 },
      caution: MOVING,
    },
    cooled === OF_COOLANT && {
      id: 'bleed',
      words: 'Heater on full, funnel on, bubbles come',
      how: 'The funnel stands higher than the heater; topped up as it sinks.',
      caution: MOVING,
    },
    cooled === OF_COOLANT && {
      id: 'warm',
      words: 'The lower hose gets hot: the thermostat has opened',
      how: 'First the upper hose, then the lower one.',
      reading: { unit: '°C', from: 75, to: 105 },
    },
    {
      id: 'fan',
      words: cooled === OF_COOLANT ? 'The fan came on by itself, and went off' : 'It stays at its temperature',
      how: cooled === OF_COOLANT ? 'At idle; stopped before the mark.' : 'At idle, its own air led as it is driven.',
      reading: { unit: '°C', to: 112 },
    },
    cooled === OF_COOLANT && {
      id: 'no-bubbles',
      words: 'No bubble for two minutes, heater hot at idle',
      how: 'Squeeze the upper hose once more.',
    },
    {
      id: 'charging',
      words: 'It charges',
      how: 'At 2,000, with lights on, at the battery’s posts.',
      reading: { unit: 'V', from: 13.5 * batteries, to: 14.8 * batteries },
    },
    electronic && {
      id: 'learned',
      words: 'Throttle and idle are learned',
      how: 'By the tester or as the maker says; until then it may hunt or stall.',
    },
    { id: 'cooled', words: 'It is cold to the touch', how: 'Hours, best overnight.' },
    cooled === OF_COOLANT && {
      id: 'topped-up',
      words: 'Topped up, and the cap on',
      how: 'What went in tells what air came out.',
      reading: { unit: 'l' },
      caution: HOT_CAP,
    },
    {
      id: 'levels',
      words: 'Every level looked at the second time',
      how: 'Oil, coolant, gearbox, steering: level and as its maker says, warm or cold.',
    },
    gearbox !== undefined && {
      id: 'gears',
      words: 'A short run through every gear, and reverse',
      how: gearbox === 'manual' ? 'Where it bites, no slip pulling away.' : 'Each change; no slip, no bang.',
    },
    {
      id: 'underneath',
      words: 'Looked at from underneath after the run',
      how: 'With a lamp, every joint that was open.',
      caution: LIFTED,
    },
    {
      id: 'cycle-1',
      words: 'First heat cycle over: hot, and cold again',
      how: 'Then what is torqued again is torqued again.',
    },
    { id: 'cycle-2', words: 'Second heat cycle over', how: 'Clamps of hoses once more.' },
  ];
  return points.flatMap((point): readonly WarmUpPoint[] => {
    if (point === false) return [];
    const said = state.warmUp.get(point.id);
    return [said ? { ...point, said } : point];
  });
}

/** What is odd about a `reading` taken at a point, in a sentence; nothing where it lies where it usually does. */
export function oddReading({ reading }: WarmUpPoint, read: number): string {
  if (!reading) return '';
  const { unit, from, to } = reading;
  if (from !== undefined && read < from) return `${read} ${unit} is under ${from} ${unit}.`;
  return to !== undefined && read > to ? `${read} ${unit} is over ${to} ${unit}.` : '';
}
