import Database from 'libsql';
import { join } from 'node:path';
import type { JobSummary } from '@brisk/contracts/job';
import { DATABASE_FILE } from './database/open.js';
import { entry, newJob, TestServer } from './testing/test-server.js';

let server: TestServer;
beforeEach(async () => {
  server = await TestServer.start();
});
afterEach(() => server.stop());

/** Does something to the file behind the server’s back, and starts it again. */
async function meddle(statement: string, ...values: readonly string[]): Promise<void> {
  const file = new Database(join(server.folder, DATABASE_FILE));
  file.prepare(statement).run(...values);
  file.close();
  await server.restart();
}
const jobs = async () => (await server.get<JobSummary[]>('/api/jobs')).body;

describe('a job that cannot be read', () => {
  it.each([
    ['its document is cut off', `update "job" set "document" = substr("document", 1, 400) where "id" = ?`, /no JSON/],
    ['an entry is no JSON', `update "ledger_entry" set "document" = '{' where "job_id" = ?`, /no JSON/],
    [
      'its map is gone',
      `update "job" set "document" = json_remove("document", '$.plan.map') where "id" = ?`,
      /hang together/,
    ],
  ])('is a line of its own, and keeps nobody from the others: %s', async (_what, statement, words) => {
    const [whole, broken] = [await server.begin({ title: 'Whole' }), await server.begin({ title: 'Broken' })];
    await server.append(broken, 0, [entry({ kind: 'noted', text: 'Scratch on the left wing' })]);
    await meddle('delete from "job_card"');
    await meddle('drop trigger "ledger_entry_no_update"');
    await meddle(statement, broken);
    expect(await jobs()).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ id: whole, title: 'Whole', stop: 'plan' }),
        expect.objectContaining({ id: broken, title: 'Broken', unreadable: expect.stringMatching(words) as unknown }),
      ]),
    );
    const answer = await server.get(`/api/jobs/${broken}`);
    expect(answer).toMatchObject({ status: 422, body: { type: 'urn:brisk-ledger:unreadable' } });
    const stored = await server.get<{ entries: { document: string }[] }>(`/api/jobs/${broken}/as-stored`);
    expect(stored.body.entries).toHaveLength(1);
    expect((await server.get('/api/find?q=scratch')).status).toBe(200);
    expect((await server.put(`/api/jobs/${broken}/aside`, { aside: true })).status).toBe(200);
    expect((await jobs()).find(({ id }) => id === broken)?.aside).toBe(true);
  });
});

describe('a job that was put right in the file', () => {
  it('can be read again after the next start', async () => {
    const id = await server.begin({ title: 'Back again' });
    await meddle('delete from "job_card"');
    await meddle('update "job" set "document" = substr("document", 2) where "id" = ?', id);
    expect((await jobs())[0]?.unreadable).toMatch(/no JSON/);
    await meddle(`update "job" set "document" = '{' || "document" where "id" = ?`, id);
    expect((await jobs())[0]).toMatchObject({ title: 'Back again', stop: 'plan' });
    expect((await jobs())[0]).not.toHaveProperty('unreadable');
  });
});

describe('a job that is set aside', () => {
  it('stays as it is, over a restart and more entries, until it is taken back', async () => {
    const id = await server.begin();
    await server.put(`/api/jobs/${id}/aside`, { aside: true });
    await server.append(id, 0, [entry({ kind: 'noted', text: 'One more' })]);
    await server.restart();
    expect(await jobs()).toMatchObject([{ id, aside: true, position: 1 }]);
    await server.put(`/api/jobs/${id}/aside`, { aside: false });
    expect((await jobs())[0]).not.toHaveProperty('aside');
  });

  it('has to be here, and to be told in so many words', async () => {
    expect((await server.put('/api/jobs/nobody/aside', { aside: true })).status).toBe(404);
    const id = await server.begin();
    for (const wrong of [{}, { aside: 'yes' }, [], { aside: null }])
      expect((await server.put(`/api/jobs/${id}/aside`, wrong)).status).toBe(422);
  });
});

describe('days and times', () => {
  it.each(['2026-99-99', '2026-02-30', '0000-00-00', '2026-3-2', 'tomorrow'])('no job is due on %s', async (dueOn) => {
    const { status, body } = await server.post('/api/jobs', newJob({ dueOn }));
    expect([status, body.detail]).toEqual([422, expect.stringMatching(/DueOn has to be a day such as 2026-03-02/)]);
  });

  it.each(['2026-13-45T99:99:99.000Z', '2026-02-30T07:00:00.000Z', '2026-03-02T25:00:00.000Z'])(
    'nothing is recorded at %s',
    async (at) => {
      const id = await server.begin();
      const spoiled = { ...entry({ kind: 'noted', text: 'x' }), at };
      const { status, body } = await server.post(`/api/jobs/${id}/ledger`, { expectedPosition: 0, entries: [spoiled] });
      expect([status, body.detail]).toEqual([422, expect.stringMatching(/no time there is|date-time/i)]);
    },
  );

  it('takes every real one, leap days too', async () => {
    expect((await server.post('/api/jobs', newJob({ dueOn: '2028-02-29' }))).status).toBe(201);
  });
});
