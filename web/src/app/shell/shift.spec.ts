import { TestBed } from '@angular/core/testing';
import { Person } from '../session/person';
import { openView, pressable } from '../../testing/open-job';
import { HoldLine } from './hold-line';
import { ShiftToRead } from './shift-to-read';

/** Nothing is on the screen before the test says so; returns how it says so. */
function onTheScreenWhenTold(): () => void {
  const told: (() => void)[] = [];
  jest.spyOn(globalThis, 'IntersectionObserver').mockImplementation(((tell: IntersectionObserverCallback) => {
    const observer = { observe: () => undefined, disconnect: () => undefined } as unknown as IntersectionObserver;
    told.push(() => tell([{ isIntersecting: true } as IntersectionObserverEntry], observer));
    return observer;
  }) as never);
  return () => told.forEach((tell) => tell());
}

describe('the end of a shift', () => {
  afterEach(() => jest.restoreAllMocks());

  it('is told to who comes next, until they have read it', async () => {
    const seenNow = onTheScreenWhenTold();
    const { desk, element, text, press, settle, server } = await openView(ShiftToRead);
    desk.record({ kind: 'operation-done', operation: 'open:battery-negative' });
    desk.record({
      kind: 'shift-handed-over',
      lines: [{ sort: 'leave', words: 'Battery isolated' }],
      added: 'Mind the tray',
    });
    await settle();
    expect(text()).toBe('');
    TestBed.inject(Person).choose('Tobias');
    await settle();
    expect(text()).toMatch(/Ines handed the shift over/);
    expect(text()).toMatch(/Stays as it is.*Battery isolated.*Mind the tray/s);
    // What was not on the screen to its end cannot be signed.
    expect(pressable(element, 'Read it to its end first')).toHaveProperty('disabled', true);
    seenNow();
    await settle();
    await press('Read, I take it over');
    expect(text()).toBe('');
    expect(server.entries.at(-1)).toMatchObject({ kind: 'shift-read', by: 'Tobias' });
  });

  it('is worked out, added to and handed over from the hold line', async () => {
    const { element, settle, server } = await openView(HoldLine, [], (desk) => ({
      job: desk.job(),
      state: desk.state(),
    }));
    element.querySelector<HTMLButtonElement>('button.who')?.click();
    await settle();
    pressable(document.body, 'Hand the shift over').click();
    // The sheet is fetched when it is first asked for.
    for (let turns = 0; turns < 20 && !document.querySelector('mat-dialog-container'); turns += 1) await settle();
    const field = document.querySelector<HTMLTextAreaElement>('mat-dialog-container textarea');
    if (!field) throw new Error('No field');
    field.value = 'The 36 spanner is at the lathe';
    field.dispatchEvent(new Event('input'));
    pressable(document.body, 'Hand it over').click();
    await settle();
    expect(server.entries.at(-1)).toMatchObject({
      kind: 'shift-handed-over',
      added: 'The 36 spanner is at the lathe',
      lines: [{ sort: 'next' }],
    });
  });
});
