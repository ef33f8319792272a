import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { burstOf, compressionsOf, simulatedBox, type BoxReading } from './index.js';

/**
 * A burst of another make than the simulated box: triangular humps, revolutions that drift, a battery that sinks, and as much
 * noise as asked.
 */
function burst(
  heights: readonly number[],
  { seed = 1, noiseA = 6, seconds = 5, marks = true, rpm = 190 } = {},
): readonly BoxReading[] {
  const random = xoroshiro128plus(seed);
  const noise = (of: number) => (uniformFloat64(random) - 0.5) * 2 * of;
  let cycle = uniformFloat64(random);
  const samples = 16;
  return Array.from({ length: seconds * 10 }, (_, at): BoxReading => {
    const turning = rpm * (1 + 0.04 * Math.sin(at / 9));
    let firstAgoMs: number | undefined;
    const rippleA = Array.from({ length: samples }, (_none, sample) => {
      const before = Math.floor(cycle);
      cycle += (turning / 120) * (0.1 / samples);
      if (Math.floor(cycle) > before) firstAgoMs = ((samples - 1 - sample) / samples) * 100;
      const place = cycle * heights.length;
      const top = Math.round(place);
      const height = heights[((top % heights.length) + heights.length) % heights.length] ?? 0;
      return 150 - at * 0.4 + height * Math.max(0, 1 - Math.abs(place - top) / 0.45) + noise(noiseA);
    });
    return {
      atMs: (at + 1) * 100,
      volts: 10.4,
      amps: 150,
      rpm: Math.round(turning + noise(6)),
      rippleA,
      ...(marks && firstAgoMs !== undefined ? { firstAgoMs } : {}),
    };
  });
}

describe('compressions by the ripple of the current', () => {
  it('finds how many cylinders there are, and how fast it turns', () => {
    for (const cylinders of [3, 4, 6, 8]) {
      const found = compressionsOf(burst(Array.from({ length: cylinders }, () => 60)));
      expect(found).toMatchObject({ cylinders, marked: true });
      expect(found?.rpm).toBeGreaterThan(175);
      expect(found?.rpm).toBeLessThan(205);
      expect(found?.weak).toBeUndefined();
    }
  });

  it.each([6, 20, 35])('names the weak one under %d A of noise, and none where there is none', (noiseA) => {
    let [named, wrongly] = [0, 0];
    for (let seed = 1; seed <= 40; seed += 1) {
      if (compressionsOf(burst([60, 60, 60, 36], { seed, noiseA }))?.weak === 4) named += 1;
      if (compressionsOf(burst([60, 60, 60, 60], { seed, noiseA }))?.weak !== undefined) wrongly += 1;
    }
    expect(named).toBeGreaterThanOrEqual(noiseA > 30 ? 28 : 39);
    expect(wrongly).toBeLessThanOrEqual(1);
  });

  it('without marks knows that one is weak, not which', () => {
    const found = compressionsOf(burst([60, 60, 30, 60], { marks: false }));
    expect(found).toMatchObject({ cylinders: 4, marked: false, weak: expect.any(Number) });
    expect(compressionsOf(burst([60, 60, 60, 60], { marks: false }))?.weak).toBeUndefined();
  });

  it('finds none in too little, in none, and in noise alone', () => {
    expect(compressionsOf(burst([60, 60, 60, 60], { seconds: 1 }))).toBeUndefined();
    expect(compressionsOf(burst([0, 0, 0, 0]))).toBeUndefined();
    expect(compressionsOf(burst([60, 60, 60]).map(({ rippleA: _ripple, ...reading }) => reading))).toBeUndefined();
  });

  it('names the weak one of the simulated engine on every seed', () => {
    for (let seed = 1; seed <= 40; seed += 1) {
      const of = (fault: 'weak-cylinder' | 'flat-battery') => {
        const box = simulatedBox(fault, seed);
        return burstOf(Array.from({ length: 120 }, () => box.next().value))?.compressions;
      };
      expect(of('weak-cylinder')).toMatchObject({ cylinders: 4, marked: true, weak: 3 });
      expect(of('flat-battery')).toMatchObject({ cylinders: 4 });
      expect(of('flat-battery')?.weak).toBeUndefined();
    }
  });
});
