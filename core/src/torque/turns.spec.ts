import { nextTurnDeg, turnsLeft } from './index.js';

describe('the turn of an angle', () => {
  it('is thirty degrees at a touch, and past the angle for no bolt', () => {
    expect(nextTurnDeg(45, [0])).toBe(30);
    expect(nextTurnDeg(45, [30])).toBe(15);
    expect(nextTurnDeg(45, [0, 40])).toBe(5);
    expect(nextTurnDeg(45, [45])).toBe(0);
    expect(nextTurnDeg(40, [0, 45])).toBe(0);
    expect(nextTurnDeg(90, [40])).toBe(30);
  });

  it('of all of them is what each has left', () => {
    const turned = [0, 30, 40, 45];
    expect([...turnsLeft(45, turned, [0, 1, 2, 3])]).toEqual([
      [45, [0]],
      [15, [1]],
      [5, [2]],
    ]);
    expect([...turnsLeft(90, [0, 0, 30, 0], [3, 0])]).toEqual([[90, [3, 0]]]);
    expect(turnsLeft(40, turned, [2, 3]).size).toBe(0);
  });
});
