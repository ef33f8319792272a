import { CHANNELS, type ChannelId } from '@brisk/core/instrument';
import type { ChartOptions } from 'chart.js';

/** What may stand beside the volts, each on its own scale. */
export const BESIDE = CHANNELS.filter(({ id }) => id !== 'volts');

/** How far each scale goes at least, so that noise does not fill it. */
const AT_LEAST: Readonly<Record<ChannelId, readonly [least: number, most: number]>> = {
  volts: [7, 15],
  amps: [0, 400],
  rpm: [0, 1_500],
  oilBar: [0, 5],
  coolantC: [0, 120],
  fuelBar: [0, 6],
  manifoldBar: [-1, 0.5],
};

/** How a trace looks: seconds across, volts on the left, on the right what stands beside them. */
export function traceLook(colour: (name: string) => string, beside: ChannelId): ChartOptions<'line'> {
  const ticks = { color: colour('--ink') };
  const scale = (id: ChannelId) => {
    const [suggestedMin, suggestedMax] = AT_LEAST[id];
    return { suggestedMin, suggestedMax };
  };
  const unit = BESIDE.find(({ id }) => id === beside)?.unit ?? '';
  return {
    animation: false,
    parsing: false,
    normalized: true,
    maintainAspectRatio: false,
    color: ticks.color,
    elements: { point: { radius: 0 }, line: { borderWidth: 2.5, tension: 0 } },
    scales: {
      x: {
        type: 'linear',
        ticks: { ...ticks, maxRotation: 0, maxTicksLimit: 8, callback: (value) => `${value} s` },
        grid: { color: colour('--line') },
      },
      y: {
        ...scale('volts'),
        ticks: { ...ticks, maxTicksLimit: 6, callback: (value) => `${value} V` },
        grid: { color: colour('--line') },
      },
      beside: {
        ...scale(beside),
        position: 'right',
        ticks: { ...ticks, maxTicksLimit: 6, callback: (value) => `${value} ${unit}` },
        grid: { display: false },
      },
    },
    plugins: {
      legend: { labels: { ...ticks, boxWidth: 18 } },
      tooltip: { enabled: false },
      // A pixel shows one point: of more, the lowest and the highest stay.
      decimation: { enabled: true, algorithm: 'min-max', threshold: 600 },
    },
  };
}
