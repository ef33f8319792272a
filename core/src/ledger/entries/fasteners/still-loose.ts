import { NOTHING, refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';

/** Why the loose fastener `id` can be given no place: there is none, or it has one. */
export function stillLoose({ loose, work }: JobState, id: string): readonly Refusal[] {
  const bolt = loose.get(id);
  if (!bolt) return unknown('loose fastener', id);
  if (bolt.home) {
    const { connection } = bolt.home;
    return refuse('twice', `That one has its home at ${work.connections.get(connection)?.name ?? connection} already.`);
  }
  return bolt.aside ? refuse('twice', `That one is set aside already: ${bolt.aside.reason}`) : NOTHING;
}
