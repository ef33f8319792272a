/**
 * Layouts: the arrangements of engine, gearbox and drive that a crew can start from, each written as data in small
 * files by system. A job takes a copy, so a layout that is improved later never changes a job that is under way.
 */
import type { ConnectionMap } from '../connection-map/index.js';
import { longitudinalAutomatic } from './longitudinal-automatic/index.js';

export const LAYOUTS: readonly ConnectionMap[] = [longitudinalAutomatic];

/** The layout called `id`, or undefined. */
export function layoutOf(id: string): ConnectionMap | undefined {
  return LAYOUTS.find(({ layout }) => layout === id);
}
