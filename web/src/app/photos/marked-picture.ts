import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { PHOTO_MARKS, type PhotoMark, type PhotoMarkKind } from '@brisk/core/photos';
import equal from 'fast-deep-equal';
import { EntryField } from '../ui/entry-field';
import type { MarkBoard } from './mark-board';
import type { Pictured } from './pictured';

const TOOL_WORDS: Readonly<Record<PhotoMarkKind, string>> = { arrow: 'Arrow', ring: 'Ring', text: 'Words' };

/**
 * A picture as large as there is room, with arrows, rings and words drawn over it. What is drawn is nobody’s but the
 * screen’s until it is kept.
 */
@Component({
  selector: 'bl-marked-picture',
  imports: [EntryField, MatButton, MatButtonToggle, MatButtonToggleGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './marked-picture.html',
  styleUrl: './marked-picture.scss',
})
export class MarkedPicture {
  /** What is shown; undefined while it is on its way. */
  readonly picture = input.required<Pictured | undefined>();
  /** What it shows, in words. */
  readonly label = input.required<string>();
  /** What is drawn on it in the ledger. */
  readonly kept = input.required<readonly PhotoMark[]>();
  /** Only the picture, with nothing on it and no tools. */
  readonly clean = input(false);
  /** How many times as wide as there is room. */
  readonly zoom = input(1);
  /** The share of the window’s height that it takes at most. */
  readonly mostHigh = input(0.66);
  /** What is to stand in the ledger from now on. */
  readonly keep = output<readonly PhotoMark[]>();

  private readonly ground = viewChild.required<ElementRef<HTMLDivElement>>('ground');
  protected readonly tools = PHOTO_MARKS;
  protected readonly toolWords = TOOL_WORDS;
  /** Other entries that come in do not disturb what somebody is drawing. */
  private readonly keptMarks = computed(() => this.kept(), { equal });
  protected readonly marks = linkedSignal<readonly PhotoMark[]>(() => this.keptMarks());
  protected readonly changed = computed(() => this.marks() !== this.keptMarks());
  protected readonly tool = signal<PhotoMarkKind | undefined>(undefined);
  protected readonly picked = signal<number | undefined>(undefined);
  private readonly board = signal<MarkBoard | undefined>(undefined);
  private readonly drawn = computed(() => (this.clean() ? [] : this.marks()));

  constructor() {
    effect(() => {
      const ground = this.ground().nativeElement;
      const picture = this.picture();
      untracked(() => void this.open(ground, picture));
    });
    effect(() => this.board()?.take(this.clean() ? undefined : this.tool()));
    effect(() => this.board()?.show(this.drawn(), this.picked()));
    effect(() => {
      this.zoom();
      this.mostHigh();
      untracked(() => this.fit());
    });
    // The frame changes its width as the window does, and as something comes to stand beside it.
    const seen = new ResizeObserver(() => this.fit());
    effect(() => seen.observe(this.frame()));
    inject(DestroyRef).onDestroy(() => {
      seen.disconnect();
      this.board()?.destroy();
    });
  }

  private frame(): Element {
    return this.ground().nativeElement.parentElement ?? this.ground().nativeElement;
  }

  private async open(ground: HTMLDivElement, picture: Pictured | undefined): Promise<void> {
    this.board()?.destroy();
    this.board.set(undefined);
    this.picked.set(undefined);
    if (!picture) return;
    const { MarkBoard: Board } = await import('./mark-board');
    if (picture !== this.picture()) return;
    const board = new Board(ground, picture, {
      drawn: (mark) => this.draw(mark),
      picked: (index) => this.picked.set(this.clean() ? undefined : index),
    });
    this.board.set(board);
    this.fit();
  }

  private fit(): void {
    requestAnimationFrame(() => {
      const zoom = this.zoom();
      this.board()?.fit(this.frame().clientWidth * zoom, window.innerHeight * this.mostHigh() * zoom);
      this.board()?.show(this.drawn(), this.picked());
    });
  }

  private draw(mark: PhotoMark): void {
    this.marks.update((before) => [...before, mark]);
    this.picked.set(this.marks().length - 1);
    this.tool.set(undefined);
  }

  protected pickTool(tool: PhotoMarkKind): void {
    this.tool.update((before) => (before === tool ? undefined : tool));
  }

  protected say(typed: string): void {
    const at = this.picked();
    if (at === undefined) return;
    const words = typed.slice(0, 200);
    this.marks.update((before) =>
      before.map((mark, index) => {
        if (index !== at) return mark;
        const { words: _before, ...bare } = mark;
        return words.trim() === '' ? bare : { ...bare, words };
      }),
    );
  }

  protected erase(): void {
    const at = this.picked();
    this.marks.update((before) => before.filter((_mark, index) => index !== at));
    this.picked.set(undefined);
  }

  protected keepThem(): void {
    this.keep.emit(this.marks().filter(({ kind, words }) => kind !== 'text' || words !== undefined));
    this.picked.set(undefined);
    this.tool.set(undefined);
  }

  protected drop(): void {
    this.marks.set(this.keptMarks());
    this.picked.set(undefined);
  }
}
