/// <reference lib="webworker" />
import { expose } from 'comlink';
import { tidied, type TidiedPhoto } from './tidied';

/** What the page asks of the worker. */
export interface TidyWork {
  tidied(file: Blob): Promise<TidiedPhoto>;
}

expose({ tidied } satisfies TidyWork);
