/**
 * Photos: what a picture is pinned to, what is drawn on it, and how pictures of a job are found again. The picture
 * itself never changes; what is drawn on it is data beside it, in shares of its width and height.
 */
export type { PhotoMark, PhotoMarkKind, PinnedTo, PointOnPhoto } from './mark.js';
export { PHOTO_MARKS } from './mark.js';
export { bareJpeg, isBareJpeg } from './bare-jpeg.js';
