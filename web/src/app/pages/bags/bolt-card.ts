import equal from 'fast-deep-equal';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Connection, FastenerSet } from '@brisk/core/connection-map';
import {
  commonestSet,
  drawnSize,
  PATTERN_SHAPES,
  positionsOf,
  readFastener,
  usualPattern,
  type BoltPattern,
  type HolePlace,
  type PatternShape,
} from '@brisk/core/fasteners';
import { PickOne } from '../../ui/pick-one';
import { EntryField } from '../../ui/entry-field';
import { choicesOf } from '../../ui/choice';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { SHAPE_WORDS } from '../../words/trade-words';

const MARGIN_MM = 18;
const STEP_MM = 2;

/** The holes of a joint, drawn; each can be dragged or moved by key to where it is, and told what is odd about it. */
@Component({
  selector: 'bl-bolt-card',
  imports: [EntryField, MatButton, PickOne],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bolt-card.html',
  styleUrl: './bolt-card.scss',
})
export class BoltCard {
  readonly connection = input.required<Connection>();
  readonly sets = input.required<readonly FastenerSet[]>();
  private readonly desk = inject(Desk);
  private readonly recorder = inject(Recorder);
  private readonly drawing = viewChild.required<ElementRef<SVGSVGElement>>('drawing');
  protected readonly shapes = choicesOf(SHAPE_WORDS, PATTERN_SHAPES);
  protected readonly setChoices = computed(() => this.sets().map(({ what }, value) => ({ value, words: what })));

  /** The card in the ledger; other entries that come in do not disturb what somebody is drawing. */
  private readonly kept = computed(() => this.desk.state()?.patterns.get(this.connection().id), {
    equal,
  });
  private readonly toBegin = computed(() => this.fitting(this.kept()) ?? usualPattern(this.connection(), this.sets()), {
    equal,
  });
  protected readonly pattern = linkedSignal<BoltPattern>(() => this.toBegin());
  protected readonly changed = computed(
    () => !equal(this.pattern(), this.fitting(this.kept())) && (this.kept() !== undefined || this.touched()),
  );
  private readonly touched = signal(false);
  protected readonly picked = signal<number | undefined>(undefined);
  protected readonly address = computed(
    () => `/api/jobs/${this.desk.job()?.id}/bolt-cards/${encodeURIComponent(this.connection().id)}`,
  );

  /** A kept pattern, as far as its holes are still those of the joint. */
  private fitting(pattern: BoltPattern | undefined): BoltPattern | undefined {
    return pattern?.holes.every(({ set }) => this.sets()[set] !== undefined) ? pattern : undefined;
  }

  protected readonly box = computed(() => {
    const { widthMm, heightMm } = this.pattern();
    return `${-MARGIN_MM} ${-MARGIN_MM} ${widthMm + 2 * MARGIN_MM} ${heightMm + 2 * MARGIN_MM}`;
  });

  /** Letters are drawn so large, in millimetres, that they are read whatever the size of the card. */
  protected readonly letterMm = computed(() => {
    const { widthMm, heightMm } = this.pattern();
    return Math.max(4, (Math.max(widthMm, heightMm) + 2 * MARGIN_MM) / 26);
  });

  protected readonly holes = computed(() => {
    const pattern = this.pattern();
    const commonest = commonestSet(pattern);
    return pattern.holes.map((hole, index) => {
      const spec = readFastener(this.sets()[hole.set]?.what ?? '');
      const { shankMm, headAcrossMm } = drawnSize(spec);
      const odd =
        hole.set === commonest
          ? undefined
          : spec.lengthMm === undefined
            ? this.sets()[hole.set]?.what
            : `${spec.lengthMm}`;
      return {
        ...hole,
        number: index + 1,
        shankMm,
        headMm: headAcrossMm,
        odd: hole.set !== commonest || hole.note !== undefined,
        words: [odd, hole.note].filter((word) => word !== undefined).join(', '),
      };
    });
  });

  protected reshape(shape: PatternShape, widthMm: number, heightMm: number): void {
    if (!(widthMm > 0 && widthMm <= 2_000 && heightMm >= 0 && heightMm <= 2_000)) return;
    this.touched.set(true);
    this.pattern.set(positionsOf(shape, this.sets(), widthMm, heightMm));
  }

  protected drag(event: PointerEvent, index: number): void {
    if (event.target instanceof Element) event.target.setPointerCapture(event.pointerId);
    this.picked.set(index);
  }

  protected moveTo(event: PointerEvent, index: number): void {
    if (!(event.target instanceof Element) || !event.target.hasPointerCapture(event.pointerId)) return;
    const drawing = this.drawing().nativeElement;
    const screen = drawing.getScreenCTM();
    if (!screen) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(screen.inverse());
    this.place(index, x, y);
  }

  protected nudge(event: KeyboardEvent, index: number): void {
    const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [
      0, 0,
    ];
    if (!dx && !dy) return;
    event.preventDefault();
    const hole = this.pattern().holes[index];
    if (hole) this.place(index, hole.xMm + (dx ?? 0) * STEP_MM, hole.yMm + (dy ?? 0) * STEP_MM);
  }

  private place(index: number, xMm: number, yMm: number): void {
    const { widthMm, heightMm } = this.pattern();
    this.change(index, {
      xMm: Math.round(Math.min(widthMm, Math.max(0, xMm))),
      yMm: Math.round(Math.min(heightMm, Math.max(0, yMm))),
    });
  }

  protected change(index: number, change: Partial<HolePlace>): void {
    this.touched.set(true);
    this.pattern.update((before) => ({
      ...before,
      shape: change.xMm === undefined ? before.shape : 'free',
      holes: before.holes.map((hole, at) => (at === index ? { ...hole, ...change } : hole)),
    }));
  }

  protected noteIn(typed: string, index: number): void {
    const words = typed.trim().slice(0, 120);
    const { note: _before, ...hole } = this.pattern().holes[index] ?? { xMm: 0, yMm: 0, set: 0 };
    const fresh: HolePlace = words === '' ? hole : { ...hole, note: words };
    this.touched.set(true);
    this.pattern.update((before) => ({
      ...before,
      holes: before.holes.map((one, at) => (at === index ? fresh : one)),
    }));
  }

  protected keep(): void {
    const recorded = this.recorder.record('Bolt card kept', {
      kind: 'pattern-drawn',
      connection: this.connection().id,
      pattern: this.pattern(),
    });
    if (recorded) this.touched.set(false);
  }
}
