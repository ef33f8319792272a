import type {
  ConnectionKind,
  ConnectionMap,
  FastenerSet,
  PartId,
  Station,
  StepHeight,
  System,
  ThreePointMinutes,
} from '../connection-map/index.js';

/** What a crew knows of a connection at the first look. */
export interface FirstLook {
  readonly kind: ConnectionKind;
  readonly between: readonly [PartId, PartId];
  readonly station: Station;
}

/** What it will ordinarily be like. */
export interface FirstValues {
  readonly system: System;
  readonly height: StepHeight;
  readonly minutes: ThreePointMinutes;
  readonly backMinutes: ThreePointMinutes;
  readonly tools: readonly string[];
}

const RAISED: readonly Station[] = ['underside', 'wheel-left', 'wheel-right'];
const WIRED: readonly ConnectionKind[] = ['plug', 'ground'];
const USUAL_MINUTES: ThreePointMinutes = { low: 1, likely: 3, high: 9 };
const KIND_SAYS: readonly (readonly [RegExp, ConnectionKind])[] = [
  [/\b(plug|connector|sensor|switch|injector)\b/i, 'plug'],
  [/\b(ground|earth)\b/i, 'ground'],
  [/\b(hose|duct)s?\b/i, 'hose'],
  [/\b(pipe|line|union)s?\b/i, 'pipe'],
  [/\b(shift|select|linkage|rod|link)\b/i, 'linkage'],
  [/\b(drive ?shaft|prop(eller)? ?shaft|column)s?\b/i, 'shaft'],
  [/\b(strap|belt|hanger)s?\b/i, 'strap'],
  [/\bclamps?\b/i, 'clamp'],
  [/\bclips?\b/i, 'clip'],
  [/\bcables?\b/i, 'cable'],
];

/** What kind of connection a name speaks of: “the small hose behind the pump” of a hose; undefined where it does not say. */
export function kindIn(name: string): ConnectionKind | undefined {
  return KIND_SAYS.find(([says]) => says.test(name))?.[1];
}

/**
 * What a new connection of `map` will ordinarily be like, taken from what is alike on it: minutes are the median of its
 * kind, tools those its kind is mostly undone with, the system that of what is tied.
 */
export function firstValues(map: ConnectionMap, { kind, between, station }: FirstLook): FirstValues {
  const alike = map.connections.filter((one) => one.kind === kind);
  return {
    system: WIRED.includes(kind) ? 'electrics' : systemOf(map, between),
    height: RAISED.includes(station) ? 'raised' : 'either',
    minutes: medianOf(alike.map(({ minutes }) => minutes)),
    backMinutes: medianOf(alike.map(({ refit }) => refit.minutes)),
    tools: oftenest(alike.map(({ tools }) => tools)),
  };
}

/** What holds a connection, from “2 × M8×1.25 × 25, 13 mm”: the count in front, where there is one, and the rest. */
export function heldBy(words: string): readonly FastenerSet[] {
  const said = words.trim();
  if (said === '') return [];
  const [, count = '1', what = said] = /^(\d{1,3})\s*(?:[x×*]|pieces?|pcs\.?|of)?\s+(\D.*|\d.*)$/i.exec(said) ?? [];
  return [{ count: Math.max(1, Number(count)), what: what.trim() }];
}

function systemOf({ parts, body }: ConnectionMap, between: readonly PartId[]): System {
  const [one, other] = between.map((id) => parts.find((part) => part.id === id));
  // The machine itself and what carries it are tied to everything; the other end tells what it is of.
  const tells = [one, other].find(
    (part) => part && part.id !== body && part.system !== 'body' && part.system !== 'mounts',
  );
  return tells?.system ?? one?.system ?? 'body';
}

function medianOf(all: readonly ThreePointMinutes[]): ThreePointMinutes {
  if (all.length === 0) return USUAL_MINUTES;
  const middle = (field: keyof ThreePointMinutes) =>
    all.map((minutes) => minutes[field]).sort((one, other) => one - other)[Math.floor(all.length / 2)] ?? 0;
  const likely = middle('likely');
  return { low: Math.min(likely, middle('low')), likely, high: Math.max(likely, middle('high')) };
}

function oftenest(lists: readonly (readonly string[])[]): readonly string[] {
  const counts = new Map<string, { readonly list: readonly string[]; count: number }>();
  for (const list of lists) {
    if (list.length === 0) continue;
    const known = counts.get(list.join()) ?? { list, count: 0 };
    known.count += 1;
    counts.set(list.join(), known);
  }
  return [...counts.values()].sort((one, other) => other.count - one.count)[0]?.list ?? [];
}
