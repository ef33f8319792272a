import type { Connection, ConnectionMap } from '../connection-map/index.js';
import {
  adjustmentNow,
  CIRCUIT_STATE_WORDS,
  circuitsNow,
  groundsOf,
  isDone,
  isOpen,
  looksLeft,
  setCountOf,
  unevenWords,
  type JobState,
} from '../ledger/index.js';
import { operationId } from '../teardown/index.js';
import { sentence } from '../words/index.js';
import { COMPLAINT } from './complaints.js';
import type { Belief, Evidence, Machine, Raise } from './belief.js';
import type { About, Cause, TroubleTest } from './knowledge.js';
import { byCodes, readByBox } from './read-by-box.js';
import { seenBad } from './seen-bad.js';

/** What a machine burns, what cools it and what it drives through, by what is on its map. */
export function machineOf({ parts, connections, circuits }: ConnectionMap): Machine {
  const has = (...ids: readonly string[]) => parts.some(({ id }) => ids.includes(id));
  const named = (words: RegExp) => connections.some(({ id }) => words.test(id));
  const burns = has('carburettor')
    ? 'carburettor'
    : has('injection-pump')
      ? 'diesel-mechanical'
      : named(/^glow-bar$|metering|^rail-/) && !named(/^coil-|^petrol-/)
        ? 'diesel-rail'
        : 'petrol-injected';
  const gearbox = has('converter')
    ? 'automatic'
    : has('flywheel', 'clutch-cylinder', 'clutch-cable')
      ? 'manual'
      : undefined;
  return {
    burns,
    cooled: circuits.some(({ id }) => id === 'coolant') ? 'coolant' : 'air',
    ...(gearbox ? { gearbox } : {}),
  };
}

/** By how much a joint that a cause has to do with makes it likelier, by how it stands on this job. */
const FACTORS = { open: 20, bad: 15, seen: 12, unset: 10, unlooked: 7, uneven: 6, torque: 6, touched: 4 } as const;
/** Nothing on a job makes a cause likelier than that. */
const MOST = 40;
/** So many joints are named as reasons. */
const MOST_NAMED = 2;

/**
 * What this job makes likelier, by cause: what is open now, was found bad, was photographed or noted as dirty or broken, came out uneven, is not set, was not looked at, was
 * accepted off its torque, or was only touched. The gravest of its joints counts, and is named.
 */
export function raisesOf(state: JobState, causes: readonly Cause[]): ReadonlyMap<string, Raise> {
  const seen = seenBad(state);
  const dry = circuitsNow(state).filter(({ is }) => is !== 'full');
  const joints = [...state.work.connections.values()].flatMap((connection) => {
    const is = standing(state, connection, seen.get(connection.id));
    return is ? [{ connection, ...is }] : [];
  });
  return new Map(
    causes.flatMap(({ id, about }): readonly (readonly [string, Raise])[] => {
      const own = joints
        .filter(({ connection }) => isAbout(about, connection))
        .sort((one, other) => other.factor - one.factor);
      const empty = dry.filter(({ circuit }) => about.dry?.includes(circuit.id) === true);
      const [gravest] = own;
      if (empty.length > 0)
        return [
          [
            id,
            { factor: MOST, because: empty.map(({ circuit, is }) => `${circuit.name}: ${CIRCUIT_STATE_WORDS[is]}.`) },
          ],
        ];
      if (!gravest) return [];
      return [
        [
          id,
          {
            factor: Math.min(MOST, gravest.factor),
            because: own
              .filter(({ factor }) => factor === gravest.factor)
              .slice(0, MOST_NAMED)
              .map(({ connection, words }) => `${sentence(connection.name)} ${words}.`),
          },
        ],
      ];
    }),
  );
}

/** Causes with which the engine itself stands still, whatever the starter does. */
const STANDS_STILL: ReadonlySet<string> = new Set(['starter-mesh', 'engine-stuck']);

/** What cannot be, by the last attempt: where the engine turned, nothing that keeps it standing. */
export function ruledOut(state: JobState): ReadonlySet<string> {
  const result = lastAttempt(state)?.result;
  return result === undefined || result === 'no-crank' ? new Set() : STANDS_STILL;
}

/** The last attempt to start since the last trouble was closed. */
function lastAttempt({ attempts, causesFound }: JobState): JobState['attempts'][number] | undefined {
  const closed = causesFound.at(-1)?.at;
  return attempts.findLast(({ at, purpose }) => purpose === undefined && (closed === undefined || at > closed));
}

/** Joints of this job that a cause has to do with: where one looks. */
export function jointsOf(state: JobState, { about }: Cause): readonly Connection[] {
  return [...state.work.connections.values()].filter(
    (connection) => isAbout(about, connection) && state.work.operations.has(operationId.open(connection.id)),
  );
}

/** Causes whose joints are shown for a test. */
const MOST_SHOWN = 4;
/** The test that goes by everything that was unplugged, whatever is believed. */
const WIGGLE = 'wiggle';

/**
 * Joints of this job at which `test` is done: of the cause it looks at; for moving plugs, every plug that was off; else of what is
 * most `believed` in and shows in it.
 */
