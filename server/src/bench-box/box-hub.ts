import { isDeepStrictEqual } from 'node:util';
import { readingOf, type BoxReading } from '@brisk/core/instrument';
import { ProblemError } from '../http/problem.js';

/** Boxes at once, and readings of each that are kept for who comes back: ten minutes, ten a second. */
const MOST_BOXES = 8;
const KEPT = 6_000;
/** A box that was silent for so long may begin anew; one that was heard is there. */
const SILENT_MS = 5_000;
const HEARD_MS = 10_000;
/** A box nobody heard for so long is forgotten. */
const FORGOTTEN_MS = 30 * 60_000;
const MOST_LINES = 1_000;
const MOST_NAMED = 20;

interface Box {
  /** Counts how often it was switched on. */
  run: number;
  /** How many readings it gave since. */
  count: number;
  heardMs: number;
  kept: BoxReading[];
  readonly listeners: Set<() => void>;
}

/** What came of the lines a box sent. */
export interface Taken {
  readonly taken: number;
  readonly refused: readonly { readonly line: number; readonly words: string }[];
}

/** Real instruments that send their readings to this server, each under its own name. `nowMs` is the clock. */
export class BoxHub {
  readonly #boxes = new Map<string, Box>();
  #runs: number;

  constructor(private readonly nowMs: () => number) {
    // Runs of an earlier server are never mistaken for those of this one.
    this.#runs = Math.floor(nowMs() / 1_000);
  }

  /** Boxes that are sending now. */
  heard(): readonly { readonly box: string; readonly readings: number }[] {
    const now = this.nowMs();
    return [...this.#boxes].flatMap(([box, { heardMs, count }]) =>
      count > 0 && now - heardMs <= HEARD_MS ? [{ box, readings: count }] : [],
    );
  }

  /**
   * Takes readings in, one a line, as JSON. A line that is none is refused by its number, the rest is taken. Throws `refused`
   * where time runs backwards though the box was not silent: two boxes under one name.
   */
  take(name: string, lines: string): Taken {
    const sent = lines.split('\n').map((text, at) => ({ text: text.trim(), line: at + 1 }));
    const full = sent.filter(({ text }) => text !== '');
    if (full.length > MOST_LINES)
      throw new ProblemError('too-large', `At most ${MOST_LINES} readings at once. Nothing was taken.`);
    const read = full.map(({ text, line }) => ({ line, reading: readingIn(text) }));
    const sound = read.flatMap(({ reading }) => (reading ? [reading] : []));
    const refused = read.flatMap(({ line, reading }) =>
      reading ? [] : [{ line, words: 'No reading: a figure is missing, or one no engine gives.' }],
    );
    const kept = new Map(this.#boxes.get(name)?.kept.map((reading) => [reading.atMs, reading]));
    // What is sent once more, because its answer was lost, is answered as before and stands once.
    const fresh = sound.filter((reading) => !isDeepStrictEqual(kept.get(reading.atMs), reading));
    const [first] = fresh;
    if (first) this.#add(name, first, fresh);
    return { taken: sound.length, refused: refused.slice(0, MOST_NAMED) };
  }

  #add(name: string, first: BoxReading, sound: readonly BoxReading[]): void {
    const back = sound.find(({ atMs }, at) => at > 0 && atMs <= (sound[at - 1]?.atMs ?? 0));
    const box = this.#box(name);
    const last = box.kept.at(-1);
    const silent = this.nowMs() - box.heardMs > SILENT_MS;
    if (back || (last && first.atMs <= last.atMs && !silent))
      throw new ProblemError(
        'refused',
        'Its readings run backwards: two boxes under one name, or one that was set back. Nothing was taken; give each its own name, or wait five seconds.',
      );
    if (last && first.atMs <= last.atMs) {
      box.run = this.#runs += 1;
      box.count = 0;
      box.kept = [];
    }
    box.heardMs = this.nowMs();
    box.count += sound.length;
    box.kept = [...box.kept, ...sound].slice(-KEPT);
    for (const tell of box.listeners) tell();
  }

  /**
   * Readings of the box `name` after the one numbered `after` of its run `run`, and where they end; of another run, all that are
   * kept of this one. None where nobody knows the box.
   */
  since(
    name: string,
    seen: { readonly run: number; readonly number: number } | undefined,
  ): { readonly run: number; readonly from: number; readonly readings: readonly BoxReading[] } {
    const box = this.#boxes.get(name);
    if (!box) return { run: 0, from: 0, readings: [] };
    const oldest = box.count - box.kept.length;
    const from = seen?.run === box.run ? Math.min(box.count, Math.max(oldest, seen.number)) : oldest;
    return { run: box.run, from, readings: box.kept.slice(from - oldest) };
  }

  /** Calls `tell` whenever the box `name` gave something, until what is returned is called. */
  listen(name: string, tell: () => void): () => void {
    const box = this.#box(name);
    box.listeners.add(tell);
    return () => box.listeners.delete(tell);
  }

  #box(name: string): Box {
    const known = this.#boxes.get(name);
    if (known) return known;
    this.#forgetOld();
    if (this.#boxes.size >= MOST_BOXES)
      throw new ProblemError('too-often', `So many boxes send already: ${MOST_BOXES} at most. Switch one off.`);
    const box: Box = { run: (this.#runs += 1), count: 0, heardMs: this.nowMs(), kept: [], listeners: new Set() };
    this.#boxes.set(name, box);
    return box;
  }

  /** Those nobody listens to go once they were silent for long; those that never gave anything, at once. */
  #forgetOld(): void {
    const now = this.nowMs();
    for (const [name, { heardMs, count, listeners }] of this.#boxes)
      if (listeners.size === 0 && (count === 0 || now - heardMs > FORGOTTEN_MS)) this.#boxes.delete(name);
  }
}

function readingIn(text: string): BoxReading | undefined {
  try {
    const sent: unknown = JSON.parse(text);
    return typeof sent === 'object' && sent !== null && !Array.isArray(sent)
      ? readingOf(sent as Readonly<Record<string, unknown>>)
      : undefined;
  } catch {
    return undefined;
  }
}
