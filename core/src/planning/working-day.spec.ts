import fc from 'fast-check';
import { clockAt, clockWords, closesAfter, workGoesOn, workUntil, workUntilDay } from './working-day';

describe('a working day', () => {
  const day = { begins: '07:30', ends: '16:00' };
  const on = (hours: number, minutes = 0, date = 2) => new Date(2026, 2, date, hours, minutes);

  it('leaves the nights out', () => {
    expect(clockAt(60, on(14), day)).toEqual(on(15));
    expect(clockAt(180, on(14), day)).toEqual(on(8, 30, 3));
    expect(clockAt(180 + 510, on(14), day)).toEqual(on(8, 30, 4));
    expect(clockAt(30, on(5), day)).toEqual(on(8));
    expect(clockAt(30, on(20), day)).toEqual(on(8, 0, 3));
  });

  it('says a time of day as it was typed, whatever second it was typed at', () => {
    const hours = fc.integer({ min: 0, max: 24 * 60 * 60_000 - 1 });
    fc.assert(
      fc.property(hours, fc.integer({ min: 0, max: 90_000 }), (typedAtMs, laterMs) => {
        const now = new Date(on(0).getTime() + typedAtMs);
        const minutes = workUntil('12:30', now, day) ?? NaN;
        expect(clockWords(minutes, now, day)).toBe('12:30');
        const later = new Date(now.getTime() + laterMs);
        const worked = later > workGoesOn(now, day) ? (later.getTime() - workGoesOn(now, day).getTime()) / 60_000 : 0;
        if (minutes > worked && typedAtMs + laterMs < 16 * 60 * 60_000)
          expect(clockWords(minutes - worked, later, day)).toBe('12:30');
      }),
      { numRuns: 500 },
    );
  });

  it('knows the minutes of work until a time of day, and until it closes', () => {
    expect(workUntil('15:00', on(14), day)).toBe(60);
    expect(workUntil('18:00', on(14), day)).toBe(120);
    expect(workUntil('09:30', on(14), day)).toBe(240);
    expect(workUntil('', on(14), day)).toBeUndefined();
    expect(closesAfter(60, on(14), day)).toBe(120);
    expect(closesAfter(0, on(14), day)).toBe(120);
  });

  it('knows the minutes of work until it opens on another day', () => {
    expect(workUntilDay('2026-03-03', on(14), day)).toBe(120);
    expect(workUntilDay('2026-03-04', on(14), day)).toBe(120 + 510);
    expect(workUntilDay('2026-03-02', on(14), day)).toBe(0);
    expect(workUntilDay('2026-02-20', on(14), day)).toBe(0);
    expect(workUntilDay('2026-03-09', on(14), { begins: '16:00', ends: '07:30' })).toBe(0);
  });
});
