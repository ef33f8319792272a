import { randomUUID } from 'node:crypto';
import type { Bundle } from '@brisk/contracts/bundle';
import type { Job, JobSummary, JobWithLedger, LedgerTail, Planning } from '@brisk/contracts/job';
import type { Kept, ShopTemplate, ShopTemplateSummary } from '@brisk/contracts/shop';
import type { InspectionSheet } from '@brisk/core/donor';
import { TEMPLATES, usualMap } from '@brisk/core/layouts';
import type { LedgerEntry } from '@brisk/core/ledger';
import { applyEdit, type MapEdit } from '@brisk/core/map-edit';
import { entry, newJob, TestServer, toldAnew } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const jobOf = async (id: string) => (await server.get<JobWithLedger>(`/api/jobs/${id}`)).body.job;
const removeHose: MapEdit = { kind: 'remove-connection', id: 'bottle-hose-engine' };

/** Planning that follows on `job`, with one edit of its map. */
function edited({ plan, survey, swap, revision = 1 }: Job, edit: MapEdit = removeHose): Planning {
  return {
    revision,
    plan: { ...plan, map: applyEdit(plan.map, edit) },
    ...(survey ? { survey } : {}),
    ...(swap ? { swap } : {}),
  };
}

describe('a surveyed job', () => {
  it('begins with the map of its layout and choices, and with what nobody knew', async () => {
    const id = await server.begin({
      layout: 'transverse-cradle',
      choices: { fuel: 'petrol-direct', oilCooler: 'yes', refrigerant: 'none' },
      unsure: ['oilCooler'],
      powerpack: 'cradle',
      route: 'under',
    });
    const { plan, survey, revision } = await jobOf(id);
    expect(plan.map.parts.map((part) => part.id)).toContain('oil-cooler');
    expect(plan.map.parts.map((part) => part.id)).not.toContain('condenser');
    expect(plan.lookAt).toEqual([{ about: 'oilCooler', question: 'Is there an oil cooler?', taken: 'Yes' }]);
    expect(survey).toMatchObject({ layout: 'transverse-cradle', choices: { fuel: 'petrol-direct' } });
    expect(revision).toBe(1);
  });

  it.each(TEMPLATES.map(({ layout }) => layout))('can be begun on the layout %s as it usually is', async (layout) => {
    const { powerpacks, routes } = usualMap(layout);
    const powerpack = powerpacks[0]?.id ?? '';
    const route = routes.find((one) => one.powerpacks?.includes(powerpack) ?? true)?.id ?? '';
    expect((await server.post('/api/jobs', newJob({ layout, powerpack, route }))).status).toBe(201);
  });

  it.each([
    [{ layout: 'moon-buggy' }, /no layout called/],
    [{ choices: { fuel: 'carburettor', throttle: 'electronic' } }, /opened by a cable/],
    [{ choices: { fuel: 'steam' } }, /not among the answers/],
    [{ choices: { wings: 'two' } }, /no question “wings”/],
    [{ choices: { fuel: 7 } as never }, /fuel/],
    [{ choices: ['fuel'] as never }, /has to be a record/],
    [{ powerpack: 'gearbox', route: 'top' }, /does not leave by the route/],
    [{ template: 'gone' }, /not here any more/],
  ])('is refused with %j', async (changes, words) => {
    const { status, body } = await server.post('/api/jobs', newJob(changes));
    expect(status).toBe(422);
    expect(body.detail).toMatch(words);
  });
});

