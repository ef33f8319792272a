import { hookTravelMm, turnsFor, type Leveller } from '../rigging/index.js';
import { several } from '../words/index.js';
import { barAboveCentreMm, type LiftLeg } from './legs.js';
import { GO_MM, goesOf, type Move, type MoveKind } from './moves.js';

const WORDS: Readonly<Record<MoveKind, string>> = {
  raise: 'Raise',
  lower: 'Lower',
  forward: 'Forward',
  back: 'Back',
  'tail-down': 'Tail down',
  'nose-down': 'Nose down',
  left: 'Push it to the left',
  right: 'Push it to the right',
};
/** The same where it stands on a dolly: the body is raised, the dolly rolled. */
const DOLLY_WORDS: Readonly<Partial<Record<MoveKind, string>>> = {
  raise: 'Body down',
  lower: 'Body up',
  forward: 'Roll it forward',
  back: 'Roll it back',
};

/** Whether a step of a lift says to push it aside. */
export function saysPush({ title }: { readonly title: string }): boolean {
  return title.startsWith(WORDS.left) || title.startsWith(WORDS.right);
}

/** A move as a person does it: so many millimetres, so many turns of the leveller’s crank, in so many goes. */
export function moveWords(move: Move, leg: LiftLeg, leveller: Leveller, goMm = GO_MM): string {
  const words = move.parts.map(({ kind, amount }) => partWords(kind, amount, move, leg, leveller));
  const [first, ...more] = words;
  if (first === undefined) return 'Look all round';
  const goes = goesOf(move, goMm);
  const together = [first, ...more.map((one) => one.charAt(0).toLowerCase() + one.slice(1))].join(', ');
  if (goes === 1) return together;
  return more.length > 0 ? `${together}: a little of each, in ${goes} goes` : `${together}, in ${goes} goes`;
}

function partWords(kind: MoveKind, amount: number, { from, to }: Move, leg: LiftLeg, leveller: Leveller): string {
  const verb = (leg.leg.by === 'dolly' ? DOLLY_WORDS[kind] : undefined) ?? WORDS[kind];
  if (kind !== 'tail-down' && kind !== 'nose-down') return `${verb} ${Math.round(amount)} mm`;
  const degrees = `${Math.round(amount)}°`;
  if (leg.leg.by !== 'hoist') return `${verb} ${degrees}`;
  const turns = Math.abs(turnsFor(leveller, hookTravelMm(barAboveCentreMm(leg), from.tiltDeg, to.tiltDeg)));
  return `${verb} ${several(Math.round(turns), 'turn')} (${degrees})`;
}
