import {
  BOX_FAULTS,
  burstOf,
  doesNow,
  readingOf,
  simulatedBox,
  stopWords,
  weakCylinder,
  type BoxFault,
  type BoxReading,
} from './index.js';

/** Readings of the simulated box over so many seconds. */
function over(fault: BoxFault, seconds: number, seed = 3): readonly BoxReading[] {
  const box = simulatedBox(fault, seed);
  return Array.from({ length: seconds * 10 }, () => box.next().value);
}
/** Every word that said stop on the way. */
const stops = (readings: readonly BoxReading[]) => [
  ...new Set(
    readings.flatMap((_, at) => stopWords(readings.slice(0, at + 1)).map((words) => words.replace(/[\d.]+/g, '#'))),
  ),
];

describe('the simulated box', () => {
  it('says the same for a seed, ten times a second, and nothing no engine gives', () => {
    expect(over('none', 30)).toEqual(over('none', 30));
    expect(over('none', 30, 4)).not.toEqual(over('none', 30));
    for (const fault of BOX_FAULTS)
      over(fault, 60).forEach((reading, at) => {
        expect(reading.atMs).toBe((at + 1) * 100);
        expect(readingOf({ ...reading })).toEqual(reading);
      });
  });

  it.each([
    ['none', 'runs'],
    ['flat-battery', 'cranks'],
    ['bad-ground', 'cranks'],
    ['air-in-fuel', 'cranks'],
    ['dead-injector', 'runs-rough'],
    ['weak-cylinder', 'runs'],
  ] as const)('with %s: %s', (fault, result) => expect(burstOf(over(fault, 16))?.result).toBe(result));
});

describe('what says stop', () => {
  it('is nothing on an engine that is well', () => expect(stops(over('none', 28))).toEqual([]));
  it('is low volts while cranking', () => expect(stops(over('flat-battery', 10)).join()).toMatch(/# V, under #/));
  it('is no oil pressure after seconds of running', () =>
    expect(stops(over('no-oil-pressure', 16))).toEqual(['Stop: no oil pressure after # s']));
  it('is a temperature over its mark', () => expect(stops(over('stuck-thermostat', 26)).join()).toMatch(/Stop: # °C/));
  it('is a burst over its seconds', () => {
    const long = over('none', 3)
      .filter((reading) => doesNow(reading) === 'cranks')
      .slice(0, 1);
    const burst = Array.from({ length: 120 }, (_, at) => ({ ...(long[0] as BoxReading), volts: 11, atMs: at * 100 }));
    expect(stopWords(burst.slice(0, 90))).toEqual([]);
    expect(stopWords(burst)).toEqual(['Stop: 11 s on the starter']);
  });
  it('is nothing while it stands', () => expect(stopWords(over('none', 1))).toEqual([]));
});

describe('what a burst came to', () => {
  it('is its volts, its seconds, its speed and when pressure came', () => {
    const burst = burstOf(over('none', 12));
    expect(burst).toMatchObject({ result: 'runs', voltsBefore: expect.closeTo(12.6, 1), crankSeconds: 2 });
    expect(burst?.voltsLowest).toBeLessThan(11);
    expect(burst?.crankRpm).toBeGreaterThan(190);
    expect(burst?.pressureAfterS).toBeLessThan(3);
    expect(burst?.weak).toBeUndefined();
    expect(burstOf(over('no-oil-pressure', 12))?.pressureAfterS).toBeUndefined();
  });

  it('names the weak cylinder, on every seed, and none where there is none', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      expect(burstOf(over('weak-cylinder', 10, seed))?.weak).toBe(3);
      expect(burstOf(over('none', 10, seed))?.weak).toBeUndefined();
    }
    expect(weakCylinder([180, 120])).toBeUndefined();
  });

  it('is nothing where nobody cranked', () => expect(burstOf(over('none', 1))).toBeUndefined());
});

it.each([[{ volts: Number.NaN }], [{ volts: 1e9 }], [{ volts: '12' }], [{ rpm: -5 }], [{ atMs: undefined }]])(
  'a reading that cannot be is none: %j',
  (change) => {
    const [sound] = over('none', 1);
    expect(readingOf({ ...sound, ...change })).toBeUndefined();
  },
);

it('peaks no starter gives are left out, and the rest is taken', () => {
  const [sound] = over('none', 1);
  expect(readingOf({ ...sound, peaksA: [180, Number.NaN] })).toEqual(sound);
});
