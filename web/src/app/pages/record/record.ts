import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { answersAll, wordsAsked } from '@brisk/core/find';
import { type LedgerEntry, entryWords } from '@brisk/core/ledger';
import { format } from 'date-fns';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Written } from '../../ui/written';

const PAGE = 100;

/** The ledger as people read it: who did what, when; what is wrong is taken back by a new entry. */
@Component({
  selector: 'bl-record',
  imports: [EntryField, MatButton, MatIcon, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './record.html',
  styleUrl: './record.scss',
})
export class RecordView {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  protected readonly recorder = inject(Recorder);
  protected readonly query = signal('');
  protected readonly by = signal('');
  protected readonly most = signal(PAGE);

  private readonly lines = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    const words = wordsAsked(this.query());
    return [...state.entries]
      .reverse()
      .filter((entry) => this.by() === '' || entry.by === this.by())
      .map((entry) => ({ entry, words: entryWords(state, entry, this.written.day) }))
      .filter((line) => words.length === 0 || answersAll(line.words, words))
      .map(({ entry, words: said }) => ({
        id: entry.id,
        words: said,
        by: entry.by,
        day: `${format(new Date(entry.at), 'EEEE')} ${this.written.shortDay(entry.at)}`,
        time: this.written.time(entry.at),
        gone: state.corrected.has(entry.id),
        mayGo: mayBeTakenBack(entry) && !state.corrected.has(entry.id),
      }));
  });

  protected readonly found = computed(() => this.lines().length);
  protected readonly days = computed(() => {
    const days: { day: string; lines: ReturnType<RecordView['lines']>[number][] }[] = [];
    for (const line of this.lines().slice(0, this.most())) {
      const last = days.at(-1);
      if (last?.day === line.day) last.lines.push(line);
      else days.push({ day: line.day, lines: [line] });
    }
    return days;
  });

  protected readonly people = computed(() => [
    { value: '', words: 'Everybody' },
    ...[...new Set((this.desk.state()?.entries ?? []).map(({ by }) => by))]
      .sort()
      .map((value) => ({ value, words: value })),
  ]);

  protected more(): void {
    this.most.update((most) => most + PAGE);
  }
}

function mayBeTakenBack({ kind }: LedgerEntry): boolean {
  return kind !== 'corrected';
}
