import type { PartId } from '../connection-map/index.js';
import type { MachineShape, Place, Point, Shaped, Solid } from '../shape/index.js';

/** From where a hand comes. */
const SIDES = ['above', 'left', 'right', 'below'] as const;
export type Side = (typeof SIDES)[number];

/** Something that stays in the machine and is hidden once the powerpack is in: by what, and from where it is still reached. */
export interface Covered {
  readonly id: string;
  readonly name: string;
  readonly by: string;
  readonly from: readonly Side[];
}

interface Ray {
  readonly axis: 'y' | 'z';
  readonly sign: 1 | -1;
}

const RAYS: Readonly<Record<Side, Ray>> = {
  above: { axis: 'z', sign: 1 },
  left: { axis: 'y', sign: 1 },
  right: { axis: 'y', sign: -1 },
  below: { axis: 'z', sign: -1 },
};

/** Hidden for so much of itself, a side is no way to it; and one that shows so much is. */
const HIDDEN_FROM = 0.75;
const OPEN_BELOW = 0.5;
/** Places a thing is looked at, along each axis of its box. */
const LOOKS_ALONG = [0.1, 0.5, 0.9];
/** A thing on the face of a part is not behind it: so far in front of it, in mm, something has to be. */
const CLEAR_MM = 5;

/**
 * What of the machine is hidden from above once the parts of `lump` are in, in true measure: straight lines from places on it
 * towards where a hand comes from, against the solids of the powerpack. `stays`: parts of the machine that are on then. What
 * is soft or was guessed hides nothing, and is not told of.
 */
export function coveredBy(
  shape: MachineShape,
  lump: ReadonlySet<PartId>,
  stays: ReadonlySet<PartId>,
): readonly Covered[] {
  const isHard = ({ soft, guessed }: Shaped) => !soft && !guessed;
  const parts = [...shape.parts.values()].filter(isHard);
  const inFront = parts.filter(({ id }) => lump.has(id));
  const behind = [...parts.filter(({ id }) => stays.has(id)), ...shape.bay];
  return behind.flatMap((thing): readonly Covered[] => {
    const places = placesOf(thing);
    const hiddenBy = (side: Side) => {
      const hiding = places.map((place) =>
        inFront.find(({ solids }) => solids.some((solid) => isInTheWay(solid, place, RAYS[side]))),
      );
      const hidden = hiding.filter((one) => one !== undefined);
      return { share: hidden.length / Math.max(1, places.length), by: hidden[0]?.name };
    };
    const { share, by } = hiddenBy('above');
    return share >= HIDDEN_FROM && by !== undefined
      ? [{ id: thing.id, name: thing.name, by, from: SIDES.filter((side) => hiddenBy(side).share < OPEN_BELOW) }]
      : [];
  });
}

/** Places inside a thing, spread over its box. */
function placesOf({ solids, extent }: Shaped): readonly Place[] {
  const at = ([low, high]: readonly [number, number], share: number) => low + share * (high - low);
  return LOOKS_ALONG.flatMap((x) =>
    LOOKS_ALONG.flatMap((y) =>
      LOOKS_ALONG.map((z) => ({ x: at(extent.x, x), y: at(extent.y, y), z: at(extent.z, z) })),
    ),
  ).filter((place) =>
    solids.some(({ outline, across }) => place.y >= across[0] && place.y <= across[1] && isInside(outline, place)),
  );
}

/** Whether the line from `at` along an axis goes through `solid`. */
function isInTheWay({ outline, across }: Solid, at: Place, { axis, sign }: Ray): boolean {
  if (axis === 'y') {
    const farthest = sign > 0 ? across[1] : -across[0];
    return farthest > at.y * sign + CLEAR_MM && isInside(outline, at);
  }
  if (at.y < across[0] || at.y > across[1]) return false;
  return outline.some((one, index) => {
    const next = outline[(index + 1) % outline.length] ?? one;
    if (one.x === next.x || at.x < Math.min(one.x, next.x) || at.x > Math.max(one.x, next.x)) return false;
    const z = one.z + ((at.x - one.x) / (next.x - one.x)) * (next.z - one.z);
    return z * sign > at.z * sign + CLEAR_MM;
  });
}

function isInside(outline: readonly Point[], { x, z }: Pick<Place, 'x' | 'z'>): boolean {
  return outline.every((one, index) => {
    const next = outline[(index + 1) % outline.length] ?? one;
    return (next.x - one.x) * (z - one.z) - (next.z - one.z) * (x - one.x) >= 0;
  });
}
