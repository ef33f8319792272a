import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { text } from '@brisk/contracts/fields';
import { AdjustError, judgeSeat, SEAT_WORDS } from '@brisk/core/adjusting';
import type { JobState } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { figureIn } from '@brisk/core/words';
import { Recorder } from '../session/recorder';
import { Ask } from '../ui/ask';
import { EntryField } from '../ui/entry-field';

/** A seat that is measured before the faces meet: what the rule gave, what it ought to be, and whether it is home. */
@Component({
  selector: 'bl-seat-step',
  imports: [EntryField, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './seat-step.html',
  styleUrl: './seat-step.scss',
})
export class SeatStep {
  readonly state = input.required<JobState>();
  readonly operation = input.required<Operation>();
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);

  protected readonly seat = computed(() => this.operation().measures ?? 'converter-depth');
  protected readonly words = computed(() => SEAT_WORDS[this.seat()]);
  protected readonly places = computed(() => Array.from({ length: this.words().places }, (_, at) => at));
  protected readonly recorded = computed(() => this.state().seats.get(this.operation().id));

  private readonly at = computed(() => this.operation().id);
  protected readonly typed = linkedSignal<string, readonly string[]>({ source: this.at, computation: () => [] });
  protected readonly figure = linkedSignal({ source: this.at, computation: () => '' });

  /** What was typed, judged as it is typed; words where it cannot be, nothing before anything is. */
  protected readonly judged = computed(() => {
    const readings = this.places().map((place) => this.typed()[place] ?? '');
    if (readings.some((reading) => reading.trim() === '')) return undefined;
    const readingsMm = readings.map(numberIn);
    const figureMm = this.figure().trim() === '' ? undefined : numberIn(this.figure());
    if (figureMm !== undefined && !Number.isFinite(figureMm)) return { wrong: 'The figure has to be a number of mm.' };
    try {
      const reading = { seat: this.seat(), readingsMm, ...(figureMm === undefined ? {} : { figureMm }) };
      return { verdict: judgeSeat(reading), readingsMm, figureMm };
    } catch (error) {
      if (error instanceof AdjustError) return { wrong: error.message };
      throw error;
    }
  });
  protected readonly wrong = computed(() => this.judged()?.wrong ?? '');
  protected readonly verdict = computed(() => this.judged()?.verdict ?? this.recorded());

  protected type(place: number, words: string): void {
    this.typed.update((before) => this.places().map((one) => (one === place ? words : (before[one] ?? ''))));
  }

  protected record(accepted?: string): void {
    const judged = this.judged();
    if (!judged?.verdict) return;
    const { readingsMm, figureMm } = judged;
    const kept = this.recorder.record(`${this.words().name}: ${judged.verdict.words}`, {
      kind: 'seat-measured',
      operation: this.operation().id,
      readingsMm,
      ...(figureMm === undefined ? {} : { figureMm }),
      ...(accepted === undefined ? {} : { accepted }),
    });
    if (kept) this.typed.set([]);
  }

  protected async accept(): Promise<void> {
    const answers = await this.asker.ask({
      title: `Accept it as it is: ${this.words().name.toLowerCase()}`,
      caution:
        'Once the faces meet nobody sees it again. A pump or a clutch that is not home breaks at the first bolt.',
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Accept it',
    });
    if (answers) this.record(String(answers['reason']));
  }
}

const numberIn = (words: string) => figureIn(words) ?? NaN;
