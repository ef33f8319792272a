import type { PhotoMark } from '../../../photos/index.js';
import { NOTHING, unknown } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';

/** What is drawn on a picture from now on; the picture itself stays as it is. */
export interface PhotoMarked {
  readonly kind: 'photo-marked';
  readonly photo: string;
  readonly marks: readonly PhotoMark[];
}

export const photoMarked: EntryRules<PhotoMarked> = {
  mayFollow: ({ photos }, { photo }) => (photos.has(photo) ? NOTHING : unknown('photo', photo)),
  fold(draft, { photo: id, marks }) {
    const photo = draft.photos.get(id);
    if (photo) draft.photos.set(id, { ...photo, marks });
  },
  stop: () => 'strip',
  minutes: 'of-what-comes-next',
  fills: ({ photo }) => [photo],
  words: () => 'Photo drawn on',
};
