import type { JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { foldLedger } from '../ledger/index.js';
import { practicesOf } from './index.js';

const minibus: JobPlan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
};
const sweeper: JobPlan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under' };
const fresh = foldLedger(minibus, []);

describe('practices', () => {
  const choice = (plan: JobPlan, question: string, part?: string) =>
    practicesOf(plan).find((one) => one.question === question && (part === undefined || one.part === part));
  const taken = (plan: JobPlan, question: string, answer: string, part?: string) => {
    const practice = choice(plan, question, part)?.answers.find(({ id }) => id === answer)?.practice;
    if (!practice) throw new Error('There is no such answer.');
    return foldLedger({ ...plan, practice }, []).work;
  };

  it('leave the loom in the bay, or take it along and open far fewer plugs', () => {
    const along = taken(minibus, 'loom', 'engine');
    expect(along.operations.has('open:oil-pressure')).toBe(false);
    expect(along.operations.has('open:loom-control-unit')).toBe(true);
    expect(along.operations.size).toBeLessThan(fresh.work.operations.size - 10);
  });

  it('swing the steering pump aside, or undo its hoses', () => {
    const along = taken(minibus, 'pump', 'disconnected', 'steering-pump');
    expect(along.operations.has('open:steering-hoses')).toBe(true);
    expect(along.operations.has('open:steering-pump-bolts')).toBe(false);
    const back = taken({ ...minibus, practice: { along: ['steering-pump'] } }, 'pump', 'aside', 'steering-pump');
    expect(back.operations.has('open:steering-pump-bolts')).toBe(true);
  });

  it('open a refrigerant hose only where it is recovered first', () => {
    const along = taken(sweeper, 'pump', 'disconnected', 'compressor');
    expect(along.operations.has('make:refrigerant-recovered')).toBe(true);
    const refrigerant = [...along.connections.values()].filter(({ id }) => id === 'compressor-hoses');
    expect(refrigerant[0]?.needs).toContain('refrigerant-recovered');
  });

  it('take outer parts off first, and put them back', () => {
    const off = taken(minibus, 'outer-parts', 'off');
    expect(off.operations.has('remove:alternator')).toBe(true);
    expect(off.operations.has('fit:alternator')).toBe(true);
    expect(off.because.get('remove:alternator')).toContain('before the lift');
  });
});
