import { TestBed } from '@angular/core/testing';
import { openView } from '../../testing/open-job';
import { Plan } from './plan';
import { PlanDraft } from './plan-draft';
import { SearchRun } from './search-run';

beforeEach(() => localStorage.clear());

describe('a search in slices', () => {
  it('is done when its time is over, and at once where there is nothing to order', async () => {
    await openView(Plan);
    const now = TestBed.inject(PlanDraft).now();
    if (!now) throw new Error('There is a plan.');
    let clock = 0;
    const run = new SearchRun({ problem: now.problem, seed: 1, forMs: 10 }, () => clock++);
    expect(run.slice(2).done).toBe(false);
    let found = run.slice(5);
    while (!found.done) found = run.slice(5);
    expect(found.spentMs).toBeGreaterThanOrEqual(10);
    const empty = new SearchRun({ problem: { ...now.problem, operations: [] }, seed: 1, forMs: 1_000 }, () => 0);
    expect(empty.slice(5)).toMatchObject({ plan: { order: [] }, done: true });
  });
});
