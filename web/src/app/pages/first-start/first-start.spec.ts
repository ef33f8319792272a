import { simulatedBox, type BoxFault, type BoxReading } from '@brisk/core/instrument';
import { isDone, type LedgerEntry } from '@brisk/core/ledger';
import { Subject } from 'rxjs';
import { openView, pressable, tick, workedUntil } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { BoxLine, boxReadingIn } from '../../planning/box-line';
import { LineTrouble } from '../../planning/reading-line';
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

describe('the simulated bench box', () => {
  const onTheBox = async (fault: BoxFault) => {
    const sent = new Subject<BoxReading>();
    const view = await openView(FirstStart, signed(), undefined, {
      providers: [{ provide: BoxLine, useValue: { readings: () => sent } }],
    });
    await view.press('Bench box (simulated)');
    await view.press('Switch it on');
    const box = simulatedBox(fault, 5);
    const read = async (seconds: number) => {
      for (let at = 0; at < seconds * 10; at += 1) sent.next(box.next().value);
      await view.settle();
      return view.text();
    };
    return { view, sent, read };
  };

  it('says that it is simulated, what it reads, and gives a burst to the attempt with a note of that', async () => {
    const { view, read } = await onTheBox('none');
    expect(view.text()).toContain('simulated: no real engine is on it');
    expect(await read(3)).toMatch(/It cranks 1\d\.\d V \d+ A \d+ rpm/);
    expect(await read(24)).toMatch(/Runs: 12\.\d to 10\.\d V in 2 s at 2\d\d rpm, oil pressure after \d\.\d s/);
    const value = (field: string) => view.element.querySelector<HTMLInputElement>(`[name=${field}]`)?.value;
    expect(value('crankSeconds')).toBe('2');
    expect(value('note')).toBe('By the simulated bench box');
  });

  it('says stop, loud', async () => {
    const { view, read } = await onTheBox('no-oil-pressure');
    await read(12);
    expect(view.element.querySelector('.stop')?.textContent).toMatch(/Stop: no oil pressure after \d+ s/);
  });

  it('is switched off where it falls silent, or runs backwards, and what was typed stays', async () => {
    const { view, sent, read } = await onTheBox('none');
    await read(2);
    sent.next({ atMs: 5, volts: 12, amps: 0, rpm: 0, oilBar: 0, coolantC: 20, fuelBar: 3 });
    await view.settle();
    expect(view.text()).toContain('Its readings run backwards');
    await view.press('Switch it on');
    sent.error(new LineTrouble('The box sends nothing any more. Type what was read by hand.'));
    await view.settle();
    expect(view.text()).toContain('Type what was read by hand.');
    expect(view.text()).toContain('Record the attempt');
  });

  it.each([
    ['{"atMs":1,"volts":12,"amps":0,"rpm":0,"oilBar":0,"coolantC":20,"fuelBar":3}', true],
    ['{"atMs":1,"volts":1e9,"amps":0,"rpm":0,"oilBar":0,"coolantC":20,"fuelBar":3}', false],
    ['{"atMs":1}', false],
    ['smoke', false],
  ])('takes %s for a reading: %s', (text, is) => expect(boxReadingIn(text) !== undefined).toBe(is));
});
