import type { WorkingDay } from '../schedule/index.js';
import { timeWords, USUAL_WRITING, weekdayWords, type Writing } from '../words/index.js';
import {
  addDays,
  addMinutes,
  differenceInCalendarDays,
  differenceInMilliseconds,
  roundToNearestMinutes,
  set,
} from 'date-fns';

/** When a shop works unless it says otherwise. */
export const USUAL_DAY: WorkingDay = { begins: '07:30', ends: '16:00' };

/** When work goes on: now, or when the shop opens next. */
export function workGoesOn(now: Date, day: WorkingDay): Date {
  const opens = at(now, day.begins);
  if (now < opens) return opens;
  return now < at(now, day.ends) ? now : at(addDays(now, 1), day.begins);
}

/** The time of day at which `minutes` of work are done, with the nights left out. */
export function clockAt(minutes: number, now: Date, day: WorkingDay): Date {
  let from = workGoesOn(now, day);
  let left = minutes;
  for (;;) {
    const today = minutesBetween(at(from, day.ends), from);
    // A day that closes before it opens never gets anything done.
    if (!(left > today) || !(today > 0)) return addMinutes(from, left);
    left -= today;
    from = at(addDays(from, 1), day.begins);
  }
}

/**
 * Minutes of work until a time of day, such as "15:00": today where that is still to come, or else on the next day.
 * Undefined where `clock` is no time of day; nought for one before the shop opens.
 */
export function workUntil(clock: string, now: Date, day: WorkingDay): number | undefined {
  if (!/^\d{2}:\d{2}$/.test(clock)) return undefined;
  const start = workGoesOn(now, day);
  const then = at(start, clock);
  const closes = at(start, day.ends);
  if (then >= start) return minutesBetween(then < closes ? then : closes, start);
  const tomorrow = minutesBetween(then, at(start, day.begins));
  return minutesBetween(closes, start) + Math.max(0, tomorrow);
}

/** Minutes of work until `moment`; nought where it is over, and what is outside of working time counts nothing. */
export function workUntilMoment(moment: Date, now: Date, day: WorkingDay): number {
  let from = workGoesOn(now, day);
  let minutes = 0;
  for (let days = 0; from < moment && day.begins < day.ends && days < MOST_DAYS; days += 1) {
    const closes = at(from, day.ends);
    minutes += Math.max(0, minutesBetween(moment < closes ? moment : closes, from));
    from = at(addDays(from, 1), day.begins);
  }
  return minutes;
}

/**
 * When something comes that takes `minutes` of work, as one says it: "14:05" today, "Tue 14:05" within a week, then with its
 * date; written `as` the shop does.
 */
export function whenWords(minutes: number, now: Date, day: WorkingDay, as: Writing = USUAL_WRITING): string {
  const then = roundToNearestMinutes(clockAt(minutes, now, day));
  const days = differenceInCalendarDays(then, now);
  return days === 0 ? timeWords(then, as) : weekdayWords(then, days >= 7, as);
}

/** Minutes of work until the shop opens on a day such as "2026-03-04"; nought for today and days that are over. */
export function workUntilDay(on: string, now: Date, day: WorkingDay): number {
  const [year = 0, month = 1, date = 1] = on.split('-').map(Number);
  const opens = at(new Date(year, month - 1, date), day.begins);
  const length = minutesBetween(at(opens, day.ends), opens);
  let from = workGoesOn(now, day);
  let minutes = 0;
  // A day that closes before it opens is never waited for, and nobody plans ten years ahead.
  for (let days = 0; from < opens && length > 0 && days < MOST_DAYS; days += 1) {
    minutes += minutesBetween(at(from, day.ends), from);
    from = at(addDays(from, 1), day.begins);
  }
  return minutes;
}
const MOST_DAYS = 3_650;

/** Minutes of work until the shop closes on the day that somebody leaves at `minutes`. */
export function closesAfter(minutes: number, now: Date, day: WorkingDay): number {
  const leaves = clockAt(minutes, now, day);
  return minutes + Math.max(0, minutesBetween(at(leaves, day.ends), leaves));
}

/** When the shop closes on the day of `moment`. */
export function closes(moment: Date, day: WorkingDay): Date {
  return at(moment, day.ends);
}

/** The time of day at which `minutes` of work are done, as a clock shows it. */
export function clockWords(minutes: number, now: Date, day: WorkingDay): string {
  // To the nearest minute: seconds have gone by since somebody typed it.
  return timeWords(roundToNearestMinutes(clockAt(minutes, now, day)));
}

/** With the seconds in it: cut to whole minutes, what was typed as 12:30 would come back as 12:29. */
function minutesBetween(later: Date, earlier: Date): number {
  return differenceInMilliseconds(later, earlier) / 60_000;
}

function at(date: Date, clock: string): Date {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return set(date, { hours, minutes, seconds: 0, milliseconds: 0 });
}
