import type { BelongsTo, JobState } from '@brisk/core/ledger';
import { sentence } from '@brisk/core/words';
import type { Choice } from '../../ui/choice';

const KIND = { step: 'operation', joint: 'connection', part: 'part' } as const;

/** What a page is pinned to, as one word: `step:open:bell-bolts`. */
export function placeOf({ operation, connection, part }: BelongsTo): string {
  if (operation !== undefined) return `step:${operation}`;
  return connection !== undefined ? `joint:${connection}` : `part:${part ?? ''}`;
}

/** What the word `place` says, or undefined for none. */
export function belongsTo(place: string): BelongsTo | undefined {
  const [kind, ...id] = place.split(':');
  const field = kind === 'step' || kind === 'joint' || kind === 'part' ? KIND[kind] : undefined;
  return field && id.length > 0 ? { [field]: id.join(':') } : undefined;
}

/** Everything on a job that a page can be pinned to: joints and parts first, since they are there out and back. */
export function placesOn(state: JobState | undefined): readonly Choice<string>[] {
  if (!state) return [];
  const { connections, operations, plan } = state.work;
  return [
    ...[...connections.values()].map(({ id, name }) => ({ value: `joint:${id}`, words: `${sentence(name)} (joint)` })),
    ...plan.map.parts.map(({ id, name }) => ({ value: `part:${id}`, words: `${sentence(name)} (part)` })),
    ...[...operations.values()].map(({ id, title }) => ({ value: `step:${id}`, words: `${title} (step)` })),
  ];
}
