/** What to watch while something is tried, by what is done. */
export const CRANK = 'Nobody near belt and fan, out of gear, wheels chocked.';
export const FIRE = 'No flame, extinguisher at hand, rags under it. Spray goes through skin.';
export const HOT = 'Hot parts, moving belts, hot coolant under pressure. Exhaust led outside.';
export const STOPPED = 'Engine stopped, key out, cool enough to touch; nobody under what is not on stands.';
