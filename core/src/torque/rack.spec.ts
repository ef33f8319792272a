import { FIRST_RACK, wrenchAt } from './index.js';

const wrench = (id: string, lowestNm: number, highestNm: number) => ({ id, name: id, lowestNm, highestNm });

describe('the wrench taken off the rack', () => {
  it('is the smallest that can be trusted, wherever it hangs', () => {
    const wrenches = [wrench('long', 40, 400), wrench('middle', 20, 200), wrench('short', 10, 100)];
    for (const hung of [wrenches, [...wrenches].reverse()]) {
      const at = (setNm: number) => wrenchAt(setNm, { wrenches: hung, adapters: [] })?.id;
      expect(at(90)).toBe('short');
      expect(at(100)).toBe('short');
      expect(at(101)).toBe('middle');
      expect(at(300)).toBe('long');
      expect(at(401)).toBeUndefined();
      // Below a fifth of its scale a wrench is not trusted, whatever is printed on it.
      expect(at(20)).toBe('short');
      expect(at(19)).toBeUndefined();
    }
    expect(wrenches[0]?.id).toBe('long');
  });

  it('is one of those every shop begins with until it has its own', () =>
    expect(wrenchAt(75, FIRST_RACK)?.id).toBe('three-eighths'));
});
