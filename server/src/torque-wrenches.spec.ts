import { FIRST_RACK } from '@brisk/core/torque';
import type { KeptRack } from '@brisk/contracts/torque-wrenches';
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
    const wrench = { id: 'long', name: 'The long one', range: { lowestNm: 60, highestNm: 340 } };
    const state = await server.get<{ job: { plan: { map: { connections: { id: string }[] } } } }>(`/api/jobs/${job}`);
    expect(state.body.job.plan.map.connections.some(({ id }) => id === 'bell-housing')).toBe(true);
    // A bolt of a joint that is open is refused: nothing is counted that is not in a ledger.
    const open = await server.append(job, 0, [
      entry({
        kind: 'bolts-tightened',
        connection: 'bell-housing',
        stage: 0,
        bolts: [0],
        read: { value: 80, unit: 'N·m' },
        wrench,
      }),
    ]);
    expect(open.status).toBe(422);
    expect(open.body.detail).toMatch(/before its final torque/);
    expect((await server.get<KeptRack>('/api/torque-wrenches')).body.uses).toEqual({ long: 0 });
  });
});

describe('the simulated torque wrench', () => {
  it('clicks, and says that it is simulated', async () => {
    const off = new AbortController();
    const response = await fetch(`${server.address}/api/simulated-torque-wrench?nm=45`, { signal: off.signal });
    let text = '';
    for await (const bytes of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += new TextDecoder().decode(bytes);
      if (text.includes('"click"')) break;
    }
    off.abort();
    const readings = text
      .split('\n\n')
      .filter(Boolean)
      .map((event) => JSON.parse(event.replace('data: ', '')) as { nm: number; click?: true; simulated: boolean });
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
