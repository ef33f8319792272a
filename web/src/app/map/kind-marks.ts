import type { ConnectionKind } from '@brisk/core/connection-map';

/** The mark of a kind of connection: a path within −9…9, and how its line is drawn. */
export interface KindMark {
  readonly path: string;
  /** Filled, or only drawn round. */
  readonly solid: boolean;
  readonly width: number;
  readonly dashes: string;
}

/** Each kind is told by mark and line as well as by its word; none by colour. */
export const KIND_MARKS: Readonly<Record<ConnectionKind, KindMark>> = {
  bolted: { path: 'M-4 -7 H4 L8 0 L4 7 H-4 L-8 0 Z', solid: true, width: 2.5, dashes: '' },
  plug: { path: 'M-7 -5 H3 V5 H-7 Z M3 -2.5 H8 M3 2.5 H8', solid: false, width: 1.5, dashes: '2 4' },
  hose: { path: 'M-7 0 A7 7 0 1 0 7 0 A7 7 0 1 0 -7 0 Z', solid: false, width: 6, dashes: '' },
  pipe: { path: 'M-6 0 A6 6 0 1 0 6 0 A6 6 0 1 0 -6 0 Z', solid: true, width: 4, dashes: '' },
  cable: { path: 'M-8 3 Q-4 -8 0 0 T8 -3', solid: false, width: 1.5, dashes: '' },
  ground: { path: 'M0 -8 V-1 M-8 -1 H8 M-5 3 H5 M-2 7 H2', solid: false, width: 2, dashes: '9 3' },
  linkage: { path: 'M-8 0 H8 M-5 -4 L-8 0 L-5 4 M5 -4 L8 0 L5 4', solid: false, width: 2, dashes: '10 4 2 4' },
  shaft: { path: 'M-8 -3 H8 V3 H-8 Z', solid: true, width: 8, dashes: '' },
  clip: { path: 'M-6 6 V-1 A6 6 0 0 1 6 -1 V6', solid: false, width: 1.5, dashes: '6 4' },
  strap: { path: 'M-8 -3 H8 M-8 3 H8', solid: false, width: 3.5, dashes: '12 3' },
  clamp: { path: 'M-6 -7 H-8 V7 H-6 M6 -7 H8 V7 H6 M-3 0 H3', solid: false, width: 2.5, dashes: '4 3' },
};
