import { TestBed } from '@angular/core/testing';
import { MatBottomSheet } from '@angular/material/bottom-sheet';
import { MatSnackBar } from '@angular/material/snack-bar';
import { openView } from '../../testing/open-job';
import { HoldLine } from './hold-line';

jest.mock('./held-sheet', () => {
  throw new Error('Failed to fetch');
});

it('says so where the list of what still holds it could not be fetched', async () => {
  const view = await openView(HoldLine, [], (desk) => ({ job: desk.job(), state: desk.state() }));
  const said = jest.spyOn(TestBed.inject(MatSnackBar), 'open');
  const opened = jest.spyOn(TestBed.inject(MatBottomSheet), 'open');
  await view.press(/still hold it/);
  await view.settle();
  expect(said.mock.calls[0]?.[0]).toContain('could not be fetched');
  expect(opened).not.toHaveBeenCalled();
});
