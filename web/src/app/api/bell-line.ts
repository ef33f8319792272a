import type { SomebodyHere } from '@brisk/contracts/here';
import { Observable } from 'rxjs';

/** Where ledger and planning of a job stand on the server, and who is at it. */
export interface Stands {
  readonly position: number;
  readonly revision: number;
  readonly here?: readonly SomebodyHere[];
}

/** What is heard of a bell: where things stand, or that its line was lost. */
export type Ring = Stands | 'lost';

/**
 * Rings from the server whenever something is written to `job`, as long as somebody listens and the page is seen: a browser has
 * few lines to one server, and a page nobody looks at needs none. Never fails; without a line there is silence.
 */
export function bellOf(job: string): Observable<Ring> {
  return new Observable((listener) => {
    let source: EventSource | undefined;
    let heard = false;
    const hear = () => {
      const seen = document.visibilityState === 'visible';
      if (seen && !source && typeof EventSource !== 'undefined') {
        source = new EventSource(`/api/jobs/${encodeURIComponent(job)}/bell`);
        source.onmessage = ({ data }) => {
          const stands = standsIn(String(data));
          heard ||= stands !== undefined;
          if (stands) listener.next(stands);
        };
        // The browser asks again by itself, often while the server is away: that it is lost is said once.
        source.onerror = () => {
          if (heard) listener.next('lost');
          heard = false;
        };
      } else if (!seen) {
        source?.close();
        source = undefined;
      }
    };
    hear();
    document.addEventListener('visibilitychange', hear);
    return () => {
      document.removeEventListener('visibilitychange', hear);
      source?.close();
    };
  });
}

function standsIn(text: string): Stands | undefined {
  try {
    const { position, revision, here } = JSON.parse(text) as Partial<Stands>;
    return Number.isInteger(position) && Number.isInteger(revision)
      ? { position: position ?? 0, revision: revision ?? 0, ...(Array.isArray(here) ? { here } : {}) }
      : undefined;
  } catch {
    return undefined;
  }
}
