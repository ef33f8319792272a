import { isDone, type LedgerEntry } from '@brisk/core/ledger';
import { theirEntry } from '../../testing/fake-server';
import { openView, pressable, type, workedUntil } from '../../testing/open-job';
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
    const keeping = view.element.querySelector<HTMLSelectElement>('[name=keeping]');
    if (!keeping) throw new Error('No choice');
    keeping.selectedIndex = 2;
    keeping.dispatchEvent(new Event('change'));
    await view.settle();
    expect(last(view)).toMatchObject({ kind: 'keeping-chosen', keeping: 'row' });
  });

  it('offers labels for bags, tags and a roll', async () => {
    const view = await openView(Bags, entries);
    await view.press('Labels');
    const link = () => pressable(view.element, 'Print the labels').getAttribute('href');
    expect(link()).toContain('/labels.pdf?of=bag&stock=a4-24');
    type(view.element, 'label-of', 'roll');
    await view.settle();
    expect(link()).toContain('/api/labels/roll.pdf?of=tag&stock=a4-24&from=1&count=50');
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

  it('says so where the joint is not on this job', async () => {
    const view = await openView(SetCard, [], () => ({ connection: 'ghost' }));
    expect(view.text()).toContain('That joint is not on this job');
  });
});
