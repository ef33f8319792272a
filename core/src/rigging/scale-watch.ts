import type { ScaleReading } from './simulated-scale.js';

/** What is wrong with a run of readings, whatever hangs. */
export type ScaleFault = 'stands still' | 'creeps';

/** What hangs always sways a little: a scale that shows the very same for so long sticks, in ms. */
const STILL_MS = 4_000;
/** A creep is told over so long, in ms. */
const CREEP_MS = 10_000;
/** So much more in that time, steadily, is a creep, as a share of what it reads. */
const CREEP_SHARE = 0.04;
/** Less than this is an empty hook, in kg. */
const EMPTY_KG = 5;

/**
 * What a run of readings, the oldest first, says of the scale itself: that it stands still although a load hangs, or that
 * it creeps up steadily while nobody lifts. Nothing where there is not enough to tell by.
 */
export function scaleFault(readings: readonly ScaleReading[]): ScaleFault | undefined {
  const last = readings.at(-1);
  if (!last || last.kg < EMPTY_KG) return undefined;
  const since = (ms: number) => readings.filter(({ atMs }) => atMs >= last.atMs - ms);
  const covers = (ms: number) => last.atMs - (readings[0]?.atMs ?? last.atMs) >= ms;
  if (covers(STILL_MS) && since(STILL_MS).every(({ kg }) => kg === last.kg)) return 'stands still';
  if (!covers(CREEP_MS)) return undefined;
  const run = since(CREEP_MS);
  const thirds = [0, 1, 2].map((third) => {
    const some = run.slice(Math.floor((run.length * third) / 3), Math.floor((run.length * (third + 1)) / 3));
    return some.reduce((sum, { kg }) => sum + kg, 0) / Math.max(1, some.length);
  });
  const [first = 0, second = 0, third = 0] = thirds;
  const steady = second > first && third > second && Math.abs(third - 2 * second + first) < 0.4 * (third - first);
  return steady && third - first > CREEP_SHARE * last.kg ? 'creeps' : undefined;
}
