import { MapError, type ConnectionMap } from '../connection-map/index.js';
import { freshId, type MapEdit } from '../map-edit/index.js';

/** A line that cannot be taken: in which column, and why. */
export class LineError extends MapError {
  override readonly name = 'LineError';
  constructor(
    readonly column: string,
    words: string,
  ) {
    super(words);
  }
}

/** What stands in a column of the line being read. */
export type Value = (column: string) => string;
/** Reads the lines of one table one after the other, and tells in the end what they would do. */
export interface Reader {
  readonly read: (value: Value) => void;
  readonly finish: () => {
    readonly edits: readonly MapEdit[];
    readonly added: number;
    readonly changed: number;
    readonly unchanged: number;
  };
}

/** Finds a thing by id, or by name with or without its article. */
export function finder<Thing extends { readonly id: string; readonly name: string }>(things: readonly Thing[]) {
  const byId = new Map(things.map((thing) => [thing.id, thing]));
  const plain = (name: string) => name.toLowerCase().replace(/^the /, '').trim();
  const byName = new Map(things.map((thing) => [plain(thing.name), thing]));
  return {
    find: (words: string): Thing | undefined => byId.get(words) ?? byName.get(plain(words)),
    add: (thing: Thing) => {
      byId.set(thing.id, thing);
      byName.set(plain(thing.name), thing);
    },
  };
}

/** One of `words`, or `otherwise` where the column is empty. */
export function word<const Words extends readonly string[]>(
  value: Value,
  column: string,
  words: Words,
  otherwise: Words[number] | undefined,
): Words[number] {
  const said = value(column).toLowerCase();
  if (said === '' && otherwise !== undefined) return otherwise;
  const found = words.find((one) => one === said || one.replace('-', ' ') === said);
  if (found === undefined)
    throw new LineError(
      column,
      said === ''
        ? `It is empty; it has to be one of ${words.join(', ')}.`
        : `“${said}” is not one of ${words.join(', ')}.`,
    );
  return found;
}

/** A figure from `least` to `most`; undefined where the column is empty. */
export function figure(value: Value, column: string, least: number, most: number): number | undefined {
  const said = value(column);
  if (said === '') return undefined;
  const number = Number(said.replace(',', '.'));
  if (!Number.isFinite(number) || number < least || number > most)
    throw new LineError(column, `“${said}” is not a figure from ${least} to ${most}.`);
  return number;
}

/** Text of at most `longest` signs; it may be empty. */
export function text(value: Value, column: string, longest: number): string {
  const said = value(column);
  if (said.length > longest)
    throw new LineError(column, `It is ${said.length} signs long; at most ${longest} can be kept.`);
  return said;
}

/** Text that has to be there. */
export function neededText(value: Value, column: string, longest: number): string {
  const said = text(value, column, longest);
  if (said === '') throw new LineError(column, 'It is empty.');
  return said;
}

/** The id that stands there, or one made of the name. */
export function idOf(value: Value, map: ConnectionMap, name: string, taken: ReadonlySet<string>): string {
  const said = value('id');
  if (said !== '') {
    if (!/^[\w.:-]{1,80}$/.test(said))
      throw new LineError('id', `“${said}” is no id: letters, figures, dash, dot, colon and underscore, 80 at most.`);
    return said;
  }
  const made = freshId(map, name);
  if (!taken.has(made)) return made;
  let number = 2;
  while (taken.has(`${made}-${number}`)) number += 1;
  return `${made}-${number}`;
}
