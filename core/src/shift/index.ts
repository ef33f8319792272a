/**
 * The end of a shift: how the machine stands, worked out from its record, for whoever goes on with it. What can hurt
 * somebody comes first: what hangs, what is live or under pressure, what stays as it is.
 */
export { shiftReport, SHIFT_WORDS } from './shift-report.js';
