import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  inject,
  signal,
  viewChild,
  afterNextRender,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { readLabel, type LabelCode } from '@brisk/core/labels';
import { FileKey } from '../ui/file-key';
import { EntryField } from '../ui/entry-field';
import { readFromPhoto, watchCamera } from './read-code';

/** A label is held before the camera, photographed, or its number typed. */
@Component({
  selector: 'bl-scan-sheet',
  imports: [EntryField, FileKey, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ title }}</h2>
    <mat-dialog-content class="stack">
      <video #video muted playsinline [hidden]="!live()"></video>
      @if (!live()) {
        <p>{{ camera() }}</p>
      }
      <bl-file-key
        icon="camera"
        accept="image/*"
        camera
        field="label-photo"
        [words]="reading() ? 'Reading…' : 'Read it from a photo'"
        (chosen)="fromPhoto($event)"
      />
      <form class="row" (submit)="fromNumber($event)">
        <bl-entry
          type="figure"
          label="Or type the number on it"
          field="label-number"
          [value]="number()"
          (typed)="number.set($event)"
        />
        <button matButton="outlined" type="submit">Take it</button>
      </form>
      @if (wrong()) {
        <p class="marker" role="alert">{{ wrong() }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions><button matButton type="button" mat-dialog-close>Never mind</button></mat-dialog-actions>
  `,
  styleUrl: './scan-sheet.scss',
})
export class ScanSheet {
  protected readonly title = inject<string>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<ScanSheet, LabelCode>>(MatDialogRef);
  private readonly video = viewChild.required<ElementRef<HTMLVideoElement>>('video');
  protected readonly live = signal(false);
  protected readonly camera = signal('Looking for a camera…');
  protected readonly reading = signal(false);
  protected readonly wrong = signal('');
  protected readonly number = signal('');
  private stop: (() => void) | undefined;

  constructor() {
    afterNextRender(() => void this.watch());
    inject(DestroyRef).onDestroy(() => this.stop?.());
  }

  private async watch(): Promise<void> {
    try {
      this.stop = await watchCamera(this.video().nativeElement, (code) => this.dialog.close(code));
      this.live.set(true);
    } catch {
      this.camera.set(
        'No live camera here. Browsers give it only to this machine itself or over https; a photo or the number works everywhere.',
      );
    }
  }

  protected async fromPhoto([file]: readonly File[]): Promise<void> {
    if (!file) return;
    this.reading.set(true);
    try {
      const code = await readFromPhoto(file);
      if (code) this.dialog.close(code);
      else this.wrong.set('No label of ours can be read in that photo. Closer, without glare, or type the number.');
    } catch {
      this.wrong.set(`“${file.name}” is no picture this device can read.`);
    } finally {
      this.reading.set(false);
    }
  }

  protected fromNumber(event: Event): void {
    event.preventDefault();
    const code = readLabel(this.number());
    if (code) this.dialog.close(code);
    else this.wrong.set('A label has a whole number from 1 on.');
  }
}
