import { computed, effect, inject, Injectable, PendingTasks, signal, untracked, type Signal } from '@angular/core';

/** A page that nobody sees draws nothing; what waits for it is done all the same. */
const UNSEEN_MS = 400;

/** What may wait until what a touch has changed is on the screen. */
@Injectable({ providedIn: 'root' })
export class Drawn {
  private readonly pending = inject(PendingTasks);

  /** Does `act` once the page is drawn `times` times from now. Returns how to call it off. */
  then(act: () => void, times = 1): () => void {
    const done = this.pending.add();
    let frame = 0;
    let timer: ReturnType<typeof setTimeout>;
    const stop = () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
      done();
    };
    const finish = () => {
      stop();
      act();
    };
    const wait = (left: number) => {
      frame = requestAnimationFrame(() => {
        clearTimeout(timer);
        // A frame is drawn once all that was asked to be called before it has been.
        timer = setTimeout(left > 1 ? () => wait(left - 1) : finish);
      });
      timer = setTimeout(finish, UNSEEN_MS);
    };
    wait(times);
    return stop;
  }
}

/**
 * What `source` is, taken on `times` drawings later, so that what a touch asks for is drawn first and by itself. Call within an
 * injection context.
 */
export function drawnAfter<Value>(source: Signal<Value>, times = 1): Signal<Value> {
  const drawn = inject(Drawn);
  const taken = signal<{ readonly value: Value } | undefined>(undefined);
  effect((onCleanup) => {
    const value = source();
    if (untracked(taken) === undefined) taken.set({ value });
    else if (untracked(taken)?.value !== value) onCleanup(drawn.then(() => taken.set({ value }), times));
  });
  return computed(() => {
    const known = taken();
    return known ? known.value : source();
  });
}
