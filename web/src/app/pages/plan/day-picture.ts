import { ChangeDetectionStrategy, Component, computed, input, output, inject } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import type { Schedule, ScheduledStep, WorkingDay } from '@brisk/core/schedule';
import { duration, HEIGHT_WORDS, STATION_WORDS, several } from '@brisk/core/words';
import { format } from 'date-fns';
import { whenWords, clockAt, closesAfter } from '@brisk/core/planning';
import { Written } from '../../ui/written';

/** Ticks under the picture are this far apart at least, as a share of its width. */
const TICKS = [15, 30, 60, 120, 240, 480, 960];
const MOST_TICKS = 9;

/** A stretch one person spends at one station. */
interface Stay {
  readonly left: number;
  readonly width: number;
  readonly words: string;
  readonly label: string;
  readonly together: boolean;
  /** Nobody’s hands: it cools, or soaks. */
  readonly waits: boolean;
  readonly first: string;
}

/** Who is where when, with the machine’s height as a line under it and hold points across it. */
@Component({
  selector: 'bl-day-picture',
  imports: [MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './day-picture.html',
  styleUrl: './day-picture.scss',
})
export class DayPicture {
  private readonly written = inject(Written);
  readonly schedule = input.required<Schedule>();
  readonly people = input.required<readonly string[]>();
  readonly startHeight = input.required<'ground' | 'raised'>();
  readonly day = input.required<WorkingDay>();
  readonly picked = output<string>();

  private readonly total = computed(() => Math.max(1, this.schedule().costs.finishMin));

  protected readonly lanes = computed(() => {
    const { steps } = this.schedule();
    const total = this.total();
    const nobodys = (name: string, which: (step: ScheduledStep) => boolean) => ({
      name,
      own: steps.filter((step) => step.people.length === 0 && which(step)),
    });
    const others = [
      nobodys('From outside', ({ operation }) => operation.kind !== 'wait'),
      nobodys('Left to itself', ({ operation }) => operation.kind === 'wait'),
    ].filter(({ own }) => own.length > 0);
    const crew = this.people().map((name) => ({ name, own: steps.filter(({ people }) => people.includes(name)) }));
    return [...crew, ...others].map(({ name, own }) => {
      const now = new Date();
      const stays = staysOf(own, total, (minutes) => whenWords(minutes, now, this.day(), this.written.as()));
      return { name, stays, words: `${several(stays.length, 'stay')}. Press where you want to look.` };
    });
  });

  /** Picks the first step of the stay at the place pressed, or of the first one by key. */
  protected pickAt(stays: readonly Stay[], event: MouseEvent): void {
    const lane = event.currentTarget instanceof Element ? event.currentTarget.getBoundingClientRect() : undefined;
    const at = lane && event.detail > 0 ? ((event.clientX - lane.left) / lane.width) * 100 : 0;
    const stay = stays.find(({ left, width }) => at < left + width) ?? stays.at(-1);
    if (stay) this.picked.emit(stay.first);
  }

  protected readonly holds = computed(() =>
    this.schedule()
      .steps.filter(({ operation }) => operation.kind === 'hold-point')
      .map(({ operation, startMin, endMin }) => ({
        left: ((startMin + endMin) / 2 / this.total()) * 100,
        words: operation.title.replace('Sign: ', ''),
        id: operation.id,
      })),
  );

  protected readonly ticks = computed(() => {
    const total = this.total();
    const now = new Date();
    const every = TICKS.find((minutes) => total / minutes <= MOST_TICKS) ?? 1_440;
    return Array.from({ length: Math.floor(total / every) + 1 }, (_, index) => ({
      left: ((index * every) / total) * 100,
      words: this.written.time(clockAt(index * every, now, this.day())),
    }));
  });

  /** Where the shop closes over night. */
  protected readonly nights = computed(() => {
    const now = new Date();
    const total = this.total();
    const nights: { left: number; words: string }[] = [];
    const day = this.day();
    for (let minutes = closesAfter(0, now, day); minutes < total; minutes = closesAfter(minutes + 1, now, day))
      nights.push({ left: (minutes / total) * 100, words: format(clockAt(minutes + 1, now, day), 'EEE') });
    return nights;
  });

  /** The machine’s height as a path in a box of 100 by 20. */
  protected readonly line = computed(() => {
    const y = (height: string) => (height === 'raised' ? 3 : 17);
    let height: string = this.startHeight();
    let path = `M0 ${y(height)}`;
    for (const step of this.schedule().steps) {
      if (step.height === height) continue;
      height = step.height;
      path += ` H${(step.startMin / this.total()) * 100} V${y(height)}`;
    }
    return `${path} H100`;
  });

  protected readonly description = computed(() => {
    const { steps, costs } = this.schedule();
    const holds = steps.filter(({ operation }) => operation.kind === 'hold-point').length;
    return `${several(this.people().length, 'person', 'people')}, ${duration(costs.finishMin)}, the machine moved up or down ${several(costs.heightChanges, 'time')}, ${several(holds, 'hold point')}.`;
  });
}

function staysOf(steps: readonly ScheduledStep[], total: number, when: (minutes: number) => string): readonly Stay[] {
  const runs: ScheduledStep[][] = [];
  for (const step of steps) {
    const last = runs.at(-1)?.at(-1);
    const goesOn =
      last &&
      last.operation.kind !== 'wait' &&
      last.operation.station === step.operation.station &&
      last.height === step.height &&
      last.people.length === step.people.length &&
      step.startMin - last.endMin < 0.5;
    if (goesOn) runs.at(-1)?.push(step);
    else runs.push([step]);
  }
  return runs.flatMap((run): readonly Stay[] => {
    const [first, last] = [run[0], run.at(-1)];
    if (!first || !last) return [];
    const width = ((last.endMin - first.startMin) / total) * 100;
    const waits = first.operation.kind === 'wait';
    const where = waits ? first.operation.title : STATION_WORDS[first.operation.station];
    const together = first.people.length > 1;
    return [
      {
        left: (first.startMin / total) * 100,
        width,
        together,
        waits,
        first: first.operation.id,
        label: width > 5 ? where : '',
        words: `${where}${waits ? '' : `, ${HEIGHT_WORDS[first.height]}`}, ${when(first.startMin)}, for ${duration(last.endMin - first.startMin)}${waits ? '' : `: ${several(run.length, 'step')}${together ? ', two together' : ''}`}`,
      },
    ];
  });
}
