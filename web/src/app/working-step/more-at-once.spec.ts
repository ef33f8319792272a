import { foldLedger, nextUp, type JobState } from '@brisk/core/ledger';
import { testJob } from '../../testing/test-job';
import { workedUntil } from '../../testing/open-job';
import { moreAtOnce, type AtHand } from './more-at-once';

const state = foldLedger(
  testJob.plan,
  workedUntil((now) => nextUp(now)?.operation.id === 'open:injector-1'),
);
const first = (now: JobState) => {
  const operation = now.work.operations.get('open:injector-1');
  if (!operation) throw new Error('There is no injector 1.');
  return operation;
};
const at: AtHand = {
  set: {
    counting: undefined,
    count: 0,
    keeping: 'bag',
    tag: { number: 7, fresh: true },
    fluid: undefined,
    litres: '',
    asked: [],
    looked: new Set(),
  },
  turns: new Map(),
  clicks: true,
  helped: false,
};
const turns = (of: Readonly<Record<string, string>>) =>
  new Map(Object.entries(of).map(([number, who]) => [`open:injector-${number}`, [who]]));

describe('one key for more than the step in hand', () => {
  it('counts the tags of a row on from the one in hand, and writes none where none goes on', () => {
    const row = moreAtOnce(state, first(state), at);
    expect(row?.words).toBe('Numbers 1 to 3 done');
    expect(row?.bodies).toEqual([
      { kind: 'tagged', connection: 'injector-2', tag: 8 },
      { kind: 'operation-done', operation: 'open:injector-2' },
      { kind: 'tagged', connection: 'injector-3', tag: 9 },
      { kind: 'operation-done', operation: 'open:injector-3' },
    ]);
    const bare = moreAtOnce(state, first(state), { ...at, set: { ...at.set, tag: undefined } });
    expect(bare?.bodies.map(({ kind }) => kind)).toEqual(['operation-done', 'operation-done']);
    expect(bare?.beside).toBe('');
  });

  it('leaves to somebody else what is theirs by the plan', () => {
    const mine = (of: Readonly<Record<string, string>>) => moreAtOnce(state, first(state), { ...at, turns: turns(of) });
    expect(mine({ 1: 'Ines', 2: 'Ines', 3: 'Tobias' })?.words).toBe('Numbers 1 to 2 done');
    expect(mine({ 1: 'Ines', 2: 'Tobias', 3: 'Ines' })).toBeUndefined();
  });
});
