import equal from 'fast-deep-equal';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { LONGEST } from '@brisk/contracts/fields';
import { FATES, outerPartsOf, type Fate } from '@brisk/core/bench';
import { lumpOf, type CircuitId, type PartId } from '@brisk/core/connection-map';
import { heldBy } from '@brisk/core/fluids';
import { FATE_WORDS, type JobState } from '@brisk/core/ledger';
import { sentence, several } from '@brisk/core/words';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { ChoiceKeys } from '../../ui/choice-keys';
import { choicesOf } from '../../ui/choice';
import { EntryField } from '../../ui/entry-field';
import { TickList } from '../../ui/tick-list';

/** What becomes of one unit of the powerpack, and what comes with another that takes its place. */
@Component({
  selector: 'bl-unit-card',
  imports: [ChoiceKeys, EntryField, MatButton, TickList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './unit-card.html',
  styleUrl: './unit-card.scss',
})
export class UnitCard {
  readonly state = input.required<JobState>();
  readonly unit = input.required<PartId>();
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  protected readonly sentence = sentence;
  protected readonly several = several;
  protected readonly fates = choicesOf<Fate>(
    { same: 'Goes back as it is', repaired: 'Repaired', exchange: 'Exchange unit', donor: 'Donor’s' },
    FATES,
  );
  protected readonly longest = LONGEST.text;
  protected readonly changing = signal(false);

  protected readonly name = computed(
    () => this.state().work.plan.map.parts.find(({ id }) => id === this.unit())?.name ?? this.unit(),
  );
  protected readonly decided = computed(() => this.state().units.get(this.unit()), { equal });
  /** A swap has its other powerpack already; which parts come with it still has to be said. */
  private readonly byDefault = computed<Fate>(() => (this.desk.job()?.swap ? 'donor' : 'same'));
  protected readonly words = computed(() => {
    const decided = this.decided();
    if (decided) return FATE_WORDS[decided.becomes];
    return this.byDefault() === 'donor' ? 'is not decided on, and a donor is named' : FATE_WORDS.same;
  });
  protected readonly becomes = linkedSignal<Fate>(() => this.decided()?.becomes ?? this.byDefault());
  protected readonly another = computed(() => this.becomes() === 'exchange' || this.becomes() === 'donor');

  /** Outer parts that may come with the other unit. */
  protected readonly outer = computed(
    () => outerPartsOf(this.state().work.plan, this.state().work.lump, this.unit()),
    // Entries that come in do not untick what somebody has ticked.
    { equal },
  );
  protected readonly choices = computed(() =>
    this.outer().map(({ id, name }) => ({ value: id, words: sentence(name) })),
  );
  protected readonly comesWith = linkedSignal<ReadonlySet<PartId>>(() => {
    const decided = this.decided();
    if (decided) return new Set(decided.comesWith);
    // A donor’s unit comes as it stood in its machine, an exchange unit bare.
    return new Set(this.becomes() === 'donor' ? this.outer().map(({ id }) => id) : []);
  });
  /** What the other one may have in it as it comes. */
  protected readonly fluids = computed(
    () => heldBy(this.state().work.plan.map, this.unit()).map(({ id, name }) => ({ value: id, words: name })),
    { equal },
  );
  protected readonly filled = linkedSignal<ReadonlySet<CircuitId>>(() => new Set(this.decided()?.filled ?? []));
  protected readonly why = linkedSignal(() => this.decided()?.why ?? '');
  protected readonly died = linkedSignal(() => this.decided()?.causeOfDeath ?? '');

  /** How many parts go over to the other unit as it was decided. */
  protected readonly goOver = computed(() => {
    const { work } = this.state();
    const stays = work.bench.replaced.get(this.unit());
    if (!stays) return 0;
    return [...lumpOf(work.plan.map, [this.unit()])].filter((id) => work.bench.removed.has(id) && !stays.has(id))
      .length;
  });

  protected decide(): void {
    const [why, died] = [this.why().trim(), this.died().trim()];
    const recorded = this.recorder.record(`The ${this.name()} ${FATE_WORDS[this.becomes()]}`, {
      kind: 'unit-decided',
      unit: this.unit(),
      becomes: this.becomes(),
      comesWith: this.another() ? [...this.comesWith()] : [],
      ...(this.another() && this.filled().size > 0 ? { filled: [...this.filled()] } : {}),
      ...(why ? { why } : {}),
      ...(this.another() && died ? { causeOfDeath: died } : {}),
    });
    if (recorded) this.changing.set(false);
  }
}
