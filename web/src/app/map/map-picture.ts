import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { countsByView, drawBay, VIEWS, type Frame, type Seen, type View } from '@brisk/core/bay';
import { KIND_WORDS } from '@brisk/core/words';
import { crossing, type Connection, type ConnectionMap, type PartId } from '@brisk/core/connection-map';
import { shapeToDraw } from '@brisk/core/layouts/shapes';
import type { Measured } from '@brisk/core/shape';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3-zoom';
import equal from 'fast-deep-equal';
import { BayParts } from './bay-parts';
import { mmAPixel, viewBoxOf } from './frame-size';
import { KIND_MARKS } from './kind-marks';
import { marksAtSize, type Mark } from './marks-at-size';
import { aroundMark, namesAtSize } from './names-at-size';
import { hosePath } from './paths';
import { shownSize } from './shown-size';

/** How a connection stands. */
export type Standing = 'closed' | 'open' | 'found' | 'left';

/** What somebody tapped on the picture. */
export type Picked =
  | { readonly what: 'connections'; readonly ids: readonly string[] }
  | { readonly what: 'part'; readonly id: PartId };

const VIEW_WORDS: Readonly<Record<View, string>> = {
  above: 'Above',
  left: 'Left',
  right: 'Right',
  below: 'Below',
  inside: 'Inside',
};

/** Marks are no nearer to each other than this, and keep a name this far off, in pixels. */
const MARKS_APART_PX = 30;
const MARK_PX = 15;
/** Something smaller than this across bears its name only when it is tapped, in pixels. */
const NAMED_FROM_PX = 26;
/** With more hoses than this an old tablet cannot draw them at every move of the hand: they come back when it rests. */
const TIES_WHILE_MOVED = 60;
/** How wide the line of what is open is, in pixels. */
const OPEN_PX = 2;
/** More than this many are counted, not named. */
const NAMED_AT_ONCE = 3;

