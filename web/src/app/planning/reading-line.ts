import { Observable } from 'rxjs';

/** An instrument is taken as silent when nothing came for so long, in ms. */
const SILENT_MS = 3_000;

/** Something an instrument did that is no reading; `message` is for the crew. */
export class LineTrouble extends Error {
  override readonly name = 'LineTrouble';
}

/** What is said when an instrument falls silent, and when it sends what is no reading. */
export interface LineWords {
  readonly silent: string;
  readonly rubbish: string;
}

/**
 * Readings that come from `address` as server-sent events, until nobody listens; `readingIn` reads one, or gives nothing.
 * A line that is lost is taken up again by itself, from the reading after the last; while nobody sees the page it rests. Fails
 * with {@link LineTrouble} when the instrument is refused, stays silent or sends rubbish.
 */
export function readingsFrom<Reading>(
  address: string,
  readingIn: (text: string) => Reading | undefined,
  words: LineWords,
): Observable<Reading> {
  return new Observable((listener) => {
    let source: EventSource | undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let last = '';
    const silent = () => listener.error(new LineTrouble(words.silent));
    const wait = () => {
      clearTimeout(timer);
      timer = setTimeout(silent, SILENT_MS);
    };
    const rest = () => {
      clearTimeout(timer);
      source?.close();
      source = undefined;
    };
    const listen = () => {
      if (source) return;
      // Past the service worker: a line that goes through it outlives its page.
      const query = `ngsw-bypass=true${last === '' ? '' : `&after=${last}`}`;
      source = new EventSource(`${address}${address.includes('?') ? '&' : '?'}${query}`);
      wait();
      source.onmessage = ({ data, lastEventId }) => {
        wait();
        last = lastEventId;
        const reading = readingIn(String(data));
        if (reading) listener.next(reading);
        else listener.error(new LineTrouble(words.rubbish));
      };
      // The browser asks again by itself, unless it was sent away.
      source.onerror = () => {
        if (source?.readyState === EventSource.CLOSED) silent();
      };
    };
    const look = () => (document.visibilityState === 'visible' ? listen() : rest());
    look();
    document.addEventListener('visibilitychange', look);
    window.addEventListener('pagehide', rest);
    window.addEventListener('pageshow', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      window.removeEventListener('pagehide', rest);
      window.removeEventListener('pageshow', look);
      rest();
    };
  });
}

/** What `text` is as JSON, where it is a record. */
export function recordIn(text: string): Readonly<Record<string, unknown>> | undefined {
  try {
    const sent: unknown = JSON.parse(text);
    return typeof sent === 'object' && sent !== null ? (sent as Record<string, unknown>) : undefined;
  } catch {
    return undefined;
  }
}
