/**
 * Instruments at the engine: what a bench box reads while it is cranked and run, what in that says stop, what a burst came to, and
 * the model of the simulated box that ships. Volts at the battery’s posts, amperes of the starter, revolutions a minute, bar, °C.
 */
export { BOX_EVERY_MS, BOX_FAULTS, simulatedBox, type BoxFault } from './simulated-box.js';
export { readingOf, type BoxReading } from './reading.js';
export { burstOf, weakCylinder, type BurstTrace } from './trace.js';
export { stopWords, doesNow, type Does } from './watch.js';
