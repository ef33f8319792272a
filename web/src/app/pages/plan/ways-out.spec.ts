import { openView, workedUntil } from '../../../testing/open-job';
import { WaysOut } from './ways-out';

beforeEach(() => localStorage.clear());

describe('ways out', () => {
  it('stand side by side with the crew’s time, and another one is taken while nothing stands against it', async () => {
    const view = await openView(WaysOut);
    await view.settle();
    expect(view.text()).toContain('Gearbox alone Down and out below');
    expect(view.text()).toContain('this plan');
    expect(view.text()).not.toContain('…');
    const way = [...view.element.querySelectorAll('li')].find((row) => row.textContent?.includes('Gearbox alone'));
    way?.querySelector('button')?.click();
    await view.settle();
    expect(view.server.plannings[0]?.plan).toMatchObject({ powerpack: 'gearbox', route: 'under' });
  });

  it('say why it is too late for one', async () => {
    const view = await openView(
      WaysOut,
      workedUntil((state) => state.progress.has('open:upper-hose')),
    );
    expect(view.text()).toContain('recorded already; it has to stay in the plan.');
  });
});
