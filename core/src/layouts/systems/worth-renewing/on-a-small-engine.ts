import { doing, nose, renewal, top } from '../../author.js';
import { forCylinders } from '../../cylinders.js';
import type { Piece } from '../../template.js';
import { open } from './reach.js';

/** What wears on a small engine with a carburettor. */
export const worthOnASmallEngine: Piece = {
  renewals: [
    renewal(
      'carburettor-kit',
      'carburettor gaskets and needle valve',
      'carburettor',
      doing('', top, [20, 40, 90], { cautions: ['fuel'] }),
      {
        reach: [open('carburettor-nuts', 'It is done on the bench, clean.')],
        why: 'It floods, or it starves.',
        lastsYears: 6,
        parts: [['gasket and needle set', 1, 19]],
      },
    ),
    renewal(
      'lift-pump-membrane',
      'fuel pump membrane',
      'lift-pump',
      doing('', top, [10, 20, 40], { cautions: ['fuel'] }),
      {
        reach: [open('lift-pump-bolts', 'It comes apart in the hand.')],
        why: 'Torn, it pumps fuel into the oil.',
        lastsYears: 8,
        parts: [['membrane kit', 1, 16]],
      },
    ),
    renewal('contact-set', 'contact set and condenser', 'distributor', doing('', top, [10, 20, 40]), {
      reach: [],
      why: 'Burnt contacts: no spark, far from here.',
      lastsYears: 3,
      parts: [['contact set with condenser', 1, 14]],
    }),
    ...forCylinders(({ count }) =>
      renewal('intake-gaskets', 'intake gaskets', 'intake-manifold', doing('', top, [6, 12, 25]), {
        reach: [open('intake-bolts', 'They are under it.')],
        why: 'False air burns the exhaust valve.',
        lastsYears: 9,
        parts: [['intake gasket', count, 3]],
      }),
    ),
    renewal('fan-belt', 'drive belt', 'drive-vbelt', doing('', nose, [4, 8, 15]), {
      reach: [open('drive-belt-pulley', 'It runs on it.')],
      why: 'It stands where it stopped.',
      lastsYears: 4,
      parts: [['drive belt', 1, 32]],
    }),
    ...forCylinders(({ count }) =>
      renewal(
        'lever-plugs',
        'spark plugs and leads',
        'engine',
        doing('', top, [3 * count, 6 * count, 12 * count], { tools: ['21 mm plug socket'] }),
        {
          reach: [],
          when: { fuel: ['carburettor', 'single-point', 'petrol-port'] },
          why: 'It misfires when it is wet.',
          lastsYears: 3,
          parts: [['spark plug', count, 6]],
        },
      ),
    ),
    renewal('alternator-brushes', 'alternator brushes and regulator', 'alternator', doing('', nose, [12, 25, 50]), {
      reach: [open('alternator-bolts', 'The cover is on its back.')],
      why: 'The battery dies in the night.',
      lastsYears: 8,
      parts: [['regulator with brushes', 1, 34]],
    }),
    renewal('pressure-switch', 'oil pressure switch', 'engine', doing('', nose, [3, 6, 12]), {
      reach: [open('oil-pressure', 'Its plug is on it.')],
      why: 'It leaks through its own contact, and lies.',
      lastsYears: 8,
      parts: [['oil pressure switch', 1, 9]],
    }),
    ...forCylinders(({ count }) =>
      renewal('exhaust-gaskets', 'exhaust gaskets', 'engine', doing('', nose, [8, 15, 40]), {
        reach: [open('silencer-nuts', 'They are behind it.')],
        why: 'It blows into the cooling air.',
        lastsYears: 5,
        parts: [['exhaust gasket', count, 5]],
      }),
    ),
  ],
};
