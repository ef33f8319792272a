import type { Pin } from '../ledger/index.js';
import { ancestorsOf, descendantsOf, precedenceGraph, type OperationId, type Precedence } from '../teardown/index.js';

/** `order` with `ids`, in their own order, put right before `target`, or at the end where there is none. */
export function movedTo(
  order: readonly OperationId[],
  ids: readonly OperationId[],
  target: OperationId | undefined,
): readonly OperationId[] {
  const moving = new Set(ids);
  const run = order.filter((id) => moving.has(id));
  const anchor = target === undefined || !moving.has(target) ? target : after(order, moving);
  const rest = order.filter((id) => !moving.has(id));
  const at = anchor === undefined ? rest.length : rest.indexOf(anchor);
  return [...rest.slice(0, at), ...run, ...rest.slice(at)];
}

/** The first step behind the last of `moving`. */
function after(order: readonly OperationId[], moving: ReadonlySet<OperationId>): OperationId | undefined {
  return order[order.findLastIndex((id) => moving.has(id)) + 1];
}

/**
 * As {@link movedTo}, and whatever `ids` wait for, or whatever waits for them, goes along, so that no edge is broken
 * that was kept before.
 */
export function movedAlong(
  order: readonly OperationId[],
  ids: readonly OperationId[],
  target: OperationId | undefined,
  edges: readonly Precedence[],
): readonly OperationId[] {
  const moved = movedTo(order, ids, target);
  const place = new Map(moved.map((id, index) => [id, index]));
  const graph = precedenceGraph(edges);
  const late = new Set<OperationId>();
  const early = new Set<OperationId>();
  for (const id of ids) {
    const at = place.get(id) ?? 0;
    for (const first of ancestorsOf(id, graph)) if ((place.get(first) ?? -1) > at) late.add(first);
    for (const then of descendantsOf(id, graph)) if ((place.get(then) ?? Infinity) < at) early.add(then);
  }
  const moving = new Set(ids);
  const rest = moved.filter((id) => !late.has(id) && !early.has(id) && !moving.has(id));
  // What stood right behind the run, and goes along with nobody, is where everything is put.
  const last = Math.max(...ids.map((id) => place.get(id) ?? 0));
  const anchor = moved.slice(last + 1).find((id) => !late.has(id) && !early.has(id));
  const at = anchor === undefined ? rest.length : rest.indexOf(anchor);
  const run = (some: ReadonlySet<OperationId>) => order.filter((id) => some.has(id));
  return [...rest.slice(0, at), ...run(late), ...run(moving), ...run(early), ...rest.slice(at)];
}

/** Pins that keep the run `ids` between the steps it stands between in `order`, in place of older pins of the same steps. */
export function pinnedTo(
  pins: readonly Pin[],
  order: readonly OperationId[],
  ids: readonly OperationId[],
): readonly Pin[] {
  const first = order.find((id) => ids.includes(id));
  const last = order.findLast((id) => ids.includes(id));
  if (first === undefined || last === undefined) return pins;
  const before = order[order.indexOf(first) - 1];
  const behind = order[order.indexOf(last) + 1];
  return [
    ...unpinned(pins, ids),
    ...(before === undefined ? [] : [{ of: first, before, after: first }]),
    ...(behind === undefined ? [] : [{ of: last, before: last, after: behind }]),
  ];
}

/** `pins` without those of the steps `ids`. */
export function unpinned(pins: readonly Pin[], ids: readonly OperationId[]): readonly Pin[] {
  return pins.filter(({ of }) => !ids.includes(of));
}
