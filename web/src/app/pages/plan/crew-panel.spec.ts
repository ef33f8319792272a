import { TestBed } from '@angular/core/testing';
import type { Job } from '@brisk/contracts/job';
import { compose, templateOf } from '@brisk/core/layouts';
import { testJob } from '../../../testing/test-job';
import { choose, field, openView, pressable, type, write } from '../../../testing/open-job';
import { CrewPanel } from './crew-panel';
import { Plan } from './plan';
import { PlanDraft } from '../../planning/plan-draft';

const settings = () => TestBed.inject(PlanDraft).settings();
const names = () => settings()?.crew.hands.map(({ name }) => name);
/** The job with its refrigerant hoses opened, which takes somebody licensed. */
const job: Job = {
  ...testJob,
  plan: {
    map: compose(templateOf('transverse-cradle'), { refrigerant: 'opened' }),
    powerpack: 'cradle',
    route: 'under',
  },
};
const open = async () => {
  const view = await openView(CrewPanel, [], () => ({}), { job });
  const labelled = (words: string | RegExp) => field(view.element, words);
  const change = async (entry: ReturnType<typeof field>, value: string) => {
    write(entry, value);
    await view.settle();
  };
  return { ...view, change, labelled };
};

beforeEach(() => localStorage.clear());

describe('who works', () => {
  it('is the crew of the job, less one, and one back again', async () => {
    const view = await open();
    expect(names()).toEqual(['Ines', 'Tobias']);
    await view.press('Without Ines');
    expect(names()).toEqual(['Tobias']);
    await view.press('Without Tobias');
    expect(view.text()).toContain('A plan needs at least one person.');
    await view.press('+ Ines');
    expect(names()).toEqual(['Tobias', 'Ines']);
    expect(view.text()).not.toContain('A plan needs at least one person.');
  });

  it('has two sign where that is ticked, at once and back again', async () => {
    const view = await open();
    const box = () =>
      [...view.element.querySelectorAll('bl-two-sign mat-checkbox')].find((one) => one.textContent?.includes('lift'));
    expect(box()).toBeDefined();
    for (const asked of [true, false]) {
      box()?.querySelector('input')?.click();
      await view.settle();
      expect(view.server.entries.at(-1)).toMatchObject({ kind: 'second-signer-asked', holdPoint: 'pre-lift', asked });
    }
  });

  it('are helpers too, each once and no more than find room', async () => {
    const view = await open();
    const add = async (name: string) => {
      type(view.element, 'helper', name);
      pressable(view.element, 'Add').click();
      await view.settle();
    };
    await add('  ');
    expect(names()).toHaveLength(2);
    await add('Ines');
    expect(view.text()).toContain('Ines is there already.');
    for (const name of ['Ruth', 'Marit', 'Ruben', 'Edda', 'Jon', 'Pia']) await add(name);
    expect(names()).toHaveLength(8);
    await add('Nils');
    expect(view.text()).toContain('At most 8 people are planned for.');
    expect(names()).toHaveLength(8);
  });

  it('leave at a time of day and stay again', async () => {
    const view = await open();
    await view.change(view.labelled('Tobias leaves at'), '12:30');
    const away = settings()?.crew.hands[1]?.away?.[0];
    expect(away?.fromMin).toBeGreaterThanOrEqual(0);
    expect(away?.untilMin ?? Infinity).toBeGreaterThan(away?.fromMin ?? Infinity);
    expect(view.labelled('Tobias leaves at').value).toBe('12:30');
    await view.change(view.labelled('Tobias leaves at'), '');
    expect(settings()?.crew.hands[1]).toEqual({ name: 'Tobias' });
  });
});

