import fc from 'fast-check';
import { usualMap } from '../layouts/index.js';
import {
  canApply,
  extend,
  foldLedger,
  nextOf,
  nextUp,
  possibleNow,
  runSheet,
  type EntryBody,
  type JobState,
  type PlanSettings,
} from '../ledger/index.js';
import { ScheduleBuilder, scheduleOf, Search, taskNet } from '../schedule/index.js';
import { recorder, workOn, write } from '../testing/crew.js';
import { randomNet } from '../testing/random-net.js';
import { searched } from '../testing/short-search.js';
import {
  keptOrder,
  orderOf,
  overtakenBy,
  planned,
  settingsNow,
  tasksIn,
  turnsOf,
  usualSettings,
  waitsNow,
} from './index.js';

const fresh = foldLedger(
  { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' },
  [],
);
const two = usualSettings(['Ines', 'Tobias']);
const followed = (state: JobState, settings: PlanSettings = two): EntryBody => {
  const { schedule } = planned(state, 'out', settings, undefined);
  return {
    kind: 'plan-followed',
    half: 'out',
    order: orderOf(schedule),
    ...settings,
    finishMin: schedule.costs.finishMin,
    heightChanges: schedule.costs.heightChanges,
  };
};

describe('a plan that is followed', () => {
  const record = recorder('Ines', '2026-03-04T07:00:00.000Z');

  it('is what the next step comes from, version after version', () => {
    const pins = [{ of: 'open:oil-pressure', before: 'open:oil-pressure', after: 'open:airbox-bolts' }];
    const rest = planned(fresh, 'out', { ...two, pins }, undefined);
    const state = write(fresh, record({ ...followed(fresh), order: orderOf(searched(rest)) } as EntryBody));
    const order = runSheet(state, ['strip', 'lift']).order.map(({ id }) => id);
    expect(order.indexOf('open:oil-pressure')).toBeLessThan(order.indexOf('open:airbox-bolts'));
    expect(state.plans.get('out')?.version).toBe(1);
    expect(write(state, record(followed(state))).plans.get('out')?.version).toBe(2);
  });

  it('gives each of two the next of their own steps; what one is stuck at or puts off goes out of hand and comes back', () => {
    const { state } = workOn(
      write(fresh, record(followed(fresh))),
      record,
      (now) => possibleNow(now, ['strip']).length > 6,
    );
    const turns = turnsOf(planned(state, 'out', settingsNow(state, 'out', [], NaN), state.plans.get('out')));
    const mine = [...turns].flatMap(([id, people]) => (people.includes('Ines') ? [id] : []));
    const first = nextOf(state, mine, ['strip'])?.operation.id ?? '';
    expect(mine).toContain(first);
    const stuck = write(
      state,
      record({
        kind: 'operation-stuck',
        operation: first,
        trouble: 'seized',
        tried: 'Penetrant',
        minutesLost: 3,
        soakMin: 30,
      }),
    );
    const second = nextOf(stuck, mine, ['strip'])?.operation.id ?? '';
    expect(second).not.toBe(first);
    expect(mine).toContain(second);
    const putOff = write(
      stuck,
      record({ kind: 'operation-skipped', operation: second, mode: 'later', reason: 'The lamp is elsewhere' }),
    );
    expect([first, second]).not.toContain(nextOf(putOff, mine, ['strip'])?.operation.id);
    // Where nothing else is theirs it is what the whole crew would take next, and at last what was put off.
    expect(nextOf(putOff, [first, second], ['strip'])?.operation.id).toBe(nextUp(putOff, ['strip'])?.operation.id);
  });

  it('takes in what is found later, next to other work at its place', () => {
    const state = extend(write(fresh, record(followed(fresh))), [
      record({
        kind: 'connection-found',
        alreadyOpen: false,
        connection: {
          id: 'found-strap',
          name: 'a strap behind the head',
          kind: 'ground',
          between: ['engine', 'body'],
          station: 'bay-top',
          height: 'either',
        },
      }),
    ]);
    const order = runSheet(state, ['strip', 'lift']).order.map(({ id }) => id);
    expect(order).toContain('open:found-strap');
    expect(order.indexOf('open:found-strap')).toBeLessThan(order.indexOf('hold:pre-lift'));
  });

  it('says what it does not know: what got stuck since, and what was found', () => {
    const plain = write(fresh, record(followed(fresh)));
    expect(overtakenBy(fresh, 'out')).toEqual([]);
    expect(overtakenBy(plain, 'out')).toEqual([]);
    const stuck = write(
      plain,
      record({
        kind: 'operation-stuck',
        operation: 'open:downpipe-turbo',
        trouble: 'rounded',
        tried: 'Extractor',
        minutesLost: 5,
      }),
    );
    expect(overtakenBy(stuck, 'out')).toEqual([{ is: 'stuck', title: 'Unbolt the front pipe at the turbocharger' }]);
    expect(overtakenBy(write(stuck, record(followed(stuck, { ...two, waits: waitsNow(stuck) }))), 'out')).toEqual([]);
  });

  it('comes to the same when it is planned again from what the ledger keeps of it', () => {
    fc.assert(
      fc.property(randomNet({ most: 12 }), (problem) => {
        const net = taskNet(problem);
        const search = new Search(net, 1);
        search.run(400);
        const plan = scheduleOf(net, search.best());
        const again = taskNet(problem);
        const { costs } = new ScheduleBuilder(again).build(tasksIn(again, keptOrder(net, plan)));
        expect(costs.finishMin).toBeLessThanOrEqual(plan.costs.finishMin);
        expect(costs.heightChanges).toBe(plan.costs.heightChanges);
      }),
      { numRuns: 200 },
    );
  });

  it('moves the machine early where it says so, on the sheet and at the step', () => {
    const order = runSheet(fresh, ['strip', 'lift']).order;
    const under = order.findIndex(({ height }) => height === 'raised');
    const before = order[under - 1];
    expect(before?.height).toBe('either');
    const plan = {
      ...followed(fresh),
      order: order.map(({ id }) => id),
      moveFirst: [before?.id ?? ''],
    } as EntryBody;
    let state = write(fresh, record(plan));
    const { setups } = runSheet(state, ['strip', 'lift']);
    const raised = setups.find(({ moveMachine }) => moveMachine);
    expect([raised?.operations[0]?.id, raised?.height]).toEqual([before?.id, 'raised']);
    state = workOn(state, record, (now) => nextUp(now)?.moveTo !== undefined).state;
    expect(nextUp(state)).toMatchObject({ operation: { id: before?.id }, moveTo: 'raised' });
    expect(state.progress.size).toBe(under - 1);
  });

  it('is refused where it goes against a reason, has a step twice or of the other half', () => {
    const plan = followed(fresh);
    if (plan.kind !== 'plan-followed') throw new Error('It is a plan.');
    const refusal = (order: readonly string[]) => canApply(fresh, record({ ...plan, order }))[0]?.words;
    expect(refusal([...plan.order].reverse())).toContain('The plan puts');
    expect(refusal([...plan.order, plan.order[0] ?? ''])).toContain('twice');
    expect(refusal(['lower:on-mounts'])).toContain('other half');
    expect(refusal(['open:ghost'])).toContain('no step called');
    const moved = canApply(fresh, record({ ...plan, moveFirst: ['open:ghost'] }));
    expect(moved[0]?.words).toContain('a step it does not have');
  });
});
