import { unsettled } from '@brisk/core/ledger';
import { openView, workedUntil } from '../../../testing/open-job';
import { Looms } from './looms';

type View = Awaited<ReturnType<typeof opened>>;
const opened = (entries = workedUntil(() => true)) => openView(Looms, entries);

async function choose(view: View, loom: 'host' | 'engine', text: string): Promise<void> {
  const input = view.element.querySelector<HTMLInputElement>(`input[name=pins-${loom}]`);
  const file = { name: `${loom}.csv`, arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer) };
  Object.defineProperty(input, 'files', { value: [file], configurable: true });
  input?.dispatchEvent(new Event('change'));
  await view.settle();
  await view.settle();
}

const host =
  'Plug;Pin;Signal;Colour;Goes to\nC1;4;Coolant temp sender;blue;gauge\nC1;5;fuel pump ground;black;\nC1;6;rev counter;;\n';
const engine =
  'Connector;Cavity;Function;Color;Destination\nX2;11;water temperature sensor;green;gauge\nX2;12;fuel pump supply;red;relay\n';

describe('the looms', () => {
  it('are read from two spreadsheets, matched, and ticked off', async () => {
    const view = await opened();
    await choose(view, 'host', host);
    expect(view.text()).toContain('The host’s loom: 3 pins. The other one is still to be read.');
    await choose(view, 'engine', engine);
    expect(view.server.entries).toMatchObject([
      { kind: 'pins-read', loom: 'host' },
      { kind: 'pins-read', loom: 'engine' },
    ]);
    expect(view.text()).toContain('Does not go together: measure first 1');
    expect(view.text()).toContain('Missing on the engine’s loom 1');
    const join = [...view.element.querySelectorAll('.splices li')].find((line) => line.textContent.includes('Coolant'));
    join?.querySelector<HTMLInputElement>('input')?.click();
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'splice-done', splice: 'C1.4-X2.11' });
    expect(view.text()).toContain('Made by');
  });

  it('become steps of the plan in one touch, and are ticked as such from then on', async () => {
    const view = await opened(workedUntil((state) => unsettled(state, 'lift').length === 0));
    await choose(view, 'host', `${host}C1;9;oil lamp;;dash\n`);
    await choose(view, 'engine', `${engine}X2;3;oil pressure lamp;;dash\n`);
    await view.press(/Put 2 splices into the plan, about 16 min/);
    await view.settle();
    expect(view.text()).not.toContain('into the plan');
    const titles = [...(view.desk.state()?.work.operations.values() ?? [])].map(({ title }) => title);
    expect(titles).toContain('Join C1 9, oil lamp to X2 3, oil pressure lamp');
    const join = [...view.element.querySelectorAll('.splices li')].find((line) =>
      line.textContent.includes('oil lamp'),
    );
    join?.querySelector<HTMLInputElement>('input')?.click();
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'operation-done', operation: 'adapt:splice-C1.9-X2.3' });
    expect(view.text()).toContain('Made by');
  });

  it('names the lines that cannot be taken, and keeps the table it has where nothing can', async () => {
    const view = await opened();
    await choose(view, 'host', `${host}C1;4;twice;;\n`);
    expect(view.text()).toContain('Line 5: C1 pin 4 stands in line 2 already.');
    await choose(view, 'host', 'Weight;Height\n1;2\n');
    expect(view.text()).toContain('No pin could be read from host.csv');
    expect(view.desk.state()?.pins.get('host')).toHaveLength(3);
  });
});
