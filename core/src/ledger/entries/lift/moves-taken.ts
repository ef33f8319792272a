import { MapError, routeOf } from '../../../connection-map/index.js';
import { byMoves, type MovesOut } from '../../../work/index.js';
import { isDone } from '../../reading.js';
import { rework, workNow } from '../../at-the-bench.js';
import { NOTHING, refuse, type Refusal } from '../../refusal.js';
import type { JobState } from '../../state.js';
import { several } from '../../../words/index.js';
import type { EntryRules } from '../entry-rules.js';

/** The lift goes by moves worked out for this machine, instead of the layout’s few steps. */
export interface MovesTaken extends MovesOut {
  readonly kind: 'moves-taken';
}

/** Following a ledger costs time for each of these, so a ledger may hold only so many. */
const MOST_TAKEN = 60;

export const movesTaken: EntryRules<MovesTaken> = {
  mayFollow(state, { kind: _kind, id: _id, at: _at, by: _by, ...moves }) {
    const begun = [...state.work.operations.values()].some(
      ({ id, phase }) => phase === 'lift' && isDone(state, id) && id.startsWith('lift:'),
    );
    if (state.entries.filter(({ kind }) => kind === 'moves-taken').length >= MOST_TAKEN)
      return refuse('sense', `Moves were taken ${MOST_TAKEN} times on this job. Go on by those there are.`);
    if (begun) return refuse('order', 'The lift has begun: go on by the moves it was begun with.');
    if (moves.powerpack !== state.plan.powerpack || moves.route !== state.plan.route)
      return refuse('sense', 'These moves are of another way out than the one of this plan. Look for the way anew.');
    if (routeOf(state.plan).liftSteps.length < 2)
      return refuse('sense', 'This route says too little of its way out for moves to stand between.');
    if (byMoves(state.plan, moves) === state.plan)
      return refuse('sense', 'This route has not the steps its legs stand between. Look for the way anew.');
    return unworkable(state, moves);
  },
  fold(draft, { kind: _kind, id: _id, at: _at, by: _by, ...moves }) {
    draft.moves = moves;
    rework(draft);
  },
  stop: () => 'lift',
  minutes: 'by-itself',
  fills: () => ['moves'],
  words: ({ out, then = [] }) => {
    const count = out.length + then.reduce((sum, leg) => sum + leg.out.length, 0);
    return `The lift goes by ${several(count, 'move')} worked out for this machine`;
  },
};

function unworkable(state: JobState, moves: MovesOut): readonly Refusal[] {
  try {
    workNow({ ...state, moves });
    return NOTHING;
  } catch (error) {
    if (error instanceof MapError) return refuse('sense', error.message);
    throw error;
  }
}
