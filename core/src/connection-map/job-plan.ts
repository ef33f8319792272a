import type { ConnectionMap } from './map.js';
import type { ConnectionId, PartId, ThreePointMinutes } from './step.js';

/** Something nobody knew when the machine was surveyed. */
export interface LookAt {
  /** The option it is about. */
  readonly about: string;
  readonly question: string;
  /** What is taken for granted until somebody looks. */
  readonly taken: string;
}

/** Something to make, change or buy before a part from another machine fits this one. */
export interface Adaptation {
  readonly id: string;
  readonly title: string;
  readonly minutes: ThreePointMinutes;
  /** The connection that cannot be closed before it is done. Absent: it is done before the powerpack goes down. */
  readonly connection?: ConnectionId;
  /** It need not wait for the bench: it may be done in the bay, until the machine is started. */
  readonly dueBy?: 'start';
  readonly tip?: string;
}

/** How a crew parts the powerpack from the rest where more than one way is right. */
export interface Practice {
  /** Parts that go along although they could stay: the loom, a pump whose hoses are undone. */
  readonly along?: readonly PartId[];
  /** Parts that stay although they ride with it: a pump swung aside with its hoses on. */
  readonly stays?: readonly PartId[];
  /** Outer parts that come off before the lift. */
  readonly offFirst?: readonly PartId[];
}

/** What a crew set out to do on one machine. */
export interface JobPlan {
  readonly map: ConnectionMap;
  readonly powerpack: string;
  readonly route: string;
  readonly practice?: Practice;
  readonly lookAt?: readonly LookAt[];
  /** What a swap asks to be made, changed or bought. */
  readonly adaptations?: readonly Adaptation[];
  /** Connections that are opened and not closed again, because what goes in does not have them. */
  readonly leftOff?: readonly ConnectionId[];
  /** The edition of the rules the job is held to; absent: the first. */
  readonly rules?: number;
}
