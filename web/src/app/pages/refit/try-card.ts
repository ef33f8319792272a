import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { amount, text } from '@brisk/contracts/fields';
import { AdjustError, beltTensionN, type BeltMeasured } from '@brisk/core/adjusting';
import type { AdjustmentNow, EntryBody } from '@brisk/core/ledger';
import { sentence, figureIn } from '@brisk/core/words';
import { Recorder } from '../../session/recorder';
import { Ask } from '../../ui/ask';
import { ChoiceKeys } from '../../ui/choice-keys';
import { EntryField } from '../../ui/entry-field';
import { Stepper } from '../../ui/stepper';
import { TryChart } from './try-chart';

type Went = 'in' | 'not' | 'untried';
type Tried = Extract<EntryBody, { kind: 'adjustment-tried' }>;
/** No play and no tension comes to more, in mm or N. */
const MOST_WANTED = 100_000;
const BELT_WAYS = [
  { value: 'frequency', words: 'By its note' },
  { value: 'deflection', words: 'By pressing it' },
] as const;

/** One joint that is set by trying: what to do next, the tries so far, and the next one. */
@Component({
  selector: 'bl-try-card',
  imports: [ChoiceKeys, EntryField, MatButton, MatButtonToggleModule, Stepper, TryChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './try-card.html',
  styleUrl: './try-card.scss',
})
export class TryCard {
  readonly now = input.required<AdjustmentNow & { readonly closed: boolean }>();
  private readonly recorder = inject(Recorder);
  private readonly asker = inject(Ask);
  protected readonly sentence = sentence;
  protected readonly beltWays = BELT_WAYS;

  private readonly tries = computed(() => this.now().tries.length);
  /** Where the adjuster stands: where it was tried last, or where the last tries say it ought to. */
  protected readonly halfTurns = linkedSignal({
    source: this.tries,
    computation: () => this.now().tries.at(-1)?.halfTurns ?? 0,
  });
  protected readonly went = linkedSignal<number, ReadonlyMap<string, Went>>({
    source: this.tries,
    computation: () => new Map(),
  });
  protected readonly reading = linkedSignal({ source: this.tries, computation: () => '' });
  protected readonly byNote = linkedSignal<number, BeltMeasured['by']>({
    source: this.tries,
    computation: (_, before) => before?.value ?? 'frequency',
  });
  /** What was typed of a belt: its span and weight stay for the next try. */
  protected readonly belt = linkedSignal<number, Readonly<Record<string, string>>>({
    source: this.tries,
    computation: (_, before) => ({
      spanMm: before?.value['spanMm'] ?? '',
      gramsPerM: before?.value['gramsPerM'] ?? '',
    }),
  });
  protected readonly wrong = linkedSignal({ source: this.tries, computation: () => '' });

  protected readonly unit = computed(() => (this.now().spec.what === 'tension' ? 'N' : 'mm'));
  protected readonly wanted = computed(() => {
    const { spec, from, to } = this.now();
    if (spec.what === 'gears') return `${spec.gears?.join(', ') ?? ''}: every one has to go in`;
    const unit = this.unit();
    if (from === undefined && to === undefined) return 'The maker’s figure is not written down yet';
    return `Wanted: ${from ?? 0}${to === undefined ? '' : ` to ${to}`} ${unit}${spec.at ? `, ${spec.at}` : ''}`;
  });
  protected readonly gears = computed(() => this.now().spec.gears ?? []);
  /** The tension that what was typed comes to, or why it comes to none. */
  protected readonly tension = computed(() => {
    const belt = this.beltTyped();
    if (!belt) return '';
    try {
      return `${Math.round(beltTensionN(belt))} N`;
    } catch (error) {
      if (error instanceof AdjustError) return error.message;
      throw error;
    }
  });

  protected mark(gear: string, went: Went): void {
    this.went.update((before) => new Map(before).set(gear, went));
  }

  protected allIn(): void {
    this.went.set(new Map(this.gears().map((gear) => [gear, 'in'])));
    this.record();
  }

  protected typeBelt(field: string, words: string): void {
    this.belt.update((before) => ({ ...before, [field]: words }));
  }

  protected record(accepted?: string): void {
    const tried = this.tried();
    if (typeof tried === 'string') {
      this.wrong.set(tried);
      return;
    }
    this.wrong.set('');
    this.recorder.record(`Tried: ${this.now().connection.name}`, {
      ...tried,
      ...(accepted === undefined ? {} : { accepted }),
    });
  }

  protected async accept(): Promise<void> {
    const last = this.now().tries.at(-1);
    if (!last) return;
    const answers = await this.asker.ask({
      title: `Accept it as it is: ${this.now().connection.name}`,
      words: this.now().words,
      questions: [{ field: 'reason', label: 'Reason', as: 'lines', schema: text().label('Reason') }],
      action: 'Accept it',
    });
    if (!answers) return;
    const { halfTurns, went, not, readingMm, belt } = last;
    this.recorder.record('Accepted', {
      kind: 'adjustment-tried',
      connection: this.now().connection.id,
      halfTurns,
      ...(went ? { went } : {}),
      ...(not ? { not } : {}),
      ...(readingMm === undefined ? {} : { readingMm }),
      ...(belt ? { belt } : {}),
      accepted: String(answers['reason']),
    });
  }

  /** Writes the maker’s figures down with the last reading. */
  protected async figures(): Promise<void> {
    const last = this.now().tries.at(-1);
    if (!last) return;
    const limit = (field: string, label: string) => ({
      field,
      label,
      as: 'amount' as const,
      suffix: this.unit(),
      schema: amount(MOST_WANTED).label(label),
    });
    const answers = await this.asker.ask({
      title: `The maker’s figure: ${this.now().connection.name}`,
      questions: [limit('from', 'Not under'), limit('to', 'Not over')],
      action: 'Write it down',
    });
    if (!answers) return;
    const { halfTurns, readingMm, belt } = last;
    this.recorder.record('Written down', {
      kind: 'adjustment-tried',
      connection: this.now().connection.id,
      halfTurns,
      ...(readingMm === undefined ? {} : { readingMm }),
      ...(belt ? { belt } : {}),
      from: Number(answers['from']),
      to: Number(answers['to']),
    });
  }

  /** What was tried, as an entry; or what is still missing, in words. */
  private tried(): Tried | string {
    const { connection, spec } = this.now();
    const head = { kind: 'adjustment-tried' as const, connection: connection.id, halfTurns: this.halfTurns() };
    if (spec.what === 'gears') {
      const of = (is: Went) => this.gears().filter((gear) => this.went().get(gear) === is);
      const [went, not] = [of('in'), of('not')];
      return went.length + not.length === 0 ? 'Say of at least one gear whether it went in.' : { ...head, went, not };
    }
    if (spec.what === 'tension') {
      const belt = this.beltTyped();
      return belt ? { ...head, belt } : 'Every field of the belt has to be a number above nought.';
    }
    const readingMm = amountIn(this.reading());
    return readingMm === undefined ? 'The free play has to be a number of mm, nought or more.' : { ...head, readingMm };
  }

  private beltTyped(): BeltMeasured | undefined {
    const figure = (field: string) => amountIn(this.belt()[field] ?? '') ?? 0;
    const [spanMm, gramsPerM, hz] = [figure('spanMm'), figure('gramsPerM'), figure('hz')];
    const [forceN, deflectionMm] = [figure('forceN'), figure('deflectionMm')];
    if (this.byNote() === 'frequency')
      return spanMm > 0 && gramsPerM > 0 && hz > 0 ? { by: 'frequency', spanMm, gramsPerM, hz } : undefined;
    return spanMm > 0 && forceN > 0 && deflectionMm > 0
      ? { by: 'deflection', spanMm, forceN, deflectionMm }
      : undefined;
  }
}

/** “12,5” as a figure, nought or more; undefined where it is none. */
function amountIn(words: string): number | undefined {
  const value = figureIn(words);
  return value !== undefined && value >= 0 ? value : undefined;
}
