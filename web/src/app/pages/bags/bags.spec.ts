import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import { jobCode, type LabelCode } from '@brisk/core/labels';
import { isDone, KEEPING_WORDS, type LedgerEntry } from '@brisk/core/ledger';
import { testJob, theirEntry } from '../../../testing/test-job';
import { choose, openView, pressable, type, workedUntil } from '../../../testing/open-job';
import { SHAPE_WORDS } from '../../words/trade-words';
import { Scanner } from '../../labels/scanner';
import { Bags } from './bags';
import { SetCard } from './set-card';

const joint = 'heat-shield-nuts';
const worked = workedUntil((state) => isDone(state, `open:${joint}`));
const entries: readonly LedgerEntry[] = [
  ...worked,
  theirEntry({ kind: 'fasteners-counted', connection: joint, direction: 'out', count: 3, bag: 31, kept: 'bag' }),
  theirEntry({ kind: 'tagged', connection: joint, tag: 12 }),
];
const setCard = (more: readonly LedgerEntry[] = []) =>
  openView(SetCard, [...entries, ...more], () => ({ connection: joint }));
const last = (view: { readonly server: { readonly entries: readonly LedgerEntry[] } }) => view.server.entries.at(-1);

describe('the wall of bags', () => {
  it('shows every bag by zone with what is in it, and says where one is short', async () => {
    const view = await openView(Bags, entries);
    expect(view.text()).toContain('31 The exhaust heat shield');
    expect(view.text()).toContain('▲ 3 of 4');
    expect(view.text()).toMatch(/Underneath, middle|underneath, middle/);
  });

  it('is searched and narrowed', async () => {
    const view = await openView(Bags, entries);
    type(view.element, 'bag-search', 'exhaust heat');
    await view.settle();
    expect(view.element.querySelectorAll('.wall li')).toHaveLength(1);
    type(view.element, 'bag-search', 'unicorn');
    await view.settle();
    expect(view.text()).toContain('No bag answers that.');
    type(view.element, 'bag-search', '');
    await view.press(/^Back in/);
    expect(view.element.querySelectorAll('.wall li')).toHaveLength(0);
  });

  it('teaches what belongs there while nothing does', async () => {
    const view = await openView(Bags);
    expect(view.text()).toContain('No bag yet. Every joint that is opened');
  });

  it('lists grounds and tags by themselves, and sets how the job keeps its fasteners', async () => {
    const view = await openView(Bags, entries);
    expect(view.text()).toContain('Grounds');
    expect(view.text()).toContain('12 The exhaust heat shield');
    await choose(view.fixture, 'This job keeps them', KEEPING_WORDS.row);
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'keeping-chosen', keeping: 'row' });
  });

  it('offers labels for bags, tags and a roll', async () => {
    const view = await openView(Bags, entries);
    await view.press('Labels');
    const link = () => pressable(view.element, 'Print the labels').getAttribute('href');
    expect(link()).toContain('/labels.pdf?of=bag&stock=a4-24');
    await choose(view.fixture, 'Print', 'a roll of numbers beforehand');
    await view.settle();
    expect(link()).toContain('/api/labels/roll.pdf?of=tag&stock=a4-24&from=1&count=50');
  });
});

describe('a label held up', () => {
  const held = async (code: LabelCode | undefined) => {
    const view = await openView(Bags, entries, () => ({}), {
      providers: [{ provide: Scanner, useValue: { scan: () => Promise.resolve(code) } }],
    });
    await view.press('Scan a label');
    await view.settle();
    return { view, url: TestBed.inject(Router).url };
  };

  it('opens the joint it is on, by bag or by tag', async () => {
    expect((await held({ is: 'bag', number: 31 })).url).toBe(`/jobs/${testJob.id}/bags/${joint}`);
    TestBed.resetTestingModule();
    const own = await held({ is: 'tag', number: 12, job: jobCode(testJob.id) });
    expect(own.url).toBe(`/jobs/${testJob.id}/bags/${joint}`);
  });

  it('leads to the other job where it is of another', async () => {
    expect((await held({ is: 'bag', number: 4, job: 'aaaaaaaa' })).url).toBe('/b/aaaaaaaa/4');
  });

  it('says so where nothing has that number, and nothing happens where nobody held one up', async () => {
    const { view, url } = await held({ is: 'tag', number: 99 });
    expect(view.text()).toContain('Tag 99 is not on this job.');
    expect(url).toBe('/');
    TestBed.resetTestingModule();
    expect((await held(undefined)).url).toBe('/');
  });
});

