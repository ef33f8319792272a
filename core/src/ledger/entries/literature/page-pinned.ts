import type { ConnectionId, PartId } from '../../../connection-map/index.js';
import type { OperationId } from '../../../teardown/index.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';
import { noSuchPage } from './no-such-page.js';

/** What a page belongs to: one of these. */
export interface BelongsTo {
  readonly operation?: OperationId;
  readonly connection?: ConnectionId;
  readonly part?: PartId;
}

/** A page is opened from a step, joint or part from now on. Taking this entry back takes the page off again. */
export interface PagePinned {
  readonly kind: 'page-pinned';
  readonly file: string;
  readonly page: number;
  readonly to: BelongsTo;
  /** What it is for: “the table below”. */
  readonly words?: string;
}

export interface PinnedPage extends Mark {
  readonly page: number;
  readonly to: BelongsTo;
  readonly words?: string;
}

export const pagePinned: EntryRules<PagePinned> = {
  mayFollow(state, { file, page, to }) {
    const none = noSuchPage(state, { file, page });
    if (none) return none;
    const { operation, connection, part } = to;
    if (Object.values(to).filter((one) => one !== undefined).length !== 1)
      return refuse('sense', 'A page is pinned to one step, one joint or one part at a time.');
    if (operation !== undefined && !state.work.operations.has(operation)) return unknown('step', operation);
    if (connection !== undefined && !state.work.connections.has(connection)) return unknown('connection', connection);
    if (part !== undefined && !state.work.plan.map.parts.some(({ id }) => id === part)) return unknown('part', part);
    const there = state.literature.get(file)?.pins.some((pin) => pin.page === page && keyOf(pin.to) === keyOf(to));
    return there ? refuse('twice', 'That page is pinned there already.') : NOTHING;
  },
  fold(draft, { file, page, to, words }, mark) {
    const literature = draft.literature.get(file);
    if (!literature) return;
    const pin = { page, to, ...(words ? { words } : {}), ...mark };
    draft.literature.set(file, { ...literature, pins: [...literature.pins, pin] });
  },
  stop: () => 'survey',
  minutes: 'of-what-comes-next',
  words({ file, page, to }, { state, step, joint }) {
    const { operation, connection, part } = to;
    const named =
      operation !== undefined
        ? step(operation)
        : connection !== undefined
          ? joint(connection)
          : (state.work.plan.map.parts.find(({ id }) => id === part)?.name ?? 'a part');
    return `Page ${page} of “${state.literature.get(file)?.title ?? 'a file'}” pinned to: ${named}`;
  },
};

function keyOf({ operation, connection, part }: BelongsTo): string {
  return operation ?? connection ?? `part:${part ?? ''}`;
}
