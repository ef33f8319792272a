/**
 * Instruments at the engine: what a bench box reads while it is cranked and run, what in that says stop, what a burst came to, and
 * the model of the simulated box that ships. Volts at the battery’s posts, amperes of the starter, revolutions a minute, bar, °C.
 */
export { CHANNELS, type Channel, type ChannelId } from './channels.js';
export { BOX_FAULTS, type BoxFault } from './engine-faults.js';
export {
  BURSTS_FROM,
  keptBurst,
  keptTraceOf,
  TRACE_POINTS,
  type BurstFrom,
  type KeptBurst,
  type KeptTrace,
} from './kept-burst.js';
export { median } from './figures.js';
export { readingOf, type BoxReading } from './reading.js';
export { compressionsOf, type Compressions } from './ripple.js';
export { BOX_EVERY_MS, simulatedBox } from './simulated-box.js';
export { burstOf, burstsOf, type BurstTrace } from './trace.js';
export { readingsInTable, TraceTableError } from './trace-table.js';
export { doesNow, HOTTEST_C, LEAST_OIL_BAR, lowestCrankingV, stopWords, type Does } from './watch.js';
