import { testJob } from '../../../testing/test-job';
import { openView } from '../../../testing/open-job';
import { BellGap } from './bell-gap';

const split = { ...testJob, plan: { ...testJob.plan, powerpack: 'engine', route: 'top-engine' } };
const measured = async (gaps: readonly string[]) => {
  const view = await openView(BellGap, [], undefined, { job: split });
  view.element.querySelector<HTMLElement>('mat-expansion-panel-header')?.click();
  const fields = [...view.element.querySelectorAll<HTMLInputElement>('input')];
  gaps.forEach((mm, index) => {
    const field = fields[index];
    if (!field) throw new Error('There is no field for it.');
    field.value = mm;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  });
  await view.settle();
  return view;
};

describe('the gap at the bell face', () => {
  it.each([
    [['14', '7', '10', '10'], /Not straight.*Far end up \d\.\d°/s],
    [['10', '10', '8', '12'], /Far end to the right \d\.\d°/],
    [['10', '10', '10', '10.5'], /The same all round/],
    [['0', '0', '0', '0'], /Home all round/],
    [['-2', '7', '10', '10'], /A gap is from 0 to 200 mm/],
  ])('of %j says what to do', async (gaps, words) => expect((await measured(gaps)).text()).toMatch(words));

  it('waits for all four', async () => {
    expect((await measured(['14', '7', '10'])).text()).not.toMatch(/straight|all round/);
  });

  it('is not asked where nothing is brought onto a shaft', async () => {
    const view = await openView(BellGap);
    expect(view.element.querySelector('mat-expansion-panel')).toBeNull();
  });
});
