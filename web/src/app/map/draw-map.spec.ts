import { lumpOf } from '@brisk/core/connection-map';
import { TEMPLATES, usualMap } from '@brisk/core/layouts';
import { drawMap, inTwoLines, VIEWS, viewOf, type PartBox } from './draw-map';
import { KIND_MARKS } from './kind-marks';

const overlap = (one: PartBox, other: PartBox) =>
  Math.abs(one.x - other.x) < (one.width + other.width) / 2 &&
  Math.abs(one.y - other.y) < (one.height + other.height) / 2;
const cases = TEMPLATES.flatMap(({ layout }) => VIEWS.map((view) => [layout, view] as const));

describe.each(cases)('%s drawn from %s', (layout, view) => {
  const map = usualMap(layout);
  const lump = lumpOf(map, map.powerpacks[0]?.roots ?? []);
  const drawing = drawMap(map, view, lump);

  it('has every part on the sheet and none on another', () => {
    for (const [index, one] of drawing.boxes.entries()) {
      expect(one.x - one.width / 2).toBeGreaterThanOrEqual(0);
      expect(one.x + one.width / 2).toBeLessThanOrEqual(drawing.width);
      expect(one.y + one.height / 2).toBeLessThanOrEqual(drawing.height);
      for (const other of drawing.boxes.slice(index + 1))
        expect([one.part.id, other.part.id, overlap(one, other)]).toEqual([one.part.id, other.part.id, false]);
    }
  });

  it('shows every connection somebody opens from there, but those between body and loom alone', () => {
    const drawn = new Set(drawing.bundles.flatMap(({ connections }) => connections.map(({ id }) => id)));
    const here = map.connections.filter((connection) => viewOf(connection) === view);
    const hubs = [map.body, 'loom'];
    for (const { id, between } of here)
      expect([id, drawn.has(id) || between.every((end) => hubs.includes(end))]).toEqual([id, true]);
    expect(drawn.size).toBeLessThanOrEqual(here.length);
  });

  it('is no hairball: far fewer lines than connections', () => {
    const lines = drawing.bundles.filter(({ line }) => line).length;
    expect(lines).toBeLessThanOrEqual(40);
  });
});

describe('names and marks', () => {
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
});
