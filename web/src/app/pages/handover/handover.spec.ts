import { isDone, stopOf } from '@brisk/core/ledger';
import { openView, workedUntil } from '../../../testing/open-job';
import { sealOf } from '@brisk/core/seal';
import { testJob, theirEntry } from '../../../testing/test-job';
import { Handover } from './handover';

const before = workedUntil((state) => isDone(state, 'close:mount-left'));

describe('the handover', () => {
  it('counts what is open and cannot be signed before the engine has run', async () => {
    const view = await openView(Handover);
    expect(view.text()).toMatch(/\d+ open items/);
    expect(view.text()).toContain('It can be handed over once the engine has run.');
    expect(view.text()).toContain('No torque has been read yet.');
  });

  it('shows in red what was left on purpose and counts that do not match', async () => {
    const count = (direction: 'out' | 'in', many: number) =>
      theirEntry({ kind: 'fasteners-counted', connection: 'bulkhead-shield-nuts', direction, count: many });
    const entries = [
      count('out', 4),
      ...before,
      count('in', 3),
      theirEntry({ kind: 'left-on-purpose', connection: 'exhaust-sensor', reason: 'Plug is on order' }),
    ];
    const view = await openView(Handover, entries);
    const red = [...view.element.querySelectorAll('.grave')].map((one) => one.textContent ?? '').join(' ');
    expect(red).toContain('Left off on purpose: the exhaust temperature sensor. Plug is on order');
    expect(red).toContain('The bulkhead heat shield: 4 counted out, 3 counted in');
  });

  it('lists every torque with its target, reading, wrench and verdict', async () => {
    const read = (value: number) =>
      theirEntry({
        kind: 'torque-read',
        connection: 'mount-left',
        wrench: 'three-eighths',
        read: { value, unit: 'N·m' },
      });
    const entries = [
      ...before,
      read(60),
      theirEntry({ kind: 'torque-accepted', connection: 'mount-left', reason: 'No room' }),
    ];
    const view = await openView(Handover, entries);
    const row = [...view.element.querySelectorAll('tbody tr')].find((one) =>
      one.textContent?.includes('The left engine mount'),
    );
    const words = row?.textContent?.replace(/\s+/g, ' ') ?? '';
    for (const part of ['3/8 in', '75 N·m', '60.0 N·m', 'Too low: No room', 'Tobias']) expect(words).toContain(part);
    expect(row?.classList.contains('grave')).toBe(true);
  });

  it('tells where the time went', async () => {
    const view = await openView(
      Handover,
      workedUntil((state) => stopOf(state) === 'lift'),
    );
    expect(view.text()).toContain('Where the time went');
    expect(view.text()).toContain('Strip');
    expect(view.element.querySelectorAll('.times rect').length).toBeGreaterThan(0);
  });

  it('offers the job as a bundle', async () => {
    const view = await openView(Handover);
    expect(view.element.querySelector('a[download]')?.getAttribute('href')).toMatch(/\/api\/jobs\/.*\/bundle$/);
  });

  it('offers what was found for the next such machine', async () => {
    const view = await openView(Handover, [
      theirEntry({
        kind: 'connection-found',
        alreadyOpen: false,
        connection: {
          id: 'radio',
          name: 'a radio ground',
          kind: 'ground',
          between: ['engine', 'body'],
          station: 'bay-top',
          height: 'either',
        },
      }),
    ]);
    expect(view.text()).toContain('1 connection found while working: keep them for the next such machine.');
  });

  it('has a seal to be printed, and finds one that is on paper in the record that went on', async () => {
    const early = before.slice(0, 5);
    const view = await openView(Handover, before);
    const shown = () => view.element.querySelector('[aria-label="Seal"]')?.textContent?.replace(/\s/g, '');
    expect(shown()).toBe(sealOf(testJob.id, before).hash);
    const check = (typed: string) => {
      const field = view.element.querySelector<HTMLInputElement>('bl-seal-card input');
      if (!field) throw new Error('no field');
      field.value = typed;
      field.dispatchEvent(new Event('input'));
      view.fixture.detectChanges();
      return view.element.querySelector('bl-seal-card [role=status]')?.textContent ?? '';
    };
    expect(check(sealOf(testJob.id, early).hash.slice(0, 16))).toMatch(/^✓ It is the seal of the first 5 entries/);
    expect(check('0123 4567 89ab cdef')).toContain('has that seal nowhere');
    expect(check('0123')).toContain('at least 16 signs');
    expect(check('')).toBe('');
  });

  it('is not sealed while entries are on this device alone', async () => {
    const view = await openView(Handover, before);
    view.server.reachable = false;
    view.desk.record({ kind: 'noted', text: 'Out of reach' });
    await view.settle();
    expect(view.text()).toContain('1 entry of it is still on this device alone');
    expect(view.element.querySelector('[aria-label="Seal"]')).toBeNull();
  });
});
