import { Selection } from '../session/selection';
import { TestBed } from '@angular/core/testing';
import { openView, workedUntil } from '../../testing/open-job';
import { testJob } from '../../testing/test-job';
import { isDone } from '@brisk/core/ledger';
import { StepInHand } from './step-in-hand';

const TWO_HANDED = 'open:bonnet-struts';
const open = (crew: readonly string[]) =>
  openView(
    StepInHand,
    workedUntil((state) => isDone(state, 'hold:made-safe') && isDone(state, 'open:bonnet-washer-hose')),
    (desk) => {
      TestBed.inject(Selection).take(TWO_HANDED);
      return { state: desk.state(), phases: ['strip', 'lift'] };
    },
    { job: { ...testJob, crew: [...crew] } },
  );

describe('a step that wants two', () => {
  it('is held by whoever works alone until somebody is with them, and that is written', async () => {
    const view = await open(['Ines']);
    const before = view.server.entries.length;
    await view.press('Done');
    await view.settle();
    expect(view.server.entries).toHaveLength(before);
    await view.press(/^A second person is with me/);
    await view.press('Done');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'operation-done', operation: TWO_HANDED, helped: true });
  });

  it('holds its torque as well, keys and all', async () => {
    const TORQUE = 'bulkhead-shield-nuts';
    const { map } = testJob.plan;
    const heavy = map.connections.map((one) =>
      one.id === TORQUE ? { ...one, hands: 2 as const, moves: ['crank'] as const } : one,
    );
    const entries = workedUntil((state) => isDone(state, `torque:${TORQUE}`));
    const view = await openView(
      StepInHand,
      entries.slice(
        0,
        entries.findIndex(({ kind }) => kind === 'torque-read'),
      ),
      (desk) => {
        TestBed.inject(Selection).take(`torque:${TORQUE}`);
        return { state: desk.state(), phases: ['refit'] };
      },
      { job: { ...testJob, crew: ['Ines'], plan: { ...testJob.plan, map: { ...map, connections: heavy } } } },
    );
    expect(view.text()).toContain('Hold until somebody is with you');
    expect(view.text()).not.toMatch(/Clicked|One reading/);
    await view.press(/^A second person is with me/);
    await view.press('One reading for the whole joint');
    await view.press(/^Clicked at/);
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ operation: `torque:${TORQUE}`, helped: true });
  });

  it('asks nothing of the sort where two are on the job', async () => {
    const view = await open(['Ines', 'Tobias']);
    expect(view.text()).not.toContain('A second person is with me');
    await view.press('Done');
    await view.settle();
    expect(view.server.entries.at(-1)).not.toHaveProperty('helped');
  });
});
