import { figureFault, figureIn } from './figure.js';

describe('a figure somebody typed', () => {
  it.each([
    ['44,5', 44.5],
    ['44.5', 44.5],
    [' 38,50 ', 38.5],
    ['0,250', 0.25],
    ['22.125', 22.125],
    ['1200', 1200],
    [',5', 0.5],
    ['-3', -3],
    ['−3,5', -3.5],
  ])('%s is read', (typed, value) => {
    expect(figureIn(typed)).toBe(value);
    expect(figureFault(typed)).toBe('');
  });

  it('is none where nothing was typed', () => {
    expect(figureIn('  ')).toBeUndefined();
    expect(figureFault('')).toBe('');
  });

  it.each([
    ['1.250', '“1.250” can be read two ways. Write 1250, or 1.25.'],
    ['1 250', '“1 250” has thousands marked. Write the figure without: 1250.'],
    ['1.250,5', '“1.250,5” has thousands marked. Write the figure without: 1250,5.'],
    ['4,4,5', '“4,4,5” is no figure. One point or comma, nothing else.'],
    ['44 Nm', '“44 Nm” is no figure. One point or comma, nothing else.'],
    ['1e3', '“1e3” is no figure. One point or comma, nothing else.'],
  ])('%s is refused in words', (typed, words) => {
    expect(figureIn(typed)).toBeNaN();
    expect(figureFault(typed)).toBe(words);
  });
});
