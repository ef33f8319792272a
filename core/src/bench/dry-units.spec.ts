import { RULES_NOW, type CircuitId, type JobPlan, type PartId } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { circuitNow, startOf, type JobState } from '../ledger/index.js';
import { ancestorsOf } from '../teardown/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { then } from '../testing/small-job.js';
import { readiness } from '../readiness/index.js';
import { raisesOf, CAUSES } from '../diagnosis/index.js';

const plan = (layout: string, rules = RULES_NOW): JobPlan => ({
  map: usualMap(layout),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules,
});
const exchanged = (layout: string, unit: PartId, filled?: readonly CircuitId[], rules?: number): JobState =>
  then(startOf(plan(layout, rules)), {
    kind: 'unit-decided',
    unit,
    becomes: 'exchange',
    comesWith: [],
    ...(filled ? { filled } : {}),
  });
const upTo = (state: JobState, id: string): JobState =>
  workOn(state, recorder(), (now) => now.progress.get(id)?.is === 'done').state;

describe('a unit that comes from elsewhere', () => {
  const dry = exchanged('longitudinal-manual', 'gearbox');

  it('is filled before the start, once it is in its place, though no joint of it was opened', () => {
    expect(startOf(plan('longitudinal-manual')).work.operations.has('fill:gearbox-oil')).toBe(false);
    const first = ancestorsOf('fill:gearbox-oil', dry.work);
    expect(first.has('lower:on-mounts')).toBe(true);
    expect(ancestorsOf('hold:pre-start', dry.work).has('fill:gearbox-oil')).toBe(true);
  });

  it('is left to whoever says what is in it, and to jobs planned before', () => {
    expect(exchanged('longitudinal-manual', 'gearbox', ['gearbox-oil']).work.operations.has('fill:gearbox-oil')).toBe(
      false,
    );
    expect(exchanged('longitudinal-manual', 'gearbox', undefined, 7).work.operations.has('fill:gearbox-oil')).toBe(
      false,
    );
  });

  it('stands on the record as never filled, and speaks against the key and for its cause', () => {
    const stands = upTo(dry, 'shift:change-gearbox');
    expect(circuitNow(stands, 'gearbox-oil')).toMatchObject({ is: 'never-filled', insideL: 0 });
    expect(
      readiness(stands)
        .purposes.find(({ purpose }) => purpose === 'fire')
        ?.against.map(({ words }) => words),
    ).toContain('Gearbox oil: never filled: another unit comes dry');
    expect(raisesOf(stands, CAUSES).get('gearbox-dry')?.because).toEqual([
      'Gearbox oil: never filled: another unit comes dry.',
    ]);
    const filled = upTo(stands, 'fill:gearbox-oil');
    expect(circuitNow(filled, 'gearbox-oil')?.is).toBe('full');
    expect(raisesOf(filled, CAUSES).has('gearbox-dry')).toBe(false);
  });

  it('is not known where somebody only said so, until its level is looked at', () => {
    const said = upTo(exchanged('longitudinal-manual', 'gearbox', ['gearbox-oil']), 'shift:change-gearbox');
    expect(circuitNow(said, 'gearbox-oil')?.is).toBe('unknown');
    expect(circuitNow(then(said, { kind: 'level-set', circuit: 'gearbox-oil', addedL: 0 }), 'gearbox-oil')?.is).toBe(
      'full',
    );
  });

  it('gets its filter with its oil', () => {
    expect(exchanged('longitudinal-manual', 'engine').work.operations.has('do:oil-filter')).toBe(true);
  });
});

describe('another automatic', () => {
  const { work } = exchanged('longitudinal-automatic', 'gearbox');

  it('has its converter filled by hand before it goes on, and its cooler flushed', () => {
    expect(ancestorsOf('shift:together-gearbox', work).has('shift:charge-converter')).toBe(true);
    expect(ancestorsOf('do:converter-home', work).has('shift:charge-converter')).toBe(true);
    expect(ancestorsOf('close:gearbox-cooler-pipes', work).has('do:flush-cooler')).toBe(true);
  });

  it('has it filled too where the gearbox comes out alone and is never drawn off an engine at the bench', () => {
    const alone = startOf({ ...plan('transverse-automatic'), powerpack: 'gearbox', route: 'under-gearbox' });
    const other = then(alone, { kind: 'unit-decided', unit: 'gearbox', becomes: 'exchange', comesWith: [] }).work;
    const before = (id: string) => ancestorsOf(id, other).has('shift:charge-converter');
    expect([before('close:converter-shaft'), before('do:converter-home'), before('hold:pre-lower')]).toEqual([
      true,
      true,
      true,
    ]);
  });

  it('is not charged, and nothing is flushed, where the old one goes back', () => {
    const same = startOf(plan('longitudinal-automatic')).work.operations;
    expect([same.has('shift:charge-converter'), same.has('do:flush-cooler')]).toEqual([false, false]);
  });
});

it('a powerpack parted under the machine is neither drawn apart nor joined at the bench', () => {
  const split = startOf({ ...plan('longitudinal-manual'), route: 'split' });
  const decided = then(split, { kind: 'unit-decided', unit: 'gearbox', becomes: 'exchange', comesWith: [] });
  expect([...decided.work.operations.keys()].filter((id) => /^shift:(apart|together)/.test(id))).toEqual([]);
});
