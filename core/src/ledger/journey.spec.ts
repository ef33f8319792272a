import { usualMap } from '../layouts/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { foldLedger, openItems, startOf, stopOf, holding, powerpackMassKg, nextUp, replay } from './index.js';

const plan = { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' };

describe('a whole job on the longitudinal automatic', () => {
  it('can be worked from the first step to handover by always doing what is proposed', () => {
    const { state, entries } = workOn(startOf(plan), recorder());
    expect(state.handedOver).toBeDefined();
    expect(openItems(state)).toEqual([]);
    expect(replay(startOf(plan), entries).refused).toBeUndefined();
    expect(foldLedger(plan, entries)).toEqual(state);
  });

  it('passes the stops in order', () => {
    const stops = new Set<string>([stopOf(startOf(plan))]);
    workOn(startOf(plan), recorder(), (state) => {
      stops.add(stopOf(state));
      return false;
    });
    expect([...stops]).toEqual(['plan', 'strip', 'lift', 'bench', 'refit', 'first-start', 'handover']);
  });

  it('has nothing holding the powerpack when it is time to lift, and weighs only what hangs', () => {
    const { state } = workOn(startOf(plan), recorder(), (now) => stopOf(now) === 'lift');
    expect(holding(state)).toEqual([]);
    expect(nextUp(state)?.operation.id).toBe('hold:pre-lift');
    expect(powerpackMassKg(state)).toBeLessThan(powerpackMassKg(startOf(plan)));
  });
});