describe('the planning of a job', () => {
  it('is changed from the revision one knew, once, and survives a restart', async () => {
    const id = await server.begin();
    const planning = edited(await jobOf(id));
    const first = await server.put<Job>(`/api/jobs/${id}/planning`, planning);
    const again = await server.put<Job>(`/api/jobs/${id}/planning`, planning);
    expect([first.status, again.status]).toEqual([200, 200]);
    expect(again.body).toEqual(first.body);
    await server.restart();
    const job = await jobOf(id);
    expect(job.revision).toBe(2);
    expect(job.plan.map.connections.some((one) => one.id === 'bottle-hose-engine')).toBe(false);
    const { body } = await server.get<LedgerTail>(`/api/jobs/${id}/ledger?after=0`);
    expect(body.revision).toBe(2);
  });

  it('is not written over somebody else’s', async () => {
    const id = await server.begin();
    const mine = edited(await jobOf(id));
    await server.put(
      `/api/jobs/${id}/planning`,
      edited(await jobOf(id), { kind: 'remove-connection', id: 'breather-hose' }),
    );
    const { status, body } = await server.put(`/api/jobs/${id}/planning`, mine);
    expect([status, body.type, body.revision]).toEqual([409, 'urn:brisk-ledger:stale-revision', 2]);
    expect((await jobOf(id)).plan.map.connections.some((one) => one.id === 'bottle-hose-engine')).toBe(true);
  });

  it('keeps what has been recorded: a connection that was opened stays on the map', async () => {
    const id = await server.begin();
    await server.append(id, 0, [
      entry({ kind: 'operation-done', operation: 'do:codes-before' }),
      entry({ kind: 'operation-done', operation: 'open:battery-negative' }),
    ]);
    await server.append(id, 2, [
      entry({ kind: 'operation-done', operation: 'do:rail-wait' }),
      entry({ kind: 'operation-done', operation: 'make:fuel-depressurised' }),
    ]);
    const job = await jobOf(id);
    const noFuel: Planning = {
      ...edited(job),
      plan: {
        ...job.plan,
        map: {
          ...job.plan.map,
          conditions: job.plan.map.conditions.filter((one) => one.id !== 'fuel-depressurised'),
          connections: job.plan.map.connections.map((one) => ({
            ...one,
            needs: one.needs.filter((need) => need !== 'fuel-depressurised'),
          })),
        },
      },
    };
    const { status, body } = await server.put(`/api/jobs/${id}/planning`, noFuel);
    expect(status).toBe(422);
    expect(body.detail).toBe(
      '“Let the rail pressure fall, as long as the maker says” is recorded already; it has to stay in the plan. Nothing was changed.',
    );
    expect((await server.put(`/api/jobs/${id}/planning`, edited(job))).status).toBe(200);
    const { body: jobs } = await server.get<JobSummary[]>('/api/jobs');
    expect(jobs.find((one) => one.id === id)).toMatchObject({ stepsDone: 4 });
  });

  it('is refused with a map that cannot be worked, naming where', async () => {
    const id = await server.begin();
    const job = await jobOf(id);
    const loose = edited(job, {
      kind: 'add-part',
      part: { id: 'loose', name: 'loose thing', zone: 'cabin', system: 'body' },
    });
    const { status, body } = await server.put(`/api/jobs/${id}/planning`, loose);
    expect(status).toBe(422);
    expect(body.errors?.[0]).toEqual({ field: 'plan.map: loose', words: 'Nothing holds the loose thing.' });
    expect((await server.put(`/api/jobs/${randomUUID()}/planning`, edited(job))).status).toBe(404);
    expect((await server.put(`/api/jobs/${id}/planning`, { ...edited(job), revision: 'one' })).status).toBe(422);
  });

  it('carries a donor with what was found, decided and pulled', async () => {
    const id = await server.begin({ reason: 'swap' });
    const job = await jobOf(id);
    const swap = {
      donor: { name: 'Wreck 4', layout: 'longitudinal-manual', choices: {}, powerpack: 'engine', priceCents: 45_000 },
      found: { impact: 'behind' },
      decisions: { 'mount-left': { decision: 'make', minutes: 90, note: 'Plate of 8 mm' } },
      pulled: { starter: { got: true, coreChargeCents: 4_000 } },
    } as const;
    const { status, body } = await server.put<Job>(`/api/jobs/${id}/planning`, { revision: 1, plan: job.plan, swap });
    expect([status, body.swap]).toEqual([200, swap]);
    const bad = { ...swap, decisions: { 'mount-left': { decision: 'guess' } } };
    const refused = await server.put(`/api/jobs/${id}/planning`, { revision: 2, plan: job.plan, swap: bad });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(refused.body.errors)).toMatch(/swap\.decisions\.mount-left/);
  });

  it('travels in a bundle, newer over older and never back', async () => {
    const id = await server.begin();
    const before = (await server.get<Bundle>(`/api/jobs/${id}/bundle`)).body;
    await server.put(`/api/jobs/${id}/planning`, edited(await jobOf(id)));
    const after = (await server.get<Bundle>(`/api/jobs/${id}/bundle`)).body;
    const other = await TestServer.start();
    try {
      await other.post('/api/bundles', before);
      expect((await other.post('/api/bundles', after)).status).toBe(201);
      expect((await other.post('/api/bundles', before)).status).toBe(201);
      const { body } = await other.get<JobWithLedger>(`/api/jobs/${id}`);
      expect(body.job).toEqual(after.job);
    } finally {
      await other.stop();
    }
  });

  it('is not taken in where the entries that come with it may not be written', async () => {
    const id = await server.begin();
    await server.put(`/api/jobs/${id}/planning`, edited(await jobOf(id)));
    const after = (await server.get<Bundle>(`/api/jobs/${id}/bundle`)).body;
    const { revision: _revision, ...first } = after.job;
    const other = await TestServer.start();
    try {
      const { plan } = { ...first, plan: { ...first.plan, map: usualMap(first.plan.map.layout) } };
      await other.post('/api/bundles', { ...after, job: { ...first, plan, revision: 1 } });
      const before = (await other.get<JobWithLedger>(`/api/jobs/${id}`)).body;
      const early = entry({ kind: 'operation-done', operation: 'open:mount-left' });
      const merged = await other.post('/api/bundles', toldAnew(after, [early]));
      expect(merged).toMatchObject({
        status: 422,
        body: { detail: expect.stringMatching(/Nothing was written/) as unknown },
      });
      expect((await other.get<JobWithLedger>(`/api/jobs/${id}`)).body).toEqual(before);
      await other.restart();
      expect((await other.get<JobWithLedger>(`/api/jobs/${id}`)).body).toEqual(before);
    } finally {
      await other.stop();
    }
  });

  it('comes in marked where the plan was changed and the work does not follow from it, and held to the rules where it does', async () => {
    const id = await server.begin();
    await server.put(`/api/jobs/${id}/planning`, edited(await jobOf(id)));
    const bundle = (await server.get<Bundle>(`/api/jobs/${id}/bundle`)).body;
    const bring = async (ledger: readonly LedgerEntry[], more: Partial<Job> = {}) => {
      const other = await TestServer.start();
      const job = { ...bundle.job, ...more };
      const { status } = await other.post('/api/bundles', toldAnew(bundle, ledger, job));
      expect(status).toBe(201);
      const [summary] = (await other.get<JobSummary[]>('/api/jobs')).body;
      const again = await other.post('/api/bundles', toldAnew(bundle, ledger, job));
      expect(again.status).toBe(201);
      await other.stop();
      return summary?.unchecked;
    };
    const over = entry({ kind: 'handed-over', openItems: 0 });
    expect(await bring([over])).toBe(true);
    expect(await bring([over], { unchecked: false })).toBe(true);
    expect(await bring([entry({ kind: 'noted', text: 'Fine' })])).toBeUndefined();
    expect(await bring([entry({ kind: 'noted', text: 'Fine' })], { unchecked: true })).toBeUndefined();
  });

  it('reads bundles of version 1, which know nothing of all this', async () => {
    const id = await server.begin();
    const bundle = (await server.get<Bundle>(`/api/jobs/${id}/bundle`)).body;
    const { survey: _survey, revision: _revision, ...job } = bundle.job;
    const other = await TestServer.start();
    try {
      expect((await other.post('/api/bundles', { ...bundle, version: 1, job })).status).toBe(201);
      expect((await other.put(`/api/jobs/${id}/planning`, edited(job))).status).toBe(200);
    } finally {
      await other.stop();
    }
  });
});

