import { duration, sentence, several } from './index.js';

describe('words', () => {
  it.each([
    [0, '0 min'],
    [25.4, '25 min'],
    [59.6, '1 h'],
    [60, '1 h'],
    [65, '1 h 05'],
    [906, '15 h 06'],
  ])('%d minutes are said “%s”', (minutes, words) => expect(duration(minutes)).toBe(words));

  it('count one and many', () => {
    expect(several(1, 'step')).toBe('1 step');
    expect(several(0, 'step')).toBe('0 steps');
    expect(several(2, 'try', 'tries')).toBe('2 tries');
  });

  it('begin a sentence large', () => expect(sentence('the upper hose')).toBe('The upper hose'));
});
