import { edge, plainCrew, plainStep } from '../testing/random-net.js';
import { crewSetups, ScheduleBuilder, scheduleOf, taskNet, type SchedulingProblem } from './index.js';

const minutes = (likely: number) => ({ low: likely, likely, high: likely });
const planned = (changes: Partial<SchedulingProblem>) => {
  const net = taskNet({ operations: [], precedence: [], crew: plainCrew(1), height: 'ground', ...changes });
  return scheduleOf(net, new ScheduleBuilder(net).build(net.topological));
};

describe('the setups of a crew', () => {
  it('are runs at one place and height, each with its people, minutes, tools and hands', () => {
    const schedule = planned({
      operations: [
        plainStep('a', { minutes: minutes(4), tools: ['pliers', '10 mm ratchet'] }),
        plainStep('b', { minutes: minutes(3), tools: ['pliers'] }),
        plainStep('under', { station: 'underside', height: 'raised', minutes: minutes(5) }),
      ],
      precedence: [edge('a', 'b'), edge('b', 'under')],
    });
    const setups = crewSetups(schedule, 'ground');
    expect(
      setups.map(({ station, height, moveMachine, startMin, endMin }) => [
        station,
        height,
        moveMachine,
        startMin,
        endMin,
      ]),
    ).toEqual([
      ['bay-top', 'ground', false, 0, 7],
      ['underside', 'raised', true, 10, 15],
    ]);
    expect(setups[0]).toMatchObject({
      people: ['Ines'],
      tools: ['pliers', '10 mm ratchet'],
      hands: 1,
      minutes: minutes(7),
    });
    expect(setups[0]?.operations.map(({ id }) => id)).toEqual(['a', 'b']);
  });

  it('end where everybody stops, and go on behind it', () => {
    const schedule = planned({
      operations: [plainStep('a'), plainStep('sign', { kind: 'hold-point' }), plainStep('b')],
      precedence: [edge('a', 'sign'), edge('sign', 'b')],
    });
    expect(crewSetups(schedule, 'ground').map(({ operations }) => operations.map(({ id }) => id))).toEqual([
      ['a'],
      ['sign'],
      ['b'],
    ]);
  });

  it('tell of a wait where it begins, and do not count it as work', () => {
    const cool = plainStep('cool', { kind: 'wait', minutes: minutes(30), hands: 1 });
    const first = planned({ operations: [cool, plainStep('a', { minutes: minutes(4) })] });
    const [setup, ...others] = crewSetups(first, 'ground');
    expect(others).toEqual([]);
    expect(setup?.operations.map(({ id }) => id).sort()).toEqual(['a', 'cool']);
    expect([setup?.minutes, setup?.endMin]).toEqual([minutes(4), 4]);
    expect(setup?.people).toEqual(['Ines']);
    const alone = crewSetups(planned({ operations: [cool] }), 'ground');
    expect(alone.map(({ people, endMin }) => [people, endMin])).toEqual([[[], 30]]);
  });

  it('belong to who leads: what two do together ends the setup of who helps', () => {
    const schedule = planned({
      crew: plainCrew(2),
      operations: [
        plainStep('a', { minutes: minutes(4) }),
        plainStep('b', { minutes: minutes(4) }),
        plainStep('both', { hands: 2, minutes: minutes(2) }),
        plainStep('c', { minutes: minutes(1) }),
        plainStep('d', { minutes: minutes(1) }),
      ],
      precedence: [edge('a', 'both'), edge('b', 'both'), edge('both', 'c'), edge('both', 'd')],
    });
    const setups = crewSetups(schedule, 'ground');
    const together = setups.find(({ operations }) => operations.some(({ id }) => id === 'both'));
    expect(together).toMatchObject({ hands: 2 });
    expect([...(together?.people ?? [])].sort()).toEqual(['Ines', 'Tobias']);
    expect(setups.map(({ operations }) => operations.length).sort()).toEqual([1, 1, 3]);
  });
});

describe('what a schedule leaves over', () => {
  it('is the minutes somebody is there and does nothing, less those they are away', () => {
    const operations = [plainStep('long', { minutes: minutes(10) }), plainStep('short', { minutes: minutes(4) })];
    expect(planned({ crew: plainCrew(2), operations }).waitingMin).toBe(6);
    const crew = plainCrew(2);
    const away = (fromMin: number, untilMin?: number) => ({
      ...crew,
      hands: crew.hands.map((one, at) =>
        at === 1 ? { ...one, away: [{ fromMin, ...(untilMin === undefined ? {} : { untilMin }) }] } : one,
      ),
    });
    expect(planned({ crew: away(5, 7), operations }).waitingMin).toBe(4);
    expect(planned({ crew: away(5), operations }).waitingMin).toBe(1);
    expect(planned({ crew: away(40, 60), operations }).waitingMin).toBe(6);
  });

  it('names what wants two where one works, and only that', () => {
    const operations = [
      plainStep('two', { hands: 2 }),
      plainStep('one'),
      plainStep('cool', { kind: 'wait', hands: 2 }),
    ];
    expect(planned({ operations }).help).toMatchObject([{ steps: [{ id: 'two' }] }]);
    expect(
      taskNet({ operations, precedence: [], crew: plainCrew(1), height: 'ground' }).tasks.map(
        (task) => task.handsShort,
      ),
    ).toEqual([1, 0, 0]);
    expect(
      taskNet({ operations, precedence: [], crew: plainCrew(3), height: 'ground' }).tasks.map(
        (task) => task.handsShort,
      ),
    ).toEqual([0, 0, 0]);
  });
});
