import { lumpOf, type Connection } from '../connection-map/index.js';
import { TEMPLATES, usualMap } from '../layouts/index.js';
import { shapeToDraw } from '../layouts/shapes/index.js';
import { connectionsIn, countsByView, drawBay } from './draw-bay.js';
import { leadHoses, type ToLead } from './hose-ways.js';
import { meetingOf } from './meeting.js';
import { VIEWS, viewOf, type Frame, type Spot } from './views.js';

const seen = (layout: string) => {
  const map = usualMap(layout);
  return { map, shape: shapeToDraw(map) };
};
const cases = TEMPLATES.flatMap(({ layout }) => VIEWS.map((view) => [layout, view] as const));

describe.each(cases)('%s seen from %s', (layout, view) => {
  const { map, shape } = seen(layout);
  const drawing = drawBay(map, shape, { view });
  const inside = ({ u, v }: Spot, { frame }: { readonly frame: Frame }) =>
    u >= frame.u[0] && u <= frame.u[1] && v >= frame.v[0] && v <= frame.v[1];

  it('shows every connection that is opened from there, on the sheet', () => {
    const drawn = new Set(drawing.bundles.flatMap(({ connections }) => connections.map(({ id }) => id)));
    for (const connection of map.connections.filter((one) => viewOf(one) === view))
      expect([connection.id, drawn.has(connection.id)]).toEqual([connection.id, true]);
    for (const { key, at } of drawing.bundles) expect([key, inside(at, drawing)]).toEqual([key, true]);
  });

  it('leads hoses from where they are opened to what they go to, and no line to the body', () => {
    for (const { key, at, way, connections } of drawing.bundles) {
      if (!way) continue;
      expect([key, way[0]]).toEqual([key, at]);
      expect(connections.every(({ between }) => !between.includes(map.body))).toBe(true);
      for (const spot of way) expect([key, inside(spot, drawing)]).toEqual([key, true]);
    }
  });
});

describe('what is seen', () => {
  const { map, shape } = seen('longitudinal-manual');

  it('is in true measure: the engine as long on the picture as it is', () => {
    const engine = drawBay(map, shape, { view: 'above' }).seen.find(({ id }) => id === 'engine');
    const { x, y } = shape.parts.get('engine')?.extent ?? { x: [0, 0], y: [0, 0] };
    expect(engine?.frame).toEqual({ u: [-x[1], -x[0]], v: [y[0], y[1]] });
  });

  it('is turned over from below, and has its nose to the right from the right', () => {
    const middle = (view: (typeof VIEWS)[number], id: string) => {
      const { frame } = drawBay(map, shape, { view }).seen.find((one) => one.id === id) ?? {};
      return { u: (frame?.u[0] ?? 0) + (frame?.u[1] ?? 0), v: (frame?.v[0] ?? 0) + (frame?.v[1] ?? 0) };
    };
    expect(middle('below', 'alternator').v).toBeCloseTo(-middle('above', 'alternator').v);
    expect(middle('right', 'radiator').u).toBeGreaterThan(middle('right', 'engine').u);
    expect(middle('left', 'radiator').u).toBeLessThan(middle('left', 'engine').u);
  });

  it('draws what covers after what it covers, and a lid only as its rim', () => {
    const { seen: order } = drawBay(map, shape, { view: 'above' });
    const at = (id: string) => order.findIndex((one) => one.id === id);
    expect(at('intake-manifold')).toBeGreaterThan(at('engine-mount-left'));
    expect(order.find(({ id }) => id === 'bonnet')?.rimOnly).toBe(true);
    expect(order.find(({ id }) => id === 'engine')?.rimOnly).toBe(false);
  });

  it('draws what is off as its rim', () => {
    const { seen: order } = drawBay(map, shape, { view: 'above', off: new Set(['radiator']) });
    expect(order.find(({ id }) => id === 'radiator')?.rimOnly).toBe(true);
  });

  it('from a side shows what is on that side, never what is opened from the other', () => {
    const left = connectionsIn(map, shape, 'left').map(({ id }) => id);
    expect(left).toContain('mount-left');
    expect(left).not.toContain('mount-right');
    expect(countsByView(map, shape).left).toBe(left.length);
  });

  it('near a connection shows its neighbourhood', () => {
    const hose = map.connections.find(({ id }) => id === 'upper-hose') as Connection;
    const { frame, bundles, seen: near } = drawBay(map, shape, { view: 'above', connections: [hose], near: true });
    expect(frame.u[1] - frame.u[0]).toBeLessThan(1_200);
    expect(bundles.map(({ connections }) => connections[0]?.id)).toEqual(['upper-hose']);
    expect(near.some(({ id }) => id === 'propshaft')).toBe(false);
  });

  it('draws what stands on the bench without the bay it came out of', () => {
    const bench = drawBay(map, shape, { view: 'left', only: new Set(['engine', 'gearbox']), near: false });
    expect(bench.seen.map(({ id }) => id).sort()).toEqual(['engine', 'gearbox']);
  });

  it('still draws a map whose layout nobody drew, and parts nobody knows, each in a place of its own', () => {
    const odd = {
      ...map,
      layout: 'made-up',
      parts: map.parts.map((part, index) => (index % 2 === 0 ? { ...part, id: `odd-${part.id}` } : part)),
    };
    const lump = lumpOf(map, ['engine']);
    const { seen: drawn } = drawBay(odd, shapeToDraw(odd), { view: 'above', lump, connections: [] });
    const places = drawn.filter(({ guessed }) => guessed).map(({ frame }) => JSON.stringify(frame));
    expect(places.length).toBeGreaterThan(8);
    expect(new Set(places).size).toBeGreaterThan(places.length / 2);
  });

  it('falls back to the usual measures where one turns something inside out', () => {
    expect(shapeToDraw(map, { pulley: 12 }).parts.get('engine')?.extent).toEqual(
      shapeToDraw(map).parts.get('engine')?.extent,
    );
  });
});

