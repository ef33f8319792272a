import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, viewChild } from '@angular/core';
import { drawBay, viewOf, type View } from '@brisk/core/bay';
import { lumpOfPlan, type Connection, type Station } from '@brisk/core/connection-map';
import { shapeToDraw } from '@brisk/core/layouts/shapes';
import { isAway, partsOut, type JobState } from '@brisk/core/ledger';
import { STATION_WORDS } from '@brisk/core/words';
import equal from 'fast-deep-equal/es6';
import { BayParts } from './bay-parts';
import { mmAPixel, viewBoxOf } from './frame-size';
import { marksAtSize } from './marks-at-size';
import { aroundMark, namesAtSize } from './names-at-size';
import { hosePath } from './paths';
import { shownSize } from './shown-size';

const APART_PX = 26;
const MARK_PX = 14;
const NAMED_FROM_PX = 44;

const SEEN_WORDS: Readonly<Record<View, string>> = {
  above: 'from above',
  left: 'from the left',
  right: 'from the right',
  below: 'from below',
  inside: 'from above, inside',
};

/** The bay in true measure as one sees it who stands at the step in hand, with what is opened there marked. */
@Component({
  selector: 'bl-bay-here',
  imports: [BayParts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bay-here.html',
  styleUrl: './bay-here.scss',
})
export class BayHere {
  readonly state = input.required<JobState>();
  readonly connections = input.required<readonly Connection[]>();
  /** Where one stands; absent: the whole bay from above. */
  readonly station = input<Station>();

  private readonly of = computed(
    () => ({ map: this.state().work.plan.map, measured: Object.fromEntries(this.state().measured) }),
    { equal },
  );
  private readonly shape = computed(() => shapeToDraw(this.of().map, this.of().measured));
  private readonly view = computed<View>(() => {
    const station = this.station();
    return station ? viewOf({ station }) : 'above';
  });
  /** What is drawn; it stays the same while others go on recording. */
  private readonly seen = computed(
    () => {
      const state = this.state();
      const lump = lumpOfPlan(state.work.plan);
      const off = partsOut(state);
      const connections = this.connections();
      // What is out stands on its stand and not in the bay; at the bench it is what one looks at, and the bay is not there.
      if (!isAway(state)) return { lump, off, connections };
      if (this.station() !== 'bench') return { lump, off: new Set([...off, ...lump]), connections };
      return { lump, off, connections, only: new Set([...lump, ...connections.flatMap(({ between }) => between)]) };
    },
    { equal },
  );
  protected readonly drawing = computed(() =>
    drawBay(this.of().map, this.shape(), {
      view: this.view(),
      ...this.seen(),
      near: this.station() !== undefined,
    }),
  );
  protected readonly viewBox = computed(() => viewBoxOf(this.drawing().frame));

  private readonly picture = viewChild.required<ElementRef<SVGSVGElement>>('picture');
  private readonly shown = shownSize(this.picture);
  protected readonly pixel = computed(() => mmAPixel(this.drawing().frame, this.shown()));

  protected readonly marks = computed(() =>
    marksAtSize(this.drawing().bundles, APART_PX * this.pixel()).map(({ key, at, bundles }) => ({
      key,
      at,
      count: bundles.reduce((sum, { connections }) => sum + connections.length, 0),
    })),
  );
  protected readonly ways = computed(() =>
    this.drawing().bundles.flatMap(({ key, way }) => (way ? [{ key, path: hosePath(way) }] : [])),
  );
  protected readonly names = computed(() => {
    const { seen, frame } = this.drawing();
    const pixelMm = this.pixel();
    const joined = new Set(this.connections().flatMap(({ between }) => between));
    const wanted = seen
      .filter(
        ({ id, is, rimOnly, frame: { u } }) =>
          joined.has(id) || (is !== 'bay' && !rimOnly && u[1] - u[0] > NAMED_FROM_PX * pixelMm),
      )
      .sort((one, other) => Number(joined.has(other.id)) - Number(joined.has(one.id)));
    const taken = this.marks().map(({ at }) => aroundMark(at, MARK_PX * pixelMm));
    return namesAtSize(wanted, { pixelMm, window: frame, taken }).map((label) => ({
      ...label,
      joined: joined.has(label.id),
    }));
  });

  protected readonly caption = computed(() => {
    const station = this.station();
    const seen = SEEN_WORDS[this.view()];
    const end = this.view() === 'right' ? 'nose to the right' : 'nose to the left';
    return station ? `${STATION_WORDS[station]}, seen ${seen}, ${end}` : `seen ${seen}, ${end}`;
  });
  protected readonly description = computed(() => {
    const names = this.connections().map(({ name }) => name);
    const marked = names.length > 6 ? `${names.length} connections` : names.join(', ');
    return `The bay, ${this.caption()}. Marked: ${marked || 'nothing'}.`;
  });
}
