import { several } from '../../../words/index.js';
import { refuse, unknown, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';

/** Why nothing can be said of `page` of `file`: one of them is not with the job. Undefined where they are. */
export function noSuchPage(
  { literature }: JobState,
  { file, page }: { readonly file: string; readonly page: number },
): readonly Refusal[] | undefined {
  const known = literature.get(file);
  if (!known) return unknown('file', file);
  return page > known.pages
    ? refuse('sense', `“${known.title}” has ${several(known.pages, 'page')}: there is no page ${page}.`)
    : undefined;
}
