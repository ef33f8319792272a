import { signal } from '@angular/core';
import { HttpErrorResponse } from '@angular/common/http';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { TimeoutError, timer } from 'rxjs';
import { problemWords } from '../api/problem-words';

/** What waits and could not be sent for so long is told of. */
const TOLD_AFTER_MS = 20_000;
const LOOK_EVERY_MS = 2_000;
const NO_ANSWER = 'The server takes what is sent and does not answer.';

/** Said anew every ten seconds: whoever listens to the page is not talked over. */
const same = (one?: Stalled, other?: Stalled) => one?.seconds === other?.seconds && one?.why === other?.why;

/** That what waits on this device does not get through: for how long, and why. */
export interface Stalled {
  readonly seconds: number;
  readonly why: string;
}

/** Watches whether what waits on this device gets through. */
export class SendWatch {
  private sinceMs: number | undefined;
  private why = NO_ANSWER;
  /** Set while nothing gets through. */
  readonly stalled = signal<Stalled | undefined>(undefined, { equal: same });

  /** Looks every other second from now on how many are `waiting`. Call within an injection context. */
  watch(waiting: () => number): void {
    timer(0, LOOK_EVERY_MS)
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.look(waiting(), Date.now()));
  }

  /** Something got through. */
  moved(): void {
    this.sinceMs = undefined;
    this.why = NO_ANSWER;
    this.stalled.set(undefined);
  }

  /** A try to send failed with `error`. */
  failed(error: unknown): void {
    if (error instanceof TimeoutError) this.why = NO_ANSWER;
    else if (error instanceof HttpErrorResponse) this.why = problemWords(error);
  }

  /** Looks whether `waiting` entries still wait at `nowMs`. */
  look(waiting: number, nowMs: number): void {
    if (waiting === 0) return this.moved();
    this.sinceMs ??= nowMs;
    const forMs = nowMs - this.sinceMs;
    if (forMs >= TOLD_AFTER_MS) this.stalled.set({ seconds: Math.floor(forMs / 10_000) * 10, why: this.why });
  }
}
