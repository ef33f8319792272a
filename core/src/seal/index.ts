/**
 * The seal of a ledger: a figure that stands for every entry up to a position, in their order. Whoever has it on paper
 * can tell from the ledger alone whether anything before that position was changed, left out or put in since.
 */
export { readSeal, sealedAt, sealOf, sealOn, type Seal } from './seal.js';
