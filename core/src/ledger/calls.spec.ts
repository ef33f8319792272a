import { record, refused, start, then } from '../testing/small-job.js';
import { entryWords, openCalls, type EntryBody } from './index.js';

const called = (more: object = {}): EntryBody => ({ kind: 'help-called', text: 'Hold the lamp', ...more });

describe('a call for help', () => {
  it('is for a step of the job or for none, and is open until it is seen to', () => {
    expect(refused(start, called())).toBe('');
    expect(refused(start, called({ operation: 'open:hose' }))).toBe('');
    expect(refused(start, called({ operation: 'open:ghost' }))).toMatch(/no step called “open:ghost”/);
    const call = record(called({ operation: 'open:hose', who: 'Tobias' }));
    const state = then(start, call);
    expect(openCalls(state)).toEqual([expect.objectContaining({ text: 'Hold the lamp', who: 'Tobias', by: 'Ines' })]);
    const [open] = openCalls(state);
    const answered: EntryBody = { kind: 'help-answered', call: open?.entry ?? '' };
    expect(refused(state, answered)).toBe('');
    expect(openCalls(then(state, answered))).toEqual([]);
    expect(refused(state, { kind: 'help-answered', call: 'nobody' })).not.toBe('');
    expect(entryWords(state, record(called({ operation: 'remove:cover' })))).toBe(
      'Called whoever is free to Lift the cover away: Hold the lamp',
    );
  });
});
