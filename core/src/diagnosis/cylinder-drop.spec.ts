import { cylinderDrop } from './index.js';

describe('the cylinder drop', () => {
  it.each([
    [[60, 4, 55, 62], { answer: 'one', least: [2] }],
    [[60, 52, 55, 62], { answer: 'all', least: [] }],
    [[60, undefined, 8], { answer: 'one', least: [3] }],
    [[70, 0], { answer: 'one', least: [2] }],
    [[60, 2, 1, 64, 58, 61], { answer: 'one', least: [2, 3] }],
  ])('%j is %j', (lost, drop) => expect(cylinderDrop(lost)).toEqual(drop));

  it('says nothing of one alone, of none, or where none loses enough to tell', () => {
    expect(cylinderDrop([60])).toBeUndefined();
    expect(cylinderDrop([undefined, undefined])).toBeUndefined();
    expect(cylinderDrop([3, 2, 4, 1])).toBeUndefined();
  });
});