describe('what counts', () => {
  it('takes minutes with a comma, and nothing that is no number', async () => {
    const view = await open();
    await view.change(view.labelled('A walk to another station counts as'), '2,5');
    expect(settings()?.crew.weights.stationMoveMin).toBe(2.5);
    for (const wrong of ['', 'much', '-1', '601']) {
      await view.change(view.labelled('A walk to another station counts as'), wrong);
      expect(view.text()).toContain('Minutes are a number from 0 to 600.');
      expect(settings()?.crew.weights.stationMoveMin).toBe(2.5);
    }
    await view.change(view.labelled('Raising or lowering it takes'), '12');
    expect(settings()?.crew.moveMachineMin).toBe(12);
  });

  it('is room for one where somebody says so', async () => {
    const view = await open();
    const before = settings()?.crew.cramped ?? [];
    expect(before).not.toContain('bay-top');
    await view.press('Over the bay');
    expect(settings()?.crew.cramped).toEqual([...before, 'bay-top']);
    await view.press('Over the bay');
    expect(settings()?.crew.cramped).toEqual(before);
  });

  it('is what the machine is raised on: one job at a time between stands, and the shop’s list knows of its lift', async () => {
    const view = await open();
    expect(settings()?.crew).toMatchObject({ raisedOn: 'stands', moveMachineMin: 15 });
    expect(settings()?.crew.cramped).toContain('underside');
    await choose(view.fixture, 'The machine is raised on', 'A lift');
    await view.settle();
    expect(settings()?.crew).toMatchObject({ raisedOn: 'lift', moveMachineMin: 8 });
    expect(settings()?.crew.cramped).not.toContain('underside');
    expect(view.server.toolList.document.tools).toEqual([{ tool: 'vehicle lift', here: true }]);
  });

  it('is a day that opens before it closes', async () => {
    const view = await open();
    await view.change(view.labelled('Work from'), '23:00');
    expect(view.text()).toContain('The shop has to open before it closes.');
    await view.change(view.labelled('Work from'), '06:30');
    expect(settings()?.crew.day?.begins).toBe('06:30');
  });

  it('is licensed work at the time it is arranged for', async () => {
    const view = await open();
    const arranged = () => view.labelled(/, from$/);
    expect(view.text()).toMatch(/refrigerant/i);
    await view.change(arranged(), '13:15');
    expect(settings()?.waits).toMatchObject([{ why: 'Arranged from outside' }]);
    expect(arranged().value).toBe('13:15');
    await view.change(arranged(), '');
    expect(settings()?.waits).toEqual([]);
  });
});

describe('the plan goes by it', () => {
  it('plans with the minutes this shop takes, once it has any', async () => {
    const view = await openView(Plan);
    await view.press(/Crew and school/);
    expect(view.text()).not.toContain('Plan with the minutes this shop takes');
    view.server.knowledge = {
      causes: [],
      found: [],
      notes: {},
      troubles: {},
      minutes: { 'open:battery-negative': { likelyMin: 120, ownMin: 130, times: 9 } },
    };
    view.desk.job.update((job) => job && { ...job });
    await view.settle();
    const work = () => view.element.querySelectorAll('.sums .figure')[1]?.textContent;
    const before = work();
    await view.press(/^Plan with the minutes this shop takes/);
    expect(view.text()).toContain('known for 1 step,');
    expect(work()).not.toBe(before);
  });

  it('plans with one more, one less, and somebody who leaves', async () => {
    const view = await open();
    const withTwo = TestBed.inject(PlanDraft).now()?.schedule.costs.finishMin ?? 0;
    type(view.element, 'helper', 'Ruth');
    await view.settle();
    await view.press('Add');
    expect(TestBed.inject(PlanDraft).now()?.schedule.costs.finishMin).toBeLessThan(withTwo);
    await view.press('Without Ines');
    expect(
      TestBed.inject(PlanDraft)
        .settings()
        ?.crew.hands.map((hand) => hand.name),
    ).toEqual(['Tobias', 'Ruth']);
    await view.change(view.labelled('Tobias leaves at'), '12:00');
    const [away] = TestBed.inject(PlanDraft).settings()?.crew.hands[0]?.away ?? [];
    expect(away?.untilMin).toBeGreaterThan(away?.fromMin ?? Infinity);
    for (const { people, startMin, endMin } of TestBed.inject(PlanDraft).now()?.schedule.steps ?? [])
      if (people.includes('Tobias'))
        expect(endMin <= (away?.fromMin ?? 0) + 1 || startMin >= (away?.untilMin ?? 0) - 1).toBe(true);
  });

  it('orders by another school', async () => {
    const view = await openView(CrewPanel);
    await choose(view.fixture, 'Order of stripping', 'Everything above, then below');
    await view.settle();
    expect(TestBed.inject(PlanDraft).settings()?.school.order).toBe('by-position');
    const order = (TestBed.inject(PlanDraft).now()?.schedule.steps ?? []).map(({ operation }) => operation.id);
    expect(order).toContain('open:oil-pressure');
    expect(order.indexOf('open:oil-pressure')).toBeLessThan(order.indexOf('open:prop-front'));
  });
});
