import type { JobHits } from '@brisk/contracts/house';
import type { HouseKnowledge } from '@brisk/core/house';
import { jobCode } from '@brisk/core/labels';
import { entry, TestServer } from './testing/test-server.js';

let server: TestServer;
let older: string;
let newer: string;
beforeAll(async () => {
  server = await TestServer.start();
  older = await server.begin({ title: 'Older', machine: 'Minibus no. 3' });
  newer = await server.begin({ title: 'Newer', machine: 'Minibus no. 7' });
  await server.append(older, 0, [
    entry({ kind: 'noted', text: 'Clamp sits behind the bracket', operation: 'open:battery-negative', house: true }),
    entry({
      kind: 'operation-stuck',
      operation: 'open:battery-negative',
      trouble: 'seized',
      tried: 'Heat and patience',
      minutesLost: 20,
      means: ['penetrant', 'heat'],
      soakMin: 15,
    }),
    entry({
      kind: 'fasteners-counted',
      connection: 'starter-bolts',
      direction: 'out',
      count: 2,
      bag: 9,
      kept: 'bag',
      note: 'one longer',
    }),
  ]);
});
afterAll(() => server.stop());

describe('what the shop knows over all its jobs', () => {
  it('comes to the same step of the next machine', async () => {
    const { body } = await server.get<HouseKnowledge>(`/api/jobs/${newer}/house`);
    expect(body.notes['open:battery-negative']).toEqual([
      expect.objectContaining({ text: 'Clamp sits behind the bracket', machine: 'Minibus no. 3' }),
    ]);
    expect(body.troubles['open:battery-negative']?.[0]).toMatchObject({ trouble: 'seized', came: false });
    expect((await server.get<HouseKnowledge>(`/api/jobs/${older}/house`)).body.notes).toEqual({});
  });

  it('is searched: where is the starter bolt?', async () => {
    const { body } = await server.get<readonly JobHits[]>(`/api/find?q=${encodeURIComponent('starter bolt')}`);
    const hits = body.find(({ id }) => id === older)?.hits ?? [];
    expect(hits[0]).toMatchObject({ connection: 'starter-bolts', bag: 9 });
    expect((await server.get<readonly JobHits[]>('/api/find?q=')).body).toEqual([]);
    expect((await server.get<readonly JobHits[]>('/api/find')).body).toEqual([]);
  });

  it('finds the job a label belongs to', async () => {
    const { body } = await server.get<{ id: string }>(`/api/jobs-by-code/${jobCode(older)}`);
    expect(body.id).toBe(older);
    expect((await server.get('/api/jobs-by-code/00000000')).status).toBe(404);
  });
});

describe('new jobs', () => {
  it('are held to counting home: a set that does not come out even is told', async () => {
    const { body } = await server.get<{ job: { plan: { rules: number } } }>(`/api/jobs/${newer}`);
    expect(body.job.plan.rules).toBeGreaterThanOrEqual(2);
  });
});
