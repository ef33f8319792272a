import { lumpOf, waysOut } from '../connection-map/index.js';
import { legsOf, weightOf } from '../lift/index.js';
import { FIRST_GEAR } from '../rigging/index.js';
import { Gaps, SEATED } from '../clearance/index.js';
import { pairwise } from '../testing/pairwise.js';
import { workOf } from '../work/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { compose, lintShape, TEMPLATES, type Template } from './index.js';
import { shapeOf } from './shapes/index.js';

const named = TEMPLATES.map((template) => [template.layout, template] as const);

function legs(template: Template, choices = {}) {
  const map = compose(template, choices);
  const shape = shapeOf(map);
  if (!shape) throw new Error('Nobody drew it.');
  return waysOut(map).flatMap(({ powerpack, route }) => {
    const work = workOf({ map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW });
    const off = new Set(
      [...work.operations.values()].flatMap(({ kind, part }) =>
        kind === 'remove' && part !== undefined ? [...lumpOf(map, [part])] : [],
      ),
    );
    return legsOf({
      map,
      lump: work.lump,
      route: route.id,
      off,
      shape,
      raisedMm: 350,
      fluids: [],
      putOff: [],
      inFirst: new Set(),
      gear: FIRST_GEAR,
    }).map((leg) => ({
      way: `${powerpack.id} by ${route.id}`,
      leg,
      shape,
    }));
  });
}

describe.each(named)('the shapes of %s', (_layout, template) => {
  it('hold to account with any two choices that can stand together', () => {
    for (const choices of [{}, ...pairwise(template)]) {
      const map = compose(template, choices);
      const shape = shapeOf(map);
      expect(shape).toBeDefined();
      if (shape) expect({ choices, problems: lintShape(map, shape) }).toEqual({ choices, problems: [] });
    }
  });

  it('let everything sit where it sits, on every way out, with air round it', () => {
    const all = legs(template);
    expect(all.length).toBeGreaterThan(0);
    for (const { way, leg } of all) {
      const gap = new Gaps(leg.scene).at(SEATED, 5);
      expect({ way, touches: gap && [gap.moving.id, gap.still.id, gap.mm] }).toEqual({ way, touches: undefined });
    }
  });

  it('have a centre of gravity inside what leaves, and a likely weight', () => {
    for (const { leg } of legs(template)) {
      const { massKg, centre } = weightOf(leg.moving);
      expect(massKg).toBeGreaterThan(30);
      const xs = leg.moving.flatMap(({ extent }) => extent.x);
      const zs = leg.moving.flatMap(({ extent }) => extent.z);
      expect(centre.x).toBeGreaterThan(Math.min(...xs));
      expect(centre.x).toBeLessThan(Math.max(...xs));
      expect(centre.z).toBeGreaterThan(Math.min(...zs));
      expect(centre.z).toBeLessThan(Math.max(...zs));
    }
  });
});
