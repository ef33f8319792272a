import { theirEntry } from '../../../testing/test-job';
import { openView } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { NowOrLaterView } from './now-or-later';

const answering = (answers: Answers | undefined) => ({
  provide: Ask,
  useValue: { ask: () => Promise.resolve(answers) },
});
const opened = (answers?: Answers, entries = [] as Parameters<typeof openView>[1]) =>
  openView(NowOrLaterView, entries, undefined, { providers: [answering(answers)] });

/** The row of the board that begins with `name`. */
const rowOf = (element: HTMLElement, name: string) =>
  [...element.querySelectorAll('.board li')].find((row) => row.querySelector('h2')?.textContent === name);

describe('now or later', () => {
  it('shows now against later on one scale, the best bargain first', async () => {
    const view = await opened();
    const rows = [...view.element.querySelectorAll('.board li')];
    expect(rows.length).toBeGreaterThanOrEqual(20);
    const width = (of: string) => parseFloat(rows[0]?.querySelector<HTMLElement>(of)?.style.width ?? '0');
    expect(width('.bar.later')).toBeGreaterThan(width('.bar.now') * 3);
    expect(view.text()).toMatch(/\d+ things pay now: \d+ EUR/);
    expect(view.text()).toMatch(/fails \d+ %, pays from \d+ %/);
  });

  it('puts what is chosen into the plan, with what it needs onto the list', async () => {
    const view = await opened();
    const row = rowOf(view.element, 'Converter seal');
    row?.querySelector<HTMLButtonElement>('mat-button-toggle button')?.click();
    await view.settle();
    expect(view.server.entries).toMatchObject([{ kind: 'renewal-decided', renewals: ['converter-seal'], doIt: 'now' }]);
    expect(view.desk.state()?.needs.get('converter-seal-1')?.name).toBe('converter seal');
    expect(view.desk.state()?.work.operations.has('renew:converter-seal')).toBe(true);
    expect(view.text()).toMatch(/Chosen: 1, \d+ EUR in all, \d+ EUR of it for parts, and .+ of work/);
  });

  it('asks why something is left, and keeps the reason where it stands', async () => {
    const view = await opened({ reason: 'New in spring' });
    const row = rowOf(view.element, 'Thermostat');
    row?.querySelectorAll<HTMLButtonElement>('mat-button-toggle button')[1]?.click();
    await view.settle();
    expect(rowOf(view.element, 'Thermostat')?.textContent).toContain('Left: New in spring');
  });

  it('shows what is recorded again where a choice is called off, or refused', async () => {
    const now = theirEntry({ kind: 'renewal-decided', renewals: ['thermostat'], doIt: 'now' });
    const view = await opened(undefined, [now]);
    const keys = () =>
      [...(rowOf(view.element, 'Thermostat')?.querySelectorAll('mat-button-toggle') ?? [])].map((key) =>
        key.classList.contains('mat-button-toggle-checked'),
      );
    expect(keys()).toEqual([true, false]);
    rowOf(view.element, 'Thermostat')?.querySelectorAll<HTMLButtonElement>('mat-button-toggle button')[1]?.click();
    await view.settle();
    expect(view.server.entries).toHaveLength(1);
    expect(keys()).toEqual([true, false]);
    // Nothing recorded is shown as nothing.
    const seal = () => rowOf(view.element, 'Water pump')?.querySelectorAll('.mat-button-toggle-checked').length;
    rowOf(view.element, 'Water pump')?.querySelectorAll<HTMLButtonElement>('mat-button-toggle button')[1]?.click();
    await view.settle();
    expect(seal()).toBe(0);
  });

  it('takes the whole best set, without what was declined', async () => {
    const declined = theirEntry({ kind: 'renewal-decided', renewals: ['sump-gasket'], doIt: 'later', reason: 'Dry' });
    const view = await opened(undefined, [declined]);
    await view.press(/^Put the best set into the plan/);
    await view.settle();
    // One entry, so that one touch takes it back.
    const decided = view.server.entries.filter(({ kind }) => kind === 'renewal-decided');
    expect(decided).toMatchObject([{ renewals: ['sump-gasket'] }, { doIt: 'now' }]);
    const now = [...(view.desk.state()?.renewals.values() ?? [])].filter(({ doIt }) => doIt === 'now');
    expect(now.length).toBeGreaterThan(5);
    expect(view.desk.state()?.renewals.get('sump-gasket')?.doIt).toBe('later');
  });

  it('reckons with the years somebody gives it', async () => {
    const view = await opened();
    const said = () => rowOf(view.element, 'Starter brushes and solenoid')?.querySelector('.guess')?.textContent ?? '';
    expect(said()).toContain('as usual');
    await view.press('A year less for the starter brushes and solenoid');
    await view.settle();
    expect(view.server.entries[0]).toMatchObject({ kind: 'life-guessed', renewal: 'starter', yearsLeft: 3.5 });
    expect(said()).not.toContain('as usual');
  });

  it('takes kilometres where it is known how far the machine goes in a year', async () => {
    const terms = theirEntry({ kind: 'terms-set', yearsIn: 5, kmPerYear: 10_000 });
    const view = await opened({ years: 9, km: 25_000 }, [terms]);
    await view.press(/How long the starter brushes and solenoid is given/);
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({
      kind: 'life-guessed',
      renewal: 'starter',
      yearsLeft: 2.5,
      kmLeft: 25_000,
    });
    const row = rowOf(view.element, 'Starter brushes and solenoid');
    expect(row?.querySelector('.guess')?.textContent).toContain('25,000 km: 2.5 y left');
  });

  it('reckons with the shop’s rates and the job’s limits', async () => {
    const answers = { yearsIn: 4, budget: 200, hours: 3, currency: 'CHF', hour: 90, litre: 9, fastener: 2, day: 120 };
    const view = await opened(answers);
    await view.press('Reckoned with');
    await view.settle();
    expect(view.server.shopRates.document).toEqual({
      currency: 'CHF',
      hourCents: 9_000,
      litreCents: 900,
      fastenerCents: 200,
      dayCents: 12_000,
    });
    expect(view.server.entries[0]).toMatchObject({
      kind: 'terms-set',
      yearsIn: 4,
      budgetCents: 20_000,
      budgetHours: 3,
    });
    expect(view.text()).toMatch(/Within your limits: \d+ things/);
    expect(view.text()).toContain('90 CHF an hour');
  });

  it('puts up one of the crew’s own', async () => {
    const answers = {
      name: 'cracked ear',
      at: 'engine',
      way: 'parted',
      minutes: 40,
      cost: 12,
      years: 15,
      why: 'It breaks off',
    };
    const view = await opened(answers);
    await view.press('One of your own');
    await view.settle();
    const row = rowOf(view.element, 'Cracked ear');
    expect(row?.textContent).toContain('It breaks off');
    expect(view.server.entries[0]).toMatchObject({
      kind: 'renewal-written',
      renewal: { at: 'engine', parts: [{ guideCents: 1_200 }], reach: [{ parted: ['engine', 'gearbox'] }] },
    });
  });
});
