import type { Bay, Station, Zone } from '@brisk/core/connection-map';

/** A point on the bay picture, in its own units: the machine seen from above, its nose to the left. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

export const ZONE_PLACES: Readonly<Record<Zone, Place>> = {
  'bay-front': { x: 52, y: 80 },
  'bay-left': { x: 96, y: 118 },
  'bay-right': { x: 96, y: 42 },
  'bay-top': { x: 96, y: 80 },
  'bay-rear': { x: 137, y: 80 },
  'under-front': { x: 74, y: 98 },
  'under-middle': { x: 186, y: 80 },
  'under-rear': { x: 268, y: 80 },
  cabin: { x: 216, y: 52 },
  outside: { x: 96, y: 24 },
};

export const STATION_PLACES: Readonly<Record<Station, Place>> = {
  'bay-top': { x: 96, y: 150 },
  front: { x: 12, y: 80 },
  'wheel-left': { x: 62, y: 150 },
  'wheel-right': { x: 62, y: 10 },
  underside: { x: 160, y: 112 },
  cabin: { x: 216, y: 150 },
  rear: { x: 310, y: 80 },
};

/** What is drawn for a bay at the front, brought to where this machine has its bay: a machine is 338 long and stays on the sheet. */
export const BAY_TURNS: Readonly<Record<Bay, { readonly svg: string | null; readonly turn: (place: Place) => Place }>> =
  {
    front: { svg: null, turn: (place) => place },
    middle: {
      svg: 'translate(96 0)',
      turn: ({ x, y }) => ({ x: x < 20 ? x : Math.min(x + 96, 310), y }),
    },
    rear: {
      svg: 'translate(332 0) scale(-1 1)',
      turn: ({ x, y }) => ({ x: 324 - x, y }),
    },
  };
