import { recorder, workOn, write } from '../testing/crew.js';
import { withConnection } from '../testing/small-map.js';
import {
  BAG_COLUMNS,
  bagRows,
  bagWall,
  isDone,
  lastEntriesOf,
  setsOf,
  startOf,
  type EntryBody,
  type JobState,
} from './index.js';

const plan = {
  ...withConnection('radiator-bolts', { fasteners: [{ count: 4, what: 'M8×1.25 × 25, 13 mm' }] }),
  rules: 2,
};
const record = recorder();
const then = (state: JobState, ...bodies: readonly EntryBody[]) =>
  bodies.reduce((now, body) => write(now, record(body)), state);
const opened = workOn(startOf(plan), record, (state) => isDone(state, 'open:radiator-bolts')).state;
const counted = (direction: 'out' | 'in', count: number, more: object = {}): EntryBody => ({
  kind: 'fasteners-counted',
  connection: 'radiator-bolts',
  direction,
  count,
  ...more,
});
const tile = (state: JobState) =>
  bagWall(state)
    .flatMap(({ tiles }) => tiles)
    .find(({ connection }) => connection.id === 'radiator-bolts');

describe('the wall of bags', () => {
  it('says how each set stands', () => {
    expect(tile(startOf(plan))).toBeUndefined();
    expect(tile(opened)?.standing).toBe('uncounted');
    const away = then(opened, counted('out', 4, { bag: 7, kept: 'bag' }));
    expect(tile(away)).toMatchObject({ standing: 'away', bag: 7, kept: 'bag', zone: 'bay-front' });
    expect(tile(then(opened, counted('out', 3, { bag: 7, kept: 'bag' })))?.standing).toBe('short');
    const out = workOn(away, record, (state) => isDone(state, 'close:radiator-bolts')).state;
    expect(tile(out)?.standing).toBe('uneven');
    expect(tile(then(out, counted('in', 4)))?.standing).toBe('home');
    // Counted in before the joint is closed.
    expect(tile(then(away, counted('in', 4)))?.standing).toBe('home');
    expect(tile(then(away, counted('in', 2)))?.standing).toBe('uneven');
    // Closed again as if nothing had ever come out.
    const uncounted = workOn(opened, record, (state) => isDone(state, 'close:radiator-bolts')).state;
    expect(tile(uncounted)?.standing).toBe('home');
    const accepted = then(out, counted('in', 3), {
      kind: 'count-accepted',
      connection: 'radiator-bolts',
      reason: 'On order',
    });
    expect(tile(accepted)?.standing).toBe('home');
  });

  it('goes by zone, and by number within one', () => {
    const zones = bagWall(then(opened, counted('out', 4, { bag: 7, kept: 'bag' }))).map(({ zone }) => zone);
    expect(new Set(zones).size).toBe(zones.length);
  });

  it('goes out as rows of which each has every column', () => {
    const state = then(opened, counted('out', 3, { bag: 7, kept: 'bag', note: 'one lost already' }), {
      kind: 'tagged',
      connection: 'radiator-bolts',
      tag: 12,
    });
    const [row] = bagRows(state).filter(({ joint }) => joint === 'the radiator brackets');
    expect(Object.keys(row ?? {})).toEqual(BAG_COLUMNS.map(({ id }) => id));
    expect(row).toMatchObject({
      bag: '7',
      kept: 'bag',
      tag: '12',
      fasteners: '4 × M8×1.25 × 25, 13 mm',
      out: '3',
      in: '',
      belong: '4',
      standing: 'short',
      note: 'one lost already',
    });
    expect(setsOf(state, 'nowhere')).toEqual([]);
  });
});

describe('what somebody recorded last', () => {
  it('is all that was recorded together, and nothing of anybody else', () => {
    const at = '2026-03-02T09:00:00.000Z';
    const both = [
      { ...record(counted('out', 4, { bag: 7, kept: 'bag' })), at },
      { ...record({ kind: 'tagged', connection: 'radiator-bolts', tag: 3 }), at },
    ];
    const theirs = { ...record({ kind: 'noted', text: 'Mine' }), by: 'Tobias', at: '2026-03-02T09:05:00.000Z' };
    const state = [...both, theirs].reduce(write, opened);
    expect(lastEntriesOf(state, 'Ines').map(({ id }) => id)).toEqual(both.map(({ id }) => id));
    expect(lastEntriesOf(state, 'Tobias')).toEqual([theirs]);
    expect(lastEntriesOf(state, 'Ruth')).toEqual([]);
  });

  it('goes back further once the last was taken back', () => {
    const state = then(opened, { kind: 'noted', text: 'One' }, { kind: 'noted', text: 'Two' });
    const [two] = lastEntriesOf(state, 'Ines');
    const back = then(state, { kind: 'corrected', corrects: two?.id ?? '', reason: 'Wrong' });
    expect(lastEntriesOf(back, 'Ines')).toEqual([expect.objectContaining({ text: 'One' })]);
  });
});
