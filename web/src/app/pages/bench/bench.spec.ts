import { isDone } from '@brisk/core/ledger';
import { theirEntry } from '../../../testing/fake-server';
import { openView, type, workedUntil } from '../../../testing/open-job';
import { Bench } from './bench';

describe('the bench', () => {
  it('puts a part on the list and off it when it arrives', async () => {
    const view = await openView(Bench);
    expect(view.text()).toContain('Nothing is on the list.');
    type(view.element, 'name', 'Rear seal ');
    type(view.element, 'reason', 'Weeps');
    await view.press('Put it on the list');
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({
      kind: 'part-needed',
      name: 'Rear seal',
      quantity: 1,
      reason: 'Weeps',
    });
    await view.press('Arrived: Rear seal');
    await view.settle();
    expect(view.text()).toContain('✓ arrived');
  });

  it('says what is missing of a part', async () => {
    const view = await openView(Bench);
    type(view.element, 'quantity', '0');
    await view.press('Put it on the list');
    for (const words of ['Part is missing.', 'How many is too small', 'Why is missing.'])
      expect(view.text()).toContain(words);
    expect(view.server.entries).toEqual([]);
  });

  it('says nothing of a field that is only left, and nothing once a part is on the list', async () => {
    const view = await openView(Bench);
    view.element.querySelector('[name=name]')?.dispatchEvent(new Event('blur'));
    await view.settle();
    expect(view.text()).not.toContain('is missing');
    await view.press('Put it on the list');
    expect(view.text()).toContain('Part is missing.');
    type(view.element, 'name', 'Seal');
    type(view.element, 'reason', 'Weeps');
    await view.press('Put it on the list');
    await view.settle();
    expect(view.text()).not.toContain('is missing');
  });

  it('lists single-use fasteners of what was opened by itself', async () => {
    const view = await openView(
      Bench,
      workedUntil((state) => isDone(state, 'open:downpipe-turbo')),
    );
    expect(view.text()).toContain('3 × M8 copper nut, 13 mm the front pipe at the turbocharger');
    expect(view.text()).not.toContain('the left engine mount');
  });

  it('shows notes with who, when and on what', async () => {
    const note = theirEntry({ kind: 'noted', text: 'Ring gear is fine', operation: 'open:starter-cable' });
    const view = await openView(Bench, [note]);
    expect(view.text()).toMatch(/Ring gear is fine Tobias, 2 Mar .*, at: Unbolt the battery cable at the starter/);
  });
});
