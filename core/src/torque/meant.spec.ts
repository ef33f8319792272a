import { otherwiseMeant } from './index.js';

describe('a reading that may not be what was meant', () => {
  it.each([
    ['is not asked about where it is on the figure', 44, 44.5, undefined],
    ['nor where it just missed', 44, 40, undefined],
    ['lost its comma', 44, 445, [{ value: 44.5, unit: 'N·m' }]],
    [
      'has its comma one place too early',
      44,
      4.4,
      [
        { value: 44, unit: 'N·m' },
        { value: 4.4, unit: 'kgf·m' },
      ],
    ],
    ['was read in foot-pounds', 60, 44, [{ value: 44, unit: 'lbf·ft' }]],
    [
      'was read in inch-pounds',
      9,
      80,
      [
        { value: 8, unit: 'N·m' },
        { value: 80, unit: 'lbf·in' },
      ],
    ],
    ['is far off, and nothing else fits', 44, 200, []],
  ] as const)('%s', (_what, wantedNm, value, meant) => {
    expect(otherwiseMeant(wantedNm, { value, unit: 'N·m' })).toEqual(meant);
  });
});
