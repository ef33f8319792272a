import {
  chargeAtRest,
  chargeHours,
  LONGEST_BURST_S,
  LOWEST_CRANKING_V,
  LOWEST_REST_V,
  SHORTEST_REST_S,
} from './battery.js';

export const START_RESULTS = ['no-crank', 'cranks', 'fires-and-dies', 'runs-rough', 'runs'] as const;
export type StartResult = (typeof START_RESULTS)[number];

export const RESULT_WORDS: Readonly<Record<StartResult, string>> = {
  'no-crank': 'Does not turn',
  cranks: 'Turns, no fire',
  'fires-and-dies': 'Fires and dies',
  'runs-rough': 'Runs rough',
  runs: 'Runs',
};

/** What an engine is cranked for, other than to start it: kept from firing as its maker says. */
export const ATTEMPT_PURPOSES = ['oil'] as const;
export type AttemptPurpose = (typeof ATTEMPT_PURPOSES)[number];

export const ATTEMPT_PURPOSE_WORDS: Readonly<Record<AttemptPurpose, string>> = { oil: 'for oil pressure' };

/** One burst on the starter, as measured at the battery. */
export interface StartAttempt {
  readonly at: string;
  readonly voltsBefore: number;
  readonly voltsLowest: number;
  readonly crankSeconds: number;
  readonly result: StartResult;
  /** What it was cranked for; absent: to start it. */
  readonly purpose?: AttemptPurpose;
}

/** The four sorts a warning falls into after a refit; only `real` needs work. */
export const ISSUE_SORTS = ['still-unplugged', 'low-voltage', 'stored', 'real'] as const;
export type IssueSort = (typeof ISSUE_SORTS)[number];

/** What the hours of charging are told for: the battery and the small charger found in most sheds. */
const USUAL_BATTERY_AH = 70;
const SMALL_CHARGER_A = 4;

export interface StartAdvice {
  readonly stop: boolean;
  readonly words: string;
}

/**
 * What the attempts so far say about the next one, gravest first. `now` is an ISO time. Empty when nothing speaks
 * against another burst, which is not to say that it is safe.
 */
export function startAdvice(attempts: readonly StartAttempt[], now: string): readonly StartAdvice[] {
  const last = attempts.at(-1);
  if (!last) return [];
  const advice: StartAdvice[] = [];
  if (last.voltsBefore < LOWEST_REST_V)
    advice.push({
      stop: true,
      words: `Nothing under ${LOWEST_REST_V} V: it rested at ${last.voltsBefore.toFixed(1)} V, about ${Math.round(100 * chargeAtRest(last.voltsBefore))} % charge. Charge it before the next burst: a ${USUAL_BATTERY_AH} Ah battery takes about ${Math.round(chargeHours(USUAL_BATTERY_AH, chargeAtRest(last.voltsBefore), SMALL_CHARGER_A))} h on a ${SMALL_CHARGER_A} A charger.`,
    });
  if (last.crankSeconds > 0 && last.voltsLowest < LOWEST_CRANKING_V)
    advice.push({
      stop: true,
      words: `It sank to ${last.voltsLowest.toFixed(1)} V while cranking, under ${LOWEST_CRANKING_V} V. Charge or boost; warnings that came up now may be false.`,
    });
  if (last.crankSeconds > LONGEST_BURST_S)
    advice.push({
      stop: false,
      words: `${last.crankSeconds} s on the starter is long: ${LONGEST_BURST_S} s at most, or it burns. The maker’s limit wins.`,
    });
  const restedS = (Date.parse(now) - Date.parse(last.at)) / 1000;
  if (last.crankSeconds > 0 && last.result !== 'runs' && last.result !== 'runs-rough' && restedS < SHORTEST_REST_S)
    advice.push({ stop: false, words: `Let the starter cool: ${Math.ceil(SHORTEST_REST_S - restedS)} s more.` });
  const started = attempts.filter(({ purpose }) => purpose === undefined);
  if (started.length >= 3 && started.slice(-3).every(({ result }) => result === 'cranks'))
    advice.push({ stop: false, words: 'Three bursts and no fire: look for fuel at the rail before cranking on.' });
  return advice;
}

/** The sort a new warning most likely belongs to, seen from what is still open and how far the battery sank. */
export function likelySort(stillOpen: boolean, lowestV: number | undefined): IssueSort {
  if (stillOpen) return 'still-unplugged';
  if (lowestV !== undefined && lowestV < LOWEST_CRANKING_V) return 'low-voltage';
  return 'real';
}
