/** Speed and worth of the planner, one JSON line a figure. Part of `npm run bench`; by itself: `npm run bench:plan`. */
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { optimumByMilp } from './milp-judge.mjs';

const round = (value, digits = 4) => Number(value.toPrecision(digits));
const pick = (list, share) => [...list].sort((one, other) => one - other)[Math.floor((list.length - 1) * share)];

/** Tells every figure of the planner through `tell(figure, value, unit, more)`. */
export async function benchPlan(tell) {
  await ensureInstalled();
  await ensureBuilt();
  const { TEMPLATES, usualMap } = await import('@brisk/core/layouts');
  const { RULES_NOW, waysOut } = await import('@brisk/core/connection-map');
  const { extend, nextUp, startOf, gateOf } = await import('@brisk/core/ledger');
  const planning = await import('@brisk/core/planning');
  const { phasesOf } = await import('@brisk/core/teardown');
  const schedule = await import('@brisk/core/schedule');
  const { boundOf, crewOf, groupedOrder, ScheduleBuilder, Search, taskNet } = schedule;
  const { planned, problemFor, usualSettings } = planning;
  const names = ['Ines', 'Tobias', 'Ruth'];

  const groupedCosts = (problem, net) => {
    const graph = { into: new Map(), outOf: new Map() };
    for (const edge of problem.precedence) {
      graph.into.set(edge.after, [...(graph.into.get(edge.after) ?? []), edge]);
      graph.outOf.set(edge.before, [...(graph.outOf.get(edge.before) ?? []), edge]);
    }
    const order = groupedOrder({ operations: problem.operations, graph, height: problem.height });
    return new ScheduleBuilder(net).costs(order.map(({ id }) => net.byId.get(id)));
  };
  const searchFor = (search, ms) => {
    const began = performance.now();
    let bestAt = 0;
    while (performance.now() - began < ms) if (search.run(50)) bestAt = performance.now() - began;
    return bestAt;
  };
  const timed = (act) => {
    const began = performance.now();
    const result = act();
    return [result, performance.now() - began];
  };

  for (const { layout } of TEMPLATES) {
    const map = usualMap(layout);
    const [{ powerpack, route }] = waysOut(map);
    const state = startOf({ map, powerpack: powerpack.id, route: route.id, rules: RULES_NOW });
    for (const which of ['out', 'back'])
      for (const people of [1, 2, 3]) {
        const problem = problemFor(state, which, usualSettings(names.slice(0, people)));
        const [{ net, search }, firstMs] = timed(() => {
          const fresh = taskNet(problem);
          return { net: fresh, search: new Search(fresh, 1) };
        });
        const first = search.costs;
        const bestMs = searchFor(search, 2_000);
        const bound = boundOf(net);
        const { costs } = search;
        const grouped = groupedCosts(problem, net);
        tell(`plan ${layout}, ${which}, crew of ${people}`, round(costs.objective), 'weighted min', {
          operations: problem.operations.length,
          firstPlanMs: round(firstMs, 3),
          bestPlanMs: round(bestMs, 3),
          firstObjective: round(first.objective),
          bound: round(bound.objective),
          gapPercent: round(100 * (costs.objective / bound.objective - 1), 3),
          finishMin: round(costs.finishMin),
          finishBoundMin: round(bound.finishMin),
          finishGapPercent: round(100 * (costs.finishMin / bound.finishMin - 1), 3),
          savedAgainstGroupedMin: round(grouped.finishMin - costs.finishMin, 3),
          heightChangesSaved: grouped.heightChanges - costs.heightChanges,
          walksSaved: grouped.stationMoves - costs.stationMoves,
          toolFetchesSaved: grouped.toolFetches - costs.toolFetches,
        });
      }
  }

  const minibus = startOf({
    map: usualMap('longitudinal-automatic'),
    powerpack: 'engine-with-gearbox',
    route: 'top',
    rules: RULES_NOW,
  });
  const problem = problemFor(minibus, 'back', usualSettings(names.slice(0, 2)));
  const search = new Search(taskNet(problem), 1);
  searchFor(search, 2_000);
  const short = search.costs.objective;
  searchFor(search, 58_000);
  tell('objective after 2 s over that after one minute', round(short / search.costs.objective, 5), '×', {
    operations: problem.operations.length,
    after2s: round(short),
    afterMinute: round(search.costs.objective),
  });

  for (const size of [25, 50, 100, 200, 400]) {
    const many = grown(problem, size);
    const [{ net, one }, firstMs] = timed(() => {
      const fresh = taskNet(many);
      return { net: fresh, one: new Search(fresh, 1) };
    });
    const first = one.costs.objective;
    searchFor(one, 5_000);
    const [, boundMs] = timed(() => boundOf(net));
    tell(`plan ${size} operations`, round(firstMs, 3), 'ms to the first plan', {
      operations: many.operations.length,
      boundMs: round(boundMs, 3),
      triesPerSecond: Math.round(one.tried / 5),
      firstObjective: round(first),
      after5sObjective: round(one.costs.objective),
      gapPercent: round(100 * (one.costs.objective / boundOf(net).objective - 1), 3),
    });
  }

  const settings = usualSettings(names.slice(0, 2));
  const halfWay = workedHalf(minibus, { extend, nextUp, gateOf, phasesOf });
  const order = planning.workOrder(planned(minibus, 'out', settings, undefined));
  const times = Array.from({ length: 9 }, (_, seed) => {
    const [, ms] = timed(() => {
      const rest = planned(halfWay, 'out', settings, order);
      const again = new Search(rest.net, seed + 1, [planning.tasksIn(rest.net, order)]);
      again.run(2_000);
    });
    return ms;
  });
  tell('replan the rest at half-way, 2,000 orders tried', round(pick(times, 0.5), 3), 'ms', {
    slowest: round(Math.max(...times), 3),
    operations: problemFor(halfWay, 'out', settings).operations.length,
  });

  const ratios = [];
  const speed = [];
  let proved = 0;
  for (let seed = 1; seed <= 20; seed += 1) {
    const small = instance(seed, crewOf);
    const [own, ownMs] = timed(() => {
      const one = new Search(taskNet(small), 1);
      one.run(2_000);
      return one.costs;
    });
    const [judge, judgeMs] = await timedAsync(() => optimumByMilp(small));
    if (judge === undefined) continue;
    proved += 1;
    ratios.push((own.finishMin + own.heightChanges * small.crew.weights.heightChangeMin) / judge);
    speed.push(judgeMs / ownMs);
  }
  tell(
    'objective over the exact optimum of the MILP judge, small instances',
    round(Math.max(...ratios), 6),
    '× at worst',
    {
      instances: 20,
      proved,
      equal: ratios.filter((ratio) => ratio < 1 + 1e-6).length,
      judgeTakesTimesLonger: round(pick(speed, 0.5), 3),
    },
  );

  /** `size` operations: the problem cut short, or laid beside itself. */
  function grown(base, size) {
    const operations = [];
    const precedence = [];
    for (let copy = 0; operations.length < size; copy += 1) {
      const taken = base.operations.slice(0, size - operations.length);
      operations.push(...taken.map((operation) => ({ ...operation, id: `${copy}:${operation.id}` })));
      const here = new Set(taken.map(({ id }) => id));
      precedence.push(
        ...base.precedence
          .filter(({ before, after }) => here.has(before) && here.has(after))
          .map((edge) => ({ ...edge, before: `${copy}:${edge.before}`, after: `${copy}:${edge.after}` })),
      );
    }
    return { operations, precedence, crew: base.crew, height: base.height };
  }
}

