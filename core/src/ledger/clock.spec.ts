import { smallPlan } from '../testing/small-map.js';
import {
  extend,
  clockOf,
  minutesByOperation,
  minutesByStop,
  startOf,
  canApply,
  type EntryBody,
  type LedgerEntry,
} from './index.js';

let made = 0;
const at = (minute: number, by: string, body: EntryBody): LedgerEntry => {
  made += 1;
  return {
    id: `e${made}`,
    at: new Date(Date.UTC(2026, 2, 2, 8, minute)).toISOString(),
    by,
    ...body,
  } as LedgerEntry;
};
const ms = (minute: number) => Date.UTC(2026, 2, 2, 8, minute);
const done = (operation: string): EntryBody => ({ kind: 'operation-done', operation });
const start = startOf(smallPlan);

describe('the clock of a step', () => {
  it('runs by itself from the last thing somebody recorded', () => {
    const state = extend(start, [at(0, 'Ines', done('open:negative')), at(4, 'Tobias', { kind: 'noted', text: 'x' })]);
    expect(clockOf(state, 'Ines', ms(0), ms(12))).toEqual({ minutes: 12, paused: false });
    expect(clockOf(state, 'Tobias', ms(0), ms(12)).minutes).toBe(8);
  });

  it('stands over a break, and goes on after it', () => {
    const breakBegan = extend(start, [at(0, 'Ines', done('open:negative')), at(5, 'Ines', { kind: 'work-paused' })]);
    expect(clockOf(breakBegan, 'Ines', ms(0), ms(30))).toEqual({ minutes: 5, paused: true });
    const back = extend(breakBegan, [at(35, 'Ines', { kind: 'work-resumed' })]);
    expect(clockOf(back, 'Ines', ms(0), ms(40))).toEqual({ minutes: 10, paused: false });
    expect(canApply(back, at(41, 'Ines', { kind: 'work-resumed' }))[0]?.words).toMatch(/at work already/);
    expect(canApply(breakBegan, at(41, 'Ines', { kind: 'work-paused' }))[0]?.words).toMatch(/on a break already/);
  });

  it('begins anew when the page is opened after a night', () => {
    const state = extend(start, [at(0, 'Ines', done('open:negative'))]);
    expect(clockOf(state, 'Ines', ms(900), ms(905)).minutes).toBe(5);
    expect(clockOf(start, 'Ruth', ms(10), ms(13)).minutes).toBe(3);
  });
});

describe('how long steps really took', () => {
  it('shares what one key stood for among its steps, by what each takes as a rule', () => {
    const together = [at(10, 'Ines', done('open:cover-bolts')), at(10, 'Ines', done('remove:cover'))];
    const state = extend(start, [at(0, 'Ines', { kind: 'noted', text: 'Begin' }), ...together]);
    const minutes = minutesByOperation(state);
    const likely = (id: string) => state.work.operations.get(id)?.minutes.likely ?? 0;
    const cover = minutes.get('open:cover-bolts') ?? 0;
    const lid = minutes.get('remove:cover') ?? 0;
    expect(cover + lid).toBeCloseTo(10);
    expect(cover / lid).toBeCloseTo(likely('open:cover-bolts') / likely('remove:cover'));
  });

  const stuck: EntryBody = {
    kind: 'operation-stuck',
    operation: 'open:cover-bolts',
    trouble: 'seized',
    tried: 'Heat',
    minutesLost: 10,
  };

  it('counts the tries that did not come off, and not the breaks', () => {
    const state = extend(start, [
      at(0, 'Ines', { kind: 'noted', text: 'Begin' }),
      at(6, 'Ines', done('open:negative')),
      at(16, 'Ines', stuck),
      at(20, 'Ines', { kind: 'work-paused' }),
      at(50, 'Ines', { kind: 'work-resumed' }),
      at(57, 'Ines', done('open:cover-bolts')),
    ]);
    const minutes = minutesByOperation(state);
    expect(minutes.get('open:negative')).toBe(6);
    expect(minutes.get('open:cover-bolts')).toBe(10 + 4 + 7);
    expect(minutesByStop(state).get('strip')).toBe(27);
  });

  it('says nothing of a step with a night in it, or one that is not done', () => {
    const state = extend(start, [
      at(0, 'Ines', done('open:negative')),
      at(600, 'Ines', done('open:cover-bolts')),
      at(605, 'Ines', {
        kind: 'operation-stuck',
        operation: 'open:sensor',
        trouble: 'other',
        tried: 'So',
        minutesLost: 5,
      }),
    ]);
    expect([...minutesByOperation(state).keys()]).toEqual([]);
  });

  it('says nothing of a step that was begun before a gap nobody knows, whatever was written in between', () => {
    const state = extend(start, [
      at(0, 'Ines', done('open:negative')),
      at(600, 'Ines', { kind: 'noted', text: 'Back' }),
      at(605, 'Ines', done('open:cover-bolts')),
    ]);
    expect(minutesByOperation(state).has('open:cover-bolts')).toBe(false);
  });
});
