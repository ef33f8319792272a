import { PROPERTY_CLASSES, readFastener, type Thread } from '../fasteners/index.js';
import { advisoryTorque, samePullNm, stressAreaMm2 } from './index.js';

const threadOf = (what: string) => {
  const { thread } = readFastener(what);
  if (!thread) throw new Error(`${what} is no thread.`);
  return thread;
};
/** The stress a class is reckoned with, in MPa, out of the clamp it gives. */
const proofOf = (what: string, propertyClass?: string) => {
  const thread = threadOf(what);
  const figure = advisoryTorque({ thread, ...(propertyClass === undefined ? {} : { propertyClass }) }, 'dry');
  return figure && figure.clampN / 0.75 / stressAreaMm2(thread);
};

describe('a figure worked out of the bolt', () => {
  it.each([
    ['M10×1.5', '4.6', 225],
    ['M10×1.5', '4.8', 310],
    ['M10×1.5', '5.8', 380],
    ['M16×2', '8.8', 580],
    ['M18×2.5', '8.8', 600],
    ['M10×1.5', '10.9', 830],
    ['M10×1.5', '12.9', 970],
    ['M10×1.5', undefined, 580],
  ])('takes %s of class %s at %d MPa', (what, propertyClass, mpa) => {
    expect(proofOf(what, propertyClass)).toBeCloseTo(mpa, 6);
  });

  const inch = (sizeIn: number, turns: number): Thread => ({
    name: 'inch',
    system: 'inch',
    diameterMm: sizeIn * 25.4,
    pitchMm: 25.4 / turns,
  });

  it.each([
    [inch(0.75, 10), 'grade 2', 55],
    [inch(0.875, 9), 'grade 2', 33],
    [inch(1, 8), 'grade 5', 85],
    [inch(1.125, 7), 'grade 5', 74],
    [inch(0.375, 16), 'grade 8', 120],
    [inch(0.375, 16), undefined, 85],
  ])('takes %o of %s at %d thousand pounds a square inch', (thread, propertyClass, ksi) => {
    const figure = advisoryTorque({ thread, ...(propertyClass === undefined ? {} : { propertyClass }) }, 'dry');
    expect((figure?.clampN ?? 0) / 0.75 / stressAreaMm2(thread)).toBeCloseTo(ksi * 6.894757, 6);
    expect(figure?.propertyClass).toBe(propertyClass ?? 'grade 5');
  });

  it('reads the class off the words a bolt is written with', () => {
    const nm = (what: string) => advisoryTorque(readFastener(what), 'dry')?.torqueNm ?? 0;
    expect(nm('3/8-16 × 40, grade 8') / nm('3/8-16 × 40, grade 5')).toBeCloseTo(120 / 85, 9);
    expect(nm('3/8-16 × 40, grade 2') / nm('3/8-16 × 40')).toBeCloseTo(55 / 85, 9);
    const read = (name: string) => nm(`${name.startsWith('grade') ? '3/8-16' : 'M10×1.5'} × 40, ${name}`);
    expect(PROPERTY_CLASSES.filter((name) => !(read(name) > 5))).toEqual([]);
  });

  it('is none of a class of the other system', () => {
    expect(proofOf('3/8-16', '8.8')).toBeUndefined();
    expect(proofOf('M10×1.5', 'grade 5')).toBeUndefined();
  });

  it('has the stress area of an inch thread by its own formula', () => {
    expect(stressAreaMm2(threadOf('3/8-16')) / 25.4 ** 2).toBeCloseTo(0.0775, 4);
    expect(stressAreaMm2(threadOf('1/2-20')) / 25.4 ** 2).toBeCloseTo(0.16, 3);
  });

  it('says how far it stretches only where the length is known', () => {
    const thread = threadOf('M10×1.5');
    expect(advisoryTorque({ thread }, 'dry')).not.toHaveProperty('stretchMm');
    expect(advisoryTorque({ thread, lengthMm: 40 }, 'dry')?.stretchMm).toBeCloseTo((0.75 * 580 * 40) / 205_000, 9);
  });

  it.each([
    ['plated', 55],
    ['oiled', 37.5],
    ['threadlocker', 42.5],
    ['sealant', 42.5],
    ['paste', 32.5],
    ['dry', 50],
  ] as const)('of 50 N·m for a dry thread is, %s, %d N·m for the same pull', (state, nm) => {
    expect(samePullNm(50, 'dry', state)).toBeCloseTo(nm, 9);
  });
});