/** The connection map as the bay: parts in true measure, connections where they join, what leaves in its colour. */
@Component({
  selector: 'bl-map-picture',
  imports: [BayParts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './map-picture.html',
  styleUrl: './map-picture.scss',
})
export class MapPicture {
  readonly map = input.required<ConnectionMap>();
  readonly lump = input.required<ReadonlySet<PartId>>();
  /** What was measured of the machine, by plane. */
  readonly measured = input<Measured>({});
  /** Parts that are off the machine. */
  readonly off = input<ReadonlySet<PartId>>(new Set());
  readonly view = input<View>('above');
  readonly standing = input<ReadonlyMap<string, Standing>>(new Map());
  /** Connections that matter now; the rest is drawn faint. Absent: all. */
  readonly only = input<ReadonlySet<string>>();
  readonly picked = input<Picked>();
  /** Without its legend, beside something else. */
  readonly plain = input(false, { transform: booleanAttribute });
  readonly problemsAt = input<ReadonlySet<string>>(new Set());
  readonly pick = output<Picked>();
  readonly turn = output<View>();

  protected readonly views = VIEWS;
  protected readonly viewWords = VIEW_WORDS;
  private readonly shape = computed(() => shapeToDraw(this.map(), this.measured()));
  protected readonly drawing = computed(() =>
    drawBay(this.map(), this.shape(), { view: this.view(), lump: this.lump(), off: this.off() }),
  );
  protected readonly counts = computed(() => countsByView(this.map(), this.shape()));
  protected readonly viewBox = computed(() => viewBoxOf(this.drawing().frame));

  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private readonly paper = viewChild.required<ElementRef<SVGGElement>>('paper');
  private readonly shown = shownSize(this.svg);
  /** How far it is moved and zoomed in, once the hand is still: marks and names are laid out for that. */
  private readonly zoomed = signal<Pick<ZoomTransform, 'k' | 'x' | 'y'>>(zoomIdentity);
  /** One pixel of the screen, in mm. */
  protected readonly pixel = computed(() => mmAPixel(this.drawing().frame, this.shown()) / this.zoomed().k);

  /** What of the machine is seen on the screen now. */
  private readonly window = computed((): Frame => {
    const { frame } = this.drawing();
    const { k, x, y } = this.zoomed();
    const { width, height } = this.shown();
    const seen = ([low, high]: readonly [number, number], px: number, moved: number) => {
      const half = Math.max(high - low, px * this.pixel() * k) / 2;
      const middle = (low + high) / 2;
      return [(middle - half - moved) / k, (middle + half - moved) / k] as const;
    };
    return { u: seen(frame.u, width, x), v: seen(frame.v, height, y) };
  });

  private readonly boundary = computed(
    () => new Set(crossing(this.map().connections, this.lump()).map(({ id }) => id)),
  );
  protected readonly litPart = computed(() => {
    const picked = this.picked();
    return picked?.what === 'part' ? picked.id : undefined;
  });

  private readonly marks = computed(() => {
    const only = this.only();
    const matters = ({ connections }: Mark['bundles'][number]) => connections.some(({ id }) => !only || only.has(id));
    const { bundles } = this.drawing();
    const apartMm = MARKS_APART_PX * this.pixel();
    return marksAtSize(bundles, apartMm, matters);
  });

  protected readonly drawn = computed(() => {
    const standing = this.standing();
    const boundary = this.boundary();
    return this.marks().map((mark) => {
      const connections = mark.bundles.flatMap((bundle) => bundle.connections);
      const ids = connections.map(({ id }) => id);
      const stands = new Set(ids.map((id) => standing.get(id) ?? 'closed'));
      const kinds = new Set(mark.bundles.map(({ kind }) => kind));
      const [kind] = kinds.size === 1 ? kinds : [];
      return {
        key: mark.key,
        at: mark.at,
        mark: kind && KIND_MARKS[kind],
        count: connections.length,
        words: connectionWords(connections),
        holds: ids.some((id) => boundary.has(id)),
        is: stands.has('left') ? 'left' : stands.has('found') ? 'found' : stands.has('closed') ? 'closed' : 'open',
        faint: this.isFaint(ids),
        wrong: ids.some((id) => this.problemsAt().has(id)),
        lit: this.isLit(connections),
      };
    });
  });

  protected readonly ties = computed(() =>
    this.drawing().bundles.flatMap(({ key, kind, connections, way }) => {
      if (!way) return [];
      const ids = connections.map(({ id }) => id);
      const open = ids.every((id) => this.standing().get(id) === 'open');
      return [
        {
          key,
          path: hosePath(way),
          width: open ? OPEN_PX : KIND_MARKS[kind].width,
          dashes: open ? '3 5' : KIND_MARKS[kind].dashes || null,
          faint: this.isFaint(ids),
          lit: this.isLit(connections),
        },
      ];
    }),
  );

  protected readonly names = computed(() => {
    const { seen } = this.drawing();
    const pixelMm = this.pixel();
    const window = this.window();
    const lit = this.litPart();
    const small = ({ frame: { u, v } }: Seen) => Math.max(u[1] - u[0], v[1] - v[0]) < NAMED_FROM_PX * pixelMm;
    const named = seen
      .filter((one) => one.id === lit || (!one.rimOnly && !small(one)))
      .sort((one, other) => rank(one, lit) - rank(other, lit) || areaOf(other) - areaOf(one));
    const marks = this.drawn()
      .filter(({ faint }) => !faint)
      .map(({ at }) => aroundMark(at, MARK_PX * pixelMm));
    const [parts, bay] = [named.filter(({ is }) => is !== 'bay'), named.filter(({ is }) => is === 'bay')];
    const ofParts = namesAtSize(parts, { pixelMm, window, taken: marks });
    const leaves = seen.filter(({ is }) => is === 'powerpack').map(({ frame }) => frame);
    const taken = [...marks, ...ofParts.map(({ box }) => box), ...leaves];
    const ofBay = namesAtSize(bay, { pixelMm, window, taken });
    return [
      ...ofBay.map((label) => ({ ...label, soft: true, lit: false })),
      ...ofParts.map((label) => ({ ...label, soft: false, lit: label.id === lit })),
    ];
  });

  /** What was tapped, in words on the picture: a phone has no room for every name. */
  protected readonly tapped = computed(() => {
    const picked = this.picked();
    if (!picked) return '';
    if (picked.what === 'part') return this.map().parts.find(({ id }) => id === picked.id)?.name ?? '';
    return connectionWords(this.map().connections.filter(({ id }) => picked.ids.includes(id)));
  });

  protected readonly kinds = computed(() => {
    const here = new Set(this.drawing().bundles.map(({ kind }) => kind));
    return (Object.keys(KIND_MARKS) as (keyof typeof KIND_MARKS)[])
      .filter((kind) => here.has(kind))
      .map((kind) => ({ kind, words: KIND_WORDS[kind], mark: KIND_MARKS[kind] }));
  });

  protected readonly description = computed(() => {
    const { seen, bundles, view } = this.drawing();
    const shown = bundles.reduce((sum, { connections }) => sum + connections.length, 0);
    const parts = seen.filter(({ is }) => is !== 'bay').length;
    return `The bay, seen from ${VIEW_WORDS[view].toLowerCase()}, in true measure: ${parts} parts and ${shown} connections. The list below says the same.`;
  });

  /** What stands at the left and right end of the picture. */
  protected readonly ends = computed(() => (this.view() === 'right' ? ['tail', 'nose'] : ['nose', 'tail']));

  private readonly zoomer: ZoomBehavior<SVGSVGElement, unknown> = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.5, 10])
    .on('zoom', ({ transform }: { readonly transform: { toString(): string } }) => {
      const paper = this.paper().nativeElement;
      paper.setAttribute('transform', transform.toString());
      paper.classList.toggle('moving', this.ties().length > TIES_WHILE_MOVED);
    })
    .on('end', ({ transform }: { readonly transform: ZoomTransform }) => {
      this.paper().nativeElement.classList.remove('moving');
      this.zoomed.set(transform);
    });

  constructor() {
    let attached = false;
    effect(() => {
      const { u, v } = this.frame();
      const svg = select(this.svg().nativeElement);
      if (!attached) {
        attached = true;
        svg.call(this.zoomer).on('dblclick.zoom', null);
        svg.on('click', (event: MouseEvent) => this.tap(event.target));
      }
      this.zoomer.extent([
        [u[0], v[0]],
        [u[1], v[1]],
      ]);
      svg.call(this.zoomer.transform, zoomIdentity);
    });
    inject(DestroyRef).onDestroy(() => select(this.svg().nativeElement).on('.zoom', null).on('click', null));
  }

  /** Where the picture ends; it stays where it is while only what is on it changes. */
  private readonly frame = computed(() => this.drawing().frame, { equal });

  protected enlarge(factor: number): void {
    select(this.svg().nativeElement).call(this.zoomer.scaleBy, factor);
  }

  protected fit(): void {
    select(this.svg().nativeElement).call(this.zoomer.transform, zoomIdentity);
  }

  protected key(event: KeyboardEvent): void {
    const step = 60 * this.pixel();
    const moves: Readonly<Record<string, () => void>> = {
      ArrowLeft: () => this.move(step, 0),
      ArrowRight: () => this.move(-step, 0),
      ArrowUp: () => this.move(0, step),
      ArrowDown: () => this.move(0, -step),
      '+': () => this.enlarge(1.3),
      '-': () => this.enlarge(1 / 1.3),
      '0': () => this.fit(),
    };
    const act = moves[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  }

  private move(x: number, y: number): void {
    select(this.svg().nativeElement).call(this.zoomer.translateBy, x, y);
  }

  private isFaint(ids: readonly string[]): boolean {
    const only = this.only();
    return only !== undefined && !ids.some((id) => only.has(id));
  }

  private isLit(connections: readonly Connection[]): boolean {
    const picked = this.picked();
    if (picked?.what === 'part') return connections.some(({ between }) => between.includes(picked.id));
    return picked !== undefined && connections.some(({ id }) => picked.ids.includes(id));
  }

  private tap(target: EventTarget | null): void {
    const hit = target instanceof Element ? target.closest('[data-mark], [data-bundle], [data-part]') : null;
    const mark = this.marks().find(({ key }) => key === hit?.getAttribute('data-mark'));
    const bundle = this.drawing().bundles.find(({ key }) => key === hit?.getAttribute('data-bundle'));
    const part = hit?.getAttribute('data-part');
    const bundles = mark?.bundles ?? (bundle && [bundle]);
    if (bundles)
      this.pick.emit({
        what: 'connections',
        ids: bundles.flatMap(({ connections }) => connections.map(({ id }) => id)),
      });
    else if (part && this.map().parts.some(({ id }) => id === part)) this.pick.emit({ what: 'part', id: part });
  }
}

function connectionWords(connections: readonly Connection[]): string {
  if (connections.length > NAMED_AT_ONCE) return `${connections.length} connections here`;
  return connections.map(({ name }) => name).join('; ');
}

/** Who is named first where there is no room for all: what was tapped, what leaves, what else comes off, the bay. */
function rank({ id, is }: Seen, lit: string | undefined): number {
  if (id === lit) return 0;
  return { powerpack: 1, part: 2, bay: 3 }[is];
}

function areaOf({ frame: { u, v } }: Seen): number {
  return (u[1] - u[0]) * (v[1] - v[0]);
}
