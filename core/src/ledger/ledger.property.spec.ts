import fc from 'fast-check';
import { CyclicMapError } from '../connection-map/index.js';
import { randomPlan } from '../testing/random-map.js';
import { STOPS } from '../stops/index.js';
import { entriesForNext, recorder, workOn } from '../testing/crew.js';
import {
  canApply,
  extend,
  foldLedger,
  possibleNow,
  replay,
  startOf,
  type EntryBody,
  type JobState,
  type LedgerEntry,
} from './index.js';

function startOrLoop(plan: Parameters<typeof startOf>[0]): JobState | undefined {
  try {
    return startOf(plan);
  } catch (error) {
    if (error instanceof CyclicMapError) return undefined;
    throw error;
  }
}

/** One thing a person might try, sensible or not, picked by `dice`. */
function tryAt(state: JobState, dice: number): readonly EntryBody[] {
  const possible = possibleNow(state);
  const all = [...state.work.operations.keys()];
  const operation = possible[dice % Math.max(1, possible.length)]?.id ?? 'open:nothing';
  const whichever = all[dice % all.length] ?? 'open:nothing';
  const connection = state.work.plan.map.connections[dice % state.work.plan.map.connections.length]?.id ?? '';
  switch (dice % 10) {
    case 0:
      return [{ kind: 'operation-stuck', operation: whichever, trouble: 'seized', tried: 'heat', minutesLost: 5 }];
    case 1:
      return [{ kind: 'operation-skipped', operation: whichever, mode: dice % 4 ? 'later' : 'not-here', reason: 'So' }];
    case 2:
      return [{ kind: 'left-on-purpose', connection, reason: 'So' }];
    case 3:
      return [{ kind: 'operation-done', operation: whichever }];
    case 4:
      return [
        {
          kind: 'corrected',
          corrects: state.entries[dice % Math.max(1, state.entries.length)]?.id ?? 'none',
          reason: 'So',
        },
      ];
    case 5:
      return [
        {
          kind: 'connection-found',
          alreadyOpen: dice % 3 === 0,
          connection: {
            id: `found-${state.position}`,
            name: 'a clip',
            kind: 'clip',
            between: ['engine', 'body'],
            station: 'front',
            height: 'either',
          },
        },
      ];
    case 6:
      return [{ kind: 'operation-done', operation }];
    default:
      return entriesForNext(state);
  }
}

/** Lets a crew try things at random and keeps what the ledger would take. */
function scramble(start: JobState, dice: readonly number[]): { state: JobState; entries: readonly LedgerEntry[] } {
  const record = recorder();
  let state = start;
  const entries: LedgerEntry[] = [];
  for (const roll of dice)
    for (const body of tryAt(state, roll)) {
      const entry = record(body);
      if (canApply(state, entry).length > 0) continue;
      state = extend(state, [entry]);
      entries.push(entry);
    }
  return { state, entries };
}

const dice = fc.array(fc.nat(100_000), { minLength: 5, maxLength: 60 });

describe('whatever a crew tries', () => {
  it('every prefix of the ledger is legal and folds to the same state, at once or entry by entry', () => {
    fc.assert(
      fc.property(randomPlan, dice, fc.nat(100), (plan, rolls, cut) => {
        const start = startOrLoop(plan);
        if (!start) return;
        const { state, entries } = scramble(start, rolls);
        expect(foldLedger(plan, entries)).toEqual(state);
        const prefix = entries.slice(0, Math.floor((entries.length * cut) / 100));
        const replayed = replay(startOf(plan), prefix);
        expect(replayed.refused).toBeUndefined();
        expect(replayed.state).toEqual(foldLedger(plan, prefix));
      }),
      { numRuns: 30 },
    );
  });

  it('a job can always be brought to handover from where it stands', () => {
    let walked = 0;
    fc.assert(
      fc.property(randomPlan, dice, (plan, rolls) => {
        const start = startOrLoop(plan);
        if (!start) return;
        walked += 1;
        const scrambled = scramble(start, rolls).state;
        const record = recorder('Tobias', '2026-04-01T07:00:00.000Z');
        const finished = workOn(scrambled, (body) => ({ ...record(body), id: `late-${record(body).id}` }));
        expect(finished.state.handedOver).toBeDefined();
      }),
      { numRuns: 30 },
    );
    expect(walked).toBeGreaterThan(20);
    expect(STOPS).toHaveLength(8);
  });
});
