import type { ChartOptions } from 'chart.js';

/** The page’s own colours, by the name of their property, as `element` has them now. */
export function coloursOn(element: Element): (name: string) => string {
  return (name) => getComputedStyle(element).getPropertyValue(name).trim();
}

/** How every chart looks: no motion, ink for words, lines across only. `y`: its scale, in `unit`. */
export function chartLook(
  colour: (name: string) => string,
  unit: string,
  y: { readonly beginAtZero?: boolean; readonly min?: number; readonly suggestedMax?: number },
): ChartOptions<'bar' | 'line'> {
  const ticks = { color: colour('--ink') };
  return {
    animation: false,
    maintainAspectRatio: false,
    color: ticks.color,
    scales: {
      y: { ...y, ticks: { ...ticks, callback: (value) => `${value} ${unit}` }, grid: { color: colour('--line') } },
      x: { ticks, grid: { display: false } },
    },
    plugins: { legend: { labels: { ...ticks, boxWidth: 18 } } },
  };
}
