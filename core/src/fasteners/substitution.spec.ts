import { readFastener, substitutionRisks } from './index.js';

describe('another one in its place', () => {
  const risks = (own: string, other: string) => substitutionRisks(readFastener(own), readFastener(other));

  it('says that a longer bolt bottoms out', () => {
    const [risk] = risks('M8×1.25 × 25, 13 mm', 'M8×1.25 × 30, 13 mm');
    expect(risk).toMatchObject({ about: 'length', grave: true });
    expect(risk?.words).toContain('bottoms out');
  });

  it('tells a few threads less from too few', () => {
    expect(risks('M8×1.25 × 25, 13 mm', 'M8×1.25 × 23.5, 13 mm')[0]).toMatchObject({ about: 'length', grave: false });
    expect(risks('M8×1.25 × 25, 13 mm', 'M8×1.25 × 16, 13 mm')[0]).toMatchObject({ about: 'length', grave: true });
  });

  it.each([
    ['M8×1.25 × 25', '5/16-18 × 25', 'strips'],
    ['M10×1.5 × 30', 'M10×1.25 × 30', 'cuts across'],
    ['M10×1.5 × 30', 'M8×1.25 × 30', 'pulls out'],
    ['M8×1.25 × 30', 'M10×1.5 × 30', 'does not go'],
    ['M10×1.5 × 30, 16 mm, 10.9', 'M10×1.5 × 30, 16 mm, 8.8', 'Weaker'],
    ['M10×1.5 × 30, 16 mm, 8.8', 'M10×1.5 × 30, 16 mm, 12.9', 'Harder'],
    ['M10×1.5 × 30, 16 mm, 8.8', 'M10×1.5 × 30, 16 mm', 'Nobody knows'],
    ['M8×1.25 × 25, 13 mm flange', 'M8×1.25 × 25, 13 mm', 'No flange'],
    ['M8×1.25 × 25, 13 mm', 'M8×1.25 × 25, 12 mm', 'Another head'],
    ['M8×1.25 × 25, 13 mm', 'M8 nut, 13 mm', 'A nut in the place of a bolt'],
  ])('%s by %s: %s', (own, other, words) =>
    expect(
      risks(own, other)
        .map((risk) => risk.words)
        .join(' '),
    ).toContain(words),
  );

  it('says which of them may hurt: a class too weak, not one too hard', () => {
    const grave = (own: string, other: string) => risks(own, other).map(({ about, grave: may }) => [about, may]);
    expect(grave('M10×1.5 × 30, 16 mm, 10.9', 'M10×1.5 × 30, 16 mm, 8.8')).toEqual([['class', true]]);
    expect(grave('M10×1.5 × 30, 16 mm, 8.8', 'M10×1.5 × 30, 16 mm, 12.9')).toEqual([['class', false]]);
    expect(grave('M8×1.25 × 25', '5/16-18 × 25')).toEqual([['thread', true]]);
    expect(grave('M10×1.5 × 30', 'M10×1.25 × 30')).toEqual([['thread', true]]);
    expect(grave('M10×1.5 × 30', 'M8×1.25 × 30')).toEqual([['thread', true]]);
  });

  it('says nothing of a flange where nobody knows what it is', () => {
    expect(risks('M8×1.25 × 25, 13 mm flange', 'copper ring')).toEqual([]);
  });

  it('says nothing of a head or a class of which one is not known', () => {
    expect(risks('M8×1.25 × 25', 'M8×1.25 × 25, 13 mm')).toEqual([]);
    expect(risks('M8×1.25 × 25, 13 mm', 'M8×1.25 × 25')).toEqual([]);
    const of = (propertyClass: string) => ({ ...readFastener('M8×1.25 × 25'), propertyClass });
    expect(substitutionRisks(of('A2-70'), of('8.8'))).toEqual([]);
    expect(substitutionRisks(of('8.8'), of('A2-70'))).toEqual([]);
  });

  it('has nothing against the same one', () => {
    for (const what of ['M8×1.25 × 25, 13 mm flange', 'M10×1.5 × 30, 16 mm, 10.9', 'spring band clip'])
      expect(risks(what, what)).toEqual([]);
  });
});
