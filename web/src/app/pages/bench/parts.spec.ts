import type { EntryBody } from '@brisk/core/ledger';
import { isDone } from '@brisk/core/ledger';
import { testJob, theirEntry } from '../../../testing/test-job';
import { openView, workedUntil } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import type { WorkerLine } from '../../ui/worker-line';
import { Parts } from './parts';
import { PRICE_LINE } from './price-sheet';
import { priceWork, type PriceWork } from './price-work';

/** Answers one question after the other. */
const answering = (...answers: readonly (Answers | undefined)[]) => {
  const left = [...answers];
  return { provide: Ask, useValue: { ask: () => Promise.resolve(left.shift()) } };
};
const ownThread = {
  provide: PRICE_LINE,
  useValue: () =>
    Promise.resolve({
      ask: (question: (work: PriceWork) => unknown) => Promise.resolve(question(priceWork)),
      hangUp: () => undefined,
    } as unknown as WorkerLine<PriceWork>),
};
const opened = (bodies: readonly EntryBody[] = [], ...answers: readonly (Answers | undefined)[]) =>
  openView(Parts, bodies.map(theirEntry), undefined, { providers: [answering(...answers), ownThread] });

const hose: EntryBody = { kind: 'part-needed', need: 'hose', name: 'Radiator hose', quantity: 1, reason: 'Perished' };
const numbered: EntryBody = {
  kind: 'part-priced',
  need: 'hose',
  number: 'AB 12-3',
  supplier: 'Hallberg',
  priceCents: 2_000,
};
const ordered: EntryBody = { kind: 'part-moved-on', need: 'hose', to: 'ordered', expectedOn: '2026-03-09' };

/** Hands the page a file as a chooser would. */
async function choose(view: Awaited<ReturnType<typeof opened>>, text: string | Uint8Array<ArrayBuffer>): Promise<void> {
  const input = view.element.querySelector<HTMLInputElement>('input[name=prices]');
  const bytes = typeof text === 'string' ? new TextEncoder().encode(text) : text;
  const file = { name: 'hallberg.csv', arrayBuffer: () => Promise.resolve(bytes.buffer) };
  Object.defineProperty(input, 'files', { value: [file], configurable: true });
  input?.dispatchEvent(new Event('change'));
  await view.settle();
  await view.settle();
  await view.settle();
}

