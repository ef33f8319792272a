import type { PhotoMark } from '../../../photos/index.js';
import { NOTHING } from '../../refusal.js';
import type { EntryRules } from '../entry-rules.js';
import { noSuchPage } from './no-such-page.js';

/** What is drawn on a page of the working copy from now on; the clean copy stays as it came. */
export interface PageMarked {
  readonly kind: 'page-marked';
  readonly file: string;
  readonly page: number;
  readonly marks: readonly PhotoMark[];
}

export const pageMarked: EntryRules<PageMarked> = {
  mayFollow: (state, entry) => noSuchPage(state, entry) ?? NOTHING,
  fold(draft, { file, page, marks }) {
    const literature = draft.literature.get(file);
    if (literature) draft.literature.set(file, { ...literature, marks: new Map(literature.marks).set(page, marks) });
  },
  stop: () => 'survey',
  minutes: 'of-what-comes-next',
  fills: ({ file, page }) => [`${file} ${page}`],
  words: ({ file, page }, { state }) => `Page ${page} of “${state.literature.get(file)?.title ?? 'a file'}” drawn on`,
};
