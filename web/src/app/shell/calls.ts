import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { openCalls, type Call } from '@brisk/core/ledger';
import { Desk } from '../session/desk';
import { Written } from '../ui/written';
import { Recorder } from '../session/recorder';

/** So long who called is shown that somebody comes. */
const SHOWN_MS = 15 * 60_000;
const CALL_BUZZ_MS = [200, 100, 200];

/** What is called for from step to step: others’ calls, one’s own, and who comes. */
@Component({
  selector: 'bl-calls',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (call of open(); track call.entry) {
      <section class="call" role="status" [class.mine]="call.by === desk.me()">
        <p>
          <strong
            >{{ call.by === desk.me() ? 'You called' : call.by + ' calls' }}{{ call.who ? ' ' + call.who : '' }}</strong
          >
          <span class="text">{{ call.text }}</span>
          <span class="soft">{{ call.at }}{{ call.step ? ', at: ' + call.step : '' }}</span>
        </p>
        <button
          [matButton]="call.by === desk.me() ? 'outlined' : 'filled'"
          type="button"
          [attr.aria-label]="(call.by === desk.me() ? 'No longer needed: ' : 'I am on it: ') + call.text"
          (click)="answer(call.entry)"
        >
          {{ call.by === desk.me() ? 'No longer needed' : 'I am on it' }}
        </button>
      </section>
    }
    @for (call of coming(); track call.entry) {
      <section class="call mine" role="status">
        <p>
          <strong>{{ call.answered?.by }} is on it</strong> <span class="text">{{ call.text }}</span>
        </p>
        <button matButton="outlined" type="button" [attr.aria-label]="'Seen: ' + call.text" (click)="see(call.entry)">
          Good
        </button>
      </section>
    }
  `,
  styles: `
    .call {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      justify-content: space-between;
      gap: 0.5rem 1rem;
      border: 2px solid var(--work);
      background: var(--work-soft);
      margin-bottom: 1rem;
      padding: 0.5rem 0.8rem;
    }
    .mine {
      border-width: 1px;
      background: none;
    }
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: baseline;
      gap: 0.25rem 0.75rem;
      margin: 0;
    }
    .text {
      font-size: 1.15rem;
    }
  `,
})
export class Calls {
  private readonly written = inject(Written);
  protected readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly seen = signal<ReadonlySet<string>>(new Set());
  private buzzed: ReadonlySet<string> | undefined;

  protected readonly open = computed(() => {
    const state = this.desk.state();
    if (!state || state.handedOver) return [];
    return openCalls(state).map((call) => ({
      ...call,
      at: this.written.time(call.at),
      step: call.operation === undefined ? '' : (state.work.operations.get(call.operation)?.title ?? ''),
    }));
  });

  /** Own calls that somebody is on, not long ago. */
  protected readonly coming = computed((): readonly Call[] => {
    const state = this.desk.state();
    const me = this.desk.me();
    if (!state) return [];
    return [...state.calls.values()].filter(
      ({ by, answered, entry }) =>
        answered &&
        by === me &&
        answered.by !== me &&
        !this.seen().has(entry) &&
        Date.now() - Date.parse(answered.at) < SHOWN_MS,
    );
  });

  constructor() {
    effect(() => {
      const calls = this.open().filter(
        ({ by, who }) => by !== this.desk.me() && (who ?? this.desk.me()) === this.desk.me(),
      );
      const isNew = this.buzzed && calls.some(({ entry }) => !this.buzzed?.has(entry));
      this.buzzed = new Set(calls.map(({ entry }) => entry));
      if (isNew && 'vibrate' in navigator) navigator.vibrate(CALL_BUZZ_MS);
    });
  }

  protected answer(call: string): void {
    this.recorder.record('Seen to', { kind: 'help-answered', call });
  }

  protected see(call: string): void {
    this.seen.update((before) => new Set([...before, call]));
  }
}
