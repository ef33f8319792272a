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

const BOX = { width: 134, height: 50 } as const;
const STEP = { x: 176, y: 98 } as const;
const MARGIN = 30;
const PIN_STEP = 27;

type Slot = 'front' | 'right' | 'middle' | 'left' | 'rear' | 'far';
const SLOTS: Readonly<Record<Zone, Slot>> = {
  'bay-front': 'front',
  'under-front': 'front',
  'bay-right': 'right',
  'bay-top': 'middle',
  'bay-left': 'left',
  'bay-rear': 'rear',
  'under-middle': 'rear',
  'under-rear': 'far',
  cabin: 'far',
  outside: 'far',
};

/**
 * Places the parts of one view as the machine is seen, nose to the left, the engine large in the middle, and bundles
 * the connections between them. What goes to the body or to the loom is a pin on the rim of its part, since lines to
 * those two would cross everything.
 */
export function drawMap(map: ConnectionMap, view: View): Drawing {
  const shown = map.connections.filter((connection) => viewOf(connection) === view);
  const hubs = new Map<PartId, 'body' | 'loom'>([[map.body, 'body']]);
  if (map.parts.some(({ id }) => id === 'loom')) hubs.set('loom', 'loom');
  const ends = new Set(shown.flatMap(({ between }) => between));
  const parts = map.parts.filter(({ id }) => ends.has(id) && !hubs.has(id));
  const boxes = placeBoxes(parts, map);
  const byId = new Map(boxes.map((box) => [box.part.id, box]));
  const bundles = bundle(shown, hubs, byId);
  return {
    width: Math.max(...boxes.map(({ x, width }) => x + width / 2), 300) + MARGIN,
    height: Math.max(...boxes.map(({ y, height }) => y + height / 2), 160) + MARGIN + 12,
    boxes,
    bundles,
  };
}

function placeBoxes(parts: readonly Part[], map: ConnectionMap): readonly PartBox[] {
  const root = map.powerpacks[0]?.roots[0];
  const engine = parts.find(({ id }) => id === root);
  const slots = new Map<Slot, Part[]>();
  for (const part of parts) {
    if (part === engine) continue;
    const slot = SLOTS[part.zone];
    slots.set(slot, [...(slots.get(slot) ?? []), part]);
  }
  const inSlot = (slot: Slot) => slots.get(slot) ?? [];
  const middle = inSlot('middle');
  const columns = Math.max(4, Math.ceil(Math.sqrt(parts.length / 2)));
  const beside = engine ? (columns - 2) * 2 : 0;
  const around = middle.slice(0, beside);
  const extra = middle.slice(beside);
  const rowsOf = (count: number) => Math.ceil(count / columns);
  const half = Math.ceil(extra.length / 2);
  const upper = [...inSlot('right'), ...extra.slice(0, half)];
  const lower = [...extra.slice(half), ...inSlot('left')];
  const middleRows = engine || around.length > 0 ? 2 : 0;
  const rows = Math.max(rowsOf(upper.length) + middleRows + rowsOf(lower.length), 3);

  const cells: PartBox[] = [];
  const column = (slot: Slot, from: number): number => {
    const some = inSlot(slot);
    const wide = Math.ceil(some.length / rows);
    some.forEach((part, index) => {
      const inColumn = Math.floor(index / rows);
      const count = Math.min(rows, some.length - inColumn * rows);
      const row = (index % rows) + (rows - count) / 2;
      cells.push(boxAt(part, from + inColumn, row));
    });
    return from + wide;
  };
  const begin = column('front', 0);
  const across = (some: readonly Part[], firstRow: number) =>
    some.forEach((part, index) => {
      const row = Math.floor(index / columns);
      const count = Math.min(columns, some.length - row * columns);
      cells.push(boxAt(part, begin + (index % columns) + (columns - count) / 2, firstRow + row));
    });
  across(upper, 0);
  const firstMiddle = rowsOf(upper.length);
  if (engine) {
    const leftOf = Math.floor((columns - 2) / 2);
    const free = [0, 1].flatMap((row) =>
      Array.from({ length: columns }, (_, index) => index)
        .filter((index) => index < leftOf || index >= leftOf + 2)
        .map((index) => [index, row] as const),
    );
    around.forEach((part, index) => {
      const [cell, row] = free[index] ?? [0, 0];
      cells.push(boxAt(part, begin + cell, firstMiddle + row));
    });
    const at = boxAt(engine, begin + leftOf + 0.5, firstMiddle + 0.5);
    cells.push({ ...at, width: BOX.width + STEP.x * 0.8, height: BOX.height + STEP.y * 0.8 });
  } else across(around, firstMiddle);
  across(lower, firstMiddle + middleRows);
  column('far', column('rear', begin + columns));
  return cells;
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
    return [{ ...common, line, x: (line.x1 + line.x2) / 2, y: (line.y1 + line.y2) / 2 }];
  });
}

/** Pins stand along the lower rim of a box, from its left corner. */
function pinPlace({ x, y, width, height }: PartBox, place: number) {
  const perRow = Math.max(1, Math.floor(width / PIN_STEP));
  return {
    x: x - width / 2 + 14 + (place % perRow) * PIN_STEP,
    y: y + height / 2 + 4 + Math.floor(place / perRow) * 22,
  };
}

/** The shortest way from rim to rim; further lines between the same two run beside it. */
function lineBetween(one: PartBox, other: PartBox, lane: number): NonNullable<Bundle['line']> {
  const start = nearest(one, other);
  const end = nearest(other, one);
  const aside = (lane % 2 === 0 ? 1 : -1) * Math.ceil(lane / 2) * 24;
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
