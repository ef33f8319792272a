import fc from 'fast-check';
import { RULES_NOW, waysOut, type Connection, type ConnectionMap } from '../connection-map/index.js';
import { clashes, compose, TEMPLATES, templateOf, type Choices, type Template } from '../layouts/index.js';
import { foldLedger, type LedgerEntry } from '../ledger/index.js';
import type { ScheduledStep } from '../schedule/index.js';
import { ancestorsOf } from '../teardown/index.js';
import { wrongWith } from '../testing/check-schedule.js';
import { bendsOrFalls } from '../testing/check-work.js';
import type { Work } from '../work/index.js';
import { planned, type Planned } from './index.js';
import { usualSettings } from './settings.js';

/** One job on some machine, by some way out, with some crew: both halves in the order first proposed. */
interface Drawn {
  readonly map: ConnectionMap;
  readonly work: Work;
  readonly out: Planned;
  readonly bench: Planned;
  readonly back: Planned;
}

const choicesOf = (template: Template): fc.Arbitrary<Choices> =>
  (
    fc.record(
      Object.fromEntries(template.options.map(({ option, choices }) => [option, fc.constantFrom(...choices)])),
    ) as fc.Arbitrary<Choices>
  ).filter((choices) => clashes({ ...template.always, ...choices }).length === 0);

const anyJob = fc
  .tuple(fc.constantFrom(...TEMPLATES), fc.integer({ min: 1, max: 3 }), fc.nat(20))
  .chain(([template, people, way]) => choicesOf(template).map((choices) => ({ template, people, way, choices })));

function drawn({ template, people, way, choices }: typeof anyJob extends fc.Arbitrary<infer Job> ? Job : never): Drawn {
  const map = compose(template, choices);
  const ways = waysOut(map);
  const { powerpack, route } = ways[way % ways.length] ?? {};
  if (!powerpack || !route) throw new Error(`No way out of ${template.name}.`);
  const renewed: LedgerEntry = {
    id: 'renewed',
    at: '2026-03-02T07:00:00.000Z',
    by: 'Ines',
    kind: 'renewal-decided',
    renewals: (map.renewals ?? []).filter((_, at) => (at + way) % 2 === 0).map(({ id }) => id),
    doIt: 'now',
  };
  const state = foldLedger({ map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW }, [renewed]);
  const settings = usualSettings(['Ines', 'Tobias', 'Ruth'].slice(0, people));
  return {
    map,
    work: state.work,
    out: planned(state, 'out', settings, undefined),
    bench: planned(state, 'bench', settings, undefined),
    back: planned(state, 'back', settings, undefined),
  };
}

/** Pictures of whole jobs, made once: every look below is at the same ones. One has hub nuts, and each layout is there, whatever else is drawn. */
const jobs: readonly Drawn[] = [
  drawn({ template: templateOf('transverse-cradle'), people: 2, way: 1, choices: { driveshafts: 'hub-nuts' } }),
  ...TEMPLATES.map((template, at) => drawn({ template, people: 1 + (at % 3), way: at, choices: {} })),
  ...fc.sample(anyJob, { numRuns: 22, seed: 20_261_126 }).map(drawn),
];
const halves = jobs.flatMap(({ map, work, out, bench, back }) =>
  [out, bench, back].map(({ problem, schedule }) => ({ map, work, problem, schedule, steps: schedule.steps })),
);

const GEAR = ['support', 'release', 'lift', 'lower'];
const meanwhile = (one: ScheduledStep, other: ScheduledStep) =>
  one !== other && one.startMin < other.endMin - 1e-6 && other.startMin < one.endMin - 1e-6;

/** Pairs of steps in the same minutes for which `bad` holds, in words. */
const both = (
  steps: readonly ScheduledStep[],
  bad: (one: ScheduledStep['operation'], other: ScheduledStep['operation']) => boolean,
) =>
  steps.flatMap((one) =>
    steps
      .filter((other) => meanwhile(one, other) && bad(one.operation, other.operation))
      .map((other) => `${one.operation.id} while ${other.operation.id}`),
  );

/** Connections of each map that are opened for the job and are as `is` says. */
const opened = ({ map, work }: Drawn, is: (connection: Connection) => boolean) =>
  map.connections.filter((connection) => is(connection) && work.operations.has(`open:${connection.id}`));
const holdsFuel = ({ system, kind, cautions }: Connection) =>
  system === 'fuel' && ['hose', 'pipe'].includes(kind) && cautions.includes('fuel');

