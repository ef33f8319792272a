import { randomUUID } from 'node:crypto';
import { Bell } from './jobs/bell.js';
import { WhoIsHere } from './jobs/who-is-here.js';
import { eventsFrom, eventsUntil } from './testing/events.js';
import { entry, TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const bell = (job: string) => `${server.address}/api/jobs/${job}/bell`;
const noted = (text: string) => entry({ kind: 'noted', text });

describe('the bell of a job', () => {
  it('rings at once with where it stands, and soon after each write, whoever wrote', async () => {
    const job = await server.begin();
    const [first] = await eventsFrom(bell(job), 1);
    expect(first?.data).toEqual({ position: 0, revision: 1, here: [] });
    const heard = eventsUntil(bell(job), (sent) => sent.some(({ data }) => data['position'] === 3));
    await server.append(job, 0, [noted('One')]);
    await server.append(job, 1, [noted('Two'), noted('Three')]);
    const rings = (await heard).map(({ data }) => data['position']);
    expect(rings.at(-1)).toBe(3);
    // What is written in one go rings once.
    expect(rings).not.toContain(2);
  });

  it('is not heard of another job, and not rung by a write that was refused', async () => {
    const [one, other] = [await server.begin(), await server.begin()];
    const heard = eventsUntil(bell(one), (sent) => sent.some(({ data }) => data['position'] === 1));
    await server.append(other, 0, [noted('There')]);
    expect((await server.append(one, 7, [noted('Too far')])).status).toBe(409);
    await server.append(one, 0, [noted('Here')]);
    expect((await heard).map(({ data }) => data['position'])).not.toContain(7);
  });

  it('of a job that is not here is refused in words', async () => {
    const answer = await server.get(`/api/jobs/${randomUUID()}/bell`);
    expect(answer.status).toBe(404);
  });

  it('lets go of who has gone', () => {
    const rings = new Bell();
    const heard: string[] = [];
    const one = rings.listen('a', () => heard.push('one'));
    const other = rings.listen('a', () => heard.push('other'));
    rings.ring('a');
    one();
    one();
    rings.ring('a');
    other();
    rings.ring('a');
    rings.ring('b');
    expect(heard).toEqual(['one', 'other', 'other']);
  });
});

describe('who is at a job', () => {
  it('is told to whoever listens, changes with the step, and ends when the page leaves', async () => {
    const job = await server.begin();
    const page = randomUUID();
    const at = `/api/jobs/${job}/here`;
    const heard = eventsFrom(`${server.address}/api/jobs/${job}/bell`, 4);
    const wait = () => new Promise((soon) => setTimeout(soon, 150));
    await wait();
    expect((await server.post(at, { page, by: 'Ines' })).status).toBe(204);
    await wait();
    // Said again, it is no news.
    await server.post(at, { page, by: 'Ines' });
    await server.post(at, { page, by: 'Ines', step: 'open:battery-negative' });
    await wait();
    await fetch(`${server.address}${at}/${page}`, { method: 'DELETE' });
    const here = (await heard).map(({ data }) => data['here']);
    expect(here).toEqual([[], [{ page, by: 'Ines' }], [{ page, by: 'Ines', step: 'open:battery-negative' }], []]);
  });

  it('is refused where it is no page, nobody, or no job', async () => {
    const job = await server.begin();
    const at = `/api/jobs/${job}/here`;
    expect((await server.post(at, { page: 'x', by: 'Ines' })).status).toBe(422);
    expect((await server.post(at, { page: randomUUID(), by: '' })).status).toBe(422);
    expect((await server.post(`/api/jobs/${randomUUID()}/here`, { page: randomUUID(), by: 'Ines' })).status).toBe(404);
  });

  it('is forgotten of who says nothing more, and is not counted beyond what a shed has', () => {
    let nowMs = 0;
    const here = new WhoIsHere(() => new Date(nowMs));
    expect(here.say('a', { page: 'p', by: 'Ines' })).toBe(true);
    expect(here.at('b')).toEqual([]);
    nowMs = 59_000;
    expect(here.at('a')).toHaveLength(1);
    nowMs = 61_000;
    expect(here.at('a')).toEqual([]);
    for (let page = 0; page < 100; page += 1) here.say('a', { page: String(page), by: 'Ines' });
    expect(here.at('a')).toHaveLength(64);
    expect(here.gone('a', '3')).toBe(true);
    expect(here.gone('a', '3')).toBe(false);
  });
});
