import type { JobState, Literature, PinnedPage, BelongsTo } from '../ledger/index.js';
import type { Operation } from '../teardown/index.js';

/** A page of the literature that somebody pinned, and the file it is of. */
export interface PageFor {
  readonly file: string;
  readonly title: string;
  readonly page: number;
  readonly words?: string;
}

/** The pages pinned to a step: to itself, to its joint, or to the part it takes off, fits or works on. */
export function pagesFor(state: JobState, { id, connection, part }: Operation): readonly PageFor[] {
  return pagesWhere(
    state,
    (to) =>
      to.operation === id ||
      (connection !== undefined && to.connection === connection) ||
      (part !== undefined && to.part === part),
  );
}

/** The pages pinned to a part. */
export function pagesForPart(state: JobState, part: string): readonly PageFor[] {
  return pagesWhere(state, (to) => to.part === part);
}

/** What a page is pinned to, in words; `undefined` where that is no longer on the job. */
export function pinnedToWords({ work }: JobState, { operation, connection, part }: BelongsTo): string | undefined {
  if (operation !== undefined) return work.operations.get(operation)?.title;
  if (connection !== undefined) return work.connections.get(connection)?.name;
  return work.plan.map.parts.find(({ id }) => id === part)?.name;
}

function pagesWhere(state: JobState, isFor: (to: BelongsTo) => boolean): readonly PageFor[] {
  return [...state.literature.values()].flatMap((literature) =>
    literature.pins.filter(({ to }) => isFor(to)).map((pin) => pageFor(literature, pin)),
  );
}

function pageFor({ file, title }: Literature, { page, words }: PinnedPage): PageFor {
  return { file, title, page, ...(words === undefined ? {} : { words }) };
}
