import { TestBed } from '@angular/core/testing';
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import type { LabelCode } from '@brisk/core/labels';
import { pressable, tick, type, wordsOf } from '../../testing/open-job';
import { readFromPhoto, watchCamera } from './read-code';
import { ScanSheet } from './scan-sheet';
import { stillAndPlain } from '../../testing/still-and-plain';

// A camera and its reader are looked at in a real browser.
jest.mock('./read-code', () => ({ readFromPhoto: jest.fn(), watchCamera: jest.fn() }));
const fromPhoto = jest.mocked(readFromPhoto);
const camera = jest.mocked(watchCamera);

async function openSheet() {
  const closed: (LabelCode | undefined)[] = [];
  TestBed.configureTestingModule({
    imports: [ScanSheet],
    providers: [
      stillAndPlain,
      { provide: MAT_DIALOG_DATA, useValue: 'Scan a tag' },
      { provide: MatDialogRef, useValue: { close: (code?: LabelCode) => closed.push(code) } },
    ],
  });
  const fixture = TestBed.createComponent(ScanSheet);
  await fixture.whenStable();
  await tick();
  await fixture.whenStable();
  const element = fixture.nativeElement as HTMLElement;
  return {
    fixture,
    element,
    closed,
    text: () => wordsOf(element),
    photo: async (name: string) => {
      const chooser = element.querySelector<HTMLInputElement>('[name=label-photo]');
      if (!chooser) throw new Error('There is no photo key.');
      Object.defineProperty(chooser, 'files', { value: [new File(['x'], name)], configurable: true });
      chooser.dispatchEvent(new Event('change'));
      await tick();
      await fixture.whenStable();
    },
  };
}

describe('holding up a label', () => {
  beforeEach(() => {
    fromPhoto.mockReset();
    camera.mockReset().mockRejectedValue(new Error('no camera'));
  });

  it('says why there is no live camera, and what works instead', async () => {
    const sheet = await openSheet();
    expect(sheet.text()).toContain('No live camera here.');
    expect(sheet.text()).toContain('a photo or the number works everywhere');
  });

  it('is over as soon as the camera sees one, and the camera is let go', async () => {
    const stop = jest.fn();
    camera.mockReset().mockImplementation((_video, seen) => {
      seen({ is: 'tag', number: 31 });
      return Promise.resolve(stop);
    });
    const sheet = await openSheet();
    expect(sheet.closed).toEqual([{ is: 'tag', number: 31 }]);
    sheet.fixture.destroy();
    expect(stop).toHaveBeenCalled();
  });

  it('reads a photo, or says that there is nothing of ours in it', async () => {
    fromPhoto.mockResolvedValueOnce(undefined).mockResolvedValueOnce({ is: 'bag', number: 4 });
    const sheet = await openSheet();
    await sheet.photo('blurred.jpg');
    expect(sheet.text()).toContain('No label of ours can be read in that photo.');
    await sheet.photo('sharp.jpg');
    expect(sheet.closed).toEqual([{ is: 'bag', number: 4 }]);
  });

  it('says so where the file is no picture', async () => {
    fromPhoto.mockRejectedValue(new Error('not an image'));
    const sheet = await openSheet();
    await sheet.photo('notes.pdf');
    expect(sheet.text()).toContain('“notes.pdf” is no picture this device can read.');
  });

  it('takes a typed number, and nothing else', async () => {
    const sheet = await openSheet();
    const send = async (typed: string) => {
      type(sheet.element, 'label-number', typed);
      sheet.element.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }));
      await sheet.fixture.whenStable();
    };
    await send('bag four');
    expect(sheet.text()).toContain('A label has a whole number from 1 on.');
    await send('117');
    expect(sheet.closed).toEqual([{ is: 'tag', number: 117 }]);
    expect(pressable(sheet.element, 'Never mind')).toBeTruthy();
  });
});
