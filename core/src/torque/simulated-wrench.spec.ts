import { judgeTorque, PULLS, simulatedWrench, WRENCH_EVERY_MS, type Pull, type WrenchReading } from './index.js';

const SET_NM = 45;
const range = { lowestNm: 10, highestNm: 110 };

/** The first readings of a wrench pulled so, for as many seconds. */
function readings(pull: Pull, seed: number, seconds = 20): readonly WrenchReading[] {
  const wrench = simulatedWrench(SET_NM, pull, seed);
  return Array.from({ length: (seconds * 1_000) / WRENCH_EVERY_MS }, () => wrench.next().value);
}
const clicks = (pull: Pull, seed: number) => readings(pull, seed).filter(({ click }) => click);

describe('the simulated torque wrench', () => {
  it.each(PULLS)('pulled %s gives the same readings for the same seed, and others for another', (pull) => {
    expect(readings(pull, 4)).toEqual(readings(pull, 4));
    expect(readings(pull, 4)).not.toEqual(readings(pull, 5));
  });

  it('sends as often as it says, rises to each click and rests after it', () => {
    const all = readings('even', 1);
    all.slice(1).forEach(({ atMs }, index) => expect(atMs - (all[index]?.atMs ?? 0)).toBe(WRENCH_EVERY_MS));
    const first = all.findIndex(({ click }) => click);
    const pull = all.slice(0, first + 1).map(({ nm }) => nm);
    expect(pull).toEqual([...pull].sort((one, other) => one - other));
    expect(all[first + 1]).toMatchObject({ nm: 0 });
    expect(clicks('even', 1).length).toBe(10);
  });

  it.each<readonly [Pull, string]>([
    ['even', 'within'],
    ['short', 'under'],
    ['past', 'over'],
  ])('pulled %s is %s its figure at every click, whatever the seed', (pull, verdict) => {
    for (let seed = 1; seed <= 40; seed += 1)
      for (const { nm } of clicks(pull, seed))
        expect([seed, nm, judgeTorque(SET_NM, { value: nm, unit: 'N·m' }, range)]).toEqual([seed, nm, verdict]);
  });
});
