import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { JointNow } from '@brisk/core/ledger';

/** The drawing is so wide at least, in its own millimetres of a bolt’s head. */
const HEAD_SHARE = 0.075;
const MARGIN = 1.9;

/** The holes of a joint, numbered in the order they are tightened; the next stands out, those that are through bear a dab. */
@Component({
  selector: 'bl-bolt-drawing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="drawn().box" role="group" aria-label="The bolts, by their number in the order">
      @for (bolt of drawn().bolts; track bolt.hole) {
        <g
          role="button"
          tabindex="0"
          [attr.aria-label]="bolt.label"
          [class.next]="bolt.next"
          [class.through]="bolt.through"
          [class.missed]="bolt.missed"
          (click)="touched.emit(bolt.hole)"
          (keydown.enter)="touched.emit(bolt.hole)"
          (keydown.space)="$event.preventDefault(); touched.emit(bolt.hole)"
        >
          <circle class="reach" [attr.cx]="bolt.x" [attr.cy]="bolt.y" [attr.r]="drawn().head * 1.7" />
          <circle class="head" [attr.cx]="bolt.x" [attr.cy]="bolt.y" [attr.r]="drawn().head * (bolt.next ? 1.35 : 1)" />
          @if (bolt.through) {
            <line
              class="dab"
              [attr.x1]="bolt.x"
              [attr.y1]="bolt.y - drawn().head * 0.7"
              [attr.x2]="bolt.x"
              [attr.y2]="bolt.y - drawn().head * 1.6"
              [attr.stroke-width]="drawn().head * 0.4"
            />
          }
          <text [attr.x]="bolt.x" [attr.y]="bolt.y" [attr.font-size]="drawn().head * (bolt.next ? 1.5 : 1.1)">
            {{ bolt.number }}
          </text>
        </g>
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-height: var(--drawn-high, 46vh);
      /* The ring of the keyboard reaches beyond the outermost bolts. */
      overflow: visible;
    }
    g {
      cursor: pointer;
    }
    .reach {
      fill: transparent;
    }
    .head {
      fill: var(--sheet);
      stroke: var(--ink);
      stroke-width: 0.6%;
    }
    text {
      font-family: var(--figures, monospace);
      font-weight: 700;
      text-anchor: middle;
      dominant-baseline: central;
      fill: var(--ink);
      pointer-events: none;
    }
    .through .head {
      fill: var(--sheet-sunk);
    }
    .dab {
      stroke: #c98b00;
      stroke-linecap: round;
    }
    .next .head {
      fill: var(--work);
      stroke: var(--work);
    }
    .next text {
      fill: var(--sheet);
    }
    .missed .head {
      fill: var(--marker);
      stroke: var(--marker);
    }
    .missed text {
      fill: var(--sheet);
    }
    g:focus-visible {
      outline: 3px solid var(--ink);
      outline-offset: 2px;
      border-radius: 50%;
    }
  `,
})
export class BoltDrawing {
  readonly joint = input.required<JointNow>();
  /** Holes that come next. */
  readonly next = input.required<readonly number[]>();
  readonly touched = output<number>();

  protected readonly drawn = computed(() => {
    const { pattern, order, done, stageAt, missed } = this.joint();
    const next = this.next();
    const long = Math.max(pattern.widthMm, pattern.heightMm, 1);
    const nearest = pattern.holes.flatMap((one, at) =>
      pattern.holes.slice(at + 1).map((other) => Math.hypot(one.xMm - other.xMm, one.yMm - other.yMm)),
    );
    // Heads never lie on each other, however near the holes are.
    const head = Math.min(HEAD_SHARE * long, 0.34 * Math.min(long, ...nearest.filter((mm) => mm > 0)));
    const edge = head * MARGIN;
    return {
      head,
      box: `${-edge} ${-edge} ${pattern.widthMm + 2 * edge} ${pattern.heightMm + 2 * edge}`,
      bolts: pattern.holes.map(({ xMm, yMm, note }, hole) => {
        const number = order.indexOf(hole) + 1;
        const isThrough = (done[hole] ?? 0) > stageAt && !missed.includes(hole);
        return {
          hole,
          number,
          x: xMm,
          y: yMm,
          next: next.includes(hole),
          missed: missed.includes(hole),
          through: isThrough,
          label: `Bolt ${number}${note ? `, ${note}` : ''}${next.includes(hole) ? ', next' : isThrough ? ', through' : ''}`,
        };
      }),
    };
  });
}
