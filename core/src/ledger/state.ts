import type { CircuitId, Connection, ConnectionId, JobPlan, MachineHeight } from '../connection-map/index.js';
import type { IssueSort, StartAttempt } from '../first-start/index.js';
import type { OperationId } from '../teardown/index.js';
import type { TorqueVerdict } from '../torque/index.js';
import type { TorqueReadingAsRead } from '../units/index.js';
import type { Work } from '../work/index.js';
import type { Half, LedgerEntry, PlanSettings, SkipMode, Trouble } from './entry.js';

/** Who did something, when, and by which entry. */
export interface Mark {
  readonly by: string;
  readonly at: string;
  readonly entry: string;
}

export type Progress =
  | ({ readonly is: 'done' } & Mark)
  | ({ readonly is: 'skipped'; readonly mode: SkipMode; readonly reason: string } & Mark)
  | ({ readonly is: 'stuck'; readonly trouble: Trouble; readonly tried: string; readonly minutesLost: number } & Mark);

export interface FastenerCount extends Mark {
  readonly count: number;
  readonly bag?: number;
  readonly note?: string;
}
export interface Bag {
  readonly out?: FastenerCount;
  readonly in?: FastenerCount;
}

export interface TorqueReading extends Mark {
  readonly targetNm: number;
  readonly wrench: string;
  readonly read: TorqueReadingAsRead;
  readonly verdict: TorqueVerdict;
  /** Why a reading that missed its target stays. */
  readonly accepted?: string;
}

export interface LeftAsItIs extends Mark {
  /** Still attached when the powerpack was lifted, or still off when it was started. */
  readonly as: 'attached' | 'off';
  readonly reason: string;
}

export interface Litres {
  readonly out?: number;
  readonly in?: number;
}

export interface Note extends Mark {
  readonly text: string;
  readonly operation?: OperationId;
}

export interface PartToOrder extends Mark {
  readonly need: string;
  readonly name: string;
  readonly quantity: number;
  readonly reason: string;
  readonly arrived?: Mark;
}

export interface Issue extends Mark {
  readonly issue: string;
  readonly title: string;
  readonly sort: IssueSort;
  readonly connection?: ConnectionId;
  readonly closed?: Mark & { readonly how: string };
}

/** The plan the crew follows for one half; each one taken on is the next version. */
export interface FollowedPlan extends Mark {
  readonly version: number;
  readonly order: readonly OperationId[];
  readonly settings: PlanSettings;
  readonly finishMin: number;
  readonly heightChanges: number;
}

/** What a job has come to: the fold of its ledger over its plan. Plain data; nothing in it is ever changed. */
export interface JobState {
  readonly plan: JobPlan;
  readonly work: Work;
  /** Entries folded so far; the position the next entry is written at is one more. */
  readonly position: number;
  readonly entries: readonly LedgerEntry[];
  readonly corrected: ReadonlySet<string>;
  readonly height: MachineHeight;
  readonly progress: ReadonlyMap<OperationId, Progress>;
  readonly found: readonly Connection[];
  readonly leftAsItIs: ReadonlyMap<ConnectionId, LeftAsItIs>;
  readonly bags: ReadonlyMap<ConnectionId, Bag>;
  readonly tags: ReadonlyMap<ConnectionId, number>;
  readonly torques: ReadonlyMap<ConnectionId, readonly TorqueReading[]>;
  readonly litres: ReadonlyMap<CircuitId, Litres>;
  readonly notes: readonly Note[];
  readonly needs: ReadonlyMap<string, PartToOrder>;
  readonly attempts: readonly (StartAttempt & Mark)[];
  readonly issues: ReadonlyMap<string, Issue>;
  readonly plans: ReadonlyMap<Half, FollowedPlan>;
  readonly handedOver?: Mark & { readonly note?: string };
}
