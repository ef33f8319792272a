import type { TroubleTest } from '../knowledge.js';
import { ON_THE_ROAD } from './drive.js';
import { FUEL_AND_SPARK } from './fuel-and-spark.js';
import { ON_THE_KEY } from './on-the-key.js';
import { RUNNING } from './running.js';

/** What one can look at, listen to and measure. Usual answers are those of a machine without the fault. */
export const TESTS: readonly TroubleTest[] = [...ON_THE_KEY, ...FUEL_AND_SPARK, ...RUNNING, ...ON_THE_ROAD];
