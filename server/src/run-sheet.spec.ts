import { USUAL_RATES, type Rates } from '@brisk/core/economics';
import { FIRST_GEAR, type LiftingGear } from '@brisk/core/rigging';
import { HALVES } from '@brisk/core/teardown';
import { randomUUID } from 'node:crypto';
import type { Job } from '@brisk/contracts/job';
import type { Kept, ToolList } from '@brisk/contracts/shop';
import type { Problem } from '@brisk/contracts/problem';
import type { ShopWriting } from '@brisk/contracts/shop-writing';
import { USUAL_WRITING } from '@brisk/core/words';
import { RULES_NOW, waysOut } from '@brisk/core/connection-map';
import { TEMPLATES, usualMap } from '@brisk/core/layouts';
import { foldLedger } from '@brisk/core/ledger';
import { detailsOf, orderOf, planned, usualSettings } from '@brisk/core/planning';
import { pdfOf } from './printing/pdf.js';
import { sheetDocument } from './run-sheet/sheet-document.js';
import { entry, TestServer } from './testing/test-server.js';

const crew = usualSettings(['Ines', 'Tobias', 'Ruben']);
const printed = '2 Mar 2026, 08:00';
const pagesOf = (bytes: Buffer) => [...bytes.toString('latin1').matchAll(/\/Type \/Page\b(?!s)/g)].length;
const wordsOf = (content: unknown): string => {
  if (typeof content === 'string') return content;
  if (Array.isArray(content)) return content.map(wordsOf).join('\n');
  if (typeof content !== 'object' || content === null) return '';
  const { text, stack, columns } = content as Record<string, unknown>;
  return [text, stack, columns].map(wordsOf).join('\n');
};

const AT = new Date(2026, 2, 3, 10, 0);

describe('the run sheet to carry', () => {
  const jobs = TEMPLATES.flatMap(({ layout }) => {
    const map = usualMap(layout);
    return waysOut(map)
      .slice(0, 2)
      .map(
        ({ powerpack, route }) =>
          [`${layout} ${powerpack.id} ${route.id}`, { map, powerpack: powerpack.id, route: route.id }] as const,
      );
  });

  it.each(jobs)('has every step of each half of %s on it, with its figures and questions', (_name, plan) => {
    const state = foldLedger(plan, []);
    const job: Job = {
      id: randomUUID(),
      title: 'Slips when warm',
      machine: 'Minibus no. 7',
      reason: 'same-back',
      crew: ['Ines'],
      createdAt: '2026-03-02T07:00:00.000Z',
      plan,
    };
    for (const half of HALVES) {
      const rest = planned(state, half, crew, undefined);
      const document = sheetDocument(job, state, half, rest, printed, AT, USUAL_WRITING);
      const words = wordsOf(document.content);
      for (const { operation } of rest.schedule.steps) {
        expect(words).toContain(operation.title);
        const { figures, looks } = detailsOf(state, operation);
        for (const told of [...figures, ...looks]) expect(words).toContain(told);
        if (operation.tip !== undefined) expect(words).toContain(operation.tip.replace(/\.$/, ''));
      }
    }
  });
});

describe('printed', () => {
  it.each(['transverse-cradle', 'longitudinal-automatic'])(
    'fits two pages or three in type that is read with gloves on: %s',
    async (layout) => {
      const map = usualMap(layout);
      const [{ powerpack, route } = {}] = waysOut(map);
      const plan = { map, powerpack: powerpack?.id ?? '', route: route?.id ?? '', rules: RULES_NOW };
      const state = foldLedger(plan, []);
      const job = {
        id: randomUUID(),
        title: 'T',
        machine: 'M',
        reason: 'same-back',
        crew: ['Ines'],
        createdAt: '',
        plan,
      } as const;
      const document = sheetDocument(
        job,
        state,
        'back',
        planned(state, 'back', crew, undefined),
        printed,
        AT,
        USUAL_WRITING,
      );
      expect(document.defaultStyle?.fontSize).toBeGreaterThanOrEqual(6.5);
      const pages = pagesOf(await pdfOf(document));
      expect(pages).toBeGreaterThanOrEqual(2);
      expect(pages).toBeLessThanOrEqual(3);
      const head = (unchecked: boolean) => {
        const sheet = sheetDocument(
          { ...job, unchecked },
          state,
          'back',
          planned(state, 'back', crew, undefined),
          printed,
          AT,
          USUAL_WRITING,
        );
        return typeof sheet.header === 'function' ? wordsOf(sheet.header(1, 2, {} as never) ?? '') : '';
      };
      expect([head(true), head(false)].map((words) => words.includes('nobody here has checked'))).toEqual([
        true,
        false,
      ]);
      // What was reckoned to fit does: nothing runs over onto a page of its own.
      expect((document.content as unknown[]).length).toBe(pages);
    },
  );
});

