import type { Caution, ConnectionKind, System, Zone } from '@brisk/core/connection-map';
import type { IssueSort } from '@brisk/core/first-start';
import type { Drive, FastenerForm, PatternShape } from '@brisk/core/fasteners';
import type { TorqueVerdict } from '@brisk/core/torque';

export const KIND_WORDS: Readonly<Record<ConnectionKind, string>> = {
  bolted: 'bolted joint',
  plug: 'plug',
  hose: 'hose',
  pipe: 'pipe',
  cable: 'cable',
  ground: 'ground',
  linkage: 'linkage',
  shaft: 'shaft',
  clip: 'clip',
  strap: 'strap or belt',
  clamp: 'clamp',
};

export const SYSTEM_WORDS: Readonly<Record<System, string>> = {
  body: 'Body',
  cooling: 'Cooling',
  electrics: 'Electrics',
  fuel: 'Fuel',
  air: 'Air',
  exhaust: 'Exhaust',
  driveline: 'Driveline',
  steering: 'Steering',
  heating: 'Heating',
  mounts: 'Mounts',
  refrigerant: 'Refrigerant',
};

export const ZONE_WORDS: Readonly<Record<Zone, string>> = {
  'bay-front': 'front of the bay',
  'bay-left': 'left side of the bay',
  'bay-right': 'right side of the bay',
  'bay-top': 'top of the engine',
  'bay-rear': 'back of the bay',
  'under-front': 'underneath, front',
  'under-middle': 'underneath, middle',
  'under-rear': 'underneath, rear',
  cabin: 'cabin',
  outside: 'body',
};

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
