import {
  adjustmentsOf,
  CIRCUIT_STATE_WORDS,
  circuitsNow,
  groundsOf,
  isDone,
  isSettled,
  LEAK_WORDS,
  looksLeft,
  setCounts,
  stillOpen,
  unevenWords,
  type JobState,
} from '../ledger/index.js';
import { operationId, type Operation } from '../teardown/index.js';
import { sentence } from '../words/index.js';
import { batteryStops } from './battery-stops.js';
import { wouldDo } from './would-do.js';

/** What would come of it if one turned the key now, the gravest first. */
export const HARMS = [
  'hangs',
  'hurts',
  'lurches',
  'sprays',
  'shorts',
  'burns',
  'breaks',
  'loses-oil',
  'loses-coolant',
  'will-not-crank',
  'will-not-fire',
  'runs-badly',
  'looks',
] as const;
export type Harm = (typeof HARMS)[number];

export const HARM_WORDS: Readonly<Record<Harm, string>> = {
  hangs: 'Its weight is on lifting gear',
  hurts: 'It can hurt somebody',
  lurches: 'It may stand in gear: it lurches',
  sprays: 'It can spray fuel',
  shorts: 'A live lead lies open: it sparks',
  burns: 'Hot gas comes out where it should not',
  breaks: 'It breaks something',
  'loses-oil': 'It loses oil, or runs without',
  'loses-coolant': 'It loses coolant, or boils',
  'will-not-crank': 'It will not turn',
  'will-not-fire': 'It will not fire',
  'runs-badly': 'It runs badly',
  looks: 'It wants a look',
};

/** What the machine is turned or run for, each asking more than the one before. */
export const PURPOSES = ['by-hand', 'crank-for-oil', 'prime-fuel', 'fire', 'run'] as const;
export type Purpose = (typeof PURPOSES)[number];

export const PURPOSE_WORDS: Readonly<Record<Purpose, { readonly name: string; readonly how: string }>> = {
  'by-hand': { name: 'Turn it by hand', how: 'Battery off, out of gear, forwards only, two whole turns.' },
  'crank-for-oil': {
    name: 'Crank for oil pressure',
    how: 'Kept from firing as the maker says. Bursts of ten seconds at most.',
  },
  'prime-fuel': { name: 'Prime the fuel', how: 'Key on, or hand pump; no cranking. Look at every joint.' },
  fire: { name: 'Let it fire', how: 'Seconds, somebody at the stop, extinguisher at hand.' },
  run: { name: 'Run it warm', how: 'Under watch, until it is bled and tight.' },
};

/** What each harm speaks against. */
const AGAINST: Readonly<Record<Harm, readonly Purpose[]>> = {
  hangs: PURPOSES,
  hurts: ['fire', 'run'],
  lurches: ['crank-for-oil', 'fire', 'run'],
  // A pump that the engine drives sprays while it is cranked, one with a motor from the key on.
  sprays: ['crank-for-oil', 'prime-fuel', 'fire', 'run'],
  shorts: ['crank-for-oil', 'prime-fuel', 'fire', 'run'],
  burns: ['fire', 'run'],
  breaks: ['crank-for-oil', 'fire', 'run'],
  'loses-oil': ['crank-for-oil', 'fire', 'run'],
  'loses-coolant': ['run'],
  'will-not-crank': ['crank-for-oil', 'fire', 'run'],
  'will-not-fire': ['fire', 'run'],
  'runs-badly': ['run'],
  looks: [],
};

/** One thing the record has against it. */
export interface Warned {
  readonly harm: Harm;
  readonly words: string;
  /** The step that mends it, where there is one. */
  readonly operation?: Operation;
}

/** What would happen now, gravest first, and what speaks against each purpose. */
export interface Readiness {
  readonly warned: readonly Warned[];
  readonly purposes: readonly { readonly purpose: Purpose; readonly against: readonly Warned[] }[];
}

/** What the record of `state` has against turning the key now. */
export function readiness(state: JobState): Readiness {
  const warned = [
    ...batteryStops(state).map((words): Warned => ({ harm: 'will-not-crank', words })),
    ...openJoints(state),
    ...notTight(state),
    ...uneven(state),
    ...leaking(state),
    ...unfilled(state),
    ...unearthed(state),
    ...notLookedAt(state),
    ...notSet(state),
    ...notDone(state),
  ].sort((one, other) => HARMS.indexOf(one.harm) - HARMS.indexOf(other.harm));
  return {
    warned,
    purposes: PURPOSES.map((purpose) => ({
      purpose,
      against: warned.filter(({ harm }) => AGAINST[harm].includes(purpose)),
    })),
  };
}

function withStep(state: JobState, id: string): Pick<Warned, 'operation'> {
  const operation = state.work.operations.get(id);
  return operation ? { operation } : {};
}

