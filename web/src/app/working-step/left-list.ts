import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { leftToItself, type JobState } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { duration } from '@brisk/core/words';
import { map, timer } from 'rxjs';
import { Selection } from '../session/selection';
import { drawnAfter } from '../ui/drawn';

const TICK_MS = 10_000;

/** What is left to itself, soaking or waiting: how long yet, and what somebody can go on with. */
@Component({
  selector: 'bl-left-list',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of left(); track one.id) {
      <div [class.ready]="one.ready" [attr.role]="one.ready ? 'status' : null">
        <p>
          @if (one.ready) {
            <strong>{{ one.soaks ? 'Soaked. Try again:' : 'Time is up:' }}</strong> {{ one.title }}
          } @else {
            <span class="figure">{{ one.left }}</span> {{ one.soaks ? 'to soak:' : 'yet:' }} {{ one.title }}
          }
        </p>
        <button matButton type="button" (click)="selection.take(one.id)">Take it</button>
      </div>
    }
  `,
  styles: `
    div {
      display: flex;
      align-items: center;
      justify-content: space-between;
      gap: 0.75rem;
      padding: 0 0.8rem;
      border-left: 6px solid var(--line);
      background: var(--sheet-sunk);
      margin-bottom: 0.35rem;
    }
    button {
      flex: none;
    }
    .ready {
      border-color: var(--marker);
      background: var(--marker-soft);
    }
  `,
})
export class LeftList {
  readonly state = input.required<JobState>();
  readonly phases = input.required<readonly WorkPhase[]>();
  /** The step on the large card, which says so itself. */
  readonly inHand = input<string>();
  protected readonly selection = inject(Selection);
  private readonly nowMs = toSignal(timer(0, TICK_MS).pipe(map(() => Date.now())), { initialValue: Date.now() });

  private readonly drawn = drawnAfter(this.state);
  protected readonly left = computed(() =>
    leftToItself(this.drawn())
      .filter(({ operation: { id, phase } }) => this.phases().includes(phase) && id !== this.inHand())
      .map(({ operation: { id, title }, readyMs, struggle }) => {
        const minutes = Math.ceil((readyMs - this.nowMs()) / 60_000);
        return {
          id,
          title,
          soaks: struggle !== undefined,
          ready: minutes <= 0,
          left: duration(Math.max(1, minutes)),
        };
      }),
  );
}
