import { DeferBlockBehavior, DeferBlockState, TestBed } from '@angular/core/testing';
import { isDone } from '@brisk/core/ledger';
import { openView, pressable, workedUntil } from '../../testing/open-job';
import { Person } from '../session/person';
import { HoldPoint } from './hold-point';
import { StepInHand } from './step-in-hand';

const at = (step: string) => workedUntil((state) => isDone(state, step));
const open = (entries = at('make:fuel-depressurised')) =>
  openView(StepInHand, entries, (desk) => ({ state: desk.state(), phases: ['strip', 'lift'] }));
const sent = (view: Awaited<ReturnType<typeof open>>, from: number) =>
  view.server.entries.slice(from).map((entry) => ({ ...entry, id: '', at: '', by: '' }));
const head = { id: '', at: '', by: '' };

describe('a hold point', () => {
  it('is signed only after every look', async () => {
    const entries = at('make:fuel-depressurised');
    const view = await open(entries);
    expect(view.text()).toContain('Hold point');
    const sign = () => pressable(view.element, /look|Sign as/) as HTMLButtonElement;
    expect(sign().disabled).toBe(true);
    for (const box of view.element.querySelectorAll<HTMLInputElement>('mat-checkbox input')) box.click();
    await view.settle();
    expect(sign().textContent).toContain('Sign as Ines');
    await view.press('Sign as Ines');
    await view.settle();
    expect(sent(view, entries.length)).toEqual([
      {
        ...head,
        kind: 'hold-point-signed',
        holdPoint: 'made-safe',
        confirmed: ['chocked', 'extinguisher', 'lead-tied'],
      },
    ]);
  });

  it('says so where it could not be fetched, and there is nothing to sign', async () => {
    TestBed.configureTestingModule({ deferBlockBehavior: DeferBlockBehavior.Manual });
    const view = await open();
    const [asked] = await view.fixture.getDeferBlocks();
    await asked?.render(DeferBlockState.Error);
    expect(view.text()).toContain('This could not be fetched. Load the page again');
    expect(() => pressable(view.element, /look|Sign as|Done/)).toThrow();
  });

  it('has a second person look and sign for themselves where two are asked for', async () => {
    const view = await open();
    const looked = async () => {
      for (const box of view.element.querySelectorAll<HTMLInputElement>('mat-checkbox input:not(:checked)'))
        box.click();
      await view.settle();
    };
    await view.press('Have a second person sign too');
    expect(view.text()).toContain('Two people look and sign here');
    await looked();
    await view.press('Sign as Ines');
    expect(view.text()).toMatch(/Ines has looked and signed\.\s+Now somebody else: change over at the bottom\./);
    await looked();
    expect((pressable(view.element, 'Ines has signed: now somebody else') as HTMLButtonElement).disabled).toBe(true);
    TestBed.inject(Person).choose('Tobias');
    await view.settle();
    expect(view.text()).toContain('Look for yourself, and sign as the second.');
    await looked();
    await view.press('Sign as Tobias');
    expect(view.server.entries.slice(-3)).toMatchObject([
      { kind: 'second-signer-asked', holdPoint: 'made-safe', asked: true, by: 'Ines' },
      { kind: 'hold-point-signed', by: 'Ines' },
      { kind: 'hold-point-signed', by: 'Tobias' },
    ]);
    expect(view.text()).not.toContain('Hold point');
  });

  it('keeps what is ticked when somebody writes meanwhile', async () => {
    const view = await open();
    const boxes = () => [...view.element.querySelectorAll<HTMLInputElement>('mat-checkbox input')];
    boxes()[1]?.click();
    await view.settle();
    view.desk.record({ kind: 'noted', text: 'The trolley is back' });
    await view.settle();
    expect(boxes().map(({ checked }) => checked)).toEqual([false, true, false]);
    expect(view.text()).toContain('2 looks to confirm');
  });

  it('is looked at again by whoever takes over', async () => {
    const view = await open();
    const boxes = () => [...view.element.querySelectorAll<HTMLInputElement>('mat-checkbox input')];
    boxes()[0]?.click();
    await view.settle();
    TestBed.inject(Person).choose('Tobias');
    await view.settle();
    expect(boxes().map(({ checked }) => checked)).toEqual([false, false, false]);
  });

  it('is looked at again after something stood in the way once more', async () => {
    const entries = at('make:fuel-depressurised');
    const last = entries.findLast((entry) => 'operation' in entry && entry.operation === 'make:fuel-depressurised');
    const view = await openView(HoldPoint, entries, (desk) => ({ holdPoint: 'made-safe', state: desk.state() }));
    const ticked = () => view.element.querySelectorAll('mat-checkbox input:checked').length;
    view.element.querySelector<HTMLInputElement>('mat-checkbox input')?.click();
    await view.settle();
    expect(ticked()).toBe(1);
    view.desk.record({ kind: 'corrected', corrects: last?.id ?? '', reason: 'It was another relay' });
    await view.settle();
    expect(view.text()).toContain('Not yet. 1 step missing');
    view.desk.record({ kind: 'operation-done', operation: 'make:fuel-depressurised' });
    await view.settle();
    expect(view.text()).toContain('3 looks to confirm');
    expect(ticked()).toBe(0);
  });
});
