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

  /** Takes pictures in, each by itself and pinned to the same place; what could not be taken is named. */
  async take(files: readonly File[], pinnedTo: PinnedTo): Promise<void> {
    const taken: string[] = [];
    const troubles: string[] = [];
    for (const file of files) {
      const photo = await this.box.take(file);
      if (!photo) {
        troubles.push(this.box.trouble());
        continue;
      }
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
    const missing = [...troubles, ...(troubles.length === 0 && this.box.trouble() ? [this.box.trouble()] : [])];
    if (missing.length === 0) return;
    const others = taken.length > 0 ? ` The other ${several(taken.length, 'photo')} are recorded.` : '';
    this.bar.open(`${missing.join(' ')}${others}`, 'I see', { duration: 15_000, politeness: 'assertive' });
  }
}
