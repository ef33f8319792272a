import type { CircuitId, ConnectionId } from '../../connection-map/index.js';
import type { OperationId } from '../../teardown/index.js';
import type { Refusal } from '../refusal.js';
import type { Draft, JobState, Mark } from '../state.js';
import type { Stop } from '../../stops/index.js';
import type { OpenItem } from '../open-item.js';

/** Who and when; `id` is made by the client, so that sending twice writes once. `at` is an ISO time. */
export interface EntryHead {
  readonly id: string;
  readonly at: string;
  readonly by: string;
}

/** A body of kind `Body` as it stands in a ledger. */
export type Written<Body> = EntryHead & Body;

/** Things of the plan that an entry speaks of. While it stands they have to stay, or what it says is lost. */
export interface Bound {
  readonly operations?: readonly OperationId[];
  readonly connections?: readonly ConnectionId[];
  readonly circuits?: readonly CircuitId[];
  /** What has been done with its connections and circuits, as in “the upper hose has been counted”. */
  readonly been?: string;
}

/** What an entry's minutes say of steps: they are the step's, work of its own, no work at all, or part of what comes next. */
export type MinutesAre = 'of-the-step' | 'by-itself' | 'a-break' | 'of-what-comes-next';

/** The whole ledger, for the few kinds that look at other entries. */
export interface WholeLedger {
  /** Why the ledger could not be followed without the entry `id`: the first refusal in words, or undefined. */
  brokenWithout(state: JobState, id: string): string | undefined;
  openItems(state: JobState): readonly OpenItem[];
}

/** A day such as “2026-03-04” as the shop writes it. */
export type DaySaid = (day: string) => string;

/** Names of what an entry speaks of, for its words. */
export interface Naming {
  readonly state: JobState;
  readonly day: DaySaid;
  step(id: OperationId): string;
  joint(id: ConnectionId): string;
  circuit(id: CircuitId): string;
  /** What the entry `id` said, or undefined where there is none. */
  entry(id: string): string | undefined;
}

/** Everything that is known of one kind of entry. Each kind has a file of its own, which holds it. */
export interface EntryRules<Body> {
  /** Reasons it may not follow `state`; none when it may. */
  mayFollow(state: JobState, entry: Written<Body>, whole: WholeLedger): readonly Refusal[];
  /** Puts what it says into `draft`. */
  fold(draft: Draft, entry: Written<Body>, mark: Mark): void;
  /** The stop of the journey its minutes belong to. */
  stop(state: JobState, entry: Body): Stop;
  readonly minutes: MinutesAre;
  /** What of the plan it speaks of; absent where the plan may change all the same. */
  binds?(entry: Body): Bound;
  /**
   * Places that hold one thing each, and what it puts there takes the place of what was there. Who fills one without
   * knowing what somebody else has just put there is asked first. Absent where entries stand beside each other.
   */
  fills?(entry: Body): readonly string[];
  /** What entries of this kind leave for whoever takes the machine over. */
  leavesOpen?(state: JobState, day: DaySaid): readonly OpenItem[];
  /** The entry with the next free number, where somebody else was quicker with the one it has. */
  renumbered?(state: JobState, entry: Written<Body>): Written<Body>;
  /** In one line, as a person would say it. */
  words(entry: Body, naming: Naming): string;
  /** Whether it may be written although the job is handed over. */
  readonly afterHandover?: true;
}
