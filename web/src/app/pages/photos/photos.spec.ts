import { TestBed } from '@angular/core/testing';
import type { LedgerEntry } from '@brisk/core/ledger';
import { problemAnswer } from '../../../testing/problem-answer';
import { theirEntry } from '../../../testing/test-job';
import { choose, openView, tick, type } from '../../../testing/open-job';
import type { ShelfInMemory } from '../../../testing/photo-stand-ins';
import { PhotoBox } from '../../photos/photo-box';
import { PhotoShelf } from '../../photos/photo-shelf';
import { PhotoView } from './photo-view';
import { Photos } from './photos';

// jsdom draws nothing; what is drawn is looked at in a real browser.
jest.mock('../../photos/mark-board', () => ({ MarkBoard: class {} }));

const name = (letter: string) => letter.repeat(64);
const taken = (letter: string, operation: string, words?: string): LedgerEntry =>
  theirEntry({
    kind: 'photo-taken',
    photo: name(letter),
    widthPx: 400,
    heightPx: 300,
    pinnedTo: { operation },
    ...(words ? { words } : {}),
  });
const entries = [
  taken('a', 'open:heat-shield-nuts', 'Shield before'),
  taken('b', 'close:heat-shield-nuts'),
  taken('c', 'open:upper-hose'),
];
const picture = (file = 'one.jpg') => new File(['picture'], file, { type: 'image/jpeg' });
const shelfOf = () => TestBed.inject(PhotoShelf) as unknown as ShelfInMemory;

describe('the photos of a job', () => {
  it('are found by part, place, day, person and words', async () => {
    const view = await openView(Photos, entries);
    const shown = () => view.element.querySelectorAll('.sheet img').length;
    expect(shown()).toBe(3);
    await choose(view.fixture, 'Part', 'exhaust heat shield');
    await view.settle();
    expect(shown()).toBe(2);
    type(view.element, 'photo-words', 'before');
    await view.settle();
    expect(shown()).toBe(1);
    await choose(view.fixture, 'Who took it', 'Tobias');
    await view.settle();
    expect(shown()).toBe(1);
    await choose(view.fixture, 'Part', 'Any part');
    type(view.element, 'photo-words', 'unicorn');
    await view.settle();
    expect(view.text()).toContain('No photo answers that.');
  });

  it('stand sixty at a time, however many there are', async () => {
    const many = Array.from({ length: 130 }, (_, index) =>
      theirEntry({
        kind: 'photo-taken',
        photo: index.toString(16).padStart(64, '0'),
        widthPx: 4,
        heightPx: 3,
        pinnedTo: {},
      }),
    );
    const view = await openView(Photos, many);
    expect(view.element.querySelectorAll('.sheet img')).toHaveLength(60);
    await view.press('70 more');
    expect(view.element.querySelectorAll('.sheet img')).toHaveLength(120);
  });
});

describe('one photo', () => {
  it('offers the same joint at another time, side by side', async () => {
    const view = await openView(PhotoView, entries, () => ({ photo: name('a') }));
    expect(view.text()).toContain('Shield before');
    await view.press('Side by side');
    expect(view.element.querySelector('.frame img')?.getAttribute('src')).toBe(`/api/photos/${name('b')}`);
  });

  it('is given words, and keeps what it is pinned to', async () => {
    const view = await openView(PhotoView, entries, () => ({ photo: name('c') }));
    type(view.element, 'photo-says', 'Hose clip behind the bracket');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      kind: 'photo-taken',
      photo: name('c'),
      words: 'Hose clip behind the bracket',
      pinnedTo: { operation: 'open:upper-hose' },
    });
    expect(view.text()).toContain('Hose clip behind the bracket');
  });

  it('says where the picture may be while it is not here', async () => {
    HTMLImageElement.prototype.decode = () => Promise.reject(new Error('404'));
    const view = await openView(PhotoView, entries, () => ({ photo: name('c') }));
    await tick(20);
    await view.settle();
    expect(view.text()).toContain('may still be on the device that took it');
    expect(view.text()).toContain('What is written about it is kept');
  });
});

describe('pictures on their way', () => {
  it('stay on the device until the server has them', async () => {
    const view = await openView(Photos);
    const box = TestBed.inject(PhotoBox);
    view.server.reachable = false;
    const photo = await box.take(picture());
    await tick();
    expect(shelfOf().pictures.size).toBe(1);
    expect(box.kept()).toBe(1);
    expect(box.address(photo?.photo ?? '')).toBe('blob:picture');
    view.server.reachable = true;
    window.dispatchEvent(new Event('online'));
    await tick(10);
    expect(view.server.photos).toHaveLength(1);
    expect(shelfOf().pictures.size).toBe(0);
    expect(box.kept()).toBe(0);
  });

  it('are kept and told when the disk of the server is full', async () => {
    const view = await openView(Photos);
    const box = TestBed.inject(PhotoBox);
    view.server.nextPhoto = problemAnswer('no-room', 507, 'The disk of the server is full.');
    await box.take(picture());
    await tick(10);
    expect(box.trouble()).toBe('The disk of the server is full.');
    expect(shelfOf().pictures.size).toBe(1);
  });

  it('are not recorded where this device has no room', async () => {
    await openView(Photos);
    const box = TestBed.inject(PhotoBox);
    shelfOf().full = true;
    expect(await box.take(picture())).toBeUndefined();
    expect(box.trouble()).toContain('no room left on this device');
  });
});
