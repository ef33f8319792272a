import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { LONGEST_BURST_S, SHORTEST_REST_S } from '@brisk/core/first-start';

const TICK_MS = 100;
/** So long before its end a burst is counted down aloud. */
const SOON_S = 3;

/** One burst by the clock: a large key to begin and to end it, loud when it is over its seconds; then the rest counted down. */
@Component({
  selector: 'bl-burst-clock',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (crankedS() === undefined) {
      @if (restS() > 0) {
        <p class="says" role="timer">
          <span class="figure">{{ restS() }}</span> s rest for the starter
        </p>
      }
      <button matButton="filled" type="button" class="key" (click)="begin()">Clock a burst</button>
    } @else {
      <p class="says" [class.stop]="over()" role="alert">
        @if (over()) {
          Stop cranking: <span class="figure">{{ whole() }}</span> s
        } @else if (soon()) {
          <span class="figure">{{ leftS() }}</span> … let go
        } @else {
          <span class="figure">{{ whole() }}</span> s of {{ longest }}
        }
      </p>
      <button matButton="filled" type="button" class="key" (click)="end()">It stands, or it runs</button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
    }
    .says {
      margin: 0;
      padding: 0.3rem 0.8rem;
      background: var(--sheet-sunk);
      font: 600 1.75rem/1.2 var(--display);
    }
    .stop {
      background: var(--marker);
      color: var(--on-marker);
    }
    .key {
      flex: 1 1 14rem;
      min-height: 72px;
      font-size: 1.375rem;
    }
  `,
})
export class BurstClock {
  /** When the last burst was recorded, so that the rest counts on after a reload. */
  readonly restFrom = input<string | null>();
  /** Seconds of a burst that has ended. */
  readonly clocked = output<number>();
  protected readonly longest = LONGEST_BURST_S;

  private readonly now = signal(Date.now());
  private readonly began = signal<number | undefined>(undefined);
  private readonly ended = signal<number | undefined>(undefined);
  protected readonly crankedS = computed(() => {
    const began = this.began();
    return began === undefined ? undefined : Math.max(0, (this.now() - began) / 1_000);
  });
  protected readonly whole = computed(() => Math.floor(this.crankedS() ?? 0));
  protected readonly over = computed(() => (this.crankedS() ?? 0) >= LONGEST_BURST_S);
  protected readonly soon = computed(() => !this.over() && (this.crankedS() ?? 0) >= LONGEST_BURST_S - SOON_S);
  protected readonly leftS = computed(() => Math.ceil(LONGEST_BURST_S - (this.crankedS() ?? 0)));
  protected readonly restS = computed(() => {
    const from = Math.max(this.ended() ?? 0, Date.parse(this.restFrom() ?? '') || 0);
    return Math.max(0, Math.ceil(SHORTEST_REST_S - (this.now() - from) / 1_000));
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.ticking));
    // What a reload broke off counts on.
    afterNextRender(() => this.tick());
  }

  private ticking: ReturnType<typeof setTimeout> | undefined;

  /** Goes on as long as there is something to count. */
  private tick(): void {
    clearTimeout(this.ticking);
    this.now.set(Date.now());
    if (this.crankedS() !== undefined || this.restS() > 0) this.ticking = setTimeout(() => this.tick(), TICK_MS);
  }

  protected begin(): void {
    this.began.set(Date.now());
    this.tick();
  }

  protected end(): void {
    const began = this.began();
    if (began === undefined) return;
    this.began.set(undefined);
    this.ended.set(Date.now());
    this.tick();
    this.clocked.emit(Math.max(1, Math.round((Date.now() - began) / 1_000)));
  }
}
