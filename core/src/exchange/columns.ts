import {
  CONNECTION_KINDS,
  STATIONS,
  STEP_HEIGHTS,
  SYSTEMS,
  ZONES,
  type Connection,
  type ConnectionMap,
  type Part,
} from '../connection-map/index.js';

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
const oneOf = (words: readonly string[]) => `one of ${words.join(', ')}`;

export const COLUMNS: Readonly<Record<Table, readonly Column[]>> = {
  connections: [
    column('id', 'id', 'letters, figures and dashes; made from the name where it is empty', false, 'key'),
    column('name', 'name', 'as a person would say it', true, 'connection', 'what'),
    column('kind', 'kind', oneOf(CONNECTION_KINDS), true, 'type'),
    column('from', 'from', 'a part, by id or by name', true, 'part', 'between'),
    column('to', 'to', 'a part, by id or by name', true, 'other part'),
    column('system', 'system', oneOf(SYSTEMS)),
    column('station', 'station', oneOf(STATIONS), true, 'where'),
    column('height', 'height', oneOf(STEP_HEIGHTS)),
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
    column('zone', 'zone', oneOf(ZONES), true, 'place', 'where'),
    column('system', 'system', oneOf(SYSTEMS)),
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

/** `map` as rows of `table`, for a spreadsheet. */
export function rowsOf(map: ConnectionMap, table: Table): readonly Row[] {
  switch (table) {
    case 'connections':
      return map.connections.map(connectionRow);
    case 'parts':
      return map.parts.map(partRow);
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

function connectionRow(connection: Connection): Row {
  const { id, name, kind, between, system, station, height, hands, tools, minutes, refit, tip } = connection;
  return {
    id,
    name,
    kind,
    from: between[0],
    to: between[1],
    system,
    station,
    height,
    hands: String(hands),
    tools: tools.join('; '),
    low: String(minutes.low),
    likely: String(minutes.likely),
    high: String(minutes.high),
    nm: refit.torque ? String(refit.torque.targetNm) : '',
    tip: tip ?? '',
  };
}

function partRow({ id, name, zone, system, massKg, ridesWith }: Part): Row {
  return { id, name, zone, system, massKg: massKg === undefined ? '' : String(massKg), ridesWith: ridesWith ?? '' };
}
