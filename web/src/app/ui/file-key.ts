import { booleanAttribute, ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import type { IconName } from './icons';

/** A key that has files picked, or, on a phone, taken with its camera. */
@Component({
  selector: 'bl-file-key',
  imports: [MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      [matButton]="plain() ? 'text' : 'outlined'"
      type="button"
      [attr.aria-label]="of() ? label() : null"
      (click)="files.click()"
    >
      <mat-icon [svgIcon]="icon()" />{{ words() }}
    </button>
    <input
      #files
      hidden
      type="file"
      [accept]="accept()"
      [multiple]="many()"
      [attr.capture]="camera() ? 'environment' : null"
      [attr.name]="field()"
      [attr.aria-label]="label()"
      (change)="take(files)"
    />
  `,
})
export class FileKey {
  readonly words = input.required<string>();
  /** What it is for, where several such keys stand on one page. */
  readonly of = input<string>();
  readonly icon = input.required<IconName>();
  /** Without a border, beside others that have none. */
  readonly plain = input(false, { transform: booleanAttribute });
  /** What kinds of file, as the browser’s chooser wants them. */
  readonly accept = input.required<string>();
  readonly many = input(false, { transform: booleanAttribute });
  readonly camera = input(false, { transform: booleanAttribute });
  /** What the field is called. */
  readonly field = input<string>();
  /** The files, one at least; the same may be picked again. */
  readonly chosen = output<readonly File[]>();

  protected readonly label = computed(() => (this.of() ? `${this.words()}: ${this.of()}` : this.words()));

  protected take(chooser: HTMLInputElement): void {
    const files = [...(chooser.files ?? [])];
    chooser.value = '';
    if (files.length > 0) this.chosen.emit(files);
  }
}
