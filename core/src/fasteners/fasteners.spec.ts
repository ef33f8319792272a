import fc from 'fast-check';
import { compose, completed, TEMPLATES } from '../layouts/index.js';
import {
  fitOf,
  lookalikesOf,
  placeAll,
  rankHomes,
  readFastener,
  readThread,
  readWashers,
  specWords,
  type Home,
  type MeasuredBolt,
} from './index.js';

const home = (id: string, what: string, more: Partial<Home> = {}): Home => ({
  id,
  spec: readFastener(what),
  room: 1,
  weight: 1,
  ...more,
});
const threadOf = (text: string) => readThread(text)?.thread ?? fail(text);
function fail(text: string): never {
  throw new Error(`No thread in ${text}`);
}

describe('reading what is written of a fastener', () => {
  it.each([
    ['M8×1.25 × 25, 13 mm flange', { form: 'bolt', lengthMm: 25, drive: 'hex', driveSize: 13, flanged: true }],
    ['M10×1.5 × 48 multi-tooth, M10 bit', { form: 'bolt', lengthMm: 48, drive: 'multi-tooth' }],
    ['M6×1.0 × 25, T30', { form: 'bolt', lengthMm: 25, drive: 'star', driveSize: 30 }],
    ['M8 copper nut, 13 mm', { form: 'nut', drive: 'hex', driveSize: 13 }],
    ['T25 sheet screw 5 × 16', { form: 'screw', lengthMm: 16, drive: 'star', driveSize: 25 }],
    ['M12×1.5 × 70, 18 mm, locking nut', { form: 'bolt', lengthMm: 70, driveSize: 18, also: ['locking nut'] }],
    ['M12×1.75 × 35, 18 mm, 10.9', { form: 'bolt', propertyClass: '10.9' }],
    ['push clip 7 mm hole', { form: 'clip' }],
    ['worm clamp 60–80, 7 mm', { form: 'clamp', driveSize: 7 }],
    ['5/16-18 × 25, 13 mm', { form: 'bolt', lengthMm: 25 }],
    ['M8×1.25 × 22.75, 12.75 mm', { lengthMm: 22.75, driveSize: 12.75, also: [] }],
    ['M10×1.5 × 48, M10 bit', { drive: 'multi-tooth', also: ['M10 bit'] }],
    ['M8×1.25 × 25, socket head', { drive: 'socket', also: ['socket head'] }],
    ['M5×0.8 × 12, slotted', { drive: 'slot', also: [] }],
    ['T20 sheet screw 4.25 × 12.75', { form: 'screw', lengthMm: 12.75, driveSize: 20 }],
    ['T25 sheet screw 10 × 16', { form: 'screw', lengthMm: 16, drive: 'star' }],
  ] as const)('%s', (what, read) => expect(readFastener(what)).toMatchObject(read));

  it('takes a bare size for its coarse thread, and a length after × for a length', () => {
    expect(readFastener('M8 nut, 13 mm').thread?.pitchMm).toBe(1.25);
    expect(readFastener('M8×25').lengthMm).toBe(25);
    expect(readThread('3/8-16 grade 5')?.thread.pitchMm).toBeCloseTo(1.5875, 4);
    expect(readThread('copper ring')).toBeUndefined();
  });

  it('reads a thread from every threaded fastener of every layout, and loses none of what is written', () => {
    let read = 0;
    for (const template of TEMPLATES)
      for (const { fasteners } of compose(template, completed(template, {})).connections)
        for (const { what } of fasteners) {
          const spec = readFastener(what);
          if (/\bM\d/.test(what) && !/bit$|wing|barrel|pinch screw|knurled|thin|U-bolt|hub nut/.test(what)) {
            expect({ what, thread: spec.thread?.name }).toEqual({
              what,
              thread: expect.stringMatching(/^M\d/) as string,
            });
            read += 1;
          }
          expect(spec.form).not.toBe('');
        }
    expect(read).toBeGreaterThan(300);
  });

  it('says it again in the words it was read from', () => {
    for (const what of ['M8×1.25 × 25, 13 mm flange', 'M6×1.0 × 25, T30', 'M10×1.5 × 30, 16 mm, 8.8'])
      expect(specWords(readFastener(what))).toBe(what);
    expect(specWords({ form: 'bolt', drive: 'socket', driveSize: 8, also: [] })).toBe('');
    expect(specWords({ form: 'bolt', drive: 'hex', also: [] })).toBe('');
  });

  it('takes a size only where it stands: behind other words it is one of them', () => {
    const spec = readFastener('push clip, for a 7 mm stud');
    expect([spec.driveSize, spec.lengthMm, spec.also]).toEqual([
      undefined,
      undefined,
      ['push clip', 'for a 7 mm stud'],
    ]);
    expect(readFastener('clip for M6 × 20').lengthMm).toBeUndefined();
    expect(readFastener('old T25 sheet screw 5 × 16').lengthMm).toBeUndefined();
  });

  it('reads a row of washers however they are parted, and no gap for one', () => {
    expect(readWashers(' wave, flat;; clip ,')).toEqual(['wave', 'flat', 'clip']);
  });
});

