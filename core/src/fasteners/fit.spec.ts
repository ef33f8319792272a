import { fitOf, hasMeasured, readFastener, type MeasuredBolt } from './index.js';

const bracket = 'M8×1.25 × 25, 13 mm flange';
const fit = (bolt: MeasuredBolt, what = bracket) => fitOf(bolt, readFastener(what));
const speaks = (bolt: MeasuredBolt, what?: string) => {
  const { agrees, differs } = fit(bolt, what);
  return [...agrees.map((one) => `+ ${one}`), ...differs.map((one) => `- ${one}`)];
};

describe('a reading held against a home', () => {
  it.each<[string, MeasuredBolt, string]>([
    ['a size across the crests', { diameterMm: 7.9 }, '+ 7.9 mm across'],
    ['another size', { diameterMm: 9.8 }, '- 9.8 mm across, not 7.89 mm as M8×1.25 measures'],
    ['a pitch', { pitchMm: 1.25 }, '+ pitch 1.25 mm'],
    ['another pitch', { pitchMm: 1.5 }, '- pitch 1.5 mm, not 1.25 mm'],
    ['a length', { lengthMm: 25.4 }, '+ 25.4 mm long'],
    ['another length', { lengthMm: 31 }, '- 31 mm long, not 25 mm'],
    ['what turns it', { drive: 'hex' }, '+ hex head'],
    ['something else that turns it', { drive: 'star' }, '- star head, not hex'],
    ['its flats', { driveSize: 13 }, '+ head 13'],
    ['other flats', { driveSize: 10 }, '- head 10, not 13'],
    ['its shape', { form: 'bolt' }, '+ a bolt'],
    ['another shape', { form: 'nut' }, '- a nut, not a bolt'],
    ['its flange', { flanged: true }, '+ a flange'],
    ['no flange', { flanged: false }, '- no flange, not with one'],
  ])('%s', (_what, bolt, words) => expect(speaks(bolt)).toEqual([words]));

  it('takes a flange nobody wrote of for none', () => {
    expect(speaks({ flanged: false }, 'M8×1.25 × 25, 13 mm')).toEqual(['+ no flange']);
    expect(speaks({ flanged: true }, 'M8×1.25 × 25, 13 mm')).toEqual(['- a flange, not without']);
    // Only a bolt has one.
    expect(fit({ flanged: true }, 'M8 nut, 13 mm').evidence).toBe(0);
  });

  it('tells stars by their number, and holds a size against nothing that is turned otherwise', () => {
    expect(speaks({ drive: 'star', driveSize: 30 }, 'M6×1.0 × 25, T30')).toEqual(['+ star head', '+ T30']);
    expect(speaks({ driveSize: 25 }, 'M6×1.0 × 25, T30')).toEqual(['- T25, not 30']);
    expect(speaks({ drive: 'hex', driveSize: 30 }, 'M6×1.0 × 25, T30')).toEqual(['- hex head, not star']);
    const [star, flats] = [fit({ driveSize: 30 }, 'M6×1.0 × 25, T30'), fit({ driveSize: 13 })];
    expect(star.evidence - flats.evidence).toBeCloseTo(Math.log(50 / 24), 1);
  });

  it('holds a length against a nut, and none against what has no length written', () => {
    expect(speaks({ lengthMm: 20 }, 'M8 nut, 13 mm')).toEqual(['- 20 mm long, not a thing with a shank']);
    expect(fit({ lengthMm: 20 }, 'M8 stud').evidence).toBe(0);
    expect(fit({ pitchMm: 1 }, 'worm clamp 60–80, 7 mm').evidence).toBe(0);
    expect(fit({ drive: 'hex' }, 'M8 stud').evidence).toBe(0);
    expect(fit({ driveSize: 13 }, 'M8 stud').evidence).toBe(0);
    expect(fit({ form: 'nut' }, 'copper ring').evidence).toBe(0);
  });

  it('lets a long one be read less closely than a short one', () => {
    const off = (what: string, lengthMm: number) => fit({ lengthMm }, what).evidence;
    expect(off('M8×1.25 × 25', 27)).toBeLessThan(off('M8×1.25 × 100', 102));
  });

  it('lets nothing be ruled out by one reading, which may be a mistake', () => {
    for (const bolt of [
      { diameterMm: 19 },
      { pitchMm: 2.5 },
      { lengthMm: 100 },
      { driveSize: 24 },
      { form: 'pin' as const },
    ])
      expect(fit(bolt).evidence).toBeGreaterThan(-6);
  });

  it('weighs a reading by how near it is, a share of mistakes among them', () => {
    // Dead on: (0.98 × density of a spread of 0.09 mm + 0.02 of 20 mm) against one in 20 mm.
    const density = 1 / (0.09 * Math.sqrt(2 * Math.PI));
    expect(fit({ diameterMm: 8 * 0.986 }).evidence).toBeCloseTo(Math.log((0.98 * density + 0.02 / 20) * 20), 9);
    expect(fit({ diameterMm: 8 * 0.986 + 0.09 }).evidence).toBeCloseTo(
      Math.log((0.98 * density * Math.exp(-0.5) + 0.02 / 20) * 20),
      9,
    );
    expect(fit({ form: 'bolt' }).evidence).toBeCloseTo(Math.log(0.99 * 9), 9);
    expect(fit({ form: 'nut' }).evidence).toBeCloseTo(Math.log((0.01 / 8) * 9), 9);
  });

  it('adds up what each reading says', () => {
    const each = [{ diameterMm: 7.9 }, { lengthMm: 25 }, { drive: 'hex' as const }, { flanged: false }];
    const together = fit(Object.assign({}, ...each) as MeasuredBolt).evidence;
    expect(together).toBeCloseTo(
      each.reduce((sum, bolt) => sum + fit(bolt).evidence, 0),
      9,
    );
  });

  it('knows whether anything was measured', () => {
    expect(hasMeasured({})).toBe(false);
    expect(hasMeasured({ flanged: false })).toBe(true);
  });
});
