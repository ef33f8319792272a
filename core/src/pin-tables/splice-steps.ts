import type { Adaptation, ThreePointMinutes } from '../connection-map/index.js';
import type { Pin } from './read.js';
import type { Splice, SpliceLine } from './splice-list.js';

/** What a step for a splice is called in the plan begins with this. */
const STEP = 'splice-';

/** What is done, and how long it takes one person who has the tools laid out. What has to be found out first has no step. */
const WORK: Readonly<Partial<Record<Splice, { readonly verb: string; readonly minutes: ThreePointMinutes }>>> = {
  lengthen: { verb: 'Lengthen', minutes: { low: 8, likely: 14, high: 30 } },
  're-pin': { verb: 'Move', minutes: { low: 3, likely: 6, high: 20 } },
  join: { verb: 'Join', minutes: { low: 4, likely: 8, high: 18 } },
  'left-over': { verb: 'Lay anew, or tie back,', minutes: { low: 2, likely: 10, high: 60 } },
};

/** The id of the step for a splice, as the plan’s adaptations have it. */
export function spliceStepId(splice: string): string {
  return `${STEP}${splice}`.slice(0, 80);
}

/**
 * Steps for the lines of a splice list that are clear: each is done before the machine is started, wherever its two ends
 * are got at best. Lines that do not go together, or have no other end, have no step until somebody has measured.
 */
export function spliceSteps(lines: readonly SpliceLine[]): readonly Adaptation[] {
  return lines.flatMap(({ id, does, host, engine, words, wireMm2 }) => {
    const work = WORK[does];
    if (!work) return [];
    const ends = [host, engine].flatMap((pin) => (pin ? [pinWords(pin)] : [])).join(' to ');
    return [
      {
        id: spliceStepId(id),
        title: `${work.verb} ${ends}`,
        minutes: work.minutes,
        dueBy: 'start' as const,
        tip: `${words} ${does === 'left-over' ? '' : 'Battery off. Tug at it, then measure it through from end to end.'}${wireMm2 === undefined ? '' : ` Wire: ${wireMm2} mm².`}`.trim(),
      },
    ];
  });
}

function pinWords({ plug, pin, signal, colour }: Pin): string {
  return `${plug} ${pin}, ${signal}${colour ? ` (${colour})` : ''}`;
}
