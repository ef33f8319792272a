import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  inject,
  input,
  viewChild,
  type ElementRef,
} from '@angular/core';
import type { DaySpent } from '@brisk/core/parts';
import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js';
import { Night } from '../../session/night';
import { chartLook, coloursOn } from '../../ui/chart-look';
import { Written } from '../../ui/written';

Chart.register(CategoryScale, Legend, LinearScale, LineController, LineElement, PointElement, Tooltip);

/** From nought before the first day to what it stands at after the last: of one day, too, one sees how much it was. */
function fromNothing(days: readonly DaySpent[]): readonly DaySpent[] {
  const last = days.at(-1);
  return last ? [{ day: 'before', cents: 0 }, ...days, { ...last, day: 'now' }] : days;
}

/** What was spent in all, day by day, against what may be. */
@Component({
  selector: 'bl-money-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<canvas #canvas role="img" aria-label="What was spent by day; the list below says the same"></canvas>',
  styles: ':host { display: block; position: relative; height: 180px; }',
})
export class MoneyChart {
  readonly days = input.required<readonly DaySpent[]>();
  readonly budgetCents = input<number>();
  readonly currency = input.required<string>();
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly night = inject(Night);
  private readonly written = inject(Written);
  private chart: Chart | undefined;

  constructor() {
    afterRenderEffect((onCleanup) => {
      this.night.on();
      const days = fromNothing(this.days());
      const budget = this.budgetCents();
      const currency = this.currency();
      const element = this.canvas().nativeElement;
      const colour = coloursOn(element);
      this.chart = new Chart(element, {
        type: 'line',
        data: {
          labels: days.map(({ day }) => (/\d/.test(day) ? this.written.shortDay(day) : day)),
          datasets: [
            {
              label: 'Spent on parts and costs',
              data: days.map(({ cents }) => cents / 100),
              borderColor: colour('--work'),
              backgroundColor: colour('--work'),
              stepped: true,
              borderWidth: 3,
            },
            ...(budget === undefined
              ? []
              : [
                  {
                    label: 'Limit',
                    data: days.map(() => budget / 100),
                    borderColor: colour('--marker'),
                    borderDash: [6, 4],
                    borderWidth: 2,
                    pointRadius: 0,
                  },
                ]),
          ],
        },
        options: chartLook(colour, currency, { beginAtZero: true }),
      });
      onCleanup(() => this.chart?.destroy());
    });
  }
}
