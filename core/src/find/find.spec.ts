import { canApply, extend, startOf, type EntryBody, type LedgerEntry } from '../ledger/index.js';
import { withConnection } from '../testing/small-map.js';
import { findIn, findPhotos, photosOf, photosOfPart, whereabouts, wordsAsked } from './index.js';

let made = 0;
const entry = (body: EntryBody, by = 'Ines', at = '2026-03-02T09:00:00.000Z'): LedgerEntry => {
  made += 1;
  return { id: `f${made}`, at, by, ...body } as LedgerEntry;
};
const plan = withConnection('radiator-bolts', {
  fasteners: [{ count: 5, what: 'M8×1.25 × 25, 13 mm', note: 'one longer' }],
});
const photo = (name: string, pinnedTo: object, words?: string): EntryBody => ({
  kind: 'photo-taken',
  photo: name.repeat(64),
  widthPx: 100,
  heightPx: 80,
  pinnedTo,
  ...(words ? { words } : {}),
});
const state = extend(startOf(plan), [
  entry({ kind: 'operation-done', operation: 'open:radiator-bolts' }),
  entry({ kind: 'fasteners-counted', connection: 'radiator-bolts', direction: 'out', count: 5, bag: 31, kept: 'bag' }),
  entry({ kind: 'tagged', connection: 'hose', tag: 12 }),
  entry({ kind: 'noted', text: 'Starter cable was chafed', operation: 'open:sensor' }),
  entry({ kind: 'part-needed', need: 'n', name: 'Radiator gasket', quantity: 1, reason: 'Torn' }),
  entry(photo('a', { operation: 'open:radiator-bolts' }, 'Before the radiator came off')),
  entry(photo('b', { operation: 'close:radiator-bolts' }), 'Tobias', '2026-03-05T09:00:00.000Z'),
  entry(photo('c', { tag: 12 })),
  entry({ kind: 'operation-done', operation: 'remove:radiator' }),
  entry({ kind: 'part-placed', part: 'radiator', owner: 'host', place: 'shelf', where: 'rack 2', number: 'R 77-5' }),
  entry(photo('d', { card: 'host:radiator' })),
  entry({
    kind: 'literature-added',
    file: `${'e'.repeat(64)}.pdf`,
    title: 'Cooling notes',
    type: 'pdf',
    pages: 4,
    bytes: 900,
  }),
  entry({
    kind: 'page-pinned',
    file: `${'e'.repeat(64)}.pdf`,
    page: 3,
    to: { part: 'radiator' },
    words: 'Its rubbers',
  }),
  entry({
    kind: 'page-marked',
    file: `${'e'.repeat(64)}.pdf`,
    page: 2,
    marks: [{ kind: 'text', from: { x: 0, y: 0 }, to: { x: 0, y: 0 }, words: 'Bleed here first' }],
  }),
]);
const find = (query: string) => findIn(state, wordsAsked(query));
const day = (at: string) => at.slice(0, 10);

describe('finding again', () => {
  it('says where the bolts of a joint are', () => {
    expect(find('radiator bolt')[0]).toMatchObject({
      words: 'the radiator brackets',
      where: 'bag 31, 5 in it',
      bag: 31,
    });
    expect(find('M8×1.25 longer')[0]).toMatchObject({ connection: 'radiator-bolts' });
  });

  it('finds numbers of bags and tags', () => {
    expect(find('bag 31').map(({ connection }) => connection)).toEqual(['radiator-bolts']);
    expect(find('#12').map(({ is }) => is)).toContain('joint');
  });

  it('looks into notes, parts and photos, and puts what is called so first', () => {
    expect(find('starter')[0]).toMatchObject({ is: 'note', operation: 'open:sensor' });
    expect(find('gasket')[0]).toMatchObject({ is: 'part', where: '1 on order' });
    expect(find('radiator').map(({ is }) => is)).toEqual(expect.arrayContaining(['joint', 'part', 'photo']));
    expect(find('radiator')[0]?.words.toLowerCase()).toContain('radiator');
  });

  it('finds parts by name, box and number, and pages by what is written on them or pinned to', () => {
    for (const query of ['radiator rack', 'R 77-5'])
      expect(find(query)).toContainEqual(
        expect.objectContaining({ is: 'part', card: 'host:radiator', where: 'on a shelf or in a box, rack 2' }),
      );
    expect(find('cooling notes').map(({ page }) => page)).toEqual(expect.arrayContaining([1, 2, 3]));
    expect(find('rubbers')[0]).toMatchObject({ is: 'page', page: 3, where: 'page 3 of “Cooling notes”' });
    expect(find('bleed here')[0]).toMatchObject({ is: 'page', page: 2 });
  });

  it('asks for beginnings of words, and finds nothing for nothing', () => {
    expect(find('adiator')).toEqual([]);
    expect(find('  ')).toEqual([]);
  });

  it.each([
    ['hole', '5 back in their holes'],
    ['row', '5 in the row'],
    ['card', '5 on the bolt card'],
  ] as const)('tells a %s from a bag', (kept, words) => {
    const again = extend(state, [
      entry({ kind: 'fasteners-counted', connection: 'radiator-bolts', direction: 'out', count: 5, kept }),
    ]);
    expect(whereabouts(again, 'radiator-bolts')).toBe(words);
    expect(whereabouts(again, 'mount-left')).toBe('in place');
  });
});

describe('photos', () => {
  it('are found by part, station, day, person and words', () => {
    const found = (query: Parameters<typeof findPhotos>[1]) =>
      findPhotos(state, query, day).map((one) => one.photo.photo[0]);
    expect(found({})).toEqual(['d', 'c', 'b', 'a']);
    expect(found({ part: 'radiator' })).toEqual(['c', 'b', 'a']);
    expect(found({ part: 'body' })).toEqual(['b', 'a']);
    expect(found({ station: 'underside' })).toEqual(['c']);
    expect(found({ day: '2026-03-05' })).toEqual(['b']);
    expect(found({ by: 'Tobias' })).toEqual(['b']);
    expect(found({ words: 'came off' })).toEqual(['a']);
  });

  it('of a joint stand side by side, the way out and the way back', () => {
    const { before, after } = photosOf(state, 'radiator-bolts');
    expect(before.map(({ photo: name }) => name[0])).toEqual(['a']);
    expect(after.map(({ photo: name }) => name[0])).toEqual(['b']);
  });

  it('of a part are those of its card, and those of its steps', () => {
    const more = extend(state, [entry(photo('e', { operation: 'remove:radiator' }))]);
    expect(photosOfPart(more, 'host:radiator').map(({ photo: name }) => name[0])).toEqual(['d', 'e']);
    expect(photosOfPart(more, 'donor:radiator')).toEqual([]);
    expect(canApply(more, entry(photo('f', { card: 'host:warp-coil' }))).map(({ words }) => words)).toEqual([
      'There is no part called “host:warp-coil” on this job.',
    ]);
  });
});
