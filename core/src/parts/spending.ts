import { minutesByStop, type JobState, type PartStage, type PartToOrder } from '../ledger/index.js';
import type { Rates } from '../economics/index.js';

/** What a job costs, in hundredths of the shop’s money. */
export interface Spending {
  /** Parts that are ordered, here or fitted. */
  readonly ordered: number;
  /** Parts that are needed or asked for, at their price or what they cost about. */
  readonly toCome: number;
  /** Core charges paid that are to come back. */
  readonly cores: number;
  /** Old parts that are still to go back for that, and the first day one of them is due. */
  readonly coresOwing: number;
  readonly firstCoreDueOn?: string;
  /** Tool hire, machine shop, fluids and the like. */
  readonly costs: number;
  /** Hours recorded, at the shop’s rate. */
  readonly hours: number;
  readonly hoursMin: number;
  /** All that is spent or bound to be: ordered parts, their core charges, costs and hours. */
  readonly spent: number;
  /** Parts nobody knows a price of. */
  readonly unpriced: number;
}

/** What was spent in all by the end of a day, without the shop’s own hours. */
export interface DaySpent {
  readonly day: string;
  readonly cents: number;
}

const BOUND: readonly PartStage[] = ['ordered', 'arrived', 'wrong', 'fitted'];
const COMING: readonly PartStage[] = ['needed', 'asked'];

/** What a line of the list costs: its price, or what one costs about; nothing where nobody knows. */
export function priceOf({ quantity, priceCents, guideCents }: PartToOrder): number | undefined {
  const each = priceCents ?? guideCents;
  return each === undefined ? undefined : each * quantity;
}

/** What `state` comes to so far and by day, with the shop’s `rates`. `dayOf`: the day of an ISO time, as the shop has it. */
export function spendingOf(
  state: JobState,
  { hourCents }: Rates,
  dayOf: (at: string) => string,
): { readonly now: Spending; readonly byDay: readonly DaySpent[] } {
  const parts = [...state.needs.values()];
  const sum = (stages: readonly PartStage[], of: (part: PartToOrder) => number) =>
    parts.reduce((total, part) => (stages.includes(part.stage) ? total + of(part) : total), 0);
  const ordered = sum(BOUND, (part) => priceOf(part) ?? 0);
  const owing = parts.filter(
    ({ stage, coreChargeCents = 0, coreReturned }) => BOUND.includes(stage) && coreChargeCents > 0 && !coreReturned,
  );
  const cores = owing.reduce((total, { coreChargeCents = 0, quantity }) => total + coreChargeCents * quantity, 0);
  const [firstCoreDueOn] = owing.flatMap(({ coreDueOn }) => coreDueOn ?? []).sort();
  const costs = [...state.costs.values()].reduce((total, { cents }) => total + cents, 0);
  const hoursMin = [...minutesByStop(state).values()].reduce((total, minutes) => total + minutes, 0);
  const hours = Math.round((hoursMin * hourCents) / 60);
  return {
    now: {
      ordered,
      toCome: sum(COMING, (part) => priceOf(part) ?? 0),
      cores,
      coresOwing: owing.length,
      ...(firstCoreDueOn === undefined ? {} : { firstCoreDueOn }),
      costs,
      hours,
      hoursMin,
      spent: ordered + cores + costs + hours,
      unpriced: parts.filter((part) => part.stage !== 'returned' && priceOf(part) === undefined).length,
    },
    byDay: byDay(state, dayOf),
  };
}

/** Money goes out on the day something is ordered, or comes without being; it comes back when it is sent back. */
function byDay(state: JobState, dayOf: (at: string) => string): readonly DaySpent[] {
  const days = new Map<string, number>();
  const add = (at: string, cents: number) => days.set(dayOf(at), (days.get(dayOf(at)) ?? 0) + cents);
  const paid = new Set<string>();
  for (const entry of state.entries) {
    if (state.corrected.has(entry.id)) continue;
    if (entry.kind === 'cost-noted') add(entry.at, entry.cents);
    if (entry.kind === 'core-returned') {
      const part = state.needs.get(entry.need);
      add(entry.at, -(part?.coreChargeCents ?? 0) * (part?.quantity ?? 0));
    }
    if (entry.kind !== 'part-moved-on' && entry.kind !== 'part-arrived') continue;
    const part = state.needs.get(entry.need);
    const to = entry.kind === 'part-arrived' ? 'arrived' : entry.to;
    if (!part) continue;
    const cents = (priceOf(part) ?? 0) + (part.coreChargeCents ?? 0) * part.quantity;
    if (BOUND.includes(to) && !paid.has(part.need)) {
      paid.add(part.need);
      add(entry.at, cents);
    } else if (!BOUND.includes(to) && paid.delete(part.need)) add(entry.at, -cents);
  }
  let total = 0;
  return [...days]
    .sort(([one], [other]) => one.localeCompare(other))
    .map(([day, cents]) => ({ day, cents: (total += cents) }));
}
