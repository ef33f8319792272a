import {
  partsById,
  planHeldTo,
  type Chore,
  type Connection,
  type ConnectionId,
  type JobPlan,
  type PartId,
} from '../connection-map/index.js';
import type { Stages } from '../refit/index.js';
import { operationId, type Precedence, type Reason } from '../teardown/index.js';
import type { BenchRequirements } from './required.js';

/** What loads the crank is undone before it is pinned, and done up again once the pins are out. */
export function pinEdges(
  plan: JobPlan,
  { renewed }: BenchRequirements,
  opened: readonly Connection[],
  chores: readonly Chore[],
  stages: ReadonlyMap<ConnectionId, Stages>,
): readonly Precedence[] {
  if (!planHeldTo(plan, 7)) return [];
  const parts = partsById(plan.map);
  const turns = (part: PartId) => parts.get(part)?.movesWith === 'crank';
  const pinned = (which: 'in' | 'out') =>
    chores.flatMap(({ id, pins }) => (pins === which ? [operationId.chore(id)] : []));
  const reason: Reason = {
    kind: 'safety',
    words: 'Nothing pulls at the crank while pins hold it: they bend, or break what they sit in.',
  };
  const loading = opened.filter(
    ({ kind, moves, between }) => moves?.includes('crank') || (kind === 'bolted' && between.some(turns)),
  );
  // What is behind a timing drive is done with the pins in: it loads nothing.
  const behind = new Set(renewed.flatMap(({ after = [] }) => after));
  return [
    ...pinned('in').flatMap((pin) => loading.map(({ id }) => ({ before: operationId.open(id), after: pin, reason }))),
    ...pinned('out').flatMap((pin) => [
      ...loading.flatMap(({ id }) => {
        const own = stages.get(id);
        return own ? [{ before: pin, after: own.first, reason }] : [];
      }),
      ...renewed.flatMap(({ id, at }) =>
        turns(at) && !behind.has(id) ? [{ before: pin, after: operationId.renew(id), reason }] : [],
      ),
    ]),
  ];
}
