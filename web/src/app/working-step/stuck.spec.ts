import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { foldLedger, type EntryBody, type LedgerEntry } from '@brisk/core/ledger';
import { testJob, theirEntry } from '../../testing/test-job';
import { pressable, wordsOf } from '../../testing/open-job';
import { StuckSheet } from './stuck-sheet';
import { usuallyWanted, type StuckTold } from './stuck-path';
import { stillAndPlain } from '../../testing/still-and-plain';

const operationOf = (id: string, entries: readonly LedgerEntry[] = []) => {
  const state = foldLedger(testJob.plan, entries);
  const operation = state.work.operations.get(id);
  if (!operation) throw new Error(`No step ${id}`);
  return { state, operation };
};

/** The sheet for the nuts at the turbocharger, and what it was closed with. */
async function openSheet(entries: readonly LedgerEntry[] = []) {
  const told: (StuckTold | undefined)[] = [];
  TestBed.configureTestingModule({
    imports: [StuckSheet],
    providers: [
      stillAndPlain,
      { provide: MAT_DIALOG_DATA, useValue: { ...operationOf('open:downpipe-turbo', entries), minutes: 12.4 } },
      { provide: MatDialogRef, useValue: { close: (with_: StuckTold | undefined) => told.push(with_) } },
    ],
  });
  const fixture = TestBed.createComponent(StuckSheet);
  await fixture.whenStable();
  const element = fixture.nativeElement as HTMLElement;
  const press = async (words: string | RegExp) => {
    pressable(element, words).click();
    await fixture.whenStable();
  };
  return { element, press, told, text: () => wordsOf(element) };
}

describe('stuck', () => {
  it('is told in touches: what, tried, soaking, time; the clock has counted already', async () => {
    const sheet = await openSheet();
    await sheet.press('Rounded off');
    await sheet.press('Penetrant');
    await sheet.press('Record it, go on elsewhere');
    const [first, ...needs] = sheet.told[0]?.bodies ?? [];
    expect(first).toEqual({
      kind: 'operation-stuck',
      operation: 'open:downpipe-turbo',
      trouble: 'rounded',
      tried: 'Penetrant',
      minutesLost: 12,
      means: ['penetrant'],
      soakMin: 30,
    });
    expect(needs.map((body) => (body as Extract<EntryBody, { kind: 'part-needed' }>).name)).toEqual([
      'M8 copper nut, 13 mm',
      'Extractor for M8×1.25',
    ]);
  });

  it('leaves the soaking as it was set, whatever else is ticked', async () => {
    const sheet = await openSheet();
    await sheet.press('Rounded off');
    await sheet.press('Penetrant');
    await sheet.press('1 h');
    await sheet.press('Heat');
    await sheet.press('Record it, go on elsewhere');
    expect(sheet.told[0]?.bodies[0]).toMatchObject({ means: ['penetrant', 'heat'], soakMin: 60 });
  });

  it('orders only what is wanted, and tells the next crew when asked to', async () => {
    const sheet = await openSheet();
    await sheet.press('Broke');
    await sheet.press('Heat');
    await sheet.press(/Extractor for/);
    await sheet.press('Tell whoever gets here on the next such machine');
    await sheet.press('Record it, go on elsewhere');
    expect(sheet.told[0]?.bodies.map(({ kind }) => kind)).toEqual(['operation-stuck', 'part-needed', 'noted']);
    expect(sheet.told[0]?.bodies[2]).toMatchObject({ house: true, operation: 'open:downpipe-turbo' });
    expect(sheet.told[0]?.bodies[0]).not.toHaveProperty('soakMin');
  });

  it('warns of flame before it is used, and never says that it is safe', async () => {
    const sheet = await openSheet();
    await sheet.press('Heat');
    expect(sheet.text()).toContain('no fuel, penetrant vapour');
    expect(sheet.text()).not.toMatch(/\bis safe\b/i);
  });

  it('says what is missing instead of closing', async () => {
    const sheet = await openSheet();
    await sheet.press('Record it, go on elsewhere');
    expect(sheet.text()).toContain('What happened? One touch above says it.');
    await sheet.press('Seized');
    await sheet.press('Record it, go on elsewhere');
    expect(sheet.text()).toContain('What was tried?');
    expect(sheet.told).toEqual([]);
  });

  it('shows what was tried before', async () => {
    const sheet = await openSheet([
      theirEntry({
        kind: 'operation-stuck',
        operation: 'open:downpipe-turbo',
        trouble: 'seized',
        tried: 'Leant on it',
        minutesLost: 9,
      }),
    ]);
    expect(sheet.text()).toContain('Seized Leant on it Tobias, 9 min');
  });

  it('knows what a trouble usually asks for', () => {
    const wanted = (id: string, trouble: Parameters<typeof usuallyWanted>[2]) => {
      const { state, operation } = operationOf(id);
      return usuallyWanted(state, operation, trouble).map(({ name }) => name);
    };
    expect(wanted('open:downpipe-turbo', 'stud-came-out')).toEqual(['Stud M8×1.25', 'M8 copper nut, 13 mm']);
    expect(wanted('open:downpipe-turbo', 'stripped-thread')[1]).toBe('Thread insert M8×1.25');
    expect(wanted('open:downpipe-turbo', 'pipe-broke')[0]).toMatch(/^Pipe: front pipe/);
    expect(wanted('open:downpipe-turbo', 'seized')).toEqual([]);
    expect(wanted('make:fuel-depressurised', 'broken')).toEqual(['Extractor']);
  });
});
