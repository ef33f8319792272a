import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { drawnSize, type FastenerSpec } from '@brisk/core/fasteners';

/** A fastener from the side, as large as it is. */
@Component({
  selector: 'bl-drawn-bolt',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let size = drawn();
    <svg
      [attr.viewBox]="'0 0 ' + size.wide + ' ' + size.high"
      [attr.width]="size.wide * pxPerMm()"
      [attr.height]="size.high * pxPerMm()"
      aria-hidden="true"
    >
      @if (size.nut) {
        <rect x="0.5" y="0.5" [attr.width]="size.wide - 1" [attr.height]="size.high - 1" class="steel" />
        <path
          [attr.d]="
            'M' + size.wide / 3 + ' 0.5V' + (size.high - 0.5) + 'M' + (2 * size.wide) / 3 + ' 0.5V' + (size.high - 0.5)
          "
        />
      } @else {
        <rect x="0.5" y="0.5" [attr.width]="size.headHigh" [attr.height]="size.high - 1" class="steel" />
        <rect
          [attr.x]="size.headHigh + 0.5"
          [attr.y]="(size.high - size.shank) / 2"
          [attr.width]="size.long"
          [attr.height]="size.shank"
          class="steel"
        />
        <path [attr.d]="size.threads" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    .steel {
      fill: var(--sheet-sunk);
      stroke: var(--ink);
      stroke-width: 0.5;
    }
    path {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 0.3;
    }
  `,
})
export class DrawnBolt {
  readonly spec = input.required<FastenerSpec>();
  readonly pxPerMm = input.required<number>();

  protected readonly drawn = computed(() => {
    const spec = this.spec();
    const { shankMm: shank, lengthMm: long, headAcrossMm: across, headHighMm: headHigh } = drawnSize(spec);
    const high = Math.max(across, shank) + 1;
    const nut = long === 0;
    const pitch = spec.thread?.pitchMm ?? 1;
    const from = Math.max(headHigh + 0.5, headHigh + 0.5 + long - 2.5 * shank);
    const lines: string[] = [];
    for (let x = from; x < headHigh + 0.5 + long - 0.2; x += pitch)
      lines.push(`M${x} ${(high - shank) / 2}l${pitch / 2} ${shank}`);
    return { nut, shank, long, headHigh, high, wide: nut ? across + 1 : headHigh + long + 1, threads: lines.join('') };
  });
}
