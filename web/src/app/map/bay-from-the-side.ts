import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, viewChild } from '@angular/core';
import { closestPoints, placed, SEATED, type Gap, type Pose } from '@brisk/core/clearance';
import type { LiftLeg } from '@brisk/core/lift';
import { overlapOf, type Place, type Point, type Shaped, type Solid } from '@brisk/core/shape';
import { shownSize } from './shown-size';

/** From where the bay is looked at. */
export type BayView = 'side' | 'above';

/** How something hangs: its hook, its middle, and its slings with what is written beside them. */
export interface Hanging {
  readonly hook: Place;
  readonly centre: Place;
  readonly words: string;
  readonly slings: readonly { readonly pick: Place; readonly words: string; readonly flat: boolean }[];
}

/** A tape that is held to the machine: along it or upright, from where to where, and what it gives or usually does. */
export interface Tape {
  readonly on: 'x' | 'z';
  readonly fromMm: number;
  readonly toMm: number;
  readonly words: string;
}

/** Where a tape is drawn, from the edge of the picture. */
const TAPE_PX = 46;
/** Room round what is drawn, in mm. */
const ROUND_MM = 160;
/** Nearer than this a gap is drawn. */
const DRAWN_WITHIN_MM = 320;
/** What is named on the picture, where it is large enough to bear its name. */
const NAMED_FROM_MM = 330;

/** The bay in true measure, nose to the left, with what leaves it at one pose and the narrowest places marked. */
@Component({
  selector: 'bl-bay-from-the-side',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bay-from-the-side.html',
  styleUrl: './bay-from-the-side.scss',
})
export class BayFromTheSide {
  readonly leg = input.required<LiftLeg>();
  readonly pose = input<Pose>(SEATED);
  /** The corners of the way, for the track of its middle. */
  readonly way = input<readonly Pose[]>([]);
  readonly gaps = input<readonly Gap[]>([]);
  readonly view = input<BayView>('side');
  /** How far what moves is pushed aside, to the left above zero, in mm. */
  readonly asideMm = input(0);
  /** Hook, slings and what pulls in them; drawn from the side. */
  readonly hangs = input<Hanging>();
  /** Where a tape goes; drawn from the side. */
  readonly tape = input<Tape>();

  /** The corner that is farthest to the nose and highest (or farthest right), and the size of the picture, in mm. */
  protected readonly frame = computed(() => {
    const { scene, moving } = this.leg();
    const poses = [SEATED, ...this.way()];
    const points = poses.flatMap((pose) => scene.moving.flatMap(({ outline }) => placed(outline, scene.pivot, pose)));
    const seatX = moving.flatMap(({ extent }) => extent.x);
    const xs = [...points.map(({ x }) => x), Math.min(...seatX) - 250, Math.max(...seatX) + 420];
    const zs = [...points.map(({ z }) => z), ...this.floorZ(), this.hangs()?.hook.z ?? 0];
    const tape = this.tape();
    if (tape) (tape.on === 'x' ? xs : zs).push(tape.fromMm, tape.toMm);
    const ys = moving.flatMap(({ extent }) => extent.y);
    const x1 = Math.max(...xs) + ROUND_MM;
    const width = x1 - Math.min(...xs) + ROUND_MM;
    if (this.view() === 'above') {
      const y0 = Math.min(...ys) - 320;
      return { x1, top: y0, width, height: Math.max(...ys) + 320 - y0 };
    }
    const top = Math.max(...zs) + ROUND_MM;
    return { x1, top, width, height: top - Math.min(...zs) + 60 };
  });
  protected readonly viewBox = computed(() => `0 0 ${this.frame().width} ${this.frame().height}`);
  private readonly picture = viewChild.required<ElementRef<SVGSVGElement>>('picture');
  private readonly shown = shownSize(this.picture);
  /** One pixel of the screen, in mm: letters and marks keep their size. */
  protected readonly pixel = computed(() =>
    Math.max(this.frame().width / this.shown().width, this.frame().height / this.shown().height),
  );
  /** Where the shed’s floor is on the picture; absent where the body is raised as far as it takes. */
  protected readonly floor = computed(() => {
    const [z] = this.floorZ();
    return z === undefined || this.view() === 'above' ? undefined : this.frame().top - z;
  });

  protected readonly still = computed(() => {
    const { still, scene } = this.leg();
    return drawnFrom(this.view(), still).map((one) => ({
      id: one.id,
      aside: !one.solids.some(({ across }) => scene.moving.some((mine) => overlapOf(mine.across, across) > 0)),
      bay: one.planes.size > 0 && one.massKg === 0,
      outlines: one.solids.map((solid) => this.path(solid.outline, solid.across)),
      ...this.named(one),
    }));
  });

  protected readonly moving = computed(() => {
    const { drawnOff } = this.leg();
    const pose = this.pose();
    const { pivot } = this.leg().scene;
    return drawnFrom(this.view(), this.leg().moving).map((one) => {
      const yMm = drawnOff.yMm + this.asideMm();
      const across = (solid: Solid) => [solid.across[0] + yMm, solid.across[1] + yMm] as const;
      const at = (outline: readonly Point[]) =>
        placed(
          outline.map(({ x, z }) => ({ x: x + drawnOff.xMm, z })),
          pivot,
          pose,
        );
      const middle = at([{ x: one.middle.x, z: one.middle.z }])[0] ?? pivot;
      return {
        id: one.id,
        outlines: one.solids.map((solid) => this.path(at(solid.outline), across(solid))),
        ...this.named(one, { x: middle.x, y: one.middle.y + yMm, z: middle.z }),
      };
    });
  });

