import type { WorkingDay } from '@brisk/core/schedule';
import { addDays, addMinutes, differenceInMinutes, set } from 'date-fns';

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
    const today = Math.max(1, differenceInMinutes(at(from, day.ends), from));
    if (left <= today) return addMinutes(from, left);
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
  if (then >= start) return differenceInMinutes(then < closes ? then : closes, start);
  const tomorrow = differenceInMinutes(then, at(start, day.begins));
  return differenceInMinutes(closes, start) + Math.max(0, tomorrow);
}

/** Minutes of work until the shop closes on the day that somebody leaves at `minutes`. */
export function closesAfter(minutes: number, now: Date, day: WorkingDay): number {
  const leaves = clockAt(minutes, now, day);
  return minutes + Math.max(0, differenceInMinutes(at(leaves, day.ends), leaves));
}

function at(date: Date, clock: string): Date {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return set(date, { hours, minutes, seconds: 0, milliseconds: 0 });
}
