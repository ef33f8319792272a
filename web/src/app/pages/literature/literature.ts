import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { name } from '@brisk/contracts/fields';
import type { Literature } from '@brisk/core/ledger';
import { LITERATURE_TYPE_WORDS, pinnedToWords } from '@brisk/core/literature';
import { sentence, several } from '@brisk/core/words';
import { AddingLiterature } from '../../literature/adding';
import { cleanCopyAddress } from '../../literature/open-literature';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { FileKey } from '../../ui/file-key';

/** The literature of a job: what is kept, and which page belongs where. */
@Component({
  selector: 'bl-literature',
  imports: [FileKey, MatButton, MatIcon, MatProgressBar, RouterLink],
  providers: [AddingLiterature],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './literature.html',
  styleUrl: './literature.scss',
})
export class LiteratureList {
  protected readonly desk = inject(Desk);
  protected readonly adding = inject(AddingLiterature);
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly cleanCopy = cleanCopyAddress;

  protected readonly files = computed(() => {
    const state = this.desk.state();
    if (!state) return [];
    return [...state.literature.values()].map((literature) => ({
      literature,
      about: [
        LITERATURE_TYPE_WORDS[literature.type],
        several(literature.pages, 'page'),
        sizeWords(literature.bytes),
        `from ${literature.by}`,
      ].join(' · '),
      drawnOn: [...literature.marks].flatMap(([page, marks]) => (marks.length > 0 ? [page] : [])),
      pins: literature.pins
        .map(({ page, to, words, entry }) => ({
          page,
          entry,
          to: sentence(pinnedToWords(state, to) ?? 'Something that is no longer on the job'),
          words,
        }))
        .sort((one, other) => one.page - other.page),
    }));
  });

  protected async rename({ file, title, type, pages, bytes }: Literature): Promise<void> {
    const answers = await this.asker.ask({
      title: 'What is it called?',
      questions: [{ field: 'title', label: 'Title', as: 'line', schema: name().label('The title'), initial: title }],
      action: 'Call it that',
    });
    const called = String(answers?.['title'] ?? '').trim();
    if (called && called !== title)
      this.recorder.record(`Called “${called}”`, { kind: 'literature-added', file, type, pages, bytes, title: called });
  }

  /** Takes a file off the job, by every entry that brought or named it, the last first. */
  protected takeOff({ file, title }: Literature): void {
    const state = this.desk.state();
    const named = state?.entries.filter(
      (entry) => entry.kind === 'literature-added' && entry.file === file && !state.corrected.has(entry.id),
    );
    if (named && named.length > 0) void this.recorder.correct(named.map(({ id }) => id).reverse(), `“${title}”`);
  }
}

function sizeWords(bytes: number): string {
  return bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1_000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}
