import { RULES_NOW } from '@brisk/core/connection-map';
import { usualMap } from '@brisk/core/layouts';
import { nextUp, startOf, type LedgerEntry } from '@brisk/core/ledger';
import { recorder, workOn } from '@brisk/core/testing/crew';
import { testJob } from '../../testing/test-job';
import { openView, type } from '../../testing/open-job';
import { StepInHand } from './step-in-hand';

const job = {
  ...testJob,
  plan: { map: usualMap('longitudinal-manual'), powerpack: 'engine', route: 'top-engine', rules: RULES_NOW },
};
const upTo = (step: string): readonly LedgerEntry[] =>
  workOn(startOf(job.plan), recorder(), (state) => nextUp(state)?.operation.id === step).entries;
const open = (step: string) =>
  openView(StepInHand, upTo(step), (desk) => ({ state: desk.state(), phases: ['strip', 'lift', 'bench', 'refit'] }), {
    job,
  });

describe('a seat that is measured', () => {
  it('is judged as it is typed, recorded, and only then is the step done', async () => {
    const view = await open('do:clutch-on');
    const before = view.server.entries.length;
    await view.press('Done');
    expect(view.server.entries.length).toBe(before);
    for (const [place, mm] of ['34', '36,4', '34'].entries()) type(view.element, `seat-${place}`, mm);
    await view.settle();
    expect(view.text()).toContain('Fingers 2.4 mm apart');
    expect(view.text()).toContain('Accept it as it is');
    type(view.element, 'seat-1', '34,4');
    await view.settle();
    expect(view.text()).toContain('Even within 0.4 mm');
    await view.press('Record it');
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'seat-measured', readingsMm: [34, 34.4, 34] });
    await view.press('Done');
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'operation-done', operation: 'do:clutch-on' });
  });

  it('takes no words for a number', async () => {
    const view = await open('do:clutch-on');
    for (const place of [0, 1, 2]) type(view.element, `seat-${place}`, 'deep');
    await view.settle();
    expect(view.text()).toContain('Measure it at 3 places, in mm from 0 to 300.');
  });
});

describe('a joint that goes together', () => {
  it('is looked at: some with a tick of their own, some with the key', async () => {
    const view = await open('close:upper-hose');
    expect(view.text()).toContain('“Done” says as well: lies right, clip seated.');
    const tick = view.element.querySelector<HTMLInputElement>('bl-look-ticks input');
    tick?.click();
    await view.settle();
    await view.press('Done');
    await view.settle();
    expect(view.server.entries.find(({ kind }) => kind === 'joint-looked-at')).toMatchObject({
      connection: 'upper-hose',
      looks: ['way', 'clip', 'rise'],
      good: true,
    });
  });

  it('leaves out what was not ticked', async () => {
    const view = await open('close:upper-hose');
    await view.press('Done');
    await view.settle();
    expect(view.server.entries.find(({ kind }) => kind === 'joint-looked-at')).toMatchObject({
      looks: ['way', 'clip'],
    });
  });
});

describe('a fluid at the step in hand', () => {
  it('is warned of at the lowest joint, and what runs out there comes on top', async () => {
    const view = await open('open:lower-hose');
    expect(view.text()).toMatch(/About 2.2 l of coolant must still be inside, and this is the lowest joint/);
    type(view.element, 'litres', '1,4');
    await view.settle();
    await view.press('Done');
    await view.settle();
    expect(view.server.entries.find((entry) => entry.kind === 'fluid-measured')).toMatchObject({
      circuit: 'coolant',
      direction: 'out',
      litres: 1.4,
      onTop: true,
      joint: 'lower-hose',
    });
  });
});
