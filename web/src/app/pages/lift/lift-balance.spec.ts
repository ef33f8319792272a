import { openView } from '../../../testing/open-job';
import { LiftBalance } from './lift-balance';

describe('balance', () => {
  it('says what stands and wheels carry before, stripped and after', async () => {
    const view = await openView(LiftBalance);
    const rows = [...view.element.querySelectorAll('tbody tr')].map((row) => row.textContent ?? '');
    expect(rows).toHaveLength(3);
    expect(rows[0]).toContain('As it came');
    expect(rows[2]).toMatch(/Powerpack out.*\d+, \d+/s);
    expect(view.text()).not.toContain('it tips');
    expect(view.text()).not.toMatch(/\bsafe\b/);
  });

  it('warns near the edge, refuses beyond it, and says so where the stands are the wrong way round', async () => {
    const view = await openView(LiftBalance);
    const [front] = view.element.querySelectorAll<HTMLInputElement>('input[type=range]');
    const stand = async (mm: number) => {
      if (!front) throw new Error('There is no stand to move.');
      front.value = String(mm);
      for (const event of ['input', 'change']) front.dispatchEvent(new Event(event, { bubbles: true }));
      await view.settle();
    };
    await stand(-1_450);
    expect(view.text()).toContain('The weight leaves the stands: it tips. Nobody lifts like this.');
    await stand(-1_250);
    expect(view.text()).toContain('a push would tip it');
    await stand(-3_200);
    expect(view.text()).toContain('The front support has to be before the rear one.');
  });
});
