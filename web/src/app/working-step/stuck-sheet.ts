import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatCheckbox } from '@angular/material/checkbox';
import { LONGEST } from '@brisk/contracts/fields';
import {
  MEANS,
  TROUBLES,
  type EntryBody,
  type Means,
  type Trouble,
  TROUBLE_WORDS,
  MEANS_WORDS,
} from '@brisk/core/ledger';
import { v4 as uuid } from 'uuid';
import { KeptWords } from '../ui/kept-words';
import { TickList } from '../ui/tick-list';
import { EntryField } from '../ui/entry-field';
import { ChoiceKeys } from '../ui/choice-keys';
import { choicesOf } from '../ui/choice';
import { Stepper } from '../ui/stepper';
import { SOAKS, usuallyWanted, type StuckAsked, type StuckTold, type Wanted } from './stuck-path';

/** A step that fights back, told in touches: what, tried, soaking, time, what to order. */
@Component({
  selector: 'bl-stuck-sheet',
  imports: [
    ChoiceKeys,
    EntryField,
    MatButton,
    MatCheckbox,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    Stepper,
    TickList,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stuck-sheet.html',
  styleUrl: './stuck-sheet.scss',
})
export class StuckSheet {
  protected readonly asked = inject<StuckAsked>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<StuckSheet, StuckTold>>(MatDialogRef);
  protected readonly troubleChoices = choicesOf(TROUBLE_WORDS, TROUBLES);
  protected readonly meansChoices = choicesOf(MEANS_WORDS, MEANS);
  protected readonly troubleWords = TROUBLE_WORDS;
  protected readonly soakChoices = SOAKS.map(({ minutes: value, words }) => ({ value, words }));
  protected readonly longest = LONGEST.text;

  protected readonly before = computed(() => this.asked.state.struggles.get(this.asked.operation.id) ?? []);
  protected readonly trouble = signal<Trouble | undefined>(undefined);
  protected readonly tried = signal<ReadonlySet<Means>>(new Set());
  private readonly kept = inject(KeptWords);
  private readonly mine = this.kept.who();
  protected readonly words = signal(this.kept.take<string>(this.asked.operation.id) ?? '');
  protected readonly minutes = signal(Math.max(1, Math.round(this.asked.minutes)));
  /** What else is ticked leaves the minutes as somebody has set them. */
  private readonly soaks = computed(() => this.tried().has('penetrant'));
  protected readonly soak = linkedSignal<number>(() => (this.soaks() ? 30 : 0));
  protected readonly house = signal(false);
  protected readonly sent = signal(false);

  protected readonly offered = computed(() => {
    const trouble = this.trouble();
    return trouble ? usuallyWanted(this.asked.state, this.asked.operation, trouble) : [];
  });
  protected readonly wanted = linkedSignal<ReadonlySet<string>>(() => new Set(this.offered().map(({ name }) => name)));
  protected readonly alsoWanted = signal('');

  /** What keeps it from being recorded, in words. */
  protected readonly wrong = computed(() => {
    if (!this.trouble()) return 'What happened? One touch above says it.';
    if (this.tried().size === 0 && this.words().trim() === '') return 'What was tried? “Nothing yet” will do.';
    if (this.words().length > this.longest) return 'That is too long; the rest belongs into a note.';
    return '';
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      if (this.mine !== this.kept.who()) this.kept.keep(this.mine, this.asked.operation.id, this.words());
    });
  }

  protected want({ name }: Wanted): void {
    this.wanted.update((before) => without(before, name));
  }

  protected send(): void {
    this.sent.set(true);
    const trouble = this.trouble();
    if (this.wrong() || !trouble) return;
    const { operation } = this.asked;
    const means = MEANS.filter((one) => this.tried().has(one));
    const spoken = this.words().trim();
    const tried = spoken || means.map((one) => MEANS_WORDS[one]).join(', ');
    const also = this.alsoWanted().trim().slice(0, LONGEST.name);
    const needs: readonly Wanted[] = [
      ...this.offered().filter(({ name }) => this.wanted().has(name)),
      ...(also ? [{ name: also, quantity: 1 }] : []),
    ];
    this.dialog.close({
      bodies: [
        {
          kind: 'operation-stuck',
          operation: operation.id,
          trouble,
          tried,
          minutesLost: this.minutes(),
          ...(means.length > 0 ? { means } : {}),
          ...(this.soak() > 0 ? { soakMin: this.soak() } : {}),
        },
        ...needs.map(({ name, quantity }): EntryBody => ({
          kind: 'part-needed',
          need: uuid(),
          name: name.slice(0, LONGEST.name),
          quantity,
          reason: `${TROUBLE_WORDS[trouble]}: ${operation.title}`,
          operation: operation.id,
        })),
        ...(this.house()
          ? [
              {
                kind: 'noted',
                text: `${TROUBLE_WORDS[trouble]} here: ${tried}`,
                operation: operation.id,
                house: true,
              } satisfies EntryBody,
            ]
          : []),
      ],
    });
  }
}

/** `all` with `one` in it, or without it where it was in. */
function without<One>(all: ReadonlySet<One>, one: One): ReadonlySet<One> {
  const next = new Set(all);
  if (!next.delete(one)) next.add(one);
  return next;
}
