import { signal } from '@angular/core';
import type { SomebodyHere } from '@brisk/contracts/here';
import { filter, fromEvent, merge, Subject, switchMap, timer, type Observable } from 'rxjs';
import type { Api } from '../api/api';
import { DEAD_AFTER_MS, type Ring } from '../api/bell-line';

/** Without the bell somebody looks so often; with it, only so often, in case it was not heard. */
const LOOK_EVERY_MS = 4_000;
const LOOK_WITH_BELL_MS = 30_000;

/** What this device has of a job. */
export interface Has {
  /** Whether the server is reached, as far as is known. */
  readonly up: boolean;
  /** Absent before the job is loaded. */
  readonly position: number | undefined;
  readonly revision: number;
}

/** Looks out for what others record on a job: by its bell, and every so often in case that is not heard. */
export class Lookout {
  private readonly bellOf = new Subject<string>();
  /** When the bell was heard last; absent where its line is lost. */
  private heardAt: number | undefined;
  private lookedAt = 0;
  /** Who is at this job, on every device that says so. */
  readonly here = signal<readonly SomebodyHere[]>([]);

  constructor(private readonly api: Api) {}

  /** Listens to the bell of job `id`, and to no other. */
  listenTo(id: string): void {
    this.heardAt = undefined;
    this.here.set([]);
    this.bellOf.next(id);
  }

  /** When to ask the server for what is new, by what this device `has` then. */
  timesToLook(has: () => Has): Observable<unknown> {
    const visible = () => document.visibilityState === 'visible';
    return merge(
      timer(LOOK_EVERY_MS, LOOK_EVERY_MS).pipe(filter(() => visible() && this.isTimeToLook(has()))),
      this.bellOf.pipe(
        switchMap((id) => this.api.bell(id)),
        filter((ring) => this.isNews(ring, has())),
      ),
      fromEvent(window, 'online'),
      fromEvent(document, 'visibilitychange').pipe(filter(visible)),
    );
  }

  /** Whether what the server has is not what this device has. */
  private isNews(ring: Ring, has: Has): boolean {
    this.heardAt = ring === 'lost' ? undefined : Date.now();
    if (ring === 'beat') return !has.up;
    if (ring === 'lost') this.here.set([]);
    if (typeof ring === 'string') return true;
    this.here.set(ring.here ?? []);
    return !has.up || has.position !== ring.position || has.revision !== ring.revision;
  }

  /** Who hears the bell looks seldom by himself; who does not, or has lost the server, every few seconds. */
  private isTimeToLook({ up }: Has): boolean {
    const now = Date.now();
    const hears = this.heardAt !== undefined && now - this.heardAt < DEAD_AFTER_MS;
    if (hears && up && now - this.lookedAt < LOOK_WITH_BELL_MS) return false;
    this.lookedAt = now;
    return true;
  }
}
