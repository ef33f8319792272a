import { below, breaks, doing, inside, nose, renewal } from '../../author.js';
import type { Piece } from '../../template.js';
import { off, open, parted } from './reach.js';

/** What wears on a gearbox and what it drives. */
export const worthOnTheGearbox: Piece = {
  renewals: [
    renewal(
      'output-seal',
      'output shaft seal',
      'gearbox',
      doing('', below, [10, 18, 35], { tools: ['seal puller', 'seal driver'] }),
      {
        reach: [
          off('propshaft', 'The shaft is in it.'),
          open('shaft-left-inner', 'The shaft is in it.'),
          open('shaft-right-inner', 'The shaft is in it.'),
          open('shaft-left-flange', 'The flange is in front of it.'),
          open('shaft-right-flange', 'The flange is in front of it.'),
        ],
        why: 'It drips, the level sinks, the gears howl.',
        lastsYears: 10,
        breaks: breaks('run dry, the gearbox howls and goes', 1_400, 6),
        drains: 'gearbox-oil',
        parts: [['output shaft seal', 1, 13]],
      },
    ),
    renewal(
      'shaft-boots',
      'drive shaft boots',
      'shaft-left',
      doing('', below, [20, 40, 80], { tools: ['clip pliers'] }),
      {
        reach: [
          open('shaft-left-inner', 'It goes on over the inner end.'),
          open('shaft-right-inner', 'It goes on over the inner end.'),
          open('shaft-left-flange', 'It goes on over the inner end.'),
          open('shaft-right-flange', 'It goes on over the inner end.'),
        ],
        why: 'Torn, the joint is dry in a month.',
        lastsYears: 7,
        parts: [['boot kit', 2, 21]],
      },
    ),
    renewal('lever-bushes', 'gear lever bushes and boot', 'gear-lever', doing('', inside, [8, 15, 30]), {
      reach: [open('lever-joint', 'They are in the joint.')],
      why: 'One stirs for a gear.',
      lastsYears: 9,
      parts: [['lever bush set', 1, 18]],
    }),
  ],
};

/** What wears on an automatic gearbox besides. */
export const worthOnAnAutomatic: Piece = {
  renewals: [
    renewal(
      'converter-seal',
      'converter seal',
      'gearbox',
      doing('', nose, [8, 15, 30], { tools: ['seal puller', 'seal driver', 'drain tray'] }),
      {
        reach: [parted, open('converter-shaft', 'The converter is in it.')],
        why: 'The gearbox runs itself dry through it.',
        lastsYears: 12,
        breaks: breaks('run dry, the gearbox goes', 1_800, 7),
        drains: 'gearbox-oil',
        parts: [['converter seal', 1, 15]],
      },
    ),
    renewal(
      'gearbox-filter',
      'gearbox filter and pan gasket',
      'gearbox',
      doing('', below, [20, 35, 70], {
        tools: ['10 mm ratchet', 'drain tray'],
        tip: 'Look at the magnet and the pan: fluff is wear, chips are a gearbox.',
      }),
      {
        reach: [],
        why: 'Blocked, the clutches slip and burn.',
        lastsYears: 6,
        breaks: breaks('the clutches in it slip and burn', 1_800, 7),
        drains: 'gearbox-oil',
        parts: [
          ['filter', 1, 38],
          ['pan gasket', 1, 24],
        ],
      },
    ),
  ],
};
