import munkres from 'munkres';
import { likeness, meaning, roleOf } from './alike.js';
import type { Pin } from './read.js';
import { smallestWire } from './wire.js';

/** What is done with a pin. */
export const SPLICES = ['conflict', 'missing', 'lengthen', 're-pin', 'join', 'left-over'] as const;
export type Splice = (typeof SPLICES)[number];

/** One line of the list: what meets what, what is done, and why it is thought so. */
export interface SpliceLine {
  /** The same for the same pins, so that what is ticked stays ticked when the tables are read again. */
  readonly id: string;
  readonly does: Splice;
  readonly host?: Pin;
  readonly engine?: Pin;
  /** How sure it is, from nought to one. */
  readonly sure: number;
  readonly words: string;
  /** The wire to lay where the run gets longer. */
  readonly wireMm2?: number;
  readonly moreM?: number;
}

/** How much each thing two pins have in common counts. */
const WEIGHS = { signal: 0.6, goesTo: 0.3, colour: 0.06, size: 0.04 } as const;
/** Less alike than this, two pins have nothing to do with each other. */
const LEAST = 0.45;
/** A second one this close makes a match a question. */
const CLOSE = 0.05;
/** Longer by less than this, a wire still reaches. */
const REACHES_M = 0.1;

/**
 * Matches the pins of the host’s loom with those of the engine’s, by what they carry and where they go, all of them at
 * once (an assignment, Kuhn and Munkres), and says of each what is done. Colours and sizes only tip the balance.
 */
export function spliceList(host: readonly Pin[], engine: readonly Pin[]): readonly SpliceLine[] {
  const ours = host.map(prepared);
  const theirs = engine.map(prepared);
  const alike = ours.map((one) => theirs.map((other) => likenessOf(one, other)));
  const size = Math.max(ours.length, theirs.length);
  const costs = Array.from({ length: size }, (_, row) =>
    Array.from({ length: size }, (_unused, column) => 1 - (alike[row]?.[column] ?? 0)),
  );
  const pairs = size === 0 ? [] : munkres(costs);
  const matched = new Map<number, number>();
  for (const [row, column] of pairs) if ((alike[row]?.[column] ?? 0) >= LEAST) matched.set(row, column);
  const taken = new Set(matched.values());
  const lines = host.map((pin, row): SpliceLine => {
    const column = matched.get(row);
    const other = column === undefined ? undefined : engine[column];
    if (column === undefined || !other)
      return {
        id: idOf(pin, undefined),
        does: 'missing',
        host: pin,
        sure: 1,
        words: 'Nothing on the engine’s loom carries this.',
      };
    return meets(pin, other, alike[row] ?? [], column);
  });
  const left = engine.flatMap((pin, column): readonly SpliceLine[] =>
    taken.has(column)
      ? []
      : [
          {
            id: idOf(undefined, pin),
            does: 'left-over',
            engine: pin,
            sure: 1,
            words:
              'Nothing of the host goes with this. What the engine needs (a pedal, a switch, a lamp) is laid anew; only what it does not need is insulated and tied back.',
          },
        ],
  );
  return [...lines, ...left].sort((one, other) => SPLICES.indexOf(one.does) - SPLICES.indexOf(other.does));
}

function meets(host: Pin, engine: Pin, row: readonly number[], column: number): SpliceLine {
  const sure = row[column] ?? 0;
  const next = Math.max(0, ...row.filter((_, at) => at !== column));
  const line = { id: idOf(host, engine), host, engine, sure };
  const roles = [roleOf(host), roleOf(engine)];
  if (roles.includes('ground') && roles.includes('supply'))
    return {
      ...line,
      does: 'conflict',
      words: 'One is a ground, the other a supply: joined, something burns. Measure both.',
    };
  if (sure - next < CLOSE && sure < 0.95)
    return {
      ...line,
      does: 'conflict',
      words: 'Another pin is as likely. Measure which it is before anything is joined.',
    };
  const moreM = (host.lengthM ?? 0) - (engine.lengthM ?? Infinity);
  if (host.lengthM !== undefined && moreM > REACHES_M) {
    const least = engine.sizeMm2 ?? host.sizeMm2 ?? 0;
    const wireMm2 = smallestWire(engine.amps ?? host.amps ?? 0, host.lengthM, least);
    return {
      ...line,
      does: 'lengthen',
      moreM: Math.round(moreM * 100) / 100,
      ...(wireMm2 === undefined ? {} : { wireMm2 }),
      words:
        wireMm2 === undefined
          ? 'No wire that is made keeps the drop under half a volt: feed it from nearer.'
          : `${moreM.toFixed(1)} m more, in ${wireMm2} mm²: under half a volt is lost.`,
    };
  }
  if (same(host.plug, engine.plug) && !same(host.pin, engine.pin))
    return { ...line, does: 're-pin', words: `Same plug, other hole: from ${engine.pin} to ${host.pin}.` };
  const thin = host.sizeMm2 !== undefined && engine.sizeMm2 !== undefined && host.sizeMm2 < engine.sizeMm2;
  return {
    ...line,
    does: 'join',
    words: thin
      ? `Joined; the host’s wire is thinner (${host.sizeMm2} against ${engine.sizeMm2} mm²): look at its fuse.`
      : 'Joined as it is.',
  };
}

interface Prepared {
  readonly pin: Pin;
  readonly signal: ReadonlySet<string>;
  readonly goesTo: ReadonlySet<string>;
}

function prepared(pin: Pin): Prepared {
  return { pin, signal: meaning(pin.signal), goesTo: meaning(pin.goesTo ?? '') };
}

function likenessOf(one: Prepared, other: Prepared): number {
  const signal = likeness(one.signal, other.signal);
  const goesTo = one.goesTo.size === 0 || other.goesTo.size === 0 ? signal : likeness(one.goesTo, other.goesTo);
  // What one table calls the signal the other may call by where it goes.
  const across = Math.max(signal, 0.85 * likeness(union(one), union(other)));
  const colour = one.pin.colour !== undefined && same(one.pin.colour, other.pin.colour ?? '') ? 1 : 0;
  const size = one.pin.sizeMm2 !== undefined && one.pin.sizeMm2 === other.pin.sizeMm2 ? 1 : 0;
  return WEIGHS.signal * across + WEIGHS.goesTo * goesTo + WEIGHS.colour * colour + WEIGHS.size * size;
}

const union = ({ signal, goesTo }: Prepared) => new Set([...signal, ...goesTo]);
const same = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase();
const idOf = (host: Pin | undefined, engine: Pin | undefined) =>
  `${host ? `${host.plug}.${host.pin}` : ''}-${engine ? `${engine.plug}.${engine.pin}` : ''}`
    .replace(/[^\w.:-]+/g, '_')
    .slice(0, 80);
