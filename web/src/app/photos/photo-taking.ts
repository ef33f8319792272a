import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import type { PinnedTo } from '@brisk/core/photos';
import { several } from '@brisk/core/words';
import { Recorder } from '../session/recorder';
import { PhotoBox } from './photo-box';

/** Takes pictures in and records what each shows. */
@Injectable()
export class PhotoTaking {
  private readonly recorder = inject(Recorder);
  private readonly box = inject(PhotoBox);
  private readonly bar = inject(MatSnackBar);

  /** Takes pictures in, each pinned to the same place. Whatever cannot be kept is told by the box. */
  async take(files: readonly File[], pinnedTo: PinnedTo): Promise<void> {
    const taken: string[] = [];
    for (const file of files) {
      const photo = await this.box.take(file);
      if (!photo) break;
      const { photo: name, widthPx, heightPx } = photo;
      if (
        !this.recorder.record(several(taken.length + 1, 'photo'), {
          kind: 'photo-taken',
          photo: name,
          widthPx,
          heightPx,
          pinnedTo,
        })
      )
        break;
      taken.push(name);
    }
    if (this.box.trouble()) this.bar.open(this.box.trouble(), 'I see', { duration: 15_000, politeness: 'assertive' });
  }
}
