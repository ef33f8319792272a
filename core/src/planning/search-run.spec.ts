import { startOf } from '../ledger/index.js';
import { smallPlan } from '../testing/small-map.js';
import { planned, SearchRun, usualSettings } from './index.js';

const { problem } = planned(startOf(smallPlan), 'out', usualSettings(['Ines']), undefined);

describe('a search in slices', () => {
  it('is done when its time is over, and at once where there is nothing to order', () => {
    let clock = 0;
    const run = new SearchRun({ problem, seed: 1, forMs: 10 }, () => clock++);
    expect(run.slice(2).done).toBe(false);
    let found = run.slice(5);
    while (!found.done) found = run.slice(5);
    expect(found.spentMs).toBeGreaterThanOrEqual(10);
    const empty = new SearchRun({ problem: { ...problem, operations: [] }, seed: 1, forMs: 1_000 }, () => 0);
    expect(empty.slice(5)).toMatchObject({ plan: { order: [] }, done: true });
  });
});
