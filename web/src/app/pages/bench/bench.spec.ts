import { TestBed } from '@angular/core/testing';
import { unsettled } from '@brisk/core/ledger';
import { theirEntry, testJob } from '../../../testing/test-job';
import { openView, workedUntil } from '../../../testing/open-job';
import { Selection } from '../../session/selection';
import { Bench } from './bench';

const lifted = () => workedUntil((state) => unsettled(state, 'lift').length === 0);

describe('the bench', () => {
  it('says that it is still in, and takes decisions all the same', async () => {
    const view = await openView(Bench);
    expect(view.text()).toContain('Still in the machine');
    await view.press('Decide on the engine');
    await view.press('Exchange unit');
    await view.press('Decide so');
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({
      kind: 'unit-decided',
      unit: 'engine',
      becomes: 'exchange',
      comesWith: [],
    });
    expect(view.text()).toContain('Engine gives way to an exchange unit.');
    expect(view.text()).toMatch(/\d+ steps wait at the bench/);
  });

  it('takes from the old one what does not come with the other', async () => {
    const view = await openView(Bench);
    await view.press('Decide on the engine');
    await view.press('Exchange unit');
    await view.press('Turbocharger');
    await view.press('Decide so');
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({ comesWith: ['turbo'] });
    expect(view.desk.state()?.work.operations.has('remove:turbo')).toBe(false);
    expect(view.desk.state()?.work.operations.has('remove:alternator')).toBe(true);
  });

  it('keeps what is picked and typed when somebody writes meanwhile', async () => {
    const view = await openView(Bench);
    await view.press('Decide on the engine');
    await view.press('Donor’s');
    const ticked = () => view.element.querySelectorAll('bl-unit-card mat-checkbox input:checked').length;
    const all = ticked();
    await view.press('Turbocharger');
    expect(ticked()).toBe(all - 1);
    view.desk.record({ kind: 'noted', text: 'The crane is free' });
    await view.settle();
    expect(ticked()).toBe(all - 1);
  });

  it('has the step in hand once it is out, and no height at the bench', async () => {
    const entries = [...lifted(), theirEntry({ kind: 'renewal-decided', renewals: ['converter-seal'], doIt: 'now' })];
    const view = await openView(Bench, entries);
    expect(view.text()).toContain('At the bench');
    expect(view.element.querySelector('h1:not(.seen-by-reader-only)')?.textContent).toBeTruthy();
    expect(view.element.querySelector('.where')?.textContent).not.toMatch(/raised|wheels/);
  });

  it('asks for a photo of what must not be lost, and shows whether there is one when it goes by it', async () => {
    const decided = theirEntry({ kind: 'renewal-decided', renewals: ['belt-and-tensioner'], doIt: 'now' });
    const stood = theirEntry({ kind: 'operation-done', operation: 'shift:stand' });
    const marks = [...lifted(), decided, stood];
    const view = await openView(Bench, marks, () => {
      TestBed.inject(Selection).take('do:mark-belt');
      return {};
    });
    expect(view.text()).toContain('Photograph every mark before it is lost.');
    const opened = [
      ...marks,
      ...['do:mark-belt', 'open:belt-run'].map((operation) => theirEntry({ kind: 'operation-done', operation })),
    ];
    TestBed.resetTestingModule();
    const back = await openView(Bench, opened, () => {
      TestBed.inject(Selection).take('do:belt-by-mark');
      return {};
    });
    expect(back.text()).toContain('Nobody photographed the mark: look twice.');
  });

  it('sends on to the refit once all of it is done, and to what is worth doing first', async () => {
    const done = workedUntil(
      (state) => unsettled(state, 'lift').length === 0 && unsettled(state, 'bench').length === 0,
    );
    const view = await openView(Bench, done);
    expect(view.text()).toContain('All done at the bench');
    expect(view.text()).toContain('Start the refit');
    expect(view.text()).toContain('Now or later');
  });

  it('shows notes with who, when and on what', async () => {
    const note = theirEntry({ kind: 'noted', text: 'Ring gear is fine', operation: 'open:starter-cable' });
    const view = await openView(Bench, [note]);
    await view.press(/1 note/);
    expect(view.text()).toMatch(/Ring gear is fine Tobias, 2 Mar .*, at: Unbolt the battery cable at the starter/);
  });

  it('does not say of a swap that its old engine goes back', async () => {
    const swap = {
      donor: { name: 'Wreck', layout: 'longitudinal-automatic', choices: {}, powerpack: 'engine-with-gearbox' },
      found: {},
      decisions: {},
      pulled: {},
    };
    const view = await openView(Bench, [], undefined, { job: { ...testJob, swap } });
    expect(view.text()).toContain('Engine is not decided on, and a donor is named.');
  });
});
