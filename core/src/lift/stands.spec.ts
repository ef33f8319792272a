import { compose, templateOf, TEMPLATES } from '../layouts/index.js';
import { foldLedger } from '../ledger/index.js';
import { RULES_NOW, waysOut } from '../connection-map/index.js';
import { GRAVITY, RiggingError } from '../rigging/index.js';
import { footingsOf, liftFor, standingsOf, type LiftOf } from './index.js';

function liftOf(layout: string, powerpack: string, route: string): LiftOf {
  const plan = { map: compose(templateOf(layout)), powerpack, route, rules: RULES_NOW };
  const lift = liftFor(foldLedger(plan, []));
  if (!lift) throw new Error('Nobody drew it.');
  return lift;
}

describe('how a machine stands', () => {
  it('carries on its wheels what its layout says, and less in front once the powerpack is out of there', () => {
    const lift = liftOf('longitudinal-automatic', 'engine-with-gearbox', 'top');
    const [whole, stripped, out] = standingsOf(lift, footingsOf(lift).wheels);
    const { massKg, frontShare } = lift.shape.layout.weight;
    expect((whole?.balance.frontN ?? 0) / GRAVITY).toBeCloseTo(massKg * frontShare, 6);
    expect(stripped?.massKg).toBeLessThan(massKg);
    expect(out?.massKg).toBeLessThan((stripped?.massKg ?? 0) - 250);
    expect(out?.balance.frontN).toBeLessThan((whole?.balance.frontN ?? 0) * 0.8);
    for (const { balance, massKg: left } of [whole, stripped, out].flatMap((one) => one ?? []))
      expect((balance.frontN + balance.rearN) / GRAVITY).toBeCloseTo(left, 6);
  });

  it('stays inside on the usual stands on every layout, whichever way it goes', () => {
    for (const { layout } of TEMPLATES)
      for (const { powerpack, route } of waysOut(compose(templateOf(layout)))) {
        const lift = liftOf(layout, powerpack.id, route.id);
        for (const { at, balance } of standingsOf(lift, footingsOf(lift).stands))
          expect({ layout, way: route.id, at, is: balance.is }).toEqual({ layout, way: route.id, at, is: 'inside' });
      }
  });

  it('tips back with the stands too far forward of its weight at the rear, and says so', () => {
    const lift = liftOf('rear-flat-air-cooled', 'engine', 'rear');
    const at = (rearMm: number) => standingsOf(lift, { frontMm: 0, rearMm }).map(({ balance }) => balance.is);
    expect(at(-1_300)[0]).toBe('outside');
    expect(at(-1_500)[0]).toBe('near the edge');
  });

  it('is refused with the rear support before the front one', () => {
    const lift = liftOf('rear-flat-air-cooled', 'engine', 'rear');
    expect(() => standingsOf(lift, { frontMm: -2_000, rearMm: -500 })).toThrow(RiggingError);
  });
});
