import {
  BOX_FAULTS,
  burstOf,
  burstsOf,
  doesNow,
  keptBurst,
  keptTraceOf,
  readingOf,
  simulatedBox,
  stopWords,
  TRACE_POINTS,
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
    for (const fault of BOX_FAULTS) {
      const readings = over(fault, 60);
      expect(readings.map(({ atMs }) => atMs)).toEqual(Array.from({ length: 600 }, (_, at) => (at + 1) * 100));
      expect(readings.map((reading) => readingOf({ ...reading }))).toEqual(readings);
    }
  });

  it.each([
    ['none', 'runs'],
    ['flat-battery', 'cranks'],
    ['bad-ground', 'cranks'],
    ['air-in-fuel', 'cranks'],
    ['dead-injector', 'runs-rough'],
    ['dirty-plug', 'runs-rough'],
    ['no-crank-signal', 'cranks'],
    ['timing-out', 'fires-and-dies'],
    ['air-leak', 'runs'],
    ['weak-cylinder', 'runs'],
    ['blocked-return', 'runs-rough'],
  ] as const)('with %s: %s', (fault, result) => expect(burstsOf(over(fault, 16))[0]?.result).toBe(result));
});

describe('what says stop', () => {
  it('is nothing on an engine that is well', () => expect(stops(over('none', 28))).toEqual([]));
  it('is low volts while cranking', () => expect(stops(over('flat-battery', 10)).join()).toMatch(/# V, under #/));
  it('is no oil pressure after seconds of running', () =>
    expect(stops(over('no-oil-pressure', 16))).toEqual(['Stop: no oil pressure after # s']));
  it('is a temperature over its mark', () => expect(stops(over('stuck-thermostat', 26)).join()).toMatch(/Stop: # °C/));
  it('is oil pressure that falls while the speed stays', () => {
    const running = over('none', 20).filter((reading) => doesNow(reading) === 'runs');
    const falling = running.map((reading, at) => ({ ...reading, oilBar: Math.max(0.6, 2.6 - at * 0.03) }));
    expect(stops(falling)).toEqual(['Stop: oil pressure falls, # bar']);
    // Slower, it has less of it by nature.
    const slower = running.map((reading, at) => ({
      ...reading,
      oilBar: at < 30 ? 3.5 : 1.2,
      rpm: at < 30 ? 2_400 : 850,
    }));
    expect(stops(slower)).toEqual([]);
  });
  it('is a burst over its seconds, and oil that does not come', () => {
    const [one] = over('none', 3).filter((reading) => doesNow(reading) === 'cranks');
    const burst = (oilBar: number | undefined) =>
      Array.from({ length: 120 }, (_, at) => ({
        ...(one as BoxReading),
        volts: 11,
        atMs: at * 100,
        ...(oilBar === undefined ? { oilBar: undefined } : { oilBar }),
      })) as readonly BoxReading[];
    expect(stopWords(burst(1).slice(0, 90))).toEqual([]);
    expect(stopWords(burst(1))).toEqual(['Stop: 11 s on the starter']);
    expect(stopWords(burst(0).slice(0, 95))).toEqual(['Stop: no oil pressure after 9 s of cranking']);
    // Where nobody measures it, nobody says that there is none.
    expect(stopWords(burst(undefined).slice(0, 95))).toEqual([]);
  });
  it('is nothing while it stands', () => expect(stopWords(over('none', 1))).toEqual([]));
});

describe('what a burst came to', () => {
  it('is its volts, its seconds, its speed, when pressure came and where the battery came back to', () => {
    const burst = burstOf(over('none', 12));
    expect(burst).toMatchObject({ result: 'runs', voltsBefore: expect.closeTo(12.6, 1), crankSeconds: 2 });
    expect(burst?.voltsLowest).toBeLessThan(11);
    expect(burst?.crankRpm).toBeGreaterThan(190);
    expect(burst?.pressureAfterS).toBeLessThan(3);
    expect(burst?.oilBar).toBeCloseTo(2.6, 0);
    expect(burst?.manifoldBar).toBeCloseTo(-0.65, 1);
    expect(burstOf(over('no-oil-pressure', 12))?.pressureAfterS).toBeUndefined();
    expect(burstOf(over('flat-battery', 14))).toMatchObject({ voltsAfter: expect.closeTo(11.7, 1), crankSeconds: 8 });
  });

  it('tells bursts apart, each with its own trace', () => {
    const bursts = burstsOf(over('flat-battery', 50));
    expect(bursts.length).toBe(3);
    expect(bursts.every(({ readings }) => readings.length > 80 && readings.length < 160)).toBe(true);
    expect(bursts[1]?.readings[0]?.atMs).toBeGreaterThan(bursts[0]?.readings.at(-1)?.atMs ?? Infinity);
  });

  it('names the cylinder that adds nothing while it runs', () => {
    for (let seed = 1; seed <= 20; seed += 1) {
      expect(burstOf(over('dirty-plug', 14, seed))).toMatchObject({ addsLeast: 2, codes: ['Misfire, cylinder 2'] });
      expect(burstOf(over('none', 14, seed))?.addsLeast).toBeUndefined();
    }
  });

  it('sees by the current that it turns where no revolutions are read', () => {
    const burst = burstOf(over('no-crank-signal', 12));
    expect(burst).toMatchObject({ noSignal: true, result: 'cranks' });
    expect(burst?.crankRpm).toBeGreaterThan(200);
    expect(burst?.crankRpm).toBeLessThan(240);
    expect(burstOf(over('none', 12))?.noSignal).toBeUndefined();
  });

  it('is nothing where nobody cranked', () => expect(burstOf(over('none', 1))).toBeUndefined());
});

describe('what the record keeps of it', () => {
  it('is its figures and a trace thinned so that the lowest volts stay in it', () => {
    const burst = burstOf(over('weak-cylinder', 30));
    if (!burst) throw new Error('It was cranked.');
    const kept = keptBurst(burst, 'simulated');
    expect(kept).toMatchObject({ from: 'simulated', cylinders: 4, weak: 3, oilBar: burst.oilBar });
    expect(kept.trace?.volts.length).toBeLessThanOrEqual(TRACE_POINTS);
    expect(Math.min(...(kept.trace?.volts ?? []))).toBe(burst.voltsLowest);
    expect('readings' in kept || 'voltsBefore' in kept).toBe(false);
  });

  it('is as long as it was, whatever the gaps; none of a single reading', () => {
    const long = over('none', 300);
    const kept = keptTraceOf(long.filter((_, at) => at % 50 !== 7));
    expect((kept?.everyMs ?? 0) * (kept?.volts.length ?? 0)).toBeGreaterThan(290_000);
    expect(kept?.volts.length).toBe(kept?.amps.length);
    expect(keptTraceOf(long.slice(0, 1))).toBeUndefined();
  });
});

it.each([
  [{ volts: Number.NaN }],
  [{ volts: 1e9 }],
  [{ volts: '12' }],
  [{ rpm: -5 }],
  [{ atMs: undefined }],
  [{ oilBar: 1e9 }],
])('a reading that cannot be is none: %j', (change) => {
  const [sound] = over('none', 1);
  expect(readingOf({ ...sound, ...change })).toBeUndefined();
});

it('a sensor that is not on is left out; so is a ripple no starter gives, and the rest is taken', () => {
  const [sound] = over('none', 1);
  const { oilBar: _oil, ...without } = sound as BoxReading;
  expect(readingOf({ ...without })).toEqual(without);
  expect(readingOf({ ...sound, rippleA: [180, Number.NaN], addsPct: 'all', codes: [7] })).toEqual(sound);
  // As the record takes them.
  expect(readingOf({ ...sound, codes: [' Misfire '] })?.codes).toEqual(['Misfire']);
});
