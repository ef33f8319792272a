/**
 * The journey: where a job stands between survey and handover, for whoever looks at it from outside. What each stop
 * waits for, and the job in a few figures for the yard.
 */
export { standingOf, type Standing } from './standing.js';
export { isPast, waitsAt } from './waits.js';
