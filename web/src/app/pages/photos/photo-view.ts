import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { photosOf } from '@brisk/core/find';
import type { PhotoMark } from '@brisk/core/photos';
import { EntryField } from '../../ui/entry-field';
import { Desk } from '../../session/desk';
import { Recorder } from '../../session/recorder';
import { MarkedPicture } from '../../photos/marked-picture';
import { PhotoBox } from '../../photos/photo-box';
import { pictureAt, type Pictured } from '../../photos/pictured';
import { Written } from '../../ui/written';

/** One photo, large; arrows, rings and words drawn over it; beside it the same joint on the way back. */
@Component({
  selector: 'bl-photo-view',
  imports: [EntryField, MarkedPicture, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './photo-view.html',
  styleUrl: './photo-view.scss',
})
export class PhotoView {
  private readonly written = inject(Written);
  readonly photo = input.required<string>();
  protected readonly desk = inject(Desk);
  protected readonly box = inject(PhotoBox);
  private readonly recorder = inject(Recorder);

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
      when: `${photo.by}, ${this.written.longMoment(photo.at)}`,
      step,
      joint,
      beside: beside.filter((one) => one.photo !== photo.photo),
    };
  });

  protected readonly beside = signal<string | undefined>(undefined);
  protected readonly missing = signal(false);
  /** The picture itself, once it is here. */
  protected readonly picture = signal<Pictured | undefined>(undefined);

  constructor() {
    effect(() => {
      const name = this.photo();
      untracked(() => void this.open(name));
    });
  }

  private async open(name: string): Promise<void> {
    this.picture.set(undefined);
    this.missing.set(false);
    try {
      const picture = await pictureAt(this.box.address(name));
      if (name === this.photo()) this.picture.set(picture);
    } catch {
      this.missing.set(true);
    }
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

  protected keep(marks: readonly PhotoMark[]): void {
    this.recorder.record('Drawn on the photo', { kind: 'photo-marked', photo: this.photo(), marks });
  }
}
