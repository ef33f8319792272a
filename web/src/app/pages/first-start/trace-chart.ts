import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  inject,
  input,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { CHANNELS, lowestCrankingV, type KeptTrace } from '@brisk/core/instrument';
import { Chart, Decimation, Legend, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import { Night } from '../../session/night';
import { coloursOn } from '../../ui/chart-look';
import { traceLook } from './trace-look';

Chart.register(Decimation, Legend, LinearScale, LineController, LineElement, PointElement);

/** A trace with what it is called. */
export interface NamedTrace {
  readonly name: string;
  readonly trace: KeptTrace;
}
/** What of a trace may be laid over others. */
export type Traced = 'volts' | 'amps' | 'rpm';

const COLOURS = ['--work', '--ink', '--ink-soft', '--line'] as const;
const DASHES: readonly number[][] = [[], [8, 4], [3, 3], [12, 3, 3, 3]];
/** The starter turns from this current on; traces are laid over each other from there. */
const TURNS_A = 40;

/** Traces of several bursts over each other, each from its first turn, with the volts a burst stops at. */
@Component({
  selector: 'bl-trace-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template:
    '<canvas #canvas role="img" aria-label="Traces of the tries over each other, from the first turn"></canvas>',
  styles: ':host { display: block; position: relative; height: 220px; }',
})
export class TraceChart {
  readonly traces = input.required<readonly NamedTrace[]>();
  readonly figure = input.required<Traced>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly night = inject(Night);

  constructor() {
    afterRenderEffect((onCleanup) => {
      this.night.on();
      const element = this.canvas().nativeElement;
      const colour = coloursOn(element);
      const figure = this.figure();
      const unit = CHANNELS.find(({ id }) => id === figure)?.unit ?? '';
      const lines = this.traces().map(({ name, trace }, at) => ({
        label: name,
        data: pointsOf(trace, figure),
        borderColor: colour(COLOURS[at % COLOURS.length] ?? '--ink'),
        borderDash: DASHES[at % DASHES.length] ?? [],
      }));
      const ends = lines.flatMap(({ data }) => [data[0]?.x ?? 0, data.at(-1)?.x ?? 0]);
      const stopV = lowestCrankingV(this.traces()[0]?.trace.volts[0] ?? 0);
      const look = traceLook(colour, 'rpm');
      const chart = new Chart(element, {
        type: 'line',
        data: {
          datasets: [
            ...lines,
            ...(figure === 'volts'
              ? [
                  {
                    label: 'A burst stops here',
                    data: [Math.min(...ends), Math.max(...ends)].map((x) => ({ x, y: stopV })),
                    borderColor: colour('--marker'),
                    borderDash: [8, 6],
                  },
                ]
              : []),
          ],
        },
        options: {
          ...look,
          scales: {
            ...(look.scales?.['x'] ? { x: look.scales['x'] } : {}),
            y: {
              ...(figure === 'volts' ? { suggestedMin: 7, suggestedMax: 15 } : { beginAtZero: true }),
              ticks: { color: colour('--ink'), callback: (value) => `${value} ${unit}` },
              grid: { color: colour('--line') },
            },
          },
        },
      });
      onCleanup(() => chart.destroy());
    });
  }
}

function pointsOf({ everyMs, ...figures }: KeptTrace, figure: Traced): { readonly x: number; readonly y: number }[] {
  const first = Math.max(
    0,
    figures.amps.findIndex((amps) => amps >= TURNS_A),
  );
  return figures[figure].map((y, at) => ({ x: ((at - first) * everyMs) / 1_000, y }));
}
