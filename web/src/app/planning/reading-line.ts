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
 * A line that is lost is taken up again by itself, from the reading after the last. Fails with {@link LineTrouble} when the
 * instrument is refused, stays silent or sends rubbish.
 */
export function readingsFrom<Reading>(
  address: string,
  readingIn: (text: string) => Reading | undefined,
  words: LineWords,
): Observable<Reading> {
  return new Observable((listener) => {
    const source = new EventSource(address);
    const silent = () => listener.error(new LineTrouble(words.silent));
    let timer = setTimeout(silent, SILENT_MS);
    source.onmessage = ({ data }) => {
      clearTimeout(timer);
      timer = setTimeout(silent, SILENT_MS);
      const reading = readingIn(String(data));
      if (reading) listener.next(reading);
      else listener.error(new LineTrouble(words.rubbish));
    };
    // The browser asks again by itself, unless it was sent away.
    source.onerror = () => {
      if (source.readyState === EventSource.CLOSED) silent();
    };
    return () => {
      clearTimeout(timer);
      source.close();
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
