import equal from 'fast-deep-equal';
import {
  CONNECTION_KINDS,
  MapError,
  STATIONS,
  STEP_HEIGHTS,
  SYSTEMS,
  ZONES,
  type Connection,
  type ConnectionId,
  type ConnectionMap,
  type FastenerSet,
  type Part,
} from '../connection-map/index.js';
import { applyEdit, freshId, type MapEdit } from '../map-edit/index.js';
import { COLUMNS, type Row, type Table } from './columns.js';

/** A line that cannot be taken, and why. */
export interface BadLine {
  /** As a spreadsheet counts: the heading is line 1. */
  readonly line: number;
  readonly column: string;
  readonly words: string;
}

/** What taking a file would do; nothing of it has happened yet. */
export interface DryRun {
  readonly edit: MapEdit;
  readonly map: ConnectionMap;
  readonly added: number;
  readonly changed: number;
  readonly unchanged: number;
  readonly bad: readonly BadLine[];
}

/** Which heading of the file stands for which column. */
export type Mapping = Readonly<Record<string, string>>;

/** The columns that the headings of a file stand for, as far as their words tell. */
export function guessMapping(table: Table, headings: readonly string[]): Mapping {
  const plain = (words: string) =>
    words
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim();
  const taken = new Set<string>();
  const entries = COLUMNS[table].flatMap(({ id, heading, alsoCalled }) => {
    const wanted = [id, heading, ...alsoCalled].map(plain);
    const found = wanted
      .map((want) => headings.find((one) => !taken.has(one) && plain(one) === want))
      .find((one) => one !== undefined);
    if (found === undefined) return [];
    taken.add(found);
    return [[id, found] as const];
  });
  return Object.fromEntries(entries);
}

/** Columns that a file has to have and `mapping` does not name. */
export function missingColumns(table: Table, mapping: Mapping): readonly string[] {
  return COLUMNS[table].filter(({ id, needed }) => needed && !mapping[id]).map(({ heading }) => heading);
}

/**
 * What the rows of a file would do to `map`. A row whose id is on the map changes that thing, and an empty field leaves
 * what is there; any other row adds one. Each bad line is told with its reason, and the rest would still be taken.
 */
