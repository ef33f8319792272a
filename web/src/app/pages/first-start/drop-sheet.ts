import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { cylinderDrop } from '@brisk/core/diagnosis';
import { several, figureIn } from '@brisk/core/words';
import { EntryField } from '../../ui/entry-field';

const MOST_CYLINDERS = 16;
const MOST_RPM = 5_000;

/** What unplugging each cylinder in turn came to, with the answer it makes. */
export interface DropRead {
  readonly answer: 'all' | 'one';
  readonly note: string;
}

/** The cylinder drop with figures: revolutions lost as each cylinder is unplugged in turn, and which does next to nothing. */
@Component({
  selector: 'bl-drop-sheet',
  imports: [EntryField, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">By ear: answer above. With a rev counter: what is lost as each is unplugged.</p>
    <div class="cylinders">
      @for (lost of shown(); track $index) {
        <bl-entry
          type="figure"
          [label]="'Cylinder ' + ($index + 1)"
          unit="rpm"
          [field]="'lost-' + ($index + 1)"
          [value]="lost"
          (typed)="write($index, $event)"
        />
      }
    </div>
    <div class="row">
      <button matButton type="button" [disabled]="count() <= 2" (click)="resize(-1)">One cylinder less</button>
      <button matButton type="button" [disabled]="count() >= most" (click)="resize(1)">One more</button>
    </div>
    @if (read(); as read) {
      <p role="status">
        <strong>{{ read.note }}</strong>
      </p>
      <button matButton="filled" type="button" (click)="answered.emit(read)">Write it down</button>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      padding: 0.6rem 0.8rem;
      border: 1px solid var(--line);
    }

    .cylinders {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
      gap: 0.5rem;
    }

    p {
      margin: 0;
    }
  `,
})
export class DropSheet {
  /** How many cylinders it has, as far as the map says. */
  readonly cylinders = input(4);
  readonly answered = output<DropRead>();
  protected readonly most = MOST_CYLINDERS;
  private readonly more = signal(0);
  private readonly lost = signal<readonly string[]>([]);
  protected readonly count = computed(() => Math.max(2, Math.min(MOST_CYLINDERS, this.cylinders() + this.more())));
  protected readonly shown = computed(() => Array.from({ length: this.count() }, (_, at) => this.lost()[at] ?? ''));
  protected readonly read = computed((): DropRead | undefined => {
    const figures = this.shown().map(speedIn);
    const drop = cylinderDrop(figures);
    if (!drop) return undefined;
    const said = figures.flatMap((rpm, at) => (rpm === undefined ? [] : [`${at + 1}: ${rpm}`])).join(', ');
    const { answer, least } = drop;
    return {
      answer,
      note: `${least.length === 0 ? 'Every cylinder does its part' : `${several(least.length, 'cylinder')} next to nothing: ${least.join(', ')}`} (rpm lost: ${said})`,
    };
  });

  protected write(at: number, text: string): void {
    this.lost.update((lost) =>
      Array.from({ length: this.count() }, (_, each) => (each === at ? text : (lost[each] ?? ''))),
    );
  }

  protected resize(by: number): void {
    this.more.update((more) => more + by);
  }
}

function speedIn(text: string): number | undefined {
  const rpm = figureIn(text) ?? NaN;
  return rpm >= 0 && rpm <= MOST_RPM ? rpm : undefined;
}
