import { LITERATURE_TYPE_WORDS, MOST_LITERATURE, type KeptLiterature } from '../../../literature/kept.js';
import type { PhotoMark } from '../../../photos/index.js';
import { several } from '../../../words/index.js';
import { NOTHING, refuse } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';
import type { PinnedPage } from './page-pinned.js';

/** A file of the literature came to the job, or is called something else from now on. */
export interface LiteratureAdded extends KeptLiterature {
  readonly kind: 'literature-added';
  readonly title: string;
}

/** A file of the job’s literature, with what is drawn on its pages and where they belong. */
export interface Literature extends KeptLiterature, Mark {
  readonly title: string;
  readonly marks: ReadonlyMap<number, readonly PhotoMark[]>;
  readonly pins: readonly PinnedPage[];
}

export const literatureAdded: EntryRules<LiteratureAdded> = {
  mayFollow({ literature }, { file, title, bytes }) {
    const before = literature.get(file);
    if (before) return before.title === title ? refuse('twice', `“${title}” is with the job already.`) : NOTHING;
    if (literature.size >= MOST_LITERATURE.files)
      return refuse('sense', `A job keeps ${MOST_LITERATURE.files} files. Take one off that nobody needs.`);
    const all = [...literature.values()].reduce((sum, one) => sum + one.bytes, bytes);
    return all > MOST_LITERATURE.jobBytes
      ? refuse(
          'sense',
          `With “${title}” the literature of this job would come to more than ${MOST_LITERATURE.jobBytes / 1e6} MB. Keep the pages that are needed.`,
        )
      : NOTHING;
  },
  fold(draft, { file, title, type, pages, bytes }, mark) {
    const before = draft.literature.get(file);
    draft.literature.set(
      file,
      before ? { ...before, title } : { file, title, type, pages, bytes, marks: new Map(), pins: [], ...mark },
    );
  },
  stop: () => 'survey',
  minutes: 'of-what-comes-next',
  words: ({ title, type, pages }) =>
    `Literature: “${title}”, ${LITERATURE_TYPE_WORDS[type]}, ${several(pages, 'page')}`,
};
