import type { MachineHeight, Station } from '../connection-map/index.js';
import { ancestorsOf, type Operation, type OperationId } from '../teardown/index.js';
import type { Orderer, OrderingProblem } from './problem.js';

/** What is ready and what still waits, as the order grows. */
class Frontier {
  readonly #waitsFor = new Map<OperationId, number>();
  readonly #byId = new Map<OperationId, Operation>();
  /** Ready operations, hold points and making safe first, then in map order. */
  readonly #ready: Operation[] = [];
  readonly #rank = new Map<OperationId, number>();

  constructor(private readonly problem: OrderingProblem) {
    problem.operations.forEach((operation, index) => {
      this.#byId.set(operation.id, operation);
      this.#rank.set(
        operation.id,
        index + (operation.kind === 'hold-point' || operation.kind === 'make-safe' ? -1e6 : 0),
      );
    });
    for (const operation of problem.operations) {
      const open = (problem.graph.into.get(operation.id) ?? []).filter(({ before }) => this.#byId.has(before)).length;
      this.#waitsFor.set(operation.id, open);
      if (open === 0) this.#ready.push(operation);
    }
    this.#ready.sort((one, other) => this.rank(one) - this.rank(other));
  }

  ready(): readonly Operation[] {
    return this.#ready;
  }

  take(operation: Operation): void {
    this.#ready.splice(this.#ready.indexOf(operation), 1);
    for (const { after } of this.problem.graph.outOf.get(operation.id) ?? []) {
      const left = this.#waitsFor.get(after);
      const next = this.#byId.get(after);
      if (left === undefined || !next) continue;
      this.#waitsFor.set(after, left - 1);
      if (left === 1) this.put(next);
    }
  }

  private put(operation: Operation): void {
    const rank = this.rank(operation);
    const place = this.#ready.findIndex((other) => this.rank(other) > rank);
    this.#ready.splice(place < 0 ? this.#ready.length : place, 0, operation);
  }

  /** Likely minutes that could be worked at one place without leaving it, opening up what that work uncovers. */
  minutesAt(station: Station, height: MachineHeight): number {
    const waits = new Map<OperationId, number>();
    const waiting = this.ready().filter((operation) => fits(operation, station, height));
    let minutes = 0;
    for (let operation = waiting.pop(); operation; operation = waiting.pop()) {
      minutes += operation.minutes.likely;
      for (const { after } of this.problem.graph.outOf.get(operation.id) ?? []) {
        const next = this.#byId.get(after);
        if (!next) continue;
        const left = (waits.get(after) ?? this.#waitsFor.get(after) ?? 0) - 1;
        waits.set(after, left);
        if (left === 0 && fits(next, station, height)) waiting.push(next);
      }
    }
    return minutes;
  }

  private rank({ id }: Operation): number {
    return this.#rank.get(id) ?? 0;
  }
}

function fits(operation: Operation, station: Station, height: MachineHeight): boolean {
  return operation.station === station && fitsHeight(operation, height);
}

function fitsHeight(operation: Operation, height: MachineHeight): boolean {
  return operation.height === 'either' || operation.height === height;
}

const other = (height: MachineHeight): MachineHeight => (height === 'ground' ? 'raised' : 'ground');

/**
 * A first order: stay where you stand while there is work there, then go where most work waits at this machine height,
 * and move the machine only when nothing is left at this height. Respects every edge; deterministic. Time grows with
 * operations times stations; it looks no further than one place ahead.
 */
export const groupedOrder: Orderer = (problem) => {
  const frontier = new Frontier(problem);
  const order: Operation[] = [];
  const kindOf = new Map(problem.operations.map(({ id, kind }) => [id, kind]));
  let { height } = problem;
  let station = problem.station;
  // What is undone for it right before opens it as well.
  const opens = new Set(
    problem.openings?.flatMap(({ from }) => [
      from,
      ...(problem.graph.into.get(from) ?? [])
        .map(({ before }) => before)
        .filter((id) => kindOf.get(id) === 'disconnect'),
    ]),
  );
  /** What is on the way to closing each thing that stands open, the last opened first. */
  const closing: ReadonlySet<OperationId>[] = [];
  const soonest = (here: readonly Operation[]) => {
    for (const way of closing) {
      const found = here.find(({ id }) => way.has(id));
      if (found) return found;
    }
    return here.find(({ id }) => !opens.has(id)) ?? here[0];
  };
  for (let ready = frontier.ready(); ready.length > 0; ready = frontier.ready()) {
    const willing = ready.filter(({ id }) => !problem.later?.has(id));
    const choices = willing.length > 0 ? willing : ready;
    if (!choices.some((operation) => fitsHeight(operation, height))) height = other(height);
    const here = choices.filter((operation) => fitsHeight(operation, height));
    const next =
      soonest(here.filter((operation) => operation.station === station)) ??
      soonest(here.filter((operation) => operation.station === busiest(here)));
    if (!next) break;
    for (const { from, until } of problem.openings ?? [])
      if (from === next.id) closing.unshift(new Set([until, ...ancestorsOf(until, problem.graph)]));
    station = next.station;
    frontier.take(next);
    order.push(next);
  }
  return order;

  function busiest(operations: readonly Operation[]): Station | undefined {
    const stations = [...new Set(operations.map((operation) => operation.station))];
    const minutes = new Map(stations.map((place) => [place, frontier.minutesAt(place, height)]));
    return stations.sort((one, two) => (minutes.get(two) ?? 0) - (minutes.get(one) ?? 0))[0];
  }
};
