import { recorder } from '../testing/crew.js';
import { start } from '../testing/small-job.js';
import { canApply, entryWords, extend, type EntryBody, type JobState } from './index.js';

const ines = recorder('Ines');
const [tobias, ruth] = ['Tobias', 'Ruth'].map((by) => recorder(by, '2026-03-02T12:00:00.000Z'));
if (!tobias || !ruth) throw new Error('Nobody takes over.');
const over = ines({
  kind: 'shift-handed-over',
  lines: [{ sort: 'hangs', words: 'The engine hangs' }],
  added: 'Mind the dog',
});
const reads = (shift: string): EntryBody => ({ kind: 'shift-read', shift });
const handed = extend(start, [over]);
const why = (state: JobState, entry: ReturnType<typeof ines>) => canApply(state, entry).map(({ words }) => words);

describe('a shift that is handed over', () => {
  it('has something to say, and stands until the next one', () => {
    expect(why(start, ines({ kind: 'shift-handed-over', lines: [] }))).toEqual([
      'There is nothing to hand over: say at least how it stands.',
    ]);
    expect(why(start, ines({ kind: 'shift-handed-over', lines: [], added: 'All quiet' }))).toEqual([]);
    expect(handed.shift).toMatchObject({ by: 'Ines', added: 'Mind the dog', readBy: [] });
    const next = ines({ kind: 'shift-handed-over', lines: [{ sort: 'next', words: 'Mounts next' }] });
    const later = extend(handed, [tobias(reads(over.id)), next]);
    expect(later.shift).toMatchObject({ entry: next.id, readBy: [] });
    expect(later.shift).not.toHaveProperty('added');
    expect(why(later, tobias(reads(over.id)))).toEqual(['Another hand-over stands since: read that one.']);
    expect(why(later, tobias(reads(next.id)))).toEqual([]);
  });

  it('is read by whoever takes over, once each, and not by whoever wrote it', () => {
    expect(why(start, tobias(reads(over.id)))).toEqual(['Another hand-over stands since: read that one.']);
    expect(why(handed, ines(reads(over.id)))).toEqual(['Ines wrote it: whoever takes over reads it.']);
    expect(why(handed, tobias(reads(over.id)))).toEqual([]);
    const one = extend(handed, [tobias(reads(over.id))]);
    expect(why(one, tobias(reads(over.id)))).toEqual(['Tobias has read it already.']);
    expect(why(one, ruth(reads(over.id)))).toEqual([]);
    const both = extend(one, [ruth(reads(over.id))]);
    expect(both.shift?.readBy.map(({ by }) => by)).toEqual(['Tobias', 'Ruth']);
    expect(why(both, tobias(reads(over.id)))).toEqual(['Tobias has read it already.']);
    expect(entryWords(both, tobias(reads(over.id)))).toBe(
      'Read and taken over: Shift handed over: 1 line. Mind the dog',
    );
  });
});
