import { inject, Injectable, signal } from '@angular/core';
import { firstValueFrom, fromEvent, merge, timer } from 'rxjs';
import { Api } from '../api/api';
import { problemKind, problemWords } from '../api/problem-words';
import { PhotoShelf } from './photo-shelf';
import { Tidier } from './tidier';
import type { TidiedPhoto } from './tidied';

const TRY_EVERY_MS = 15_000;
const LET_GO_AFTER_MS = 10_000;

/**
 * Pictures on their way: made ready in a worker, put onto the shelf of this device, then sent one after the other for
 * as long as it takes. What is on the shelf is shown from there.
 */
@Injectable({ providedIn: 'root' })
export class PhotoBox {
  private readonly api = inject(Api);
  private readonly shelf = inject(PhotoShelf);
  private readonly tidier = inject(Tidier);
  private sending = false;

  /** Addresses of pictures that are on this device, by name. */
  private readonly here = signal<ReadonlyMap<string, string>>(new Map());
  /** How many are being made ready. */
  readonly atWork = signal(0);
  /** How many wait to be sent. */
  readonly kept = signal(0);
  /** What went wrong last, for the person; empty when nothing did. */
  readonly trouble = signal('');

  constructor() {
    merge(timer(0, TRY_EVERY_MS), fromEvent(window, 'online')).subscribe(() => void this.sendAll());
  }

  /** Makes `file` ready and puts it onto the shelf; undefined, and `trouble` set, where that cannot be done. */
  async take(file: File): Promise<TidiedPhoto | undefined> {
    this.trouble.set('');
    this.atWork.update((count) => count + 1);
    try {
      const photo = await this.tidier.tidy(file);
      if (!photo) {
        this.trouble.set(
          `“${file.name}” is no picture this device can read, or it breaks off: it is not recorded. Pick another one.`,
        );
        return undefined;
      }
      await this.shelf.put(photo.photo, photo.blob);
      this.show(photo.photo, photo.blob);
      this.kept.update((count) => count + 1);
      void this.sendAll();
      return photo;
    } catch (error) {
      const full = error instanceof DOMException && error.name === 'QuotaExceededError';
      this.trouble.set(
        full
          ? `There is no room left on this device to keep “${file.name}”: it is not recorded. Make room and take it again.`
          : `“${file.name}” could not be kept on this device: it is not recorded. Take it again.`,
      );
      return undefined;
    } finally {
      this.atWork.update((count) => count - 1);
    }
  }

  /** Where the picture is shown from; a small one for lists. */
  address(photo: string, small = false): string {
    return this.here().get(photo) ?? `/api/photos/${photo}${small ? '/small' : ''}`;
  }

  private show(photo: string, blob: Blob): void {
    if (this.here().has(photo)) return;
    const address = URL.createObjectURL(blob);
    this.here.update((before) => new Map([...before, [photo, address]]));
  }

  /** From now on the server’s copy is shown; the memory the picture took here is given back. */
  private let(photo: string): void {
    const address = this.here().get(photo);
    if (address === undefined) return;
    this.here.update((before) => new Map([...before].filter(([name]) => name !== photo)));
    // Whatever still draws it has done so by then.
    setTimeout(() => URL.revokeObjectURL(address), LET_GO_AFTER_MS);
  }

  /** Sends pictures one after the other, and takes each from the shelf when the server has it; false where one fails. */
  private async sendEach(names: readonly string[]): Promise<boolean> {
    let all = true;
    for (const photo of names) {
      const blob = await this.shelf.get(photo);
      if (!blob) continue;
      this.show(photo, blob);
      if (await this.sent(blob)) {
        await this.shelf.remove(photo);
        this.let(photo);
        this.kept.update((count) => Math.max(0, count - 1));
      } else all = false;
    }
    return all;
  }

  /** Sends one picture. A full disk is told; a server that is away for a while is told by the hold line. */
  private async sent(blob: Blob): Promise<boolean> {
    try {
      await firstValueFrom(this.api.keepPhoto(blob));
      return true;
    } catch (error) {
      if (problemKind(error) !== undefined) this.trouble.set(problemWords(error));
      return false;
    }
  }

  private async sendAll(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    try {
      for (let names = await this.shelf.names(); names.length > 0; names = await this.shelf.names()) {
        this.kept.set(names.length);
        if (!(await this.sendEach(names))) return;
      }
      this.kept.set(0);
    } finally {
      this.sending = false;
    }
  }
}
