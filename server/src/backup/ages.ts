/** How many backups are kept of each age. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const;

/**
 * Which of the backups made at `times` (ISO, UTC) are kept: the newest of each of the last days, weeks and months there
 * was one, and always the newest of all.
 */
export function keptOf(times: readonly string[]): ReadonlySet<string> {
  const newestFirst = [...times].sort().reverse();
  const newestPer = (period: (time: string) => string, most: number): readonly string[] => {
    const found = new Map<string, string>();
    for (const time of newestFirst) if (!found.has(period(time))) found.set(period(time), time);
    return [...found.values()].slice(0, most);
  };
  return new Set([
    ...newestPer((time) => time.slice(0, 10), KEPT.days),
    ...newestPer(weekOf, KEPT.weeks),
    ...newestPer((time) => time.slice(0, 7), KEPT.months),
  ]);
}

const DAY_MS = 86_400_000;
/** 5 January 1970 was a Monday. */
const FIRST_MONDAY_MS = 4 * DAY_MS;

function weekOf(time: string): string {
  return String(Math.floor((Date.parse(time) - FIRST_MONDAY_MS) / (7 * DAY_MS)));
}
