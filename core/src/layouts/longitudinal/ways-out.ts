import type { Powerpack, Route } from '../../connection-map/index.js';
import {
  backFromAbove,
  engineDown,
  engineUp,
  fourStepsUp,
  gearboxDown,
  gearboxUp,
  jackOutFirst,
  jackUnderLast,
  sitting,
  standAway,
  standBack,
} from '../systems/ways.js';

export const powerpacks: readonly Powerpack[] = [
  { id: 'engine-with-gearbox', name: 'Engine with gearbox', roots: ['engine', 'gearbox'] },
  { id: 'engine', name: 'Bare engine', roots: ['engine'] },
  { id: 'gearbox', name: 'Gearbox alone', roots: ['gearbox'] },
];

const aboveIt = [
  { part: 'bonnet', why: 'The hoist boom needs the space above.' },
  { part: 'slam-panel', why: 'The sump has to clear the nose.' },
  { part: 'radiator', why: 'The powerpack comes forward before it comes up.' },
  { part: 'strut-brace', why: 'It crosses the opening.' },
  { part: 'airbox', why: 'It stands in the way on the right.' },
];
const behindIt = [
  { part: 'expansion-bottle', why: 'The gearbox tail swings past it.' },
  { part: 'bulkhead-shield', why: 'The bell housing tears it on the way up.' },
  { part: 'downpipe', why: 'It would catch behind the bulkhead.' },
  { part: 'propshaft', why: 'The gearbox moves forward off it.' },
  { part: 'crossmember', why: 'The gearbox tail has to drop.' },
];
const below = [
  { part: 'downpipe', why: 'It runs where the gearbox comes down.' },
  { part: 'propshaft', why: 'The gearbox moves back, where the shaft is.' },
  { part: 'crossmember', why: 'The gearbox has to drop.' },
];
const parted = [
  { connection: 'bell-housing', why: 'The gearbox leaves below, the engine above.' },
  { connection: 'converter-bolts', why: 'The converter leaves with the gearbox.' },
  { connection: 'gearbox-cooler-clip', why: 'The pipes go with the gearbox.' },
  { connection: 'filler-tube', why: 'It goes with the gearbox.' },
  { connection: 'starter-bolts', why: 'Two of the housing bolts hold the starter.' },
  { connection: 'gas-pipe-bracket', why: 'The hot gas pipe is held at the gearbox.' },
];

/** Out of the top whole, engine alone, gearbox alone from below, or split: gearbox down first, then the engine up. */
export function lengthwiseRoutes(knownConnections: readonly string[]): readonly Route[] {
  return [
    {
      id: 'top',
      name: 'Out of the top',
      powerpacks: ['engine-with-gearbox'],
      blockedBy: [...aboveIt, ...behindIt],
      supports: ['powerpack-supported', 'gearbox-supported'],
      liftSteps: jackOutFirst(fourStepsUp('over the nose')),
      lowerSteps: jackUnderLast(backFromAbove),
    },
    {
      id: 'top-engine',
      name: 'Out of the top, gearbox stays',
      powerpacks: ['engine'],
      blockedBy: aboveIt,
      supports: ['powerpack-supported', 'gearbox-supported'],
      liftSteps: engineUp,
      lowerSteps: engineDown,
    },
    {
      id: 'under',
      name: 'Down and out below',
      powerpacks: ['gearbox'],
      blockedBy: below,
      supports: ['engine-held', 'gearbox-supported'],
      liftSteps: gearboxDown,
      lowerSteps: gearboxUp,
    },
    {
      id: 'split',
      name: 'Split: gearbox down, engine up',
      powerpacks: ['engine-with-gearbox'],
      blockedBy: [...aboveIt, ...below],
      opensToo: parted.filter(({ connection }) => knownConnections.includes(connection)),
      supports: ['powerpack-supported', 'gearbox-supported', 'engine-on-stand'],
      liftSteps: [...gearboxDown, standAway, ...fourStepsUp('over the nose')],
      lowerSteps: [...sitting('engine', backFromAbove), standBack, ...gearboxUp],
    },
  ];
}
