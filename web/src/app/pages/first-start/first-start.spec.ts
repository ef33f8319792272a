import { simulatedBox, type BoxFault, type BoxReading } from '@brisk/core/instrument';
import { allLifted, foldLedger, groundsOf, isDone, looksLeft, nextUp, type LedgerEntry } from '@brisk/core/ledger';
import { of, Subject } from 'rxjs';
import { testJob, theirEntry } from '../../../testing/test-job';
import { choose, openView, pressable, tick, type, workedUntil } from '../../../testing/open-job';
import { Ask } from '../../ui/ask';
import type { Answers } from '../../ui/asking';
import { BoxLine, boxReadingIn, type BoxSource } from '../../planning/box-line';
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

/** Readings of the simulated box over so many seconds. */
function over(fault: BoxFault, seconds: number): readonly BoxReading[] {
  const box = simulatedBox(fault, 5);
  return Array.from({ length: seconds * 10 }, () => box.next().value);
}

describe('a bench box', () => {
  const onTheBox = async (fault: BoxFault) => {
    const sent = new Subject<BoxReading>();
    const asked: BoxSource[] = [];
    const view = await openView(FirstStart, signed(), undefined, {
      providers: [
        {
          provide: BoxLine,
          useValue: {
            heard: () => of([{ box: 'shed-1', readings: 40 }]),
            readings: (source: BoxSource) => {
              asked.push(source);
              return sent;
            },
          },
        },
      ],
    });
    await view.press('Bench box');
    await view.settle();
    await view.press('Switch it on');
    const box = simulatedBox(fault, 5);
    const read = async (seconds: number) => {
      for (let at = 0; at < seconds * 10; at += 1) sent.next(box.next().value);
      await view.settle();
      return view.text();
    };
    return { view, sent, read, asked };
  };
  const last = ({ server }: Awaited<ReturnType<typeof openView>>) => server.entries.at(-1);

  it('says where it is simulated, what it reads, and gives a burst with its trace to the attempt', async () => {
    const { view, read, asked } = await onTheBox('none');
    expect(asked).toEqual([{ fault: 'none' }]);
    expect(view.text()).toContain('Simulated: no real engine is on it.');
    expect(await read(3)).toMatch(/It cranks 1\d\.\d V \d+ A \d+ rpm/);
    expect(await read(24)).toMatch(/Runs: 12\.\d to 10\.\d V in 2 s at 2\d\d rpm; oil pressure after \d\.\d s/);
    expect(view.element.querySelector<HTMLInputElement>('[name=crankSeconds]')?.value).toBe('2');
    await view.press('Record the attempt');
    await view.settle();
    expect(last(view)).toMatchObject({
      kind: 'start-attempted',
      result: 'runs',
      read: { from: 'simulated', crankRpm: expect.any(Number), trace: { everyMs: 100 } },
    });
    expect(view.text()).toMatch(/Try 1: Runs By the simulated bench box, 2\d\d rpm, oil after/);
    expect(view.text()).toContain('Over each other');
  });

  it('shows which cylinder adds nothing, and the code that came with it', async () => {
    const { view, read } = await onTheBox('dirty-plug');
    expect(await read(20)).toMatch(/cyl 2 -1\d %/);
    expect(view.text()).toContain('Misfire, cylinder 2');
    expect(await read(8)).toMatch(/Runs rough: .* cylinder 2 in firing order adds next to nothing/);
  });

  it('may be a real one, picked by its name; its trace may be left out again', async () => {
    const { view, read, asked } = await onTheBox('none');
    await view.press('Switch it off');
    await choose(view.fixture, 'Which box', 'Box shed-1');
    await view.press('Switch it on');
    expect(asked.at(-1)).toEqual({ box: 'shed-1' });
    expect(view.text()).not.toContain('no real engine is on it');
    await read(27);
    expect(view.text()).toContain('With its trace, by a bench box.');
    await view.press('Leave it out');
    expect(view.element.querySelector<HTMLInputElement>('[name=crankSeconds]')?.value).toBe('');
  });

  it('says stop, loud', async () => {
    const { view, read } = await onTheBox('no-oil-pressure');
    await read(12);
    expect(view.element.querySelector('.stop')?.textContent).toMatch(/Stop: no oil pressure after \d+ s/);
  });

  it('is switched off where it falls silent, or runs backwards, and what was typed stays', async () => {
    const { view, sent, read } = await onTheBox('none');
    await read(1);
    sent.next({ atMs: 5, volts: 12, amps: 0, rpm: 0 });
    await view.settle();
    expect(view.text()).toContain('Its readings run backwards');
    await view.press('Switch it on');
    sent.error(new LineTrouble('The box sends nothing any more. Type what was read by hand.'));
    await view.settle();
    expect(view.text()).toContain('Type what was read by hand.');
    expect(view.text()).toContain('Record the attempt');
  });

  it('that stops in a burst has what it read until then in the attempt', async () => {
    const { view, sent, read } = await onTheBox('flat-battery');
    await read(6);
    sent.error(new LineTrouble('The box sends nothing any more. Type what was read by hand.'));
    await view.settle();
    expect(view.text()).toMatch(/It stopped in a burst; until then: Turns, no fire: 11\.\d to [89]\.\d V in 4 s/);
    expect(view.element.querySelector<HTMLInputElement>('[name=crankSeconds]')?.value).toBe('4');
  });

  it('may have left its trace in a file; one that is none is told, and the hand entry is there', async () => {
    const { view } = await onTheBox('none');
    await view.press('Switch it off');
    const give = async (text: string) => {
      const chooser = view.element.querySelector<HTMLInputElement>('bl-bench-box input[type=file]');
      if (!chooser) throw new Error('There is a place for a file.');
      const file = Object.assign(new File([text], 'burst.csv'), {
        arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer),
      });
      Object.defineProperty(chooser, 'files', { value: [file], configurable: true });
      chooser.dispatchEvent(new Event('change'));
      await tick(60);
      await view.settle();
    };
    await give('Zeit;Spannung\n1;12\n');
    expect(view.text()).toContain('burst.csv: A column is missing: time_s, volts, amps, rpm.');
    expect(view.text()).toContain('Record the attempt');
    const rows = over('flat-battery', 14).map(({ atMs, volts, amps, rpm }) =>
      [atMs / 1_000, volts, amps, rpm].join(';'),
    );
    await give(['time_s;volts;amps;rpm', ...rows].join('\n'));
    expect(view.text()).toMatch(/Turns, no fire: 11\.\d to 8\.\d V in 8 s at 1\d\d rpm/);
    expect(view.text()).toContain('With its trace, by a trace out of a file.');
    await give(['time_s;volts;amps;rpm', '0,1;12,5;0;0', '0,2;12,5;0;0'].join('\n'));
    expect(view.text()).toContain('Nobody cranks in it');
  });

  it.each([
    ['{"atMs":1,"volts":12,"amps":0,"rpm":0,"oilBar":0,"coolantC":20,"fuelBar":3}', true],
    ['{"atMs":1,"volts":12,"amps":0,"rpm":0}', true],
    ['{"atMs":1,"volts":1e9,"amps":0,"rpm":0}', false],
    ['{"atMs":1}', false],
    ['smoke', false],
  ])('takes %s for a reading: %s', (text, is) => expect(boxReadingIn(text) !== undefined).toBe(is));
});

