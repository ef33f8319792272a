import { inflateSync } from 'node:zlib';
import { cardDocument, CardTooLargeError } from './bolt-card/card-document.js';
import { labelSheet } from './labels/label-sheet.js';
import { LABEL_STOCKS } from './labels/label-stock.js';
import { pdfOf } from './printing/pdf.js';
import { positionsOf } from '@brisk/core/fasteners';
import { rollLabels } from '@brisk/core/labels';
import { entry, TestServer } from './testing/test-server.js';

let server: TestServer;
let job: string;
beforeAll(async () => {
  server = await TestServer.start();
  job = await server.begin();
  const bodies = [
    { kind: 'fasteners-counted', connection: 'battery-negative', direction: 'out', count: 1, bag: 3, kept: 'bag' },
    { kind: 'tagged', connection: 'battery-negative', tag: 7 },
    { kind: 'fasteners-counted', connection: 'bell-bolts', direction: 'out', count: 1, kept: 'card' },
  ];
  await server.append(
    job,
    0,
    bodies.slice(0, 2).map((body) => entry(body as never)),
  );
});
afterAll(() => server.stop());

/** A PDF as it came over the line. */
async function pdf(path: string) {
  const response = await fetch(server.address + path);
  const bytes = Buffer.from(await response.arrayBuffer());
  return { status: response.status, type: response.headers.get('content-type') ?? '', bytes };
}
const pages = (bytes: Buffer) => bytes.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;
/** Everything drawn in a PDF, unpacked. */
function drawn(bytes: Buffer): string {
  const text = bytes.toString('latin1');
  return [...text.matchAll(/stream\r?\n([\s\S]*?)\r?\nendstream/g)]
    .map(([, packed = '']) => {
      try {
        return inflateSync(Buffer.from(packed, 'latin1')).toString('latin1');
      } catch {
        return '';
      }
    })
    .join('\n');
}

describe('labels', () => {
  it('of a job are printed on a sheet or a roll', async () => {
    for (const { id } of LABEL_STOCKS) {
      const { status, type, bytes } = await pdf(`/api/jobs/${job}/labels.pdf?of=tag&stock=${id}`);
      expect({ status, type }).toEqual({ status: 200, type: expect.stringContaining('application/pdf') as string });
      expect(pages(bytes)).toBe(id === 'roll' ? 2 : 1);
    }
    expect(pages((await pdf(`/api/jobs/${job}/labels.pdf?of=bag&stock=roll`)).bytes)).toBe(1);
  });

  it('of a roll are printed beforehand, two of each tag', async () => {
    const { bytes } = await pdf('/api/labels/roll.pdf?of=tag&from=100&count=5&stock=roll');
    expect(pages(bytes)).toBe(10);
    expect(pages((await pdf('/api/labels/roll.pdf?of=tag&from=1&count=24&stock=a4-24')).bytes)).toBe(2);
  });

  it.each([
    ['of=sticker', 'of has to be tag or bag'],
    ['of=tag&stock=a5', 'stock has to be one of'],
    ['of=tag&numbers=x', 'numbers has to be'],
    ['of=bag&numbers=99', 'There is no bag'],
  ])('say what is wrong with %s', async (query, words) => {
    const { status, body } = await server.get<{ detail: string }>(`/api/jobs/${job}/labels.pdf?${query}`);
    expect([404, 422]).toContain(status);
    expect(body.detail).toContain(words);
  });

  it('bounds what a roll may ask for', async () => {
    const { status, body } = await server.get<{ detail: string }>('/api/labels/roll.pdf?count=100000');
    expect(status).toBe(422);
    expect(body.detail).toContain('from 1 to 500');
  });

  it('have every code within its own label', async () => {
    for (const stock of LABEL_STOCKS) {
      const { margin, columns, rows, label, page } = stock;
      expect(margin.leftMm).toBeGreaterThanOrEqual(0);
      expect(margin.topMm).toBeGreaterThanOrEqual(0);
      expect(margin.leftMm + columns * label.widthMm).toBeLessThanOrEqual(page.widthMm + 1e-9);
      expect(margin.topMm + rows * label.heightMm).toBeLessThanOrEqual(page.heightMm + 1e-9);
      const bytes = await pdfOf(labelSheet(rollLabels('bag', 1, 3), stock, 'http://shop.test:4310', 'Minibus'));
      expect(drawn(bytes)).toMatch(/re|h\b/);
    }
  });
});

describe('a bolt card', () => {
  const sets = [
    { count: 7, what: 'M10×1.5 × 60, 16 mm flange' },
    { count: 2, what: 'M10×1.5 × 90, 16 mm flange', note: 'at the starter' },
  ];

  it('is printed for a joint nobody has drawn yet', async () => {
    const { status, bytes } = await pdf(`/api/jobs/${job}/bolt-cards/battery-negative`);
    expect(status).toBe(200);
    expect(pages(bytes)).toBe(1);
    expect((await server.get(`/api/jobs/${job}/bolt-cards/ghost`)).status).toBe(404);
  });

  it('goes over as many sheets as it needs at true scale', async () => {
    const small = await pdfOf(cardDocument('flange', '', positionsOf('circle', sets, 90, 90), sets));
    const large = await pdfOf(cardDocument('bell housing', '', positionsOf('bell-housing', sets, 340, 320), sets));
    expect(pages(small)).toBe(1);
    expect(pages(large)).toBe(6);
  });

  it('is not printed the size of a wall', () => {
    const wall = positionsOf('rectangle', sets, 3_000, 3_000);
    expect(() => cardDocument('deck', '', wall, sets)).toThrow(CardTooLargeError);
  });
});
