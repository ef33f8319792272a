import type { EntryBody } from '@brisk/core/ledger';
import type { PhotoMark } from '@brisk/core/photos';
import type { BoardEvents } from '../../photos/mark-board';
import { problemAnswer } from '../../../testing/problem-answer';
import { theirEntry } from '../../../testing/test-job';
import { find, openView, tick, type } from '../../../testing/open-job';
import { AddingLiterature } from '../../literature/adding';
import { PagesFor } from '../../literature/pages-for';
import type { OpenLiterature } from '../../literature/open-literature';
import { Ask } from '../../ui/ask';
import { LiteratureList } from './literature';
import { PageView } from './page-view';
import { belongsTo, placeOf } from './places';

const opened: OpenLiterature & { closed: number } = {
  closed: 0,
  draw: (page) => Promise.resolve({ image: document.createElement('canvas'), width: 100 + page, height: 140 }),
  words: (page) => Promise.resolve(page === 2 ? 'Bell bolts, ten of them' : 'Plug faces'),
  close() {
    this.closed += 1;
  },
};
let fails = false;
/** jsdom draws nothing; what is drawn is looked at in a real browser. What is drawn here is told by the test. */
const boards: { readonly events: BoardEvents; shown: readonly PhotoMark[] }[] = [];
jest.mock('../../photos/mark-board', () => ({
  MarkBoard: class {
    shown: readonly PhotoMark[] = [];
    constructor(
      _ground: unknown,
      _picture: unknown,
      readonly events: BoardEvents,
    ) {
      boards.push(this);
    }
    show(marks: readonly PhotoMark[]) {
      this.shown = marks;
    }
    take = () => undefined;
    fit = () => undefined;
    destroy = () => undefined;
  },
}));
jest.mock('../../literature/open-literature', () => ({
  openLiterature: () => (fails ? Promise.reject(new Error('404')) : Promise.resolve(opened)),
  cleanCopyAddress: (file: string) => `/api/literature/${file}`,
}));

const file = `${'a'.repeat(64)}.pdf`;
const book: EntryBody = { kind: 'literature-added', file, title: 'Loom notes', type: 'pdf', pages: 3, bytes: 30_000 };
const pinned = (page: number, to: object, words?: string): EntryBody => ({
  kind: 'page-pinned',
  file,
  page,
  to,
  ...(words ? { words } : {}),
});
const entries = (...bodies: readonly EntryBody[]) => bodies.map(theirEntry);

describe('the literature of a job', () => {
  const list = (...bodies: readonly EntryBody[]) =>
    openView(LiteratureList, entries(...bodies), undefined, {
      providers: [
        { provide: Ask, useValue: { ask: () => Promise.resolve({ title: 'Wiring', reason: 'Wrong book' }) } },
      ],
    });

  it('says what is kept, and opens each page where it belongs', async () => {
    const view = await list(book, pinned(2, { part: 'radiator' }, 'The table'), pinned(1, { part: 'alternator' }));
    expect(view.text()).toContain('PDF · 3 pages · 30 kB · from Tobias');
    const links = [...view.element.querySelectorAll('.pins a')].map((link) => link.textContent.replace(/\s+/g, ' '));
    expect(links).toEqual([expect.stringMatching(/1 Alternator/), expect.stringMatching(/2 Radiator, The table/)]);
    await view.press('Rename');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'literature-added', file, title: 'Wiring' });
    expect(view.text()).toContain('Wiring');
  });

  it('takes a file off whole, although it was called something else', async () => {
    const view = await list(book);
    await view.press('Rename');
    await view.settle();
    await view.press('Take it off');
    await view.settle();
    expect(view.server.entries.slice(-2).map(({ kind }) => kind)).toEqual(['corrected', 'corrected']);
    expect(view.text()).toContain('Nothing here yet.');
  });

  it('keeps a file that pages hang on until those are taken off', async () => {
    const view = await list(book, pinned(2, { part: 'radiator' }));
    const before = view.server.entries.length;
    await view.press('Take it off');
    await view.settle();
    expect(view.server.entries).toHaveLength(before);
  });

  it('sends files, names each by its file, and tells every one that is not kept', async () => {
    const view = await list();
    expect(view.text()).toContain('Nothing here yet.');
    const adding = view.fixture.debugElement.injector.get(AddingLiterature);
    const large = new File(['x'], 'whole-manual.pdf', { type: 'application/pdf' });
    Object.defineProperty(large, 'size', { value: 200_000_000 });
    await adding.add([
      new File(['%PDF'], 'Pump sheet.pdf', { type: '' }),
      new File(['notes'], 'notes.txt', { type: 'text/plain' }),
      large,
      new File([''], 'nothing.pdf', { type: 'application/pdf' }),
      new File(['PK'], 'photos.zip', { type: 'application/zip' }),
    ]);
    await view.settle();
    expect(view.server.literature.map(({ type: as }) => as)).toEqual(['pdf', 'text']);
    expect(view.server.entries.map((entry) => entry.kind === 'literature-added' && entry.title)).toEqual([
      'Pump sheet',
      'notes',
    ]);
    for (const words of [
      '“whole-manual.pdf” has 200 MB; up to 60 MB are kept.',
      '“nothing.pdf” is empty. It was not kept.',
      '“photos.zip” is no PDF, no picture and no text. It was not kept.',
    ])
      expect(view.text()).toContain(words);
    view.server.nextLiterature = problemAnswer('bad-input', 422, 'That file calls itself a PDF and is none.');
    await adding.add([new File(['x'], 'fake.pdf', { type: 'application/pdf' })]);
    await view.settle();
    expect(view.text()).toContain('“fake.pdf”: That file calls itself a PDF and is none.');
    expect(view.server.entries).toHaveLength(2);
  });
});