export function placesOf(state: JobState, test: TroubleTest, believed: readonly Belief[]): readonly Connection[] {
  if (test.id === WIGGLE)
    return [...state.work.connections.values()].filter(
      ({ id, kind }) => kind === 'plug' && isDone(state, operationId.open(id)),
    );
  const causes = believed.flatMap(({ cause }) => (cause ? [cause] : []));
  const shown = causes
    .filter(({ id, signs }) => (test.looksAt === undefined ? signs[test.id] !== undefined : id === test.looksAt))
    .slice(0, MOST_SHOWN);
  const ids = new Set(shown.flatMap((cause) => jointsOf(state, cause).map(({ id }) => id)));
  return [...state.work.connections.values()].filter(({ id }) => ids.has(id));
}

function isAbout(
  { systems = [], kinds = [], connections = [], circuits = [], words = [] }: About,
  { id, name, system, kind, circuit }: Connection,
): boolean {
  return (
    connections.includes(id) ||
    systems.includes(system) ||
    kinds.includes(kind) ||
    (circuit !== undefined && circuits.includes(circuit)) ||
    words.some((word) => ` ${name} ${id.replaceAll('-', ' ')} `.includes(` ${word.replaceAll('-', ' ')} `))
  );
}

/** How a joint stands on this job, where that makes trouble likelier. */
function standing(
  state: JobState,
  { id, kind }: Connection,
  seen: string | undefined,
): { readonly factor: number; readonly words: string } | undefined {
  if (isOpen(state, id))
    return state.leftAsItIs.get(id)?.as === 'off'
      ? { factor: FACTORS.open, words: 'is left off' }
      : { factor: FACTORS.open, words: 'is still open' };
  if (!isDone(state, operationId.open(id))) return undefined;
  const looks = looksLeft(state).find(({ connection }) => connection.id === id);
  const ground = kind === 'ground' ? groundsOf(state).find(({ connection }) => connection.id === id) : undefined;
  if ((looks && looks.bad.length > 0) || ground?.check?.good === false)
    return { factor: FACTORS.bad, words: 'was found not right' };
  if (seen !== undefined) return { factor: FACTORS.seen, words: `was ${seen}` };
  const set = adjustmentNow(state, id);
  if (set && set.tries.length > 0 && !set.good) return { factor: FACTORS.unset, words: 'is not set right' };
  const count = setCountOf(state, id);
  if (count?.accepted || unevenWords(count) !== undefined)
    return { factor: FACTORS.uneven, words: 'did not come out even' };
  if (looks || (ground && !ground.check)) return { factor: FACTORS.unlooked, words: 'was not looked at as it went on' };
  if (state.torques.get(id)?.at(-1)?.accepted !== undefined)
    return { factor: FACTORS.torque, words: 'was accepted off its torque' };
  return { factor: FACTORS.touched, words: 'was off on this job' };
}

/** 12 or 24 volts: rested or cranked, a reading above this is of two batteries. */
const ONE_BATTERY_V = 16;
const REST_OK_V = 12.2;
const CRANK_OK_V = 9.6;

/** What is known of the trouble there is now: the last attempt since the last one was closed, and every test since. */
export function evidenceOf(state: JobState): readonly Evidence[] {
  const { troubleTests, causesFound, codes } = state;
  const closed = causesFound.at(-1)?.at;
  const isNow = ({ at }: { readonly at: string }) => closed === undefined || at > closed;
  const attempt = lastAttempt(state);
  const machine = machineOf(state.work.plan.map);
  const tester = codes.filter((read) => read.when === 'since' && isNow(read)).at(-1);
  return [
    ...(attempt ? ofAttempt(attempt) : []),
    ...(attempt?.read ? readByBox(attempt.read, attempt.result, machine) : []),
    ...(tester ? byCodes(tester.warnings, machine) : []),
    ...troubleTests.filter(isNow).map(({ test, answer }) => ({ test, answers: [answer] })),
  ];
}

/** What somebody would say who tried to start it. */
const COMPLAINED: Readonly<Partial<Record<JobState['attempts'][number]['result'], string>>> = {
  'no-crank': 'no-start',
  cranks: 'no-start',
  'fires-and-dies': 'no-start',
  'runs-rough': 'rough',
};

function ofAttempt({
  voltsBefore,
  voltsLowest,
  crankSeconds,
  result,
}: JobState['attempts'][number]): readonly Evidence[] {
  const batteries = voltsBefore > ONE_BATTERY_V ? 2 : 1;
  const volts = (test: string, read: number, least: number): Evidence => ({
    test,
    answers: [read / batteries >= least ? 'ok' : 'low'],
  });
  const does = {
    'no-crank': [{ test: 'crank', answers: ['nothing', 'click'] }],
    cranks: [
      { test: 'crank', answers: ['normal', 'slow', 'fast'] },
      { test: 'fires', answers: ['never'] },
    ],
    'fires-and-dies': [
      { test: 'crank', answers: ['normal', 'slow'] },
      { test: 'fires', answers: ['dies'] },
    ],
    'runs-rough': [
      { test: 'crank', answers: ['normal', 'slow'] },
      { test: 'fires', answers: ['rough'] },
    ],
    runs: [
      { test: 'crank', answers: ['normal', 'slow'] },
      { test: 'fires', answers: ['well'] },
    ],
  }[result];
  const complaint = COMPLAINED[result];
  return [
    ...(complaint ? [{ test: COMPLAINT.id, answers: [complaint] }] : []),
    volts('rest-volts', voltsBefore, REST_OK_V),
    ...(crankSeconds > 0 ? [volts('crank-volts', voltsLowest, CRANK_OK_V)] : []),
    ...does,
  ];
}
