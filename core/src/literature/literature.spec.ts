import fc from 'fast-check';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { canApply, foldLedger, type EntryBody, type LedgerEntry } from '../ledger/index.js';
import { operationId } from '../teardown/index.js';
import { recorder } from '../testing/crew.js';
import {
  LETTERS_A_LINE,
  LINES_A_PAGE,
  MOST_LITERATURE,
  pagesFor,
  pagesForPart,
  pinnedToWords,
  textPages,
} from './index.js';

const plan: JobPlan = {
  map: usualMap('longitudinal-manual'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
const write = recorder('Ines');
const file = (letter: string) => `${letter.repeat(64)}.pdf`;
const added = (letter: string, more: object = {}): EntryBody => ({
  kind: 'literature-added',
  file: file(letter),
  title: `Book ${letter}`,
  type: 'pdf',
  pages: 4,
  bytes: 10_000,
  ...more,
});
const pinned = (page: number, to: object, words?: string): EntryBody => ({
  kind: 'page-pinned',
  file: file('a'),
  page,
  to,
  ...(words ? { words } : {}),
});
const folded = (...bodies: readonly EntryBody[]) => foldLedger(plan, bodies.map(write));
const refused = (before: readonly EntryBody[], body: EntryBody) =>
  canApply(folded(...before), write(body)).map(({ words }) => words);

describe('the literature of a job', () => {
  it('keeps what is drawn and pinned when a file is called something else', () => {
    const marks = [{ kind: 'ring', from: { x: 0, y: 0 }, to: { x: 0.1, y: 0.1 } }] as const;
    const state = folded(
      added('a'),
      { kind: 'page-marked', file: file('a'), page: 2, marks },
      pinned(2, { part: 'alternator' }),
      added('a', { title: 'Charging' }),
    );
    expect(state.literature.get(file('a'))).toMatchObject({ title: 'Charging', pages: 4, by: 'Ines' });
    expect(state.literature.get(file('a'))?.marks.get(2)).toEqual(marks);
    expect(state.literature.get(file('a'))?.pins).toHaveLength(1);
  });

  it.each<readonly [string, readonly EntryBody[], EntryBody, RegExp]>([
    ['the same file under the same name', [added('a')], added('a'), /“Book a” is with the job already/],
    [
      'a page there is not',
      [added('a')],
      pinned(5, { part: 'alternator' }),
      /“Book a” has 4 pages: there is no page 5/,
    ],
    [
      'a mark on a file there is not',
      [],
      { kind: 'page-marked', file: file('a'), page: 1, marks: [] },
      /no file called/,
    ],
    ['a part there is not', [added('a')], pinned(1, { part: 'warp-coil' }), /no part called “warp-coil”/],
    ['a step there is not', [added('a')], pinned(1, { operation: 'open:warp' }), /no step called/],
    ['a joint there is not', [added('a')], pinned(1, { connection: 'warp' }), /no connection called/],
    ['a page pinned to nothing', [added('a')], pinned(1, {}), /one step, one joint or one part/],
    [
      'a page pinned to two things at once',
      [added('a')],
      pinned(1, { part: 'alternator', operation: operationId.remove('radiator') }),
      /one step, one joint or one part/,
    ],
    [
      'the same page there twice',
      [added('a'), pinned(1, { part: 'alternator' })],
      pinned(1, { part: 'alternator' }, 'Again'),
      /pinned there already/,
    ],
    [
      'more than a job keeps',
      [0, 1, 2].map((index) => added(`${index}`, { bytes: MOST_LITERATURE.fileBytes })),
      added('a', { bytes: MOST_LITERATURE.fileBytes }),
      /more than 200 MB/,
    ],
  ])('does not take %s', (_what, before, body, words) => {
    expect(refused(before, body).join(' ')).toMatch(words);
  });

  it('gives a page off a step back when its entry is taken back, and keeps a file that pages hang on', () => {
    const [book, pin] = [write(added('a')), write(pinned(1, { part: 'alternator' }))];
    const back = (corrects: string): LedgerEntry => write({ kind: 'corrected', corrects, reason: 'Wrong page' });
    expect(canApply(foldLedger(plan, [book, pin]), back(book.id)).map(({ words }) => words)).toEqual([
      expect.stringMatching(/^Later work stands on it/),
    ]);
    expect(
      foldLedger(plan, [book, pin, back(pin.id)]).literature.get(book.kind === 'literature-added' ? book.file : '')
        ?.pins,
    ).toEqual([]);
  });
});

describe('the pages for a step', () => {
  const state = folded(
    added('a'),
    added('b'),
    pinned(1, { operation: operationId.remove('radiator') }, 'How it lies in its rubbers'),
    pinned(2, { part: 'radiator' }),
    pinned(3, { part: 'alternator' }),
  );

  it('are its own, and those of its part', () => {
    const operation = state.work.operations.get(operationId.remove('radiator'));
    expect(operation).toBeDefined();
    expect(operation && pagesFor(state, operation)).toEqual([
      { file: file('a'), title: 'Book a', page: 1, words: 'How it lies in its rubbers' },
      { file: file('a'), title: 'Book a', page: 2 },
    ]);
    const other = [...state.work.operations.values()].find(({ part, connection }) => !part && !connection);
    expect(other && pagesFor(state, other)).toEqual([]);
  });

  it('of a joint are there when it is undone and when it is done up', () => {
    const joint = 'upper-hose';
    const more = folded(added('a'), pinned(4, { connection: joint }));
    const at = [...more.work.operations.values()].filter(({ connection }) => connection === joint);
    expect(at.length).toBeGreaterThan(1);
    for (const operation of at) expect(pagesFor(more, operation).map(({ page }) => page)).toEqual([4]);
  });

  it('stand at the part, and say what they are pinned to as long as it is on the job', () => {
    expect(pagesForPart(state, 'alternator').map(({ page }) => page)).toEqual([3]);
    expect(pinnedToWords(state, { part: 'alternator' })).toBe('alternator');
    expect(pinnedToWords(state, { operation: operationId.remove('radiator') })).toMatch(/radiator/);
    expect(pinnedToWords(state, { part: 'gone' })).toBeUndefined();
  });
});

describe('a text as pages', () => {
  it('breaks lines between words, and pages where they are full or the text says so', () => {
    const [[first, second] = [], ...more] = textPages(`${'word '.repeat(30)}\n\fnext page`);
    expect(first).toBe('word '.repeat(18).trimEnd());
    expect(second).toBe('word '.repeat(12).trimEnd());
    expect(more).toEqual([['next page']]);
    expect(textPages('x\n'.repeat(LINES_A_PAGE + 1)).map((page) => page.length)).toEqual([LINES_A_PAGE, 1]);
    expect(textPages('a\tb\r\n\tc')).toEqual([['a   b', '    c']]);
    expect(textPages('')).toEqual([['']]);
  });

  it('never loses a letter, nor has a line that does not fit', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'bc', ' ', '  ', '\n', '\t', '\f', 'x'.repeat(120))), (pieces) => {
        const text = pieces.join('');
        const pages = textPages(text);
        expect(pages.length).toBeGreaterThan(0);
        const lines = pages.flat();
        for (const line of lines) expect(line.length).toBeLessThanOrEqual(LETTERS_A_LINE);
        expect(lines.join('').replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      }),
    );
  });
});
