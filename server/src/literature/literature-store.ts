import { ENDING_OF, type KeptLiterature } from '@brisk/core/literature';
import { Shelf } from '../shelf/shelf.js';
import { hashOfBytes } from '../shelf/shelf-files.js';
import type { ReadLiterature } from './read-literature.js';

const WORDS = {
  notHere: 'That file is not here.',
  diskFull: 'The disk of the server is full: the file was not kept. Make room and add it again.',
};

/** The files of the literature on their shelf. */
export class LiteratureStore {
  readonly shelf: Shelf;

  constructor(folder: string) {
    this.shelf = new Shelf(folder, WORDS);
  }

  /** Keeps a file that was looked at. Throws `no-room` for a full disk. */
  async keep({ type, pages, data }: ReadLiterature): Promise<KeptLiterature> {
    const file = `${hashOfBytes(data)}.${ENDING_OF[type]}`;
    await this.shelf.keep(file, data);
    return { file, type, pages, bytes: data.length };
  }
}
