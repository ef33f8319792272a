import { below, breaks, doing, renewal } from '../../author.js';
import type { Piece } from '../../template.js';
import { open, parted } from './reach.js';

const A_FOOT = { clutch: ['hydraulic', 'cable'] } as const;

/** Seals, bearings and wearing parts between engine and gearbox. */
export const worthBetween: Piece = {
  renewals: [
    renewal(
      'rear-crank-seal',
      'rear crank seal',
      'engine',
      doing('', below, [15, 25, 50], {
        tools: ['seal puller', 'seal driver', 'lamp'],
        tip: 'Look at the shaft where the old lip ran: a groove wants the new one a little deeper. Oil on the lip, or dry, as the maker says.',
      }),
      {
        reach: [
          parted,
          open('flywheel-bolts', 'It is behind the flywheel.'),
          open('flexplate-bolts', 'It is behind the drive plate.'),
        ],
        why: 'Oil on the clutch, or under the machine, and the gearbox comes off again for it.',
        lastsYears: 12,
        parts: [['rear crank seal', 1, 28]],
      },
    ),
    renewal(
      'clutch',
      'clutch disc and cover',
      'flywheel',
      doing('', below, [4, 8, 15], {
        tools: ['calliper', 'lamp'],
        tip: 'New disc tried on the splines first. Flywheel face: blue spots and cracks are machined or it is changed.',
      }),
      {
        when: A_FOOT,
        reach: [parted],
        why: 'It slips under load, and there is no way to it but this one.',
        lastsYears: 9,
        parts: [
          ['clutch disc', 1, 85],
          ['clutch cover', 1, 105],
        ],
      },
    ),
    renewal('release-bearing', 'release bearing', 'gearbox', doing('', below, [4, 8, 15]), {
      when: A_FOOT,
      reach: [parted],
      why: 'It howls with the pedal down, then it seizes.',
      lastsYears: 9,
      breaks: breaks('it cuts the fingers of the clutch cover', 105, 1),
      parts: [['release bearing', 1, 38]],
    }),
    renewal(
      'pilot-bearing',
      'pilot bearing',
      'flywheel',
      doing('', below, [5, 12, 30], { tools: ['bearing puller', 'driver'] }),
      {
        when: A_FOOT,
        reach: [parted],
        why: 'The gears drag and nobody finds why.',
        lastsYears: 12,
        breaks: breaks('it wears the end of the input shaft', 620, 4),
        parts: [['pilot bearing', 1, 12]],
      },
    ),
    renewal(
      'input-shaft-seal',
      'input shaft seal',
      'gearbox',
      doing('', below, [15, 25, 45], { tools: ['seal puller', 'seal driver'] }),
      {
        when: A_FOOT,
        reach: [parted],
        why: 'Gear oil on the clutch disc: the disc is scrap.',
        lastsYears: 12,
        breaks: breaks('oil on the clutch disc, which is scrap', 85, 1),
        drains: 'gearbox-oil',
        parts: [['input shaft seal', 1, 14]],
      },
    ),
    renewal('clutch-cylinder', 'clutch slave cylinder', 'clutch-cylinder', doing('', below, [5, 10, 20]), {
      reach: [
        open('clutch-cylinder-bolts', 'It is bolted to the bell housing.'),
        open('clutch-line', 'Its line has to come off for a new one.'),
      ],
      why: 'It weeps, then the pedal stays on the floor.',
      lastsYears: 9,
      parts: [['clutch slave cylinder', 1, 44]],
    }),
  ],
};
