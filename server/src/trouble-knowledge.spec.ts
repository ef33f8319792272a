import type { Kept } from '@brisk/contracts/shop';
import type { Cause, OwnKnowledge } from '@brisk/core/diagnosis';
import { TestServer } from './testing/test-server.js';

let server: TestServer;
beforeAll(async () => {
  server = await TestServer.start();
});
afterAll(() => server.stop());

const mouse: Cause = {
  id: 'mouse',
  name: 'A mouse ate the loom',
  weight: 2,
  about: { systems: ['electrics'], words: ['loom'] },
  signs: { wiggle: { changes: 0.7 } },
  lookMin: 10,
  mend: 'Splice it, and a cat.',
};
const put = (document: object, revision: number) =>
  server.put<Kept<OwnKnowledge> & { readonly detail: string }>('/api/trouble-knowledge', { revision, document });

describe('what the shop knows otherwise of what goes wrong', () => {
  it('is nothing at first, is kept, and survives the server', async () => {
    expect((await server.get('/api/trouble-knowledge')).body).toEqual({
      revision: 0,
      updatedAt: '',
      document: { tests: [], causes: [], without: [] },
    });
    const document = { tests: [], causes: [mouse], without: ['engine-stuck'] };
    expect(await put(document, 0)).toMatchObject({ status: 200, body: { revision: 1, document } });
    await server.restart();
    expect((await server.get('/api/trouble-knowledge')).body).toMatchObject({ revision: 1, document });
  });

  it.each([
    ['a test nobody knows', { ...mouse, signs: { squeak: { loud: 0.5 } } }, 'mouse: There is no test called “squeak”.'],
    ['an answer nobody gives', { ...mouse, signs: { wiggle: { loud: 0.5 } } }, 'has no answer called “loud”'],
    ['a likelihood above one', { ...mouse, signs: { wiggle: { changes: 1.7 } } }, 'signs.wiggle.changes'],
    [
      'answers that come to more than one',
      { ...mouse, signs: { wiggle: { changes: 0.7, no: 0.7 } } },
      'between 0 and 1',
    ],
    ['no weight', { ...mouse, weight: 0 }, 'weight'],
    ['a field too many', { ...mouse, colour: 'grey' }, 'colour'],
  ])('with %s is refused in words, and what was kept stays', async (_name, cause, words) => {
    const before = (await server.get<Kept<OwnKnowledge>>('/api/trouble-knowledge')).body;
    const answer = await put({ tests: [], causes: [cause], without: [] }, before.revision);
    expect(answer).toMatchObject({ status: 422, body: { detail: expect.stringContaining(words) } });
    expect((await server.get('/api/trouble-knowledge')).body).toEqual(before);
  });

  it('is not written over what somebody else wrote meanwhile', async () => {
    expect((await put({ tests: [], causes: [], without: [] }, 0)).status).toBe(409);
  });
});
