import { booleanAttribute, ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { PinnedTo } from '@brisk/core/photos';
import { FileKey } from '../ui/file-key';
import { PhotoBox } from './photo-box';
import { PhotoTaking } from './photo-taking';

/** One touch takes photos, or picks files: several at once, each pinned to the same place. */
@Component({
  selector: 'bl-photo-key',
  imports: [FileKey],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <bl-file-key
      icon="camera"
      accept="image/*"
      many
      field="photos"
      [of]="of()"
      [plain]="plain()"
      [words]="box.atWork() > 0 ? 'Taking in ' + box.atWork() + '…' : words()"
      (chosen)="taking.take($event, pinnedTo())"
    />
  `,
})
export class PhotoKey {
  readonly pinnedTo = input.required<PinnedTo>();
  readonly words = input('Photo');
  /** What it takes a photo of, where several such keys stand on one page. */
  readonly of = input<string>();
  readonly plain = input(false, { transform: booleanAttribute });
  protected readonly box = inject(PhotoBox);
  protected readonly taking = inject(PhotoTaking);
}
