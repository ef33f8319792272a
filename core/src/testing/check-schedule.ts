import type { Schedule, SchedulingProblem, ScheduledStep } from '../schedule/index.js';

const CLOSE = 1e-6;

/** Everything in `schedule` that a shop would not stand for, in words; written without looking at how schedules are built. */
export function wrongWith(problem: SchedulingProblem, { steps, costs }: Schedule): readonly string[] {
  const wrong: string[] = [];
  const byId = new Map(steps.map((step) => [step.operation.id, step]));
  const { crew } = problem;
  if (byId.size !== problem.operations.length || steps.length !== problem.operations.length)
    wrong.push(`${steps.length} of ${problem.operations.length} steps are planned`);
  for (const { before, after } of problem.precedence) {
    const [first, then] = [byId.get(before), byId.get(after)];
    if (first && then && then.startMin < first.endMin - CLOSE) wrong.push(`${after} begins before ${before} is done`);
  }
  const waits = ({ operation }: ScheduledStep) => operation.kind === 'wait';
  const overlap = (one: ScheduledStep, other: ScheduledStep) =>
    one.startMin < other.endMin - CLOSE && other.startMin < one.endMin - CLOSE;
  const stops = ({ operation }: ScheduledStep) => ['hold-point', 'lift', 'lower'].includes(operation.kind);
  const disturb = ({ operation: { moves = [] } }: ScheduledStep, { operation: still }: ScheduledStep) =>
    moves.some((one) => (still.at ?? []).includes(one) || (still.moves ?? []).includes(one));
  for (const { first, then } of brokenOff(problem, steps)) wrong.push(`${then} does not go straight on from ${first}`);
  steps.forEach((one, index) => {
    const { operation, people, startMin, endMin } = one;
    if (Math.abs(endMin - startMin - operation.minutes.likely) > CLOSE)
      wrong.push(`${operation.id} takes the wrong time`);
    if (startMin < (problem.notBefore?.get(operation.id) ?? 0) - CLOSE) wrong.push(`${operation.id} begins too early`);
    if (new Set(people).size !== people.length) wrong.push(`${operation.id} has somebody twice`);
    if (waits(one)) {
      if (people.length > 0) wrong.push(`somebody stands by during ${operation.id}`);
      return;
    }
    const free = operation.height === 'either' || problem.load !== undefined;
    if (!free && operation.height !== one.height) wrong.push(`${operation.id} at the wrong height`);
    if (problem.outside?.has(operation.id) !== true && people.length < Math.min(operation.hands, 1))
      wrong.push(`${operation.id} is done by nobody`);
    for (const name of people)
      for (const { fromMin, untilMin = Infinity } of crew.hands.find((hand) => hand.name === name)?.away ?? [])
        if (startMin < untilMin - CLOSE && endMin > fromMin + CLOSE)
          wrong.push(`${name} is away during ${operation.id}`);
    for (const other of steps.slice(index + 1).filter((later) => !waits(later))) {
      if (overlap(one, other)) {
        if (people.some((name) => other.people.includes(name)))
          wrong.push(`somebody does ${operation.id} and ${other.operation.id} at once`);
        if (disturb(one, other) || disturb(other, one))
          wrong.push(`something moves in ${operation.id} where hands are in ${other.operation.id}`);
        if (stops(one) || stops(other)) wrong.push(`work goes on during ${operation.id} or ${other.operation.id}`);
        if (one.height !== other.height) wrong.push(`${operation.id} and ${other.operation.id} at two heights at once`);
        if (operation.station === other.operation.station && crew.cramped.includes(operation.station))
          wrong.push(`two at ${operation.station}`);
      } else if (one.height !== other.height) {
        const gap = Math.max(one.startMin, other.startMin) - Math.min(one.endMin, other.endMin);
        if (gap < crew.moveMachineMin - CLOSE) wrong.push(`the machine moves while somebody is at ${operation.id}`);
      }
    }
    const beside = steps.filter(
      (other) =>
        other.operation.station === operation.station &&
        other.startMin <= startMin + CLOSE &&
        other.endMin > startMin + CLOSE,
    );
    if (beside.reduce((sum, other) => sum + other.people.length, 0) > 2)
      wrong.push(`more than two at ${operation.station}`);
  });
  const last = Math.max(0, ...steps.map(({ endMin }) => endMin));
  if (Math.abs(last - costs.finishMin) > CLOSE) wrong.push(`it finishes at ${last}, not ${costs.finishMin}`);
  const openMin = (problem.openings ?? []).reduce((sum, { from, until }) => {
    const [opened, closed] = [byId.get(from), byId.get(until)];
    return opened && closed ? sum + Math.max(0, closed.startMin - opened.endMin) : sum;
  }, 0);
  if (Math.abs(openMin - costs.openMin) > CLOSE)
    wrong.push(`things stand open for ${openMin} min, not ${costs.openMin}`);
  let height = problem.height;
  let changes = 0;
  for (const step of steps.filter((one) => !waits(one))) {
    if (step.height !== height) changes += 1;
    height = step.height;
  }
  if (changes !== costs.heightChanges) wrong.push(`${changes} height changes, not ${costs.heightChanges}`);
  return wrong;
}

/**
 * Runs of `problem` that are not gone through with: another begins in the same hands, the hands are others, or the
 * machine is moved. A run that the crew’s own edges have something come between is none.
 */
function brokenOff({ runs = [], precedence, stages }: SchedulingProblem, steps: readonly ScheduledStep[]) {
  const behind = (id: string, seen = new Set<string>()): ReadonlySet<string> => {
    for (const { before, after } of precedence)
      if (before === id && !seen.has(after)) {
        seen.add(after);
        behind(after, seen);
      }
    return seen;
  };
  return runs.filter(({ first, then }) => {
    const one = steps.find(({ operation }) => operation.id === first);
    const other = steps.find(({ operation }) => operation.id === then);
    if (!one || !other) return false;
    const after = behind(first);
    const stage = (id: string) => stages?.get(id) ?? 0;
    if (precedence.some((edge) => edge.after === then && (after.has(edge.before) || stage(edge.before) > stage(first))))
      return false;
    return (
      Math.abs(other.startMin - one.endMin) > CLOSE ||
      one.height !== other.height ||
      [...one.people].sort().join() !== [...other.people].sort().join()
    );
  });
}
