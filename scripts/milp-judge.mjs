/** An exact judge of small plans: the same question as a mixed-integer program, minute by minute, for HiGHS to solve. */
import highsLoader from 'highs';

const MOST_SECONDS = 60;
let solver;

/**
 * The least of finish and weighted height changes of a small problem of whole minutes, or undefined where it could not
 * be proved in time. One variable for each step and minute it may begin; the machine stands on the ground, raised, or
 * is being moved, in every minute.
 */
export async function optimumByMilp({ operations, precedence, crew, height }) {
  solver ??= await highsLoader();
  const people = crew.hands.length;
  const move = crew.moveMachineMin;
  const total = operations.reduce((sum, { minutes }) => sum + minutes.likely, 0);
  const horizon = total + 3 * move;
  const minutes = Array.from({ length: horizon }, (_, minute) => minute);
  const length = (step) => operations[step].minutes.likely;
  const x = (step, minute) => `x${step}_${minute}`;
  const steps = operations.map((_, index) => index);
  const binaries = [];
  const rows = [];
  const begins = (step) => minutes.filter((minute) => minute + length(step) <= horizon);
  /** Terms for "this step is being worked on in this minute". */
  const working = (step, minute) =>
    begins(step)
      .filter((begin) => begin <= minute && minute < begin + length(step))
      .map((begin) => x(step, begin));
  const sum = (terms) => (terms.length > 0 ? terms.join(' + ') : '0 finish');

  for (const step of steps) {
    binaries.push(...begins(step).map((minute) => x(step, minute)));
    rows.push(`${sum(begins(step).map((minute) => x(step, minute)))} = 1`);
    rows.push(
      `finish - ${begins(step)
        .map((minute) => `${minute + length(step)} ${x(step, minute)}`)
        .join(' - ')} >= 0`,
    );
  }
  const index = new Map(operations.map(({ id }, step) => [id, step]));
  for (const { before, after } of precedence) {
    const [first, then] = [index.get(before), index.get(after)];
    const starts = begins(then).map((minute) => `${minute} ${x(then, minute)}`);
    const ends = begins(first).map((minute) => `${minute + length(first)} ${x(first, minute)}`);
    rows.push(`${starts.join(' + ')} - ${ends.join(' - ')} >= 0`);
  }
  const stations = [...new Set(operations.map(({ station }) => station))];
  for (const minute of minutes) {
    const taken = (step) => Math.min(operations[step].hands, people);
    const hands = steps.flatMap((step) =>
      working(step, minute).map((term) => `${operations[step].kind === 'hold-point' ? people : taken(step)} ${term}`),
    );
    if (hands.length > 0) rows.push(`${hands.join(' + ')} <= ${people}`);
    for (const station of stations) {
      const here = steps.filter((step) => operations[step].station === station);
      const cramped = crew.cramped.includes(station);
      const terms = here.flatMap((step) => working(step, minute).map((term) => `${cramped ? 1 : taken(step)} ${term}`));
      if (terms.length > 0) rows.push(`${terms.join(' + ')} <= ${cramped ? 1 : 2}`);
    }
    // In each minute the machine stands on the ground, raised, or is being moved; work needs it to stand.
    binaries.push(`g${minute}`, `r${minute}`, `u${minute}`, `d${minute}`);
    const moved = (kind) =>
      minutes.filter((begin) => begin <= minute && minute < begin + move).map((begin) => `${kind}${begin}`);
    rows.push(`g${minute} + r${minute} + ${[...moved('u'), ...moved('d')].join(' + ')} = 1`);
    for (const step of steps) {
      const terms = working(step, minute);
      if (terms.length === 0) continue;
      const wants = operations[step].height;
      const stands = wants === 'ground' ? `g${minute}` : wants === 'raised' ? `r${minute}` : `g${minute} - r${minute}`;
      rows.push(`${sum(terms)} - ${stands} <= 0`);
    }
    // It stands as it stood, or as the move that has just ended left it.
    const before = minute === 0 ? undefined : minute - 1;
    const came = (kind) => (minute - move >= 0 ? ` - ${kind}${minute - move}` : '');
    const onGround = before === undefined ? (height === 'ground' ? 1 : 0) : 0;
    rows.push(`g${minute}${before === undefined ? '' : ` - g${before}`}${came('d')} <= ${onGround}`);
    rows.push(
      `r${minute}${before === undefined ? '' : ` - r${before}`}${came('u')} <= ${1 - onGround - (before === undefined ? 0 : 1)}`,
    );
  }
  const changes = minutes.flatMap((minute) => [`u${minute}`, `d${minute}`]);
  const weighted = changes.map((term) => `${crew.weights.heightChangeMin} ${term}`).join(' + ');
  const text = [
    'Minimize',
    ` cost: finish + ${weighted}`,
    'Subject To',
    ...rows.map((row, number) => ` c${number}: ${row}`),
    'Bounds',
    ` 0 <= finish <= ${horizon}`,
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');
  const { Status, ObjectiveValue } = solver.solve(text, { time_limit: MOST_SECONDS });
  return Status === 'Optimal' ? ObjectiveValue : undefined;
}
