import fc from 'fast-check';
import { CyclicMapError, crossing, lumpOf, type JobPlan } from '../connection-map/index.js';
import { ancestorsOf } from '../teardown/index.js';
import { randomPlan } from '../testing/random-map.js';
import { workOf, type Work } from '../work/index.js';

/** The work of `plan`, or nothing where its map waits for itself. */
function workable(plan: JobPlan): Work | undefined {
  try {
    return workOf(plan);
  } catch (error) {
    if (error instanceof CyclicMapError) return undefined;
    throw error;
  }
}

function everyWork(holds: (work: Work, plan: JobPlan) => void): void {
  let judged = 0;
  fc.assert(
    fc.property(randomPlan, (plan) => {
      const work = workable(plan);
      if (!work) return;
      judged += 1;
      holds(work, plan);
    }),
    { numRuns: 80 },
  );
  expect(judged).toBeGreaterThan(70);
}

const opened = (work: Work) =>
  [...work.operations.keys()].filter((id) => id.startsWith('open:')).map((id) => id.slice(5));

describe('the way back on machines nobody has built', () => {
  it('closes whatever was opened, and nothing else', () => {
    everyWork((work) => {
      const closed = [...work.operations.keys()].filter((id) => id.startsWith('close:')).map((id) => id.slice(6));
      expect(closed.sort()).toEqual(opened(work).sort());
    });
  });

  it('connects what crosses the boundary only when the powerpack is down', () => {
    everyWork((work, plan) => {
      const boundary = crossing(plan.map.connections, lumpOf(plan.map, ['engine']));
      for (const { id } of boundary) expect(ancestorsOf(`close:${id}`, work).has('lower:down')).toBe(true);
    });
  });

  it('opens and closes access the other way round', () => {
    everyWork((work, plan) => {
      for (const { id, access, carriesLoad } of plan.map.connections)
        for (const need of access)
          if ('open' in need && work.operations.has(`open:${id}`)) {
            expect(ancestorsOf(`open:${id}`, work).has(`open:${need.open}`)).toBe(true);
            const first = carriesLoad ? `start:${id}` : `close:${id}`;
            const other = work.connections.get(need.open);
            const back = other?.carriesLoad ? `start:${need.open}` : `close:${need.open}`;
            expect(ancestorsOf(back, work).has(first)).toBe(true);
          }
    });
  });

  it('fills after every joint of the circuit, connects the battery after all else, and starts after that', () => {
    everyWork((work, plan) => {
      const beforeFill = ancestorsOf('fill:coolant', work);
      for (const { id, circuit } of plan.map.connections)
        if (circuit === 'coolant' && work.operations.has(`close:${id}`))
          expect(beforeFill.has(`close:${id}`)).toBe(true);
      const beforeBattery = ancestorsOf('close:negative', work);
      for (const { id, phase } of work.operations.values())
        if (phase === 'refit' && id !== 'close:negative') expect(beforeBattery.has(id)).toBe(true);
      expect(ancestorsOf('hold:pre-start', work).has('close:negative')).toBe(true);
    });
  });

  it('keeps the load path: weight taken before any mount is opened, let down after every mount is tight', () => {
    everyWork((work, plan) => {
      for (const { id, carriesLoad, refit } of plan.map.connections) {
        if (!carriesLoad || !work.operations.has(`open:${id}`)) continue;
        expect(ancestorsOf(`open:${id}`, work).has('make:hoisted')).toBe(true);
        expect(ancestorsOf('release:hoisted', work).has(refit.torque ? `torque:${id}` : `close:${id}`)).toBe(true);
      }
    });
  });
});
