import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { TestBed } from '@angular/core/testing';
import { MatFormFieldHarness } from '@angular/material/form-field/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { isDone } from '@brisk/core/ledger';
import { openView, pressable, workedUntil, type Opened } from '../../../testing/open-job';
import { PlanDraft } from '../../planning/plan-draft';
import { Schools } from './schools';

const flat = (element: Element | null | undefined) => element?.textContent?.replace(/\s+/g, ' ').trim() ?? '';

beforeEach(() => localStorage.clear());

/** Has the loom go with the engine in the column at `index`. */
async function along(view: Opened<Schools>, index: number): Promise<void> {
  const looms = await TestbedHarnessEnvironment.documentRootLoader(view.fixture).getAllHarnesses(
    MatFormFieldHarness.with({ floatingLabelText: 'Engine loom' }),
  );
  const loom = await looms[index]?.getControl(MatSelectHarness);
  await loom?.open();
  await loom?.clickOptions({ text: 'goes with the engine' });
  await view.settle();
}

describe('schools', () => {
  it('stand side by side in figures, a fourth beside them for a while, and one is taken', async () => {
    const view = await openView(Schools);
    const columns = [...view.element.querySelectorAll('section')];
    expect(columns).toHaveLength(3);
    for (const column of columns) expect(flat(column)).toMatch(/Out \d+ h \d+.*Back \d+ h.*Connections opened \d+/);
    expect(view.text()).toContain('least');
    await view.press('+ Another beside it');
    expect(view.element.querySelectorAll('section')).toHaveLength(4);
    pressable(view.element.querySelectorAll('section')[3] ?? view.element, 'Take this column away').click();
    await view.settle();
    expect(view.element.querySelectorAll('section')).toHaveLength(3);
    await along(view, 1);
    const opened = (index: number) =>
      Number(/Connections opened (\d+)/.exec(flat(view.element.querySelectorAll('section')[index]))?.[1]);
    expect(opened(1)).toBeLessThan(opened(0));
    const take = view.element.querySelectorAll('section')[1]?.querySelector('button');
    take?.click();
    await view.settle();
    expect(view.server.plannings[0]?.plan.practice).toEqual({ along: ['loom'] });
    expect(TestBed.inject(PlanDraft).settings()?.school.order).toBe('by-system');
  });

  it('say what is recorded already and stands against one', async () => {
    const entries = workedUntil((state) => isDone(state, 'open:oil-pressure'));
    const view = await openView(Schools, entries);
    await along(view, 0);
    expect(view.text()).toMatch(/Not any more: .*has to stay in the plan/);
  });
});