  protected readonly track = computed(() =>
    this.view() === 'side' && this.way().length > 1
      ? this.way()
          .map(({ xMm, zMm }) => {
            const { pivot } = this.leg().scene;
            return this.on({ x: pivot.x + xMm, y: 0, z: pivot.z + zMm }).join(' ');
          })
          .join(' L')
      : '',
  );

  protected readonly marks = computed(() => {
    const { pivot } = this.leg().scene;
    if (this.view() !== 'side') return [];
    return this.gaps()
      .filter(({ mm }) => mm < DRAWN_WITHIN_MM)
      .map(({ mm, moving, still }, index) => {
        const [one, other] = closestPoints(placed(moving.outline, pivot, this.pose()), still.outline);
        const [x1, y1] = this.on({ ...one, y: 0 });
        const [x2, y2] = this.on({ ...other, y: 0 });
        return { key: `${moving.id} ${still.id}`, x1, y1, x2, y2, words: `${Math.round(mm)}`, tight: index === 0 };
      })
      .filter((mark, index, all) =>
        all.slice(0, index).every((before) => apartOf(before, mark) > MARK_PX * this.pixel()),
      )
      .reverse();
  });

  protected readonly rig = computed(() => {
    const hangs = this.hangs();
    if (!hangs || this.view() !== 'side') return undefined;
    const [hx, hy] = this.on(hangs.hook);
    const [cx, cy] = this.on(hangs.centre);
    return {
      hx,
      hy,
      cx,
      cy,
      words: hangs.words,
      slings: hangs.slings.map(({ pick, words, flat }) => {
        const [x, y] = this.on(pick);
        return { x, y, words, flat, side: x < hx ? -1 : 1 };
      }),
    };
  });

  protected readonly taped = computed(() => {
    const tape = this.tape();
    if (!tape || this.view() !== 'side') return undefined;
    const { width, height } = this.frame();
    const edge = TAPE_PX * this.pixel();
    // Along the floor, where little else is drawn.
    const low = height - 2 * edge;
    const at = (mm: number) => this.on(tape.on === 'x' ? { x: mm, y: 0, z: 0 } : { x: 0, y: 0, z: mm });
    const along = tape.on === 'x';
    const [from, to] = [tape.fromMm, tape.toMm].map((mm) => at(mm)[along ? 0 : 1]);
    if (from === undefined || to === undefined) return undefined;
    const line = (mm: number) => (along ? { x1: mm, x2: mm, y1: 0, y2: height } : { x1: 0, x2: width, y1: mm, y2: mm });
    return {
      held: [line(from), line(to)],
      line: along ? { x1: from, x2: to, y1: low, y2: low } : { x1: edge, x2: edge, y1: from, y2: to },
      x: along ? (from + to) / 2 : edge + this.pixel() * 8,
      y: along ? low - this.pixel() * 8 : (from + to) / 2,
      along,
      words: tape.words,
    };
  });

  protected readonly description = computed(() => {
    const nearest = this.gaps()[0];
    const from = this.view() === 'side' ? 'from the side' : 'from above';
    return `The bay ${from}, nose to the left.${
      nearest ? ` Nearest: ${nearest.moving.name} to ${nearest.still.name}, ${Math.round(nearest.mm)} mm.` : ''
    }`;
  });

  private floorZ(): readonly number[] {
    return this.leg()
      .scene.still.filter(({ id }) => id === 'ground')
      .map(({ outline }) => Math.max(...outline.map(({ z }) => z)));
  }

  private on({ x, y, z }: Place): readonly [number, number] {
    const { x1, top } = this.frame();
    return [x1 - x, this.view() === 'side' ? top - z : y - top];
  }

  private path(outline: readonly Point[], across: readonly [number, number]): string {
    if (this.view() === 'side') return `M${outline.map(({ x, z }) => this.on({ x, y: 0, z }).join(' ')).join(' L')} Z`;
    const xs = outline.map(({ x }) => x);
    const [left, top] = this.on({ x: Math.max(...xs), y: across[0], z: 0 });
    return `M${left} ${top} h${Math.max(...xs) - Math.min(...xs)} v${across[1] - across[0]} H${left} Z`;
  }

  /** Where the name of something stands, if it is large enough. */
  private named({ name, extent, middle, massKg }: Shaped, at: Place = middle) {
    const wide = extent.x[1] - extent.x[0];
    const high = this.view() === 'side' ? extent.z[1] - extent.z[0] : extent.y[1] - extent.y[0];
    const [x, y] = this.on(at);
    const shown = massKg > 0 && wide > NAMED_FROM_MM && high > 90;
    return { x, y, name: shown ? name : '' };
  }
}

/** Marks nearer to each other than this are one: the tighter. */
const MARK_PX = 34;

function apartOf(one: Line, other: Line): number {
  return Math.hypot(one.x1 + one.x2 - other.x1 - other.x2, one.y1 + one.y2 - other.y1 - other.y2) / 2;
}

interface Line {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** Farthest from who looks first: seen from the left, or from above. */
function drawnFrom(view: BayView, things: readonly Shaped[]): readonly Shaped[] {
  const near = ({ extent }: Shaped) => (view === 'side' ? extent.y[1] : extent.z[1]);
  return [...things].sort((one, other) => near(one) - near(other));
}
