import { framesMeet, type Frame, type Seen, type Spot } from '@brisk/core/bay';
import { inTwoLines } from './in-two-lines';

/** A name where it can be read: the middle of its lines, and what it covers. */
export interface Label {
  readonly id: string;
  readonly at: Spot;
  readonly box: Frame;
  readonly lines: readonly string[];
}

const LETTER_PX = 7.6;
const LINE_PX = 17;
const BESIDE_PX = 5;
/** Where inside its part a name is tried, as shares of what is left beside it. */
const INSIDE = [0.5, 0.2, 0.8, 0, 1] as const;

/** What names have to keep to. */
export interface NamePlaces {
  /** One pixel of the screen, in mm. */
  readonly pixelMm: number;
  /** What is seen; a part that is seen in part is named where it is seen. */
  readonly window: Frame;
  /** What no name may cover. */
  readonly taken: readonly Frame[];
}

/**
 * The names of `parts` that find a place: within the part, else beside it, never over each other, over what is taken or
 * out of the window. Those that come first choose first; who finds no place has none at this size.
 */
export function namesAtSize(parts: readonly Seen[], { pixelMm, window, taken }: NamePlaces): readonly Label[] {
  const covered = [...taken];
  const labels: Label[] = [];
  for (const { id, name, frame } of parts) {
    if (!framesMeet(frame, window)) continue;
    const place = placesFor(name, shared(frame, window), pixelMm).find(
      ({ box }) => within(box, window) && !covered.some((other) => framesMeet(box, other)),
    );
    if (!place) continue;
    covered.push(place.box);
    labels.push({ id, at: middleOf(place.box), box: place.box, lines: place.lines });
  }
  return labels;
}

/** What a mark at `at` covers, `mm` round. */
export function aroundMark({ u, v }: Spot, mm: number): Frame {
  return { u: [u - mm, u + mm], v: [v - mm, v + mm] };
}

function placesFor(name: string, own: Frame, pixelMm: number) {
  return [inTwoLines(name, 40), inTwoLines(name)].flatMap((lines) => {
    const width = Math.max(...lines.map(({ length }) => length)) * LETTER_PX * pixelMm;
    const height = lines.length * LINE_PX * pixelMm;
    const at = (u: number, v: number) => ({ lines, box: { u: [u, u + width], v: [v, v + height] } satisfies Frame });
    const roomU = own.u[1] - own.u[0] - width;
    const roomV = own.v[1] - own.v[0] - height;
    const inside =
      roomU < 0 || roomV < 0
        ? []
        : INSIDE.flatMap((down) => INSIDE.map((right) => at(own.u[0] + roomU * right, own.v[0] + roomV * down)));
    const gap = BESIDE_PX * pixelMm;
    const middleU = (own.u[0] + own.u[1] - width) / 2;
    const middleV = (own.v[0] + own.v[1] - height) / 2;
    return [
      ...inside,
      at(middleU, own.v[0] - gap - height),
      at(middleU, own.v[1] + gap),
      at(own.u[0] - gap - width, middleV),
      at(own.u[1] + gap, middleV),
    ];
  });
}

function middleOf({ u, v }: Frame): Spot {
  return { u: (u[0] + u[1]) / 2, v: (v[0] + v[1]) / 2 };
}

function within(one: Frame, other: Frame): boolean {
  return one.u[0] >= other.u[0] && one.u[1] <= other.u[1] && one.v[0] >= other.v[0] && one.v[1] <= other.v[1];
}

function shared(one: Frame, other: Frame): Frame {
  const both = (axis: 'u' | 'v') =>
    [Math.max(one[axis][0], other[axis][0]), Math.min(one[axis][1], other[axis][1])] as const;
  return { u: both('u'), v: both('v') };
}
