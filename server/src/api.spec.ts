import { randomUUID } from 'node:crypto';
import type { Bundle } from '@brisk/contracts/bundle';
import type { Appended, JobSummary, JobWithLedger } from '@brisk/contracts/job';
import type { LedgerEntry } from '@brisk/core/ledger';
import fc from 'fast-check';
import { entry, newJob, TestServer, toldAnew } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const codes = () => entry({ kind: 'operation-done', operation: 'do:codes-before' });
const note = (text = 'Seen') => entry({ kind: 'noted', text });
const ledgerOf = async (job: string) => (await server.get<JobWithLedger>(`/api/jobs/${job}`)).body.entries;

describe('jobs', () => {
  it('begin from a layout and stand in the yard with their next step', async () => {
    const job = await server.begin({ title: 'Yard test' });
    const { body } = await server.get<JobSummary[]>('/api/jobs');
    expect(body.find(({ id }) => id === job)).toMatchObject({
      title: 'Yard test',
      stop: 'plan',
      nextStep: 'Read the stored codes and write them down',
      position: 0,
      blockedBy: [],
    });
  });

  it('begin once, however often they are sent', async () => {
    const job = newJob();
    const first = await server.post('/api/jobs', job);
    const again = await server.post('/api/jobs', job);
    expect([first.status, again.status]).toEqual([201, 201]);
    expect(again.body).toEqual(first.body);
    expect((await server.post('/api/jobs', { ...job, title: 'Another' })).status).toBe(409);
  });

  it('say what blocks them', async () => {
    const job = await server.begin();
    await server.append(job, 0, [
      entry({
        kind: 'operation-stuck',
        operation: 'open:starter-cable',
        trouble: 'rounded',
        tried: 'heat',
        minutesLost: 9,
      }),
      entry({ kind: 'part-needed', need: randomUUID(), name: 'Rear seal', quantity: 1, reason: 'Weeps' }),
    ]);
    const { body } = await server.get<JobSummary[]>('/api/jobs');
    expect(body.find(({ id }) => id === job)?.blockedBy).toEqual([
      'Stuck: Unbolt the battery cable at the starter',
      'Waiting for: Rear seal',
    ]);
  });
});

describe('the ledger', () => {
  it('takes entries in order and gives them back after a restart', async () => {
    const job = await server.begin();
    const sent = [codes(), note('Pump is loud')];
    const { status, body } = await server.append(job, 0, sent);
    expect(status).toBe(200);
    expect(body).toEqual({ written: sent.map(({ id }, index) => ({ id, position: index + 1 })) });
    await server.restart();
    expect(await ledgerOf(job)).toEqual(sent);
    expect((await server.get<{ entries: unknown[] }>(`/api/jobs/${job}/ledger?after=1`)).body.entries).toEqual([
      sent[1],
    ]);
  });

  it('writes an entry once and answers a retry the same, even when others have written since', async () => {
    const job = await server.begin();
    const mine = note('Mine');
    const first = await server.append(job, 0, [mine]);
    await server.append(job, 1, [note('Theirs')]);
    const retry = await server.append(job, 0, [mine]);
    expect(retry).toMatchObject({ status: 200, body: first.body });
    expect(await ledgerOf(job)).toHaveLength(2);
  });

  it('refuses a stale position, says where it stands, and writes nothing', async () => {
    const job = await server.begin();
    await server.append(job, 0, [note()]);
    const { status, body } = await server.append(job, 0, [note()]);
    expect(status).toBe(409);
    expect(body).toMatchObject({ type: 'urn:brisk-ledger:stale-position', position: 1 });
    expect(body.detail).toMatch(/stands at 1, not 0/);
    expect(await ledgerOf(job)).toHaveLength(1);
  });

  it('lets one of two who write at the same time through', async () => {
    const job = await server.begin();
    const answers = await Promise.all([server.append(job, 0, [note('A')]), server.append(job, 0, [note('B')])]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect(await ledgerOf(job)).toHaveLength(1);
  });

  it('writes all of a batch or nothing', async () => {
    const job = await server.begin();
    const { status, body } = await server.append(job, 0, [
      codes(),
      entry({ kind: 'operation-done', operation: 'open:mount-left' }),
    ]);
    expect(status).toBe(422);
    expect(body.type).toBe('urn:brisk-ledger:refused');
    expect(body.detail).toMatch(/^First: .*Nothing was written\.$/);
    expect(await ledgerOf(job)).toEqual([]);
  });

  it('refuses one id for two different things, within a job and across jobs', async () => {
    const job = await server.begin();
    const one = note('One');
    await server.append(job, 0, [one]);
    expect((await server.append(job, 1, [{ ...note('Two'), id: one.id }])).body.type).toBe('urn:brisk-ledger:id-used');
    const other = await server.begin();
    expect((await server.append(other, 0, [{ ...note('Two'), id: one.id }])).status).toBe(409);
    const twin = note('Twin');
    expect((await server.append(other, 0, [twin, { ...twin }])).status).toBe(409);
    expect(await ledgerOf(other)).toEqual([]);
  });

  it('comes to the same state whatever the order and number of retries', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.nat(3), { minLength: 4, maxLength: 12 }),
        fc.integer({ min: 2, max: 5 }),
        async (retries, size) => {
          const job = await server.begin();
          const sent: LedgerEntry[] = [];
          for (const again of retries) {
            const batch = Array.from({ length: (again % size) + 1 }, (_, index) => note(`${sent.length} ${index}`));
            const position = sent.length;
            await server.append(job, position, batch);
            for (let time = 0; time < again; time += 1) {
              const earlier = sent.slice(Math.max(0, sent.length - time), sent.length);
              const retry = await server.append(job, time, [...earlier, ...batch]);
              expect(retry.status).toBe(200);
            }
            sent.push(...batch);
          }
          expect(await ledgerOf(job)).toEqual(sent);
        },
      ),
      { numRuns: 8 },
    );
  });
});

