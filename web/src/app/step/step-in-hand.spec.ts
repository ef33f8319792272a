import { isDone } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { openView, tick, type, workedUntil, pressable } from '../../testing/open-job';
import { StepInHand } from './step-in-hand';

const phases: readonly WorkPhase[] = ['strip', 'lift', 'refit', 'first-start', 'handover'];
const at = (step: string) => workedUntil((state) => isDone(state, step));
const open = (entries = workedUntil(() => true)) =>
  openView(StepInHand, entries, (desk) => ({ state: desk.state(), phases }));
const sent = (view: Awaited<ReturnType<typeof open>>, from: number) =>
  view.server.entries.slice(from).map((entry) => ({ ...entry, id: '', at: '', by: '' }));
const head = { id: '', at: '', by: '' };

describe('the step in hand', () => {
  it('says what, where, how high, with what and what to watch', async () => {
    const view = await open();
    const words = view.text();
    for (const part of [
      'Over the bay',
      'on its wheels',
      'Let the fuel pressure down',
      'rags, fuel can, extinguisher',
      'Fuel spray burns',
    ])
      expect(words).toContain(part);
    expect(words).not.toMatch(/\bis safe\b/i);
  });

  it('records a step with one press and goes on to the next', async () => {
    const view = await open();
    await view.press('Done');
    await view.settle();
    expect(sent(view, 0)).toEqual([{ ...head, kind: 'operation-done', operation: 'make:fuel-depressurised' }]);
    expect(view.text()).toContain('Unbolt the battery negative lead');
  });

  it('counts fasteners into the next bag and tags both halves, unless told otherwise', async () => {
    const view = await open(at('make:fuel-depressurised'));
    expect(view.text()).toContain('Tag 1 on both halves');
    await view.press('One more: Out');
    expect(view.text()).toContain('The map says 1');
    await view.press('Done');
    await view.settle();
    expect(sent(view, 1)).toEqual([
      { ...head, kind: 'fasteners-counted', connection: 'battery-negative', direction: 'out', count: 2, bag: 1 },
      { ...head, kind: 'tagged', connection: 'battery-negative', tag: 1 },
      { ...head, kind: 'operation-done', operation: 'open:battery-negative' },
    ]);
  });

  it('puts fasteners back in their hole and leaves the tag off when asked', async () => {
    const view = await open(at('make:fuel-depressurised'));
    for (const tick of view.element.querySelectorAll<HTMLInputElement>('.tick input')) tick.click();
    await view.settle();
    expect(view.text()).toContain('Back in its hole, no bag');
    await view.press('Done');
    await view.settle();
    expect(sent(view, 1)).toEqual([
      { ...head, kind: 'fasteners-counted', connection: 'battery-negative', direction: 'out', count: 1 },
      { ...head, kind: 'operation-done', operation: 'open:battery-negative' },
    ]);
  });

  it('has a hold point signed only after every look', async () => {
    const view = await open(at('open:battery-negative'));
    expect(view.text()).toContain('Hold point');
    const sign = () => pressable(view.element, /look|Sign as/) as HTMLButtonElement;
    expect(sign().disabled).toBe(true);
    for (const box of view.element.querySelectorAll<HTMLInputElement>('mat-checkbox input')) box.click();
    await view.settle();
    expect(sign().textContent).toContain('Sign as Ines');
    await view.press('Sign as Ines');
    await view.settle();
    expect(sent(view, 2)).toEqual([
      {
        ...head,
        kind: 'hold-point-signed',
        holdPoint: 'made-safe',
        confirmed: ['chocked', 'extinguisher', 'lead-tied'],
      },
    ]);
  });

  it('has the machine raised first where the next step needs it', async () => {
    const entries = workedUntil((state) => state.height === 'raised');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex(({ kind }) => kind === 'height-set'),
      ),
    );
    expect(view.text()).toContain('Raise the machine onto stands');
    expect(view.text()).toContain('Stands under the body');
    await view.press('It is up on stands');
    await view.settle();
    expect(view.desk.state()?.height).toBe('raised');
  });

  it('measures what is drained, refuses what cannot be, and takes a comma', async () => {
    const entries = at('drain:gearbox-oil');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex((entry) => 'operation' in entry && entry.operation === 'drain:gearbox-oil'),
      ),
    );
    type(view.element, 'litres', 'lots');
    await view.settle();
    expect(view.text()).toContain('Litres have to be a number');
    const before = view.server.entries.length;
    await view.press('Done');
    expect(view.server.entries).toHaveLength(before);
    type(view.element, 'litres', '4,1');
    await view.press('Done');
    await view.settle();
    expect(sent(view, before)[0]).toEqual({
      ...head,
      kind: 'fluid-measured',
      circuit: 'gearbox-oil',
      direction: 'out',
      litres: 4.1,
    });
  });

  it('reads torque: a miss is kept and asked for again, a hit finishes the step', async () => {
    const entries = at('torque:bulkhead-shield-nuts');
    const upTo = entries.findIndex(({ kind }) => kind === 'torque-read');
    const view = await open(entries.slice(0, upTo));
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

  it('does not carry the wrench of one joint over to the next', async () => {
    const entries = at('torque:gearbox-mount');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex((entry) => entry.kind === 'torque-read' && entry.connection === 'mount-left'),
      ),
    );
    type(view.element, 'wrench', 'half');
    type(view.element, 'value', '75');
    await view.press('Record torque');
    await view.settle();
    await view.settle();
    expect(view.desk.state()?.torques.get('mount-left')?.[0]).toMatchObject({ wrench: 'half', verdict: 'within' });
    const wrench = view.element.querySelector<HTMLSelectElement>('[name=wrench]');
    expect(wrench?.selectedOptions[0]?.textContent).toContain('Take:');
  });

  it('refuses a torque nobody read', async () => {
    const entries = at('torque:bulkhead-shield-nuts');
    const view = await open(
      entries.slice(
        0,
        entries.findIndex(({ kind }) => kind === 'torque-read'),
      ),
    );
    await view.press('Record torque');
    expect(view.text()).toContain('Value read is missing.');
  });

  it('lets another possible step be taken instead', async () => {
    const view = await open(workedUntil((state) => isDone(state, 'hold:made-safe')));
    await view.press(/^Unplug the oil pressure switch/);
    await tick(20);
    await view.settle();
    expect(view.element.querySelector('h1')?.textContent).toContain('Unplug the oil pressure switch');
    await view.press('Done');
    await view.settle();
    expect(isDone(view.desk.state() as never, 'open:oil-pressure')).toBe(true);
  });

  it('does not offer to skip what others’ safety hangs on', async () => {
    const view = await open();
    expect(() => pressable(view.element, 'Skip')).toThrow();
    expect(pressable(view.element, 'Stuck')).toBeTruthy();
  });

  it('forgets a count when another step comes to hand, and keeps it while others write', async () => {
    const view = await open(at('make:fuel-depressurised'));
    await view.press('One more: Out');
    view.desk.record({ kind: 'noted', text: 'Meanwhile' });
    await tick();
    await view.settle();
    expect(view.element.querySelector('output')?.textContent).toBe('2');
  });
});
