import type { Cause, Signs, TroubleKnowledge, TroubleTest } from './knowledge.js';

/** What somebody complains of, and the tests whose odd answers make for it. */
const COMPLAINTS = [
  { id: 'no-start', words: 'It does not start', tests: [] },
  { id: 'rough', words: 'It runs rough or stalls', tests: ['cylinder-drop', 'idle', 'vacuum', 'swap-coil', 'spark'] },
  { id: 'power', words: 'No power, or it limps', tests: ['revs', 'boost', 'back-pressure'] },
  { id: 'lamp', words: 'A warning lamp or code', tests: ['codes', 'oil-lamp'] },
  { id: 'temperature', words: 'Too hot, or never warm', tests: ['temperature', 'heater', 'coolant-bubbles', 'fan'] },
  { id: 'oil', words: 'Oil pressure', tests: ['oil-gauge'] },
  { id: 'charge', words: 'It does not charge', tests: ['charging'] },
  { id: 'noise', words: 'A noise', tests: ['noise', 'noise-pedal', 'noise-place'] },
  { id: 'leak', words: 'Something drips', tests: ['leaks'] },
  { id: 'drive', words: 'Clutch, gears or drive', tests: ['pedal', 'gears', 'bite', 'drive', 'atf'] },
  { id: 'shake', words: 'It shakes', tests: ['vibration'] },
] as const;

/** The test everything begins with: what is complained of. */
export const COMPLAINT: TroubleTest = {
  id: 'complaint',
  asked: 'What is wrong with it?',
  how: 'As whoever sits in it would say it first.',
  minutes: 1,
  state: 'standing',
  answers: COMPLAINTS.map(({ id, words }) => ({ id, words, usual: 1 / COMPLAINTS.length })),
};

/** Somebody complains of something else than what shows most so often. */
const OTHERWISE = 0.12;

/**
 * `knowledge` with the complaint put first, and how likely each cause is complained of so: not starting by its signs on the key;
 * otherwise by how odd it makes the tests of each complaint. A cause that says so itself keeps what it says.
 */
export function withComplaint({ tests, causes }: TroubleKnowledge): TroubleKnowledge {
  return {
    tests: [COMPLAINT, ...tests.filter(({ id }) => id !== COMPLAINT.id)],
    causes: causes.map((cause) =>
      cause.signs[COMPLAINT.id]
        ? cause
        : { ...cause, signs: { ...cause.signs, [COMPLAINT.id]: complained(cause, tests) } },
    ),
  };
}

function complained({ signs }: Cause, tests: readonly TroubleTest[]): Readonly<Record<string, number>> {
  const of = (test: string, answers: readonly string[]) =>
    answers.reduce((sum, answer) => sum + (signs[test]?.[answer] ?? 0), 0);
  const turns = signs['crank'] === undefined ? 1 : of('crank', ['normal']);
  const fires = signs['fires'] === undefined ? 1 : 1 - of('fires', ['never', 'dies']);
  const starts = Math.max(0, Math.min(1, turns * fires));
  const odd = COMPLAINTS.map(({ id, tests: shows }) =>
    id === 'no-start' ? 0 : Math.max(0, ...shows.map((test) => oddness(test, signs, tests))) ** 2,
  );
  // What runs rough is complained of as rough, whatever a test would find besides.
  const rough = COMPLAINTS.findIndex(({ id }) => id === 'rough');
  odd[rough] = Math.max(odd[rough] ?? 0, of('fires', ['rough']));
  const total = odd.reduce((sum, one) => sum + one, 0) || 1;
  return Object.fromEntries(
    COMPLAINTS.map(({ id }, at) => {
      const share = id === 'no-start' ? 1 - starts : (starts * (odd[at] ?? 0)) / total;
      return [id, (1 - OTHERWISE) * share + OTHERWISE / COMPLAINTS.length];
    }),
  );
}

/** How likely a test of this name comes out otherwise than it usually does. */
function oddness(id: string, signs: Signs, tests: readonly TroubleTest[]): number {
  const [usual] = tests.find((test) => test.id === id)?.answers ?? [];
  const own = signs[id];
  if (!usual || !own) return 0;
  if (own[usual.id] !== undefined) return 1 - (own[usual.id] ?? 0);
  return Object.values(own).reduce((sum, one) => sum + one, 0);
}