describe('bundles', () => {
  const exported = async (job: string) => (await server.get<Bundle>(`/api/jobs/${job}/bundle`)).body;

  it('carry a job to another shop and back without loss', async () => {
    const job = await server.begin();
    await server.append(job, 0, [
      codes(),
      entry({ kind: 'operation-done', operation: 'open:battery-negative' }),
      entry({ kind: 'operation-done', operation: 'do:rail-wait' }),
    ]);
    const bundle = await exported(job);
    const elsewhere = await TestServer.start();
    try {
      expect((await elsewhere.post('/api/bundles', bundle)).status).toBe(201);
      const there = await elsewhere.get<Bundle>(`/api/jobs/${job}/bundle`);
      expect({ ...there.body, exportedAt: bundle.exportedAt }).toEqual(bundle);
      expect(there.headers.get('content-disposition')).toContain('minibus-slips-when-warm.brisk.json');
      const sent = note('Written there');
      await elsewhere.append(job, 3, [sent]);
      const home = await server.post<{ written: number }>(
        '/api/bundles',
        (await elsewhere.get(`/api/jobs/${job}/bundle`)).body,
      );
      expect(home).toMatchObject({ status: 201, body: { written: 1 } });
      expect((await ledgerOf(job)).at(-1)).toEqual(sent);
    } finally {
      await elsewhere.stop();
    }
  });

  it('hold no more than a ledger may', async () => {
    const source = await exported(await server.begin());
    const ledger = Array.from({ length: 50_001 }, () => 0);
    const { status, body } = await server.post('/api/bundles', toldAnew(source, ledger));
    expect(status).toBe(422);
    expect(body.detail).toMatch(/too large: 50000|too many: 50000/);
  });

  it('of a long job are taken in whole', async () => {
    const source = await exported(await server.begin());
    const ledger = Array.from({ length: 3_000 }, (_, index) => note(`Note ${index}`));
    const bundle: Bundle = toldAnew(source, ledger, { ...source.job, id: randomUUID() });
    expect(await server.post('/api/bundles', bundle)).toMatchObject({ status: 201, body: { written: 3_000 } });
    expect(await ledgerOf(bundle.job.id)).toEqual(ledger);
  });

  it('taken in twice change nothing', async () => {
    const bundle = await exported(await server.begin());
    expect((await server.post('/api/bundles', bundle)).body).toMatchObject({ written: 0 });
  });

  it('that tell a different story of the same job are refused', async () => {
    const job = await server.begin();
    const bundle = await exported(job);
    await server.append(job, 0, [note('Here')]);
    const { status, body } = await server.post('/api/bundles', toldAnew(bundle, [note('There')]));
    expect(status).toBe(409);
    expect(body.detail).toMatch(/different story/);
  });

  const spoiled: readonly (readonly [string, (bundle: Bundle) => unknown, number, RegExp])[] = [
    ['cut short in the middle', (bundle) => JSON.stringify(bundle).slice(0, 20_000), 400, /breaks off or is not JSON/],
    ['short of entries', (bundle) => ({ ...bundle, ledgerLength: 7 }), 422, /cut short: it says 7 entries and holds 1/],
    ['from a newer version', (bundle) => ({ ...bundle, version: 5 }), 422, /version 5.*reads up to version 4/],
    ['of another format', () => ({ format: 'shopping-list' }), 422, /not a job bundle of ours/],
    ['that is a list', () => [], 422, /not a job bundle of ours/],
    ['with a map that loops', (bundle) => looped(bundle), 422, /wait for each other/],
    ['with an unknown part', (bundle) => replacePart(bundle), 422, /not on the map/],
    [
      'with an impossible ledger',
      (bundle) => ({ ...bundle, ledger: [entry({ kind: 'operation-done', operation: 'lift:set-down' })] }),
      422,
      /Entry 1 of the ledger/,
    ],
    ['with an unknown field', (bundle) => ({ ...bundle, extra: 1 }), 422, /does not belong: extra/],
    ['with a broken entry', (bundle) => ({ ...bundle, ledger: [{ kind: 'operation-done' }] }), 422, /missing/],
  ];

  it.each(spoiled)('%s are refused whole', async (_what, spoil, expected, words) => {
    const source = await exported(await server.begin());
    const bundle: Bundle = toldAnew(source, [note()], { ...source.job, id: randomUUID() });
    const { status, body } = await server.post('/api/bundles', spoil(bundle));
    expect(body.detail).toMatch(words);
    expect(status).toBe(expected);
    expect((await server.get(`/api/jobs/${bundle.job.id}`)).status).toBe(404);
  });

  function changeConnections(
    bundle: Bundle,
    change: (one: Bundle['job']['plan']['map']['connections'][number]) => unknown,
  ) {
    const { plan } = bundle.job;
    return {
      ...bundle,
      job: { ...bundle.job, plan: { ...plan, map: { ...plan.map, connections: plan.map.connections.map(change) } } },
    };
  }
  function looped(bundle: Bundle) {
    const behind: Record<string, string> = { 'upper-hose': 'heater-feed', 'heater-feed': 'upper-hose' };
    return changeConnections(bundle, (one) =>
      behind[one.id] ? { ...one, access: [{ open: behind[one.id], why: 'Behind it.' }] } : one,
    );
  }
  function replacePart(bundle: Bundle) {
    return changeConnections(bundle, (one) =>
      one.id === 'upper-hose' ? { ...one, between: ['radiator', 'nowhere'] } : one,
    );
  }
});

