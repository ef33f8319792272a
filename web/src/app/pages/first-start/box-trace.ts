import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { LOWEST_CRANKING_V } from '@brisk/core/first-start';
import type { BoxReading } from '@brisk/core/instrument';

const WIDTH = 600;
const HEIGHT = 160;
/** What the trace shows: so many seconds, up to so many volts and revolutions. */
const SHOWN_MS = 30_000;
const MOST_RPM = 1_500;
/** Points of a line: more than one a pixel tells nobody anything. */
const MOST_POINTS = 300;

/** The last half minute of a bench box: volts and revolutions, with the volts a burst stops at. */
@Component({
  selector: 'bl-box-trace',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + height"
      role="img"
      [attr.aria-label]="words()"
      preserveAspectRatio="none"
    >
      <line class="limit" x1="0" [attr.y1]="limitY()" [attr.x2]="width" [attr.y2]="limitY()" />
      <polyline class="rpm" [attr.points]="rpm()" />
      <polyline class="volts" [attr.points]="volts()" />
    </svg>
    <p class="soft">
      <span class="volts-key">—</span> volts <span class="rpm-key">···</span> revolutions, half a minute; the dashed
      line is where a burst stops
    </p>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      height: 10rem;
      border: 1px solid var(--line);
      background: var(--paper);
    }
    polyline {
      fill: none;
      stroke-width: 2.5;
      vector-effect: non-scaling-stroke;
    }
    .volts {
      stroke: var(--work);
    }
    .rpm {
      stroke: var(--ink-soft);
      stroke-dasharray: 2 4;
    }
    .limit {
      stroke: var(--marker);
      stroke-dasharray: 8 6;
      stroke-width: 2;
      vector-effect: non-scaling-stroke;
    }
    p {
      margin: 0;
    }
    .volts-key {
      color: var(--work);
      font-weight: 700;
    }
  `,
})
export class BoxTrace {
  readonly readings = input.required<readonly BoxReading[]>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  private readonly shown = computed(() => {
    const readings = this.readings();
    const untilMs = readings.at(-1)?.atMs ?? 0;
    const some = readings.filter(({ atMs }) => atMs > untilMs - SHOWN_MS);
    const each = Math.max(1, Math.ceil(some.length / MOST_POINTS));
    return some
      .filter((_, at) => at % each === 0 || at === some.length - 1)
      .map((reading) => ({ ...reading, x: WIDTH - ((untilMs - reading.atMs) / SHOWN_MS) * WIDTH }));
  });
  /** Twelve volts or twenty-four, by what was read. */
  private readonly mostV = computed(() => (Math.max(0, ...this.readings().map(({ volts }) => volts)) > 18 ? 30 : 15));
  private readonly yOfV = (volts: number) => HEIGHT - (volts / this.mostV()) * HEIGHT;
  protected readonly limitY = computed(() => this.yOfV(LOWEST_CRANKING_V * (this.mostV() / 15)));
  protected readonly volts = computed(() =>
    this.shown()
      .map(({ x, volts }) => `${x.toFixed(1)},${this.yOfV(volts).toFixed(1)}`)
      .join(' '),
  );
  protected readonly rpm = computed(() =>
    this.shown()
      .map(({ x, rpm }) => `${x.toFixed(1)},${(HEIGHT - (Math.min(rpm, MOST_RPM) / MOST_RPM) * HEIGHT).toFixed(1)}`)
      .join(' '),
  );
  protected readonly words = computed(() => {
    const volts = this.shown().map((reading) => reading.volts);
    return volts.length === 0 ? 'Nothing read yet' : `Volts from ${Math.min(...volts)} to ${Math.max(...volts)}`;
  });
}
