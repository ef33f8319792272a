import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { beltTensionN } from '@brisk/core/adjusting';
import type { AdjustmentNow, AdjustmentTry } from '@brisk/core/ledger';

const WIDTH = 320;
const HEIGHT = 120;
const ROOM = 14;

/** The tries at one joint: which gears went in at which setting, or the reading by half turns with what is wanted. */
@Component({
  selector: 'bl-try-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (gears(); as table) {
      <table>
        <thead>
          <tr>
            <th scope="col" class="soft">Half turns</th>
            @for (gear of table.names; track gear) {
              <th scope="col" class="figure">{{ gear }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of table.rows; track $index) {
            <tr>
              <th scope="row" class="figure">{{ row.at }}</th>
              @for (cell of row.cells; track $index) {
                <td [class.off]="cell === '✗'">{{ cell }}</td>
              }
            </tr>
          }
        </tbody>
      </table>
    } @else if (drawn(); as drawn) {
      <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="drawn.words">
        <rect class="wanted" x="0" [attr.width]="width" [attr.y]="drawn.band.y" [attr.height]="drawn.band.height" />
        @if (drawn.line; as line) {
          <line class="fit" x1="0" [attr.y1]="line[0]" [attr.x2]="width" [attr.y2]="line[1]" />
        }
        @for (dot of drawn.dots; track $index) {
          <circle [attr.cx]="dot.x" [attr.cy]="dot.y" [attr.r]="$last ? 7 : 5" [class.last]="$last" />
          <text [attr.x]="dot.x" [attr.y]="dot.y - 10">{{ dot.words }}</text>
        }
      </svg>
    }
  `,
  styles: `
    table {
      border-collapse: collapse;
    }
    th,
    td {
      min-width: 2.5rem;
      border-bottom: 1px solid var(--line);
      padding: 0.1rem 0.4rem;
      text-align: center;
    }
    .off {
      color: var(--marker);
      font-weight: 700;
    }
    svg {
      display: block;
      width: 20rem;
      max-width: 100%;
      border: 1px solid var(--line);
      background: var(--paper);
    }
    .wanted {
      fill: var(--work-soft);
    }
    .fit {
      stroke: var(--ink-soft);
      stroke-dasharray: 4 4;
    }
    circle {
      fill: var(--sheet);
      stroke: var(--work);
      stroke-width: 2.5;
    }
    circle.last {
      fill: var(--work);
    }
    text {
      fill: var(--ink);
      font: 600 12px var(--figures);
      text-anchor: middle;
    }
  `,
})
export class TryChart {
  readonly now = input.required<AdjustmentNow>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  protected readonly gears = computed(() => {
    const { spec, tries } = this.now();
    if (spec.what !== 'gears') return undefined;
    const names = spec.gears ?? [];
    return {
      names,
      rows: tries.map(({ halfTurns, went = [], not = [] }) => ({
        at: signed(halfTurns),
        cells: names.map((gear) => (went.includes(gear) ? '✓' : not.includes(gear) ? '✗' : '·')),
      })),
    };
  });

  protected readonly drawn = computed(() => {
    const { tries, from, to, play } = this.now();
    const points = tries.flatMap((one) => {
      const reading = readingOf(one);
      return reading === undefined ? [] : [{ at: one.halfTurns, reading }];
    });
    const last = points.at(-1);
    if (!last) return undefined;
    const ats = [...points.map(({ at }) => at), ...(play?.goTo === undefined ? [] : [play.goTo])];
    const readings = [
      ...points.map(({ reading }) => reading),
      ...(from === undefined ? [] : [from]),
      ...(to === undefined ? [] : [to]),
    ];
    const x = scale(Math.min(...ats), Math.max(...ats), ROOM * 2, WIDTH - ROOM * 2);
    const y = scale(Math.max(...readings), Math.min(0, ...readings), ROOM * 2, HEIGHT - ROOM);
    const [top, bottom] = [y(to ?? Math.max(...readings)), y(from ?? 0)];
    const lineAt = (at: number) => y(last.reading + (play?.perHalfTurn ?? 0) * (at - last.at));
    const span = Math.max(...ats) - Math.min(...ats);
    return {
      band: { y: Math.min(top, bottom), height: from === undefined && to === undefined ? 0 : Math.abs(bottom - top) },
      ...(play?.perHalfTurn === undefined || span === 0
        ? {}
        : { line: [lineAt(Math.min(...ats)), lineAt(Math.max(...ats))] as const }),
      dots: points.map(({ at, reading }) => ({
        x: x(at),
        y: y(reading),
        words: `${signed(at)}: ${Number(reading.toFixed(1))}`,
      })),
      words: points.map(({ at, reading }) => `${signed(at)} half turns: ${reading.toFixed(1)}`).join('; '),
    };
  });
}

function readingOf({ readingMm, belt }: AdjustmentTry): number | undefined {
  return belt ? beltTensionN(belt) : readingMm;
}

const signed = (halfTurns: number) => `${halfTurns > 0 ? '+' : halfTurns < 0 ? '−' : ''}${Math.abs(halfTurns)}`;

/** From the values between `from` and `to` to places between `low` and `high`; the middle where there is but one value. */
function scale(from: number, to: number, low: number, high: number): (value: number) => number {
  return (value) => (from === to ? (low + high) / 2 : low + ((value - from) / (to - from)) * (high - low));
}
