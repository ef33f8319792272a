/**
 * Readiness: what would happen if one turned the key now. From the record: everything open, unfilled, uneven, untorqued, not
 * looked at or left off, with what each would do, and for what purpose the machine may be turned or cranked all the same. It
 * never says that something may be done without harm; it says what the record has against it.
 */
export { batteryStops } from './battery-stops.js';
export {
  HARM_WORDS,
  PURPOSE_WORDS,
  PURPOSES,
  readiness,
  type Harm,
  type Purpose,
  type Readiness,
  type Warned,
} from './readiness.js';