describe('one page', () => {
  const page = async (number: string, more: readonly EntryBody[] = [], came?: string) => {
    const inputs = { file, page: number, ...(came === undefined ? {} : { for: came }) };
    const view = await openView(PageView, entries(book, ...more), () => inputs, {
      providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve({ reason: 'Wrong page' }) } }],
    });
    await tick(5);
    await view.settle();
    return view;
  };

  it('is pinned where somebody came from in one touch, and taken off again', async () => {
    const view = await page('2', [], 'step:open:battery-negative');
    type(view.element, 'why', 'Which way it sits');
    await view.press(/^\s*Pin it to: /);
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      kind: 'page-pinned',
      page: 2,
      to: { operation: 'open:battery-negative' },
      words: 'Which way it sits',
    });
    expect(view.text()).not.toContain('Pin it to: ');
    await view.press(/Take off/);
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'corrected' });
    expect(view.text()).toContain('Nothing yet.');
  });

  it('is pinned to a joint, a part or a step by name', async () => {
    const view = await page('3');
    await find(view.fixture, 'Joint, part or step', 'Radiator (part)');
    await view.press('Pin it there');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'page-pinned', page: 3, to: { part: 'radiator' } });
    for (const place of ['step:open:hose', 'joint:hose', 'part:radiator'])
      expect(placeOf(belongsTo(place) ?? {})).toBe(place);
    expect(belongsTo('nothing')).toBeUndefined();
  });

  it('is found by the words on it; a scanned one cannot be', async () => {
    const view = await page('1');
    const look = async (words: string) => {
      type(view.element, 'page-words', words);
      await tick(10);
      await view.settle();
    };
    await look('bell ten');
    expect(view.element.querySelector('[role=status]')?.textContent.replace(/\s+/g, ' ')).toMatch(/On page 2/);
    await look('unicorn');
    expect(view.text()).toContain('No page has those words.');
  });

  it('is drawn on in the working copy; the clean one shows none of it', async () => {
    const view = await page('2');
    const ring: PhotoMark = { kind: 'ring', from: { x: 0.1, y: 0.1 }, to: { x: 0.2, y: 0.1 } };
    boards.at(-1)?.events.drawn(ring);
    await view.settle();
    type(view.element, 'mark-words', 'Dowel');
    await view.press('Keep what is drawn');
    await view.settle();
    const drawn = [{ ...ring, words: 'Dowel' }];
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'page-marked', page: 2, marks: drawn });
    expect(boards.at(-1)?.shown).toEqual(drawn);
    await view.press('Clean copy');
    await view.settle();
    expect(boards.at(-1)?.shown).toEqual([]);
    expect(view.text()).not.toContain('Arrow');
  });

  it('says so where the file is not here', async () => {
    fails = true;
    const view = await page('1');
    fails = false;
    expect(view.text()).toContain('the file has not come with the job');
  });

  it('closes what it opened when it is left', async () => {
    const view = await page('1');
    const before = opened.closed;
    view.fixture.destroy();
    expect(opened.closed).toBe(before + 1);
  });

  it('of a file that is not on the job is not there', async () => {
    expect((await openView(PageView, [], () => ({ file, page: '1' }))).text()).toContain('not on this job');
  });
});

it('a step says which pages belong to it', async () => {
  const view = await openView(PagesFor, entries(book, pinned(2, { part: 'radiator' }, 'Its rubbers')), (desk) => {
    const state = desk.state();
    if (!state) throw new Error('No job');
    return { state, operation: state.work.operations.get('remove:radiator') };
  });
  expect(view.text().replace(/\s+/g, ' ')).toContain('Loom notes, page 2: Its rubbers');
});
