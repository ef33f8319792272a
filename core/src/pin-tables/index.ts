/**
 * Pin tables: two looms, each as a list of pins with what they carry and where they go, matched pin by pin; the result is
 * a splice list: what is joined, lengthened, moved to another pin, left over, missing, or does not go together.
 */
export { PIN_COLUMNS, readPinTable, type Pin, type PinColumn, type PinMapping, type PinTable } from './read.js';
export { spliceList, SPLICES, type Splice, type SpliceLine } from './splice-list.js';
export { spliceStepId, spliceSteps } from './splice-steps.js';
export { smallestWire, WIRE_SIZES_MM2 } from './wire.js';
