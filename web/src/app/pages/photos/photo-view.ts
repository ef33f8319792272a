import equal from 'fast-deep-equal';
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
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { photosOf } from '@brisk/core/find';
import { PHOTO_MARKS, type PhotoMark, type PhotoMarkKind } from '@brisk/core/photos';
import { format } from 'date-fns';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import type { MarkBoard } from './mark-board';
import { PhotoBox } from '../../photos/photo-box';

const TOOL_WORDS: Readonly<Record<PhotoMarkKind, string>> = { arrow: 'Arrow', ring: 'Ring', text: 'Words' };
const MOST_HIGH_SHARE = 0.66;

/** One photo, large; arrows, rings and words drawn over it; beside it the same joint on the way back. */
@Component({
  selector: 'bl-photo-view',
  imports: [EntryField, MatButton, MatButtonToggle, MatButtonToggleGroup, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-view.html',
  styleUrl: './photo-view.scss',
})
export class PhotoView {
  readonly photo = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly box = inject(PhotoBox);
  private readonly recorder = inject(Recorder);
  private readonly ground = viewChild<ElementRef<HTMLDivElement>>('ground');
  protected readonly tools = PHOTO_MARKS;
  protected readonly toolWords = TOOL_WORDS;

  protected readonly shown = computed(() => {
    const state = this.desk.state();
    const photo = state?.photos.get(this.photo());
    if (!state || !photo) return undefined;
    const { operation, connection } = photo.pinnedTo;
    const step = operation === undefined ? undefined : state.work.operations.get(operation);
    const joint = connection ?? step?.connection;
    const beside = joint === undefined ? [] : [...photosOf(state, joint).before, ...photosOf(state, joint).after];
    return {
      photo,
      title:
        photo.words ??
        (joint === undefined ? undefined : state.work.connections.get(joint)?.name) ??
        step?.title ??
        'Photo',
      when: `${photo.by}, ${format(new Date(photo.at), 'd MMM yyyy HH:mm')}`,
      step,
      joint,
      beside: beside.filter((one) => one.photo !== photo.photo),
    };
  });

  /** What is drawn on it in the ledger; other entries that come in do not disturb what somebody is drawing. */
  private readonly keptMarks = computed<readonly PhotoMark[]>(() => this.shown()?.photo.marks ?? [], {
    equal,
  });
  protected readonly marks = linkedSignal<readonly PhotoMark[]>(() => this.keptMarks());
  protected readonly changed = computed(() => this.marks() !== this.keptMarks());
  protected readonly tool = signal<PhotoMarkKind | undefined>(undefined);
  protected readonly picked = signal<number | undefined>(undefined);
  protected readonly beside = signal<string | undefined>(undefined);
  protected readonly missing = signal(false);
  private readonly board = signal<MarkBoard | undefined>(undefined);

  constructor() {
    effect(() => {
      const ground = this.ground()?.nativeElement;
      const name = this.photo();
      if (ground) untracked(() => void this.open(ground, name));
    });
    effect(() => this.board()?.take(this.tool()));
    effect(() => this.board()?.show(this.marks(), this.picked()));
    effect(() => {
      this.beside();
      untracked(() => this.fit());
    });
    const again = () => this.fit();
    window.addEventListener('resize', again);
    inject(DestroyRef).onDestroy(() => {
      window.removeEventListener('resize', again);
      this.board()?.destroy();
    });
  }

  private async open(ground: HTMLDivElement, name: string): Promise<void> {
    this.board()?.destroy();
    this.missing.set(false);
    const picture = new Image();
    picture.src = this.box.address(name);
    try {
      const [{ MarkBoard: Board }] = await Promise.all([import('./mark-board'), picture.decode()]);
      if (name !== this.photo()) return;
      const board = new Board(ground, picture, {
        drawn: (mark) => this.draw(mark),
        picked: (index) => this.picked.set(index),
      });
      this.board.set(board);
      this.fit();
    } catch {
      this.missing.set(true);
    }
  }

  private fit(): void {
    const ground = this.ground()?.nativeElement;
    if (!ground) return;
    requestAnimationFrame(() => {
      this.board()?.fit(ground.parentElement?.clientWidth ?? 800, window.innerHeight * MOST_HIGH_SHARE);
      this.board()?.show(this.marks(), this.picked());
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

  /** Says what the picture shows; what it is pinned to and what is drawn on it stay. */
  protected describe(typed: string): void {
    const photo = this.shown()?.photo;
    const words = typed.trim();
    if (!photo || words === (photo.words ?? '')) return;
    const { photo: name, widthPx, heightPx, pinnedTo } = photo;
    this.recorder.record('Written on the photo', {
      kind: 'photo-taken',
      photo: name,
      widthPx,
      heightPx,
      pinnedTo,
      ...(words ? { words } : {}),
    });
  }

  protected keep(): void {
    const marks = this.marks().filter(({ kind, words }) => kind !== 'text' || words !== undefined);
    if (this.recorder.record('Drawn on the photo', { kind: 'photo-marked', photo: this.photo(), marks })) {
      this.picked.set(undefined);
      this.tool.set(undefined);
    }
  }

  protected drop(): void {
    this.marks.set(this.keptMarks());
    this.picked.set(undefined);
  }
}
