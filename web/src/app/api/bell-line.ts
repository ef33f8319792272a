import { BEAT_EVERY_MS, type JobRing, type SomebodyHere } from '@brisk/contracts/here';
import { Observable } from 'rxjs';

/** Where ledger and planning of a job stand on the server, and who is at it. */
export interface Stands {
  readonly position: number;
  readonly revision: number;
  readonly here?: readonly SomebodyHere[];
}

/** That the line is there anew, whatever was missed meanwhile; that it is still there; that it was lost. */
export type LineWord = 'opened' | 'beat' | 'lost';

/** What is heard of the bell of one job. */
export type Ring = Stands | LineWord;

/** What is heard of the bell of the shop. */
export type ShopRing = JobRing | LineWord;

/** Past the service worker: a line that goes through it outlives its page. */
const ADDRESS = '/api/bell?ngsw-bypass=true';
/** The pages of one browser that see the shop share a line under this name. */
const SHARED = 'brisk-bell';
/** A line on which nothing was heard for so long is taken for dead: a machine that slept does not notice otherwise. */
export const DEAD_AFTER_MS = 3 * BEAT_EVERY_MS;
/** The server ends each line now and then, and it is there again at once; what takes longer is a loss. */
const LOST_AFTER_MS = 3_000;

/**
 * Rings whenever something is written in the shop, as long as somebody listens and the page is seen. Of all pages of a browser
 * one has the line and tells the others: a browser has six lines to one server. Where pages cannot agree on who has it (no
 * secure context) each page that is seen has its own. Never fails; without a line there is silence.
 */
export function bellOfTheShop(): Observable<ShopRing> {
  return new Observable((listener) => {
    const pages = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(SHARED);
    if (pages) pages.onmessage = ({ data }) => listener.next(data as ShopRing);
    let turn: AbortController | undefined;
    const rest = () => {
      turn?.abort();
      turn = undefined;
    };
    const listen = () => {
      if (turn || document.visibilityState !== 'visible' || typeof EventSource === 'undefined') return;
      const mine = new AbortController();
      turn = mine;
      const tell = (ring: ShopRing) => {
        listener.next(ring);
        pages?.postMessage(ring);
      };
      const haveLine = () => lineUntil(mine.signal, tell);
      // Where it was told to rest before its turn came, the wait ends in an error nobody needs.
      if (globalThis.navigator.locks)
        globalThis.navigator.locks.request(SHARED, { signal: mine.signal }, haveLine).catch(() => undefined);
      else void haveLine();
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
      pages?.close();
    };
  });
}

/** Has the line and hands on what comes, until `off`; a dead line is opened anew. */
function lineUntil(off: AbortSignal, tell: (ring: ShopRing) => void): Promise<void> {
  return new Promise((done) => {
    if (off.aborted) return done();
    let source: EventSource | undefined;
    let heardAt = Date.now();
    /** As it is known to whoever listens. */
    let stands: 'not yet' | 'there' | 'broken' | 'lost' = 'not yet';
    let losing: ReturnType<typeof setTimeout> | undefined;
    const hear = (ring: ShopRing) => {
      heardAt = Date.now();
      clearTimeout(losing);
      if (stands !== 'there') tell('opened');
      stands = 'there';
      tell(ring);
    };
    const breaks = () => {
      if (stands !== 'there') return;
      stands = 'broken';
      losing = setTimeout(() => {
        stands = 'lost';
        tell('lost');
      }, LOST_AFTER_MS);
    };
    const open = () => {
      source?.close();
      heardAt = Date.now();
      source = new EventSource(ADDRESS);
      source.onmessage = ({ data }) => {
        const ring = ringIn(String(data));
        if (ring) hear(ring);
      };
      source.addEventListener('beat', () => hear('beat'));
      // The browser asks again by itself, often while the server is away.
      source.onerror = breaks;
    };
    open();
    const watch = setInterval(() => {
      if (Date.now() - heardAt < DEAD_AFTER_MS) return;
      breaks();
      open();
    }, BEAT_EVERY_MS / 2);
    off.addEventListener('abort', () => {
      clearInterval(watch);
      clearTimeout(losing);
      source?.close();
      done();
    });
  });
}

function ringIn(text: string): JobRing | undefined {
  try {
    const { job, position, revision, here } = JSON.parse(text) as Partial<JobRing>;
    return typeof job === 'string' && Number.isInteger(position) && Number.isInteger(revision)
      ? { job, position: position ?? 0, revision: revision ?? 0, here: Array.isArray(here) ? here : [] }
      : undefined;
  } catch {
    return undefined;
  }
}
