import { theirEntry } from '../../../testing/test-job';
import { openView } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { Looked } from './looked';

const opened = (answers?: Answers, entries = [] as Parameters<typeof openView>[1]) =>
  openView(Looked, entries, undefined, {
    providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
  });
const rowOf = (element: HTMLElement, what: string) =>
  [...element.querySelectorAll('.looks li')].find((row) => row.querySelector('strong')?.textContent === what);

describe('what was looked at', () => {
  it('is told in one touch each, and proposes what to renew', async () => {
    const view = await opened();
    const before = Number(view.element.querySelector('.big .figure')?.textContent);
    rowOf(view.element, 'Rear crank seal')?.querySelectorAll<HTMLButtonElement>('mat-button-toggle button')[2]?.click();
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({ kind: 'looked-at', look: 'rear-seal-wear', finding: 'bad' });
    expect(Number(view.element.querySelector('.big .figure')?.textContent)).toBe(before - 1);
    expect(view.text()).toContain('1 thing bad');
    await view.press('Renew the rear crank seal');
    await view.settle();
    expect(view.text()).toContain('✓ rear crank seal is in the plan');
  });

  it('keeps a note for the next machine of its kind as well', async () => {
    const found = theirEntry({ kind: 'looked-at', look: 'loom-rubbed', finding: 'watch' });
    const view = await opened({ note: 'Behind the bracket' }, [found]);
    await view.press('Note on: Loom over hot and sharp places');
    await view.settle();
    expect(view.server.entries.slice(-2)).toMatchObject([
      { kind: 'looked-at', finding: 'watch', note: 'Behind the bracket' },
      { kind: 'noted', house: true, text: 'Loom over hot and sharp places: Behind the bracket' },
    ]);
  });

  it('judges readings by their spread, cylinder by cylinder', async () => {
    const view = await opened({
      reading: 'compression',
      values: '11,4 11.2 8.1 11.5',
      low: '',
      high: '',
      note: 'cold',
    });
    await view.press('Measured');
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({
      kind: 'unit-measured',
      values: [11.4, 11.2, 8.1, 11.5],
      note: 'cold',
    });
    expect(view.text()).toContain('Cylinder 3 has 70 % of the strongest');
    expect(view.element.querySelectorAll('.bars .bar')).toHaveLength(4);
  });
});