describe('threads taken for each other', () => {
  it('M8×1.25 and 5/16-18 above all', () => {
    expect(lookalikesOf(threadOf('M8×1.25')).map(({ name }) => name)).toContain('5/16-18');
    expect(lookalikesOf(threadOf('5/16-18')).map(({ name }) => name)).toContain('M8×1.25');
  });

  it('always the other way round as well', () => {
    for (const name of ['M6×1.0', 'M10×1.5', 'M12×1.75', '3/8-16', '1/4-20'])
      for (const other of lookalikesOf(threadOf(name)))
        expect(lookalikesOf(other).map((one) => one.name)).toContain(threadOf(name).name);
  });
});

describe('one bolt held against its homes', () => {
  const homes = [
    home('starter', 'M10×1.5 × 90, 16 mm flange'),
    home('bracket', 'M8×1.25 × 25, 13 mm flange'),
    home('cover', 'M6×1.0 × 20, 10 mm'),
    home('bracket-long', 'M8×1.25 × 35, 13 mm flange'),
  ];

  it('finds it from worn threads and a rough length', () => {
    const { candidates } = rankHomes({ diameterMm: 7.82, lengthMm: 25.6 }, homes);
    expect(candidates[0]?.home.id).toBe('bracket');
    expect(candidates[0]?.sure).toBeGreaterThan(0.9);
  });

  it('says what speaks for a home and what against', () => {
    const { candidates } = rankHomes({ diameterMm: 7.9, lengthMm: 25 }, homes);
    const long = candidates.find((one) => one.home.id === 'bracket-long');
    expect(candidates[0]?.fit.agrees.join(' ')).toContain('25 mm long');
    expect(long?.fit.differs.join(' ')).toContain('25 mm long, not 35 mm');
  });

  it('counts a shank against what has no thread, and only where one was measured', () => {
    const clamp = readFastener('worm clamp 60–80, 7 mm');
    expect(fitOf({ diameterMm: 7.9 }, clamp).differs).toEqual(['7.9 mm across, not threaded at all']);
    expect(fitOf({ driveSize: 7 }, clamp).differs).toEqual([]);
    expect(fitOf({ diameterMm: 7.9 }, readFastener('copper ring')).differs).toEqual([]);
    expect(fitOf({ diameterMm: 7.9 }, readFastener('M8 nut')).differs).toEqual([]);
  });

  it('is not sure where two homes take the same', () => {
    const twins = [home('left', 'M8×1.25 × 25, 13 mm'), home('right', 'M8×1.25 × 25, 13 mm')];
    const { candidates } = rankHomes({ diameterMm: 7.9, pitchMm: 1.25, lengthMm: 25 }, twins);
    expect(candidates[0]?.sure).toBeCloseTo(0.5, 1);
  });

  it('says that it is from none of these when nothing fits', () => {
    const { none } = rankHomes({ diameterMm: 15.8, pitchMm: 2, lengthMm: 120, driveSize: 24 }, homes);
    expect(none).toBeGreaterThan(0.95);
    expect(rankHomes({ diameterMm: 8 }, []).none).toBe(1);
  });

  it('goes by what is missing where nothing was measured', () => {
    const { candidates } = rankHomes({}, [home('full', 'M8 nut', { weight: 0.02 }), home('short', 'M8 nut')]);
    expect(candidates[0]?.home.id).toBe('short');
    expect(fitOf({}, readFastener('M8 nut')).evidence).toBe(0);
  });

  it('shares the whole of certainty among the homes and none', () => {
    const reading = fc.record(
      {
        diameterMm: fc.double({ min: 3, max: 20, noNaN: true }),
        lengthMm: fc.double({ min: 5, max: 140, noNaN: true }),
        driveSize: fc.integer({ min: 7, max: 24 }),
      },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(reading, (bolt) => {
        const { candidates, none } = rankHomes(bolt, homes);
        const sum = candidates.reduce((all, { sure }) => all + sure, none);
        expect(sum).toBeCloseTo(1, 9);
        expect([...candidates].sort((one, other) => other.sure - one.sure)).toEqual(candidates);
      }),
    );
  });
});

