import type { Caution } from '@brisk/core/connection-map';
import type { IssueSort } from '@brisk/core/first-start';
import type { Drive, FastenerForm, PatternShape } from '@brisk/core/fasteners';
import type { TorqueVerdict } from '@brisk/core/torque';

export const SORT_WORDS: Readonly<Record<IssueSort, string>> = {
  'still-unplugged': 'Something is still off',
  'low-voltage': 'Low voltage',
  stored: 'Stored from before',
  real: 'Real',
};

export const VERDICT_WORDS: Readonly<Record<TorqueVerdict, string>> = {
  within: 'On target',
  under: 'Too low',
  over: 'Too high',
  'tool-out-of-range': 'Wrench not trusted at this figure',
  'out-of-calibration': 'Wrench overdue for calibration',
  'too-early': 'Before all of its group were in',
};

/** Cautions by what they are about; the whole sentence is core’s. */
export const CAUTION_NAMES: Readonly<Record<Caution, string>> = {
  battery: 'Live battery',
  fuel: 'Fuel',
  'hot-coolant': 'Hot coolant',
  'hot-metal': 'Hot metal',
  stands: 'Machine raised',
  'under-load': 'Hanging load',
  airbag: 'Airbag',
  refrigerant: 'Refrigerant',
  spring: 'Loaded spring',
  heavy: 'Heavy',
  eyes: 'Rust and grit',
  'exhaust-gas': 'Exhaust gas',
  'high-voltage': 'High voltage',
  'air-pressure': 'Stored air',
};

export const FORM_WORDS: Readonly<Record<FastenerForm, string>> = {
  bolt: 'Bolt',
  nut: 'Nut',
  stud: 'Stud',
  screw: 'Screw',
  union: 'Union',
  clamp: 'Clamp',
  clip: 'Clip',
  pin: 'Pin',
  other: 'Something else',
};

export const DRIVE_WORDS: Readonly<Record<Drive, string>> = {
  hex: 'Hexagon',
  socket: 'Hexagon inside',
  star: 'Star',
  'multi-tooth': 'Many teeth',
  slot: 'Slot',
  cross: 'Cross',
  hand: 'By hand',
};

export const SHAPE_WORDS: Readonly<Record<PatternShape, string>> = {
  circle: 'Circle',
  rectangle: 'Rectangle',
  'bell-housing': 'Bell housing',
  line: 'Line',
  free: 'Free',
};
