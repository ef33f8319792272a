import { FIRST_GEAR } from '@brisk/core/rigging';
import { liftingGearSchema } from './lifting-gear.js';

const wrong = (gear: unknown): string => {
  try {
    liftingGearSchema.validateSync(gear);
    return 'right';
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
};

describe('what a shop lifts with', () => {
  it('takes what ships with the product as it is', () => {
    expect(liftingGearSchema.validateSync(FIRST_GEAR)).toEqual(FIRST_GEAR);
  });

  it.each([
    ['no leveller', { levellers: [] }, /The list of levellers needs 1 at least/],
    ['a dolly twice', { dollies: [1, 2].map(() => FIRST_GEAR.dollies[0]) }, /dollies has something twice/],
    [
      'two holes at one reach',
      { hoists: [{ id: 'a', name: 'A', holes: [1, 2].map(() => FIRST_GEAR.hoists[0]?.holes[0]) }] },
      /holes has something twice/,
    ],
    ['a rating below nought', { dollies: [{ id: 'a', name: 'A', ratedKg: -1, deckMm: 100 }] }, /ratedKg/],
    [
      'a stand upside down',
      { stands: [{ id: 'a', name: 'A', ratedKg: 500, lowestMm: 500, highestMm: 300 }] },
      /highest has to be above its lowest/,
    ],
    ['a name that is none', { slings: [{ id: 'a', name: ' ', ratedKg: 500, lengthMm: 500 }] }, /name/],
    ['a hoist without a hole', { hoists: [{ id: 'a', name: 'A', holes: [] }] }, /holes/],
  ])('refuses %s in words', (_what, change, words) => {
    expect(wrong({ ...FIRST_GEAR, ...change })).toMatch(words);
  });
});
