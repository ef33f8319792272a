import { testJob } from '../../../testing/test-job';
import { openView } from '../../../testing/open-job';
import { LiftRig } from './lift-rig';

describe('the rig', () => {
  it('says what hangs, how it pulls, and which holes of the boom do it', async () => {
    const view = await openView(LiftRig);
    expect(view.text()).toMatch(/On the hook \d+ kg/);
    expect(view.text()).toMatch(/\d+ kg, \d+°/);
    expect(view.text()).toContain('does not reach it');
    expect(view.text()).toMatch(/reaches it; \d+ kg with a quarter more for the jerk/);
    expect(view.text()).toContain('The rating plate and the manufacturer’s table come first.');
    expect(view.text()).not.toMatch(/\bsafe\b/);
  });

  it('warns of a flat leg and refuses a flatter one, as the hook comes down', async () => {
    const view = await openView(LiftRig);
    const [, , height] = view.element.querySelectorAll<HTMLInputElement>('input[type=range]');
    const lower = async (mm: number) => {
      if (!height) throw new Error('There is no hook to lower.');
      height.value = String(mm);
      for (const event of ['input', 'change']) height.dispatchEvent(new Event(event, { bubbles: true }));
      await view.settle();
    };
    await lower(300);
    expect(view.text()).toContain('flatter than 45°');
    await lower(120);
    expect(view.text()).toContain('flatter than 30°: nobody lifts like that');
  });

  it('says so where both picks are to one side of the weight', async () => {
    const view = await openView(LiftRig);
    const [front] = view.element.querySelectorAll<HTMLInputElement>('input[type=range]');
    if (!front) throw new Error('There is no pick.');
    const [, rear] = view.element.querySelectorAll<HTMLInputElement>('input[type=range]');
    if (rear) {
      rear.value = '0.7';
      for (const event of ['input', 'change']) rear.dispatchEvent(new Event(event, { bubbles: true }));
    }
    await view.settle();
    expect(view.text()).toContain('The hook has to be between the two pick points: move one of them.');
  });

  it('reckons how high the body comes where nothing hangs on a hook', async () => {
    const job = { ...testJob, plan: { ...testJob.plan, powerpack: 'gearbox', route: 'under' } };
    const view = await openView(LiftRig, [], undefined, { job });
    expect(view.text()).toMatch(/Body up \d+ mm from its wheels/);
    expect(view.text()).toMatch(/Trolley jack.+does not go high enough.+Gearbox jack.+body up \d+ mm/);
    expect(view.text()).not.toContain('Low dolly');
    expect(view.text()).toContain('Stands hold a body, never a jack alone');
  });
});
