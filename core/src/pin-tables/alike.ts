import type { Pin } from './read.js';

/** Words that people write for the same thing. */
const SAME: readonly (readonly string[])[] = [
  ['ground', 'gnd', 'earth', 'minus', 'masse'],
  ['supply', 'feed', 'power', 'positive', 'plus'],
  ['battery', 'batt', 'permanent'],
  ['ignition', 'ign', 'switched', 'key'],
  ['signal', 'sig', 'sense'],
  ['temperature', 'temp', 'thermo'],
  ['coolant', 'water', 'cool'],
  ['pressure', 'press'],
  ['sensor', 'sender', 'transmitter'],
  ['crankshaft', 'crank'],
  ['camshaft', 'cam'],
  ['injector', 'inj', 'nozzle'],
  ['throttle', 'thr'],
  ['position', 'pos'],
  ['starter', 'start', 'cranking'],
  ['alternator', 'charge', 'charging', 'generator'],
  ['lamp', 'light', 'bulb', 'warning'],
  ['relay', 'rly'],
  ['speed', 'rpm', 'revolutions', 'tacho'],
  ['heater', 'glow', 'preheat'],
  ['valve', 'solenoid'],
  ['air', 'intake', 'manifold'],
  ['fuel', 'petrol', 'diesel'],
];
const MEANS: ReadonlyMap<string, string> = new Map(
  SAME.flatMap((words) => words.map((word) => [word, words[0] ?? word])),
);
/** Words that say nothing of which wire it is. */
const EMPTY = new Set(['the', 'to', 'of', 'and', 'for', 'from', 'at', 'wire', 'line', 'lead']);

/** The words of `text`, those that mean the same alike; figures stand by themselves. */
export function meaning(text: string): ReadonlySet<string> {
  return new Set(
    text
      .toLowerCase()
      .replace(/([a-z])(\d)/g, '$1 $2')
      .split(/[^\p{L}\d+-]+/u)
      .filter((word) => word !== '' && !EMPTY.has(word))
      .map((word) => MEANS.get(word) ?? word),
  );
}

/** How alike two sets of words are, from nought to one; another number in them (injector 1, injector 2) is another thing. */
export function likeness(one: ReadonlySet<string>, other: ReadonlySet<string>): number {
  if (one.size === 0 || other.size === 0) return 0;
  const numbers = (words: ReadonlySet<string>) =>
    [...words]
      .filter((word) => /^\d+$/.test(word))
      .sort()
      .join(' ');
  const [ours, theirs] = [numbers(one), numbers(other)];
  if (ours !== '' && theirs !== '' && ours !== theirs) return 0;
  const both = [...one].filter((word) => other.has(word)).length;
  return (2 * both) / (one.size + other.size);
}

/** What a pin carries as one would sort it at the bench: the two that must never meet are the first two. */
export function roleOf({ signal, goesTo = '' }: Pin): 'ground' | 'supply' | 'other' {
  const words = meaning(`${signal} ${goesTo}`);
  if (meaning(signal).has('ground')) return 'ground';
  return words.has('supply') || words.has('battery') || words.has('ignition') ? 'supply' : 'other';
}
