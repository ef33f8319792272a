import { RULES_NOW, type JobPlan } from '../connection-map/index.js';
import { usualMap } from '../layouts/index.js';
import { recorder, workOn } from '../testing/crew.js';
import { done, then } from '../testing/small-job.js';
import { nextUp, rowAhead, startOf, type JobState } from './index.js';

const plan: JobPlan = { map: usualMap('transverse-cradle'), powerpack: 'cradle', route: 'under', rules: RULES_NOW };
const atStep = (id: string) => workOn(startOf(plan), recorder(), (state) => nextUp(state)?.operation.id === id).state;
const step = (state: JobState, id: string) => {
  const operation = state.work.operations.get(id);
  if (!operation) throw new Error(`There is no step ${id}.`);
  return operation;
};
const ahead = (state: JobState, id: string) => rowAhead(state, step(state, id)).map((one) => one.id);
const injectors = (of: string, from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, at) => `${of}:petrol-injector-${from + at}`);

describe('a row of plugs', () => {
  const unplugging = atStep('open:petrol-injector-1');

  it('is what is still to do of it after the one in hand, on the way out and back', () => {
    expect(ahead(unplugging, 'open:petrol-injector-1')).toEqual(injectors('open', 2, 4));
    expect(ahead(then(unplugging, done('open:petrol-injector-1')), 'open:petrol-injector-2')).toEqual(
      injectors('open', 3, 4),
    );
    expect(ahead(unplugging, 'open:petrol-injector-4')).toEqual([]);
    expect(ahead(atStep('close:petrol-injector-1'), 'close:petrol-injector-1')).toEqual(injectors('close', 2, 4));
  });

  it('ends before one that fought back or asks for more than the first', () => {
    const stuck = then(unplugging, {
      kind: 'operation-stuck',
      operation: 'open:petrol-injector-3',
      trouble: 'seized',
      tried: 'Spray',
      minutesLost: 2,
    });
    expect(ahead(stuck, 'open:petrol-injector-1')).toEqual(injectors('open', 2, 2));
    const photographed = { ...step(unplugging, 'open:petrol-injector-3'), photo: true as const };
    const asked: JobState = {
      ...unplugging,
      work: {
        ...unplugging.work,
        operations: new Map([...unplugging.work.operations, [photographed.id, photographed]]),
      },
    };
    expect(ahead(asked, 'open:petrol-injector-1')).toEqual(injectors('open', 2, 2));
  });

  it('is none where a step is no plug of a row, or cannot be done yet', () => {
    expect(ahead(unplugging, 'open:oil-pressure')).toEqual([]);
    expect(ahead(unplugging, 'close:petrol-injector-1')).toEqual([]);
  });
});
