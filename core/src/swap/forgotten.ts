import type { PartId, Station } from '../connection-map/index.js';

/** Something people drive back to the yard for. */
export interface Forgotten {
  /** The part it is, where the map has it as one. */
  readonly part?: PartId;
  /** The connection on the donor’s map that shows that it has one; absent: every donor has it. */
  readonly where?: readonly string[];
  readonly name: string;
  readonly station: Station;
  readonly why: string;
}

/** What is left behind at the yard, the most often forgotten first. */
export const FORGOTTEN: readonly Forgotten[] = [
  {
    part: 'control-unit',
    where: ['loom-control-unit'],
    name: 'control unit with its bracket, key ring and lock',
    station: 'cabin',
    why: 'It starts only with the key it knows.',
  },
  {
    where: ['throttle-plug', 'rail-sensor'],
    name: 'accelerator pedal with its plug',
    station: 'cabin',
    why: 'By wire, the pedal is a sensor and belongs to the control unit.',
  },
  {
    where: ['loom-control-unit'],
    name: 'diagnostic socket with a hand of lead',
    station: 'cabin',
    why: 'Without it nobody can ask what is wrong.',
  },
  {
    where: ['converter-bolts'],
    name: 'converter bolts and drive plate',
    station: 'underside',
    why: 'Their length is special; a longer one dents the converter.',
  },
  {
    where: ['clutch-cylinder-bolts', 'clutch-cable-end'],
    name: 'clutch release parts: lever, bearing, cylinder',
    station: 'underside',
    why: 'They go with the bell housing, not with the host.',
  },
  { part: 'starter', name: 'starter', station: 'underside', why: 'Its tooth count goes with the flywheel.' },
  { name: 'mounts and their brackets', station: 'bay-top', why: 'The brackets fit that block only.' },
  {
    name: 'every plug half with a hand of lead',
    station: 'bay-top',
    why: 'A plug body costs more than the yard asks for the loom.',
  },
  { name: 'dipstick and its tube', station: 'bay-top', why: 'The mark is made for that sump.' },
  {
    where: ['oxygen-before', 'oxygen-second-bank'],
    name: 'oxygen sensors with their leads',
    station: 'underside',
    why: 'The control unit knows its own.',
  },
  {
    where: ['selector-rod', 'gear-cable-select', 'lever-joint', 'shift-coupling'],
    name: 'gear lever, rods or cables',
    station: 'cabin',
    why: 'Length and throw go with the gearbox.',
  },
  {
    part: 'downpipe',
    where: ['downpipe-turbo', 'downpipe-manifold', 'downpipe-second-bank', 'flex-clamp-turbo'],
    name: 'first piece of the exhaust with its flange',
    station: 'underside',
    why: 'The flange is easier to weld to than to make.',
  },
  {
    name: 'bell housing bolts, by length',
    station: 'underside',
    why: 'Three lengths, and none is in the box at home.',
  },
];
