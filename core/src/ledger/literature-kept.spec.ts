import { MOST_LITERATURE } from '../literature/kept.js';
import { record, refused, start, then } from '../testing/small-job.js';
import { entryWords, type EntryBody } from './index.js';

const added = (file: string, more: object = {}): EntryBody => ({
  kind: 'literature-added',
  file,
  title: `Pages of ${file}`,
  type: 'pdf',
  pages: 3,
  bytes: 9_000,
  ...more,
});
const pinned = (to: object, more: object = {}): EntryBody =>
  ({ kind: 'page-pinned', file: 'a', page: 2, to, ...more }) as EntryBody;
const drawn = (page: number, file = 'a'): EntryBody => ({
  kind: 'page-marked',
  file,
  page,
  marks: [{ kind: 'text', from: { x: 0.1, y: 0.1 }, to: { x: 0.1, y: 0.1 }, words: 'This one' }],
});
const kept = then(start, added('a'));

describe('literature that came to the job', () => {
  it('comes once, and may be called something else', () => {
    expect(refused(kept, added('a'))).toBe('“Pages of a” is with the job already.');
    const named = then(kept, drawn(1), added('a', { title: 'Loom notes', pages: 9 }));
    expect(named.literature.get('a')).toMatchObject({ title: 'Loom notes', pages: 3, by: 'Ines' });
    expect(named.literature.get('a')?.marks.get(1)).toHaveLength(1);
  });

  it('is as much as a job keeps, in files and in bytes', () => {
    const whole = MOST_LITERATURE.jobBytes - 9_000;
    expect(refused(kept, added('b', { bytes: whole }))).toBe('');
    expect(refused(kept, added('b', { bytes: whole + 1 }))).toMatch(/would come to more than/);
    const files = Array.from({ length: MOST_LITERATURE.files - 1 }, (_, at) => added(`f${at}`, { bytes: 1 }));
    const full = then(kept, ...files);
    expect(refused(then(kept, ...files.slice(1)), added('more', { bytes: 1 }))).toBe('');
    expect(refused(full, added('more', { bytes: 1 }))).toMatch(/A job keeps \d+ files/);
    expect(refused(full, added('a', { title: 'Another name' }))).toBe('');
  });

  it('is drawn on page by page', () => {
    const state = then(kept, drawn(1), drawn(3));
    expect([...(state.literature.get('a')?.marks.keys() ?? [])]).toEqual([1, 3]);
    expect(refused(kept, drawn(4))).toBe('“Pages of a” has 3 pages: there is no page 4.');
    expect(refused(kept, drawn(1, 'b'))).toMatch(/no file called “b”/);
    expect(entryWords(kept, record(drawn(3)))).toBe('Page 3 of “Pages of a” drawn on');
  });

  it('is pinned to one thing of the job at a time, and there once', () => {
    expect(refused(kept, pinned({}))).toMatch(/one step, one joint or one part/);
    expect(refused(kept, pinned({ part: 'cover', connection: 'hose' }))).toMatch(/one step, one joint or one part/);
    expect(refused(kept, pinned({ part: 'wing' }))).toMatch(/no part called “wing”/);
    expect(refused(kept, pinned({ connection: 'ghost' }))).toMatch(/no connection called “ghost”/);
    expect(refused(kept, pinned({ operation: 'open:ghost' }))).toMatch(/no step called “open:ghost”/);
    expect(refused(kept, pinned({ part: 'cover' }, { page: 4 }))).toMatch(/no page 4/);
    for (const to of [{ part: 'cover' }, { connection: 'hose' }, { operation: 'open:hose' }]) {
      expect(refused(kept, pinned(to))).toBe('');
      const state = then(kept, pinned(to, { words: 'The table below' }));
      expect(state.literature.get('a')?.pins).toEqual([
        expect.objectContaining({ page: 2, to, words: 'The table below', by: 'Ines' }),
      ]);
      expect(refused(state, pinned(to))).toMatch(/pinned there already/);
      expect(refused(state, pinned(to, { page: 1 }))).toBe('');
    }
    // A part and a joint of one name are two things.
    const cover = then(kept, pinned({ part: 'cover' }));
    expect(cover.literature.get('a')?.pins[0]).not.toHaveProperty('words');
    expect(refused(cover, pinned({ part: 'radiator' }))).toBe('');
  });

  it('is said by the name of what it is pinned to', () => {
    const said = (to: object) => entryWords(kept, record(pinned(to)));
    expect(said({ part: 'cover' })).toBe('Page 2 of “Pages of a” pinned to: cover');
    expect(said({ connection: 'hose' })).toMatch(/pinned to: the lower hose$/);
    expect(said({ operation: 'remove:cover' })).toMatch(/pinned to: Lift the cover away$/);
    expect(said({ part: 'gone' })).toMatch(/pinned to: a part$/);
  });
});
