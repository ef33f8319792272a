import type {
  Connection,
  ConnectionKind,
  FastenerSet,
  PartId,
  RefitData,
  Station,
  StepSpec,
  System,
  ThreePointMinutes,
} from '../connection-map/index.js';

/** Three-point minutes, as a mechanic says them: when it goes well, as a rule, when it fights back. */
export function minutes(low: number, likely: number, high: number): ThreePointMinutes {
  return { low, likely, high };
}

/** A set of fasteners: how many, and what is stamped or measured on them. */
export function fasteners(count: number, what: string, more: Omit<FastenerSet, 'count' | 'what'> = {}): FastenerSet {
  return { count, what, ...more };
}

/** A step, with the ordinary filled in: one pair of hands, no tools, machine at any height. */
export function step(spec: Pick<StepSpec, 'title' | 'station' | 'minutes'> & Partial<StepSpec>): StepSpec {
  return { height: 'either', hands: 1, tools: [], cautions: [], ...spec };
}

type ConnectionDraft = Omit<Partial<Connection>, 'refit'> & {
  readonly id: string;
  readonly name: string;
  readonly kind: ConnectionKind;
  readonly between: readonly [PartId, PartId];
  readonly system: System;
  readonly station: Station;
  readonly minutes: ThreePointMinutes;
  readonly refit?: Partial<RefitData>;
};

/** A connection, with the ordinary filled in: one pair of hands, nothing in the way, as long to close as to open. */
export function connection({ refit, ...draft }: ConnectionDraft): Connection {
  return {
    height: 'either',
    hands: 1,
    tools: [],
    cautions: [],
    fasteners: [],
    needs: [],
    access: [],
    ...draft,
    refit: { minutes: draft.minutes, ...refit },
  };
}
