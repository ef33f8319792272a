import { drawBay, framesMeet, type Seen } from '@brisk/core/bay';
import { TEMPLATES, usualMap } from '@brisk/core/layouts';
import { shapeToDraw } from '@brisk/core/layouts/shapes';
import { inTwoLines } from './in-two-lines';
import { KIND_MARKS } from './kind-marks';
import { marksAtSize } from './marks-at-size';
import { aroundMark, namesAtSize } from './names-at-size';
import { hosePath, outlinePath } from './paths';

describe.each(TEMPLATES.map(({ layout }) => layout))('%s on a sheet of 800 and of 340 pixels', (layout) => {
  const map = usualMap(layout);
  const { seen, bundles, frame } = drawBay(map, shapeToDraw(map), { view: 'above' });
  const sizes = [800, 340].map((px) => (frame.u[1] - frame.u[0]) / px);

  it.each(sizes)('no mark comes near another, and no connection is lost, at %d mm to the pixel', (pixelMm) => {
    const marks = marksAtSize(bundles, 30 * pixelMm);
    for (const [index, one] of marks.entries())
      for (const other of marks.slice(index + 1))
        expect(Math.hypot(one.at.u - other.at.u, one.at.v - other.at.v)).toBeGreaterThanOrEqual(30 * pixelMm);
    expect(marks.flatMap((mark) => mark.bundles)).toHaveLength(bundles.length);
  });

  it.each(sizes)('no name covers another, a mark or the rim of the sheet, at %d mm to the pixel', (pixelMm) => {
    const taken = marksAtSize(bundles, 30 * pixelMm).map(({ at }) => aroundMark(at, 15 * pixelMm));
    const names = namesAtSize(seen, { pixelMm, window: frame, taken });
    expect(names.length).toBeGreaterThan(3);
    for (const [index, { id, box }] of names.entries()) {
      expect([id, box.u[0] >= frame.u[0] && box.u[1] <= frame.u[1]]).toEqual([id, true]);
      const others = [...taken, ...names.slice(index + 1).map((other) => other.box)];
      expect([id, others.some((other) => framesMeet(box, other))]).toEqual([id, false]);
    }
  });
});

describe('marks and names', () => {
  const bundle = (key: string, u: number) => ({ key, kind: 'hose' as const, connections: [], at: { u, v: 0 } });

  it('lets what matters more give the place', () => {
    const [mark] = marksAtSize([bundle('a', 0), bundle('b', 10)], 50, ({ key }) => key === 'b');
    expect(mark).toMatchObject({ key: 'b', at: { u: 10 } });
  });

  it('names what is half out of the window where it is seen', () => {
    const part: Seen = {
      id: 'gearbox',
      name: 'gearbox',
      outlines: [],
      frame: { u: [-2_000, 400], v: [0, 300] },
      is: 'part',
      rimOnly: false,
      guessed: false,
    };
    const [name] = namesAtSize([part], { pixelMm: 1, window: { u: [0, 800], v: [0, 400] }, taken: [] });
    expect(name?.at.u).toBeCloseTo(200);
  });

  it('breaks a long name in two, and cuts what does not fit', () => {
    expect(inTwoLines('engine')).toEqual(['engine']);
    expect(inTwoLines('exhaust-gas recirculation valve')).toHaveLength(2);
    for (const line of inTwoLines('an incredibly long name that nobody could ever read on a box'))
      expect(line.length).toBeLessThanOrEqual(19);
  });

  it('tells every kind from every other by its mark', () => {
    const marks = Object.values(KIND_MARKS).map(({ path, solid }) => `${path} ${solid}`);
    expect(new Set(marks).size).toBe(marks.length);
  });

  it('writes outlines closed and hoses with rounded corners', () => {
    expect(
      outlinePath([
        { u: 0, v: 0 },
        { u: 10, v: 0 },
        { u: 10.4, v: 5 },
      ]),
    ).toBe('M0 0 L10 0 L10 5 Z');
    expect(
      hosePath([
        { u: 0, v: 0 },
        { u: 10, v: 0 },
        { u: 10, v: 20 },
      ]),
    ).toBe('M0 0 Q10 0 10 10 L10 20');
    expect(hosePath([{ u: 0, v: 0 }])).toBe('');
  });
});
