import {
  canApply,
  carrying,
  entryWords,
  extend,
  foldLedger,
  nextUp,
  type EntryBody,
  type JobState,
} from '../ledger/index.js';
import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { detailsOf } from '../planning/index.js';
import { entriesForNext } from '../testing/crew.js';
import { shiftReport } from './index.js';

const plan = {
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
};
let made = 0;
const written = (state: JobState, by: string, ...bodies: readonly EntryBody[]): JobState =>
  extend(
    state,
    bodies.map((body) => {
      made += 1;
      return { id: `e${made}`, at: '2026-03-02T15:00:00.000Z', by, ...body };
    }) as never,
  );
/** Work goes on until `enough`. */
function until(enough: (state: JobState) => boolean): JobState {
  let state = foldLedger(plan, []);
  while (!enough(state)) {
    const next = entriesForNext(state);
    if (next.length === 0) throw new Error('It never came to that.');
    const moves = next.filter(({ kind }) => kind === 'height-set');
    state = written(state, 'Ines', ...(moves.length > 0 ? moves : next));
  }
  return state;
}
const of = (state: JobState, sort: string) =>
  shiftReport(state)
    .filter((line) => line.sort === sort)
    .map(({ words }) => words);

describe('the end of a shift', () => {
  it('has nothing live to tell before anybody began, and says what comes first', () => {
    const state = foldLedger(plan, []);
    expect(shiftReport(state)).toEqual([{ sort: 'next', words: nextUp(state)?.operation.title }]);
  });

  it('tells first what hangs, what stays as it is, and what is still inside', () => {
    const hanging = until((state) => carrying(state).length > 0);
    expect(shiftReport(hanging)[0]).toMatchObject({ sort: 'hangs' });
    expect(of(hanging, 'hangs').join()).toMatch(/nobody under it/);
    expect(of(hanging, 'leave')).toContain('Battery isolated');
    // What this job never opens is under pressure all the same.
    expect(of(hanging, 'live')).toEqual([expect.stringMatching(/^Nobody saw to it: refrigerant recovered/)]);
    expect(of(hanging, 'inside').join()).toMatch(/About \d.*coolant: it comes out at the lowest joint/);
  });

  it('tells what nobody has made safe yet once work has begun, and what fights back', () => {
    const begun = until((state) => state.progress.size > 0);
    expect(of(begun, 'live').join()).toMatch(/Nobody saw to it: .*Find out before anybody reaches in/);
    const operation = nextUp(begun)?.operation.id ?? '';
    const stuck = written(begun, 'Ines', {
      kind: 'operation-stuck',
      operation,
      how: 'seized',
      words: 'Penetrant',
    } as never);
    expect(of(stuck, 'open')).toEqual([expect.stringMatching(/^Stuck: /)]);
  });

  it('tells who was called for what, and what only the first of two has signed', () => {
    const ready = until((state) => nextUp(state)?.operation.holdPoint === 'made-safe');
    const half = written(
      ready,
      'Ines',
      { kind: 'second-signer-asked', holdPoint: 'made-safe', asked: true },
      { kind: 'hold-point-signed', holdPoint: 'made-safe', confirmed: [] },
      { kind: 'help-called', text: 'Bring the 36 spanner' },
    );
    expect(of(half, 'open')).toEqual([
      'Signed by Ines alone, a second has to look: Made safe',
      'Ines called for: Bring the 36 spanner',
    ]);
    const sheet = half.work.operations.get('hold:made-safe');
    expect(sheet && detailsOf(half, sheet).figures).toEqual(['two people look and sign']);
    expect(sheet && detailsOf(ready, sheet).figures).toEqual([]);
  });

  it('is read once by each who goes on, not by who wrote it, and not an older one', () => {
    const begun = until((state) => state.progress.size > 0);
    const handed = written(begun, 'Ines', {
      kind: 'shift-handed-over',
      lines: shiftReport(begun),
      added: '36 at the lathe',
    });
    const shift = handed.shift?.entry ?? '';
    const refusal = (state: JobState, by: string, read = shift) =>
      canApply(state, { id: 'x', at: '2026-03-03T06:00:00.000Z', by, kind: 'shift-read', shift: read })[0]?.words;
    expect(refusal(handed, 'Ines')).toMatch(/Ines wrote it/);
    expect(refusal(handed, 'Tobias')).toBeUndefined();
    const taken = written(handed, 'Tobias', { kind: 'shift-read', shift });
    expect(taken.shift?.readBy.map(({ by }) => by)).toEqual(['Tobias']);
    expect(refusal(taken, 'Tobias')).toMatch(/has read it already/);
    const last = taken.entries.at(-1);
    expect(last && entryWords(taken, last)).toMatch(
      /^Read and taken over: Shift handed over: \d+ lines\. 36 at the lathe$/,
    );
    const again = written(taken, 'Tobias', { kind: 'shift-handed-over', lines: shiftReport(taken) });
    expect(again.shift?.readBy).toEqual([]);
    expect(refusal(again, 'Ines')).toMatch(/Another hand-over stands since/);
  });

  it('is refused where it says nothing', () => {
    const state = foldLedger(plan, []);
    const empty = {
      id: 'x',
      at: '2026-03-02T15:00:00.000Z',
      by: 'Ines',
      kind: 'shift-handed-over',
      lines: [],
    } as const;
    expect(canApply(state, empty)[0]?.words).toMatch(/nothing to hand over/);
    expect(canApply(state, { ...empty, added: 'All as it was' })).toEqual([]);
  });
});
