import { chargeAtRest, chargeHours, likelySort, startAdvice, type StartAttempt } from './index.js';

const attempt = (changes: Partial<StartAttempt> = {}): StartAttempt => ({
  at: '2026-03-20T10:00:00.000Z',
  voltsBefore: 12.5,
  voltsLowest: 10.2,
  crankSeconds: 6,
  result: 'cranks',
  ...changes,
});
const later = '2026-03-20T10:05:00.000Z';
const words = (attempts: readonly StartAttempt[], now = later) =>
  startAdvice(attempts, now)
    .map((one) => one.words)
    .join(' ');

describe('the battery', () => {
  it.each([
    [12.8, 1],
    [12.65, 1],
    [12.55, 0.875],
    [12.24, 0.5],
    [12.15, 0.375],
    [11.89, 0],
    [11.2, 0],
  ])('resting at %d V is charged to %d', (volts, charge) => {
    expect(chargeAtRest(volts)).toBeCloseTo(charge, 6);
  });

  it('of 70 Ah at a quarter takes 15.75 h on a 4 A charger', () => {
    expect(chargeHours(70, 0.25, 4)).toBeCloseTo(15.75, 9);
    expect(() => chargeHours(70, 0.25, 0)).toThrow(RangeError);
  });
});

describe('advice on the next burst', () => {
  it('says nothing when nothing speaks against it', () => expect(words([])).toBe(''));
  it('stops under 11.8 V at rest', () =>
    expect(words([attempt({ voltsBefore: 11.7 })])).toMatch(
      /Nothing under 11.8 V.*70 Ah battery takes about 21 h on a 4 A charger/,
    ));
  it('stops under 9.6 V while cranking', () =>
    expect(words([attempt({ voltsLowest: 9.4 })])).toMatch(/9.4 V while cranking/));
  it('warns of a burst over ten seconds', () =>
    expect(words([attempt({ crankSeconds: 14 })])).toMatch(/14 s on the starter/));
  it('counts down the rest', () => expect(words([attempt()], '2026-03-20T10:00:12.000Z')).toMatch(/18 s more/));
  it('looks for fuel after three bursts without a fire', () =>
    expect(words([attempt(), attempt(), attempt()])).toMatch(/fuel at the rail/));
});

describe('sorting a warning', () => {
  it('looks first at what is still off, then at the volts', () => {
    expect(likelySort(true, 9)).toBe('still-unplugged');
    expect(likelySort(false, 9)).toBe('low-voltage');
    expect(likelySort(false, 11)).toBe('real');
    expect(likelySort(false, undefined)).toBe('real');
  });
});
