import type { Hit } from '@brisk/core/find';

/** What answers a search on one job. */
export interface JobHits {
  readonly id: string;
  readonly title: string;
  readonly machine: string;
  readonly hits: readonly Hit[];
}

/** A picture as the server keeps it. */
export interface KeptPhoto {
  /** SHA-256 of the file, in hexadecimal; its name from then on. */
  readonly photo: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly bytes: number;
}
