import { signal } from '@angular/core';

/** Moves that are shown in one second. */
const MOVES_A_SECOND = 0.9;

/** Plays the moves of a way: where along them it is, forwards and backwards by hand, or by itself. */
export class WayPlayer {
  /** How many moves are done, with what part of the next. */
  readonly at = signal(0);
  readonly playing = signal(false);

  constructor(
    private readonly count: () => number,
    private readonly littleMotion = () => matchMedia('(prefers-reduced-motion: reduce)').matches,
  ) {}

  /** Goes to a place of the way and stays there. */
  goTo(at: number): void {
    this.playing.set(false);
    this.at.set(at);
  }

  /** Forwards or backwards to the next whole move. */
  step(by: 1 | -1): void {
    const next = by === 1 ? Math.floor(this.at() + 1) : Math.ceil(this.at() - 1);
    this.goTo(Math.min(Math.max(0, next), this.count()));
  }

  /** Begins to play, from the start where it is at its end, or stops. Whoever wants little motion sees where moves end. */
  toggle(): void {
    if (this.playing()) {
      this.playing.set(false);
      return;
    }
    const last = this.count();
    if (this.at() >= last) this.at.set(0);
    this.playing.set(true);
    const leaps = this.littleMotion();
    let before = performance.now();
    const frame = (now: number) => {
      if (!this.playing()) return;
      const by = ((now - before) / 1_000) * MOVES_A_SECOND;
      if (!leaps || by >= 1) {
        before = now;
        this.at.update((at) => Math.min(last, leaps ? Math.floor(at + 1) : at + by));
      }
      if (this.at() >= last) this.playing.set(false);
      else requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }
}