async function timedAsync(act) {
  const began = performance.now();
  const result = await act();
  return [result, performance.now() - began];
}

/** The job with half of its way out done, as a careful crew records it. */
function workedHalf(start, { extend, nextUp, gateOf, phasesOf }) {
  let state = start;
  const total = [...state.work.operations.values()].filter(({ phase }) => phasesOf('out').includes(phase)).length;
  for (let written = 0; state.progress.size < total / 2; written += 1) {
    const { operation, moveTo } = nextUp(state, phasesOf('out'));
    const bodies = [
      ...(moveTo ? [{ kind: 'height-set', height: moveTo }] : []),
      operation.holdPoint
        ? {
            kind: 'hold-point-signed',
            holdPoint: operation.holdPoint,
            confirmed: gateOf(state, operation.holdPoint).holdPoint.confirmations.map(({ id }) => id),
          }
        : { kind: 'operation-done', operation: operation.id },
    ];
    state = extend(
      state,
      bodies.map((body, index) => ({
        id: `bench-${written}-${index}`,
        at: new Date(Date.parse('2026-03-02T07:00:00.000Z') + written * 60_000).toISOString(),
        by: 'Ines',
        ...body,
      })),
    );
  }
  return state;
}

/** A small problem of whole minutes, the same for a seed: eight steps, two or three people, heights, a hold point. */
function instance(seed, crewOf) {
  let state = seed * 2654435761;
  const below = (most) => {
    state = (Math.imul(state ^ (state >>> 15), 2246822519) + 3266489917) >>> 0;
    return state % most;
  };
  const people = 2 + below(2);
  const operations = Array.from({ length: 8 }, (_, index) => {
    const likely = 1 + below(4);
    return {
      id: `step-${index}`,
      phase: 'strip',
      kind: below(8) === 0 ? 'hold-point' : 'disconnect',
      title: `step ${index}`,
      station: ['bay-top', 'wheel-left', 'underside'][below(3)],
      height: ['ground', 'raised', 'either', 'either'][below(4)],
      hands: below(4) === 0 ? 2 : 1,
      tools: [],
      minutes: { low: likely, likely, high: likely },
      cautions: [],
    };
  });
  const precedence = operations.flatMap((_, index) =>
    index > 0 && below(3) > 0
      ? [{ before: `step-${below(index)}`, after: `step-${index}`, reason: { kind: 'access', words: '' } }]
      : [],
  );
  const crew = crewOf(['Ines', 'Tobias', 'Ruth'].slice(0, people));
  return {
    operations,
    precedence,
    height: 'ground',
    crew: { ...crew, moveMachineMin: 2, weights: { heightChangeMin: 1, stationMoveMin: 0, toolFetchMin: 0 } },
  };
}

if (process.argv[1]?.endsWith('bench-plan.mjs'))
  await benchPlan((figure, value, unit, more = {}) =>
    process.stdout.write(`${JSON.stringify({ figure, value, unit, ...more })}\n`),
  );
