/**
 * The battery: what is in it by its rest volts, what a burst takes, how many are left, how long a charger needs, and where the
 * volts are lost while cranking. Usual figures; what stands on battery, charger and in the book wins.
 */
export {
  BATTERY_KINDS,
  batteryNow,
  burstsLeft,
  cableDropV,
  chargeTimeH,
  FUEL_DRY_S,
  whereLost,
  type Battery,
  type BatteryKind,
  type BatteryNow,
  type LostAt,
} from './battery.js';
export { chargerNamed, chargersIn, type Charger } from './chargers.js';
export { BatteryError } from './battery-error.js';
