import { CAUSES, type Cause } from '@brisk/core/diagnosis';
import { testJob } from '../../../testing/test-job';
import { find, openView, tick, type, write, field } from '../../../testing/open-job';
import { House } from '../../session/house';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { Known } from './known';
import { answersIn } from './test-questions';

const open = (answers?: Answers) =>
  openView(Known, [], undefined, {
    job: testJob,
    providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
  });
type View = Awaited<ReturnType<typeof open>>;
const own = ({ server }: View) => server.trouble.document;
const giveFile = async (view: View, text: string) => {
  const chooser = view.element.querySelector<HTMLInputElement>('input[type=file]');
  if (!chooser) throw new Error('There is a place for a file.');
  const file = Object.assign(new File([text], 'theirs.json'), { text: () => Promise.resolve(text) });
  Object.defineProperty(chooser, 'files', { value: [file], configurable: true });
  chooser.dispatchEvent(new Event('change'));
  await tick(20);
  await view.settle();
};

describe('what we know', () => {
  it('is what ships, found by a piece of its name', async () => {
    const view = await open();
    expect(view.text()).toContain(`Causes ${CAUSES.length}`);
    expect(view.text()).toMatch(/And \d+ more: type a piece of the name/);
    type(view.element, 'sought', 'spark plug dirty');
    await view.settle();
    expect(view.text()).toContain('Causes 1 A spark plug is dirty, cracked or loose');
  });

  it('takes a cause of our own, by how it shows, and keeps it', async () => {
    const view = await open();
    await view.press('Another cause');
    type(view.element, 'cause-name', 'A mouse ate the loom');
    write(field(view.element, 'What is done about it'), 'Splice it, and a cat.');
    await find(view.fixture, 'Test and answer', 'Does it change when plugs and looms are moved? At one of them');
    type(view.element, 'percent-0', '70');
    await view.press('Write it down');
    await view.settle();
    expect(own(view).causes).toMatchObject([
      {
        name: 'A mouse ate the loom',
        weight: 3,
        lookMin: 5,
        mend: 'Splice it, and a cat.',
        about: {},
        signs: { wiggle: { changes: 0.7 } },
      },
    ]);
    type(view.element, 'sought', 'mouse');
    await view.settle();
    expect(view.text()).toContain('Our own');
    await view.press('Take away A mouse ate the loom');
    expect(own(view)).toEqual({ tests: [], causes: [], without: [] });
  });

  it('says what is missing in it, and nothing is lost', async () => {
    const view = await open();
    await view.press('Another cause');
    type(view.element, 'cause-name', 'Rust');
    await view.press('Take away sign 1');
    write(field(view.element, 'What is done about it'), 'Scrape it.');
    await view.press('Write it down');
    expect(view.text()).toContain('Nothing would show it');
    expect(view.element.querySelector<HTMLInputElement>('[name=cause-name]')?.value).toBe('Rust');
    await view.press('Another sign');
    await view.press('Write it down');
    expect(view.text()).toContain('What shows');
    expect(own(view).causes).toEqual([]);
    await view.press('Leave it as it was');
    expect(view.text()).toContain(`Causes ${CAUSES.length}`);
  });

  it('changes one that ships, and leaves one out until it is taken back', async () => {
    const view = await open();
    type(view.element, 'sought', 'spark plug dirty');
    await view.settle();
    await view.press('Change A spark plug is dirty, cracked or loose');
    type(view.element, 'cause-weight', '9');
    await view.press('Write it down');
    await view.settle();
    const before = CAUSES.find(({ id }) => id === 'plug-dirty') as Cause;
    expect(own(view).causes).toEqual([{ ...before, weight: 9 }]);
    expect(view.text()).toContain('Changed here');
    // Away once, it is as it ships; away twice, it is left out.
    await view.press('Take away A spark plug is dirty, cracked or loose');
    expect(own(view)).toEqual({ tests: [], causes: [], without: [] });
    await view.press('Take away A spark plug is dirty, cracked or loose');
    expect(view.text()).toContain('Left out here A spark plug is dirty');
    await view.press('Take back: A spark plug is dirty, cracked or loose');
    expect(own(view).without).toEqual([]);
  });

  it('counts what was found on machines of this kind, and shows what is on no list', async () => {
    const found = { mended: 'Done.', at: '2026-03-02T10:00:00.000Z', machine: 'Minibus 3' };
    const causes = [
      { ...found, cause: 'plug-dirty', name: 'A spark plug is dirty, cracked or loose' },
      { ...found, cause: 'other', name: 'A bolt in the starter' },
    ];
    const knowledge = { notes: {}, troubles: {}, minutes: {}, found: [], causes };
    const again = await openView(Known, [], undefined, {
      providers: [{ provide: House, useValue: { knowledge: () => knowledge } }],
    });
    type(again.element, 'sought', 'spark plug dirty');
    await again.settle();
    expect(again.text()).toContain('Found 1 time on machines of this kind.');
    type(again.element, 'sought', '');
    await again.settle();
    expect(again.text()).toContain('Found, and on no list A bolt in the starter Done. Minibus 3');
  });

  it('takes a test of our own', async () => {
    const view = await open({
      asked: 'Does it squeak?',
      how: 'Listen.',
      minutes: '2',
      state: 'running',
      answers: 'No 90\nYes 10',
      caution: '',
    });
    await view.press('Another test');
    await view.settle();
    expect(own(view).tests).toMatchObject([
      {
        asked: 'Does it squeak?',
        minutes: 2,
        state: 'running',
        cranks: true,
        answers: [{ words: 'No', usual: 0.9 }, {}],
      },
    ]);
  });

  it('is handed on as a file, and one that does not hold together is told', async () => {
    const view = await open();
    const mouse = { ...(CAUSES[0] as Cause), id: 'mouse', name: 'A mouse' };
    await giveFile(view, JSON.stringify({ tests: [], causes: [mouse], without: ['plug-dirty'] }));
    expect(own(view)).toMatchObject({ causes: [{ id: 'mouse' }], without: ['plug-dirty'] });
    const kept = own(view);
    await giveFile(view, 'no file');
    expect(view.text()).toContain('theirs.json: this is no such file. Nothing was changed.');
    await giveFile(
      view,
      JSON.stringify({ tests: [], causes: [{ ...mouse, signs: { squeak: { loud: 0.4 } } }], without: [] }),
    );
    expect(view.text()).toContain('theirs.json: mouse: There is no test called “squeak”. Nothing was changed.');
    await giveFile(
      view,
      JSON.stringify({ tests: [], causes: [{ ...mouse, signs: { crank: { slow: 7 } } }], without: [] }),
    );
    expect(view.text()).toMatch(/signs\.crank\.slow is too large: 1 at most/);
    expect(own(view)).toEqual(kept);
  });
});

it.each([
  ['No 90\nYes 10', [0.9, 0.1]],
  ['No, not at all 50,5 %\nYes 49.5', [0.505, 0.495]],
  ['Yes 10', 'A test has two answers or more.'],
  ['No 90\nYes 20', 'The answers come to 110 in a hundred'],
  ['No\nYes 100', '“No” has no figure at its end'],
])('answers in lines: %j', (lines, expected) => {
  const read = answersIn(lines, []);
  if (typeof expected === 'string') expect(read).toContain(expected);
  else expect(typeof read === 'string' ? read : read.map(({ usual }) => usual)).toEqual(expected);
});

it('answers that keep their words, or their place, keep their names', () => {
  const before = [
    { id: 'no', words: 'No', usual: 0.9 },
    { id: 'yes', words: 'Yes', usual: 0.1 },
  ];
  const read = answersIn('No 80\nYes, loudly 20', before);
  expect(typeof read === 'string' ? read : read.map(({ id }) => id)).toEqual(['no', 'yes']);
});