describe('parts and money', () => {
  it('puts something onto the list and moves it on until it is fitted', async () => {
    const view = await opened(
      [],
      { name: 'Rear seal ', quantity: 1, reason: 'Weeps' },
      { day: '' },
      { 'same-0': 'same' },
    );
    expect(view.text()).toContain('Nothing is on the list.');
    await view.press('Something to buy');
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({
      kind: 'part-needed',
      name: 'Rear seal',
      quantity: 1,
      reason: 'Weeps',
    });
    await view.press('Ordered: Rear seal');
    await view.settle();
    await view.press('It is here: Rear seal');
    await view.settle();
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'part-compared' });
    await view.press('Fitted: Rear seal');
    await view.settle();
    expect(view.text()).toContain('Fitted or sent back');
  });

  it('finds a wrong part the day it comes: what is not like the old one goes back', async () => {
    const view = await opened([hose, ordered], {
      'same-0': 'other',
      'same-1': 'same',
      'same-2': 'same',
      note: '40 mm short',
    });
    await view.press('It is here: Radiator hose');
    await view.settle();
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      compared: [{ what: 'length', same: false, note: '40 mm short' }, { same: true }, { same: true }],
    });
    expect(view.text()).toContain('Wrong: length: 40 mm short');
    expect(view.text()).toContain('Sent back');
  });

  it('says what everything comes to, and what is left of what may be spent', async () => {
    const view = await opened([
      hose,
      numbered,
      ordered,
      { kind: 'cost-noted', cost: 'c', sort: 'tool-hire', name: 'Pin kit', cents: 1_500 },
      { kind: 'terms-set', yearsIn: 5, budgetCents: 10_000 },
    ]);
    expect(view.text()).toContain('Parts ordered 20 EUR');
    expect(view.text()).toContain('65 EUR left for parts');
    expect(view.text()).toContain('due 9 Mar 2026');
  });

  it('does not read a file that is larger than any list', async () => {
    const view = await opened([hose, numbered]);
    const input = view.element.querySelector<HTMLInputElement>('input[type=file]');
    let isRead = false;
    const arrayBuffer = () => {
      isRead = true;
      return Promise.resolve(new ArrayBuffer(0));
    };
    Object.defineProperty(input, 'files', { value: [{ name: 'all.csv', size: 9e6, arrayBuffer }], configurable: true });
    input?.dispatchEvent(new Event('change'));
    await view.settle();
    expect(view.text()).toContain('The file is larger than 8 MB');
    expect(isRead).toBe(false);
  });

  it('reads a price list, tries it first, names the lines that cannot be taken, and writes only what fits', async () => {
    const view = await opened([hose, numbered]);
    const list =
      'Article no.;Description;Net price;Curr\nab-123;Hose;1.024,50;EUR\nX1;Clip;-3;EUR\nX2;Cap;4;USD\n;;;\n';
    await choose(view, list);
    expect(view.text()).toContain('1 line of this job have the same number');
    expect(view.text()).toMatch(/2 lines cannot be taken/);
    expect(view.text()).toContain('X1: a price below nought.');
    expect(view.text()).toContain('X2 is in USD; the shop reckons in EUR.');
    await view.press('Take the prices');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      kind: 'part-priced',
      need: 'hose',
      supplier: 'hallberg',
      priceCents: 102_450,
    });
  });

  it('says of a file that is no list what it is, and loses nothing', async () => {
    const view = await opened([hose]);
    await choose(view, new Uint8Array([0x25, 0x50, 0x44, 0x46, 0x00, 0x01]));
    expect(view.text()).toContain('This is no text. Save the sheet as CSV first.');
    expect(view.text()).toContain('Radiator hose');
  });

  it('counts what was paid at the yard, and puts orders together by supplier', async () => {
    const swap = {
      donor: { name: 'Wreck', layout: 'longitudinal-automatic', choices: {}, powerpack: 'engine-with-gearbox' },
      found: {},
      decisions: {},
      pulled: { engine: { got: true, priceCents: 98_000, coreChargeCents: 15_000 } },
    };
    const clip: EntryBody = { kind: 'part-needed', need: 'clip', name: 'Clip', quantity: 2, reason: 'Lost' };
    const view = await openView(Parts, [hose, numbered, clip].map(theirEntry), undefined, {
      job: { ...testJob, swap },
      providers: [answering(), ownThread],
    });
    expect(view.text()).toContain('From the yard 980 EUR 150 EUR core charge');
    expect(view.text()).toContain('Spent so far 1130 EUR');
    const heads = [...view.element.querySelectorAll('h2')].map(({ textContent }) => textContent.trim());
    expect(heads.slice(0, 2)).toEqual(['To order from Hallberg', 'To order']);
  });

  it('says how many old parts are to come back', async () => {
    const view = await opened([
      hose,
      { kind: 'part-priced', need: 'hose', priceCents: 9_000, coreChargeCents: 2_500 },
      ordered,
    ]);
    expect(view.text()).toContain('Cores to come back 25 EUR 1 old part');
  });

  it('lists single-use fasteners of what was opened by itself', async () => {
    const view = await openView(
      Parts,
      workedUntil((state) => isDone(state, 'open:downpipe-turbo')),
    );
    expect(view.text()).toContain('3 × M8 copper nut, 13 mm the front pipe at the turbocharger');
    expect(view.text()).not.toContain('the left engine mount');
  });

  it('orders them by a key each, or all at once, for the step that takes them; what is ordered is not listed twice', async () => {
    const view = await openView(
      Parts,
      workedUntil((state) => isDone(state, 'open:downpipe-turbo')),
    );
    const key = /^Order: 3 × M8 copper nut, 13 mm/;
    await view.press(key);
    await view.settle();
    const [need] = [...(view.desk.state()?.needs.values() ?? [])].filter(({ name }) => name === 'M8 copper nut, 13 mm');
    expect(need).toMatchObject({ quantity: 3, operation: 'close:downpipe-turbo', reason: 'New every time' });
    expect(view.element.querySelectorAll('[aria-label="Order: 3 × M8 copper nut, 13 mm"]')).toHaveLength(0);
    await view.press(/^Order all/);
    await view.settle();
    expect(view.text()).not.toContain('Fasteners, from what was opened and seen');
  });
});
