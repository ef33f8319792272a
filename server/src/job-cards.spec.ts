import { rmSync } from 'node:fs';
import type { JobHits } from '@brisk/contracts/house';
import type { JobSummary } from '@brisk/contracts/job';
import type { HouseKnowledge } from '@brisk/core/house';
import { openDatabase } from './database/open.js';
import { JobCards } from './jobs/job-cards.js';
import { JobStore } from './jobs/job-store.js';
import { entry, TestServer } from './testing/test-server.js';

const notAsked = () => Promise.reject(new Error('Nothing takes long here'));

describe('what is asked of all jobs at once', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
  });
  afterAll(() => server.stop());

  const standing = async (id: string) =>
    (await server.get<JobSummary[]>('/api/jobs')).body.find((summary) => summary.id === id);
  const found = async (question: string) =>
    (await server.get<JobHits[]>(`/api/find?q=${encodeURIComponent(question)}`)).body;

  it('is true after every entry, over a restart, and with many asking while somebody writes', async () => {
    const job = await server.begin();
    expect(await standing(job)).toMatchObject({ position: 0, stepsDone: 0, stop: 'plan' });
    const writing = Array.from({ length: 8 }, async (_, position) => {
      await Promise.all([standing(job), found('wing'), found('radiator')]);
      return position;
    });
    await server.append(job, 0, [entry({ kind: 'operation-done', operation: 'do:codes-before' })]);
    await server.append(job, 1, [entry({ kind: 'noted', text: 'Scratch on the left wing' })]);
    await Promise.all(writing);
    expect(await standing(job)).toMatchObject({ position: 2, stepsDone: 1, stop: 'strip' });
    expect((await found('scratch wing')).map(({ id }) => id)).toEqual([job]);
    await server.restart();
    expect(await standing(job)).toMatchObject({ position: 2, stepsDone: 1 });
    expect((await found('scratch')).map(({ id }) => id)).toEqual([job]);
  });

  it('finds words by how they begin, numbers as they are said, and nothing where nothing is asked', async () => {
    const job = await server.begin();
    const bagged = {
      kind: 'fasteners-counted',
      connection: 'upper-hose',
      direction: 'out',
      count: 2,
      bag: 31,
    } as const;
    await server.append(job, 0, [
      entry({ ...bagged, kept: 'bag' }),
      entry({ kind: 'noted', text: '“Grün” hose, M8×1.25' }),
    ]);
    const joint = { connection: 'upper-hose', bag: 31 };
    for (const question of ['bag 31', '#31', 'upper rad'])
      expect((await found(question))[0]?.hits[0]).toMatchObject(joint);
    for (const question of ['grün', 'm8×1.25', 'HOSE M8'])
      expect((await found(question)).map(({ id }) => id)).toContain(job);
    expect((await found('pper')).flatMap(({ hits }) => hits)).toEqual([]);
    for (const question of ['', '  ', '"', '* AND (', '×']) expect(await found(question)).toEqual([]);
  });

  it('teaches the next job on the layout what was noted for it, and forgets what is taken back', async () => {
    const [first, second] = [await server.begin(), await server.begin()];
    const note = entry({ kind: 'noted', text: 'Clip is brittle', operation: 'open:upper-hose', house: true });
    await server.append(first, 0, [note]);
    const notes = async () =>
      (await server.get<HouseKnowledge>(`/api/jobs/${second}/house`)).body.notes['open:upper-hose']?.map(
        ({ text }) => text,
      );
    expect(await notes()).toEqual(['Clip is brittle']);
    await server.append(first, 1, [entry({ kind: 'corrected', corrects: note.id, reason: 'Other clip' })]);
    expect(await notes()).toBeUndefined();
  });

  it('keeps a line open longer than any client waits between two questions', async () => {
    const kept = (await server.get('/api/health')).headers.get('keep-alive') ?? '';
    expect(Number(/timeout=(\d+)/.exec(kept)?.[1])).toBeGreaterThanOrEqual(60);
  });

  it('is read from older cards until new ones are made, and from none where there is no room for any', async () => {
    const shop = await TestServer.start();
    const job = await shop.begin({ title: 'Held up' });
    await shop.get('/api/jobs');
    await shop.pause();
    const database = await openDatabase(shop.folder);
    const store = new JobStore(database, notAsked, () => new Date('2026-03-02T07:00:00.000Z'));
    const cards = new JobCards(database, (id, task) => store.while(id, task));
    const older = `update job_card set edition = 0, summary = json_set(summary, '$.title', 'As it was')`;
    await database.fork().execute(older);
    expect((await cards.summaries()).map(({ title }) => title)).toEqual(['As it was']);
    await cards.catchUp();
    expect((await cards.summaries()).map(({ title }) => title)).toEqual(['Held up']);

    await database.fork().execute('delete from job_card');
    await database.fork().execute('delete from find_line');
    await database.fork().execute('vacuum');
    const [{ page_count: pages }] = await database
      .fork()
      .execute<[{ readonly page_count: number }]>('pragma page_count');
    await database.fork().execute(`pragma max_page_count = ${pages}`);
    expect((await cards.summaries()).map(({ id, title }) => [id, title])).toEqual([[job, 'Held up']]);
    await database.fork().execute('pragma max_page_count = 1000000');
    expect((await cards.summaries()).map(({ id }) => id)).toEqual([job]);
    expect(await database.fork().execute('select job_id from job_card')).toHaveLength(1);
    await database.close();
    rmSync(shop.folder, { recursive: true, force: true });
  });
});
