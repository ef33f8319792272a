import { randomUUID } from 'node:crypto';
import type { Device, Invitation, Person, Session } from '@brisk/contracts/people';
import type { Problem } from '@brisk/contracts/problem';
import { pino } from 'pino';
import { serve } from './serve.js';
import { entry, newJob, TestServer } from './testing/test-server.js';

const RUTH = { name: 'Ruth', passphrase: 'three greasy gloves', pin: '2468', device: 'Shed computer' };
const person = (name: string, role: string, pin = '1357') => ({
  id: randomUUID(),
  name,
  role,
  passphrase: `${name} has a passphrase`,
  pin,
});

let server: TestServer;
beforeEach(async () => {
  server = await TestServer.start();
});
afterEach(() => server.stop());

/** The cookie that an answer gives, to be sent again. */
function cookieOf(headers: Headers): { readonly cookie: string } {
  const [set = ''] = headers.getSetCookie();
  expect(set).toMatch(/HttpOnly/);
  expect(set).toMatch(/SameSite=Strict/i);
  return { cookie: set.split(';')[0] ?? '' };
}
/** Makes the shop with Ruth, who leads, and returns her device’s cookie. */
async function withRuth() {
  const { status, headers } = await server.post('/api/session/first', RUTH);
  expect(status).toBe(201);
  return cookieOf(headers);
}
async function added(lead: Record<string, string>, ...people: ReturnType<typeof person>[]) {
  for (const one of people) expect((await server.post('/api/people', one, lead)).status).toBe(201);
}
async function signedIn(name: string, passphrase = `${name} has a passphrase`) {
  const { status, headers } = await server.post('/api/session', { name, passphrase, device: `${name}’s phone` });
  expect(status).toBe(200);
  return cookieOf(headers);
}

/** A job begun by who has this cookie. */
async function begun(headers: Record<string, string>): Promise<string> {
  const job = newJob();
  expect((await server.post('/api/jobs', job, headers)).status).toBe(201);
  return job.id;
}

