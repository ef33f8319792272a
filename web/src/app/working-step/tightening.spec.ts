import { positionsOf, type PatternShape } from '@brisk/core/fasteners';
import type { JointNow } from '@brisk/core/ledger';
import { tighteningOrder, tighteningStages, type TorqueVerdict, type WrenchInHand } from '@brisk/core/torque';
import { acrossFrom, evennessWords, faultWords, nextAt, settingOn, wrenchTrouble } from './tightening';

function joint(shape: PatternShape, bolts: number, more: Partial<JointNow> = {}): JointNow {
  const pattern = positionsOf(shape, [{ count: bolts }], 100, shape === 'line' ? 0 : 100);
  const order = tighteningOrder(pattern.holes);
  return {
    targetNm: 45,
    pattern,
    bolts,
    order,
    stages: tighteningStages({ targetNm: 45, angleDeg: 90 }, bolts),
    done: pattern.holes.map(() => 0),
    stageAt: 0,
    through: 0,
    next: order,
    missed: [],
    faults: new Map(),
    outOfOrder: [],
    besideLast: [],
    turnedDeg: pattern.holes.map(() => 0),
    final: false,
    ...more,
  };
}
const wrench: WrenchInHand = { id: 'own', name: 'Own', range: { lowestNm: 10, highestNm: 110 }, handleMm: 400 };

describe('what is next at a joint', () => {
  it('are the bolts of the stage in hand, and none where it is final', () => {
    const whole = joint('circle', 8);
    expect(nextAt(whole)).toEqual({ at: 0, bolts: whole.order });
    expect(nextAt(joint('circle', 8, { next: [], final: true }))).toBeUndefined();
  });

  it('are first those that missed, in the last stage with a wrench and not by the angle after it', () => {
    expect(nextAt(joint('circle', 8, { missed: [3, 5] }))).toEqual({ at: 2, bolts: [3, 5] });
  });
});

describe('two wrenches', () => {
  it('take two bolts that lie across, and one where they do not', () => {
    const circle = joint('circle', 8);
    expect(acrossFrom(circle, circle.order)).toEqual([0, 4]);
    expect(acrossFrom(circle, [0, 1, 4])).toEqual([0]);
    expect(acrossFrom(circle, [6])).toEqual([6]);
    expect(acrossFrom(circle, [])).toEqual([]);
  });

  it('are not put on a joint of three', () => {
    const small = joint('circle', 3);
    expect(acrossFrom(small, small.order)).toHaveLength(1);
  });
});

describe('the setting on a wrench', () => {
  it('is the figure, less with an adapter straight on, and says where it is not trusted', () => {
    expect(settingOn(wrench, 45)).toEqual({ nm: 45, trusted: true });
    expect(settingOn({ ...wrench, adapter: { lengthMm: 100, angleDeg: 0 } }, 45)).toEqual({ nm: 36, trusted: true });
    expect(settingOn(wrench, 15)).toEqual({ nm: 15, trusted: false });
    expect(settingOn(wrench, 200)).toEqual({ nm: 200, trusted: false });
  });

  it('is none, in words, where the adapter eats the lever or the handle was never measured', () => {
    const { handleMm: _handle, ...unmeasured } = wrench;
    for (const [one, words] of [
      [{ ...wrench, adapter: { lengthMm: 390, angleDeg: 180 } }, /leaves nothing of a handle of 400 mm/],
      [{ ...unmeasured, adapter: { lengthMm: 60, angleDeg: 0 } }, /How long the handle is/],
    ] as const) {
      const setting = settingOn(one, 45);
      expect('wrong' in setting && setting.wrong).toMatch(words);
    }
  });

  it('is spoken against once the wrench is overdue, by its day and its uses', () => {
    const at = '2026-11-27T08:00:00.000Z';
    expect(wrenchTrouble({ ...wrench, calibratedOn: '2026-05-04', uses: 12 }, at)).toBeUndefined();
    expect(wrenchTrouble({ ...wrench, calibratedOn: '2025-10-12', uses: 12 }, at)).toBe(
      'Own is overdue for calibration: last on 2025-10-12, 12 uses since.',
    );
    expect(wrenchTrouble({ ...wrench, calibratedOn: '2026-05-04', uses: 5_001 }, at)).toMatch(/5001 uses since/);
  });
});

describe('what is said of a joint', () => {
  it('is one line for each kind of fault, the bolts by their number in the order', () => {
    const faults = new Map<number, TorqueVerdict>([
      [0, 'over'],
      [4, 'under'],
      [2, 'under'],
    ]);
    const lines = faultWords(joint('circle', 8, { missed: [0, 4, 2], faults }));
    expect(lines).toEqual([
      expect.stringMatching(/^Bolt 1 went over: loosen, take out, look/),
      'Bolts 2, 3 too low: again.',
    ]);
    for (const verdict of ['tool-out-of-range', 'out-of-calibration', 'too-early'] as const)
      expect(faultWords(joint('circle', 8, { missed: [0], faults: new Map([[0, verdict]]) }))).toHaveLength(1);
    expect(faultWords(joint('circle', 8))).toEqual([]);
  });

  it('is how even its order is against clockwise, where there are bolts enough', () => {
    expect(evennessWords(joint('circle', 8))).toBe(
      'In this order it is pulled 21 % off its middle on average, clockwise 54 %.',
    );
    expect(evennessWords(joint('line', 3))).toBe('');
  });
});

it('a bolt straight after its neighbour is told by its number', () => {
  const now = joint('circle', 8);
  const [first = 0] = now.order;
  expect(faultWords(joint('circle', 8, { besideLast: [first] }))).toEqual([
    'Bolt 1 came straight after a neighbour: it draws to one side. Go by the numbers.',
  ]);
});
