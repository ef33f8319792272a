/**
 * Inspection: what is looked at and measured on a unit that stands on the bench, what each finding says, and what it
 * proposes to renew.
 */
export { judgeReadings, READING_WORDS, READINGS, type Judged, type Reading } from './readings.js';
export { LOOKS, looksFor, proposedBy, type Look, type LookAnswer } from './looks.js';
