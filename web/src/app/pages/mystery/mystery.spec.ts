import { isDone, type LedgerEntry } from '@brisk/core/ledger';
import { theirEntry } from '../../../testing/test-job';
import { openView, pressable, type, workedUntil } from '../../../testing/open-job';
import { Mystery } from './mystery';

const joint = 'heat-shield-nuts';
const bracket = 'downpipe-bracket';
const worked = workedUntil((state) => isDone(state, `open:${bracket}`));
const short: readonly LedgerEntry[] = [
  ...worked,
  theirEntry({ kind: 'fasteners-counted', connection: joint, direction: 'out', count: 4, bag: 1, kept: 'bag' }),
  theirEntry({ kind: 'fasteners-counted', connection: bracket, direction: 'out', count: 1, bag: 2, kept: 'bag' }),
];
const loose = (bolt: string, lengthMm: number) =>
  theirEntry({
    kind: 'bolt-found',
    bolt,
    measured: { form: 'bolt', diameterMm: 7.88, lengthMm, driveSize: 13 },
    where: 'on the tray',
  });
const first = (element: HTMLElement) => element.querySelector('.ranked li');

describe('the mystery bolt', () => {
  it('sorts the open homes as it is measured, and says why', async () => {
    const view = await openView(Mystery, short);
    expect(view.text()).toContain('Measure one thing and the list below sorts itself');
    type(view.element, 'diameterMm', '7.85');
    type(view.element, 'lengthMm', '25');
    await view.settle();
    expect(first(view.element)?.textContent).toContain('The front pipe bracket on the gearbox');
    expect(first(view.element)?.textContent).toContain('one is missing here');
    expect(view.text()).toContain('M8×1.25 and 5/16-18 are easily taken for each other');
  });

  it('is sent home with one press, and counts with its set', async () => {
    const view = await openView(Mystery, short);
    type(view.element, 'diameterMm', '7.85');
    type(view.element, 'lengthMm', '25');
    await view.settle();
    await view.press('It goes here: The front pipe bracket on the gearbox');
    await view.settle();
    expect(view.server.entries.slice(-2)).toMatchObject([
      { kind: 'bolt-found', measured: { diameterMm: 7.85, lengthMm: 25 } },
      { kind: 'bolt-homed', connection: bracket, set: 0 },
    ]);
  });

  it('can be written down now and placed later', async () => {
    const view = await openView(Mystery, short);
    expect((pressable(view.element, 'Write it down, place it later') as HTMLButtonElement).disabled).toBe(true);
    await view.press('Star');
    type(view.element, 'driveSize', '25');
    type(view.element, 'where', 'under the lift');
    await view.settle();
    await view.press('Write it down, place it later');
    await view.settle();
    expect(view.text()).toContain('Fastener, T25; under the lift');
    expect(view.desk.state()?.loose.size).toBe(1);
  });

  it('places a handful at once, each in a home of its own', async () => {
    const view = await openView(Mystery, [
      ...short,
      loose('b1e00000-0000-4000-8000-000000000001', 25.2),
      loose('b1e00000-0000-4000-8000-000000000002', 24.8),
    ]);
    const together = [...view.element.querySelectorAll('.together li')].map((one) => one.textContent ?? '');
    expect(together).toHaveLength(2);
    expect(together.filter((words) => words.includes('The front pipe bracket'))).toHaveLength(1);
    await view.press('Agreed: The front pipe bracket on the gearbox');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'bolt-homed', connection: bracket });
    expect(view.element.querySelectorAll('.together li')).toHaveLength(0);
  });

  it('picks from sizes drawn on a screen somebody has measured', async () => {
    const view = await openView(Mystery, short);
    await view.press('Hold it to the screen');
    expect(view.text()).toContain('Hold a rule to the screen');
    await view.press('It is 100 mm');
    await view.press(/^M8×1.25 × 25, 13 mm flange/);
    await view.settle();
    expect(first(view.element)?.textContent).toContain('The front pipe bracket on the gearbox');
  });

  it('keeps to the one that is looked at, and to what is typed, while others write', async () => {
    const view = await openView(Mystery, [
      ...short,
      loose('b1e00000-0000-4000-8000-000000000001', 25.2),
      loose('b1e00000-0000-4000-8000-000000000002', 24.8),
    ]);
    await view.press(/24.8 long/);
    view.desk.record({ kind: 'noted', text: 'Meanwhile' });
    await view.settle();
    expect(view.element.querySelector('.loose [aria-pressed=true]')?.textContent).toContain('24.8 long');
    await view.press('Measure another one');
    type(view.element, 'lengthMm', '33');
    view.desk.record({ kind: 'noted', text: 'Meanwhile again' });
    await view.settle();
    expect(view.element.querySelector<HTMLInputElement>('[name=lengthMm]')?.value).toBe('33');
  });

  it('says so where no home is open', async () => {
    const view = await openView(Mystery);
    expect(view.text()).toContain('No open home');
  });
});
