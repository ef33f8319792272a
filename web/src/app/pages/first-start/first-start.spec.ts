import { isDone, type LedgerEntry } from '@brisk/core/ledger';
import { openView, pressable, tick, workedUntil } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { FirstStart } from './first-start';

const signed = () => workedUntil((state) => isDone(state, 'hold:pre-start'));
const open = (entries: readonly LedgerEntry[], answers?: Answers) =>
  openView(FirstStart, entries, undefined, {
    providers: [{ provide: Ask, useValue: { ask: () => Promise.resolve(answers) } }],
  });

describe('codes that were read', () => {
  it('are sorted by the record, opened as issues, and say why', async () => {
    const view = await open(signed(), { codes: '1. Fuel rail pressure low\nSeat belt', when: 'since', volts: '' });
    await view.press('Codes read');
    await view.settle();
    expect(view.server.entries.filter(({ kind }) => kind === 'issue-opened')).toMatchObject([
      { title: 'Fuel rail pressure low', sort: 'real', connection: 'rail-sensor' },
      { title: 'Seat belt', sort: 'real' },
    ]);
    expect(view.text()).toContain('was off on this job: look there first.');
    await view.press('Codes read');
    await view.settle();
    expect(view.server.entries.filter(({ kind }) => kind === 'issue-opened')).toHaveLength(2);
  });

  it('before the job are kept, and make the same one stored later', async () => {
    const answers: Record<string, string> = { codes: 'Seat belt', when: 'before', volts: '' };
    const view = await open(signed(), answers);
    await view.press('Codes read');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'codes-read', when: 'before', warnings: ['Seat belt'] });
    answers['when'] = 'since';
    await view.press('Codes read');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'issue-opened', title: 'Seat belt', sort: 'stored' });
    expect(view.text()).toContain('It was there before the job.');
  });
});

describe('a burst by the clock', () => {
  const realNow = Date.now;
  afterEach(() => {
    Date.now = realNow;
  });

  it('says when to stop, gives its seconds to the attempt, and counts the rest', async () => {
    let nowMs = realNow();
    Date.now = () => nowMs;
    const view = await open(signed());
    await view.press('Clock a burst');
    const after = async (seconds: number) => {
      nowMs += seconds * 1_000;
      await tick(150);
      await view.settle();
      return view.text();
    };
    expect(await after(4)).toContain('4 s of 10');
    expect(await after(4)).toContain('2 … let go');
    expect(await after(3)).toContain('Stop cranking: 11 s');
    pressable(view.element, 'It stands, or it runs').click();
    await view.settle();
    expect(view.element.querySelector<HTMLInputElement>('[name=crankSeconds]')?.value).toBe('11');
    expect(view.text()).toContain('30 s rest for the starter');
    expect(await after(31)).not.toContain('rest for the starter');
  });
});
