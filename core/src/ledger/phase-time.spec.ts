import { smallPlan } from '../testing/small-map.js';
import { foldLedger, minutesByStop, type EntryBody, type LedgerEntry } from './index.js';

const at = (id: string, time: string, body: EntryBody, by = 'Ines') =>
  ({ id, at: `2026-03-02T${time}:00.000Z`, by, ...body }) as LedgerEntry;

describe('time at each stop', () => {
  it('counts the gap since the same person’s last entry, and a break only as the step’s likely minutes', () => {
    const state = foldLedger(smallPlan, [
      at('a', '07:00', { kind: 'operation-done', operation: 'open:negative' }),
      at('b', '07:10', { kind: 'operation-done', operation: 'open:cover-bolts' }),
      at('c', '07:12', { kind: 'noted', text: 'Other hands' }, 'Tobias'),
      at('d', '12:00', { kind: 'operation-done', operation: 'remove:cover' }),
      at('e', '12:30', { kind: 'part-needed', need: 'p', name: 'Seal', quantity: 1, reason: 'Weeps' }),
    ]);
    const minutes = minutesByStop(state);
    expect(minutes.get('strip')).toBe(1 + 10 + 0 + 1);
    expect(minutes.get('bench')).toBe(30);
    expect(minutes.get('refit')).toBe(0);
  });

  it('takes the likely minutes of a step for a gap only where the step was done', () => {
    const spent = (body: EntryBody) => minutesByStop(foldLedger(smallPlan, [at('a', '07:00', body)])).get('strip');
    expect(spent({ kind: 'operation-done', operation: 'open:radiator-bolts' })).toBe(3);
    expect(
      spent({
        kind: 'operation-stuck',
        operation: 'open:radiator-bolts',
        trouble: 'seized',
        tried: 'Heat',
        minutesLost: 20,
      }),
    ).toBe(0);
    expect(spent({ kind: 'operation-done', operation: 'off the map' })).toBe(0);
  });
});
