import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  inject,
  input,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { LOWEST_CRANKING_V, LOWEST_REST_V, type StartAttempt } from '@brisk/core/first-start';
import {
  Chart,
  BarController,
  BarElement,
  CategoryScale,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Night } from '../../session/night';
import { chartLook, coloursOn } from '../../ui/chart-look';

Chart.register(
  BarController,
  BarElement,
  CategoryScale,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
);

Chart.defaults.font.family = 'Barlow';
Chart.defaults.font.size = 14;

/** Battery volts of each attempt, before and at the lowest, against the limits under which nobody cranks on. */
@Component({
  selector: 'bl-volts-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template:
    '<canvas #canvas role="img" aria-label="Battery volts of each attempt; the list below says the same"></canvas>',
  styles: ':host { display: block; position: relative; height: 220px; }',
})
export class VoltsChart {
  readonly attempts = input.required<readonly StartAttempt[]>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly night = inject(Night);
  private chart: Chart | undefined;

  constructor() {
    afterRenderEffect((onCleanup) => {
      this.night.on();
      const attempts = this.attempts();
      const element = this.canvas().nativeElement;
      const colour = coloursOn(element);
      const limit = (label: string, volts: number, dash: number[]) => ({
        type: 'line' as const,
        label,
        data: attempts.map(() => volts),
        borderColor: colour('--marker'),
        borderDash: dash,
        borderWidth: 2,
        pointRadius: attempts.length === 1 ? 4 : 0,
      });
      this.chart = new Chart(element, {
        data: {
          labels: attempts.map((_, index) => `Try ${index + 1}`),
          datasets: [
            {
              type: 'bar',
              label: 'At rest',
              data: attempts.map(({ voltsBefore }) => voltsBefore),
              backgroundColor: colour('--work'),
            },
            {
              type: 'bar',
              label: 'Lowest',
              data: attempts.map(({ voltsLowest }) => voltsLowest),
              backgroundColor: colour('--ink-soft'),
            },
            limit(`Rest limit ${LOWEST_REST_V} V`, LOWEST_REST_V, [6, 4]),
            limit(`Cranking limit ${LOWEST_CRANKING_V} V`, LOWEST_CRANKING_V, [2, 3]),
          ],
        },
        options: chartLook(colour, 'V', { min: 7, suggestedMax: 13 }),
      });
      onCleanup(() => this.chart?.destroy());
    });
  }
}
