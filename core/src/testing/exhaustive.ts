import type { SchedulingProblem } from '../schedule/index.js';

/**
 * The least of finish and weighted height changes over every schedule there is, minute by minute: at each minute any
 * set of steps that may begin is begun, or the machine is moved, or nothing. For a handful of steps of whole minutes;
 * shares no code with the search, so that one can judge the other.
 */
export function exhaustiveOptimum({ operations, precedence, crew, height, runs = [] }: SchedulingProblem): number {
  const people = crew.hands.length;
  const { heightChangeMin } = crew.weights;
  const index = new Map(operations.map(({ id }, place) => [id, place]));
  const goesOn = new Map(runs.map(({ first, then }) => [index.get(first) ?? -1, index.get(then) ?? -1]));
  const cameFrom = new Map([...goesOn].map(([first, then]) => [then, first]));
  const before = operations.map(({ id }) =>
    precedence.filter(({ after }) => after === id).map(({ before: one }) => index.get(one) ?? -1),
  );
  /** A run is begun once all of it can be done. */
  const waits = before.map((own, place) => [
    ...own,
    ...(before[goesOn.get(place) ?? -1] ?? []).filter((one) => one !== place),
  ]);
  /** Hands a step takes; those of a run stay for all of it. */
  const handsOf = (place: number): number =>
    [place, goesOn.get(place) ?? -1, cameFrom.get(place) ?? -1].reduce(
      (hands, one) => Math.max(hands, Math.min(operations[one]?.hands ?? 0, people)),
      0,
    );
  const apart = (one: number, other: number) => {
    const [here, there] = [operations[one], operations[other]];
    return (here?.moves ?? []).some((moving) => [...(there?.at ?? []), ...(there?.moves ?? [])].includes(moving));
  };
  /** When next to begin anything: as something ends, or, where a run is timed by its second step, at any minute. */
  const later = (now: number, ends: readonly number[]) =>
    runs.length > 0 ? now + 1 : Math.min(...ends.filter((end) => end > now));
  const room = (station: string) => (crew.cramped.some((place) => place === station) ? 1 : 2);
  const most =
    operations.reduce((sum, { minutes }) => sum + minutes.likely, 0) + operations.length * crew.moveMachineMin;
  let best = most + operations.length * heightChangeMin;
  const seen = new Map<string, number>();

  /** `ends[i]`: when step i is done, or -1 where it has not begun. `busyUntil`: the machine is being moved until then. */
  const walk = (now: number, ends: readonly number[], stands: string, busyUntil: number, changes: number): void => {
    const spent = changes * heightChangeMin;
    if (now + spent >= best) return;
    if (ends.every((end) => end >= 0)) {
      best = Math.min(best, Math.max(...ends) + spent);
      return;
    }
    const key = `${ends.map((end) => (end < 0 ? '.' : Math.max(0, end - now))).join()}|${stands}|${Math.max(0, busyUntil - now)}`;
    const known = seen.get(key);
    if (known !== undefined && known <= now + spent) return;
    seen.set(key, now + spent);
    if (now < busyUntil) {
      walk(busyUntil, ends, stands, busyUntil, changes);
      return;
    }
    const running = operations.flatMap((_, place) => ((ends[place] ?? -1) > now ? [place] : []));
    const may = operations.flatMap(({ height: wants }, place) =>
      ends[place] === -1 &&
      (wants === 'either' || wants === stands) &&
      waits[place]?.every((first) => (ends[first] ?? -1) >= 0 && (ends[first] ?? 0) <= now)
        ? [place]
        : [],
    );
    // Whoever has just done the first of a run goes on with the second, and nobody does it otherwise.
    const due = [...goesOn].flatMap(([first, then]) => (ends[first] === now && ends[then] === -1 ? [then] : []));
    const fits = (set: readonly number[]) => {
      if (due.some((place) => !set.includes(place))) return false;
      if (set.some((place) => cameFrom.has(place) && !due.includes(place))) return false;
      const all = [...running, ...set];
      if (all.some((one) => all.some((other) => one !== other && apart(one, other)))) return false;
      const hands = all.reduce((sum, place) => sum + handsOf(place), 0);
      const stops = all.some((place) => operations[place]?.kind === 'hold-point') && all.length > 1;
      const crowded = all.some((place) => {
        const here = all.filter((other) => operations[other]?.station === operations[place]?.station);
        const space = room(operations[place]?.station ?? '');
        return space === 1 ? here.length > 1 : here.reduce((sum, one) => sum + handsOf(one), 0) > space;
      });
      return hands <= people && !stops && !crowded;
    };
    for (let set = 1; set < 1 << may.length; set += 1) {
      const begun = may.filter((_, bit) => set & (1 << bit));
      if (!fits(begun)) continue;
      const next = ends.map((end, place) =>
        begun.includes(place) ? now + (operations[place]?.minutes.likely ?? 0) : end,
      );
      walk(later(now, next), next, stands, busyUntil, changes);
    }
    if (due.length > 0) return;
    if (running.length > 0) walk(later(now, ends), ends, stands, busyUntil, changes);
    else
      walk(
        now + crew.moveMachineMin,
        ends,
        stands === 'ground' ? 'raised' : 'ground',
        now + crew.moveMachineMin,
        changes + 1,
      );
  };
  walk(
    0,
    operations.map(() => -1),
    height,
    0,
    0,
  );
  return best;
}
