import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { isDone, startOf } from '../ledger/index.js';
import { standingOf } from '../journey/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { refused, then } from '../testing/small-job.js';
import { lookDue } from '../second-looks/index.js';
import { goEasyOn, proposedLooks } from './index.js';

const plan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under', rules: RULES_NOW };
const signed = workOn(startOf(plan), recorder(), (state) => isDone(state, 'hold:pre-start')).state;
const planned = { kind: 'second-look-planned', look: 'a', what: 'Wheel bolts', dueOn: '2026-03-09' } as const;

describe('second looks', () => {
  it('are proposed by what was done, soonest first', () => {
    const looks = proposedLooks(signed);
    expect(looks.map(({ id }) => id)).toEqual(expect.arrayContaining(['levels-cold', 'wheel-bolts', 'underneath']));
    expect(looks.map(({ inDays }) => inDays)).toEqual(
      looks.map(({ inDays }) => inDays).sort((one, other) => one - other),
    );
    expect(looks.find(({ id }) => id === 'torque-again')?.what).toMatch(/front pipe at the exhaust manifold, 24 N·m/);
    expect(proposedLooks(startOf(plan))).toEqual([]);
  });

  it('are not proposed again once planned', () => {
    const [first] = proposedLooks(signed);
    const after = then(signed, { ...planned, what: first?.what ?? '' });
    expect(proposedLooks(after).map(({ id }) => id)).not.toContain(first?.id);
  });

  it('are due on their day, stand in the yard until taken, and are taken once', () => {
    const state = then(signed, planned);
    expect(standingOf(state).secondLooks).toEqual([{ what: 'Wheel bolts', dueOn: '2026-03-09' }]);
    const look = state.secondLooks.get('a') ?? { dueOn: '' };
    expect(lookDue(look, '2026-03-08')).toBe(false);
    expect(lookDue(look, '2026-03-09')).toBe(true);
    const taken = then(state, { kind: 'second-look-done', look: 'a', note: 'All tight' });
    expect(standingOf(taken).secondLooks).toBeUndefined();
    expect(lookDue(taken.secondLooks.get('a') ?? {}, '2026-03-20')).toBe(false);
    expect(refused(taken, { kind: 'second-look-done', look: 'a' })).toMatch(/taken already/);
    expect(refused(state, planned)).toMatch(/planned already/);
  });

  it('want a day or a distance', () =>
    expect(refused(signed, { kind: 'second-look-planned', look: 'b', what: 'Belt' })).toMatch(/when it is due/));

  it('are written of a machine that is handed over as well', () => {
    const over = workOn(signed, recorder(), (state) => state.handedOver !== undefined).state;
    expect(over.handedOver).toBeDefined();
    expect(refused(over, planned)).toBe('');
  });
});

it('what to go easy on is what is not set, and what was not cleared', () => {
  expect(goEasyOn(signed).join()).toMatch(/Coolant: its level is not set yet/);
  const lamp = then(signed, { kind: 'issue-opened', issue: 'i', title: 'Idle not learned', sort: 'stored' });
  expect(goEasyOn(lamp)).toContain('Until it is cleared: Idle not learned');
});
