import equal from 'fast-deep-equal';
import { check } from '@brisk/contracts/check';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { LONGEST } from '@brisk/contracts/fields';
import { fastenerSet } from '@brisk/contracts/map';
import type { FastenerSet } from '@brisk/core/connection-map';
import { lookalikesOf, readFastener, readWashers, specWords } from '@brisk/core/fasteners';
import { EntryField } from '../../ui/entry-field';
import { Recorder } from '../../session/recorder';

interface Draft {
  readonly count: number;
  readonly what: string;
  readonly note: string;
  readonly washers: string;
  readonly singleUse: boolean;
}

/** What really holds a joint, as somebody reads and measures it; how it is understood stands beside it. */
@Component({
  selector: 'bl-set-form',
  imports: [EntryField, MatButton, MatCheckbox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-form.html',
  styleUrl: './set-form.scss',
})
export class SetForm {
  readonly connection = input.required<string>();
  readonly sets = input.required<readonly FastenerSet[]>();
  readonly closed = output();
  private readonly recorder = inject(Recorder);

  /** What is written down already; other entries that come in do not disturb what somebody is typing. */
  private readonly known = computed(() => this.sets(), {
    equal,
  });
  protected readonly drafts = linkedSignal<readonly Draft[]>(() =>
    this.known().length > 0 ? this.known().map(draftOf) : [draftOf({ count: 1, what: '' })],
  );

  /** How each line is read: thread, length, head. */
  protected readonly read = computed(() =>
    this.drafts().map(({ what }) => {
      const spec = readFastener(what);
      const alike = spec.thread ? lookalikesOf(spec.thread).map(({ name }) => name) : [];
      return {
        words: spec.thread ? specWords(spec) : what.trim() === '' ? '' : 'no thread read',
        alike: alike.length > 0 ? `easily taken for ${alike.join(', ')}` : '',
      };
    }),
  );

  protected readonly wrong = computed(() => {
    const drafts = this.drafts();
    if (drafts.length === 0) return 'Something has to hold it.';
    for (const set of drafts.map(setOf)) {
      const checked = check(fastenerSet(), set);
      if ('errors' in checked) return checked.errors[0]?.words ?? 'This is not right.';
    }
    return '';
  });

  protected change(index: number, change: Partial<Draft>): void {
    this.drafts.update((before) => before.map((draft, at) => (at === index ? { ...draft, ...change } : draft)));
  }

  protected add(): void {
    this.drafts.update((before) => [...before, draftOf({ count: 1, what: before.at(-1)?.what ?? '' })]);
  }

  protected remove(index: number): void {
    this.drafts.update((before) => before.filter((_draft, at) => at !== index));
  }

  protected save(event: Event): void {
    event.preventDefault();
    if (this.wrong()) return;
    const recorded = this.recorder.record('Written down as found', {
      kind: 'set-described',
      connection: this.connection(),
      sets: this.drafts().map(setOf),
    });
    if (recorded) this.closed.emit();
  }
}

function draftOf({ count, what, note = '', washers = [], singleUse = false }: FastenerSet): Draft {
  return { count, what, note, washers: washers.join(', '), singleUse };
}

function setOf({ count, what, note, washers, singleUse }: Draft): FastenerSet {
  const order = readWashers(washers);
  return {
    count,
    what: what.trim().slice(0, LONGEST.name),
    ...(note.trim() === '' ? {} : { note: note.trim() }),
    ...(singleUse ? { singleUse } : {}),
    ...(order.length > 0 ? { washers: order } : {}),
  };
}
