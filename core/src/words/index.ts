/** Words: how places, heights and minutes are said, on a screen and on paper alike. */
import type { Station, StepHeight } from '../connection-map/index.js';
import type { Half } from '../teardown/index.js';

export { KIND_WORDS, SYSTEM_WORDS, ZONE_WORDS } from './map-words.js';
export {
  CLOCK_FORMS,
  DAY_FORMS,
  dayWords,
  longMomentWords,
  momentWords,
  shortDayWords,
  timeWords,
  USUAL_WRITING,
  weekdayWords,
  type ClockForm,
  type DayForm,
  type Writing,
} from './writing.js';
export { figureFault, figureIn, figureWords } from './figure.js';

export const STATION_WORDS: Readonly<Record<Station, string>> = {
  'bay-top': 'Over the bay',
  front: 'In front',
  'wheel-left': 'Left wheel arch',
  'wheel-right': 'Right wheel arch',
  underside: 'Underneath',
  cabin: 'In the cabin',
  rear: 'Behind',
  bench: 'At the bench',
};

export const HEIGHT_WORDS: Readonly<Record<StepHeight, string>> = {
  ground: 'on its wheels',
  raised: 'raised',
  either: 'at any height',
};

export const HALF_WORDS: Readonly<Record<Half, string>> = {
  out: 'The way out',
  bench: 'At the bench',
  back: 'The way back',
};

/** Minutes as a crew says them: "25 min", "1 h 40", "12 h". */
export function duration(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** The words with their first letter large. */
export function sentence(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** "1 step", "4 steps". */
export function several(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** Litres as they are poured: `2.8 l`; under a tenth of one, none. */
export function litres(amountL: number): string {
  return `${(Math.round(amountL * 10) / 10).toFixed(1).replace(/\.0$/, '')} l`;
}
