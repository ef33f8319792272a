import { RULES_NOW } from '../connection-map/index.js';
import { tractorPlan } from '../testing/tractor-map.js';
import { refitted, start, then } from '../testing/small-job.js';
import { gateOf, holdPointName, startOf } from './index.js';

const begun = startOf({ ...tractorPlan, rules: RULES_NOW });
/** What `id` waits for, sorted by what that means. */
const waitsFor = (id: Parameters<typeof gateOf>[1]) => {
  const sorted: Record<string, string[]> = {};
  for (const { is, operation } of gateOf(begun, id).blockers) (sorted[is] ??= []).push(operation);
  return sorted;
};

describe('what a hold point waits for', () => {
  it('is what makes safe, before anything else', () => {
    expect(waitsFor('made-safe')).toEqual({ 'make-safe': ['open:negative', 'make:fuel-down'] });
  });

  it('is, before the lift, what still holds the powerpack, what else is not off, and what is not empty', () => {
    expect(waitsFor('pre-lift')).toEqual({
      'make-safe': ['make:hoisted', 'make:fuel-down', 'open:negative'],
      unfilled: ['drain:coolant'],
      holds: ['open:sensor', 'open:hose', 'open:mount-left', 'open:mount-right'],
      'not-off': [
        'open:cover-bolts',
        'open:radiator-bolts',
        'open:filler',
        'open:tank-strap',
        'open:loom-clips',
        'remove:radiator',
        'remove:tank',
        'remove:cover',
      ],
    });
  });

  it('is, before the way down, the end of the lift', () => {
    expect(waitsFor('pre-lower')).toEqual({ step: ['lift:clear'] });
  });

  it('is, before the start, every joint, every torque, every fill and every other step of the way back', () => {
    expect(waitsFor('pre-start')).toEqual({
      step: ['hold:pre-lower', 'lower:down', 'fit:radiator', 'fit:tank', 'fit:cover', 'release:hoisted'],
      open: [
        'close:negative',
        'close:cover-bolts',
        'close:sensor',
        'close:hose',
        'close:radiator-bolts',
        'start:mount-left',
        'close:mount-left',
        'start:mount-right',
        'close:mount-right',
        'close:filler',
        'close:tank-strap',
        'close:loom-clips',
      ],
      torque: ['torque:mount-left', 'torque:mount-right'],
      unfilled: ['fill:coolant'],
    });
  });

  it('is nothing of what is done, put off or left on purpose', () => {
    expect(gateOf(refitted, 'pre-start').blockers).toEqual([]);
    const told = gateOf(start, 'pre-lift').blockers.map(({ operation }) => operation);
    const skipped = then(start, {
      kind: 'operation-skipped',
      operation: 'open:sensor',
      mode: 'not-here',
      reason: 'This one has none.',
    });
    expect(gateOf(skipped, 'pre-lift').blockers.map(({ operation }) => operation)).toEqual(
      told.filter((id) => id !== 'open:sensor'),
    );
  });

  it('is told under its name, and under its sign where the map has no name for it', () => {
    expect(holdPointName(begun, 'pre-lift')).toBe('Ready to lift');
    const bare = startOf({ ...tractorPlan, map: { ...tractorPlan.map, holdPoints: [] } });
    expect(holdPointName(bare, 'pre-lift')).toBe('pre-lift');
    expect(gateOf(bare, 'pre-lift').holdPoint).toEqual({ id: 'pre-lift', name: 'pre-lift', confirmations: [] });
    expect(gateOf(begun, 'pre-lift')).toMatchObject({ twoSign: false });
    expect(gateOf(begun, 'pre-lift')).not.toHaveProperty('signed');
    expect(gateOf(begun, 'pre-lift')).not.toHaveProperty('firstOfTwo');
  });
});
