import { HttpResponse, type HttpInterceptorFn } from '@angular/common/http';
import { computed, inject, Injectable, signal } from '@angular/core';
import { tap } from 'rxjs';

/** Less than this is the line, and the second that the server rounds to. */
const AGREES_MS = 2 * 60_000;

/** One time for the whole shed, the server’s: a device whose clock is wrong records by it all the same. */
@Injectable({ providedIn: 'root' })
export class ShedClock {
  private readonly behindMs = signal(0);

  /** How far this device’s clock is off, in whole minutes, ahead above nought; undefined where it agrees. */
  readonly offMin = computed(() => {
    const behindMs = this.behindMs();
    return behindMs === 0 ? undefined : Math.round(-behindMs / 60_000);
  });

  /** The server said what time it is. */
  heard(date: string | null): void {
    const atMs = Date.parse(date ?? '');
    if (Number.isNaN(atMs)) return;
    const behindMs = atMs - Date.now();
    this.behindMs.set(Math.abs(behindMs) < AGREES_MS ? 0 : behindMs);
  }

  /** Now, as the shed has it. */
  now(): Date {
    return new Date(Date.now() + this.behindMs());
  }
}

/** Hears the time from every answer that comes from the server itself. */
export const hearsTime: HttpInterceptorFn = (request, next) => {
  const clock = inject(ShedClock);
  // What the service worker may have kept tells what time it was.
  if (request.method === 'GET' && !request.headers.has('ngsw-bypass')) return next(request);
  return next(request).pipe(
    tap((answer) => {
      if (answer instanceof HttpResponse) clock.heard(answer.headers.get('date'));
    }),
  );
};
