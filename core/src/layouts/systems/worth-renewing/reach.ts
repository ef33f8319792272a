import type { Reach } from '../../../connection-map/index.js';

export const parted: Reach = { parted: ['engine', 'gearbox'], why: 'It is between engine and gearbox.' };
export const out: Reach = { out: 'engine', why: 'In the bay nobody gets there.' };

/** Reached once `connection` is undone. */
export const open = (connection: string, why: string): Reach => ({ open: connection, why });

/** Reached once `part` is off. */
export const off = (part: string, why: string): Reach => ({ removed: part, why });

/** Done while `part` is off, where that comes off anyway. */
export const whileOff = (part: string, why: string): Reach => ({ removed: part, why, orderOnly: true });
