import { unsettled } from '@brisk/core/ledger';
import { openView, type, workedUntil } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { Where } from './where';

const lifted = () => workedUntil((state) => unsettled(state, 'lift').length === 0);
const opened = (answers?: Answers) =>
  openView(Where, lifted(), undefined, {
    providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
  });

describe('where everything is', () => {
  it('has a card for what is off, put away by shelf or box', async () => {
    const view = await opened({
      place: 'shelf',
      where: 'rack 2',
      condition: 'cleaned',
      number: 'R 7',
      waitsFor: '',
      reason: '',
    });
    expect(view.text()).toContain('On the bench');
    await view.press('Put away: radiator');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      kind: 'part-placed',
      part: 'radiator',
      owner: 'host',
      place: 'shelf',
      where: 'rack 2',
      condition: 'cleaned',
      number: 'R 7',
    });
    expect(view.text()).toContain('rack 2 · cleaned · no. R 7');
  });

  it('is found by name, number or box', async () => {
    const view = await opened({ place: 'shelf', where: 'rack 2', condition: 'cleaned', number: 'R 7' });
    await view.press('Put away: radiator');
    await view.settle();
    type(view.element, 'part-words', 'rack 2');
    await view.settle();
    expect(view.element.querySelectorAll('li')).toHaveLength(1);
    type(view.element, 'part-words', 'nothing of the kind');
    await view.settle();
    expect(view.text()).toContain('Nothing answers that.');
  });

  it('throws nothing away before handover without a reason', async () => {
    const view = await opened({ place: 'bin', condition: 'as-it-came', reason: '' });
    const before = view.server.entries.length;
    await view.press('Put away: radiator');
    await view.settle();
    expect(view.server.entries).toHaveLength(before);
  });
});
