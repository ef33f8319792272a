import { inject, Injectable, signal } from '@angular/core';
import { MOST_LITERATURE, type KeptLiterature, type LiteratureType } from '@brisk/core/literature';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { problemWords } from '../api/problem-words';
import { Recorder } from '../session/recorder';

const MEGABYTE = 1_000_000;

/** What a file is, by what the browser says of it and by its name; undefined for what is not kept. */
function typeOf({ type, name }: File): LiteratureType | undefined {
  if (type === 'application/pdf' || /\.pdf$/i.test(name)) return 'pdf';
  if (type.startsWith('image/') && type !== 'image/svg+xml') return 'picture';
  return type.startsWith('text/') || /\.(txt|md|csv)$/i.test(name) ? 'text' : undefined;
}

/** Brings files to the server and records that they are with the job. */
@Injectable()
export class AddingLiterature {
  private readonly api = inject(Api);
  private readonly recorder = inject(Recorder);
  /** The file that is on its way to the server, or is looked at there. */
  readonly onItsWay = signal<string | undefined>(undefined);
  /** What was not kept and why, for the person. */
  readonly trouble = signal<readonly string[]>([]);

  async add(files: readonly File[]): Promise<void> {
    this.trouble.set([]);
    for (const file of files) {
      try {
        await this.addOne(file);
      } catch (error) {
        this.trouble.update((before) => [...before, `“${file.name}”: ${problemWords(error)}`]);
      }
    }
    this.onItsWay.set(undefined);
  }

  private async addOne(file: File): Promise<void> {
    const type = typeOf(file);
    if (!type) return this.refuse(file, 'is no PDF, no picture and no text.');
    if (file.size === 0) return this.refuse(file, 'is empty.');
    if (file.size > MOST_LITERATURE.fileBytes)
      return this.refuse(
        file,
        `has ${Math.ceil(file.size / MEGABYTE)} MB; up to ${MOST_LITERATURE.fileBytes / MEGABYTE} MB are kept. Take the chapters that are needed.`,
      );
    this.onItsWay.set(file.name);
    this.record(file, await firstValueFrom(this.api.keepLiterature(file, type)));
  }

  private record(file: File, kept: KeptLiterature): void {
    const title =
      file.name
        .replace(/\.[^.]+$/, '')
        .slice(0, 120)
        .trim() || 'Literature';
    this.recorder.record(`“${title}” is kept`, { kind: 'literature-added', title, ...kept });
  }

  private refuse({ name }: File, words: string): void {
    this.trouble.update((before) => [...before, `“${name}” ${words} It was not kept.`]);
  }
}
