import type { ConnectionId } from '../connection-map/index.js';

/** What a picture shows, as far as somebody said so. */
export interface PinnedTo {
  readonly operation?: string;
  readonly connection?: ConnectionId;
  readonly tag?: number;
  readonly bag?: number;
  /** The card of a part: `host:alternator`, `donor:turbo`, or a line that is bought. */
  readonly card?: string;
}

/** What can be drawn on a picture. */
export const PHOTO_MARKS = ['arrow', 'ring', 'text'] as const;
export type PhotoMarkKind = (typeof PHOTO_MARKS)[number];

/** A place on a picture: shares of its width and height, from the left upper corner. */
export interface PointOnPhoto {
  readonly x: number;
  readonly y: number;
}

/**
 * One thing drawn on a picture. An arrow points from `from` to `to`; a ring is drawn about `from` through `to`; words
 * stand at `from`.
 */
export interface PhotoMark {
  readonly kind: PhotoMarkKind;
  readonly from: PointOnPhoto;
  readonly to: PointOnPhoto;
  readonly words?: string;
}
