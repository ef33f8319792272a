import { munkres } from 'munkres';
import { fitOf, type Fit } from './fit.js';
import type { MeasuredBolt } from './measured.js';
import type { FastenerSpec } from './spec.js';

/** Where a loose fastener may belong: one kind of fastener of one joint, and how many of it are missing there. */
export interface Home {
  readonly id: string;
  readonly spec: FastenerSpec;
  /** How many find a place there, at least one. */
  readonly room: number;
  /** How likely a loose one is to be from there before anybody measures, against another home’s one. */
  readonly weight: number;
}

/** One home for one fastener, and how sure that is. */
export interface Candidate {
  readonly home: Home;
  /** From 0 to 1; all candidates and “none of these” come to 1. */
  readonly sure: number;
  readonly fit: Fit;
}

/** How likely it is, before measuring, that a loose fastener is from none of the homes. */
const FROM_ELSEWHERE = 0.08;

/**
 * Homes for `bolt`, the likeliest first, and how likely it is from none of them (Bayes, each reading by itself). A bolt
 * nobody measured is as likely anywhere as the homes’ weights say.
 */
export function rankHomes(
  bolt: MeasuredBolt,
  homes: readonly Home[],
): { readonly candidates: readonly Candidate[]; readonly none: number } {
  const total = homes.reduce((sum, { weight, room }) => sum + weight * room, 0);
  if (total === 0) return { candidates: [], none: 1 };
  const scored = homes.map((home) => {
    const fit = fitOf(bolt, home.spec);
    return { home, fit, score: prior(home, total) * Math.exp(fit.evidence) };
  });
  const all = scored.reduce((sum, { score }) => sum + score, FROM_ELSEWHERE);
  return {
    candidates: scored
      .map(({ home, fit, score }) => ({ home, fit, sure: score / all }))
      .sort((one, other) => other.sure - one.sure),
    none: FROM_ELSEWHERE / all,
  };
}

function prior({ weight, room }: Home, total: number): number {
  return ((1 - FROM_ELSEWHERE) * weight * room) / total;
}

/** Where one fastener of a handful is put. */
export interface Placing {
  /** Absent: it belongs to none of these. */
  readonly home?: Home;
  /** From 0 to 1: against the best way to place the handful that puts this one elsewhere. */
  readonly sure: number;
  readonly fit?: Fit;
  /** The home it would have in that other way; absent: none. */
  readonly orElse?: Home;
}

/** A cost no placing is worth. */
const NEVER = 1e6;

/**
 * Places a handful at once, each in a home of its own or in none, so that all together it is the likeliest (assignment
 * by the Hungarian method: Kuhn 1955, Munkres 1957). How sure each is comes from the next best way that puts it
 * elsewhere.
 */
export function placeAll(bolts: readonly MeasuredBolt[], homes: readonly Home[]): readonly Placing[] {
  if (bolts.length === 0) return [];
  const total = homes.reduce((sum, { weight, room }) => sum + weight * room, 0);
  const places = homes.flatMap((home) => Array.from({ length: Math.min(home.room, bolts.length) }, () => home));
  const fits = bolts.map((bolt) => new Map(homes.map((home) => [home, fitOf(bolt, home.spec)])));
  const none = -Math.log(FROM_ELSEWHERE);
  // A place of a home is as likely as the home over its places, whoever is put there.
  const cost = fits.map((fit) => [
    ...places.map((home) => -(fit.get(home)?.evidence ?? 0) - Math.log(prior({ ...home, room: 1 }, total))),
    ...bolts.map(() => none),
  ]);
  const best = assigned(cost);
  return bolts.map((_bolt, row) => {
    const column = best[row] ?? places.length;
    const home = places[column];
    const without = cost.map((line, index) =>
      index === row ? line.map((value, at) => (isSame(at, column, places) ? NEVER : value)) : line,
    );
    const other = assigned(without);
    const gap = totalOf(without, other) - totalOf(cost, best);
    const orElse = places[other[row] ?? places.length];
    const fit = home && fits[row]?.get(home);
    return {
      ...(home ? { home } : {}),
      ...(fit ? { fit } : {}),
      ...(orElse ? { orElse } : {}),
      sure: 1 / (1 + Math.exp(-gap)),
    };
  });
}

/** Whether two columns stand for the same answer: a place of the same home, or none. */
function isSame(one: number, other: number, places: readonly Home[]): boolean {
  return places[one] === places[other];
}

/** The column of each row in the cheapest assignment. */
function assigned(cost: readonly (readonly number[])[]): readonly number[] {
  const columns: number[] = [];
  for (const [row, column] of munkres(cost as number[][])) columns[row] = column;
  return columns;
}

function totalOf(cost: readonly (readonly number[])[], columns: readonly number[]): number {
  return cost.reduce((sum, line, row) => sum + (line[columns[row] ?? 0] ?? 0), 0);
}
