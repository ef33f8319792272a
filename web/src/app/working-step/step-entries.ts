import type { AskedLook, Look } from '@brisk/core/adjusting';
import type { Counting, EntryBody, FluidAtStep, Keeping, TagAtStep } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { figureIn } from '@brisk/core/words';

/** What was set, typed and ticked at a step before it was said to be done. */
export interface SetAtStep {
  readonly counting: Counting | undefined;
  readonly count: number;
  readonly keeping: Keeping;
  /** The tag that goes on both halves. */
  readonly tag: TagAtStep | undefined;
  readonly fluid: FluidAtStep | undefined;
  /** As it was typed; nothing where nobody measured. */
  readonly litres: string;
  readonly asked: readonly AskedLook[];
  readonly looked: ReadonlySet<Look>;
}

/** What is written with `operation` being done: the count, the tag, the litres and the looks of it. */
export function entriesAtStep({ connection }: Operation, set: SetAtStep): readonly EntryBody[] {
  return [
    ...(connection === undefined ? [] : [...counted(connection, set), ...tagged(connection, set)]),
    ...measured(set),
    ...(connection === undefined ? [] : lookedAt(connection, set)),
  ];
}

function counted(connection: string, { counting, count, keeping }: SetAtStep): readonly EntryBody[] {
  if (!counting) return [];
  const { direction } = counting;
  if (direction === 'in') return [{ kind: 'fasteners-counted', connection, direction, count }];
  const bag = keeping === 'bag' ? { bag: counting.bag } : {};
  return [{ kind: 'fasteners-counted', connection, direction, count, kept: keeping, ...bag }];
}

function tagged(connection: string, { tag }: SetAtStep): readonly EntryBody[] {
  return tag?.fresh ? [{ kind: 'tagged', connection, tag: tag.number }] : [];
}

function measured({ fluid, litres }: SetAtStep): readonly EntryBody[] {
  const read = figureIn(litres);
  if (!fluid || read === undefined) return [];
  const { circuit, direction, joint } = fluid;
  return [
    {
      kind: 'fluid-measured',
      circuit: circuit.id,
      direction,
      litres: read,
      ...(joint === undefined ? {} : { joint, onTop: true as const }),
    },
  ];
}

/** Looks that were ticked, and those that go with the key. */
function lookedAt(connection: string, { asked, looked }: SetAtStep): readonly EntryBody[] {
  const looks = asked.filter(({ look, own }) => !own || looked.has(look)).map(({ look }) => look);
  return looks.length > 0 ? [{ kind: 'joint-looked-at', connection, looks, good: true }] : [];
}