describe('cranked for oil', () => {
  it('before the hold point is signed, where the record has nothing against it', async () => {
    const ready = workedUntil((state) => nextUp(state)?.operation.holdPoint === 'pre-start');
    const state = foldLedger(testJob.plan, ready);
    const looked = [
      ...looksLeft(state).map(({ connection, left }) =>
        theirEntry({ kind: 'joint-looked-at', connection: connection.id, looks: left, good: true }),
      ),
      ...groundsOf(state).map(({ connection }) =>
        theirEntry({ kind: 'ground-checked', connection: connection.id, good: true }),
      ),
    ];
    const view = await open([...ready, ...looked]);
    expect(view.text()).toContain('The record has nothing against cranking it for oil pressure');
    for (const [field, value] of [
      ['voltsBefore', '12.6'],
      ['voltsLowest', '10.4'],
      ['crankSeconds', '8'],
    ] as const)
      type(view.element, field, value);
    await choose(view.fixture, 'What it did', 'Turns, no fire');
    await view.press('Record the attempt');
    await view.settle();
    expect(view.server.entries.at(-1)).toMatchObject({ kind: 'start-attempted', purpose: 'oil', result: 'cranks' });
    expect(view.text()).toContain('Try 1, for oil pressure: Turns, no fire');
  });

  it('not while something is open', async () => {
    const view = await open(workedUntil(allLifted));
    expect(view.text()).not.toContain('cranking it for oil pressure');
  });
});
