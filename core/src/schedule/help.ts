import type { Operation } from '../teardown/index.js';
import type { ScheduledStep } from './schedule.js';

/** Whoever came to help stays over so short a gap, in minutes: it is one call. */
export const CALL_GAP_MIN = 20;

/** A stretch in which one more pair of hands is wanted than is planned, and the steps that want it. Minutes of working time from now. */
export interface HelpCall {
  readonly fromMin: number;
  readonly untilMin: number;
  readonly steps: readonly Operation[];
}

/** When somebody has to lend a second pair of hands, by `steps` in the order they begin: one call for what lies close together. */
export function helpCalls(steps: readonly ScheduledStep[]): readonly HelpCall[] {
  const calls: HelpCall[] = [];
  for (const { operation, startMin, endMin, people } of steps) {
    if (people.length === 0 || operation.hands <= people.length) continue;
    const last = calls.at(-1);
    if (last && startMin <= last.untilMin + CALL_GAP_MIN)
      calls[calls.length - 1] = {
        fromMin: last.fromMin,
        untilMin: Math.max(last.untilMin, endMin),
        steps: [...last.steps, operation],
      };
    else calls.push({ fromMin: startMin, untilMin: endMin, steps: [operation] });
  }
  return calls;
}
