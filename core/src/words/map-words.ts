import type { ConnectionKind, System, Zone } from '../connection-map/index.js';

/** What is on a map, as it is said on a screen and in a spreadsheet alike. */
export const KIND_WORDS: Readonly<Record<ConnectionKind, string>> = {
  bolted: 'bolted joint',
  plug: 'plug',
  hose: 'hose',
  pipe: 'pipe',
  cable: 'cable',
  ground: 'ground',
  linkage: 'linkage',
  shaft: 'shaft',
  clip: 'clip',
  strap: 'strap or belt',
  clamp: 'clamp',
};

export const SYSTEM_WORDS: Readonly<Record<System, string>> = {
  body: 'Body',
  cooling: 'Cooling',
  electrics: 'Electrics',
  fuel: 'Fuel',
  air: 'Air',
  exhaust: 'Exhaust',
  driveline: 'Driveline',
  steering: 'Steering',
  heating: 'Heating',
  mounts: 'Mounts',
  refrigerant: 'Refrigerant',
};

export const ZONE_WORDS: Readonly<Record<Zone, string>> = {
  'bay-front': 'front of the bay',
  'bay-left': 'left side of the bay',
  'bay-right': 'right side of the bay',
  'bay-top': 'top of the engine',
  'bay-rear': 'back of the bay',
  'under-front': 'underneath, front',
  'under-middle': 'underneath, middle',
  'under-rear': 'underneath, rear',
  cabin: 'cabin',
  outside: 'body',
};