describe('the order of work, over machines, ways out and crews', () => {
  it('has seen every layout, and alone, by two and by three', () => {
    expect(new Set(jobs.map(({ map }) => map.layout)).size).toBe(TEMPLATES.length);
    expect(new Set(jobs.map(({ out }) => out.problem.crew.hands.length))).toEqual(new Set([1, 2, 3]));
  });

  it('is one a shop would stand for, minute by minute', () => {
    for (const { problem, schedule } of halves) expect(wrongWith(problem, schedule)).toEqual([]);
  });

  it('bends no pin and lets nothing fall', () => {
    let pinned = 0;
    for (const { map, out, bench, back } of jobs) {
      const job = { out: out.schedule.steps, bench: bench.schedule.steps, back: back.schedule.steps };
      expect(bendsOrFalls(map, job)).toEqual([]);
      if (job.bench.some(({ operation }) => operation.id === 'do:crank-locked')) pinned += 1;
    }
    expect(pinned).toBeGreaterThan(5);
  });

  it('has each of these noticed where it is otherwise', () => {
    const job = jobs.find(({ bench }) =>
      bench.schedule.steps.some(({ operation }) => operation.id === 'torque:front-pulley-bolt'),
    );
    if (!job) throw new Error('No job pins its crank.');
    const [out, bench, back] = [job.out, job.bench, job.back].map(({ schedule }) => schedule.steps) as [
      readonly ScheduledStep[],
      readonly ScheduledStep[],
      readonly ScheduledStep[],
    ];
    const at = (steps: readonly ScheduledStep[], id: string, startMin: number) =>
      steps.map((step) =>
        step.operation.id === id ? { ...step, startMin, endMin: startMin + step.endMin - step.startMin } : step,
      );
    const locked = bench.find(({ operation }) => operation.id === 'do:crank-locked')?.endMin ?? 0;
    expect(bendsOrFalls(job.map, { out, back, bench: at(bench, 'torque:front-pulley-bolt', locked) }).join()).toMatch(
      /torque:front-pulley-bolt while crank-locked/,
    );
    const mount = out.find(({ operation }) =>
      job.map.connections.some(({ id, carriesLoad }) => carriesLoad && `open:${id}` === operation.id),
    );
    expect(bendsOrFalls(job.map, { out: at(out, mount?.operation.id ?? '', 0), bench, back }).join()).toMatch(
      /before make:\S+ has the weight/,
    );
    const gear = back.find(({ operation: { kind, id } }) => kind === 'release' && /support|held|dolly|jack/.test(id));
    expect(bendsOrFalls(job.map, { out, bench, back: at(back, gear?.operation.id ?? '', 0) }).join()).toMatch(
      /release:\S+ before close:\S+ has the weight/,
    );
    const { problem, schedule } = job.bench;
    const { costs } = schedule;
    expect(wrongWith(problem, { ...schedule, costs: { ...costs, openMin: costs.openMin + 1 } }).join()).toMatch(
      /things stand open/,
    );
  });

  it('has nobody underneath while weight is taken or given, and one piece of lifting gear worked at a time', () => {
    for (const { steps, map } of halves) {
      const mounts = new Set(map.connections.filter(({ carriesLoad }) => carriesLoad).map(({ id }) => id));
      const loaded = ({ kind, connection = '' }: ScheduledStep['operation']) =>
        GEAR.includes(kind) || (kind === 'disconnect' && mounts.has(connection));
      expect(both(steps, (one, { station }) => loaded(one) && station === 'underside')).toEqual([]);
      expect(both(steps, (one, other) => GEAR.includes(one.kind) && GEAR.includes(other.kind))).toEqual([]);
    }
  });

  it('opens no fuel before the negative lead is off and the pressure or the tank is dealt with', () => {
    let looked = 0;
    for (const job of jobs)
      for (const { id } of opened(job, holdsFuel)) {
        const before = [...ancestorsOf(`open:${id}`, job.work)];
        expect(before).toContain('open:battery-negative');
        expect(before.some((one) => /^make:.*(fuel|tank)/.test(one))).toBe(true);
        looked += 1;
      }
    expect(looked).toBeGreaterThan(30);
  });

  it('turns every order told for safety or for the load round on the way back, but for what comes first both ways', () => {
    let looked = 0;
    for (const { map, work } of jobs)
      for (const { id, access } of map.connections)
        for (const need of access) {
          if (!('open' in need) || need.because === undefined || need.because === 'access') continue;
          if (!work.operations.has(`close:${id}`) || !work.operations.has(`close:${need.open}`)) continue;
          const [first, then] = need.firstBackToo ? [need.open, id] : [id, need.open];
          const last = need.firstBackToo || !work.operations.has(`torque:${then}`) ? `close:${then}` : `torque:${then}`;
          const before = ancestorsOf(last, work);
          expect(before.has(`close:${first}`) || before.has(`start:${first}`)).toBe(true);
          looked += 1;
        }
    expect(looked).toBeGreaterThan(50);
  });

  it('has a heavy part in somebody’s hands from its last fastener on, both ways', () => {
    let looked = 0;
    for (const { steps, problem } of halves) {
      const at = new Map(steps.map((step) => [step.operation.id, step]));
      for (const { first, then } of problem.runs ?? []) {
        const [one, other] = [at.get(first), at.get(then)];
        if (!one || !other) continue;
        expect(other.startMin).toBeCloseTo(one.endMin, 6);
        expect([...other.people].sort()).toEqual([...one.people].sort());
        looked += 1;
      }
    }
    expect(looked).toBeGreaterThan(60);
  });

  it('brings everything back that was taken out, shut off, recovered or switched off, and looks for leaks before it is covered', () => {
    for (const { map, work } of jobs) {
      for (const id of work.operations.keys()) {
        const [kind = '', name = ''] = id.split(':');
        if (kind === 'remove') expect(work.operations.has(`fit:${name}`)).toBe(true);
        if (kind === 'open') expect(work.operations.has(`close:${name}`)).toBe(true);
        if (kind === 'drain') expect(work.operations.has(`fill:${name}`)).toBe(true);
      }
      for (const { id, afterLeakCheck } of map.parts)
        if (afterLeakCheck && work.operations.get(`fit:${id}`)?.phase === 'refit')
          expect(ancestorsOf(`fit:${id}`, work).has('check:leaks')).toBe(true);
    }
  });

  it('leaves the machine on its wheels until somebody has signed that it is made safe', () => {
    for (const { out } of jobs) {
      const signed = out.schedule.steps.find(({ operation }) => operation.id === 'hold:made-safe');
      const up = out.schedule.steps.find(({ height }) => height === 'raised');
      expect(signed?.height).toBe('ground');
      if (up) expect(up.startMin).toBeGreaterThanOrEqual(signed?.endMin ?? Infinity);
    }
  });

  it('lets what is hot cool and what is rusted soak before anybody opens it, and goes on with other work meanwhile', () => {
    let meanwhileWorked = 0;
    for (const { steps } of halves) {
      const at = (id: string) => steps.find(({ operation }) => operation.id === id);
      const [cooled, soaked] = [at('do:cool-down'), at('do:soak-exhaust-in')];
      for (const id of ['drain:coolant', 'open:downpipe-turbo', 'open:downpipe-manifold', 'do:soak-exhaust']) {
        const hot = at(id);
        if (cooled && hot) expect(hot.startMin).toBeGreaterThanOrEqual(cooled.endMin - 1e-6);
      }
      for (const id of ['open:downpipe-turbo', 'open:downpipe-manifold', 'open:flex-clamp-turbo']) {
        const rusted = at(id);
        if (soaked && rusted) expect(rusted.startMin).toBeGreaterThanOrEqual(soaked.endMin - 1e-6);
      }
      for (const wait of [cooled, soaked])
        if (wait) {
          expect(wait.people).toEqual([]);
          if (steps.some((other) => meanwhile(wait, other))) meanwhileWorked += 1;
        }
    }
    expect(meanwhileWorked).toBeGreaterThan(10);
  });

  it('leaves a group loose until all of it is in', () => {
    let looked = 0;
    for (const { map, steps } of halves) {
      const end = new Map(steps.map(({ operation, endMin }) => [operation.id, endMin]));
      const begin = new Map(steps.map(({ operation, startMin }) => [operation.id, startMin]));
      for (const one of map.connections)
        for (const other of map.connections) {
          const group = one.refit.torque?.looseUntilAllIn;
          if (group === undefined || other.refit.torque?.looseUntilAllIn !== group) continue;
          const [torqued, closed] = [begin.get(`torque:${one.id}`), end.get(`close:${other.id}`)];
          if (torqued === undefined || closed === undefined) continue;
          expect(torqued).toBeGreaterThanOrEqual(closed - 1e-6);
          looked += 1;
        }
    }
    expect(looked).toBeGreaterThan(10);
  });

  it('never lets a machine stand on a hub without its nut', () => {
    let looked = 0;
    for (const { back } of jobs)
      for (const side of ['left', 'right']) {
        const at = (id: string) => back.schedule.steps.find(({ operation }) => operation.id === id);
        const [nut, wheel] = [at(`close:hub-${side}-nut`), at(`fit:wheel-${side}`)];
        if (!nut || !wheel) continue;
        expect(nut.endMin).toBeLessThanOrEqual(wheel.startMin + 1e-6);
        looked += 1;
      }
    expect(looked).toBeGreaterThan(0);
  });
});
