import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { FastenerSet } from '@brisk/core/connection-map';
import { readFastener, substitutionRisks } from '@brisk/core/fasteners';
import { CONDITIONS_OF_FASTENER, type FastenerCondition, type Judgement, CONDITION_WORDS } from '@brisk/core/ledger';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import { ChoiceKeys } from '../../ui/choice-keys';
import { choicesOf } from '../../ui/choice';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { Stepper } from '../../ui/stepper';

/** What the fasteners of a joint are like, and what stands in for those that are no good, with what may go wrong. */
@Component({
  selector: 'bl-condition-form',
  imports: [ChoiceKeys, EntryField, MatButton, PickOne, Stepper],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './condition-form.html',
  styleUrl: './condition-form.scss',
})
export class ConditionForm {
  readonly connection = input.required<string>();
  readonly sets = input.required<readonly FastenerSet[]>();
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  protected readonly conditions = choicesOf(
    CONDITION_WORDS,
    CONDITIONS_OF_FASTENER.filter((one) => one !== 'good'),
  );
  protected readonly setChoices = computed(() => this.sets().map(({ what }, value) => ({ value, words: what })));
  protected readonly words = CONDITION_WORDS;

  protected readonly open = signal(false);
  protected readonly set = signal(0);
  protected readonly count = signal(1);
  protected readonly condition = signal<FastenerCondition>('galled');
  protected readonly replacedBy = signal('');

  protected readonly judged = computed(() => this.desk.state()?.judged.get(this.connection()) ?? []);
  protected readonly most = computed(() => this.sets()[this.set()]?.count ?? 1);
  protected readonly risks = computed(() => this.risksOf(this.set(), this.replacedBy()));

  private risksOf(set: number, other: string) {
    const own = this.sets()[set];
    return own && other.trim() !== '' ? substitutionRisks(readFastener(own.what), readFastener(other)) : [];
  }

  protected risksOfJudgement({ set, replacedBy = '' }: Judgement) {
    return this.risksOf(set, replacedBy);
  }

  protected pickSet(set: number): void {
    this.set.set(set);
    this.count.update((count) => Math.min(count, this.most()));
  }

  protected begin(judgement?: Judgement): void {
    this.set.set(judgement?.set ?? 0);
    this.count.set(judgement?.count ?? 1);
    this.condition.set(judgement?.condition ?? 'galled');
    this.replacedBy.set(judgement?.replacedBy ?? '');
    this.open.set(true);
  }

  protected save(event: Event): void {
    event.preventDefault();
    const replacedBy = this.replacedBy().trim().slice(0, 120);
    const recorded = this.recorder.record(`${this.count()} ${CONDITION_WORDS[this.condition()].toLowerCase()}`, {
      kind: 'fasteners-judged',
      connection: this.connection(),
      set: this.set(),
      count: this.count(),
      condition: this.condition(),
      ...(replacedBy ? { replacedBy } : {}),
    });
    if (recorded) this.open.set(false);
  }
}
