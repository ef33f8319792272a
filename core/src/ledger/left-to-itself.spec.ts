import { RULES_NOW } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { recorder, workOn, write } from '../testing/crew.js';
import { startOf, isDone, leftToItself, nextUp, possibleNow, runSheet, type JobState } from './index.js';

const minibus = startOf({
  map: usualMap('longitudinal-automatic'),
  powerpack: 'engine-with-gearbox',
  route: 'top',
  rules: RULES_NOW,
});
const MINUTE_MS = 60_000;
const waits = (state: JobState) =>
  leftToItself(state).map(({ operation, readyMs, leastMs }) => ({ id: operation.id, readyMs, leastMs }));
const lastMs = (state: JobState) => Date.parse(state.entries.at(-1)?.at ?? '');

describe('a wait of the plan', () => {
  const record = recorder();
  const madeSafe = workOn(minibus, record, (state) => isDone(state, 'hold:made-safe')).state;

  it('runs from when the last thing before it was done, for its usual time, and not before', () => {
    expect(waits(minibus)).toEqual([]);
    const begunMs = lastMs(madeSafe);
    expect(waits(madeSafe)).toEqual([
      { id: 'do:cool-down', leastMs: begunMs + MINUTE_MS, readyMs: begunMs + 30 * MINUTE_MS },
    ]);
  });

  it('stands behind the work that can be done meanwhile, until its time is up', () => {
    const after = (minutes: number): JobState =>
      write(madeSafe, {
        ...record({ kind: 'noted', text: 'Still warm.' }),
        at: new Date(lastMs(madeSafe) + minutes * MINUTE_MS).toISOString(),
      });
    const place = (state: JobState) => runSheet(state, ['strip']).order.findIndex(({ id }) => id === 'do:cool-down');
    expect(place(after(29))).toBeGreaterThan(20);
    expect(place(after(31))).toBeLessThan(place(after(29)));
  });

  it('may be said to be over at any time: it can be cold already', () => {
    expect(possibleNow(madeSafe).map(({ id }) => id)).toContain('do:cool-down');
    const over = write(madeSafe, record({ kind: 'operation-done', operation: 'do:cool-down' }));
    expect(waits(over)).toEqual([]);
  });

  it('comes to hand when nothing else is left to do, though its time is not up', () => {
    const { state } = workOn(minibus, recorder(), (at) => nextUp(at)?.operation.kind === 'wait');
    const others = possibleNow(state).filter(({ kind }) => kind !== 'wait');
    const [first] = waits(state);
    expect(others.length === 0 || (first?.readyMs ?? Infinity) <= lastMs(state)).toBe(true);
  });
});
