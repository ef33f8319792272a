/**
 * The shapes of the layouts, apart from their maps: a view that only draws a machine need not know how one is composed.
 */
import type { ConnectionMap } from '../../connection-map/index.js';
import { machineShape, ShapeError, type LayoutShape, type MachineShape, type Measured } from '../../shape/index.js';
import { frameFourWheelDriveShape } from '../frame-four-wheel-drive/shape.js';
import { heavyTiltCabShape } from '../heavy-tilt-cab/shape.js';
import { longitudinalAutomaticShape, longitudinalManualShape } from '../longitudinal/shape.js';
import { rearFlatAirCooledShape } from '../rear-flat-air-cooled/shape.js';
import { transverseAutomaticShape, transverseCradleShape } from '../transverse-cradle/shape.js';
import { transverseMidShape } from '../transverse-mid/shape.js';
import { utilityBeltShape } from '../utility-belt/shape.js';

const SHAPES: Readonly<Record<string, LayoutShape>> = {
  'transverse-cradle': transverseCradleShape,
  'transverse-automatic': transverseAutomaticShape,
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
  const layout = withCylinders(SHAPES[map.layout], map.cylinders);
  return (
    layout &&
    machineShape(
      layout,
      map.parts.filter(({ id }) => id !== map.body),
      measured,
    )
  );
}

/** `layout` for an engine with these cylinders. */
function withCylinders(
  layout: LayoutShape | undefined,
  cylinders: ConnectionMap['cylinders'],
): LayoutShape | undefined {
  const other = layout?.withCylinders?.[`${cylinders?.arranged}${cylinders?.count}`];
  return layout && other ? { ...layout, planes: { ...layout.planes, ...other } } : layout;
}

/**
 * The machine of `map` as far as it can be drawn: that of {@link shapeOf}; where a measurement turns something inside out
 * the usual one, and for a layout nobody drew, its parts where the zones of a lengthwise engine are.
 */
export function shapeToDraw(map: ConnectionMap, measured: Measured = {}): MachineShape {
  const drawn = SHAPES[map.layout] ? map : { ...map, layout: 'longitudinal-manual' };
  try {
    return shapeOf(drawn, measured) as MachineShape;
  } catch (error) {
    if (error instanceof ShapeError) return shapeOf(drawn) as MachineShape;
    throw error;
  }
}
