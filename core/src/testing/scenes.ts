import type { Body, Scene } from '../clearance/index.js';

/** A scene whose widest way somebody worked out without searching. */
export interface KnownScene {
  readonly name: string;
  readonly scene: Scene;
  /** The clearance of its widest way, in mm. */
  readonly clearanceMm: number;
}

const { hypot, max, min } = Math;
const ACROSS = [-10, 10] as const;

/** An upright rectangle; `turnDeg` turns it about `about`. */
export function slab(
  id: string,
  [x0, x1]: readonly [number, number],
  [z0, z1]: readonly [number, number],
  turnDeg = 0,
  about = { x: 0, z: 0 },
): Body {
  const angle = (turnDeg * Math.PI) / 180;
  const outline = [
    { x: x0, z: z0 },
    { x: x1, z: z0 },
    { x: x1, z: z1 },
    { x: x0, z: z1 },
  ].map(({ x, z }) => ({
    x: about.x + (x - about.x) * Math.cos(angle) - (z - about.z) * Math.sin(angle),
    z: about.z + (x - about.x) * Math.sin(angle) + (z - about.z) * Math.cos(angle),
  }));
  return { id, name: id, outline, across: ACROSS };
}

const up = { exit: 'up', towards: 'nose' } as const;

/** A block under a straight slot: half of what is left on either side. */
export function slot(width: number, a: number, b: number, offMm: number): KnownScene {
  return {
    name: `a block ${a} × ${b} through a slot ${width} wide, ${offMm} beside it`,
    clearanceMm: (width - a) / 2,
    scene: {
      moving: [slab('block', [-a / 2, a / 2], [0, b])],
      still: [
        slab('left', [offMm - width / 2 - 500, offMm - width / 2], [b + 150, b + 400]),
        slab('right', [offMm + width / 2, offMm + width / 2 + 500], [b + 150, b + 400]),
      ],
      pivot: { x: 0, z: b / 2 },
      out: up,
      tiltDeg: [-12, 12],
      xMm: [-200, 200],
      zMm: [-40, b + 620],
    },
  };
}

/** A block under a slot that leans: it has to lean as much. */
export function leaningSlot(width: number, a: number, b: number, leanDeg: number): KnownScene {
  const about = { x: 0, z: b / 2 };
  return {
    name: `a block ${a} × ${b} through a slot ${width} wide that leans ${leanDeg}°`,
    clearanceMm: (width - a) / 2,
    scene: {
      moving: [slab('block', [-a / 2, a / 2], [0, b])],
      still: [
        slab('left', [-width / 2 - 400, -width / 2], [b + 180, b + 620], leanDeg, about),
        slab('right', [width / 2, width / 2 + 400], [b + 180, b + 620], leanDeg, about),
      ],
      pivot: about,
      out: up,
      tiltDeg: [-25, 25],
      xMm: [-420, 420],
      zMm: [-40, b + 1_000],
    },
  };
}

/** Two plates with a hole each, far beside each other, and a passage between them; it cannot be tilted. */
export function step(a: number, b: number, holes: readonly [number, number], height: number): KnownScene {
  const away = a + Math.max(...holes) + 140;
  const first = b + 140;
  const second = first + 40 + height;
  return {
    name: `a block ${a} × ${b} through holes of ${holes.join(' and ')} with ${height} between the plates`,
    clearanceMm: Math.min((holes[0] - a) / 2, (holes[1] - a) / 2, (height - b) / 2),
    scene: {
      moving: [slab('block', [-a / 2, a / 2], [0, b])],
      still: [
        slab('first, left', [-900, -holes[0] / 2], [first, first + 40]),
        slab('first, right', [holes[0] / 2, 1_400], [first, first + 40]),
        slab('second, left', [-900, away - holes[1] / 2], [second, second + 40]),
        slab('second, right', [away + holes[1] / 2, 1_400], [second, second + 40]),
      ],
      pivot: { x: 0, z: b / 2 },
      out: up,
      tiltDeg: [0, 0],
      xMm: [-100, away + 100],
      zMm: [-40, second + 140],
    },
  };
}

/** The widest way of upright rectangles that are not tilted, by trying every place `everyMm` apart. */
export function byBruteForce(
  { moving, still, xMm, zMm }: Scene,
  everyMm: number,
  isOut: (xMm: number, zMm: number) => boolean,
): number {
  const boxes = still.map(boxOf);
  const mine = moving.map(boxOf);
  const columns = Math.floor((xMm[1] - xMm[0]) / everyMm) + 1;
  const rows = Math.floor((zMm[1] - zMm[0]) / everyMm) + 1;
  const room = Array.from({ length: columns * rows }, (_, cell) => {
    const dx = xMm[0] + (cell % columns) * everyMm;
    const dz = zMm[0] + Math.floor(cell / columns) * everyMm;
    let least = 80;
    for (const one of mine)
      for (const other of boxes) {
        const x = max(other.x0 - (one.x1 + dx), one.x0 + dx - other.x1);
        const z = max(other.z0 - (one.z1 + dz), one.z0 + dz - other.z1);
        least = min(least, x > 0 && z > 0 ? hypot(x, z) : max(x, z));
      }
    return least;
  });
  const seat = Math.round(-zMm[0] / everyMm) * columns + Math.round(-xMm[0] / everyMm);
  let [low, high] = [-200, 80];
  while (high - low > 0.25) {
    const middle = (low + high) / 2;
    const seen = new Set([seat]);
    const queue = [seat];
    let out = false;
    for (const cell of queue) {
      if (isOut(xMm[0] + (cell % columns) * everyMm, zMm[0] + Math.floor(cell / columns) * everyMm)) out = true;
      if (out) break;
      const x = cell % columns;
      for (const other of [
        cell - columns,
        cell + columns,
        ...(x > 0 ? [cell - 1] : []),
        ...(x < columns - 1 ? [cell + 1] : []),
      ])
        if (other >= 0 && other < room.length && !seen.has(other) && (room[other] ?? 0) >= middle) {
          seen.add(other);
          queue.push(other);
        }
    }
    if (out) low = middle;
    else high = middle;
  }
  return low;
}

function boxOf({ outline }: Body) {
  const xs = outline.map(({ x }) => x);
  const zs = outline.map(({ z }) => z);
  return { x0: Math.min(...xs), x1: Math.max(...xs), z0: Math.min(...zs), z1: Math.max(...zs) };
}
