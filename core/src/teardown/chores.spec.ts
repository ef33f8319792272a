import { RULES_NOW, type Chore, type ConnectionMap } from '../connection-map/index.js';
import { compose, templateOf } from '../layouts/index.js';
import { workOf } from '../work/index.js';

const plan = (map: ConnectionMap, powerpack: string, route: string) =>
  workOf({ map, powerpack, route, rules: RULES_NOW });
const chore = (more: Partial<Chore>): Chore => ({
  id: 'look',
  half: 'out',
  why: 'So.',
  title: 'Look',
  station: 'front',
  height: 'either',
  hands: 1,
  tools: [],
  minutes: { low: 1, likely: 1, high: 1 },
  cautions: [],
  after: [],
  before: [{ holdPoint: 'pre-lift' }],
  ...more,
});
const manual = compose(templateOf('longitudinal-manual'));
const withChore = (more: Partial<Chore>) => ({ ...manual, chores: [chore(more)] });
const beforeOf = (work: ReturnType<typeof plan>, id: string) => (work.outOf.get(id) ?? []).map(({ after }) => after);

describe('a chore', () => {
  it('is done on a job where something is that it comes before', () => {
    const soaks = withChore({ before: [{ connection: 'downpipe-manifold' }, { connection: 'no-such-thing' }] });
    const work = plan(soaks, 'engine-with-gearbox', 'top');
    expect(work.operations.get('do:look')).toMatchObject({ kind: 'prepare', phase: 'strip', title: 'Look' });
    expect(beforeOf(work, 'do:look')).toContain('open:downpipe-manifold');
    expect(work.because.get('do:look')).toBe('So.');
    const serves = withChore({ before: [{ part: 'bulkhead-shield' }] });
    expect(plan(serves, 'gearbox', 'under').operations.has('do:look')).toBe(false);
  });

  it('is for such jobs as it says, on the half it says', () => {
    const out = withChore({ half: 'back', where: { comesOut: 'engine' }, before: [{ holdPoint: 'pre-lower' }] });
    expect(plan(out, 'engine-with-gearbox', 'top').operations.get('do:look')?.phase).toBe('refit');
    expect(plan(out, 'gearbox', 'under').operations.has('do:look')).toBe(false);
    const stays = withChore({ where: { staysIn: 'engine' } });
    expect(plan(stays, 'gearbox', 'under').operations.has('do:look')).toBe(true);
    expect(plan(stays, 'engine', 'top-engine').operations.has('do:look')).toBe(false);
    const touches = withChore({ where: { touches: ['bell-housing'] } });
    expect(plan(touches, 'gearbox', 'under').operations.has('do:look')).toBe(true);
    expect(plan(touches, 'engine-with-gearbox', 'top').operations.has('do:look')).toBe(false);
  });

  it('comes after the whole of a joint on the way back, and before any of one', () => {
    const back = withChore({
      half: 'back',
      after: [{ connection: 'downpipe-flange' }],
      before: [{ connection: 'exhaust-hangers' }, { holdPoint: 'pre-start' }, { circuit: 'coolant' }],
    });
    const work = plan(back, 'engine-with-gearbox', 'top');
    expect((work.into.get('do:look') ?? []).map(({ before }) => before)).toContain('torque:downpipe-flange');
    expect(beforeOf(work, 'do:look')).toEqual(expect.arrayContaining(['fill:coolant', 'hold:pre-start']));
  });

  it('comes beside what takes a part off or a joint apart, on the way out, where that is done at all', () => {
    const work = plan(
      withChore({
        after: [{ undone: 'bonnet' }, { undone: 'no-such-thing' }, { renewal: 'clutch' }],
        before: [{ undone: 'downpipe-manifold' }, { condition: 'fuel-off' }, { holdPoint: 'pre-lift' }],
      }),
      'engine-with-gearbox',
      'top',
    );
    expect((work.into.get('do:look') ?? []).map(({ before }) => before)).toContain('remove:bonnet');
    expect(beforeOf(work, 'do:look')).toContain('open:downpipe-manifold');
    for (const { before, after } of work.precedence)
      for (const id of [before, after]) expect(work.operations.has(id)).toBe(true);
  });

  it('recalls the step it looks back to, where it does', () => {
    const operation = (more: Partial<Chore>) =>
      plan(withChore(more), 'engine-with-gearbox', 'top').operations.get('do:look');
    expect(operation({ recalls: 'pump-pinned' })?.recalls).toBe('do:pump-pinned');
    expect(operation({})).not.toHaveProperty('recalls');
  });

  it('stands beside another chore only where that is done on the job', () => {
    const two = (before: Chore['before']) => ({
      ...manual,
      chores: [chore({}), chore({ id: 'then', title: 'Then', after: [{ chore: 'look' }, { chore: 'gone' }], before })],
    });
    const both = plan(two([{ holdPoint: 'pre-lift' }]), 'engine-with-gearbox', 'top');
    expect(beforeOf(both, 'do:look')).toContain('do:then');
    expect((both.into.get('do:then') ?? []).map(({ before }) => before)).not.toContain('do:gone');
  });

  it('that only waits takes nobody’s hands', () => {
    const work = plan(withChore({ wait: true, before: [{ circuit: 'coolant' }] }), 'engine-with-gearbox', 'top');
    expect(work.operations.get('do:look')?.kind).toBe('wait');
  });

  it('has the shaft slung before its flanges are undone, and the sling taken away once they are torqued', () => {
    const work = plan(compose(templateOf('longitudinal-manual'), { propshaft: 'one-piece' }), 'gearbox', 'under');
    expect(beforeOf(work, 'do:sling-shaft')).toEqual(expect.arrayContaining(['open:prop-front', 'open:prop-rear']));
    expect((work.into.get('do:sling-away') ?? []).map(({ before }) => before)).toEqual(
      expect.arrayContaining(['torque:prop-front', 'torque:prop-rear']),
    );
  });
});
