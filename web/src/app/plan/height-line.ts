import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Setup } from '@brisk/core/schedule';
import { STATION_WORDS, duration } from '@brisk/core/words';

const WIDTH = 720;
const UP = 20;
const DOWN = 56;

/** The work ahead as time from left to right, with the machine's height as a line under it. */
@Component({
  selector: 'bl-height-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './height-line.html',
  styleUrl: './height-line.scss',
})
export class HeightLine {
  readonly setups = input.required<readonly Setup[]>();

  protected readonly drawn = computed(() => {
    const setups = this.setups();
    const total = Math.max(
      1,
      setups.reduce((sum, { minutes }) => sum + minutes.likely, 0),
    );
    let reached = 0;
    return setups.map((setup) => {
      const x = (reached / total) * WIDTH;
      reached += setup.minutes.likely;
      const width = (setup.minutes.likely / total) * WIDTH;
      return {
        x,
        width,
        y: setup.height === 'raised' ? UP : DOWN,
        words: `${STATION_WORDS[setup.station]}, ${duration(setup.minutes.likely)}`,
        label: width > 84 ? STATION_WORDS[setup.station] : '',
        hold: setup.operations.some(({ kind }) => kind === 'hold-point'),
      };
    });
  });

  protected readonly path = computed(() =>
    this.drawn()
      .map(({ x, width, y }, index) => `${index === 0 ? 'M' : 'L'}${x} ${y} H${x + width}`)
      .join(' '),
  );

  protected readonly description = computed(() => {
    const moves = this.setups().filter(({ moveMachine }) => moveMachine).length;
    return `${this.setups().length} setups, the machine moved up or down ${moves} times.`;
  });
}
