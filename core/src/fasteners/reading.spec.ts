import { lookalikesOf, readFastener, readThread, specWords, THREADS } from './index.js';

describe('what a fastener is called', () => {
  it.each([
    ['M8 clamp nut', 'nut'],
    ['M12×1.5 union', 'union'],
    ['pipe fitting', 'union'],
    ['packing gland', 'union'],
    ['M8 stud', 'stud'],
    ['M8×1.25 × 40 stud', 'stud'],
    ['M4×0.7 × 10 screw', 'screw'],
    ['sheet screw', 'screw'],
    ['worm clamp', 'clamp'],
    ['push clip', 'clip'],
    ['spring catch', 'clip'],
    ['battery post', 'clip'],
    ['drain plug', 'clip'],
    ['split pin', 'pin'],
    ['old bolt', 'bolt'],
    ['M8×1.25', 'bolt'],
    ['M8×1.25 × 25 nut', 'bolt'],
    ['copper ring', 'other'],
  ])('%s is a %s', (what, form) => expect(readFastener(what).form).toBe(form));

  it.each([
    ['M8×1.25 × 25, 13 mm', 'hex', 13, []],
    ['M8×1.25 × 25, allen', 'socket', undefined, ['allen']],
    ['M8×1.25 × 25, socket head', 'socket', undefined, ['socket head']],
    ['M5×0.8 × 12, slotted', 'slot', undefined, []],
    ['M5×0.8 × 12, slotted, brass', 'slot', undefined, ['brass']],
    ['M6×1.0, wing nut', 'hand', undefined, ['wing nut']],
    ['M6×1.0, knurled', 'hand', undefined, ['knurled']],
    ['M10×1.5 × 48, multi-tooth', 'multi-tooth', undefined, []],
    ['M6×1.0 × 25, T30', 'star', 30, []],
    ['M6×1.0 × 25, T30 with washer', 'star', 30, ['with washer']],
    ['M8×1.25 × 25, 13 mm, 10 mm', 'hex', 13, ['10 mm']],
    ['M8×1.25 × 25, 13 mm, T30', 'hex', 13, ['T30']],
    ['M8×1.25 × 25, 13 mm hole', undefined, undefined, ['13 mm hole']],
    ['M8×1.25 × 25, , 13 mm', 'hex', 13, []],
  ] as const)('%s is turned by %s', (what, drive, driveSize, also) => {
    const spec = readFastener(what);
    expect([spec.drive, spec.driveSize, spec.also]).toEqual([drive, driveSize, also]);
  });

  it.each(['M8×1.25 × 25, 13 mm flange', 'M8×1.25 × 25, captive washer', 'M8×1.25 × 25, large-washer head'])(
    '%s presses on a flange',
    (what) => expect(readFastener(what).flanged).toBe(true),
  );

  it('is of a class only where that stands by itself', () => {
    const classOf = (what: string) => readFastener(what).propertyClass;
    expect(classOf('M10×1.5 × 30, 8.8')).toBe('8.8');
    expect(classOf('M10×1.5 × 30, 18.8 mm')).toBeUndefined();
    expect(classOf('M10×1.5 × 30, 8x8')).toBeUndefined();
    expect(readFastener('M10×1.5 × 30')).not.toHaveProperty('propertyClass');
    expect(readFastener('M10×1.5 × 30')).not.toHaveProperty('flanged');
  });

  it('is said again with all that is known of it', () => {
    expect(specWords(readFastener('M8 nut, 13 mm'))).toBe('M8×1.25 nut, 13 mm');
    expect(specWords(readFastener('push clip'))).toBe('clip');
    expect(specWords({ form: 'bolt', drive: 'star', also: [] })).toBe('');
    expect(specWords(readFastener('M6×1.0 × 25, T30, 10.9'))).toBe('M6×1.0 × 25, T30, 10.9');
  });
});

describe('a thread as it is written', () => {
  const named = (text: string) => readThread(text)?.thread.name;
  it.each([
    ['M8', 'M8×1.25', ''],
    ['M8×1', 'M8×1.0', ''],
    ['M8x1.25 × 25', 'M8×1.25', ' × 25'],
    ['M10×1.25', 'M10×1.25', ''],
    ['M8×25', 'M8×1.25', '×25'],
    ['M8×4', 'M8×1.25', '×4'],
    ['M9×1.1', 'M9×1.1', ''],
    ['5/16-18 × 25', '5/16-18', ' × 25'],
    ['5/16', '5/16-18', ''],
    ['5/16, brass', '5/16-18', ', brass'],
    ['#10-32', '#10-32', ''],
    ['#10', '#10-24', ''],
    ['3/8-24×30', '3/8-24', '×30'],
  ])('%s is %s', (text, name, rest) => {
    expect(named(text)).toBe(name);
    expect(readThread(text)?.rest).toBe(rest);
  });

  it.each(['M9', '7/8-9', '5/16-19', '5/160', 'a M8', 'bolt'])('%s is none', (text) =>
    expect(readThread(text)).toBeUndefined(),
  );

  it('has the size and pitch of its standard', () => {
    const sizeOf = (name: string) => {
      const thread = THREADS.find((one) => one.name === name);
      return [thread?.diameterMm, thread?.pitchMm];
    };
    expect(sizeOf('M12×1.75')).toEqual([12, 1.75]);
    expect(sizeOf('1/2-13')).toEqual([12.7, 25.4 / 13]);
    expect(new Set(THREADS.map(({ name }) => name)).size).toBe(THREADS.length);
  });

  it('is taken for another that is near in size and in pitch, and for no other', () => {
    const alike = (text: string) => {
      const found = readThread(text);
      return found && lookalikesOf(found.thread).map(({ name }) => name);
    };
    expect(alike('M8×1.25')).toEqual(['5/16-18', '5/16-24']);
    expect(alike('M8×1')).toEqual(['5/16-24']);
    expect(alike('M20×2.5')).toEqual([]);
  });
});
