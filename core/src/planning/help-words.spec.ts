import { helpWords } from './index.js';

const when = (minutes: number) => `${7 + Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
const call = (fromMin: number, untilMin: number) => ({ fromMin, untilMin, steps: [] });

describe('when a second pair of hands is wanted', () => {
  it('is said in one sentence, and not at all where none is', () => {
    expect(helpWords([call(190, 220), call(480, 505), call(600, 601)], when)).toBe(
      'A second pair of hands: 10:10 to 10:40, 15:00 to 15:25 and 17:00 to 17:01.',
    );
    expect(helpWords([call(5, 10)], when)).toBe('A second pair of hands: 7:05 to 7:10.');
    expect(helpWords([], when)).toBe('');
  });
});
