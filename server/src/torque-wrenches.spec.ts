import { foldLedger, isDone, jointOf, type EntryBody } from '@brisk/core/ledger';
import { operationId } from '@brisk/core/teardown';
import { FIRST_RACK } from '@brisk/core/torque';
import type { JobWithLedger } from '@brisk/contracts/job';
import type { KeptRack } from '@brisk/contracts/torque-wrenches';
import { workOn } from '../../core/src/testing/crew.js';
import { eventsUntil } from './testing/events.js';
import { entry, TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

describe('the torque wrenches of the shop', () => {
  it('are those every shop begins with, until it writes down its own', async () => {
    const { body } = await server.get<KeptRack>('/api/torque-wrenches');
    expect(body).toMatchObject({ revision: 0, document: FIRST_RACK });
    const own = {
      wrenches: [
        { id: 'long', name: 'The long one', lowestNm: 60, highestNm: 340, handleMm: 520, calibratedOn: '2026-01-10' },
      ],
      adapters: [{ id: 'foot-17', name: '17 mm crow’s foot', lengthMm: 42 }],
    };
    const kept = await server.put<KeptRack>('/api/torque-wrenches', { revision: 0, document: own });
    expect(kept.body).toMatchObject({ revision: 1, document: own, uses: { long: 0 } });
    expect((await server.put('/api/torque-wrenches', { revision: 0, document: FIRST_RACK })).status).toBe(409);
  });

  it.each([
    ['upside down', { lowestNm: 300, highestNm: 60 }, /highest it reads has to be above the lowest/],
    ['of nothing', { lowestNm: 0, highestNm: 60 }, /lowestNm/],
    ['beyond everything', { lowestNm: 60, highestNm: 1e9 }, /highestNm/],
  ])('are not one %s', async (_what, range, words) => {
    const wrench = { id: 'w', name: 'W', ...range };
    const { status, body } = await server.put('/api/torque-wrenches', {
      revision: 1,
      document: { wrenches: [wrench], adapters: [] },
    });
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toMatch(words);
  });

  it('are counted in the ledgers since they were calibrated, a bolt a use', async () => {
    const job = await server.begin();
    const { body } = await server.get<JobWithLedger>(`/api/jobs/${job}`);
    const start = foldLedger(body.job.plan, []);
    const [joint] = [...start.work.operations.values()].flatMap(({ kind, connection }) =>
      kind === 'torque' && connection && (jointOf(start, connection)?.bolts ?? 0) >= 4 ? [connection] : [],
    );
    if (!joint) throw new Error('No joint of four bolts');
    const wrench = { id: 'long', name: 'The long one', range: { lowestNm: 1, highestNm: 340 } };
    const tight: EntryBody = {
      kind: 'bolts-tightened',
      connection: joint,
      stage: 0,
      bolts: [0, 1, 2],
      read: { value: 2, unit: 'N·m' },
      wrench,
    };
    const early = await server.append(job, 0, [entry(tight)]);
    expect(early.status).toBe(422);
    expect(early.body.detail).toMatch(/before its final torque/);
    const used = async () => (await server.get<KeptRack>('/api/torque-wrenches')).body.uses;
    expect(await used()).toEqual({ long: 0 });

    const { entries } = workOn(start, entry, (state) => isDone(state, operationId.close(joint)));
    for (let at = 0; at < entries.length; at += 200)
      expect((await server.append(job, at, entries.slice(at, at + 200))).status).toBe(200);
    expect((await server.append(job, entries.length, [entry(tight)])).status).toBe(200);
    const other = { ...tight, bolts: [3], wrench: { ...wrench, id: 'of-somebody-else' } };
    expect((await server.append(job, entries.length + 1, [entry(other)])).status).toBe(200);
    expect(await used()).toEqual({ long: 3 });

    // Calibrated anew, it begins to be counted anew.
    const kept = (await server.get<KeptRack>('/api/torque-wrenches')).body;
    const wrenches = kept.document.wrenches.map((one) => ({ ...one, calibratedOn: '2999-01-01' }));
    await server.put('/api/torque-wrenches', { revision: kept.revision, document: { ...kept.document, wrenches } });
    expect(await used()).toEqual({ long: 0 });
  });
});

describe('the simulated torque wrench', () => {
  it('clicks, and says that it is simulated', async () => {
    const events = await eventsUntil(`${server.address}/api/simulated-torque-wrench?nm=45`, (sent) =>
      sent.some(({ data }) => data['click'] === true),
    );
    const readings = events.map(({ data }) => data as { nm: number; click?: true; simulated: boolean });
    expect(readings.every(({ simulated }) => simulated)).toBe(true);
    const click = readings.find((reading) => reading.click);
    expect(Math.abs((click?.nm ?? 0) - 45)).toBeLessThan(1);
  });

  it.each(['nm=none', 'nm=-5', 'nm=1e9', 'nm=45&pull=jerk'])('refuses %s in words', async (query) => {
    const { status, body } = await server.get(`/api/simulated-torque-wrench?${query}`);
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toMatch(/has to be/);
  });
});
