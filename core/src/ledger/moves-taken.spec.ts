import { compose, templateOf } from '../layouts/index.js';
import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { entriesForNext } from '../testing/crew.js';
import type { MoveStep } from '../work/index.js';
import {
  canApply,
  extend,
  foldLedger,
  isDone,
  lostBy,
  startOf,
  type EntryBody,
  type JobState,
  type LedgerEntry,
} from './index.js';

const plan: JobPlan = {
  map: compose(templateOf('utility-belt')),
  powerpack: 'engine',
  route: 'top',
  rules: RULES_NOW,
};
const step = (title: string): MoveStep => ({ title, minutes: { low: 1, likely: 2, high: 4 } });
const taken: EntryBody = {
  kind: 'moves-taken',
  powerpack: 'engine',
  route: 'top',
  off: ['airbox'],
  measured: { bulkhead: 372 },
  out: [{ ...step('Raise 60 mm'), tip: '20 mm as drawn.' }, step('Out 140 mm')],
  back: [step('In 140 mm'), step('Lower 60 mm')],
  carriedBy: 'hoist',
  drawnOff: false,
};
let written = 0;
const entry = (body: EntryBody): LedgerEntry => {
  written += 1;
  return {
    ...body,
    id: `00000000-0000-4000-8000-${String(written).padStart(12, '0')}`,
    at: '2026-11-27T09:00:00.000Z',
    by: 'Ines',
  };
};
const write = (state: JobState, ...bodies: readonly EntryBody[]) => extend(state, bodies.map(entry));
const titles = (state: JobState, kind: string) =>
  [...state.work.operations.values()].filter((one) => one.kind === kind).map(({ title }) => title);

function until(state: JobState, done: (state: JobState) => boolean): JobState {
  let now = state;
  while (!done(now)) {
    const bodies = entriesForNext(now);
    if (bodies.length === 0) throw new Error('Nothing is left to do.');
    for (const body of bodies) {
      const next = entry(body);
      expect(canApply(now, next)).toEqual([]);
      now = extend(now, [next]);
    }
  }
  return now;
}

describe('the moves of a lift', () => {
  it('stand between the layout’s own first and last step, out and back', () => {
    const state = write(startOf(plan), taken);
    expect(titles(state, 'lift')).toEqual([
      'Take it up until it just comes free, and look all round',
      'Raise 60 mm',
      'Out 140 mm',
      'Raise clear and set it on the bench',
    ]);
    expect(titles(state, 'lower')).toEqual([
      'Bring it over the bay, hung as it was when it came clear',
      'In 140 mm',
      'Lower 60 mm',
      'Down onto the paint marks',
    ]);
    const move = state.work.operations.get('lift:move-1');
    expect(move).toMatchObject({ tip: '20 mm as drawn.', cautions: ['under-load'] });
  });

  it('are worked through like any other step, to the end of the job', () => {
    const state = until(write(startOf(plan), taken), (now) => entriesForNext(now).length === 0);
    for (const id of ['lift:move-1', 'lift:move-2', 'lower:back-1', 'lower:back-2'])
      expect(isDone(state, id)).toBe(true);
    expect(lostBy(state, plan)).toEqual([]);
    expect(foldLedger(plan, state.entries)).toEqual(state);
  });

  it('stay when one more connection is found, and are taken anew before the lift', () => {
    const found: EntryBody = {
      kind: 'connection-found',
      connection: {
        id: 'extra-strap',
        name: 'a strap nobody knew',
        kind: 'strap',
        between: ['engine', 'body'],
        station: 'bay-top',
        height: 'either',
      },
      alreadyOpen: false,
    };
    const state = write(startOf(plan), taken, found);
    expect(titles(state, 'lift')).toContain('Raise 60 mm');
    expect(canApply(state, entry({ ...taken, out: [step('Raise 90 mm')] } as EntryBody))).toEqual([]);
  });

  it('go back onto their shaft in the layout’s own two steps, and nowhere twice', () => {
    const heavy = { ...plan, map: compose(templateOf('heavy-tilt-cab')), route: 'top-engine' };
    const state = foldLedger(heavy, [entry({ ...taken, route: 'top-engine', drawnOff: true } as EntryBody)]);
    expect(titles(state, 'lower')).toEqual([
      'Bring it over the bay, hung as it was when it came clear',
      'In 140 mm',
      'Lower 60 mm',
      'Bar the engine over and bring the faces together',
      'Lower until the mount holes line up',
    ]);
  });

  it('count for nothing where the plan goes another way, and are not taken for one', () => {
    const other = { ...plan, route: 'rear' };
    const state = foldLedger(other, [entry(taken)]);
    expect(titles(state, 'lift')).toEqual(titles(startOf(other), 'lift'));
    expect(canApply(startOf(other), entry(taken)).map(({ words }) => words)).toEqual([
      'These moves are of another way out than the one of this plan. Look for the way anew.',
    ]);
  });

  it('are not changed once the lift has begun; a job without them keeps the layout’s steps', () => {
    const lifting = until(write(startOf(plan), taken), (now) => isDone(now, 'lift:move-1'));
    expect(canApply(lifting, entry(taken)).map(({ words }) => words)).toEqual([
      'The lift has begun: go on by the moves it was begun with.',
    ]);
    expect(titles(startOf(plan), 'lift')).toEqual([
      'Raise 30 mm and look all round',
      'Raise clear and set it on the bench',
    ]);
  });
});