describe('a shop without people', () => {
  it('is open on this machine, and says so; the first person made leads, and the next is not the first', async () => {
    expect((await server.get<Session>('/api/session')).body).toEqual({ open: true, needsFirst: false, here: [] });
    expect((await server.get('/api/jobs')).status).toBe(200);
    const lead = await withRuth();
    const { body } = await server.get<Session>('/api/session', lead);
    expect(body).toMatchObject({ open: false, me: { name: 'Ruth', role: 'lead', asksPin: false } });
    const again = await server.post('/api/session/first', { ...RUTH, name: 'Mallory' });
    expect([again.status, again.body.detail]).toEqual([409, expect.stringContaining('people already')]);
    expect((await server.get('/api/jobs')).status).toBe(401);
  });

  it('is shut on a network until the first person is made with the code that the server said', async () => {
    await server.pause();
    const running = await serve(
      { host: '0.0.0.0', port: 0, dataFolder: server.folder, logLevel: 'silent' },
      'nowhere',
      pino({ level: 'silent' }),
    );
    const address = running.address.replace('0.0.0.0', '127.0.0.1');
    const send = (body: object) =>
      fetch(`${address}/api/session/first`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
    try {
      expect(await (await fetch(`${address}/api/session`)).json()).toEqual({ open: false, needsFirst: true, here: [] });
      expect((await fetch(`${address}/api/jobs`)).status).toBe(401);
      expect((await send(RUTH)).status).toBe(401);
      expect((await send({ ...RUTH, code: 'AAAAAAAA' })).status).toBe(401);
      const spaced = running.firstCode?.toLowerCase().replace(/^(....)/, '$1 ');
      expect((await send({ ...RUTH, code: spaced })).status).toBe(201);
    } finally {
      await running.stop();
    }
    await server.restart();
  });
});

describe('every endpoint', () => {
  it('refuses who has not signed in, and lets a guest only look', async () => {
    const lead = await withRuth();
    await added(lead, person('Gast', 'guest'));
    const guest = await signedIn('Gast');
    const { body } = await server.get<{ paths: Record<string, Record<string, unknown>> }>('/api/openapi.json', lead);
    const answers = new Map<string, readonly number[]>();
    for (const [path, methods] of Object.entries(body.paths))
      for (const method of Object.keys(methods)) {
        const at = path.replace(/\{\w+\}/g, 'x');
        const asked = async (headers: Record<string, string>) => {
          const off = new AbortController();
          const response = await fetch(server.address + at, { method, headers, signal: off.signal });
          off.abort();
          return response.status;
        };
        // Who signs out is no guest any more.
        answers.set(`${method} ${path}`, [await asked({}), await asked(at === '/api/session' ? {} : guest)]);
      }
    const open = ['get /api/health', 'get /api/session', 'delete /api/session'];
    const signing = ['', '/first', '/join', '/person'].map((path) => `post /api/session${path}`);
    const shut = [...answers].filter(([name]) => ![...open, ...signing].includes(name));
    expect(shut.length).toBeGreaterThan(55);
    expect(shut.filter(([, [nobody]]) => nobody !== 401)).toEqual([]);
    const writing = shut.filter(([name]) => !name.startsWith('get '));
    expect(writing.filter(([, [, asGuest]]) => asGuest !== 403)).toEqual([]);
    for (const name of open) expect([200, 401]).toContain(answers.get(name)?.[0]);
  });
});

describe('who wrote it', () => {
  it('is who signed in on the device, not what the request says', async () => {
    const lead = await withRuth();
    await added(lead, person('Ines', 'crew'), person('Tobias', 'crew'));
    const ines = await signedIn('Ines');
    const job = await begun(ines);
    const write = (by: string, expectedPosition: number) =>
      server.post(
        `/api/jobs/${job}/ledger`,
        { expectedPosition, entries: [{ ...entry({ kind: 'noted', text: 'Wet' }), by }] },
        ines,
      );
    expect((await write('Ines', 0)).status).toBe(200);
    const other = await write('Tobias', 1);
    expect([other.status, other.body.detail]).toEqual([403, expect.stringContaining('Tobias has not signed in')]);
    // Two on one tablet: each under their own name, also what was recorded before they changed over.
    expect(
      (await server.post('/api/session', { name: 'Tobias', passphrase: 'Tobias has a passphrase' }, ines)).status,
    ).toBe(200);
    expect((await write('Tobias', 1)).status).toBe(200);
    expect((await write('Ines', 2)).status).toBe(200);
    expect((await server.put(`/api/jobs/${job}/aside`, { aside: true }, ines)).body.detail).toMatch(/those who lead/);
  });
});

describe('taking over a tablet', () => {
  it('is one touch for who gave the PIN today, and stops guessing after five', async () => {
    const lead = await withRuth();
    await added(lead, person('Ines', 'crew'), person('Tobias', 'crew'));
    const { body: invitation } = await server.post<Invitation>('/api/invitations', {}, lead);
    const joined = await server.post<Session>('/api/session/join', { code: invitation.code, device: 'Tablet' });
    const tablet = cookieOf(joined.headers);
    expect(joined.body.here.map(({ name, asksPin }) => [name, asksPin])).toEqual([
      ['Ines', true],
      ['Ruth', true],
      ['Tobias', true],
    ]);
    expect((await server.get('/api/jobs', tablet)).status).toBe(401);
    const again = await server.post('/api/session/join', { code: invitation.code });
    expect([again.status, again.body.detail]).toEqual([401, expect.stringContaining('used already')]);

    const idOf = (name: string) => joined.body.here.find((one) => one.name === name)?.id ?? '';
    const take = (name: string, pin?: string) =>
      server.post<Session & Problem>('/api/session/person', { person: idOf(name), ...(pin ? { pin } : {}) }, tablet);
    expect((await take('Ines')).status).toBe(401);
    expect((await take('Ines', '1357')).body.me?.name).toBe('Ines');
    expect((await take('Tobias', '1357')).body.me?.name).toBe('Tobias');
    expect((await take('Ines')).body.me?.name).toBe('Ines');
    // Ruth is of the shop and could take the tablet; who has not shown here that it is her writes under no such name.
    const job = await begun(tablet);
    const under = (by: string) =>
      server.post(
        `/api/jobs/${job}/ledger`,
        { expectedPosition: 0, entries: [{ ...entry({ kind: 'noted', text: 'Wet' }), by }] },
        tablet,
      );
    expect((await under('Ruth')).body.detail).toMatch(/Ruth has not signed in on this device/);
    expect((await under('Tobias')).status).toBe(200);

    for (let tries = 0; tries < 5; tries += 1) expect((await take('Ruth', '0000')).status).toBe(401);
    const locked = await take('Ruth', '2468');
    expect([locked.status, locked.body.detail]).toEqual([429, expect.stringContaining('wrong 5 times')]);
    expect((await take('Tobias')).status).toBe(200);
    // A new PIN opens it again.
    await server.put(`/api/people/${idOf('Ruth')}`, { pin: '8642' }, lead);
    expect((await take('Ruth', '8642')).status).toBe(200);
  });
});

describe('who is put out', () => {
  it('is out at once, on every device, and over a restart; somebody is always left who leads', async () => {
    const lead = await withRuth();
    await added(lead, person('Ines', 'crew'));
    const ines = await signedIn('Ines');
    const people = (await server.get<readonly Person[]>('/api/people', lead)).body;
    const idOf = (name: string) => people.find((one) => one.name === name)?.id ?? '';
    const last = await server.put(`/api/people/${idOf('Ruth')}`, { role: 'crew' }, lead);
    expect([last.status, last.body.detail]).toEqual([422, expect.stringContaining('Nobody would be left')]);
    expect((await server.put<Person>(`/api/people/${idOf('Ines')}`, { out: true }, lead)).body.out).toBe(true);
    expect((await server.get('/api/jobs', ines)).status).toBe(401);
    const back = await server.post('/api/session', { name: 'Ines', passphrase: 'Ines has a passphrase' });
    expect(back.status).toBe(401);
    await server.restart();
    expect((await server.get('/api/jobs', ines)).status).toBe(401);
    expect((await server.get('/api/jobs', lead)).status).toBe(200);
  });

  it('may be a device alone', async () => {
    const lead = await withRuth();
    await added(lead, person('Ines', 'crew'));
    const ines = await signedIn('Ines');
    const { body } = await server.get<readonly Device[]>('/api/devices', lead);
    expect(body.map(({ name, people, thisOne }) => [name, people, thisOne]).sort()).toEqual([
      ['Ines’s phone', ['Ines'], false],
      ['Shed computer', ['Ruth'], true],
    ]);
    const phone = body.find(({ thisOne }) => !thisOne)?.id;
    const out = await fetch(`${server.address}/api/devices/${phone}`, { method: 'DELETE', headers: lead });
    expect(out.status).toBe(204);
    expect((await server.get('/api/jobs', ines)).status).toBe(401);
    await signedIn('Ines');
  });
});

describe('what is not right', () => {
  it.each([
    [{ ...RUTH, name: ' ' }, /Name/],
    [{ ...RUTH, passphrase: 'short' }, /10 letters or more/],
    [{ ...RUTH, pin: '12' }, /four to eight figures/],
    [{ ...RUTH, pin: 'abcd' }, /four to eight figures/],
    [{ ...RUTH, role: 'king' }, /role/],
  ])('%j is told, and nobody is made', async (first, words) => {
    const { status, body } = await server.post('/api/session/first', first);
    expect([status, body.detail]).toEqual([422, expect.stringMatching(words)]);
    expect((await server.get<Session>('/api/session')).body.open).toBe(true);
  });

  it('is a name that is taken; the same request again is answered the same', async () => {
    const lead = await withRuth();
    const ines = person('Ines', 'crew');
    await added(lead, ines, ines);
    const taken = await server.post('/api/people', person('ines', 'crew'), lead);
    expect([taken.status, taken.body.detail]).toEqual([409, expect.stringContaining('There is a ines already')]);
  });

  it('is nobody’s passphrase: it is told as one that is wrong is', async () => {
    await withRuth();
    const [nobody, wrong] = await Promise.all(
      ['Nobody', 'Ruth'].map((name) => server.post('/api/session', { name, passphrase: 'not it at all' })),
    );
    expect(nobody?.status).toBe(401);
    expect(nobody?.body.detail).toBe(wrong?.body.detail);
  });
});

describe('the bell of who was put out', () => {
  it('rings no more', async () => {
    const lead = await withRuth();
    await added(lead, person('Ines', 'crew'));
    const ines = await signedIn('Ines');
    const line = await fetch(`${server.address}/api/bell`, { headers: ines });
    const people = (await server.get<readonly Person[]>('/api/people', lead)).body;
    const id = people.find(({ name }) => name === 'Ines')?.id;
    expect((await server.put(`/api/people/${id}`, { out: true }, lead)).status).toBe(200);
    // It comes to its end by itself; else this would wait for ever.
    expect(await line.text()).toContain('event: beat');
    expect((await fetch(`${server.address}/api/bell`, { headers: ines })).status).toBe(401);
  });
});
