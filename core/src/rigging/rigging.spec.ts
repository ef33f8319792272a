import {
  balanceOf,
  dolliesFor,
  FIRST_GEAR,
  GRAVITY,
  highestHookMm,
  holesOf,
  hookTravelMm,
  judgeLeg,
  mostTiltDeg,
  RiggingError,
  slingsFor,
  supportsFor,
  together,
  turnsFor,
  twoLegs,
} from './index.js';

/** To 0.1 %. */
const near = (value: number, known: number) => expect(Math.abs(value / known - 1)).toBeLessThan(0.001);

describe('slings', () => {
  it('share a weight by where the hook is between them', () => {
    const [a, b] = twoLegs(265, { aMm: 300, bMm: 420, heightMm: 550 });
    near(a.tensionN, 1727);
    near(b.tensionN, 1363);
    // What pulls level cancels, what pulls up is the weight.
    near((a.tensionN * 300) / a.lengthMm, (b.tensionN * 420) / b.lengthMm);
    near(((a.tensionN / a.lengthMm + b.tensionN / b.lengthMm) * 550) / GRAVITY, 265);
  });

  it('pull W over twice the sine of their angle where they are alike', () => {
    const [a, b] = twoLegs(200, { aMm: 300, bMm: 300, heightMm: 300 });
    near(a.angleDeg, 45);
    near(a.tensionN, (200 * GRAVITY) / (2 * Math.sin(Math.PI / 4)));
    expect(b).toEqual(a);
  });

  it('are warned of under 45° and refused under 30°', () => {
    expect([60, 45, 44.9, 30, 29.9].map((angleDeg) => judgeLeg({ angleDeg }))).toEqual([
      'as drawn',
      'as drawn',
      'flat',
      'flat',
      'refused',
    ]);
  });

  it.each([
    [0, 300, 420, 550, 'A weight has to be above zero.'],
    [265, 300, 420, 0, 'The hook has to be above the pick points.'],
    [265, -10, 420, 550, 'The hook has to be between the two pick points: move one of them.'],
    [265, 0, 0, 550, 'The hook has to be between the two pick points: move one of them.'],
  ])('are refused for %s kg, %s and %s beside the hook, %s under it', (massKg, aMm, bMm, heightMm, words) => {
    const hang = () => twoLegs(massKg, { aMm, bMm, heightMm });
    expect(hang).toThrow(RiggingError);
    expect(hang).toThrow(words);
  });
});

describe('a leveller', () => {
  it('moves its hook by the tangent of the tilt, so many mm a turn', () => {
    const travelMm = hookTravelMm(380, 0, 25);
    near(travelMm, 177.2);
    near(turnsFor({ leadMm: 4 }, travelMm), 44.3);
    near(turnsFor({ leadMm: 4 }, hookTravelMm(380, 25, 0)), -44.3);
  });

  it('tilts as far as its bar lets the hook go', () => near(mostTiltDeg({ travelMm: 240 }, 380), 32.28));

  it('is refused under what it lifts, on its side, and with no thread', () => {
    expect(() => hookTravelMm(0, 0, 10)).toThrow('above the centre of gravity');
    expect(() => hookTravelMm(300, 0, 85)).toThrow('Nothing is tilted as far as that.');
    expect(() => turnsFor({ leadMm: 0 }, 10)).toThrow(RiggingError);
  });
});

describe('a hoist', () => {
  it('is held hole by hole against reach, rating with a quarter more, and hook height', () => {
    const [hoist] = FIRST_GEAR.hoists;
    if (!hoist) throw new Error('There is no hoist.');
    const need = { massKg: 420, highestHookMm: 2_400, lowestHookMm: 300, reachMm: 1_000 };
    expect(holesOf(hoist, need).map(({ loadKg, wrong }) => [loadKg, wrong])).toEqual([
      [525, ['too short', 'hook too low', 'hook too high']],
      [525, []],
      [525, ['rated too low']],
      [525, ['rated too low']],
    ]);
  });
});

describe('balance', () => {
  it('is the lever: what is nearer carries more', () => {
    const balance = balanceOf({ massKg: 1_000, xMm: -900 }, 0, -2_400);
    near(balance.frontN, 1_000 * GRAVITY * (1_500 / 2_400));
    near(balance.frontN + balance.rearN, 1_000 * GRAVITY);
    expect(balance.is).toBe('inside');
  });

  it('moves back when the powerpack is gone, and is warned of near the edge and refused outside', () => {
    const machine = { massKg: 1_400, xMm: -1_000 };
    const powerpack = { massKg: 300, xMm: 100 };
    const without = together([machine, { massKg: -0, xMm: 0 }, { massKg: -powerpack.massKg, xMm: powerpack.xMm }]);
    near(without.xMm, -1_300);
    expect(balanceOf(without, -100, -1_420).is).toBe('near the edge');
    expect(balanceOf(without, -100, -1_290).is).toBe('outside');
    expect(balanceOf(without, -100, -2_500).is).toBe('inside');
  });

  it('is refused for stands the wrong way round and a machine that weighs nothing', () => {
    expect(() => balanceOf({ massKg: 900, xMm: 0 }, -2_000, -100)).toThrow('front support');
    expect(() => balanceOf({ massKg: 0, xMm: 0 }, 0, -100)).toThrow(RiggingError);
    expect(() => together([])).toThrow(RiggingError);
  });
});

describe('what a shop has, held against what it is to do', () => {
  const { slings, jacks, dollies, hoists } = FIRST_GEAR;

  it('a sling is long enough and rated for its pull with a quarter more', () => {
    const held = slingsFor(slings, { lengthMm: 700, angleDeg: 60, tensionN: 1_000 * GRAVITY });
    expect(held.map(({ gear, wrong }) => [gear.id, wrong])).toEqual([
      ['short-chain', ['too short', 'rated too low']],
      ['long-chain', ['rated too low']],
      ['round-sling', []],
    ]);
  });

  it('a jack goes low enough and high enough and is rated', () => {
    const held = supportsFor(jacks, { massKg: 450, lowMm: 150, highMm: 600 });
    expect(held.map(({ gear, wrong }) => [gear.id, wrong])).toEqual([
      ['trolley-jack', ['does not go high enough']],
      ['gearbox-jack', ['rated too low', 'does not go low enough']],
    ]);
  });

  it('a dolly carries a quarter more than what stands on it', () => {
    expect(dolliesFor(dollies, 560)[0]?.wrong).toEqual([]);
    expect(dolliesFor(dollies, 561)[0]?.wrong).toEqual(['rated too low']);
  });

  it('the highest hook is that of the holes that reach and are rated', () => {
    const [folding] = hoists;
    expect(highestHookMm(folding ? [folding] : [], { massKg: 300, reachMm: 1_000 })).toBe(2_600);
    expect(highestHookMm(folding ? [folding] : [], { massKg: 700, reachMm: 1_000 })).toBeUndefined();
  });
});