function openJoints(state: JobState): readonly Warned[] {
  const left = [...state.leftAsItIs].flatMap(([id, { as, reason }]): readonly Warned[] => {
    const connection = state.work.connections.get(id);
    return as === 'off' && connection
      ? [{ harm: wouldDo(connection), words: `Left off: ${connection.name}. ${reason}` }]
      : [];
  });
  const open = stillOpen(state).flatMap((connection): readonly Warned[] => {
    const operation = state.work.operations.get(operationId.close(connection.id));
    // Bonnet and covers go on once the leaks were looked for.
    return operation && operation.phase !== 'handover'
      ? [{ harm: wouldDo(connection), words: `Still open: ${connection.name}`, operation }]
      : [];
  });
  return [...open, ...left];
}

/** Closed and not at its final torque: it works loose, and what turns flies off. */
function notTight(state: JobState): readonly Warned[] {
  return [...state.work.connections.values()].flatMap((connection): readonly Warned[] => {
    const torque = state.work.operations.get(operationId.torque(connection.id));
    if (!torque || isSettled(state, torque) || !isDone(state, operationId.close(connection.id))) return [];
    const harm = wouldDo(connection);
    return [
      {
        harm: harm === 'looks' ? 'breaks' : harm,
        words: `Not tight: ${connection.name}`,
        operation: torque,
      },
    ];
  });
}

function uneven(state: JobState): readonly Warned[] {
  return setCounts(state).flatMap((count): readonly Warned[] => {
    const words = count.closed ? unevenWords(count) : undefined;
    return words === undefined
      ? []
      : [{ harm: wouldDo(count.connection), words: `${sentence(count.connection.name)}: ${words}` }];
  });
}

/** What dripped when it ran drips the next time. */
function leaking(state: JobState): readonly Warned[] {
  return [...state.leaks].flatMap(([id, { is, note }]): readonly Warned[] => {
    const connection = state.work.connections.get(id);
    return is === 'dry' || !connection
      ? []
      : [
          {
            harm: is === 'drips' ? wouldDo(connection) : 'looks',
            words: `${sentence(connection.name)} ${LEAK_WORDS[is]}${note ? `. ${note}` : ''}`,
          },
        ];
  });
}

function unfilled(state: JobState): readonly Warned[] {
  return circuitsNow(state).flatMap(({ circuit, is }): readonly Warned[] =>
    is === 'full'
      ? []
      : [
          {
            harm: circuit.fluid === 'coolant' ? 'loses-coolant' : 'loses-oil',
            words: is === 'drained' ? `${circuit.name} is not filled` : `${circuit.name}: ${CIRCUIT_STATE_WORDS[is]}`,
            ...withStep(state, operationId.fill(circuit.id)),
          },
        ],
  );
}

function unearthed(state: JobState): readonly Warned[] {
  return groundsOf(state).flatMap(({ connection, closed, check }): readonly Warned[] =>
    !closed || check?.good
      ? []
      : [
          {
            harm: 'will-not-crank',
            words: `${sentence(connection.name)}: ${check ? `not good${check.note ? `, ${check.note}` : ''}` : 'nobody looked at it since it is on'}`,
          },
        ],
  );
}

function notLookedAt(state: JobState): readonly Warned[] {
  return looksLeft(state).map(({ connection, bad }): Warned => ({
    harm: wouldDo(connection),
    words: `${sentence(connection.name)}: ${bad.length > 0 ? 'found not right as it went on' : 'nobody looked at it as it went on'}`,
  }));
}

/** A throttle that hangs runs away; a gear that does not go in is for the road. */
function notSet(state: JobState): readonly Warned[] {
  return adjustmentsOf(state).flatMap(({ connection, spec, closed, done, words }): readonly Warned[] =>
    !closed || done
      ? []
      : [
          {
            harm: spec.what === 'free-play' && connection.system === 'air' ? 'hurts' : 'runs-badly',
            words: `${sentence(connection.name)}: ${words}`,
          },
        ],
  );
}

/** Other steps before the start that are not done, or were put off. */
function notDone(state: JobState): readonly Warned[] {
  return [...state.work.operations.values()].flatMap((operation): readonly Warned[] => {
    const { id, kind, phase, title, connection, circuit } = operation;
    if (!['bench', 'refit'].includes(phase) || connection !== undefined || circuit !== undefined) return [];
    if (kind === 'hold-point' || kind === 'wait' || isSettled(state, operation)) return [];
    const put = state.progress.get(id);
    return [
      {
        harm: kind === 'lower' || kind === 'release' || kind === 'support' ? 'hangs' : 'looks',
        words: put?.is === 'skipped' ? `Put off: ${title}. ${put.reason}` : `Not done: ${title}`,
        operation,
      },
    ];
  });
}
