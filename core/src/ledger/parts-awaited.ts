import type { Operation } from '../teardown/index.js';
import type { PartToOrder } from './entries/parts/part-needed.js';
import type { JobState } from './state.js';

/** What is renewed at `operation` and has not come, or came wrong. */
export function partsAwaitedAt({ needs }: JobState, { id, kind }: Operation): readonly PartToOrder[] {
  if (kind !== 'renew') return [];
  return [...needs.values()].filter(
    ({ operation, stage }) => operation === id && stage !== 'arrived' && stage !== 'fitted',
  );
}
