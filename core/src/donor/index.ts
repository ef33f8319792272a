/**
 * The donor: what to look at before buying one, and what the findings say together. The sheet is data a shop may weigh
 * in its own way; the verdict is nothing but its sum, with the reasons it is made of.
 */
export { INSPECTION_SHEET, type Finding, type Inspection, type InspectionSheet } from './sheet.js';
export { verdictOf, type Bet, type Found, type Speaks, type Verdict } from './verdict.js';
