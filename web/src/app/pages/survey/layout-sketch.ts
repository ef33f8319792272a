import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

interface Block {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
interface Sketch {
  readonly engine: Block;
  readonly gearbox?: Block;
  /** Shafts, belts, rails: drawn as lines. */
  readonly lines: string;
}

const across = (x: number): Pick<Sketch, 'engine' | 'gearbox'> => ({
  engine: { x, y: 24, width: 16, height: 22 },
  gearbox: { x, y: 46, width: 14, height: 14 },
});
const along = (length: number): Pick<Sketch, 'engine' | 'gearbox'> => ({
  engine: { x: 22, y: 32, width: 28, height: 20 },
  gearbox: { x: 50, y: 36, width: length, height: 12 },
});

/** Machines from above, nose to the left: where engine and gearbox sit and what they drive. */
const SKETCHES: Readonly<Record<string, Sketch>> = {
  'transverse-cradle': { ...across(22), lines: 'M30 14 V24 M30 60 V70 M16 20 H44 M16 64 H44' },
  'transverse-automatic': {
    engine: { x: 22, y: 24, width: 16, height: 22 },
    gearbox: { x: 20, y: 46, width: 18, height: 16 },
    lines: 'M30 14 V24 M30 62 V70 M16 20 H44 M16 64 H44',
  },
  'longitudinal-manual': { ...along(20), lines: 'M70 42 H112 M112 14 V70 M62 42 L66 28' },
  'longitudinal-automatic': { ...along(26), lines: 'M76 42 H112 M112 14 V70' },
  'frame-four-wheel-drive': {
    ...along(18),
    lines: 'M68 42 H112 M112 14 V70 M68 48 L30 58 M30 14 V70 M10 26 H132 M10 58 H132',
  },
  'transverse-mid': { ...across(84), lines: 'M92 14 V24 M92 60 V70' },
  'rear-flat-air-cooled': {
    engine: { x: 114, y: 26, width: 18, height: 32 },
    gearbox: { x: 98, y: 36, width: 16, height: 12 },
    lines: 'M108 14 V36 M108 48 V70',
  },
  'heavy-tilt-cab': {
    engine: { x: 24, y: 30, width: 34, height: 24 },
    gearbox: { x: 58, y: 35, width: 18, height: 14 },
    lines: 'M76 42 H116 M116 14 V70 M8 18 H58 V66 H8 M10 26 H136 M10 58 H136',
  },
  'utility-belt': {
    engine: { x: 100, y: 26, width: 22, height: 18 },
    gearbox: { x: 84, y: 52, width: 18, height: 12 },
    lines: 'M104 44 L90 52 M114 44 L98 52 M92 64 V72',
  },
};

/** A layout in a few strokes. */
@Component({
  selector: 'bl-layout-sketch',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 144 84" aria-hidden="true">
      <path class="body" d="M10 22 Q10 12 24 12 H126 Q136 12 136 22 V62 Q136 72 126 72 H24 Q10 72 10 62 Z" />
      <path class="wheel" d="M22 6 H42 V13 H22 Z M22 71 H42 V78 H22 Z M100 6 H120 V13 H100 Z M100 71 H120 V78 H100 Z" />
      @if (sketch(); as sketch) {
        <path class="line" [attr.d]="sketch.lines" />
        @if (sketch.gearbox; as box) {
          <rect class="box" [attr.x]="box.x" [attr.y]="box.y" [attr.width]="box.width" [attr.height]="box.height" />
        }
        <rect
          class="engine"
          [attr.x]="sketch.engine.x"
          [attr.y]="sketch.engine.y"
          [attr.width]="sketch.engine.width"
          [attr.height]="sketch.engine.height"
          rx="2"
        />
      }
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .body {
      fill: var(--sheet-sunk);
      stroke: var(--ink-soft);
    }
    .wheel {
      fill: var(--ink-soft);
    }
    .line {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
    }
    .engine {
      fill: var(--work);
    }
    .box {
      fill: var(--work-soft);
      stroke: var(--work);
    }
  `,
})
export class LayoutSketch {
  readonly layout = input.required<string>();
  protected readonly sketch = computed(() => SKETCHES[this.layout()]);
}
