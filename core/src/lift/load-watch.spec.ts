import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { canApply, foldLedger, stopOf, type JobState } from '../ledger/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { judgeLoad, legsOf, liftFor, suspectsOf } from './index.js';

const plan = {
  map: compose(templateOf('longitudinal-manual')),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const start = foldLedger(plan, []);
const stripped = workOn(start, recorder(), (state) => stopOf(state) === 'lift').state;
const legOf = (state: JobState) => {
  const lift = liftFor(state);
  return lift && legsOf(lift)[0];
};

describe('the load on the hook', () => {
  it.each([
    [120, 'not yet all of it'],
    [300, 'as expected'],
    [340, 'as expected'],
    [360, 'ahead'],
    [420, 'far ahead'],
  ])('of 300 kg, read as %s kg, is %s', (readKg, is) => expect(judgeLoad(300, readKg).is).toBe(is));

  it('is read only once it may hang', () => {
    const entry = {
      id: '00000000-0000-4000-8000-0000000000aa',
      at: '2026-11-27T09:00:00.000Z',
      by: 'Ines',
      kind: 'load-read',
      kg: 300,
    } as const;
    expect(canApply(start, entry).map(({ words }) => words)).toEqual([
      'Nothing hangs before the pre-lift hold point is signed.',
    ]);
  });
});

describe('what may still be on', () => {
  it('is first what the record says is still on', () => {
    const [first] = suspectsOf(start, legOf(start));
    expect(first?.why).toBe('By the record it is still on.');
  });

  it('is what crews forget most once everything is recorded as off', () => {
    const suspects = suspectsOf(stripped, legOf(stripped));
    expect(suspects).toHaveLength(6);
    expect(suspects[0]?.why).toContain('ground strap');
    const weights = suspects.map(({ weight }) => weight);
    expect(weights).toEqual([...weights].sort((one, other) => other - one));
  });

  it('is sooner what is near the side that lags', () => {
    const order = (lagging?: 'rear' | 'front') => suspectsOf(stripped, legOf(stripped), lagging).map(({ key }) => key);
    expect(order('rear')).not.toEqual(order('front'));
  });

  it('is what was found late on another machine of this kind, where it could be on this one', () => {
    const elsewhere = [
      {
        name: 'the strap under the starter',
        kind: 'ground' as const,
        between: ['engine', 'body'] as const,
        station: 'underside' as const,
        machine: 'Sweeper 3',
      },
      {
        name: 'the tow hook lamp',
        kind: 'plug' as const,
        between: ['tow-hook', 'body'] as const,
        station: 'rear' as const,
        machine: 'Sweeper 3',
      },
    ];
    const suspects = suspectsOf(stripped, legOf(stripped), undefined, elsewhere);
    expect(suspects[0]).toMatchObject({
      name: 'the strap under the starter',
      why: 'Found late on Sweeper 3, and on no map.',
      known: false,
    });
    expect(suspects[0]?.connection).toBeUndefined();
    expect(suspects.map(({ name }) => name)).not.toContain('the tow hook lamp');
  });
});
