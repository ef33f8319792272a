import { format, isValid, parseISO } from 'date-fns';

/** Ways of writing a day, as patterns of date-fns; none of them can be read as another day but the two with slashes. */
export const DAY_FORMS = ['d MMM yyyy', 'dd.MM.yyyy', 'dd/MM/yyyy', 'MM/dd/yyyy', 'yyyy-MM-dd'] as const;
export type DayForm = (typeof DAY_FORMS)[number];
export const CLOCK_FORMS = ['HH:mm', 'h:mm a'] as const;
export type ClockForm = (typeof CLOCK_FORMS)[number];

/** How a shop writes days and times of day, on every screen and sheet alike. */
export interface Writing {
  readonly days: DayForm;
  readonly clock: ClockForm;
}
export const USUAL_WRITING: Writing = { days: 'd MMM yyyy', clock: 'HH:mm' };

const WITHOUT_YEAR: Readonly<Record<DayForm, string>> = {
  'd MMM yyyy': 'd MMM',
  'dd.MM.yyyy': 'dd.MM.',
  'dd/MM/yyyy': 'dd/MM',
  'MM/dd/yyyy': 'MM/dd',
  'yyyy-MM-dd': 'MM-dd',
};

/** A day such as “2026-03-04” as it is said: “4 Mar 2026”; one that is none, as it was written. */
export function dayWords(day: string, { days } = USUAL_WRITING): string {
  return said(day, days);
}

/** The day of a moment without its year: “4 Mar”. */
export function shortDayWords(at: string | Date, { days } = USUAL_WRITING): string {
  return said(at, WITHOUT_YEAR[days]);
}

/** The time of day of a moment: “14:05”. */
export function timeWords(at: string | Date, { clock } = USUAL_WRITING): string {
  return said(at, clock);
}

/** A moment of this year: “4 Mar 14:05”. */
export function momentWords(at: string | Date, as = USUAL_WRITING): string {
  return said(at, `${WITHOUT_YEAR[as.days]} ${as.clock}`);
}

/** A moment of any year: “4 Mar 2026, 14:05”. */
export function longMomentWords(at: string | Date, { days, clock } = USUAL_WRITING): string {
  return said(at, `${days}, ${clock}`);
}

/** A moment of these days with its weekday, and its date where it is `far`: “Wed 14:05”, “Wed 4 Mar 14:05”. */
export function weekdayWords(at: string | Date, far: boolean, { days, clock } = USUAL_WRITING): string {
  return said(at, far ? `EEE ${WITHOUT_YEAR[days]} ${clock}` : `EEE ${clock}`);
}

function said(at: string | Date, form: string): string {
  const read = typeof at === 'string' ? parseISO(at) : at;
  return isValid(read) ? format(read, form) : String(at);
}
