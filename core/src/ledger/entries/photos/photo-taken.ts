import type { PhotoMark, PinnedTo } from '../../../photos/index.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';
import { OWNERS } from '../parts/part-placed.js';

/** A picture, named by the hash of its contents, and what it shows. */
export interface PhotoTaken {
  readonly kind: 'photo-taken';
  readonly photo: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pinnedTo: PinnedTo;
  readonly words?: string;
}

/** A picture of the job. The file is kept elsewhere, under the same name. */
export interface Photo extends Mark {
  readonly photo: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pinnedTo: PinnedTo;
  readonly words?: string;
  readonly marks: readonly PhotoMark[];
}

export const photoTaken: EntryRules<PhotoTaken> = {
  mayFollow({ work, needs }, { pinnedTo: { operation, connection, card } }) {
    if (operation !== undefined && !work.operations.has(operation)) return unknown('step', operation);
    if (card !== undefined && !needs.has(card) && !work.plan.map.parts.some(({ id }) => isCardOf(card, id)))
      return unknown('part', card);
    return connection === undefined || work.connections.has(connection) ? NOTHING : unknown('connection', connection);
  },
  fold(draft, { photo, widthPx, heightPx, pinnedTo, words }, mark) {
    const marks = draft.photos.get(photo)?.marks ?? [];
    draft.photos.set(photo, { photo, widthPx, heightPx, pinnedTo, ...(words ? { words } : {}), marks, ...mark });
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  words({ words, pinnedTo: { operation } }, { step }) {
    const of = words ?? (operation === undefined ? undefined : step(operation));
    return of ? `Photo: ${of}` : 'Photo';
  },
};

function isCardOf(card: string, part: string): boolean {
  return OWNERS.some((owner) => card === `${owner}:${part}`);
}
