import { dayWords } from '../words/index.js';
import type { DaySaid } from './entries/entry-rules.js';
import { ENTRY_KINDS, rulesOf } from './entries/registry.js';
import { OPEN_ITEM_SORTS, type OpenItem } from './open-item.js';
import { isSettled, stillOpen } from './reading.js';
import type { JobState } from './state.js';

/**
 * Everything that is not as it should be, gravest first. Before the refit is over it says what is missing by then; `day` writes
 * days as the shop does.
 */
export function openItems(state: JobState, day: DaySaid = dayWords): readonly OpenItem[] {
  const items = [...ofTheMap(state), ...ENTRY_KINDS.flatMap((kind) => rulesOf(kind).leavesOpen?.(state, day) ?? [])];
  const told = ({ is }: OpenItem) => OPEN_ITEM_SORTS.indexOf(is);
  return items.sort((one, other) => Number(other.grave) - Number(one.grave) || told(one) - told(other));
}

/** What is open without anybody having written anything: the plan says so. */
function ofTheMap(state: JobState): readonly OpenItem[] {
  return [
    ...stillOpen(state).map(({ name }): OpenItem => ({ is: 'still-open', grave: true, words: `Still open: ${name}` })),
    ...(state.plan.lookAt ?? []).map(({ question, taken }): OpenItem => ({
      is: 'look-at',
      grave: false,
      words: `Nobody has looked yet: ${question} Taken for now: ${taken}`,
    })),
    ...[...state.work.operations.values()].flatMap((operation): readonly OpenItem[] =>
      isSettled(state, operation)
        ? []
        : [{ is: 'step', grave: operation.phase !== 'handover', words: `Not done: ${operation.title}` }],
    ),
  ];
}
