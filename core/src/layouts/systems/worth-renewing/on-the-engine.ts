import { below, breaks, doing, nose, renewal, top } from '../../author.js';
import { CYLINDER_NUMBERS, forCylinders, IN_TWO_BANKS } from '../../cylinders.js';
import type { Piece } from '../../template.js';
import { off, open, out, parted, whileOff } from './reach.js';

const PETROL = { fuel: ['petrol-port', 'petrol-direct', 'single-point', 'carburettor'] } as const;
const DIESEL = { fuel: ['diesel-rail', 'diesel-mechanical'] } as const;

/** What wears on an engine with its cylinders in a row. */
export const worthOnTheEngine: Piece = {
  renewals: [
    renewal(
      'front-crank-seal',
      'front crank seal',
      'engine',
      doing('', nose, [10, 18, 35], { tools: ['seal puller', 'seal driver'] }),
      {
        reach: [off('front-pulley', 'It is behind the crank pulley.')],
        why: 'Oil on the belt, and the belt goes.',
        lastsYears: 10,
        parts: [['front crank seal', 1, 16]],
      },
    ),
    ...forCylinders(({ arranged }) =>
      renewal(
        'timing-drive',
        'timing drive with its tensioner',
        'engine',
        doing('', nose, arranged === 'v' ? [75, 130, 240] : [45, 80, 150], {
          tools: ['torque wrench', 'timing pins'],
          tip: `By the maker’s sheet, in the maker’s order. Tension set with pins in${arranged === 'v' ? ', both banks' : ''}; engine cold.`,
        }),
        {
          reach: [off('timing-cover', 'It runs behind the cover.')],
          why: 'When it goes, the valves meet the pistons.',
          lastsYears: 8,
          breaks: breaks('bent valves, and the head comes off', 1_900, 8),
          after: ['water-pump', 'front-crank-seal'],
          parts: [['timing set', 1, arranged === 'v' ? 290 : 165]],
        },
      ),
    ),
    renewal('head-cover-gasket', 'head cover gasket', 'engine', doing('', top, [6, 12, 25]), {
      reach: [off('head-cover', 'It is under the cover.')],
      why: 'Oil over the hot side, and into the plug wells.',
      lastsYears: 8,
      parts: [['head cover gasket', 1, 26]],
    }),
    renewal('head-cover-gasket-2', 'head cover gasket of the second bank', 'engine', doing('', top, [6, 12, 25]), {
      when: IN_TWO_BANKS,
      reach: [off('head-cover-2', 'It is under the cover.')],
      why: 'Oil over the hot side, and into the plug wells.',
      lastsYears: 8,
      parts: [['head cover gasket', 1, 26]],
    }),
    renewal('sump-gasket', 'sump gasket', 'engine', doing('', below, [15, 25, 45], { tools: ['scraper', 'sealant'] }), {
      reach: [out, off('sump', 'It is between sump and block.')],
      why: 'It drips on the floor for years and then on the road.',
      lastsYears: 10,
      parts: [['sump gasket or sealant', 1, 18]],
    }),
    renewal(
      'oil-pickup',
      'oil pick-up strainer',
      'engine',
      doing('Clean the oil pick-up strainer, new O-ring', below, [5, 10, 20], { tools: ['lamp', 'solvent'] }),
      {
        reach: [out, off('sump', 'It hangs in the sump.')],
        why: 'Half blocked, it starves the bearings when the oil is cold.',
        lastsYears: 12,
        breaks: breaks('the crank bearings starve', 2_600, 10),
        parts: [['pick-up O-ring', 1, 4]],
      },
    ),
    renewal(
      'core-plugs',
      'core plugs',
      'engine',
      doing('', nose, [15, 30, 60], { tools: ['hammer', 'drift', 'sealant'], cautions: ['eyes'] }),
      {
        reach: [
          out,
          parted,
          open('flywheel-bolts', 'One sits behind it.'),
          open('flexplate-bolts', 'One sits behind it.'),
        ],
        why: 'Rusted through from inside, they let the coolant go at once.',
        lastsYears: 18,
        breaks: breaks('it boils before anybody looks: the head gasket', 950, 5),
        drains: 'coolant',
        parts: [['core plug', 3, 5]],
      },
    ),
    renewal(
      'water-pump',
      'water pump',
      'engine',
      doing('', nose, [20, 35, 70], { tools: ['10 mm ratchet', 'scraper'] }),
      {
        reach: [
          open('belt-run', 'The belt drives it.'),
          off('fan', 'The fan is on it.'),
          off('fan-shroud', 'It is behind the shroud.'),
        ],
        why: 'It weeps, then it seizes and takes the belt along.',
        lastsYears: 9,
        breaks: breaks('the belt goes with it and the engine boils', 450, 3),
        drains: 'coolant',
        parts: [['water pump with gasket', 1, 72]],
      },
    ),
    renewal('thermostat', 'thermostat', 'engine', doing('', nose, [8, 15, 30]), {
      reach: [open('upper-hose', 'It sits under the hose.'), open('pipe-hose-feed', 'It sits under the hose.')],
      why: 'Stuck shut it boils, stuck open it never warms.',
      lastsYears: 8,
      breaks: breaks('the head gasket', 950, 5),
      drains: 'coolant',
      parts: [['thermostat with seal', 1, 24]],
    }),
    renewal('rear-hoses', 'heater hoses behind the engine', 'engine', doing('', top, [6, 12, 25]), {
      reach: [open('heater-feed', 'It is one of them.'), open('heater-return', 'It is one of them.'), out],
      why: 'They burst where nobody sees them.',
      lastsYears: 10,
      drains: 'coolant',
      parts: [['heater hose', 2, 17]],
    }),
    renewal('belt-and-tensioner', 'drive belt and tensioner', 'drive-belt', doing('', nose, [5, 10, 20]), {
      reach: [open('belt-run', 'It is on the pulleys.')],
      why: 'No belt: no charge, no steering, no cooling.',
      lastsYears: 6,
      parts: [
        ['drive belt', 1, 24],
        ['tensioner', 1, 46],
      ],
    }),
    renewal('engine-mounts', 'engine mounts', 'engine', doing('', nose, [6, 12, 25]), {
      reach: [open('mount-left', 'It is one of them.'), open('mount-right', 'It is one of them.')],
      why: 'The engine rocks, and pulls at every hose.',
      lastsYears: 10,
      parts: [['engine mount', 2, 45]],
    }),
    renewal('gearbox-mount', 'gearbox mount', 'gearbox', doing('', below, [4, 8, 15]), {
      reach: [
        open('gearbox-mount', 'It is what holds the gearbox.'),
        open('roll-gearbox', 'It is bolted to it.'),
        open('mount-rear', 'It is what holds the gearbox.'),
      ],
      why: 'It knocks when the load changes.',
      lastsYears: 10,
      parts: [['gearbox mount', 1, 38]],
    }),
    ...forCylinders(({ count }) =>
      renewal(
        'spark-plugs',
        'spark plugs',
        'engine',
        doing('', top, [2 * count, 4 * count - 1, 10 * count], {
          tools: ['16 mm plug socket', 'torque wrench'],
          tip: 'Engine cold. Blow the wells out first. Threads by hand.',
        }),
        {
          when: PETROL,
          reach: CYLINDER_NUMBERS.map((number) => open(`coil-${number}`, 'It sits on the plug.')),
          why: 'It misfires, and the catalyst pays.',
          lastsYears: 4,
          parts: [['spark plug', count, 9]],
        },
      ),
    ),
    ...forCylinders(({ count }) =>
      renewal(
        'glow-plugs',
        'glow plugs',
        'engine',
        doing('', top, [3 * count, 8 * count - 2, 30 * count], {
          tools: ['10 mm deep socket', 'torque wrench', 'penetrant'],
          tip: 'Soak the day before, by the maker’s breaking torque and no more: one that breaks means the head.',
        }),
        {
          when: DIESEL,
          reach: [open('glow-bar', 'The rail lies on them.')],
          why: 'It starts badly the first frosty morning.',
          lastsYears: 7,
          parts: [['glow plug', count, 14]],
        },
      ),
    ),
    renewal('starter', 'starter brushes and solenoid', 'starter', doing('', below, [15, 30, 60]), {
      reach: [open('starter-bolts', 'It is on the bell housing.')],
      why: 'It clicks and does not turn, far from here.',
      lastsYears: 9,
      parts: [['brush and solenoid set', 1, 48]],
    }),
    renewal('alternator', 'alternator brushes and regulator', 'alternator', doing('', nose, [12, 25, 50]), {
      reach: [open('alternator-bolts', 'The cover is on its back.'), open('belt-run', 'The belt holds it.')],
      why: 'The battery dies in the night.',
      lastsYears: 8,
      parts: [['regulator with brushes', 1, 42]],
    }),
    ...forCylinders(({ arranged }) => {
      const flanges = arranged === 'v' ? 2 : 1;
      return renewal(
        'exhaust-studs',
        'exhaust studs and gasket',
        'engine',
        doing('', below, [15 * flanges, 30 * flanges, 120 * flanges], {
          tools: ['stud extractor', 'penetrant', 'heat'],
          cautions: ['eyes'],
          tip: 'Soaked and hot, never cold and angry. What breaks flush is drilled with a jig.',
        }),
        {
          reach: [
            out,
            open('downpipe-manifold', 'The front pipe hangs on them.'),
            open('downpipe-second-bank', 'The front pipe hangs on them.'),
            open('downpipe-turbo', 'The front pipe hangs on them.'),
            open('flex-clamp-turbo', 'The flex pipe hangs on it.'),
            whileOff('turbo', 'With the turbocharger off every stud is free.'),
          ],
          why: 'It blows, ticks and burns the loom.',
          lastsYears: 7,
          parts: [
            ['exhaust stud with nut', 3 * flanges, 4],
            ['exhaust gasket', flanges, 14],
          ],
        },
      );
    }),
    renewal('turbo-oil-lines', 'turbo oil lines', 'turbo', doing('', nose, [12, 25, 60]), {
      reach: [open('turbo-nuts', 'They run behind it.')],
      why: 'A blocked one is a dead turbocharger.',
      lastsYears: 9,
      breaks: breaks('the turbocharger runs dry', 880, 4),
      parts: [
        ['turbo oil feed', 1, 38],
        ['oil return with gaskets', 1, 19],
      ],
    }),
    renewal('intake-gasket', 'intake manifold gasket', 'engine', doing('', top, [6, 12, 25]), {
      reach: [off('intake-manifold', 'It is under the manifold.')],
      why: 'False air: it hunts at idle and nobody finds why.',
      lastsYears: 9,
      parts: [['intake gasket', 1, 22]],
    }),
    renewal('oil-pressure-switch', 'oil pressure switch', 'engine', doing('', below, [3, 6, 12]), {
      reach: [open('oil-pressure', 'Its plug is on it.')],
      why: 'It leaks through its own contact, and lies.',
      lastsYears: 8,
      parts: [['oil pressure switch', 1, 14]],
    }),
    renewal(
      'loom-repair',
      'loom where it ran hot or rubbed',
      'loom',
      doing('Mend the loom where it ran hot or rubbed: insulation, terminals, tape', top, [20, 45, 120], {
        tools: ['crimper', 'heat gun', 'loom tape'],
      }),
      {
        reach: [open('loom-top-clips', 'It lies in its clips.'), out],
        why: 'One bare wire makes faults that look like anything.',
        lastsYears: 12,
        parts: [['terminals, sleeve and tape', 1, 22]],
      },
    ),
    renewal('fuel-hoses', 'fuel hoses in the bay', 'engine', doing('', top, [6, 12, 25], { cautions: ['fuel'] }), {
      reach: [
        open('petrol-feed', 'It is one of them.'),
        open('fuel-feed', 'It is one of them.'),
        open('tank-feed', 'It is one of them.'),
      ],
      why: 'Cracked fuel hose over a hot manifold burns machines down.',
      lastsYears: 10,
      parts: [['fuel hose with clips', 2, 9]],
    }),
  ],
};
