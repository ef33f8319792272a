import { recorder } from '../testing/crew.js';
import { refitted, start, then } from '../testing/small-job.js';
import { extend, rebased, type EntryBody, type JobState, type LedgerEntry } from './index.js';

const mine = recorder('Ines', '2026-03-02T07:00:00.000Z');
const others = recorder('Tobias', '2026-03-02T07:00:00.000Z');
const theirs = (body: EntryBody): LedgerEntry => {
  const entry = others(body);
  return { ...entry, id: `their-${entry.id}` };
};
const tag = (connection: string, number: number): EntryBody => ({ kind: 'tagged', connection, tag: number });
const counted = (count: number, bag: number, connection = 'hose'): EntryBody => ({
  kind: 'fasteners-counted',
  connection,
  direction: 'out',
  count,
  bag,
  kept: 'bag',
});
const drained = (litres: number, more: { readonly onTop?: true } = {}): EntryBody => ({
  kind: 'fluid-measured',
  circuit: 'coolant',
  direction: 'out',
  litres,
  ...more,
});
const ground = (good: boolean): EntryBody => ({ kind: 'ground-checked', connection: 'negative', good });
/** What becomes of `wanted`, recorded at `state` while somebody else wrote `meanwhile`. */
function offline(state: JobState, meanwhile: readonly EntryBody[], ...wanted: readonly EntryBody[]) {
  const now = extend(
    state,
    meanwhile.map((body) => theirs(body)),
  );
  return rebased(
    now,
    state.position,
    wanted.map((body) => mine(body)),
  );
}
const words = ({ falls }: { readonly falls: readonly { readonly words: string }[] }) => falls.map((one) => one.words);

describe('two people who did not know of each other', () => {
  it.each([
    ['tag', start, tag('hose', 1), tag('hose', 2), /“Tag 1 on .*”/],
    ['bag', start, counted(6, 1), counted(5, 1), /“6 out of .*, bag 1”/],
    ['litres', start, drained(5), drained(4.5), /“.*5 l.*”/],
    ['look at a ground', refitted, ground(false), ground(true), /“Ground not good: .*”/],
    [
      'way to keep fasteners',
      start,
      { kind: 'keeping-chosen', keeping: 'row' },
      { kind: 'keeping-chosen', keeping: 'bag' },
      /“Fasteners are kept: .*”/,
    ],
  ] as const)(
    'the second is asked before their %s takes the place of the first',
    (_what, state, first, second, said) => {
      const told = offline(state, [first], second);
      expect(told.stands).toEqual([]);
      expect(told.falls).toMatchObject([{ replaces: true, entry: second }]);
      expect(words(told)[0]).toMatch(/^Tobias was there meanwhile: /);
      expect(words(told)[0]).toMatch(said);
      expect(words(told)[0]).toMatch(/Yours would take its place\.$/);
    },
  );

  it('write the same, and nobody is asked anything', () => {
    for (const body of [tag('hose', 1), counted(6, 1), drained(5), ground(true)]) {
      const told = offline(body.kind === 'ground-checked' ? refitted : start, [body], body);
      expect(told.falls).toEqual([]);
      expect(told.stands).toMatchObject([body]);
    }
  });

  it('write beside each other: another joint, the other direction, one on top of the other', () => {
    expect(offline(start, [tag('hose', 1)], tag('sensor', 2)).falls).toEqual([]);
    expect(offline(start, [drained(5)], drained(1, { onTop: true })).falls).toEqual([]);
    expect(offline(start, [{ kind: 'noted', text: 'One' }], { kind: 'noted', text: 'Two' }).falls).toEqual([]);
  });

  it('take one number for two joints: the slower gets the next, and it is said', () => {
    const told = offline(start, [tag('hose', 1), counted(6, 1)], tag('sensor', 1), counted(2, 1, 'sensor'));
    expect(told.falls).toEqual([]);
    expect(told.stands).toMatchObject([tag('sensor', 2), counted(2, 2, 'sensor')]);
    expect(told.renumbered).toEqual(told.stands);
  });

  it('do one step: the second is told that it is finished, and the rest of what they wrote stands', () => {
    const step: EntryBody = { kind: 'operation-done', operation: 'open:negative' };
    const told = offline(start, [step], step, { kind: 'noted', text: 'Still true' });
    expect(words(told)).toEqual([expect.stringMatching(/finished already/)]);
    expect(told.falls[0]?.replaces).toBeUndefined();
    expect(told.stands).toMatchObject([{ kind: 'noted' }]);
  });
});

describe('what is no news', () => {
  it('is what the writer knew when it was written', () => {
    const state = then(start, tag('hose', 1));
    expect(rebased(state, state.position, [mine(tag('hose', 2))]).falls).toEqual([]);
  });

  it('is what has been taken back meanwhile', () => {
    const first = theirs(tag('hose', 1));
    const back = theirs({ kind: 'corrected', corrects: first.id, reason: 'Wrong hose' });
    expect(rebased(extend(start, [first, back]), 0, [mine(tag('hose', 2))]).falls).toEqual([]);
  });

  it('is what this device wrote itself a moment ago', () => {
    const [first, second] = [mine(tag('hose', 1)), mine(tag('hose', 2))];
    const told = rebased(extend(start, [first]), 0, [first, second]);
    expect(told.falls).toEqual([]);
    expect(told.stands).toEqual([second]);
  });
});

it('what stands under its id already waits no longer; what stands there and is something else is told', () => {
  const written = mine(tag('hose', 1));
  const other = { ...mine({ kind: 'noted', text: 'Mine' }) };
  const usurper = { ...theirs({ kind: 'noted', text: 'Theirs' }), id: other.id };
  const told = rebased(extend(start, [written, usurper]), 0, [written, other]);
  expect(told.stands).toEqual([]);
  expect(told.falls).toMatchObject([{ entry: other, idUsed: true }]);
});
