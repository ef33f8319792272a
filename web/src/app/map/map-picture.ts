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
  untracked,
  viewChild,
} from '@angular/core';
import { crossing, type Connection, type ConnectionMap, type PartId } from '@brisk/core/connection-map';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { KIND_WORDS } from '../words/trade-words';
import { drawMap, VIEWS, viewOf, type Bundle, type View } from './draw-map';
import { KIND_MARKS } from './kind-marks';

/** How a connection stands. */
export type Standing = 'closed' | 'open' | 'found' | 'left';

/** What somebody tapped on the picture. */
export type Picked =
  { readonly what: 'connections'; readonly ids: readonly string[] } | { readonly what: 'part'; readonly id: PartId };

const VIEW_WORDS: Readonly<Record<View, string>> = {
  above: 'From above',
  below: 'From below',
  inside: 'Inside',
};

/** How many bundles are drawn in one frame; a map that has more of them appears over a few frames. */
const AT_ONCE = 45;

/** The connection map drawn: parts in their places, connections by line and mark, the powerpack within its boundary. */
@Component({
  selector: 'bl-map-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './map-picture.html',
  styleUrl: './map-picture.scss',
})
export class MapPicture {
  readonly map = input.required<ConnectionMap>();
  readonly lump = input.required<ReadonlySet<PartId>>();
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
  protected readonly marks = KIND_MARKS;
  protected readonly drawing = computed(() => drawMap(this.map(), this.view(), this.lump()));

  private readonly upTo = signal(AT_ONCE);

  protected readonly counts = computed(() => {
    const counts: Record<View, number> = { above: 0, below: 0, inside: 0 };
    for (const connection of this.map().connections) counts[viewOf(connection)] += 1;
    return counts;
  });

  protected readonly lumpBoxes = computed(() => this.drawing().boxes.filter(({ part }) => this.lump().has(part.id)));
  private readonly boundary = computed(
    () => new Set(crossing(this.map().connections, this.lump()).map(({ id }) => id)),
  );

  protected readonly drawn = computed(() => {
    const standing = this.standing();
    const only = this.only();
    const boundary = this.boundary();
    const picked = this.picked();
    return this.drawing()
      .bundles.slice(0, this.upTo())
      .map((bundle) => {
        const ids = bundle.connections.map(({ id }) => id);
        const stands = new Set(ids.map((id) => standing.get(id) ?? 'closed'));
        return {
          ...bundle,
          mark: KIND_MARKS[bundle.kind],
          words: bundleWords(bundle),
          holds: ids.some((id) => boundary.has(id)),
          is: stands.has('left') ? 'left' : stands.has('found') ? 'found' : stands.has('closed') ? 'closed' : 'open',
          faint: only !== undefined && !ids.some((id) => only.has(id)),
          wrong: ids.some((id) => this.problemsAt().has(id)),
          lit:
            (picked?.what === 'connections' && ids.some((id) => picked.ids.includes(id))) ||
            (picked?.what === 'part' && bundle.connections.some(({ between }) => between.includes(picked.id))),
        };
      });
  });

  protected readonly kinds = computed(() => {
    const here = new Set(this.drawing().bundles.map(({ kind }) => kind));
    return (Object.keys(KIND_MARKS) as (keyof typeof KIND_MARKS)[])
      .filter((kind) => here.has(kind))
      .map((kind) => ({ kind, words: KIND_WORDS[kind], mark: KIND_MARKS[kind] }));
  });

  protected readonly description = computed(() => {
    const { boxes, bundles } = this.drawing();
    const shown = bundles.reduce((sum, { connections }) => sum + connections.length, 0);
    return `The machine ${VIEW_WORDS[this.view()].toLowerCase()}: ${boxes.length} parts and ${shown} connections. The list below says the same.`;
  });

  private readonly svg = viewChild.required<ElementRef<SVGSVGElement>>('svg');
  private readonly paper = viewChild.required<ElementRef<SVGGElement>>('paper');
  private readonly zoomer: ZoomBehavior<SVGSVGElement, unknown> = zoom<SVGSVGElement, unknown>()
    .scaleExtent([0.4, 5])
    .on('zoom', ({ transform }: { readonly transform: { toString(): string } }) => {
      this.paper().nativeElement.setAttribute('transform', transform.toString());
    });

  constructor() {
    let attached = false;
    effect(() => {
      const { width, height } = this.drawing();
      const svg = select(this.svg().nativeElement);
      if (!attached) {
        attached = true;
        svg.call(this.zoomer).on('dblclick.zoom', null);
        svg.on('click', (event: MouseEvent) => this.tap(event.target));
      }
      this.zoomer.extent([
        [0, 0],
        [width, height],
      ]);
      svg.call(this.zoomer.transform, zoomIdentity);
    });
    let frame = 0;
    effect(() => {
      const { bundles } = this.drawing();
      cancelAnimationFrame(frame);
      this.upTo.set(AT_ONCE);
      const drawMore = () => {
        if (untracked(this.upTo) >= bundles.length) return;
        frame = requestAnimationFrame(() => {
          this.upTo.update((before) => before + AT_ONCE);
          drawMore();
        });
      };
      drawMore();
    });
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(frame));
    inject(DestroyRef).onDestroy(() => select(this.svg().nativeElement).on('.zoom', null).on('click', null));
  }

  protected enlarge(factor: number): void {
    select(this.svg().nativeElement).call(this.zoomer.scaleBy, factor);
  }

  protected fit(): void {
    select(this.svg().nativeElement).call(this.zoomer.transform, zoomIdentity);
  }

  protected key(event: KeyboardEvent): void {
    const step = 60;
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

  private tap(target: EventTarget | null): void {
    const hit = target instanceof Element ? target.closest('[data-bundle], [data-part]') : null;
    const key = hit?.getAttribute('data-bundle');
    const part = hit?.getAttribute('data-part');
    const bundle = this.drawing().bundles.find((one) => one.key === key);
    if (bundle) this.pick.emit({ what: 'connections', ids: bundle.connections.map(({ id }) => id) });
    else if (part) this.pick.emit({ what: 'part', id: part });
  }
}

function bundleWords({ kind, connections, to }: Bundle): string {
  const [first] = connections as readonly [Connection, ...Connection[]];
  const what = connections.length === 1 ? first.name : `${connections.length} × ${KIND_WORDS[kind]}`;
  return to ? `${what}, to the ${to}` : what;
}
