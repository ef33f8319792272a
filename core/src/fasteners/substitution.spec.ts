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

  it.each<[string, string, readonly [string, boolean, string][]]>([
    [
      'M8×1.25 × 25',
      'M8×1.25 × 30',
      [
        [
          'length',
          true,
          '5 mm longer: in a blind hole it bottoms out, feels tight and clamps nothing, or breaks through.',
        ],
      ],
    ],
    ['M8×1.25 × 25', 'M8×1.25 × 26', []],
    ['M8×1.25 × 25', 'M8×1.25 × 24', []],
    ['M8×1.25 × 25', 'M8×1.25 × 23.5', [['length', false, '1.5 mm shorter: fewer threads carry it.']]],
    [
      'M8×1.25 × 25',
      'M8×1.25 × 23',
      [['length', true, '2 mm shorter: fewer threads carry it, and they strip under torque.']],
    ],
    ['M8×1.25 × 25', 'M8×1.25', []],
    ['M8×1.25', 'M8×1.25 × 25', []],
    [
      'M8×1.25 × 25, 13 mm flange',
      'M8×1.25 × 25, 13 mm',
      [
        [
          'head',
          false,
          'No flange: the head presses on less, sinks in and loses its hold. Put a hard washer under it.',
        ],
      ],
    ],
    ['M8×1.25 × 25, 13 mm', 'M8×1.25 × 25, 13 mm flange', []],
    [
      'M8×1.25 × 25, 13 mm',
      'M8×1.25 × 25, 12 mm',
      [['head', false, 'Another head (12 for 13): look whether a socket still gets onto it.']],
    ],
    ['M8 stud', 'M8 nut', [['form', true, 'A nut in the place of a stud.']]],
    ['copper ring', 'M8 nut', []],
    ['M8 nut', 'copper ring', []],
    ['push clip', 'M8 clip', []],
    [
      'M8×1.25',
      'M8×1',
      [['thread', true, 'Same size, another pitch: M8×1.0 goes in one turn and then cuts across M8×1.25.']],
    ],
    ['M8×1.25', 'M6×1', [['thread', true, 'M6×1.0 is loose in an M8×1.25 hole and pulls out.']]],
    ['M8×1.25', 'M10×1.5', [['thread', true, 'M10×1.5 does not go into an M8×1.25 hole.']]],
    ['M8×1.25', '5/16-18', [['thread', true, '5/16-18 starts in an M8×1.25 hole by a few turns and then strips it.']]],
    [
      '3/8-16, grade 5',
      '3/8-16',
      [['class', false, 'Nobody knows its class; grade 5 belongs here. Look at the head.']],
    ],
    ['3/8-16', '3/8-16, grade 5', []],
    [
      '3/8-16, grade 5',
      '3/8-16, grade 2',
      [['class', true, 'Weaker: grade 2 for grade 5. It stretches at the book torque and breaks or comes loose.']],
    ],
    [
      '3/8-16, grade 5',
      '3/8-16, grade 8',
      [
        [
          'class',
          false,
          'Harder: grade 8 for grade 5. It is more brittle, and the book torque was made for the other.',
        ],
      ],
    ],
  ])('%s by %s', (own, other, told) =>
    expect(risks(own, other).map(({ about, grave, words }) => [about, grave, words])).toEqual(told),
  );

  it('holds classes of the two systems that are as strong for the same', () => {
    const of = (propertyClass: string) => ({ ...readFastener('M8×1.25 × 25'), propertyClass });
    const classes = ['4.6', '4.8', '5.8', '8.8', '10.9', '12.9'];
    classes.forEach((own, at) =>
      classes.forEach((other, next) =>
        expect([own, other, substitutionRisks(of(own), of(other)).map(({ grave }) => grave)]).toEqual([
          own,
          other,
          at === next ? [] : [next < at],
        ]),
      ),
    );
    for (const [own, other] of [
      ['8.8', 'grade 5'],
      ['10.9', 'grade 8'],
      ['5.8', 'grade 2'],
    ] as const) {
      expect(substitutionRisks(of(own), of(other))).toEqual([]);
      expect(substitutionRisks(of(other), of(own))).toEqual([]);
    }
  });
});
