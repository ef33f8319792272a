import { record, refused, running, then } from '../testing/small-job.js';
import { entryWords, type EntryBody } from './index.js';

const planned = (look: string, more: object): EntryBody => ({
  kind: 'second-look-planned',
  look,
  what: `Look at ${look}`,
  ...more,
});
const taken = (look: string, more: object = {}): EntryBody => ({ kind: 'second-look-done', look, ...more });
const due = then(running, planned('wheels', { afterKm: 50 }), planned('mounts', { dueOn: '2026-04-01' }));

describe('a second look', () => {
  it('is due on a day or after so many kilometres, and is planned once', () => {
    expect(refused(running, planned('wheels', {}))).toMatch(/Say when it is due/);
    expect(refused(running, planned('wheels', { afterKm: 50 }))).toBe('');
    expect(refused(running, planned('wheels', { dueOn: '2026-04-01' }))).toBe('');
    expect(refused(due, planned('wheels', { afterKm: 80 }))).toMatch(/planned already/);
    expect(due.secondLooks.get('wheels')).toMatchObject({ what: 'Look at wheels', afterKm: 50, by: 'Ines' });
    expect(due.secondLooks.get('wheels')).not.toHaveProperty('dueOn');
    expect(due.secondLooks.get('mounts')).not.toHaveProperty('afterKm');
  });

  it('is taken once, with what was seen, and leaves the others as they are', () => {
    expect(refused(due, taken('belts'))).toMatch(/no second look called “belts”/);
    const done = then(due, taken('wheels', { note: 'A quarter turn' }));
    expect(done.secondLooks.get('wheels')).toMatchObject({
      what: 'Look at wheels',
      afterKm: 50,
      done: { by: 'Ines', note: 'A quarter turn' },
    });
    expect(done.secondLooks.get('mounts')).not.toHaveProperty('done');
    expect(then(due, taken('wheels')).secondLooks.get('wheels')?.done).not.toHaveProperty('note');
    expect(refused(done, taken('wheels'))).toMatch(/taken already/);
    expect(refused(done, taken('mounts'))).toBe('');
    expect(entryWords(done, record(taken('wheels')))).toBe('Looked once more: Look at wheels');
  });
});
