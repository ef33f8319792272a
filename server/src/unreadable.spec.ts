import Database from 'libsql';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Bundle } from '@brisk/contracts/bundle';
import type { JobSummary, JobWithLedger, PutRightFrom } from '@brisk/contracts/job';
import { makeBackup } from './backup/make-backup.js';
import { DATABASE_FILE } from './database/open.js';
import { entry, newJob, TestServer, toldAnew } from './testing/test-server.js';

let server: TestServer;
let backups: string;
beforeEach(async () => {
  backups = mkdtempSync(join(tmpdir(), 'brisk-backups-'));
  server = await TestServer.start(undefined, backups);
});
afterEach(async () => {
  await server.stop();
  rmSync(backups, { recursive: true, force: true });
});

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
    for (const asked of [
      server.get(`/api/jobs-by-code/${broken.slice(0, 8)}`),
      server.post('/api/jobs', newJob({ id: broken })),
      server.get(`/api/jobs/${broken}/bundle`),
      server.get(`/api/jobs/${broken}/run-sheet.pdf`),
    ])
      expect((await asked).status).toBeLessThan(500);
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

describe('a job that is put right', () => {
  const note = (text: string) => entry({ kind: 'noted', text });
  /** A job with two notes in the backup, one more since, and its document and all its notes but the second damaged. */
  async function damaged() {
    const id = await server.begin({ title: 'Broken' });
    const notes = [note('First'), note('Second'), note('Third')];
    await server.append(id, 0, notes.slice(0, 2));
    await makeBackup(server.folder, backups, new Date('2026-03-02T20:00:00.000Z'));
    await server.append(id, 2, notes.slice(2));
    const bundle = (await server.get<Bundle>(`/api/jobs/${id}/bundle`)).body;
    await meddle('drop trigger "ledger_entry_no_update"');
    const again = `create trigger "ledger_entry_no_update" before update on "ledger_entry"
      begin select raise(abort, 'the ledger is only ever appended to'); end`;
    await meddle(`update "ledger_entry" set "document" = '{' where "job_id" = ? and "position" <> 2`, id);
    await meddle(again);
    await meddle(`update "job" set "document" = substr("document", 1, 400) where "id" = ?`, id);
    return { id, notes, bundle };
  }
  const texts = async (id: string) => {
    const { entries } = (await server.get<JobWithLedger>(`/api/jobs/${id}`)).body;
    return entries.map((one) => (one.kind === 'noted' ? one.text : one.kind));
  };

  it('has everything that can be read or that a backup has, and says of the rest that it is lost', async () => {
    const { id, notes } = await damaged();
    const { status, body } = await server.post<PutRightFrom>(`/api/jobs/${id}/put-right`, {});
    expect([status, body]).toEqual([200, { madeAt: '2026-03-02T20:00:00.000Z', entries: 2, lost: 1 }]);
    expect(await texts(id)).toEqual(['First', 'Second', expect.stringMatching(/\(noted\) cannot be read any more/)]);
    const { entries } = (await server.get<JobWithLedger>(`/api/jobs/${id}`)).body;
    expect(entries.map((one) => [one.id, one.at, one.by])).toEqual(notes.map((one) => [one.id, one.at, one.by]));
    expect((await jobs())[0]).toMatchObject({ id, title: 'Broken', position: 3 });
    expect((await server.append(id, 3, [note('Goes on')])).status).toBe(200);
    expect((await server.post(`/api/jobs/${id}/put-right`, {})).status).toBe(409);
    await server.pause();
    const file = new Database(join(server.folder, DATABASE_FILE));
    expect(() => file.exec(`update ledger_entry set document = '{}'`)).toThrow(/only ever appended/);
    const before = file.prepare('select "stored_before" as "text" from "put_right"').all() as { text: string }[];
    file.close();
    expect(before[0]?.text).toContain('"document":"{"');
    await server.restart();
  });

  it('is put right by a bundle of it as well, whole', async () => {
    const { id, bundle } = await damaged();
    const longer = toldAnew(bundle, [...bundle.ledger, note('Fourth')]);
    const { status, body } = await server.post<{ readonly written: number }>('/api/bundles', longer);
    expect([status, body.written]).toEqual([201, 3]);
    expect(await texts(id)).toEqual(['First', 'Second', 'Third', 'Fourth']);
    expect((await jobs())[0]).not.toHaveProperty('unreadable');
  });

  it('stays as it is where no backup has it, or none that can be read', async () => {
    const { id } = await damaged();
    const [backup] = readdirSync(backups).filter((name) => name.startsWith('2026'));
    writeFileSync(join(backups, backup ?? '', DATABASE_FILE), 'x'.repeat(5_000));
    const answer = await server.post(`/api/jobs/${id}/put-right`, {});
    expect([answer.status, answer.body.detail]).toEqual([404, expect.stringMatching(/No backup holds a copy/)]);
    expect((await jobs())[0]?.unreadable).toMatch(/no JSON/);
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
