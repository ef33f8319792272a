/**
 * Layouts: the arrangements of engine, gearbox and drive that a crew can start from, each written as data in small
 * files by system, with the options in which its machines differ. `compose` makes a connection map of a layout and the
 * crew's choices. A job takes a copy, so a layout that is improved later never changes a job that is under way.
 */
import { MapError, type ConnectionMap } from '../connection-map/index.js';
import { compose } from './compose.js';
import { frameFourWheelDrive } from './frame-four-wheel-drive/index.js';
import { heavyTiltCab } from './heavy-tilt-cab/index.js';
import { longitudinalAutomatic, longitudinalManual } from './longitudinal/index.js';
import { rearFlatAirCooled } from './rear-flat-air-cooled/index.js';
import type { Template } from './template.js';
import { transverseAutomatic, transverseCradle } from './transverse-cradle/index.js';
import { transverseMid } from './transverse-mid/index.js';
import { utilityBelt } from './utility-belt/index.js';

export { ChoiceError, completed, compose } from './compose.js';
export { clashes, EXCLUSIONS } from './exclusions.js';
export { lintShape } from './lint-shape.js';
export { lintMap, unknownNames } from './lint.js';
export { isOption, OPTION_IDS, OPTIONS, type Choice, type Choices, type OptionId } from './options.js';
export type { OfferedOption, Template } from './template.js';

/** Every layout, the commonest first. */
export const TEMPLATES: readonly Template[] = [
  transverseCradle,
  transverseAutomatic,
  longitudinalManual,
  longitudinalAutomatic,
  frameFourWheelDrive,
  transverseMid,
  rearFlatAirCooled,
  heavyTiltCab,
  utilityBelt,
];

/** The layout called `layout`. Throws {@link MapError}. */
export function templateOf(layout: string): Template {
  const template = TEMPLATES.find((one) => one.layout === layout);
  if (!template) throw new MapError(`There is no layout called “${layout}”.`);
  return template;
}

/** The map of a machine that has what is usual for its layout. Throws {@link MapError}. */
export function usualMap(layout: string): ConnectionMap {
  return compose(templateOf(layout));
}