export function readRows(map: ConnectionMap, table: Table, mapping: Mapping, rows: readonly Row[]): DryRun {
  const reader = readerFor(table, map);
  const bad: BadLine[] = [];
  rows.forEach((row, index) => {
    const value = (column: string) => (row[mapping[column] ?? ''] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
    if (COLUMNS[table].every(({ id }) => value(id) === '')) return;
    try {
      reader.read(value);
    } catch (error) {
      if (!(error instanceof LineError)) throw error;
      bad.push({ line: index + 2, column: headingOf(table, error.column), words: error.message });
    }
  });
  const { edits, added, changed, unchanged } = reader.finish();
  const edit: MapEdit = { kind: 'together', edits };
  return { edit, map: applyEdit(map, edit), added, changed, unchanged, bad };
}

class LineError extends MapError {
  override readonly name = 'LineError';
  constructor(
    readonly column: string,
    words: string,
  ) {
    super(words);
  }
}

type Value = (column: string) => string;
interface Reader {
  readonly read: (value: Value) => void;
  readonly finish: () => {
    readonly edits: readonly MapEdit[];
    readonly added: number;
    readonly changed: number;
    readonly unchanged: number;
  };
}

function readerFor(table: Table, map: ConnectionMap): Reader {
  if (table === 'parts') return partReader(map);
  return table === 'connections' ? connectionReader(map) : fastenerReader(map);
}

function headingOf(table: Table, column: string): string {
  return COLUMNS[table].find(({ id }) => id === column)?.heading ?? column;
}

/** Finds a thing by id, or by name with or without its article. */
function finder<Thing extends { readonly id: string; readonly name: string }>(things: readonly Thing[]) {
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

function word<const Words extends readonly string[]>(
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

function figure(value: Value, column: string, least: number, most: number): number | undefined {
  const said = value(column);
  if (said === '') return undefined;
  const number = Number(said.replace(',', '.'));
  if (!Number.isFinite(number) || number < least || number > most)
    throw new LineError(column, `“${said}” is not a figure from ${least} to ${most}.`);
  return number;
}

function text(value: Value, column: string, longest: number): string {
  const said = value(column);
  if (said.length > longest)
    throw new LineError(column, `It is ${said.length} signs long; at most ${longest} can be kept.`);
  return said;
}

function neededText(value: Value, column: string, longest: number): string {
  const said = text(value, column, longest);
  if (said === '') throw new LineError(column, 'It is empty.');
  return said;
}

function idOf(value: Value, map: ConnectionMap, name: string, taken: ReadonlySet<string>): string {
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

function partReader(map: ConnectionMap): Reader {
  const parts = finder(map.parts);
  const edits: MapEdit[] = [];
  const seen = new Set<string>();
  let added = 0;
  let changed = 0;
  let unchanged = 0;
  return {
    read: (value) => {
      const id = value('id');
      const known = id === '' ? undefined : parts.find(id);
      const name = known && value('name') === '' ? known.name : neededText(value, 'name', 120);
      const own = known?.id ?? idOf(value, map, name, seen);
      if (seen.has(own)) throw new LineError('id', `“${own}” stands on an earlier line already.`);
      const rides = value('ridesWith');
      const ridesWith = rides === '' ? known?.ridesWith : parts.find(rides)?.id;
      if (rides !== '' && ridesWith === undefined)
        throw new LineError('ridesWith', `There is no part “${rides}” on the map or above.`);
      const massKg = figure(value, 'massKg', 0, 100_000) ?? known?.massKg;
      const part: Part = {
        id: own,
        name,
        zone: word(value, 'zone', ZONES, known?.zone),
        system: word(value, 'system', SYSTEMS, known?.system ?? 'body'),
        ...(massKg === undefined ? {} : { massKg }),
        ...(ridesWith === undefined ? {} : { ridesWith }),
        ...(known?.removal ? { removal: known.removal } : {}),
      };
      seen.add(own);
      parts.add(part);
      if (!known) {
        added += 1;
        edits.push({ kind: 'add-part', part });
      } else if (equal(known, part)) unchanged += 1;
      else {
        changed += 1;
        const { id: _id, ...change } = part;
        edits.push({ kind: 'change-part', id: own, change });
      }
    },
    finish: () => ({ edits, added, changed, unchanged }),
  };
}

function connectionReader(map: ConnectionMap): Reader {
  const parts = finder(map.parts);
  const connections = finder(map.connections);
  const edits: MapEdit[] = [];
  const seen = new Set<string>();
  let added = 0;
  let changed = 0;
  let unchanged = 0;
  const end = (value: Value, column: 'from' | 'to', otherwise: string | undefined): string => {
    const said = value(column);
    if (said === '' && otherwise !== undefined) return otherwise;
    const part = parts.find(said);
    if (!part) throw new LineError(column, said === '' ? 'It is empty.' : `There is no part “${said}” on the map.`);
    return part.id;
  };
  return {
    read: (value) => {
      const id = value('id');
      const known = id === '' ? undefined : connections.find(id);
      const name = known && value('name') === '' ? known.name : neededText(value, 'name', 120);
      const own = known?.id ?? idOf(value, map, name, seen);
      if (seen.has(own)) throw new LineError('id', `“${own}” stands on an earlier line already.`);
      const from = end(value, 'from', known?.between[0]);
      const to = end(value, 'to', known?.between[1]);
      if (from === to) throw new LineError('to', 'Both ends are at the same part.');
      const likely = figure(value, 'likely', 0.1, 100_000) ?? known?.minutes.likely ?? 3;
      const low = figure(value, 'low', 0.1, 100_000) ?? known?.minutes.low ?? Math.max(1, Math.round(likely / 2));
      const high = figure(value, 'high', 0.1, 100_000) ?? known?.minutes.high ?? likely * 3;
      if (!(low <= likely && likely <= high))
        throw new LineError('likely', `Minutes ${low}, ${likely}, ${high} have to rise from low to high.`);
      const hands = figure(value, 'hands', 1, 2) ?? known?.hands ?? 1;
      if (hands !== 1 && hands !== 2) throw new LineError('hands', 'It is 1 or 2.');
      const nm = figure(value, 'nm', 0.1, 10_000);
      const tip = text(value, 'tip', 2_000);
      const tools = value('tools');
      const minutes = { low, likely, high };
      const connection: Connection = {
        needs: [],
        access: [],
        fasteners: [],
        cautions: [],
        ...known,
        id: own,
        name,
        kind: word(value, 'kind', CONNECTION_KINDS, known?.kind),
        between: [from, to],
        system: word(value, 'system', SYSTEMS, known?.system ?? 'body'),
        station: word(value, 'station', STATIONS, known?.station),
        height: word(value, 'height', STEP_HEIGHTS, known?.height ?? 'either'),
        hands,
        tools:
          tools === ''
            ? (known?.tools ?? [])
            : tools
                .split(/[;,]/)
                .map((tool) => tool.trim().slice(0, 120))
                .filter((tool) => tool !== ''),
        minutes,
        refit: {
          ...(known?.refit ?? { minutes }),
          ...(nm === undefined ? {} : { torque: { ...known?.refit.torque, targetNm: nm } }),
        },
        ...(tip === '' ? {} : { tip }),
      };
      seen.add(own);
      connections.add(connection);
      if (!known) {
        added += 1;
        edits.push({ kind: 'add-connection', connection });
      } else if (equal(known, connection)) unchanged += 1;
      else {
        changed += 1;
        const { id: _id, ...change } = connection;
        edits.push({ kind: 'change-connection', id: own, change });
      }
    },
    finish: () => ({ edits, added, changed, unchanged }),
  };
}

/** Fastener rows of one connection together are its whole list. */
function fastenerReader(map: ConnectionMap): Reader {
  const connections = finder(map.connections);
  const sets = new Map<ConnectionId, FastenerSet[]>();
  return {
    read: (value) => {
      const said = neededText(value, 'connection', 200);
      const connection = connections.find(said);
      if (!connection) throw new LineError('connection', `There is no connection “${said}” on the map.`);
      const count = figure(value, 'count', 1, 1_000);
      if (count === undefined) throw new LineError('count', 'It is empty.');
      if (!Number.isInteger(count)) throw new LineError('count', `“${value('count')}” is not a whole number.`);
      const what = neededText(value, 'what', 120);
      const note = text(value, 'note', 2_000);
      const single = value('singleUse').toLowerCase();
      if (!['', 'yes', 'no', 'true', 'false', '1', '0', 'x'].includes(single))
        throw new LineError('singleUse', `“${single}” is neither yes nor no.`);
      const list = sets.get(connection.id) ?? [];
      if (list.length >= 40)
        throw new LineError('connection', `“${connection.name}” has 40 sets already; no more can be kept.`);
      sets.set(connection.id, [
        ...list,
        {
          count,
          what,
          ...(note === '' ? {} : { note }),
          ...(['yes', 'true', '1', 'x'].includes(single) ? { singleUse: true } : {}),
        },
      ]);
    },
    finish: () => {
      const edits = [...sets].flatMap(([id, fasteners]): readonly MapEdit[] => {
        const known = connections.find(id);
        return known && equal({ fasteners: known.fasteners }, { fasteners })
          ? []
          : [{ kind: 'change-connection', id, change: { fasteners } }];
      });
      return { edits, added: 0, changed: edits.length, unchanged: sets.size - edits.length };
    },
  };
}
