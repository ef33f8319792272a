import { DestroyRef, effect, inject, Injectable, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { fromEvent } from 'rxjs';
import { AtTheJob } from './at-the-job';

/** Keeps the screen on while a step is in hand: nobody wakes a tablet with greasy gloves. Where the device cannot, nothing is lost. */
@Injectable()
export class Awake {
  private readonly at = inject(AtTheJob);
  private lock: WakeLockSentinel | undefined;
  private wanted = false;

  constructor() {
    effect(() => {
      this.wanted = this.at.step() !== undefined;
      untracked(() => void this.hold());
    });
    // The device lets go of it whenever the page is not seen.
    fromEvent(document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => void this.hold());
    inject(DestroyRef).onDestroy(() => {
      this.wanted = false;
      void this.hold();
    });
  }

  private async hold(): Promise<void> {
    if (!this.wanted) {
      await this.lock?.release().catch(() => undefined);
      this.lock = undefined;
      return;
    }
    if (document.visibilityState !== 'visible' || this.lock?.released === false || !('wakeLock' in navigator)) return;
    this.lock = await navigator.wakeLock.request('screen').catch(() => undefined);
    // Put down while it was asked for.
    if (!this.wanted) await this.hold();
  }
}
