import { TestBed } from '@angular/core/testing';
import { MatDialog } from '@angular/material/dialog';
import { string } from 'yup';
import { Ask } from './ask';
import type { Asking } from './asking';

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
