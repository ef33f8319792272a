import type { PhotoMark, PhotoMarkKind } from '@brisk/core/photos';
import Konva from 'konva';
import type { Pictured } from './pictured';

/** Shorter than this share of the picture was a slip of the finger, not an arrow. */
const SHORTEST = 0.015;
const COLOUR = '#e8460a';
const EDGE = '#ffffff';

/** What whoever shows the board hears. */
export interface BoardEvents {
  readonly drawn: (mark: PhotoMark) => void;
  readonly picked: (index: number | undefined) => void;
}

/** A picture with marks over it, drawn with a finger or the mouse. The picture itself is never touched. */
export class MarkBoard {
  private readonly stage: Konva.Stage;
  private readonly marks = new Konva.Layer();
  private readonly sketch = new Konva.Layer();
  private tool: PhotoMarkKind | undefined;
  private begun: { readonly x: number; readonly y: number } | undefined;

  constructor(
    container: HTMLDivElement,
    private readonly picture: Pictured,
    private readonly events: BoardEvents,
  ) {
    this.stage = new Konva.Stage({ container, width: 1, height: 1 });
    const ground = new Konva.Layer({ listening: false });
    ground.add(new Konva.Image({ image: picture.image, name: 'picture' }));
    this.stage.add(ground, this.marks, this.sketch);
    this.stage.on('pointerdown', () => this.begin());
    this.stage.on('pointermove', () => this.sketchTo());
    this.stage.on('pointerup', () => this.end());
  }

  /** Makes the board as wide as there is room, and no higher than `mostHigh`. */
  fit(width: number, mostHigh: number): void {
    const share = Math.min(width / this.picture.width, mostHigh / this.picture.height);
    const size = { width: this.picture.width * share, height: this.picture.height * share };
    this.stage.size(size);
    this.stage.findOne('.picture')?.size(size);
  }

  /** What the next drag draws; undefined: marks are picked. */
  take(tool: PhotoMarkKind | undefined): void {
    this.tool = tool;
    this.stage.container().style.cursor = tool ? 'crosshair' : 'default';
    this.stage.container().style.touchAction = tool ? 'none' : 'auto';
  }

  /** Draws `marks`, the picked one stronger. */
  show(marks: readonly PhotoMark[], picked: number | undefined): void {
    this.marks.destroyChildren();
    marks.forEach((mark, index) => {
      const shape = this.shapeOf(mark, index === picked);
      shape.on('pointerdown', (event) => {
        if (this.tool) return;
        event.cancelBubble = true;
        this.events.picked(index);
      });
      this.marks.add(shape);
    });
    this.marks.draw();
  }

  destroy(): void {
    this.stage.destroy();
  }

  private at() {
    const point = this.stage.getPointerPosition() ?? { x: 0, y: 0 };
    const share = (value: number) => Math.min(1, Math.max(0, value));
    return { x: share(point.x / this.stage.width()), y: share(point.y / this.stage.height()) };
  }

  private begin(): void {
    if (this.tool) this.begun = this.at();
    else this.events.picked(undefined);
  }

  private sketchTo(): void {
    if (!this.begun || !this.tool) return;
    this.sketch.destroyChildren();
    this.sketch.add(this.shapeOf({ kind: this.tool, from: this.begun, to: this.at(), words: '…' }, false));
    this.sketch.draw();
  }

  private end(): void {
    const { begun, tool } = this;
    this.begun = undefined;
    this.sketch.destroyChildren();
    this.sketch.draw();
    if (!begun || !tool) return;
    const to = this.at();
    if (tool !== 'text' && Math.hypot(to.x - begun.x, to.y - begun.y) < SHORTEST) return;
    this.events.drawn({ kind: tool, from: begun, to: tool === 'text' ? begun : to });
  }

  private shapeOf({ kind, from, to, words = '' }: PhotoMark, picked: boolean): Konva.Group {
    const { width, height } = this.stage.size();
    const [x1, y1, x2, y2] = [from.x * width, from.y * height, to.x * width, to.y * height];
    const wide = Math.max(3, width / 160) * (picked ? 1.6 : 1);
    const line = { stroke: COLOUR, strokeWidth: wide, hitStrokeWidth: 28, shadowColor: EDGE, shadowBlur: 6 };
    const group = new Konva.Group();
    const letters = Math.max(16, width / 36);
    if (kind === 'arrow')
      group.add(
        new Konva.Arrow({
          ...line,
          points: [x1, y1, x2, y2],
          fill: COLOUR,
          pointerLength: wide * 4,
          pointerWidth: wide * 4,
        }),
      );
    if (kind === 'ring') group.add(new Konva.Circle({ ...line, x: x1, y: y1, radius: Math.hypot(x2 - x1, y2 - y1) }));
    if (words !== '') {
      const text = new Konva.Text({
        text: words,
        x: kind === 'arrow' ? x1 : x1 + (kind === 'ring' ? Math.hypot(x2 - x1, y2 - y1) : 0),
        y: y1,
        fontFamily: 'Barlow',
        fontStyle: '600',
        fontSize: letters,
        fill: '#1d1b16',
        padding: letters / 4,
      });
      group.add(
        new Konva.Rect({
          x: text.x(),
          y: text.y(),
          width: text.width(),
          height: text.height(),
          fill: picked ? '#ffd9c2' : '#fffcf4',
          stroke: COLOUR,
          strokeWidth: picked ? 3 : 1,
          cornerRadius: 3,
        }),
        text,
      );
    }
    return group;
  }
}