describe('bad input', () => {
  const jobs: readonly (readonly [string, Record<string, unknown>, string, RegExp])[] = [
    ['a title too long', { title: 'x'.repeat(121) }, 'title', /too long: 120/],
    ['no title', { title: undefined }, 'title', /missing/],
    ['a title of nothing', { title: '' }, 'title', /missing|short/],
    ['a title that is a number', { title: 7 }, 'title', /text/],
    ['an unknown reason', { reason: 'fun' }, 'reason', /one of/],
    ['nobody on it', { crew: [] }, 'crew', /1 at least/],
    ['a crew that is no list', { crew: 'Ines' }, 'crew', /list/],
    ['a day that is none', { dueOn: 'tomorrow' }, 'dueOn', /such as/],
    ['an id that is none', { id: '../../etc' }, 'id', /UUID/],
    ['an unknown layout', { layout: 'hovercraft' }, 'layout', /no layout called/],
    ['an unknown powerpack', { powerpack: 'wing' }, 'plan', /no powerpack called/],
    ['an unknown route', { route: 'sideways' }, 'plan', /no route called/],
    ['a field nobody knows', { admin: true }, '', /does not belong: admin/],
  ];
  it.each(jobs)('a job with %s is refused at its field', async (_what, change, field, words) => {
    const job = { ...newJob(), ...change };
    const { status, body } = await server.post('/api/jobs', job);
    expect(status).toBe(422);
    const error = body.errors?.find((one) => one.field === field);
    expect(error?.words).toMatch(words);
    expect(typeof job.id === 'string' && (await server.get(`/api/jobs/${encodeURIComponent(job.id)}`)).status).toBe(
      404,
    );
  });

  const entries: readonly (readonly [string, unknown, RegExp])[] = [
    ['no kind', { ...note(), kind: undefined }, /kind is missing/i],
    ['an unknown kind', { ...note(), kind: 'magic' }, /one of/],
    ['no time', { ...note(), at: 'noon' }, /time such as/],
    [
      'negative litres',
      entry({ kind: 'fluid-measured', circuit: 'coolant', direction: 'out', litres: -1 }),
      /too small/,
    ],
    [
      'litres in words',
      { ...entry({ kind: 'fluid-measured', circuit: 'coolant', direction: 'out', litres: 1 }), litres: '6,8' },
      /a number/,
    ],
    [
      'half a bolt',
      entry({ kind: 'fasteners-counted', connection: 'upper-hose', direction: 'out', count: 0.5 }),
      /whole number/,
    ],
    [
      'a unit that is none',
      {
        ...entry({ kind: 'torque-read', connection: 'mount-left', wrench: 'half', read: { value: 75, unit: 'N·m' } }),
        read: { value: 75, unit: 'furlong' },
      },
      /one of/,
    ],
    [
      'a torque of nought',
      entry({ kind: 'torque-read', connection: 'mount-left', wrench: 'half', read: { value: 0, unit: 'N·m' } }),
      /more than 0/,
    ],
    [
      '36 kilovolts',
      entry({ kind: 'start-attempted', voltsBefore: 36_000, voltsLowest: 9, crankSeconds: 5, result: 'runs' }),
      /too large/,
    ],
    ['an unknown step', entry({ kind: 'operation-done', operation: 'open:ghost' }), /no step called/],
    ['an unknown connection', entry({ kind: 'tagged', connection: 'ghost', tag: 1 }), /no connection called/],
    [
      'an unknown circuit',
      entry({ kind: 'fluid-measured', circuit: 'milk', direction: 'out', litres: 1 }),
      /no circuit called/,
    ],
    ['a note far too long', note('x'.repeat(2_001)), /too long/],
    ['something unknown in it', { ...note(), colour: 'red' }, /does not belong: colour/],
    ['a prototype in disguise', JSON.parse(`{"kind":"__proto__","id":"${randomUUID()}"}`), /one of|missing/],
  ];
  it.each(entries)('an entry with %s is refused and nothing is written', async (_what, bad, words) => {
    const job = await server.begin();
    const { status, body } = await server.append(job, 0, [note(), bad]);
    expect(status).toBe(422);
    expect([body.detail, ...(body.errors ?? []).map((error) => error.words)].join(' ')).toMatch(words);
    expect(await ledgerOf(job)).toEqual([]);
  });

  it('a body of 50 MB is refused, and the server goes on', async () => {
    const job = await server.begin();
    const { status, body } = await server.post(
      `/api/jobs/${job}/ledger`,
      `{"entries":["${'x'.repeat(50 * 1024 * 1024)}"]}`,
    );
    expect(status).toBe(413);
    expect(body.detail).toMatch(/more than this takes/);
    expect((await server.get('/api/health')).status).toBe(200);
  });

  it('what is not JSON, or not said to be, is refused', async () => {
    const job = await server.begin();
    expect((await server.post(`/api/jobs/${job}/ledger`, '{"entries": [')).status).toBe(400);
    expect((await server.post(`/api/jobs/${job}/ledger`, 'x', { 'content-type': 'text/plain' })).status).toBe(400);
  });

  it('an unknown job, address or position is told apart', async () => {
    expect((await server.get('/api/jobs/none')).status).toBe(404);
    expect((await server.append(randomUUID(), 0, [note()])).status).toBe(404);
    expect((await server.get('/api/nothing')).status).toBe(404);
    const job = await server.begin();
    expect((await server.get(`/api/jobs/${job}/ledger?after=-1`)).status).toBe(422);
    expect((await server.get(`/api/jobs/${job}/ledger?after=x`)).status).toBe(422);
    expect((await server.append(job, -1, [note()])).status).toBe(422);
    expect((await server.get('/api/jobs/%E0%A4%A')).status).toBe(404);
  });
});

describe('the answers themselves', () => {
  it('carry strict headers and problem details', async () => {
    const { headers } = await server.get('/api/jobs/none');
    expect(headers.get('content-type')).toContain('application/problem+json');
    expect(headers.get('content-security-policy')).toMatch(/default-src 'self'.*frame-ancestors 'none'/);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('are not given to another site', async () => {
    const { status } = await server.post('/api/jobs', newJob(), { origin: 'http://elsewhere.example' });
    expect(status).toBe(403);
  });

  it('say how an append was placed', async () => {
    const job = await server.begin();
    const sent = note();
    const { body } = await server.post<Appended>(`/api/jobs/${job}/ledger`, { expectedPosition: 0, entries: [sent] });
    expect(body.written).toEqual([{ id: sent.id, position: 1 }]);
  });
});
