/**
 * First start: what the battery can still give, what the attempts so far say about the next one, and which sort a
 * warning belongs to. Limits are the usual ones; a maker's limit wins.
 */
export * from './advice.js';
export * from './battery.js';
