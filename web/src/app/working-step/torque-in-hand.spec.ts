import type { Job } from '@brisk/contracts/job';
import { FIRST_WRENCHES } from '@brisk/core/torque';
import { isDone, type LedgerEntry } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { testJob, theirEntry } from '../../testing/test-job';
import { choose, openView, pressable, type, wordsOf, workedUntil } from '../../testing/open-job';
import { StepInHand } from './step-in-hand';

const phases: readonly WorkPhase[] = ['strip', 'lift', 'refit', 'first-start', 'handover'];
const at = (step: string) => workedUntil((state) => isDone(state, step));
const open = (entries = workedUntil(() => true)) =>
  openView(StepInHand, entries, (desk) => ({ state: desk.state(), phases }));

describe('torque at the step in hand', () => {
  beforeEach(() => localStorage.setItem('brisk-wrench-shows', 'true'));
  afterEach(() => localStorage.clear());

  it('reads torque: a miss is kept and asked for again, a hit finishes the step', async () => {
    const entries = at('torque:bulkhead-shield-nuts');
    const upTo = entries.findIndex(({ kind }) => kind === 'torque-read');
    const view = await open(entries.slice(0, upTo));
    await view.press('One reading for the whole joint');
    expect(view.text()).toContain('Good from 7.52 to 8.48 N·m');
    type(view.element, 'value', '5');
    await view.press('Record torque');
    await view.settle();
    expect(view.text()).toContain('Too low: 5 N·m');
    expect(view.desk.state()?.torques.get('bulkhead-shield-nuts')).toHaveLength(1);
    type(view.element, 'value', '8');
    await view.press('Record torque');
    await view.settle();
    expect(isDone(view.desk.state() as never, 'torque:bulkhead-shield-nuts')).toBe(true);
    expect(view.text()).not.toContain('Record torque');
  });

  it('asks one touch of a wrench that clicks, and its figure only where it shows one', async () => {
    localStorage.clear();
    const entries = at('torque:bulkhead-shield-nuts');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex(({ kind }) => kind === 'torque-read'),
      ),
    );
    await view.press('One reading for the whole joint');
    expect(view.element.querySelector('input[name=value]')).toBeNull();
    await view.press('It shows a figure, or another wrench');
    expect(view.element.querySelector('input[name=value]')).not.toBeNull();
    await view.press('It shows a figure, or another wrench');
    await view.press(/^Clicked at/);
    await view.settle();
    expect(isDone(view.desk.state() as never, 'torque:bulkhead-shield-nuts')).toBe(true);
  });

  it('does not carry the wrench of one joint over to the next', async () => {
    const entries = at('torque:gearbox-mount');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex((entry) => entry.kind === 'torque-read' && entry.connection === 'mount-left'),
      ),
    );
    await choose(view.fixture, 'Wrench', FIRST_WRENCHES.find(({ id }) => id === 'half')?.name ?? '');
    type(view.element, 'value', '75');
    await view.press('Record torque');
    await view.settle();
    await view.settle();
    expect(view.desk.state()?.torques.get('mount-left')?.[0]).toMatchObject({ wrench: 'half', verdict: 'within' });
    expect(wordsOf(view.element.querySelector('[data-field=wrench]') ?? view.element)).toContain('Take:');
  });

  it('refuses a torque nobody read', async () => {
    const entries = at('torque:bulkhead-shield-nuts');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex(({ kind }) => kind === 'torque-read'),
      ),
    );
    await view.press('One reading for the whole joint');
    await view.press('Record torque');
    expect(view.text()).toContain('Value read is missing.');
  });
});

describe('a set that does not come out even', () => {
  const rules: Job = { ...testJob, plan: { ...testJob.plan, rules: 2 } };
  const joint = 'bulkhead-shield-nuts';
  const entries = at(`torque:${joint}`);
  const upTo = entries.findIndex((entry) => entry.kind === 'torque-read' && entry.connection === joint);
  const short: readonly LedgerEntry[] = [
    ...entries.slice(0, upTo),
    theirEntry({ kind: 'fasteners-counted', connection: joint, direction: 'out', count: 3, bag: 9, kept: 'bag' }),
    theirEntry({ kind: 'fasteners-counted', connection: joint, direction: 'in', count: 2 }),
  ];
  const openShort = () => openView(StepInHand, short, (desk) => ({ state: desk.state(), phases }), { job: rules });

  it('stands in the way of its torque, in words', async () => {
    const view = await openShort();
    expect(view.text()).toContain('Bag 9 is not empty: 1 left.');
    expect(() => pressable(view.element, 'Record torque')).toThrow();
    expect(pressable(view.element, 'Accept it as it is')).toBeTruthy();
  });

  it('is torqued once it was accepted or counted again', async () => {
    const view = await openShort();
    view.desk.record({ kind: 'count-accepted', connection: joint, reason: 'New one on Monday' });
    await view.settle();
    expect(pressable(view.element, /clicked$|Record torque/)).toBeTruthy();
  });
});
