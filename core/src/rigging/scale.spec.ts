import { scaleFault } from './scale-watch.js';
import { SCALE_EVERY_MS, simulatedScale, type ScaleMode, type ScaleReading } from './simulated-scale.js';

const run = (mode: ScaleMode, seconds: number, seed = 7): readonly ScaleReading[] => {
  const scale = simulatedScale(300, mode, seed);
  return Array.from({ length: (seconds * 1_000) / SCALE_EVERY_MS }, () => scale.next().value);
};
const last = (readings: readonly ScaleReading[]) => readings.at(-1)?.kg ?? 0;

describe('the simulated scale', () => {
  it('takes the load up and then shows about what hangs', () => {
    const readings = run('even', 30);
    expect(readings[0]?.kg).toBe(0);
    expect(readings[10]?.kg).toBeGreaterThan(100);
    expect(readings[10]?.kg).toBeLessThan(200);
    for (const { kg } of readings.slice(25)) expect(Math.abs(kg - 300)).toBeLessThan(6);
  });

  it('is the same for the same seed, and another for another', () => {
    expect(run('even', 20)).toEqual(run('even', 20));
    expect(run('even', 20, 8)).not.toEqual(run('even', 20));
  });

  it('runs ahead when it snags, and creeps when it drifts', () => {
    expect(last(run('snag', 16))).toBeGreaterThan(450);
    expect(last(run('drift', 18))).toBeGreaterThan(325);
  });
});

describe('what is wrong with a scale', () => {
  it('is nothing while it sways about what hangs, or before there is enough to tell', () => {
    for (const seconds of [2, 6, 12, 30]) expect(scaleFault(run('even', seconds))).toBeUndefined();
    expect(scaleFault([])).toBeUndefined();
  });

  it('is that it stands still, or creeps', () => {
    expect(scaleFault(run('stick', 16))).toBe('stands still');
    expect(scaleFault(run('drift', 24))).toBe('creeps');
  });

  it('is not said of an empty hook', () => {
    expect(scaleFault(Array.from({ length: 60 }, (_, index) => ({ atMs: index * 200, kg: 0 })))).toBeUndefined();
  });
});
