import type { Connection, ConnectionMap, Part } from '../connection-map/index.js';
import { HEIGHT_WORDS, KIND_WORDS, STATION_WORDS, SYSTEM_WORDS, ZONE_WORDS } from '../words/index.js';
import { plain } from './fields.js';

/** The three tables a map can be written as. */
export const TABLES = ['connections', 'parts', 'fasteners'] as const;
export type Table = (typeof TABLES)[number];

/** One column: its heading, other headings it is known by, whether a new row needs it, and what may stand in it. */
export interface Column {
  readonly id: string;
  readonly heading: string;
  readonly alsoCalled: readonly string[];
  readonly needed: boolean;
  readonly hint: string;
}

const column = (id: string, heading: string, hint: string, needed = false, ...alsoCalled: string[]): Column => ({
  id,
  heading,
  alsoCalled,
  needed,
  hint,
});
const oneOf = (words: Readonly<Record<string, string>>) =>
  `one of: ${Object.values(words)
    .map((one) => one.toLowerCase())
    .join(', ')}`;

export const COLUMNS: Readonly<Record<Table, readonly Column[]>> = {
  connections: [
    column('id', 'id', 'letters, figures and dashes; made from the name where it is empty', false, 'key'),
    column('name', 'name', 'as a person would say it', true, 'connection', 'what'),
    column('kind', 'kind', oneOf(KIND_WORDS), true, 'type'),
    column('from', 'from', 'a part, by id or by name', true, 'part', 'between'),
    column('to', 'to', 'a part, by id or by name', true, 'other part'),
    column('system', 'system', oneOf(SYSTEM_WORDS)),
    column('station', 'station', oneOf(STATION_WORDS), true, 'where'),
    column('height', 'height', oneOf(HEIGHT_WORDS)),
    column('hands', 'hands', '1 or 2', false, 'people'),
    column('tools', 'tools', 'with commas or semicolons between'),
    column('low', 'minutes low', 'when it goes well', false, 'low'),
    column('likely', 'minutes', 'as a rule', false, 'minutes likely', 'likely'),
    column('high', 'minutes high', 'when it fights back', false, 'high'),
    column('nm', 'torque N·m', 'a figure, or empty', false, 'torque', 'nm', 'torque nm'),
    column('tip', 'tip', 'what to mind', false, 'note', 'remark'),
  ],
  parts: [
    column('id', 'id', 'letters, figures and dashes; made from the name where it is empty', false, 'key'),
    column('name', 'name', 'as a person would say it', true, 'part'),
    column('zone', 'zone', oneOf(ZONE_WORDS), true, 'place', 'where'),
    column('system', 'system', oneOf(SYSTEM_WORDS)),
    column('massKg', 'mass kg', 'a figure, or empty', false, 'mass', 'weight', 'kg'),
    column('ridesWith', 'rides with', 'a part, by id or by name', false, 'comes with'),
  ],
  fasteners: [
    column('connection', 'connection', 'a connection, by id or by name', true, 'joint'),
    column('count', 'count', 'a whole number', true, 'number', 'pieces', 'qty'),
    column('what', 'fastener', 'thread, length, head', true, 'what', 'size', 'thread'),
    column('note', 'note', 'anything odd', false, 'remark'),
    column('singleUse', 'single use', 'yes or no', false, 'new'),
    column('washers', 'washers', 'from the head, in order, with semicolons between', false),
  ],
};

/** One row of a table, by column id. */
export type Row = Readonly<Record<string, string>>;

/** `map` as rows of `table`, for a spreadsheet: in the words of the screen, parts by name where only one is called so. */
export function rowsOf(map: ConnectionMap, table: Table): readonly Row[] {
  const called = partName(map);
  switch (table) {
    case 'connections':
      return map.connections.map((connection) => connectionRow(connection, called));
    case 'parts':
      return map.parts.map((part) => partRow(part, called));
    case 'fasteners':
      return map.connections.flatMap(({ id, fasteners }) =>
        fasteners.map(({ count, what, note, singleUse, washers = [] }) => ({
          connection: id,
          count: String(count),
          what,
          note: note ?? '',
          singleUse: singleUse ? 'yes' : 'no',
          washers: washers.join('; '),
        })),
      );
  }
}

function connectionRow(connection: Connection, called: (id: string) => string): Row {
  const { id, name, kind, between, system, station, height, hands, tools, minutes, refit, tip } = connection;
  return {
    id,
    name,
    kind: KIND_WORDS[kind],
    from: called(between[0]),
    to: called(between[1]),
    system: SYSTEM_WORDS[system],
    station: STATION_WORDS[station],
    height: HEIGHT_WORDS[height],
    hands: String(hands),
    tools: tools.join('; '),
    low: String(minutes.low),
    likely: String(minutes.likely),
    high: String(minutes.high),
    nm: refit.torque ? String(refit.torque.targetNm) : '',
    tip: tip ?? '',
  };
}

function partRow({ id, name, zone, system, massKg, ridesWith }: Part, called: (id: string) => string): Row {
  return {
    id,
    name,
    zone: ZONE_WORDS[zone],
    system: SYSTEM_WORDS[system],
    massKg: massKg === undefined ? '' : String(massKg),
    ridesWith: ridesWith === undefined ? '' : called(ridesWith),
  };
}

/** How a part is called in a spreadsheet: by its name, or by its id where another part bears that name or that id. */
function partName({ parts }: ConnectionMap): (id: string) => string {
  const byId = new Map(parts.map((part) => [part.id, part.name]));
  const bearers = new Map<string, number>();
  for (const { id, name } of parts)
    for (const words of new Set([plain(id), plain(name)])) bearers.set(words, (bearers.get(words) ?? 0) + 1);
  return (id) => {
    const name = byId.get(id) ?? id;
    return bearers.get(plain(name)) === 1 ? name : id;
  };
}
