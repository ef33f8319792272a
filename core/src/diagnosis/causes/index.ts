import type { Cause } from '../knowledge.js';
import { CRANKING } from './cranking.js';
import { DRIVE } from './drive.js';
import { FUEL } from './fuel.js';
import { IGNITION } from './ignition.js';
import { INSIDE } from './inside.js';
import { OIL_AND_WATER } from './oil-and-water.js';
import { SIGNALS } from './signals.js';

/** What goes wrong after a powerpack was out, system by system. */
export const CAUSES: readonly Cause[] = [
  ...CRANKING,
  ...SIGNALS,
  ...FUEL,
  ...IGNITION,
  ...INSIDE,
  ...OIL_AND_WATER,
  ...DRIVE,
];
