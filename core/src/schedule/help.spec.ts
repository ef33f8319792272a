import { plainStep } from '../testing/random-net.js';
import { helpCalls } from './help.js';
import type { ScheduledStep } from './schedule.js';

const step = (id: string, hands: 1 | 2, startMin: number, endMin: number, people = ['Ines']): ScheduledStep => ({
  operation: plainStep(id, { hands }),
  startMin,
  endMin,
  people,
  height: 'ground',
  cause: { is: 'nothing' },
});

describe('a second pair of hands', () => {
  it('is one call for steps that lie close together, and another later', () => {
    const calls = helpCalls([
      step('alone', 1, 0, 10),
      step('mount', 2, 10, 16),
      step('between', 1, 16, 30),
      step('hinges', 2, 30, 35),
      step('shaft', 2, 120, 125),
    ]);
    expect(calls.map(({ fromMin, untilMin, steps }) => [fromMin, untilMin, steps.map(({ id }) => id)])).toEqual([
      [10, 35, ['mount', 'hinges']],
      [120, 125, ['shaft']],
    ]);
  });

  it('is not called where two are there, nor for what somebody from outside does', () => {
    expect(helpCalls([step('mount', 2, 0, 5, ['Ines', 'Tobias']), step('recovery', 2, 5, 9, [])])).toEqual([]);
  });
});
