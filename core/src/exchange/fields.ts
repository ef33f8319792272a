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

/** Words as they are compared: without their article, whatever their case and the signs between them. */
export const plain = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .replace(/^the /, '');

/** Finds a thing by id, or by name with or without its article; by a name that several bear, none. */
export function finder<Thing extends { readonly id: string; readonly name: string }>(things: readonly Thing[]) {
  const byId = new Map<string, Thing>();
  const byName = new Map<string, Thing[]>();
  const add = (thing: Thing) => {
    byId.set(thing.id, thing);
    const bearers = byName.get(plain(thing.name)) ?? [];
    byName.set(plain(thing.name), [...bearers.filter(({ id }) => id !== thing.id), thing]);
  };
  const find = (words: string): Thing | undefined => {
    const bearers = byName.get(plain(words)) ?? [];
    return byId.get(words) ?? (bearers.length === 1 ? bearers[0] : undefined);
  };
  things.forEach(add);
  return {
    add,
    find,
    /** By its name, where no line before has told of it: a second line of the same name is a second thing. */
    findFresh: (name: string, told: ReadonlySet<string>): Thing | undefined => {
      const thing = find(name);
      return thing && told.has(thing.id) ? undefined : thing;
    },
    /** Whether several bear the name `words`. */
    many: (words: string): boolean => (byName.get(plain(words)) ?? []).length > 1,
  };
}

/** Why no part is meant by `words`, which was looked for `where`. */
export function noSuch(many: boolean, words: string, where = 'on the map'): string {
  return many
    ? `Several parts are called “${words}”: write the id of the one that is meant.`
    : `There is no part “${words}” ${where}.`;
}

/** One of `words`, by its id or as the screen says it, or `otherwise` where the column is empty. */
export function word<Id extends string>(
  value: Value,
  column: string,
  words: Readonly<Record<Id, string>>,
  otherwise: Id | undefined,
): Id {
  const said = plain(value(column));
  if (said === '' && otherwise !== undefined) return otherwise;
  const ids = Object.keys(words) as Id[];
  const found = ids.find((id) => plain(words[id]) === said) ?? ids.find((id) => plain(id) === said);
  if (found === undefined) {
    const known = ids.map((id) => words[id].toLowerCase()).join(', ');
    throw new LineError(
      column,
      said === '' ? `It is empty; it has to be one of: ${known}.` : `“${value(column)}” is not one of: ${known}.`,
    );
  }
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
