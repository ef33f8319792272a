import { isDone } from '@brisk/core/ledger';
import { theirEntry } from '../../../testing/test-job';
import { openView, pressable, type, workedUntil } from '../../../testing/open-job';
import { RecordView } from './record';

const worked = workedUntil((state) => isDone(state, 'make:fuel-depressurised'));

describe('the record', () => {
  it('says what was done in words, newest first', async () => {
    const view = await openView(RecordView, worked);
    const lines = [...view.element.querySelectorAll('.words')].map((one) => one.textContent?.trim());
    expect(lines[0]).toBe('Done: Let the low side down at the fuel filter');
    expect(lines.at(-1)).toBe('Done: Read the stored codes and write them down');
  });

  it('is searched by words and by person', async () => {
    const view = await openView(RecordView, [
      ...worked,
      theirEntry({ kind: 'noted', text: 'Scratch on the wing' }),
      theirEntry({ kind: 'bolt-found', bolt: 'b', measured: { lengthMm: 20 }, where: 'under the lift' }),
    ]);
    type(view.element, 'record-words', 'scratch');
    await view.settle();
    expect(view.element.querySelectorAll('.words')).toHaveLength(1);
    expect(view.text()).toContain('Note: Scratch on the wing');
    type(view.element, 'record-words', 'found loose');
    await view.settle();
    expect(view.text()).toContain('Found loose: under the lift');
  });

  it('shows what was taken back struck out, and lets it not be taken back again', async () => {
    const [first] = worked;
    const view = await openView(RecordView, [
      ...worked,
      theirEntry({ kind: 'corrected', corrects: worked.at(-1)?.id ?? '', reason: 'Wrong lead' }),
    ]);
    expect(view.text()).toContain('Taken back: Done: Let the low side down at the fuel filter. Wrong lead');
    expect(view.element.querySelectorAll('li.gone')).toHaveLength(1);
    expect(() => pressable(view.element, 'Take back: Done: Let the low side down at the fuel filter')).toThrow();
    expect(first?.kind).toBe('operation-done');
    expect(pressable(view.element, 'Take back: Done: Read the stored codes and write them down')).toBeTruthy();
  });
});
