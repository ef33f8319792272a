import { readRows, COLUMNS, rowsOf } from '@brisk/core/exchange';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { testJob } from '../../../testing/test-job';
import { choose, openView } from '../../../testing/open-job';
import { MapDraft } from '../../planning/map-draft';
import { MOST_ROWS, readSheet, SheetError, writeSheet } from '../../ui/csv';
import { Files } from './files';
import { SheetReader } from './sheet-reader';
import { sheetWork } from './sheet-work';

const bytesOf = (text: string) => new TextEncoder().encode(text).buffer as ArrayBuffer;
const latin = (text: string) => Uint8Array.from(text, (sign) => sign.charCodeAt(0)).buffer as ArrayBuffer;

describe('reading a spreadsheet file', () => {
  it.each([
    ['commas', 'name,kind\n"a hose, the short one",hose\n', ','],
    ['semicolons', 'name;kind\n"a hose, the short one";hose\r\n', ';'],
    ['tabs', 'name\tkind\na hose, the short one\those', '\t'],
  ])('takes %s', (_what, text, delimiter) => {
    const sheet = readSheet(bytesOf(text));
    expect(sheet).toMatchObject({ delimiter, encoding: 'UTF-8', headings: ['name', 'kind'] });
    expect(sheet.rows).toEqual([{ name: 'a hose, the short one', kind: 'hose' }]);
  });

  it('takes quotes, line breaks within a field, and a mark at the beginning', () => {
    const { headings, rows } = readSheet(bytesOf('\uFEFFname,tip\n"the ""long"" one","first\nthen"\n'));
    expect(headings).toEqual(['name', 'tip']);
    expect(rows).toEqual([{ name: 'the "long" one', tip: 'first\nthen' }]);
  });

  it('takes Windows text and UTF-16 for what they are', () => {
    expect(readSheet(latin('name;tip\nSchl\u00e4uche;\u00fcber\n'))).toMatchObject({
      encoding: 'Windows-1252',
      rows: [{ name: 'Schläuche', tip: 'über' }],
    });
    const wide = new Uint8Array([
      0xff,
      0xfe,
      ...[...'name\nHülse\n'].flatMap((sign) => [sign.charCodeAt(0) & 255, sign.charCodeAt(0) >> 8]),
    ]);
    expect(readSheet(wide.buffer)).toMatchObject({ encoding: 'UTF-16', rows: [{ name: 'Hülse' }] });
  });

  it.each([
    ['nothing', '', /empty/],
    ['headings alone', 'name,kind\n\n\n', /no lines below/],
    ['no headings', '\n\n', /empty/],
    ['a picture', '\u0089PNG\u0000\u0001', /no text/],
    ['too many lines', `name\n${'x\n'.repeat(MOST_ROWS + 1)}`, /at most 20000/],
  ])('refuses %s with a reason', (_what, text, words) => {
    expect(() => readSheet(bytesOf(text))).toThrow(SheetError);
    expect(() => readSheet(bytesOf(text))).toThrow(words);
  });

  it('writes what it reads again, and nothing that acts as a formula', () => {
    const rows = [
      { name: '=HYPERLINK("x")', tip: 'a "b"; c,\nd' },
      { name: '-1', tip: '' },
    ];
    const text = writeSheet(
      [
        { id: 'name', heading: 'name' },
        { id: 'tip', heading: 'tip' },
      ],
      rows,
    );
    expect(text.split('\r\n')[1]).toMatch(/^"?'=/);
    const back = readSheet(bytesOf(text)).rows;
    expect(back.map(({ tip }) => tip)).toEqual(['a "b"; c,\nd', '']);
  });

  it('brings a whole map out and back in without a change', () => {
    const { map } = testJob.plan;
    const text = writeSheet(COLUMNS.connections, rowsOf(map, 'connections'));
    const { rows } = readSheet(bytesOf(text));
    const mapping = Object.fromEntries(COLUMNS.connections.map(({ id, heading }) => [id, heading]));
    expect(readRows(map, 'connections', mapping, rows)).toMatchObject({ added: 0, changed: 0, bad: [] });
  });
});

/** The worker’s work on the test’s own thread. */
class OwnThread implements Pick<SheetReader, 'read' | 'tryOn'> {
  async read(file: File) {
    return sheetWork.read(await file.arrayBuffer());
  }
  tryOn(...asked: Parameters<SheetReader['tryOn']>) {
    return Promise.resolve(sheetWork.tryOn(...asked));
  }
}

@Component({
  selector: 'bl-test-files',
  imports: [Files],
  providers: [MapDraft],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<bl-files />',
})
class TestFiles {
  readonly draft = inject(MapDraft);
}

async function openFiles() {
  const view = await openView(TestFiles, [], () => ({}), {
    providers: [{ provide: SheetReader, useClass: OwnThread }],
  });
  return {
    ...view,
    draft: view.fixture.componentInstance.draft,
    choose: async (text: string, name = 'sheet.csv') => {
      const field = view.element.querySelector('input[type=file]') as HTMLInputElement;
      const file = { name, arrayBuffer: () => Promise.resolve(bytesOf(text)) };
      Object.defineProperty(field, 'files', { value: [file], configurable: true });
      field.dispatchEvent(new Event('change'));
      await view.settle();
      await view.settle();
    },
  };
}

describe('taking a file in', () => {
  beforeEach(() => localStorage.clear());

  it('tells every bad line, and changes nothing before it is accepted', async () => {
    const view = await openFiles();
    await view.choose(
      'What;Type;From;To;Where\nthe radio ground;ground;engine;body;bay-top\nthe ghost;hose;moon;body;bay-top\nthe bad one;glued;engine;body;bay-top\n',
    );
    expect(view.text()).toContain('1 new, 0 changed, 0 as they are, 2 cannot be taken.');
    expect(view.text()).toContain('There is no part “moon” on the map.');
    expect(view.draft.dirty()).toBe(false);
    await view.press('Take the good lines');
    expect(view.draft.map()?.connections.at(-1)?.name).toBe('the radio ground');
    expect(view.server.plannings).toEqual([]);
    view.draft.undo();
    expect(view.draft.dirty()).toBe(false);
  });

  it('asks which column is which where the headings do not tell', async () => {
    const view = await openFiles();
    await view.choose('Bezeichnung;Art;von;nach;Ort\ndie Masse;ground;engine;body;bay-top\n');
    expect(view.text()).toContain('Say which column is: name, kind, from, to, station.');
    for (const [column, heading] of [
      ['name', 'Bezeichnung'],
      ['kind', 'Art'],
      ['from', 'von'],
      ['to', 'nach'],
      ['station', 'Ort'],
    ]) {
      await choose(view.fixture, new RegExp(`^${column}, needed`), heading ?? '');
      await view.settle();
    }
    expect(view.text()).toContain('1 new');
    // What was said once is remembered for the shop, for the next such file.
    await view.press('Take it');
    await view.settle();
    expect(view.server.shopWriting.document.headings).toHaveLength(5);
    await view.choose('Bezeichnung;Art;von;nach;Ort\ndie zweite Masse;Ground;Engine;body;Over the bay\n');
    expect(view.text()).not.toContain('Say which column is');
    expect(view.text()).toContain('1 new');
  });

  it('says what is wrong with a file that is none', async () => {
    const view = await openFiles();
    await view.choose('');
    expect(view.text()).toContain('The file is empty. Nothing was changed.');
  });

  it('does not let a map grow beyond what it can hold', async () => {
    const view = await openFiles();
    const lines = Array.from({ length: 600 }, (_, index) => `line ${index},hose,engine,body,bay-top`).join('\n');
    await view.choose(`name,kind,from,to,station\n${lines}`);
    expect(view.text()).toContain('it can hold 600');
  });
});
