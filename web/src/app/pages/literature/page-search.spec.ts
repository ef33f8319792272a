import type { OpenLiterature } from '../../literature/open-literature';
import { PageSearch } from './page-search';

/** A file whose pages say this; a page that says nothing cannot be read. */
function saying(...pages: readonly (string | undefined)[]): OpenLiterature & { readonly asked: number[] } {
  const asked: number[] = [];
  return {
    asked,
    draw: () => Promise.reject(new Error('Nothing is drawn here')),
    words: (page) => {
      asked.push(page);
      const words = pages[page - 1];
      return words === undefined ? Promise.reject(new Error('Scanned')) : Promise.resolve(words);
    },
    close: () => undefined,
  };
}

describe('looking for words on pages', () => {
  it('finds every page that has all of them, and passes over what cannot be read', async () => {
    const search = new PageSearch();
    await search.look(saying('Bell bolts, ten', undefined, 'Ten plugs', 'Bolts of the bell: ten'), 4, 'bell ten');
    expect(search.found()).toEqual([1, 4]);
    expect(search.lookedAt()).toBeUndefined();
  });

  it('asks nothing for nothing, and stops where every page answers', async () => {
    const search = new PageSearch();
    const none = saying('x');
    await search.look(none, 1, '   ');
    expect([search.found(), none.asked]).toEqual([undefined, []]);
    const many = saying(...Array.from({ length: 90 }, () => 'bolt'));
    await search.look(many, 90, 'bolt');
    expect(search.found()).toHaveLength(40);
    expect(many.asked).toHaveLength(40);
  });

  it('is ended by the next question, whichever is quicker', async () => {
    const search = new PageSearch();
    let give: (words: string) => void = () => undefined;
    const slow = { ...saying(), words: () => new Promise<string>((resolve) => (give = resolve)) };
    const first = search.look(slow, 1, 'dowel');
    await search.look(saying('plug', 'dowel and plug'), 2, 'plug');
    give('dowel');
    await first;
    expect(search.found()).toEqual([1, 2]);
  });
});