describe('one set', () => {
  it('says what belongs, what came out and what is missing', async () => {
    const view = await setCard();
    expect(view.text()).toContain('Belong here 4 Came out 3');
    expect(view.text()).toContain('Missing 1');
  });

  it('is written down as found, and how it is understood stands beside it', async () => {
    const view = await setCard();
    await view.press('It is not so');
    type(view.element, 'set-what-0', 'M8 nut, 13 mm');
    type(view.element, 'set-count-0', '5');
    await view.settle();
    expect(view.text()).toContain('M8×1.25 nut, 13 mm');
    expect(view.text()).toContain('easily taken for 5/16-18');
    await view.press('Write it down');
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'set-described', sets: [{ count: 5, what: 'M8 nut, 13 mm' }] });
    expect(view.text()).toContain('Belong here 5');
  });

  it('is not written down without a word of what it is', async () => {
    const view = await setCard();
    await view.press('It is not so');
    type(view.element, 'set-what-0', ' ');
    await view.settle();
    expect((pressable(view.element, 'Write it down') as HTMLButtonElement).disabled).toBe(true);
  });

  it('takes fasteners that are no good, and warns of what stands in for them', async () => {
    const view = await setCard();
    await view.press('Some are no good');
    await view.press('One more: How many');
    await view.press('Corroded');
    type(view.element, 'replaced-by', 'M8 nut, 13 mm');
    await view.settle();
    expect(view.text()).toMatch(/does not go into|strips|pulls out/);
    await view.press('Write it down');
    await view.settle();
    expect(last(view)).toMatchObject({
      kind: 'fasteners-judged',
      set: 0,
      count: 2,
      condition: 'corroded',
      replacedBy: 'M8 nut, 13 mm',
    });
    expect(view.text()).toContain('2 corroded replaced by M8 nut, 13 mm');
  });

  it('has a bolt card whose holes are moved by key and kept', async () => {
    const view = await setCard();
    const holes = view.element.querySelectorAll('.hole');
    expect(holes).toHaveLength(4);
    holes[1]?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown' }));
    await view.settle();
    await view.press('Keep this card');
    await view.settle();
    const kept = last(view);
    expect(kept).toMatchObject({ kind: 'pattern-drawn', connection: joint, pattern: { shape: 'free' } });
    expect(view.desk.state()?.patterns.get(joint)?.holes).toHaveLength(4);
  });

  it('has a card of another shape and size, with what is odd about a hole', async () => {
    const view = await setCard();
    await choose(view.fixture, 'Shape', SHAPE_WORDS.rectangle);
    await view.settle();
    type(view.element, 'card-width', '140');
    await view.settle();
    type(view.element, 'card-height', '90');
    await view.settle();
    const sized = view.element.querySelector('svg .frame');
    expect([sized?.getAttribute('width'), sized?.getAttribute('height')]).toEqual(['140', '90']);
    type(view.element, 'card-width', '0');
    await view.settle();
    expect(sized?.getAttribute('width')).toBe('140');
    view.element.querySelectorAll('.hole')[2]?.dispatchEvent(new Event('focus'));
    await view.settle();
    type(view.element, 'hole-note', ' 15 mm shorter ');
    await view.settle();
    expect(view.element.querySelectorAll('.hole')[2]?.getAttribute('aria-label')).toBe('Hole 3, 15 mm shorter');
    await view.press('Keep this card');
    await view.settle();
    const kept = view.desk.state()?.patterns.get(joint);
    expect(kept).toMatchObject({ shape: 'rectangle', widthMm: 140, heightMm: 90 });
    expect(kept?.holes.map(({ note }) => note)).toEqual([undefined, undefined, '15 mm shorter', undefined]);
    for (const { xMm, yMm } of kept?.holes ?? []) {
      expect(xMm).toBeLessThanOrEqual(140);
      expect(yMm).toBeLessThanOrEqual(90);
    }
  });

  it('does not let a hole off the card, however long a key is held', async () => {
    const view = await setCard();
    for (let times = 0; times < 400; times += 1)
      view.element.querySelectorAll('.hole')[0]?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft' }));
    await view.settle();
    await view.press('Keep this card');
    await view.settle();
    expect(view.desk.state()?.patterns.get(joint)?.holes[0]?.xMm).toBe(0);
  });

  it('keeps what somebody is drawing on the card while others write', async () => {
    const view = await setCard();
    view.element.querySelectorAll('.hole')[0]?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown' }));
    view.desk.record({ kind: 'noted', text: 'Meanwhile' });
    await view.settle();
    expect(pressable(view.element, 'Keep this card')).toBeTruthy();
  });

  it('counts home, or accepts that it does not', async () => {
    const view = await setCard([
      theirEntry({ kind: 'fasteners-counted', connection: joint, direction: 'in', count: 2 }),
    ]);
    expect(view.text()).toContain('Bag 31 is not empty: 1 left.');
    expect(pressable(view.element, 'Accept it as it is')).toBeTruthy();
    view.desk.record({ kind: 'count-accepted', connection: joint, reason: 'Two on order' });
    await view.settle();
    expect(view.text()).toContain('Accepted as it is: Two on order');
  });

  it('works a figure out where nobody has one, says what it is, and how much less with oil on the thread', async () => {
    const view = await setCard();
    const words = () => view.text().replace(/\s+/g, ' ');
    const figure = () => Number(/About ([\d.]+) N·m/.exec(words())?.[1]);
    expect(words()).toContain('Worked out from the bolt, and no maker’s');
    const dry = figure();
    await choose(view.fixture, 'How the thread goes together', 'a drop of oil');
    await view.settle();
    expect(figure()).toBeCloseTo(dry * 0.75, 0);
  });

  it('shows every touch of a joint that has a figure, for its torque sheet', async () => {
    const entriesNow = workedUntil((state) => state.torques.size > 0);
    const [read] = entriesNow.filter(({ kind }) => kind === 'torque-read');
    if (read?.kind !== 'torque-read') throw new Error('Nothing was torqued');
    const view = await openView(SetCard, entriesNow, () => ({ connection: read.connection }));
    expect(view.text()).toContain('from the map. The maker’s own wins.');
    expect(view.text()).toContain('final: ');
    expect(pressable(view.element, 'Torque sheet as CSV')).toBeTruthy();
  });

  it('says so where the joint is not on this job', async () => {
    const view = await openView(SetCard, [], () => ({ connection: 'ghost' }));
    expect(view.text()).toContain('That joint is not on this job');
  });
});
