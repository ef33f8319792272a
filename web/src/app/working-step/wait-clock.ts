import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { leftToItself, type JobState } from '@brisk/core/ledger';
import type { Operation } from '@brisk/core/teardown';
import { duration } from '@brisk/core/words';
import { map, timer } from 'rxjs';

const TICK_MS = 10_000;

/** How long a wait in hand has to go, by the record. */
@Component({
  selector: 'bl-wait-clock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (leftMin() > 0) {
      <p>
        <span class="figure">{{ duration(leftMin()) }}</span> yet <span class="soft">of {{ usual() }}</span>
      </p>
    } @else {
      <p class="over"><strong>Time is up.</strong></p>
    }
  `,
  styles: `
    .figure {
      font-size: 2rem;
      font-weight: 700;
    }
    .over strong {
      color: var(--marker);
    }
  `,
})
export class WaitClock {
  readonly state = input.required<JobState>();
  readonly operation = input.required<Operation>();
  protected readonly duration = duration;
  private readonly nowMs = toSignal(timer(0, TICK_MS).pipe(map(() => Date.now())), { initialValue: Date.now() });

  protected readonly usual = computed(() => duration(this.operation().minutes.likely));
  protected readonly leftMin = computed(() => {
    const running = leftToItself(this.state()).find(({ operation }) => operation.id === this.operation().id);
    return running
      ? Math.max(0, Math.ceil((running.readyMs - this.nowMs()) / 60_000))
      : this.operation().minutes.likely;
  });
}
