import { TestBed } from '@angular/core/testing';
import { MatDialog } from '@angular/material/dialog';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Ask } from './ask';

jest.mock('./ask-dialog', () => {
  throw new Error('Failed to fetch');
});

it('says so where the dialog could not be fetched, opens nothing, and asks again when touched again', async () => {
  const ask = TestBed.inject(Ask);
  const said = jest.spyOn(TestBed.inject(MatSnackBar), 'open');
  for (const times of [1, 2]) {
    expect(await ask.ask({ title: 'Note', questions: [], action: 'Write it down' })).toBeUndefined();
    expect(said).toHaveBeenCalledTimes(times);
  }
  expect(said.mock.calls[0]?.[0]).toContain('nothing was recorded');
  expect(TestBed.inject(MatDialog).openDialogs).toEqual([]);
});
