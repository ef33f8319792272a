import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { soakingSteps, type JobState } from '@brisk/core/ledger';
import type { WorkPhase } from '@brisk/core/teardown';
import { duration } from '@brisk/core/words';
import { map, timer } from 'rxjs';
import { Selection } from '../session/selection';

const TICK_MS = 10_000;

/** Stuck steps that soak: how long yet, and which can be tried again. */
@Component({
  selector: 'bl-soaking-list',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of soaking(); track one.id) {
      <div [class.ready]="one.ready" [attr.role]="one.ready ? 'status' : null">
        <p>
          @if (one.ready) {
            <strong>Soaked. Try again:</strong> {{ one.title }}
          } @else {
            <span class="figure">{{ one.left }}</span> to soak: {{ one.title }}
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
    .ready {
      border-color: var(--marker);
      background: var(--marker-soft);
    }
  `,
})
export class SoakingList {
  readonly state = input.required<JobState>();
  readonly phases = input.required<readonly WorkPhase[]>();
  protected readonly selection = inject(Selection);
  private readonly nowMs = toSignal(timer(0, TICK_MS).pipe(map(() => Date.now())), { initialValue: Date.now() });

  protected readonly soaking = computed(() =>
    soakingSteps(this.state())
      .filter(({ operation }) => this.phases().includes(operation.phase) && operation.id !== this.selection.hand())
      .map(({ operation: { id, title }, readyMs }) => {
        const minutes = Math.ceil((readyMs - this.nowMs()) / 60_000);
        return { id, title, ready: minutes <= 0, left: duration(Math.max(1, minutes)) };
      }),
  );
}
