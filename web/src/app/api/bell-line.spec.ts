import { bellOfTheShop, type ShopRing } from './bell-line';

const A_MINUTE_MS = 60_000;

class Source {
  static all: Source[] = [];
  static get open(): readonly Source[] {
    return Source.all.filter(({ closed }) => !closed);
  }
  onmessage: ((event: { readonly data: string }) => void) | undefined;
  onerror: (() => void) | undefined;
  beat: () => void = () => undefined;
  closed = false;
  constructor(readonly address: string) {
    Source.all.push(this);
  }
  addEventListener(_kind: 'beat', heard: () => void): void {
    this.beat = heard;
  }
  close(): void {
    this.closed = true;
  }
}

/** One name for all pages of a browser, as Web Locks have it: who holds it gives it on to whoever waits longest. */
class Locks {
  private tail: Promise<unknown> = Promise.resolve();
  request(_name: string, { signal }: { signal: AbortSignal }, have: () => Promise<void>): Promise<void> {
    const mine = this.tail.then(() => (signal.aborted ? Promise.reject(new Error('aborted')) : have()));
    this.tail = mine.catch(() => undefined);
    return mine;
  }
}
class Channel {
  static all: Channel[] = [];
  onmessage: ((event: { readonly data: unknown }) => void) | undefined;
  constructor() {
    Channel.all.push(this);
  }
  postMessage(data: unknown): void {
    for (const other of Channel.all) if (other !== this) other.onmessage?.({ data });
  }
  close(): void {
    Channel.all = Channel.all.filter((one) => one !== this);
  }
}

const seen = (state: 'visible' | 'hidden') => {
  Object.defineProperty(document, 'visibilityState', { value: state, configurable: true });
  document.dispatchEvent(new Event('visibilitychange'));
};
const turns = () => jest.advanceTimersByTimeAsync(0);
const listen = () => {
  const heard: ShopRing[] = [];
  return { heard, ears: bellOfTheShop().subscribe((ring) => heard.push(ring)) };
};
const ring = (position: number) => ({ job: 'a', position, revision: 1, here: [] });

describe('the bell of the shop', () => {
  const before = { EventSource: globalThis.EventSource, BroadcastChannel: globalThis.BroadcastChannel };
  beforeEach(() => {
    jest.useFakeTimers();
    Source.all = [];
    Channel.all = [];
    Object.assign(globalThis, { EventSource: Source, BroadcastChannel: Channel });
    Object.defineProperty(navigator, 'locks', { value: new Locks(), configurable: true });
  });
  afterEach(() => {
    jest.useRealTimers();
    Object.assign(globalThis, before);
    Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    seen('visible');
  });

  it('goes past the service worker, tells where things stand and passes over what is none', async () => {
    const { heard, ears } = listen();
    await turns();
    const [source] = Source.all;
    expect(source?.address).toMatch(/^\/api\/bell\?ngsw-bypass/);
    source?.beat();
    source?.onmessage?.({ data: JSON.stringify(ring(3)) });
    source?.onmessage?.({ data: 'ding' });
    source?.onmessage?.({ data: '{"job":"a","position":"3"}' });
    expect(heard).toEqual(['opened', 'beat', ring(3)]);
    ears.unsubscribe();
    expect(Source.open).toEqual([]);
  });

  it('is no loss where it is there again at once, only something may have been missed; a loss is told once', async () => {
    const { heard, ears } = listen();
    await turns();
    const [source] = Source.all;
    source?.beat();
    source?.onerror?.();
    await jest.advanceTimersByTimeAsync(500);
    source?.beat();
    expect(heard).toEqual(['opened', 'beat', 'opened', 'beat']);
    source?.onerror?.();
    source?.onerror?.();
    await jest.advanceTimersByTimeAsync(4_000);
    source?.onerror?.();
    source?.beat();
    expect(heard.slice(4)).toEqual(['lost', 'opened', 'beat']);
    ears.unsubscribe();
  });

  it('is heard by all pages over one line, which is given on when the page that has it is left', async () => {
    const one = listen();
    const other = listen();
    await turns();
    expect(Source.open).toHaveLength(1);
    Source.open[0]?.beat();
    expect([one.heard, other.heard]).toEqual([
      ['opened', 'beat'],
      ['opened', 'beat'],
    ]);
    one.ears.unsubscribe();
    await turns();
    expect(Source.open).toHaveLength(1);
    Source.open[0]?.onmessage?.({ data: JSON.stringify(ring(9)) });
    expect(other.heard.at(-1)).toEqual(ring(9));
    expect(one.heard).toHaveLength(2);
    other.ears.unsubscribe();
    await turns();
    expect(Source.open).toEqual([]);
  });

  it('has no more than one line, and hears again after every sleep, in ten hours of a day', async () => {
    const { heard, ears } = listen();
    await turns();
    let sleeps = 0;
    for (let minute = 0; minute < 600; minute += 1) {
      // The machine sleeps for a while every fifty minutes: the line is dead and says nothing of it.
      const asleep = minute % 50 === 49;
      if (asleep) {
        if (sleeps % 2 === 0) seen('hidden');
        jest.setSystemTime(Date.now() + 25 * A_MINUTE_MS);
        seen('visible');
        sleeps += 1;
      }
      for (let part = 0; part < 6; part += 1) {
        await jest.advanceTimersByTimeAsync(A_MINUTE_MS / 6);
        expect(Source.open.length).toBeLessThanOrEqual(1);
        // What was opened before the sleep is deaf.
        if (!asleep || part > 0) Source.open[0]?.beat();
      }
      // The server ends a line once a minute.
      Source.open[0]?.onerror?.();
    }
    expect(sleeps).toBe(12);
    expect(heard.at(-1)).toBe('beat');
    expect(heard.filter((one) => one === 'opened').length).toBeGreaterThan(590);
    ears.unsubscribe();
    expect(Source.open).toEqual([]);
  });

  it('is a line of each page that is seen where pages cannot agree on who has it', async () => {
    Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    const { ears } = listen();
    expect(Source.open).toHaveLength(1);
    seen('hidden');
    expect(Source.open).toEqual([]);
    window.dispatchEvent(new Event('pageshow'));
    expect(Source.open).toEqual([]);
    seen('visible');
    expect(Source.open).toHaveLength(1);
    window.dispatchEvent(new Event('pagehide'));
    expect(Source.open).toEqual([]);
    ears.unsubscribe();
  });
});
