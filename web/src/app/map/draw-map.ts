import type {
  Connection,
  ConnectionKind,
  ConnectionMap,
  Part,
  PartId,
  Station,
  Zone,
} from '@brisk/core/connection-map';

/** From where the machine is looked at. */
export const VIEWS = ['above', 'below', 'inside'] as const;
export type View = (typeof VIEWS)[number];

const VIEW_OF: Readonly<Record<Station, View>> = {
  'bay-top': 'above',
  front: 'above',
  rear: 'above',
  'wheel-left': 'above',
  'wheel-right': 'above',
  underside: 'below',
  cabin: 'inside',
};

/** The view in which a connection is drawn: the one of the person who opens it. */
export function viewOf({ station }: Pick<Connection, 'station'>): View {
  return VIEW_OF[station];
}

/** A part as drawn; `x` and `y` are its middle. */
export interface PartBox {
  readonly part: Part;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly string[];
}

/** Connections of one kind between the same two parts, drawn as one: a line with a mark, or a pin on the rim of a box. */
export interface Bundle {
  readonly key: string;
  readonly kind: ConnectionKind;
  readonly connections: readonly Connection[];
  /** Where its mark is. */
  readonly x: number;
  readonly y: number;
  /** Absent for a pin. */
  readonly line?: { readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number };
  /** What a pin goes to. */
  readonly to?: 'body' | 'loom';
}

export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly PartBox[];
  readonly bundles: readonly Bundle[];
}

const BOX = { width: 138, height: 50 } as const;
const STEP = { x: 180, y: 88 } as const;
const MARGIN = 34;
const PIN_STEP = 28;
/** How far from the rim of a part the mark of a line stands. */
const MARK_OFF = 17;

type Side = 'front' | 'right' | 'middle' | 'left' | 'rear';
const SIDES: Readonly<Record<Zone, Side>> = {
  'bay-front': 'front',
  'under-front': 'front',
  'bay-right': 'right',
  'bay-top': 'middle',
  'bay-left': 'left',
  'bay-rear': 'rear',
  'under-middle': 'rear',
  'under-rear': 'rear',
  cabin: 'rear',
  outside: 'left',
};

/**
 * Places the parts of one view as the machine is seen, nose to the left: the engine large in the middle, what leaves
 * with it round it, what stays outside of that. Connections of a kind between the same two are bundled; what goes to
 * the body or to the loom is a pin on the rim of its part, since lines to those two would cross everything.
 */
export function drawMap(map: ConnectionMap, view: View, lump: ReadonlySet<PartId> = new Set()): Drawing {
  const shown = map.connections.filter((connection) => viewOf(connection) === view);
  const hubs = new Map<PartId, 'body' | 'loom'>([[map.body, 'body']]);
  if (map.parts.some(({ id }) => id === 'loom')) hubs.set('loom', 'loom');
  const ends = new Set(shown.flatMap(({ between }) => between));
  const parts = map.parts.filter(({ id }) => ends.has(id) && !hubs.has(id));
  const boxes = placeBoxes(parts, map.powerpacks[0]?.roots[0], lump);
  const byId = new Map(boxes.map((box) => [box.part.id, box]));
  return {
    width: Math.max(...boxes.map(({ x, width }) => x + width / 2), 300) + MARGIN,
    height: Math.max(...boxes.map(({ y, height }) => y + height / 2), 160) + MARGIN + 10,
    boxes,
    bundles: bundle(shown, hubs, byId),
  };
}

/** A rectangle of cells. */
interface Cells {
  readonly column: number;
  readonly row: number;
  readonly columns: number;
  readonly rows: number;
}

function placeBoxes(parts: readonly Part[], root: PartId | undefined, lump: ReadonlySet<PartId>): readonly PartBox[] {
  const engine = parts.find(({ id }) => id === root);
  const within = sidesOf(parts.filter((part) => part !== engine && lump.has(part.id)));
  const around = sidesOf(parts.filter((part) => part !== engine && !lump.has(part.id)));
  const cells: PartBox[] = [];
  const inner = ringOf(within, { column: 0, row: 0, columns: engine ? 2 : 0, rows: engine ? 2 : 0 });
  const outer = ringOf(around, inner.size);
  cells.push(...inner.place(outer.inset), ...outer.place({ column: 0, row: 0 }));
  if (engine) {
    const at = { column: outer.inset.column + inner.inset.column, row: outer.inset.row + inner.inset.row };
    const { columns, rows } = inner.core;
    const box = boxAt(engine, at.column + (columns - 1) / 2, at.row + (rows - 1) / 2);
    cells.push({
      ...box,
      width: BOX.width + STEP.x * (columns - 1),
      height: BOX.height + STEP.y * (rows - 1),
    });
  }
  return cells;
}

function sidesOf(parts: readonly Part[]): Readonly<Record<Side, readonly Part[]>> {
  const on = (side: Side) => parts.filter(({ zone }) => SIDES[zone] === side);
  return { front: on('front'), right: on('right'), middle: on('middle'), left: on('left'), rear: on('rear') };
}