describe('over the wire', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
  });
  afterAll(() => server.stop());

  it('comes as a PDF, by the plan that is followed', async () => {
    const job = await server.begin();
    const { body } = await server.get<{ job: Job }>(`/api/jobs/${job}`);
    const rest = planned(foldLedger(body.job.plan, []), 'out', crew, undefined);
    await server.append(job, 0, [
      entry({
        kind: 'plan-followed',
        half: 'out',
        order: orderOf(rest.schedule),
        ...crew,
        finishMin: rest.schedule.costs.finishMin,
        heightChanges: rest.schedule.costs.heightChanges,
      }),
    ]);
    const answer = await fetch(`${server.address}/api/jobs/${job}/run-sheet.pdf?half=out`);
    expect(answer.headers.get('content-type')).toContain('application/pdf');
    const bytes = Buffer.from(await answer.arrayBuffer());
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pagesOf(bytes)).toBeGreaterThanOrEqual(2);
  });

  it('is refused for a half that is none and a job that is not here', async () => {
    const job = await server.begin();
    const wrong = await server.get<Problem>(`/api/jobs/${job}/run-sheet.pdf?half=sideways`);
    expect([wrong.status, wrong.body.detail]).toEqual([422, 'half has to be out or back.']);
    const nowhere = await server.get<Problem>(`/api/jobs/${job}/run-sheet.pdf?zone=Larkmoor/Shed`);
    expect([nowhere.status, nowhere.body.detail]).toEqual([422, 'zone has to be a time zone such as Europe/Berlin.']);
    expect((await server.get(`/api/jobs/${randomUUID()}/run-sheet.pdf`)).status).toBe(404);
  });

  it('refuses a plan that goes against a reason', async () => {
    const job = await server.begin();
    const plan = {
      kind: 'plan-followed',
      half: 'out',
      order: ['hold:made-safe', 'open:battery-negative'],
      ...crew,
      finishMin: 1,
      heightChanges: 0,
    } as const;
    const answer = await server.append(job, 0, [entry(plan)]);
    expect(answer.status).toBe(422);
    expect(answer.body).toMatchObject({ detail: expect.stringContaining('before anybody signs') as unknown });
  });
});

describe('the shop’s tools', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
  });
  afterAll(() => server.stop());

  it('are kept revision by revision, and survive a restart', async () => {
    const empty = await server.get<Kept<ToolList>>('/api/tools');
    expect(empty.body).toMatchObject({ revision: 0, document: { tools: [] } });
    const tools = [{ tool: 'pulley puller', here: false, hire: 'Hire desk, 12 a day' }];
    const kept = await server.put<Kept<ToolList>>('/api/tools', { revision: 0, document: { tools } });
    expect(kept.body.revision).toBe(1);
    expect((await server.put('/api/tools', { revision: 0, document: { tools: [] } })).status).toBe(409);
    await server.restart();
    expect((await server.get<Kept<ToolList>>('/api/tools')).body.document.tools).toEqual(tools);
  });

  it('and its lifting gear is ordinary gear until it writes down its own', async () => {
    const first = await server.get<Kept<LiftingGear>>('/api/lifting-gear');
    expect(first.body).toMatchObject({ revision: 0, document: FIRST_GEAR });
    const own = { ...FIRST_GEAR, dollies: [] };
    expect((await server.put('/api/lifting-gear', { revision: 0, document: own })).status).toBe(200);
    expect((await server.put('/api/lifting-gear', { revision: 0, document: FIRST_GEAR })).status).toBe(409);
    const upset = { ...own, hoists: [] };
    expect((await server.put('/api/lifting-gear', { revision: 1, document: upset })).status).toBe(422);
    await server.restart();
    expect((await server.get<Kept<LiftingGear>>('/api/lifting-gear')).body.document).toEqual(own);
  });

  it('and it writes days and times in one way until it chooses another, with the headings of its own lists', async () => {
    const first = await server.get<Kept<ShopWriting>>('/api/writing');
    expect(first.body).toMatchObject({ revision: 0, document: { days: 'd MMM yyyy', clock: 'HH:mm', headings: [] } });
    const own = {
      days: 'dd.MM.yyyy',
      clock: 'h:mm a',
      headings: [{ table: 'parts', heading: 'Bezeichnung', column: 'name' }],
    };
    for (const wrong of [
      { days: 'soon' },
      { clock: 'noon' },
      { headings: [{ table: 'bolts', heading: 'a', column: 'b' }] },
    ])
      expect((await server.put('/api/writing', { revision: 0, document: { ...own, ...wrong } })).status).toBe(422);
    expect((await server.put('/api/writing', { revision: 0, document: own })).status).toBe(200);
    expect((await server.get<Kept<ShopWriting>>('/api/writing')).body.document).toEqual(own);
  });

  it('and it reckons with usual rates until it writes down its own', async () => {
    const first = await server.get<Kept<Rates>>('/api/rates');
    expect(first.body).toMatchObject({ revision: 0, document: USUAL_RATES });
    const own = { currency: 'CHF', hourCents: 9_000, litreCents: 900, fastenerCents: 0 };
    expect((await server.put('/api/rates', { revision: 0, document: own })).status).toBe(200);
    expect((await server.put('/api/rates', { revision: 0, document: USUAL_RATES })).status).toBe(409);
    for (const wrong of [{ currency: 'francs' }, { hourCents: -1 }, { litreCents: 1.5 }])
      expect((await server.put('/api/rates', { revision: 1, document: { ...own, ...wrong } })).status).toBe(422);
    await server.restart();
    expect((await server.get<Kept<Rates>>('/api/rates')).body.document).toEqual(own);
  });

  it('stand on the list once each', async () => {
    const tools = [1, 2].map(() => ({ tool: 'pulley puller', here: true }));
    const answer = await server.put('/api/tools', { revision: 9, document: { tools } });
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toContain('twice');
  });
});
