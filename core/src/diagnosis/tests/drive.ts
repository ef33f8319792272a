import { HOT, STOPPED } from '../cautions.js';
import type { TroubleTest } from '../knowledge.js';
import { test } from './test.js';

/** Clutch, gears, shafts, boost: what the road shows. */
export const ON_THE_ROAD: readonly TroubleTest[] = [
  test(
    'noise-pedal',
    'Does the noise change with the clutch pedal?',
    'Idle, slowly down and up.',
    1,
    'running',
    [
      ['no', 'No', 0.9],
      ['down', 'Comes with the pedal down', 0.05],
      ['up', 'Goes with the pedal down', 0.05],
    ],
    { for: { gearbox: 'manual' } },
  ),
  test(
    'gears',
    'How do the gears go in?',
    'Engine off first, then running, foot down.',
    2,
    'standing',
    [
      ['all', 'All of them', 0.9],
      ['some', 'Some do not', 0.05],
      ['grind', 'They grind with the engine on', 0.03],
      ['none', 'None does', 0.02],
    ],
    { for: { gearbox: 'manual' } },
  ),
  test(
    'pedal',
    'How is the clutch pedal?',
    'By foot, engine off.',
    1,
    'standing',
    [
      ['usual', 'As always', 0.88],
      ['soft', 'Soft, or stays down', 0.06],
      ['high', 'Bites right at the top', 0.03],
      ['hard', 'Hard', 0.03],
    ],
    { for: { gearbox: 'manual' } },
  ),
  test(
    'fork-travel',
    'How far does the release fork or its cylinder go with the pedal down?',
    'Rule beside it, somebody on the pedal, against the maker’s figure; hands clear of the fork.',
    4,
    'standing',
    [
      ['full', 'All of it', 0.92],
      ['short', 'Less', 0.08],
    ],
    { for: { gearbox: 'manual' }, caution: STOPPED },
  ),
  test(
    'turns-free',
    'Pedal down and a gear in: does the drive turn free by hand?',
    'Driven wheels off the ground or the shaft in hand, engine off, key out; somebody on the pedal.',
    5,
    'standing',
    [
      ['free', 'It does', 0.93],
      ['drags', 'The engine goes with it', 0.07],
    ],
    { for: { gearbox: 'manual' }, caution: STOPPED },
  ),
  test(
    'bite',
    'Does the clutch slip or drag?',
    'Brake on, third gear, let it up slowly; then a short run.',
    5,
    'driving',
    [
      ['right', 'Neither', 0.9],
      ['slips', 'It slips', 0.06],
      ['judders', 'It judders', 0.04],
    ],
    { for: { gearbox: 'manual' }, caution: 'Nobody before or behind it.' },
  ),
  test(
    'drive',
    'What does the automatic do when a gear is in?',
    'Foot on the brake, R and D, then a short run.',
    5,
    'running',
    [
      ['takes', 'Takes up, shifts', 0.9],
      ['none', 'No drive', 0.04],
      ['late', 'Late, or slips', 0.04],
      ['wrong', 'Not the gear that is chosen', 0.02],
    ],
    { for: { gearbox: 'automatic' }, caution: 'Nobody before or behind it.' },
  ),
  test(
    'atf',
    'What is the level of the automatic?',
    'Running, in park, at the maker’s temperature.',
    5,
    'running',
    [
      ['right', 'Between its marks, clear', 0.9],
      ['low', 'Low', 0.08],
      ['froth', 'Froth, or far over', 0.02],
    ],
    { for: { gearbox: 'automatic' }, caution: HOT },
  ),
  test(
    'vibration',
    'When does it shake?',
    'Standing with revs, then rolling out of gear.',
    6,
    'driving',
    [
      ['never', 'Never more than before', 0.88],
      ['revs', 'With the revolutions', 0.06],
      ['speed', 'With the speed', 0.06],
    ],
    { caution: 'Short, slow, nobody about.' },
  ),
  test('boost', 'Does it build boost?', 'Gauge or tester, under load; listen for a hiss.', 6, 'driving', [
    ['builds', 'It does', 0.9],
    ['none', 'None', 0.1],
  ]),
];
