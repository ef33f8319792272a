import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { FormGroup } from '@angular/forms';
import { MatDialog } from '@angular/material/dialog';
import { string } from 'yup';
import { stillAndPlain } from '../../testing/still-and-plain';
import { Ask } from './ask';
import type { AskDialog } from './ask-dialog';
import type { Asking } from './asking';
import { WHOSE_QUESTION } from './whose-question';

const NOTE: Asking = {
  title: 'Note',
  questions: [{ field: 'text', label: 'Note', as: 'lines', schema: string() }],
  action: 'Write it down',
};

it('asks once however often it is touched while the question is on its way, and again afterwards', async () => {
  const ask = TestBed.inject(Ask);
  const dialogs = TestBed.inject(MatDialog);
  const there = async () => {
    while (dialogs.openDialogs.length === 0) await new Promise((later) => setTimeout(later));
    return dialogs.openDialogs;
  };
  const first = ask.ask(NOTE);
  expect(await ask.ask(NOTE)).toBeUndefined();
  const open = await there();
  expect(open).toHaveLength(1);
  open[0]?.close({ text: 'Clip broke' });
  expect(await first).toEqual({ text: 'Clip broke' });

  const again = ask.ask(NOTE);
  (await there())[0]?.close();
  expect(await again).toBeUndefined();
});

it('goes with whom it was asked, and keeps their words for them alone', async () => {
  const who = signal('ines');
  TestBed.configureTestingModule({ providers: [stillAndPlain, { provide: WHOSE_QUESTION, useValue: who }] });
  const ask = TestBed.inject(Ask);
  const dialogs = TestBed.inject(MatDialog);
  const written = async (change?: string) => {
    while (dialogs.openDialogs.length === 0) await new Promise((later) => setTimeout(later));
    const dialog = dialogs.openDialogs[0]?.componentInstance as AskDialog;
    const control = (dialog as unknown as { readonly form: FormGroup }).form.controls['text'];
    if (change !== undefined) control?.setValue(change);
    return control?.value as unknown;
  };
  const asked = ask.ask(NOTE);
  await written('The clip is broken');
  who.set('');
  TestBed.tick();
  expect(await asked).toBeUndefined();
  expect(dialogs.openDialogs).toEqual([]);
  // Whoever comes next finds nothing of it.
  who.set('tobias');
  TestBed.tick();
  const theirs = ask.ask(NOTE);
  expect(await written()).toBeNull();
  dialogs.closeAll();
  await theirs;
  who.set('ines');
  TestBed.tick();
  const again = ask.ask(NOTE);
  expect(await written()).toBe('The clip is broken');
  dialogs.closeAll();
  await again;
});
