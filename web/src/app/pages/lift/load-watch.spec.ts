import { gateOf } from '@brisk/core/ledger';
import { Ask } from '../../ui/ask';
import { openView, workedUntil } from '../../../testing/open-job';
import { HoldActions } from '../../working-step/hold-actions';
import { LoadWatch } from './load-watch';

const hanging = workedUntil((state) => gateOf(state, 'pre-lift').signed !== undefined);
const opened = (kg: number, lagging = 'none') =>
  openView(LoadWatch, hanging, (desk) => ({ state: desk.state() }), {
    providers: [HoldActions, { provide: Ask, useValue: { ask: () => Promise.resolve({ kg, lagging }) } }],
  });

describe('the load, watched', () => {
  it('says what should hang until somebody reads the scale', async () => {
    const view = await opened(320);
    expect(view.text()).toMatch(/\d+ kg should hang/);
    await view.press('Read the crane scale');
    await view.settle();
    expect(view.text()).toContain('320 of');
    expect(view.text()).toContain('About what should hang.');
    expect(view.element.querySelectorAll('li')).toHaveLength(0);
  });

  it('stops when the scale runs ahead, and says what is most likely still on', async () => {
    const view = await opened(470, 'left');
    await view.press('Read the crane scale');
    await view.settle();
    expect(view.text()).toContain('Stop and let it down. Far more than hangs on it: something holds fast.');
    expect(view.element.querySelectorAll('li')).toHaveLength(6);
    expect(view.text()).toMatch(/Recorded as off\. /);
    expect(view.desk.state()?.loads.at(-1)).toMatchObject({ kg: 470, lagging: 'left' });
  });
});
