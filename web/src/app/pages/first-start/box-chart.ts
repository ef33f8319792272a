import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  inject,
  input,
  untracked,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { CHANNELS, lowestCrankingV, type BoxReading, type ChannelId } from '@brisk/core/instrument';
import { Chart, Decimation, Legend, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { Night } from '../../session/night';
import { coloursOn } from '../../ui/chart-look';
import { traceLook } from './trace-look';

Chart.register(Decimation, Legend, LinearScale, LineController, LineElement, PointElement);

/** A point of a line: seconds, and what was read. */
interface XY {
  readonly x: number;
  readonly y: number;
}

/** The first point may be a reading or two later than the oldest there is. */
const LATE_MS = 200;

/**
 * What a bench box reads, live: volts with the limit of a burst, and one figure beside them. Points are added as they come, and
 * drawn at most once a frame.
 */
@Component({
  selector: 'bl-box-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template:
    '<canvas #canvas role="img" [attr.aria-label]="\'Trace of volts and of what stands beside them\'"></canvas>',
  styles: ':host { display: block; position: relative; height: 240px; contain: strict; }',
})
export class BoxChart {
  readonly readings = input.required<readonly BoxReading[]>();
  readonly beside = input.required<ChannelId>();
  /** How many of the last seconds are shown. */
  readonly seconds = input.required<number>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly night = inject(Night);
  private chart: Chart<'line', XY[]> | undefined;
  private frame: number | undefined;
  private drawnToMs = -1;
  /** All points of volts and of what stands beside them: what the chart has is thinned for its pixels. */
  private lines: readonly [XY[], XY[]] = [[], []];

  constructor() {
    afterRenderEffect((onCleanup) => {
      this.night.on();
      this.begin(this.beside());
      onCleanup(() => this.chart?.destroy());
    });
    effect(() => {
      this.readings();
      this.seconds();
      untracked(() => this.drawSoon());
    });
    inject(DestroyRef).onDestroy(() => {
      if (this.frame !== undefined) cancelAnimationFrame(this.frame);
    });
  }

  private begin(beside: ChannelId): void {
    this.lines = [[], []];
    const element = this.canvas().nativeElement;
    const colour = coloursOn(element);
    const name = CHANNELS.find(({ id }) => id === beside)?.name ?? '';
    this.chart = new Chart(element, {
      type: 'line',
      data: {
        datasets: [
          { label: 'Volts at the battery', data: this.lines[0], borderColor: colour('--work') },
          {
            label: name,
            data: this.lines[1],
            yAxisID: 'beside',
            borderColor: colour('--ink-soft'),
            borderWidth: 1.5,
          },
          { label: 'A burst stops here', data: [], borderColor: colour('--marker'), borderDash: [8, 6] },
        ],
      },
      options: traceLook(colour, beside),
    });
    this.drawnToMs = -1;
    this.drawSoon();
  }

  private drawSoon(): void {
    this.frame ??= requestAnimationFrame(() => {
      this.frame = undefined;
      this.draw();
    });
  }

  private draw(): void {
    const chart = this.chart;
    const limit = chart?.data.datasets[2];
    const readings = untracked(this.readings);
    const last = readings.at(-1);
    // A browser that gives no canvas has figures and words all the same.
    if (!chart?.ctx || !limit || !last) return;
    const fromMs = last.atMs - untracked(this.seconds) * 1_000;
    const [volts, beside] = this.lines;
    // Only what is new is added, and what has left the picture taken away; a longer picture, or a box set back, begins anew.
    const oldestMs = Math.max(readings[0]?.atMs ?? 0, fromMs);
    if (last.atMs < this.drawnToMs || (volts[0]?.x ?? Infinity) * 1_000 > oldestMs + LATE_MS) {
      volts.length = 0;
      beside.length = 0;
      this.drawnToMs = -1;
    }
    const channel = untracked(this.beside);
    const begin = readings.findLastIndex(({ atMs }) => atMs <= Math.max(this.drawnToMs, fromMs)) + 1;
    for (const reading of readings.slice(begin)) {
      const x = reading.atMs / 1_000;
      volts.push({ x, y: reading.volts });
      const figure = reading[channel];
      if (figure !== undefined) beside.push({ x, y: figure });
    }
    this.drawnToMs = last.atMs;
    for (const line of this.lines) {
      const gone = line.findIndex(({ x }) => x * 1_000 > fromMs);
      if (gone > 0) line.splice(0, gone);
    }
    const [least, most] = [Math.max(0, fromMs / 1_000), last.atMs / 1_000];
    const stopV = lowestCrankingV(readings[0]?.volts ?? 0);
    limit.data = [
      { x: least, y: stopV },
      { x: most, y: stopV },
    ];
    const across = chart.options.scales?.['x'];
    if (across) Object.assign(across, { min: least, max: Math.max(most, least + 1) });
    chart.update('none');
  }
}
