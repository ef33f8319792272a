import { usualMap } from '../layouts/index.js';
import { edge, plainStep } from '../testing/random-net.js';
import { workOf } from '../work/index.js';
import { crewOf, linesOf, scheduleOf, ScheduleBuilder, Search, taskNet } from './index.js';

const map = usualMap('longitudinal-automatic');
const work = workOf({ map, powerpack: 'engine-with-gearbox', route: 'top', rules: 3 });
const lines = linesOf([...work.operations.values()], map);
const at = (id: string) => lines.get(id);

describe('what is worked along', () => {
  it('has a part’s fasteners and then the part in one line, and the part before them on the way back', () => {
    expect(at('open:airbox-bolts')?.line).toBe('part airbox');
    expect(at('remove:airbox')?.line).toBe('part airbox');
    expect(at('remove:airbox')?.place).toBeGreaterThan(at('open:airbox-bolts')?.place ?? Infinity);
    expect(at('fit:airbox')?.place).toBeLessThan(at('close:airbox-bolts')?.place ?? -Infinity);
  });

  it('has the plugs of the loom in the order of the map, and a torque right behind its joint', () => {
    expect(at('open:injector-1')?.line).toBe(at('open:injector-3')?.line);
    expect(at('open:injector-1')?.line).not.toBe(at('open:cam-sensor')?.line);
    expect(at('open:boost-sensor')?.line).toBe(at('open:cam-sensor')?.line);
    const row = [1, 2, 3, 4].map((number) => at(`open:injector-${number}`)?.place ?? 0);
    expect(row).toEqual(row.toSorted((one, other) => one - other));
    const [closed, torqued] = [at('close:radiator-brackets'), at('torque:radiator-brackets')];
    expect(torqued?.line).toBe(closed?.line);
    expect((torqued?.place ?? 0) - (closed?.place ?? 0)).toBe(0.5);
  });
});

describe('jumping about', () => {
  const steps = ['coil-1', 'hose', 'coil-3', 'coil-2'].map((id) => plainStep(id));
  const problem = {
    operations: steps,
    precedence: [],
    crew: crewOf(['Ines']),
    height: 'ground',
    lines: new Map([1, 2, 3].map((place) => [`coil-${place}`, { line: 'plugs', place }])),
  } as const;

  it('is counted at one place: once for other work, half for going back in a row', () => {
    const net = taskNet(problem);
    expect(new ScheduleBuilder(net).costs(net.tasks).jumps).toBe(2.5);
  });

  it('is what a search avoids where the clock does not mind', () => {
    const net = taskNet({ ...problem, precedence: [edge('hose', 'coil-1')] });
    const search = new Search(net, 1);
    search.run(200);
    const order = scheduleOf(net, search.best()).steps.map(({ operation }) => operation.id);
    expect(order).toEqual(['hose', 'coil-1', 'coil-2', 'coil-3']);
    expect(search.costs.jumps).toBe(1);
  });

  it('costs nothing in plans made before it was counted', () => {
    const { jumpMin: _none, ...weights } = crewOf(['Ines']).weights;
    const net = taskNet({ ...problem, crew: { ...problem.crew, weights } });
    const costs = new ScheduleBuilder(net).costs(net.tasks);
    expect(costs.objective).toBe(costs.finishMin);
  });
});
