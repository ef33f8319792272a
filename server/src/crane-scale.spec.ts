import { eventsFrom } from './testing/events.js';
import { TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

/** The first `count` readings a scale sends. */
async function readings(query: string, count: number): Promise<readonly Record<string, unknown>[]> {
  const events = await eventsFrom(`${server.address}/api/simulated-crane-scale?${query}`, count);
  return events.map(({ data }) => data);
}

describe('the simulated crane scale', () => {
  it('sends readings as they are made, and says that they are simulated', async () => {
    const sent = await readings('kg=300&mode=even', 3);
    expect(sent[0]).toEqual({ atMs: 0, kg: 0, simulated: true });
    expect(sent[2]).toMatchObject({ atMs: 400, simulated: true });
    expect(Number(sent[2]?.['kg'])).toBeGreaterThan(0);
  });

  it.each([
    ['kg=none', 'kg has to be above 0'],
    ['kg=-4', 'kg has to be above 0'],
    ['kg=90000', 'at most 20000'],
    ['kg=300&mode=explode', 'mode has to be one of even, snag, stick, drift'],
  ])('refuses %s in words', async (query, words) => {
    const answer = await server.get(`/api/simulated-crane-scale?${query}`);
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.body)).toContain(words);
  });

  it('does not run for everybody at once, and frees its place when it is switched off', async () => {
    const offs = Array.from({ length: 16 }, () => new AbortController());
    const on = await Promise.all(
      offs.map(({ signal }) => fetch(`${server.address}/api/simulated-crane-scale?kg=100`, { signal })),
    );
    expect(on.every(({ status }) => status === 200)).toBe(true);
    expect((await server.get('/api/simulated-crane-scale?kg=100')).status).toBe(429);
    offs.forEach((off) => off.abort());
    await expect(readings('kg=100', 1)).resolves.toHaveLength(1);
  });
});
