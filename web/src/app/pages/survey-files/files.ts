import { several } from '@brisk/core/words';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSortModule, type Sort } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import {
  COLUMNS,
  guessMapping,
  learned,
  missingColumns,
  rowsOf,
  TABLES,
  type DryRun,
  type Mapping,
  type Table,
} from '@brisk/core/exchange';
import equal from 'fast-deep-equal/es6';
import { PickOne } from '../../ui/pick-one';
import { FileKey } from '../../ui/file-key';
import { ChoiceKeys } from '../../ui/choice-keys';
import { choicesOf } from '../../ui/choice';
import { Desk } from '../../session/desk';
import { Api } from '../../api/api';
import { MapDraft } from '../../planning/map-draft';
import { WritingShed } from '../../planning/writing-shed';
import { writeSheet, type Sheet } from '../../ui/csv';
import { saveFile } from '../../ui/save-file';
import { SheetReader } from './sheet-reader';

const TABLE_WORDS: Readonly<Record<Table, string>> = {
  connections: 'Connections',
  parts: 'Parts',
  fasteners: 'Fasteners',
};
const MOST_BAD_SHOWN = 200;
/** What a map can hold; a file that would make it larger is told so before it is taken. */
const MOST_ON_MAP = 600;

/** The map as spreadsheets, out and in. Coming in, every bad line is told first, and nothing is written until it is accepted. */
@Component({
  selector: 'bl-files',
  imports: [ChoiceKeys, FileKey, MatButton, MatSortModule, MatTableModule, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './files.html',
  styleUrl: './files.scss',
})
export class Files {
  private readonly desk = inject(Desk);
  private readonly api = inject(Api);
  private readonly reader = inject(SheetReader);
  private readonly writing = inject(WritingShed);
  protected readonly draft = inject(MapDraft);
  protected readonly tables = TABLES;
  protected readonly words = TABLE_WORDS;
  protected readonly tableChoices = choicesOf(TABLE_WORDS, TABLES);
  protected readonly badColumns = ['line', 'column', 'words'];
  protected readonly several = several;

  protected readonly table = signal<Table>('connections');
  protected readonly file = signal('');
  protected readonly sheet = signal<Sheet | undefined>(undefined);
  protected readonly lines = signal(0);
  protected readonly mapping = signal<Mapping>({});
  protected readonly run = signal<Omit<DryRun, 'map'> | undefined>(undefined);
  protected readonly badLines = signal(0);
  protected readonly busy = signal('');
  protected readonly trouble = signal('');
  protected readonly taken = signal('');

  protected readonly columns = computed(() => COLUMNS[this.table()]);
  protected readonly missing = computed(() => (this.sheet() ? missingColumns(this.table(), this.mapping()) : []));
  protected readonly bundle = computed(() => this.api.bundleAddress(this.desk.job()?.id ?? ''));
  protected readonly tooMany = computed(() => {
    const run = this.run();
    const map = this.draft.map();
    if (!run || !map || this.table() === 'fasteners') return 0;
    const after = (this.table() === 'parts' ? map.parts : map.connections).length + run.added;
    return after > MOST_ON_MAP ? after : 0;
  });

  /** The headings of the file, any of which may be a column, or none. */
  protected readonly headings = computed(() => [
    { value: '', words: 'not in the file' },
    ...(this.sheet()?.headings ?? []).map((value) => ({ value, words: value })),
  ]);
  protected readonly sorted = signal<Sort>({ active: '', direction: '' });
  protected readonly bad = computed(() => {
    const { active, direction } = this.sorted();
    const bad = this.run()?.bad ?? [];
    if (direction === '') return bad;
    const sign = direction === 'asc' ? 1 : -1;
    return [...bad].sort((one, other) =>
      active === 'line' ? sign * (one.line - other.line) : sign * one.column.localeCompare(other.column),
    );
  });

  protected save(table: Table): void {
    const map = this.draft.map();
    if (!map) return;
    saveFile(`${map.layout}-${table}.csv`, writeSheet(COLUMNS[table], rowsOf(map, table)));
  }

  protected async choose([file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.letGo();
    this.file.set(file.name);
    this.busy.set('Reading the file…');
    const told = await this.reader.read(file);
    this.busy.set('');
    if ('failed' in told) {
      this.trouble.set(told.failed);
      return;
    }
    this.sheet.set(told.sheet);
    this.lines.set(told.lines);
    this.mapping.set(this.guessed(this.table(), told.sheet.headings));
    await this.dryRun();
  }

  protected async changeTable(table: Table): Promise<void> {
    this.table.set(table);
    const sheet = this.sheet();
    if (!sheet) return;
    this.mapping.set(this.guessed(table, sheet.headings));
    await this.dryRun();
  }

  /** Which heading stands for which column, by its words or as somebody here said once. */
  private guessed(table: Table, headings: readonly string[]): Mapping {
    return guessMapping(table, headings, this.writing.writing().headings);
  }

  /** Keeps for the shop what somebody said of headings that their words do not tell. */
  private remember(): void {
    const [table, mapping] = [this.table(), this.mapping()];
    const { headings } = this.writing.writing();
    if (equal(learned(table, mapping, headings), headings)) return;
    void this.writing.change((before) => ({ ...before, headings: learned(table, mapping, before.headings) }));
  }

  protected async mapTo(column: string, heading: string): Promise<void> {
    this.mapping.update((before) => ({ ...before, [column]: heading }));
    await this.dryRun();
  }

  /** Makes the change on the map being edited; it still has to be kept there. */
  protected take(): void {
    const run = this.run();
    if (!run) return;
    const wrong = this.draft.edit(run.edit, `Take in ${this.file()}`);
    if (wrong !== undefined) this.trouble.set(wrong);
    else {
      this.remember();
      this.taken.set(`${this.file()} is on the map now: look at what it changes above, then keep it or undo.`);
      this.letGo();
    }
  }

  protected letGo(): void {
    this.sheet.set(undefined);
    this.run.set(undefined);
    this.trouble.set('');
    this.file.set('');
  }

  private async dryRun(): Promise<void> {
    const map = this.draft.map();
    this.run.set(undefined);
    this.taken.set('');
    if (!map || this.missing().length > 0) return;
    this.busy.set(`Looking through ${this.lines()} lines…`);
    const told = await this.reader.tryOn(map, this.table(), this.mapping(), MOST_BAD_SHOWN);
    this.busy.set('');
    if ('failed' in told) {
      this.trouble.set(told.failed);
      return;
    }
    this.run.set(told.run);
    this.badLines.set(told.badLines);
  }
}