describe('where two meet', () => {
  const { shape } = seen('longitudinal-manual');

  it('is between them, and as far apart as they are', () => {
    const [radiator, engine] = ['radiator', 'engine'].map((id) => shape.parts.get(id));
    if (!radiator || !engine) throw new Error('both are drawn');
    const { on, at, apartMm } = meetingOf(radiator, engine);
    expect(on.x).toBeCloseTo(radiator.extent.x[0]);
    expect(at.x).toBeCloseTo(engine.extent.x[1]);
    expect(apartMm).toBeCloseTo(Math.hypot(on.x - at.x, on.y - at.y, on.z - at.z));
  });
});

describe('the way of a hose', () => {
  const frame: Frame = { u: [0, 1_350], v: [0, 900] };
  const hose = (from: Spot, to: Spot, ends: readonly string[] = []): ToLead => ({ from, to, ends, along: 'coolant' });
  const block = (id: string, u: readonly [number, number], v: readonly [number, number]) => ({
    id,
    outline: [
      { u: u[0], v: v[0] },
      { u: u[1], v: v[0] },
      { u: u[1], v: v[1] },
      { u: u[0], v: v[1] },
    ],
  });
  const long = (way: readonly Spot[]) =>
    way.slice(1).reduce((sum, { u, v }, index) => {
      const before = way[index] as Spot;
      return sum + Math.hypot(u - before.u, v - before.v);
    }, 0);

  it('is straight where nothing is in the way', () => {
    const [way] = leadHoses([hose({ u: 100, v: 450 }, { u: 1_200, v: 450 })], [], frame);
    expect(long(way ?? [])).toBeLessThan(1_150);
  });

  it('leads round what is hard, and over it only where it is one of its own ends', () => {
    const from = { u: 100, v: 450 };
    const to = { u: 1_200, v: 450 };
    const engine = block('engine', [400, 900], [250, 650]);
    const over = (way: readonly Spot[] | undefined) =>
      (way ?? []).filter(({ u, v }) => u > 420 && u < 880 && v > 270 && v < 630).length;
    const [round] = leadHoses([hose(from, to)], [engine], frame);
    expect(over(round)).toBe(0);
    expect(Math.max(...(round ?? []).map(({ v }) => Math.abs(v - 450)))).toBeGreaterThan(180);
    const [own] = leadHoses([hose(from, to, ['engine', 'radiator'])], [engine], frame);
    expect(long(own ?? [])).toBeLessThan(long(round ?? []));
  });

  it('runs beside what is of its system', () => {
    const first = hose({ u: 100, v: 200 }, { u: 1_200, v: 200 });
    const second = hose({ u: 100, v: 290 }, { u: 1_200, v: 290 });
    const shared = (ways: readonly (readonly Spot[])[]) => (ways[1] ?? []).filter(({ v }) => v < 250).length;
    expect(shared(leadHoses([first, second], [], frame))).toBeGreaterThan(0);
    expect(shared(leadHoses([first, { ...second, along: 'fuel' }], [], frame))).toBe(0);
  });

  it('stays on the sheet where an end is off it', () => {
    const [way] = leadHoses([hose({ u: 30, v: 30 }, { u: 1_300, v: 880 })], [], frame);
    expect(way?.at(-1)).toEqual({ u: 1_300, v: 880 });
  });
});
