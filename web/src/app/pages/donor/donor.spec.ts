import type { Type } from '@angular/core';
import type { Job } from '@brisk/contracts/job';
import { testJob } from '../../../testing/test-job';
import { choose, openView, write } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import { DonorView } from './donor';
import { Joints } from './joints';
import { centsOf, money } from '../../words/money';
import { PullList } from './pull-list';
import { withSwap } from '../../planning/swap-plan';

const answers: Record<string, string | number>[] = [];
const askStub = { provide: Ask, useValue: { ask: () => Promise.resolve(answers.shift()) } };
const swapJob: Job = {
  ...testJob,
  reason: 'swap',
  survey: { layout: 'longitudinal-automatic', choices: {} },
  swap: {
    donor: { name: 'Wreck 4', layout: 'longitudinal-manual', choices: {}, powerpack: 'engine-with-gearbox' },
    found: {},
    decisions: {},
    pulled: {},
  },
};
const open = <View>(view: Type<View>, job = swapJob) => openView(view, [], () => ({}), { job, providers: [askStub] });

beforeEach(() => {
  answers.length = 0;
});

describe('the donor', () => {
  it('is named first, with its price, and gets a map from its layout', async () => {
    const { swap: _swap, ...without } = swapJob;
    const view = await open(DonorView, without);
    expect(view.text()).toContain('No donor yet');
    answers.push({ name: 'Fell at Pell', layout: 'transverse-cradle', price: '980', core: '150,50' });
    await view.press('Name the donor');
    await view.settle();
    expect(view.server.plannings[0]?.swap?.donor).toMatchObject({
      name: 'Fell at Pell',
      layout: 'transverse-cradle',
      powerpack: 'engine-with-gearbox',
      priceCents: 98_000,
      coreChargeCents: 15_050,
    });
    expect(view.text()).toContain('Fell at Pell');
  });

  it('is judged as it is looked at, with reasons and what to look at next', async () => {
    const view = await open(DonorView);
    expect(view.text()).toContain('Leave it');
    (view.element.querySelector('input[value=even]') as HTMLInputElement).click();
    await view.settle();
    expect(view.server.plannings[0]?.swap?.found).toEqual({ turns: 'even' });
    expect(view.text()).toContain('It turns evenly by hand.');
    expect(view.text()).toContain('Look at next What is in the intake?');
  });

  it('keeps every look, however quickly they are taken one after the other', async () => {
    const view = await open(DonorView);
    for (const finding of ['even', 'clean', 'ran', 'whole'])
      (view.element.querySelector(`input[value=${finding}]`) as HTMLInputElement).click();
    await view.settle();
    await view.settle();
    expect(Object.keys(view.server.opened.swap?.found ?? {})).toHaveLength(4);
  });

  it('is weighed the shop’s own way, and a weight that is none is refused', async () => {
    const view = await open(DonorView);
    await view.press('Weigh it our way');
    const weight = view.element.querySelector('input[inputmode=decimal]') as HTMLInputElement;
    write(weight, '-50');
    await view.settle();
    expect(view.server.sheet.document.inspections[0]?.findings[0]?.weight).toBe(-50);
    write(weight, '1.5');
    await view.settle();
    expect(view.text()).toContain('A weight is a whole number');
  });

  it('says so when the server is not reached, and keeps nothing', async () => {
    const view = await open(DonorView);
    view.server.reachable = false;
    (view.element.querySelector('input[value=even]') as HTMLInputElement).click();
    await view.settle();
    await view.settle();
    expect(view.text()).toContain('It was not kept.');
    expect((view.element.querySelector('input[value=even]') as HTMLInputElement).checked).toBe(false);
  });
});

describe('the joints', () => {
  it('are held side by side, with what is proposed, and the refit follows what is decided', async () => {
    const view = await open(Joints);
    expect(view.text()).toContain('Gear linkage');
    const before = view.server.plannings.length;
    await choose(view.fixture, /^What is done: the selector rod/, 'Buy');
    await view.settle();
    const planning = view.server.plannings[before];
    expect(planning?.swap?.decisions['selector-rod']).toEqual({ decision: 'buy' });
    expect(planning?.plan.adaptations?.find(({ id }) => id === 'selector-rod')?.title).toMatch(/^Buy and try on/);
  });

  it('take a note with minutes and price', async () => {
    const view = await open(Joints);
    answers.push({ note: 'Plate of 8 mm', minutes: 40, price: '12.50' });
    await view.press('Note');
    await view.settle();
    const [decided] = Object.values(view.server.plannings[0]?.swap?.decisions ?? {});
    expect(decided).toMatchObject({ note: 'Plate of 8 mm', minutes: 40, priceCents: 1250 });
    expect(view.text()).toContain('To buy: 12.50.');
  });

  it('show what is alike only when asked', async () => {
    const view = await open(Joints);
    const few = view.element.querySelectorAll('.joint').length;
    await view.press(/^Show the/);
    expect(view.element.querySelectorAll('.joint').length).toBeGreaterThan(few);
  });
});

describe('the plan of a swap', () => {
  it('follows the way out that is taken: joints of what stays behind ask for nothing', () => {
    const whole = withSwap(swapJob.plan, swapJob.swap);
    const engine = withSwap({ ...swapJob.plan, powerpack: 'engine', route: 'top-engine' }, swapJob.swap);
    const asked = (plan: typeof whole) => plan.adaptations?.map(({ id }) => id) ?? [];
    expect(asked(whole)).toContain('selector-rod');
    expect(asked(engine)).not.toContain('selector-rod');
    expect(withSwap(swapJob.plan, undefined)).toBe(swapJob.plan);
  });
});

describe('the pull list', () => {
  it('is ticked at the yard, and counts what is left', async () => {
    const view = await open(PullList);
    const left = () => Number(view.element.querySelector('.big')?.textContent);
    const before = left();
    const box = view.element.querySelector('input[type=checkbox]') as HTMLInputElement;
    box.click();
    await view.settle();
    expect(left()).toBe(before - 1);
    expect(Object.values(view.server.plannings[0]?.swap?.pulled ?? {})).toEqual([{ got: true }]);
  });

  it('notes what stays home, what it costs and what comes back', async () => {
    const view = await open(PullList);
    answers.push({ fit: 'from-host', note: 'ours is new', price: '20', core: '5' });
    await view.press(/^Note on/);
    await view.settle();
    expect(view.text()).toContain('Ours stays. ours is new');
    expect(view.text()).toContain('So far 20.00, and 5.00 core charge.');
  });

  it('asks for the donor first', async () => {
    const { swap: _swap, ...without } = swapJob;
    expect((await open(PullList, without)).text()).toContain('Name the donor first');
    expect(money(98_050)).toBe('980.50');
    expect([centsOf('980'), centsOf('12,5'), centsOf('dear'), centsOf('')]).toEqual([
      98_000,
      1_250,
      undefined,
      undefined,
    ]);
  });
});
