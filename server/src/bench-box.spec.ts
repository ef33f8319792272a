import { BoxHub } from './bench-box/box-hub.js';
import { eventsFrom, type SentEvent } from './testing/events.js';
import { TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const LINES = { 'content-type': 'application/x-ndjson' };
const line = (atMs: number, more: object = {}) => JSON.stringify({ atMs, volts: 12.4, amps: 0, rpm: 0, ...more });
const sent = (box: string, ...lines: readonly string[]) =>
  server.post<{ readonly taken: number; readonly refused: readonly { readonly line: number }[] }>(
    `/api/bench-boxes/${box}/readings`,
    lines.join('\n'),
    LINES,
  );
const times = (events: readonly SentEvent[]) => events.map(({ data }) => data['atMs']);

describe('the simulated bench box', () => {
  const address = (fault: string) => `${server.address}/api/simulated-bench-box?fault=${fault}`;

  it('sends what it reads, and says that it is simulated', async () => {
    const [first] = await eventsFrom(address('flat-battery'), 1);
    expect(first?.data).toMatchObject({ atMs: 100, amps: 0, rpm: 0, volts: expect.closeTo(11.7, 0), simulated: true });
  });

  it('goes on where the line was lost: no reading lost, none twice, the same engine', async () => {
    const before = await eventsFrom(address('none'), 3);
    const after = await eventsFrom(address('none'), 3, before.at(-1)?.id);
    expect(times([...before, ...after])).toEqual([100, 200, 300, 400, 500, 600]);
    const [run] = before[0]?.id.split('-') ?? [];
    expect(after.every(({ id }) => id.startsWith(`${run}-`))).toBe(true);
  });

  it('refuses a fault it does not have, in words', async () => {
    const answer = await server.get('/api/simulated-bench-box?fault=gremlins');
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain('fault has to be one of none, flat-battery');
  });
});

describe('a real box', () => {
  it('sends lines, is named among those that send, and is read from its first line on', async () => {
    expect(await sent('shed-1', line(100), line(200, { oilBar: 0.4, noise: 3 }))).toMatchObject({
      status: 200,
      body: { taken: 2, refused: [] },
    });
    expect((await server.get('/api/bench-boxes')).body).toEqual([{ box: 'shed-1', readings: 2 }]);
    const events = await eventsFrom(`${server.address}/api/bench-boxes/shed-1/readings`, 2);
    expect(events[1]?.data).toEqual({ atMs: 200, volts: 12.4, amps: 0, rpm: 0, oilBar: 0.4 });
  });

  it('is read on where the line was lost, with what came meanwhile', async () => {
    await sent('shed-2', line(100), line(200));
    const address = `${server.address}/api/bench-boxes/shed-2/readings`;
    const before = await eventsFrom(address, 2);
    await sent('shed-2', line(300), line(400));
    const later = eventsFrom(address, 3, before.at(-1)?.id);
    await sent('shed-2', line(500));
    expect(times(await later)).toEqual([300, 400, 500]);
  });

  it('may send a line that is none: it is named, and the rest is taken', async () => {
    const answer = await sent('shed-3', line(100), 'rubbish', line(200, { volts: 1e9 }), line(300));
    expect(answer.body).toMatchObject({ taken: 2, refused: [{ line: 2 }, { line: 3 }] });
    const nothing = await sent('shed-3', line(400, { rpm: null }));
    expect(nothing).toMatchObject({ status: 422, body: { detail: expect.stringContaining('Line 1: No reading') } });
  });

  it('that sends the same lines once more, its answer lost, is answered as before, and nothing stands twice', async () => {
    await sent('shed-5', line(100), line(200));
    expect(await sent('shed-5', line(200), line(300))).toMatchObject({ status: 200, body: { taken: 2 } });
    expect(times(await eventsFrom(`${server.address}/api/bench-boxes/shed-5/readings`, 3))).toEqual([100, 200, 300]);
    // The same moment with another figure is another box.
    expect((await sent('shed-5', line(300, { volts: 9 }))).status).toBe(422);
  });

  it('is refused where time runs backwards, and what came before stays', async () => {
    await sent('shed-4', line(500));
    const two = await sent('shed-4', line(400));
    expect(two).toMatchObject({ status: 422, body: { detail: expect.stringContaining('two boxes under one name') } });
    expect((await sent('shed-4', line(700), line(600))).status).toBe(422);
    expect((await sent('shed-4', line(600))).status).toBe(200);
    expect(times(await eventsFrom(`${server.address}/api/bench-boxes/shed-4/readings`, 2))).toEqual([500, 600]);
  });

  it.each([
    ['a name that is none', 'a%20b', line(1), LINES, 422, 'A box is named by letters'],
    ['another type', 'x', line(1), { 'content-type': 'text/plain' }, 400, 'one a line'],
    ['too many at once', 'x', `${line(1)}\n`.repeat(1_001), LINES, 413, 'At most 1000 readings'],
    ['far too much', 'x', 'x'.repeat(600_000), LINES, 413, 'more than this takes'],
  ])('%s is answered in words', async (_name, box, body, headers, status, words) => {
    const answer = await server.post(`/api/bench-boxes/${box}/readings`, body, headers);
    expect(answer).toMatchObject({ status, body: { detail: expect.stringContaining(words) } });
  });
});

describe('the boxes a server knows', () => {
  const reading = (atMs: number) => line(atMs);

  it('may be switched on anew after a silence: who reads gets the new run whole', () => {
    let now = 1_000_000;
    const hub = new BoxHub(() => now);
    hub.take('a', [reading(100), reading(200)].join('\n'));
    const before = hub.since('a', undefined);
    now += 6_000;
    hub.take('a', reading(50));
    const after = hub.since('a', { run: before.run, number: 2 });
    expect(after.run).not.toBe(before.run);
    expect(after.readings.map(({ atMs }) => atMs)).toEqual([50]);
  });

  it('keep ten minutes, and no more than eight of them; those long silent make room', () => {
    let now = 0;
    const hub = new BoxHub(() => now);
    for (let batch = 0; batch < 8; batch += 1)
      hub.take('long', Array.from({ length: 1_000 }, (_, at) => reading(1 + batch * 1_000 + at)).join('\n'));
    expect(hub.since('long', undefined)).toMatchObject({ from: 2_000, readings: { length: 6_000 } });
    for (let box = 1; box < 8; box += 1) hub.take(`box-${box}`, reading(1));
    expect(() => hub.take('ninth', reading(1))).toThrow('So many boxes send already');
    now += 31 * 60_000;
    expect(hub.take('ninth', reading(1)).taken).toBe(1);
    expect(hub.heard()).toEqual([{ box: 'ninth', readings: 1 }]);
  });
});
