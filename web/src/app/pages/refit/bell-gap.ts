import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { barAboveCentreMm, bellFaceMm, judgeBellGap, type BellGaps } from '@brisk/core/lift';
import { levellerFor, RiggingError } from '@brisk/core/rigging';
import { several, figureIn } from '@brisk/core/words';
import { EntryField } from '../../ui/entry-field';
import { LiftInMeasure } from '../lift/lift-in-measure';

const PLACES: readonly { readonly place: keyof BellGaps; readonly words: string }[] = [
  { place: 'topMm', words: 'Top, mm' },
  { place: 'bottomMm', words: 'Bottom, mm' },
  { place: 'leftMm', words: 'Left, mm' },
  { place: 'rightMm', words: 'Right, mm' },
];
/** Less than this is not worth a turn, in degrees. */
const LEAST_DEG = 0.1;

/** The gap all round between bell and block, before engine and gearbox are brought together: what is out of line. */
@Component({
  selector: 'bl-bell-gap',
  imports: [EntryField, MatExpansionModule],
  providers: [LiftInMeasure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bell-gap.html',
  styleUrl: './bell-gap.scss',
})
export class BellGap {
  private readonly inMeasure = inject(LiftInMeasure);
  protected readonly places = PLACES;
  private readonly typed = signal<Partial<BellGaps>>({});
  /** The leg on which something is brought back onto its shaft. */
  private readonly leg = computed(() =>
    this.inMeasure.legs().find(({ drawnOff }) => drawnOff.xMm !== 0 || drawnOff.yMm !== 0),
  );
  protected readonly joins = computed(() => this.leg() !== undefined);

  protected readonly judged = computed(() => {
    const lift = this.inMeasure.shaped()?.lift;
    const leg = this.leg();
    const gaps = this.typed();
    if (!lift || !leg || !isWhole(gaps)) return undefined;
    try {
      const leveller = levellerFor(lift.gear, leg.massKg);
      const { is, raiseDeg, swingDeg, turns } = judgeBellGap(
        gaps,
        bellFaceMm(lift.shape),
        leveller,
        barAboveCentreMm(leg),
      );
      const hangs = leg.leg.by === 'hoist';
      const turned = hangs && Math.round(turns) > 0 ? `, ${several(Math.round(turns), 'turn')} of the leveller` : '';
      return {
        is,
        raise:
          Math.abs(raiseDeg) < LEAST_DEG
            ? ''
            : `Far end ${raiseDeg > 0 ? 'up' : 'down'} ${Math.abs(raiseDeg).toFixed(1)}°${turned}`,
        swing:
          Math.abs(swingDeg) < LEAST_DEG
            ? ''
            : `Far end to the ${swingDeg > 0 ? 'left' : 'right'} ${Math.abs(swingDeg).toFixed(1)}°`,
      };
    } catch (error) {
      if (error instanceof RiggingError) return error.message;
      throw error;
    }
  });
  protected readonly wrong = computed(() => {
    const judged = this.judged();
    return typeof judged === 'string' ? judged : '';
  });
  protected readonly said = computed(() => {
    const judged = this.judged();
    return typeof judged === 'string' ? undefined : judged;
  });

  protected type(place: keyof BellGaps, words: string): void {
    const mm = figureIn(words);
    this.typed.update(({ [place]: _before, ...others }) => (mm === undefined ? others : { ...others, [place]: mm }));
  }
}

function isWhole(gaps: Partial<BellGaps>): gaps is BellGaps {
  return PLACES.every(({ place }) => gaps[place] !== undefined);
}