describe('what the shop keeps', () => {
  const template: ShopTemplate = {
    id: 'tern',
    name: 'Aldwick Tern as we know it',
    layout: 'longitudinal-automatic',
    choices: {},
    map: applyEdit(usualMap('longitudinal-automatic'), removeHose),
  };

  it('is offered to the next job, which takes a copy', async () => {
    expect((await server.put('/api/templates/tern', { revision: 0, document: template })).status).toBe(200);
    const { body: offered } = await server.get<ShopTemplateSummary[]>('/api/templates');
    expect(offered).toContainEqual(expect.objectContaining({ id: 'tern', name: template.name, revision: 1 }));
    const id = await server.begin({ template: 'tern' });
    expect((await server.delete('/api/templates/tern')).status).toBe(204);
    expect((await server.get('/api/templates/tern')).status).toBe(404);
    expect((await jobOf(id)).plan.map).toEqual(template.map);
    expect((await jobOf(id)).survey).toMatchObject({ template: 'tern' });
  });

  it('is written over only by who knew how it stood', async () => {
    const path = '/api/templates/second';
    const document = { ...template, id: 'second' };
    await server.put(path, { revision: 0, document });
    expect((await server.put(path, { revision: 0, document })).status).toBe(200);
    const renamed = { ...document, name: 'Renamed' };
    expect((await server.put<Kept<ShopTemplate>>(path, { revision: 1, document: renamed })).body.revision).toBe(2);
    expect((await server.put(path, { revision: 1, document })).status).toBe(409);
    expect((await server.put('/api/templates/third', { revision: 0, document })).status).toBe(422);
  });

  it('takes no template that cannot be worked', async () => {
    const [first] = template.map.connections;
    const twice = {
      ...template,
      id: 'bad',
      map: { ...template.map, connections: [...template.map.connections, first] },
    };
    expect((await server.put('/api/templates/bad', { revision: 0, document: twice })).body.detail).toMatch(
      /two connections called/,
    );
  });

  it('weighs donors as shipped until the shop weighs them itself', async () => {
    const { body } = await server.get<Kept<InspectionSheet>>('/api/inspection-sheet');
    expect(body.revision).toBe(0);
    const stricter = { ...body.document, goodFrom: 95 };
    expect((await server.put('/api/inspection-sheet', { revision: 0, document: stricter })).status).toBe(200);
    expect((await server.get<Kept<InspectionSheet>>('/api/inspection-sheet')).body.document.goodFrom).toBe(95);
    const upsideDown = { ...stricter, goodFrom: 10 };
    expect((await server.put('/api/inspection-sheet', { revision: 1, document: upsideDown })).body.detail).toMatch(
      /has to ask for more points/,
    );
  });
});
