import { readingIn, ScaleLine } from './scale-line';

describe('what a scale sends', () => {
  it.each([
    ['{"kg":312,"atMs":400,"simulated":true}', { kg: 312, atMs: 400 }],
    ['{"kg":"312","atMs":400}', undefined],
    ['{"kg":-3,"atMs":400}', undefined],
    ['{"kg":1e9,"atMs":400}', undefined],
    ['null', undefined],
    ['snow', undefined],
  ])('%s', (text, reading) => expect(readingIn(text)).toEqual(reading));
});

describe('the line to the scale', () => {
  class Source {
    static readonly CLOSED = 2;
    static last: Source;
    readyState = 1;
    onmessage: ((event: { readonly data: string }) => void) | undefined;
    onerror: (() => void) | undefined;
    closed = false;
    constructor(readonly address: string) {
      Source.last = this;
    }
    close(): void {
      this.closed = true;
    }
  }
  const listen = () => {
    const heard: (number | string)[] = [];
    const ears = new ScaleLine().readings(300, 'snag').subscribe({
      next: ({ kg }) => heard.push(kg),
      error: (error: Error) => heard.push(error.message),
    });
    return { heard, ears, source: Source.last };
  };
  const before = globalThis.EventSource;
  beforeEach(() => {
    jest.useFakeTimers();
    Object.assign(globalThis, { EventSource: Source });
  });
  afterEach(() => {
    jest.useRealTimers();
    Object.assign(globalThis, { EventSource: before });
  });

  it('hands readings on until nobody listens', () => {
    const { heard, ears, source } = listen();
    expect(source.address).toBe('/api/simulated-crane-scale?kg=300&mode=snag&ngsw-bypass=true');
    source.onmessage?.({ data: '{"kg":10,"atMs":0}' });
    source.onmessage?.({ data: '{"kg":20,"atMs":200}' });
    ears.unsubscribe();
    expect(heard).toEqual([10, 20]);
    expect(source.closed).toBe(true);
  });

  it('says in words when it sends rubbish, breaks off or falls silent', () => {
    const rubbish = listen();
    rubbish.source.onmessage?.({ data: '{}' });
    expect(rubbish.heard).toEqual([expect.stringMatching(/no reading/)]);
    expect(rubbish.source.closed).toBe(true);
    const broken = listen();
    broken.source.readyState = Source.CLOSED;
    broken.source.onerror?.();
    expect(broken.heard).toEqual([expect.stringMatching(/nothing any more/)]);
    const lost = listen();
    lost.source.onerror?.();
    lost.source.onmessage?.({ data: '{"kg":30,"atMs":600}' });
    expect(lost.heard).toEqual([30]);
    const silent = listen();
    silent.source.onmessage?.({ data: '{"kg":10,"atMs":0}' });
    jest.advanceTimersByTime(3_100);
    expect(silent.heard).toEqual([10, expect.stringMatching(/nothing any more/)]);
  });
});
