import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { create } from 'qrcode';

/** An address as a code that a camera reads. */
@Component({
  selector: 'bl-code-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<svg role="img" [attr.viewBox]="drawn().box" [attr.aria-label]="'A code for ' + address()">
    <path [attr.d]="drawn().path" />
  </svg>`,
  styles: `
    svg {
      width: 100%;
      height: auto;
      background: #fff;
      fill: #000;
    }
  `,
})
export class CodePicture {
  readonly address = input.required<string>();

  protected readonly drawn = computed(() => {
    const { modules } = create(this.address(), { errorCorrectionLevel: 'M' });
    const { size } = modules;
    const dots = Array.from({ length: size * size }, (_none, at) => at).filter((at) => modules.data[at]);
    const path = dots.map((at) => `M${at % size} ${Math.floor(at / size)}h1v1h-1z`).join('');
    // Four dots of white all round, or many a camera finds nothing.
    return { path, box: `-4 -4 ${size + 8} ${size + 8}` };
  });
}
