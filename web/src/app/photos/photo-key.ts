import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { PinnedTo } from '@brisk/core/photos';
import { PhotoTaking } from './photo-taking';
import { PhotoBox } from './photo-box';

/** One touch takes photos, or picks files: several at once, each pinned to the same place. */
@Component({
  selector: 'bl-photo-key',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label class="key">
      <input type="file" accept="image/*" multiple class="seen-by-reader-only" name="photos" (change)="take($event)" />
      <span>{{ box.atWork() > 0 ? 'Taking in ' + box.atWork() + '…' : words() }}</span>
    </label>
  `,
  styles: `
    .key {
      display: inline-flex;
      align-items: center;
      min-height: 48px;
      padding: 0 1.5rem;
      border: 1px solid var(--work);
      border-radius: 6px;
      color: var(--work);
      font-weight: 600;
      cursor: pointer;
    }
    .key:has(:focus-visible) {
      outline: 3px solid var(--marker);
      outline-offset: 2px;
    }
  `,
})
export class PhotoKey {
  readonly pinnedTo = input.required<PinnedTo>();
  readonly words = input('Photo');
  protected readonly box = inject(PhotoBox);
  private readonly taking = inject(PhotoTaking);

  protected take(event: Event): void {
    const chooser = event.target;
    if (!(chooser instanceof HTMLInputElement)) return;
    const files = [...(chooser.files ?? [])];
    chooser.value = '';
    if (files.length > 0) void this.taking.take(files, this.pinnedTo());
  }
}
