import type { ConnectionMap } from '../connection-map/index.js';
import { machineShape, type LayoutShape, type MachineShape, type Measured } from '../shape/index.js';
import { frameFourWheelDriveShape } from './frame-four-wheel-drive/shape.js';
import { heavyTiltCabShape } from './heavy-tilt-cab/shape.js';
import { longitudinalAutomaticShape, longitudinalManualShape } from './longitudinal/shape.js';
import { rearFlatAirCooledShape } from './rear-flat-air-cooled/shape.js';
import { transverseCradleShape } from './transverse-cradle/shape.js';
import { transverseMidShape } from './transverse-mid/shape.js';
import { utilityBeltShape } from './utility-belt/shape.js';

const SHAPES: Readonly<Record<string, LayoutShape>> = {
  'transverse-cradle': transverseCradleShape,
  'longitudinal-manual': longitudinalManualShape,
  'longitudinal-automatic': longitudinalAutomaticShape,
  'frame-four-wheel-drive': frameFourWheelDriveShape,
  'transverse-mid': transverseMidShape,
  'rear-flat-air-cooled': rearFlatAirCooledShape,
  'heavy-tilt-cab': heavyTiltCabShape,
  'utility-belt': utilityBeltShape,
};

/**
 * The machine of `map` in true measure: what is usual for its layout, stretched to what was measured. Nothing for a map
 * whose layout has no shape. Throws `ShapeError` where a measurement turns something inside out.
 */
export function shapeOf(map: ConnectionMap, measured: Measured = {}): MachineShape | undefined {
  const layout = SHAPES[map.layout];
  return (
    layout &&
    machineShape(
      layout,
      map.parts.filter(({ id }) => id !== map.body),
      measured,
    )
  );
}
