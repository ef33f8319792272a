import { TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

it('the simulated bench box sends what it reads, and says that it is simulated', async () => {
  const off = new AbortController();
  const response = await fetch(`${server.address}/api/simulated-bench-box?fault=flat-battery`, { signal: off.signal });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const reader = (response.body as ReadableStream<Uint8Array>).getReader();
  const { value } = await reader.read();
  off.abort();
  const [event = ''] = new TextDecoder().decode(value).split('\n\n');
  expect(JSON.parse(event.replace('data: ', ''))).toMatchObject({
    atMs: 100,
    amps: 0,
    rpm: 0,
    volts: expect.closeTo(11.7, 0),
    simulated: true,
  });
});

it('refuses a fault it does not have, in words', async () => {
  const answer = await server.get('/api/simulated-bench-box?fault=gremlins');
  expect(answer.status).toBe(422);
  expect(JSON.stringify(answer.body)).toContain('fault has to be one of none, flat-battery');
});
