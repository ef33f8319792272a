import { bellOf, type Ring } from './bell-line';

class Source {
  static all: Source[] = [];
  onmessage: ((event: { readonly data: string }) => void) | undefined;
  onerror: (() => void) | undefined;
  closed = false;
  constructor(readonly address: string) {
    Source.all.push(this);
  }
  close(): void {
    this.closed = true;
  }
}

describe('the bell of a job', () => {
  const before = globalThis.EventSource;
  beforeEach(() => {
    Source.all = [];
    Object.assign(globalThis, { EventSource: Source });
  });
  afterEach(() => {
    Object.assign(globalThis, { EventSource: before });
    Object.defineProperty(document, 'visibilityState', { value: 'visible', configurable: true });
  });
  const seen = (state: 'visible' | 'hidden') => {
    Object.defineProperty(document, 'visibilityState', { value: state, configurable: true });
    document.dispatchEvent(new Event('visibilitychange'));
  };
  const listen = () => {
    const heard: Ring[] = [];
    const ears = bellOf('a/b').subscribe((ring) => heard.push(ring));
    return { heard, ears };
  };

  it('tells where things stand, passes over what is none, and says once that its line is lost', () => {
    const { heard, ears } = listen();
    const [source] = Source.all;
    expect(source?.address).toBe('/api/jobs/a%2Fb/bell');
    source?.onerror?.();
    source?.onmessage?.({ data: '{"position":3,"revision":1}' });
    source?.onmessage?.({ data: 'ding' });
    source?.onmessage?.({ data: '{"position":"3"}' });
    source?.onerror?.();
    source?.onerror?.();
    source?.onmessage?.({ data: '{"position":4,"revision":1}' });
    expect(heard).toEqual([{ position: 3, revision: 1 }, 'lost', { position: 4, revision: 1 }]);
    ears.unsubscribe();
    expect(source?.closed).toBe(true);
  });

  it('is not listened to while nobody sees the page', () => {
    const { ears } = listen();
    seen('hidden');
    expect(Source.all.map(({ closed }) => closed)).toEqual([true]);
    seen('visible');
    expect(Source.all.map(({ closed }) => closed)).toEqual([true, false]);
    ears.unsubscribe();
  });
});
