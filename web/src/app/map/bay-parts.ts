import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Seen } from '@brisk/core/bay';
import { outlinePath } from './paths';

/** The parts and the bay of one view, within an SVG in mm. */
@Component({
  // A group within a picture that is somebody else’s.
  // eslint-disable-next-line @angular-eslint/component-selector
  selector: 'svg:g[blBayParts]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bay-parts.svg',
  styleUrl: './bay-parts.scss',
})
export class BayParts {
  readonly seen = input.required<readonly Seen[]>();
  /** The part somebody picked. */
  readonly lit = input<string>();
  /** Parts with a problem. */
  readonly wrong = input<ReadonlySet<string>>(new Set());

  protected readonly drawn = computed(() =>
    this.seen().map(({ id, is, rimOnly, guessed, outlines }) => ({
      id,
      is,
      rimOnly,
      guessed,
      paths: outlines.map(outlinePath).join(' '),
    })),
  );
}
