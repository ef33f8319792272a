import { openView, write } from '../../../testing/open-job';
import { Tools } from './tools';

beforeEach(() => localStorage.clear());

describe('tools', () => {
  it('are asked about, written down for the whole shop, hired, and seen in the plan', async () => {
    const view = await openView(Tools);
    await view.settle();
    const row = () =>
      [...view.element.querySelectorAll('li')].find((one) => one.textContent?.includes('transmission jack'));
    const press = async (words: string) => {
      [...(row()?.querySelectorAll('button') ?? [])].find((one) => one.textContent?.trim() === words)?.click();
      await view.settle();
    };
    expect(row()?.closest('section')?.className).toContain('unknown');
    await press('We do not');
    expect(view.server.toolList.document.tools).toEqual([{ tool: 'transmission jack', here: false }]);
    expect(row()?.closest('section')?.className).toContain('lacking');
    await press('Hire or borrow');
    const from = row()?.querySelector('input');
    if (!from) throw new Error('There is a field.');
    write(from, 'Hire desk, 30 a day');
    await press('Write it down');
    expect(row()?.textContent).toContain('Hire desk, 30 a day');
    expect(row()?.closest('section')?.className).toContain('hired');
    await press('We have it');
    expect(view.server.toolList.document.tools).toEqual([{ tool: 'transmission jack', here: true }]);
  });

  it('are put on top of what somebody else wrote meanwhile, and kept back while the server is gone', async () => {
    const view = await openView(Tools);
    await view.settle();
    view.server.toolList = { revision: 5, updatedAt: '', document: { tools: [{ tool: 'load leveller', here: true }] } };
    await view.press('We do not');
    await view.settle();
    expect(view.server.toolList.document.tools).toHaveLength(2);
    view.server.reachable = false;
    await view.press('We do not');
    await view.settle();
    expect(view.text()).toContain('Nothing was written.');
  });
});