describe('a handful at once', () => {
  it('gives each a home of its own where one by one two would want the same', () => {
    const homes = [home('short', 'M8×1.25 × 25, 13 mm'), home('longer', 'M8×1.25 × 28, 13 mm')];
    const bolts = [{ lengthMm: 26.4 }, { lengthMm: 25.2 }];
    expect(bolts.map((bolt) => rankHomes(bolt, homes).candidates[0]?.home.id)).toEqual(['short', 'short']);
    expect(placeAll(bolts, homes).map(({ home: placed }) => placed?.id)).toEqual(['longer', 'short']);
  });

  it('puts several into a home that misses several, and not one more', () => {
    const homes = [home('cover', 'M6×1.0 × 20, 10 mm', { room: 2 })];
    const like = { diameterMm: 5.9, lengthMm: 20, driveSize: 10 };
    const placed = placeAll([like, like, like], homes);
    expect(placed.filter(({ home: where }) => where?.id === 'cover')).toHaveLength(2);
    expect(placed.filter(({ home: where }) => where === undefined)).toHaveLength(1);
  });

  it('is as sure as one bolt by itself is, and names the home it would have else', () => {
    const homes = [home('short', 'M8×1.25 × 25, 13 mm'), home('longer', 'M8×1.25 × 28, 13 mm')];
    for (const lengthMm of [25, 26.2, 27]) {
      const bolt = { diameterMm: 7.9, lengthMm };
      const [placed] = placeAll([bolt], homes);
      const [first, second] = rankHomes(bolt, homes).candidates;
      expect(placed?.home?.id).toBe(first?.home.id);
      expect(placed?.orElse?.id).toBe(second?.home.id);
      // Of the two, leaving out the rest of all there is.
      expect(placed?.sure).toBeCloseTo((first?.sure ?? 0) / ((first?.sure ?? 0) + (second?.sure ?? 0)), 6);
    }
    const twice = placeAll([{ lengthMm: 25 }, { lengthMm: 25 }], [home('cover', 'M8×1.25 × 25, 13 mm', { room: 2 })]);
    expect(twice.map(({ home: where, orElse }) => [where?.id, orElse?.id])).toEqual([
      ['cover', undefined],
      ['cover', undefined],
    ]);
  });

  it('leaves one that fits nowhere without a home', () => {
    const [odd] = placeAll([{ diameterMm: 15.8, lengthMm: 130 }], [home('cover', 'M6×1.0 × 20, 10 mm')]);
    expect(odd?.home).toBeUndefined();
    expect(odd?.sure).toBeGreaterThan(0.9);
    expect(placeAll([], [])).toEqual([]);
    expect(placeAll([{ diameterMm: 8 }], [])[0]?.home).toBeUndefined();
  });

  it('is never worse than giving each its own best while there is room', () => {
    const sizes = ['M6×1.0 × 20, 10 mm', 'M8×1.25 × 25, 13 mm', 'M10×1.5 × 60, 16 mm', 'M8×1.25 × 40, 13 mm'];
    fc.assert(
      fc.property(fc.shuffledSubarray(sizes, { minLength: 2 }), (picked) => {
        const homes = sizes.map((what) => home(what, what));
        const bolts = picked.map((what) => {
          const { thread, lengthMm } = readFastener(what);
          return { diameterMm: (thread?.diameterMm ?? 0) * 0.985, lengthMm: lengthMm ?? 0 };
        });
        expect(placeAll(bolts, homes).map(({ home: where }) => where?.id)).toEqual(picked);
      }),
    );
  });
});

describe('before anything is measured', () => {
  const home = (id: string, weight: number, room: number): Home => ({
    id,
    spec: readFastener('M8×1.25 × 25'),
    weight,
    room,
  });
  const sureOf = (homes: readonly Home[], bolt: MeasuredBolt = {}) => {
    const { candidates, none } = rankHomes(bolt, homes);
    return { none, sure: Object.fromEntries(candidates.map(({ home: { id }, sure }) => [id, sure])) };
  };

  it('a home is as likely as its weight and the places it has, and one bolt in twelve or so is from elsewhere', () => {
    const { none, sure } = sureOf([home('missing', 1, 2), home('uncounted', 0.5, 1), home('counted', 0.25, 2)]);
    expect(none).toBeCloseTo(0.08);
    expect(sure['missing']).toBeCloseTo(0.92 * (2 / 3));
    expect(sure['uncounted']).toBeCloseTo(0.92 * (0.5 / 3));
    expect(sure['counted']).toBeCloseTo(0.92 * (0.5 / 3));
  });

  it('is what decides between homes that look alike, alone and in a handful', () => {
    const alike = [home('counted', 0.02, 4), home('missing', 1, 1)];
    const bolt: MeasuredBolt = { diameterMm: 7.9, lengthMm: 25 };
    expect(rankHomes(bolt, alike).candidates[0]?.home.id).toBe('missing');
    expect(placeAll([bolt], alike)[0]?.home?.id).toBe('missing');
    expect(
      placeAll([bolt, bolt], alike)
        .map(({ home: at }) => at?.id)
        .sort(),
    ).toEqual(['counted', 'missing']);
  });
});
