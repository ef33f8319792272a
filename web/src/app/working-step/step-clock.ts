import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { clockOf, type JobState } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { duration } from '@brisk/core/words';
import { map, timer } from 'rxjs';
import { Desk } from '../session/desk';
import { House } from '../session/house';
import { StepActions } from './step-actions';
import { Recorder } from '../session/recorder';

const TICK_MS = 10_000;

/** How long somebody has been at the step, against what it takes; it runs by itself and stands over breaks. */
@Component({
  selector: 'bl-step-clock',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let now = clock();
    @if (now.paused) {
      <p class="paused"><strong>On a break.</strong> The clock stands.</p>
    } @else {
      <p>
        <span class="figure" [class.over]="now.minutes > operation().minutes.high">{{ minutes() }}</span> min at it
        <span class="soft">of {{ usual() }}</span>
      </p>
    }
    <button matButton type="button" (click)="recorder.rest()">
      {{ now.paused ? 'Back to work' : 'Break' }}
    </button>
  `,
  styles: `
    :host {
      display: flex;
      align-items: center;
      flex-wrap: wrap;
      gap: 0 0.9rem;
    }
    .figure {
      font-size: 1.375rem;
      font-weight: 700;
    }
    .over {
      color: var(--marker);
    }
    .paused strong {
      color: var(--marker);
    }
  `,
})
export class StepClock {
  readonly state = input.required<JobState>();
  readonly operation = input.required<Operation>();
  private readonly actions = inject(StepActions);
  protected readonly recorder = inject(Recorder);
  private readonly desk = inject(Desk);
  private readonly house = inject(House);
  private readonly openedMs = Date.now();
  private readonly nowMs = toSignal(timer(0, TICK_MS).pipe(map(() => Date.now())), { initialValue: Date.now() });

  protected readonly clock = computed(() =>
    clockOf(this.state(), this.desk.me(), this.openedMs, Math.max(this.nowMs(), this.openedMs)),
  );
  protected readonly minutes = computed(() => Math.floor(this.clock().minutes));

  /** What the map says, and what it takes in this shop where that is known. */
  protected readonly usual = computed(() => {
    const { likely } = this.operation().minutes;
    const own = this.house.knowledge().minutes[this.operation().id];
    return own && own.times > 0
      ? `${duration(likely)}; here it took ${duration(own.ownMin)}, ${own.times}×`
      : duration(likely);
  });

  constructor() {
    effect(() => this.actions.stepMinutes.set(this.clock().minutes));
  }
}
