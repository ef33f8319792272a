import { record, refused, refitted, running, start, then, until } from '../testing/small-job.js';
import { entryWords, nextUp, openItems, type EntryBody, type JobState } from './index.js';

const tested = (test: string, more: object = {}): EntryBody => ({
  kind: 'trouble-test-done',
  test,
  asked: 'Does it spark?',
  answer: 'no',
  answered: 'No',
  ...more,
});
const found: EntryBody = { kind: 'cause-found', cause: 'coil-plug', name: 'A plug is off', mended: 'Pushed home' };
const codes = (when: 'before' | 'since', more: object = {}): EntryBody => ({
  kind: 'codes-read',
  when,
  warnings: ['Glow lamp'],
  ...more,
});
const leak = (is: 'dry' | 'weeps' | 'drips', connection = 'hose'): EntryBody => ({
  kind: 'leak-looked',
  connection,
  is,
});
const open = (state: JobState) => openItems(state).filter((item) => item.is === 'issue');

describe('looking for what is wrong', () => {
  it('is open until its cause is found, and again with the next test', () => {
    const one = then(refitted, tested('spark'));
    expect(open(one)).toEqual([{ is: 'issue', grave: true, words: 'Trouble not found yet: 1 test done' }]);
    expect(open(then(one, tested('fuel')))[0]?.words).toMatch(/2 tests done$/);
    const closed = then(one, found);
    expect(open(closed)).toEqual([]);
    expect(closed.causesFound).toEqual([expect.objectContaining({ cause: 'coil-plug', mended: 'Pushed home' })]);
    expect(open(then(closed, tested('fuel')))[0]?.words).toMatch(/1 test done$/);
  });

  it('keeps every test with its words, and the note where there is one', () => {
    const [first, second] = then(refitted, tested('spark', { note: 'The third' }), tested('fuel')).troubleTests;
    expect(first).toMatchObject({ test: 'spark', answered: 'No', note: 'The third', by: 'Ines' });
    expect(second).not.toHaveProperty('note');
  });
});

describe('warnings that are read', () => {
  it('are from before the job only until it was cranked', () => {
    expect(refused(refitted, codes('before'))).toBe('');
    expect(refused(running, codes('before'))).toMatch(/cranked already/);
    expect(refused(running, codes('since'))).toBe('');
    const [first, second] = then(start, codes('before', { volts: 12.4 }), codes('since')).codes;
    expect(first).toMatchObject({ when: 'before', warnings: ['Glow lamp'], volts: 12.4 });
    expect(second).not.toHaveProperty('volts');
  });

  it('are said with when and at how many volts', () => {
    expect(entryWords(start, record(codes('since')))).toBe('Glow lamp, read since');
    expect(entryWords(start, record(codes('before', { warnings: [] })))).toBe('No warning, read before the job');
  });
});

describe('looking for leaks', () => {
  it('is of joints that were opened, once it has run', () => {
    expect(refused(refitted, leak('dry'))).toMatch(/once it has run/);
    expect(refused(running, leak('dry', 'ghost'))).toMatch(/no connection called “ghost”/);
    expect(refused(running, leak('dry', 'pump-bolts'))).toMatch(/Nobody opened the water pump/);
    expect(refused(running, leak('dry'))).toBe('');
  });

  it('is open while something weeps, gravely while it drips, and not when it is dry', () => {
    expect(open(then(running, leak('weeps')))).toEqual([{ is: 'issue', grave: false, words: 'The lower hose weeps' }]);
    expect(open(then(running, leak('drips')))).toEqual([{ is: 'issue', grave: true, words: 'The lower hose drips' }]);
    expect(open(then(running, leak('drips'), leak('dry')))).toEqual([]);
  });
});

describe('what is read while it hangs', () => {
  it('is read once the lift is signed for, with the side that lags', () => {
    const hung = until((state) => nextUp(state)?.operation.id === 'lift:inch');
    const read = (more: object = {}): EntryBody => ({ kind: 'load-read', kg: 340, ...more });
    expect(refused(start, read())).toMatch(/Nothing hangs before the pre-lift/);
    expect(refused(hung, read())).toBe('');
    const [first, second] = then(hung, read({ lagging: 'left' }), read()).loads;
    expect(first).toMatchObject({ kg: 340, lagging: 'left', by: 'Ines' });
    expect(second).not.toHaveProperty('lagging');
    expect(entryWords(hung, record(read()))).toBe('340 kg on the hook');
  });

  it('is a measure there is, and the last one stands', () => {
    const measured = (plane: string, mm: number): EntryBody => ({ kind: 'machine-measured', plane, mm }) as EntryBody;
    expect(refused(start, measured('moon', 300))).toMatch(/no measure called “moon”/);
    expect(then(start, measured('bulkhead', 300), measured('bulkhead', 372)).measured.get('bulkhead')).toBe(372);
  });
});
