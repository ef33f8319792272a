import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import express from 'express';
import { Bell } from './jobs/bell.js';
import { bellRoutes } from './jobs/bell-routes.js';
import type { JobStore } from './jobs/job-store.js';
import { WhoIsHere } from './jobs/who-is-here.js';
import type { PeopleStore } from './people/people-store.js';
import { eventsFrom, eventsUntil, type SentEvent } from './testing/events.js';
import { entry, TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const bell = () => `${server.address}/api/bell`;
const noted = (text: string) => entry({ kind: 'noted', text });
/** Where `job` stands, by what was sent. */
const positionsOf = (job: string, sent: readonly SentEvent[]) =>
  sent.filter(({ data }) => data['job'] === job).map(({ data }) => data['position']);
const soon = () => new Promise((later) => setTimeout(later, 150));

describe('the bell of the shop', () => {
  it('rings soon after each write to any job, whoever wrote, and not for a write that was refused', async () => {
    const [one, other] = [await server.begin(), await server.begin()];
    const heard = eventsUntil(bell(), (sent) => positionsOf(one, sent).includes(3));
    await soon();
    await server.append(one, 0, [noted('One')]);
    await server.append(other, 0, [noted('There')]);
    expect((await server.append(one, 7, [noted('Too far')])).status).toBe(409);
    await server.append(one, 1, [noted('Two'), noted('Three')]);
    const rings = await heard;
    // What is written in one go rings once.
    expect(positionsOf(one, rings)).not.toContain(2);
    expect(positionsOf(one, rings)).not.toContain(7);
    expect(positionsOf(other, rings)).toEqual([1]);
  });

  it('ends a line that is old, so that whoever has gone without a word holds none', async () => {
    const app = express();
    const parts = { store: { bell: new Bell() } as JobStore, people: {} as PeopleStore, now: () => new Date() };
    app.use('/api', bellRoutes({ ...parts, closing: () => false, lineLastsMs: 50 }).router);
    const listening = app.listen(0);
    const { port } = listening.address() as AddressInfo;
    const answer = await fetch(`http://127.0.0.1:${port}/api/bell`);
    expect(await answer.text()).toMatch(/^retry: \d+\n\nevent: beat\n/);
    listening.close();
  });

  it('lets go of who has gone', () => {
    const rings = new Bell();
    const heard: string[] = [];
    const one = rings.listen((job) => heard.push(`one ${job}`));
    const other = rings.listen((job) => heard.push(`other ${job}`));
    rings.ring('a');
    one();
    one();
    rings.ring('a');
    other();
    rings.ring('b');
    expect(heard).toEqual(['one a', 'other a', 'other a']);
  });
});

describe('who is at a job', () => {
  it('is told to whoever listens, changes with the step, and ends when the page leaves', async () => {
    const job = await server.begin();
    const page = randomUUID();
    const at = `/api/jobs/${job}/here`;
    const heard = eventsFrom(bell(), 3);
    await soon();
    expect((await server.post(at, { page, by: 'Ines' })).status).toBe(204);
    await soon();
    // Said again, it is no news.
    await server.post(at, { page, by: 'Ines' });
    await server.post(at, { page, by: 'Ines', step: 'open:battery-negative' });
    await soon();
    // Who begins to listen now is told who is there.
    const [first] = await eventsFrom(bell(), 1);
    expect(first?.data['here']).toEqual([{ page, by: 'Ines', step: 'open:battery-negative' }]);
    await fetch(`${server.address}${at}/${page}`, { method: 'DELETE' });
    const here = (await heard).map(({ data }) => data['here']);
    expect(here).toEqual([[{ page, by: 'Ines' }], [{ page, by: 'Ines', step: 'open:battery-negative' }], []]);
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