/** Parts laid round a core: beside it before and behind, in rows above and below. */
function ringOf(sides: Readonly<Record<Side, readonly Part[]>>, given: Cells) {
  const half = Math.ceil(sides.middle.length / 2);
  const above = [...sides.right, ...sides.middle.slice(0, half)];
  const below = [...sides.middle.slice(half), ...sides.left];
  const beside = Math.max(sides.front.length, sides.rear.length);
  const rows = Math.max(given.rows, Math.min(beside, Math.max(2, given.rows)));
  const wide = (count: number) => (count === 0 ? 0 : Math.ceil(count / Math.max(rows, 1)));
  const front = wide(sides.front.length);
  const rear = wide(sides.rear.length);
  const columns = Math.max(front + given.columns + rear, above.length + below.length > 0 ? 3 : 0);
  const core: Cells = { column: 0, row: 0, columns: columns - front - rear, rows };
  const rowsFor = (count: number) => (columns === 0 ? 0 : Math.ceil(count / columns));
  const top = rowsFor(above.length);
  const size: Cells = { column: 0, row: 0, columns, rows: top + rows + rowsFor(below.length) };
  const place = (at: { readonly column: number; readonly row: number }): readonly PartBox[] => {
    const across = (some: readonly Part[], first: number) =>
      some.map((part, index) => {
        const row = Math.floor(index / columns);
        const count = Math.min(columns, some.length - row * columns);
        const spread = count > 1 ? ((index % columns) * (columns - 1)) / (count - 1) : (columns - 1) / 2;
        return boxAt(part, at.column + spread, at.row + first + row);
      });
    const down = (some: readonly Part[], first: number) =>
      some.map((part, index) => {
        const column = Math.floor(index / rows);
        const count = Math.min(rows, some.length - column * rows);
        return boxAt(part, at.column + first + column, at.row + top + (index % rows) + (rows - count) / 2);
      });
    return [
      ...across(above, 0),
      ...down(sides.front, 0),
      ...down(sides.rear, front + core.columns),
      ...across(below, top + rows),
    ];
  };
  return { size, core, inset: { column: front, row: top }, place };
}

function boxAt(part: Part, column: number, row: number): PartBox {
  return {
    part,
    x: MARGIN + BOX.width / 2 + column * STEP.x,
    y: MARGIN + BOX.height / 2 + row * STEP.y,
    ...BOX,
    lines: inTwoLines(part.name),
  };
}

/** A name in at most two lines that fit a box. */
export function inTwoLines(name: string, longest = 17): readonly string[] {
  if (name.length <= longest) return [name];
  const words = name.split(' ');
  let first = words.shift() ?? '';
  while (words[0] !== undefined && `${first} ${words[0]}`.length <= longest) first += ` ${words.shift() ?? ''}`;
  const second = words.join(' ');
  const cut = (line: string) => (line.length > longest + 1 ? `${line.slice(0, longest)}…` : line);
  return second === '' ? [cut(first)] : [cut(first), cut(second)];
}

function bundle(
  connections: readonly Connection[],
  hubs: ReadonlyMap<PartId, 'body' | 'loom'>,
  boxes: ReadonlyMap<PartId, PartBox>,
): readonly Bundle[] {
  const bundles = new Map<string, Connection[]>();
  for (const connection of connections) {
    const key = `${[...connection.between].sort().join(' ')} ${connection.kind}`;
    bundles.set(key, [...(bundles.get(key) ?? []), connection]);
  }
  const pins = new Map<PartId, number>();
  const lanes = new Map<string, number>();
  return [...bundles].flatMap(([key, some]): readonly Bundle[] => {
    const [first] = some;
    if (!first) return [];
    const [one, other] = first.between;
    const common = { key, kind: first.kind, connections: some };
    const hub = hubs.get(one) ?? hubs.get(other);
    const from = boxes.get(hubs.has(one) ? other : one);
    if (hub) {
      if (!from) return [];
      const place = pins.get(from.part.id) ?? 0;
      pins.set(from.part.id, place + 1);
      return [{ ...common, to: hub, ...pinPlace(from, place) }];
    }
    const to = boxes.get(other);
    if (!from || !to) return [];
    const pair = `${one} ${other}`;
    const lane = lanes.get(pair) ?? 0;
    lanes.set(pair, lane + 1);
    const line = lineBetween(from, to, lane);
    return [{ ...common, line, ...markPlace(line, from.width <= to.width) }];
  });
}

/** Pins stand along the lower rim of a box, from its left corner; in a large one just within it. */
function pinPlace({ x, y, width, height }: PartBox, place: number) {
  const perRow = Math.max(1, Math.floor(width / PIN_STEP));
  const row = Math.floor(place / perRow);
  const large = height > BOX.height;
  return {
    x: x - width / 2 + 15 + (place % perRow) * PIN_STEP,
    y: y + height / 2 + (large ? -18 - row * 28 : 6 + row * 24),
  };
}

/** Where the mark of a line stands: just off the rim of the smaller of its two parts. */
function markPlace({ x1, y1, x2, y2 }: NonNullable<Bundle['line']>, fromSmaller: boolean) {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const share = Math.min(MARK_OFF / length, 0.5);
  const at = fromSmaller ? share : 1 - share;
  return { x: x1 + (x2 - x1) * at, y: y1 + (y2 - y1) * at };
}

/** The shortest way from rim to rim; further lines between the same two run beside it. */
function lineBetween(one: PartBox, other: PartBox, lane: number): NonNullable<Bundle['line']> {
  const start = nearest(one, other);
  const end = nearest(other, one);
  const aside = (lane % 2 === 0 ? 1 : -1) * Math.ceil(lane / 2) * 28;
  const across = Math.abs(end.x - start.x) > Math.abs(end.y - start.y);
  const dx = across ? 0 : aside;
  const dy = across ? aside : 0;
  return { x1: start.x + dx, y1: start.y + dy, x2: end.x + dx, y2: end.y + dy };
}

function nearest(box: PartBox, to: PartBox): { readonly x: number; readonly y: number } {
  const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));
  const halfX = box.width / 2;
  const halfY = box.height / 2;
  const x = clamp(to.x, box.x - halfX, box.x + halfX);
  const y = clamp(to.y, box.y - halfY, box.y + halfY);
  return { x, y };
}
