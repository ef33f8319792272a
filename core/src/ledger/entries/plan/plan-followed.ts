import type { Crew, School, WorkOrder } from '../../../schedule/index.js';
import { halfOf, type Half, type OperationId } from '../../../teardown/index.js';
import { NOTHING, refuse, unknown } from '../../refusal.js';
import type { Mark } from '../../state.js';
import type { EntryRules } from '../entry-rules.js';

/** The crew’s own word on where step `of` belongs: `before` comes before `after`, one of which it is. */
export interface Pin {
  readonly of: OperationId;
  readonly before: OperationId;
  readonly after: OperationId;
}

/** A step that cannot begin yet: in how many minutes it can, as far as anybody knows, and why. */
export interface Wait {
  readonly operation: OperationId;
  readonly min?: number;
  readonly why: string;
}

/** What a plan is made with. Minutes are minutes of working time from when it was made. */
export interface PlanSettings {
  readonly crew: Crew;
  readonly school: School;
  readonly pins: readonly Pin[];
  readonly waits: readonly Wait[];
}

/** From now on the crew follows this order for what is left of one half. */
export interface PlanFollowed extends PlanSettings {
  readonly kind: 'plan-followed';
  readonly half: Half;
  readonly order: readonly OperationId[];
  /** Steps before which the machine is moved already, for what comes after them. */
  readonly moveFirst?: readonly OperationId[];
  /** What the plan promised when it was taken on. */
  readonly finishMin: number;
  readonly heightChanges: number;
}

/** The plan the crew follows for one half; each one taken on is the next version. */
export interface FollowedPlan extends Mark, WorkOrder {
  readonly version: number;
  readonly settings: PlanSettings;
  readonly finishMin: number;
  readonly heightChanges: number;
}

export const planFollowed: EntryRules<PlanFollowed> = {
  /** A plan may leave steps out, such as those that wait for a part, and may not put any before what it waits for. */
  mayFollow({ work }, { order, moveFirst = [], half }) {
    const place = new Map(order.map((id, index) => [id, index]));
    if (place.size < order.length) return refuse('sense', 'The plan has a step twice.');
    for (const id of order) {
      const operation = work.operations.get(id);
      if (!operation) return unknown('step', id);
      if (halfOf(operation.phase) !== half)
        return refuse('sense', `“${operation.title}” belongs to the other half of the job.`);
    }
    if (moveFirst.some((id) => !place.has(id)))
      return refuse('sense', 'The plan moves the machine for a step it does not have.');
    for (const { before, after, reason } of work.precedence) {
      const [first, then] = [place.get(before), place.get(after)];
      if (first !== undefined && then !== undefined && first > then)
        return refuse(
          'order',
          `The plan puts “${work.operations.get(after)?.title ?? after}” before “${work.operations.get(before)?.title ?? before}”. ${reason.words}`,
        );
    }
    return NOTHING;
  },
  fold(draft, { half, order, moveFirst, crew, school, pins, waits, finishMin, heightChanges }, mark) {
    const version = (draft.plans.get(half)?.version ?? 0) + 1;
    draft.plans.set(half, {
      version,
      order,
      ...(moveFirst ? { moveFirst } : {}),
      settings: { crew, school, pins, waits },
      finishMin,
      heightChanges,
      ...mark,
    });
  },
  stop: () => 'plan',
  minutes: 'of-what-comes-next',
  fills: ({ half }) => [half],
  words: () => 'Another plan is followed',
};
