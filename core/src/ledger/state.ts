import type {
  Adaptation,
  CircuitId,
  Connection,
  ConnectionId,
  FastenerSet,
  HoldPointId,
  JobPlan,
  MachineHeight,
  PartId,
  Renewal,
} from '../connection-map/index.js';
import type { BoltPattern } from '../fasteners/index.js';
import type { Pin } from '../pin-tables/index.js';
import type { PlaneName } from '../shape/index.js';
import type { Half, OperationId } from '../teardown/index.js';
import type { MovesOut, Work } from '../work/index.js';
import type { Finding } from './entries/bench/looked-at.js';
import type { Measured } from './entries/bench/unit-measured.js';
import type { DecidedRenewal } from './entries/bench/renewal-decided.js';
import type { Terms } from './entries/bench/terms-set.js';
import type { DecidedUnit } from './entries/bench/unit-decided.js';
import type { LooseBolt } from './entries/fasteners/bolt-found.js';
import type { Accepted } from './entries/fasteners/count-accepted.js';
import type { Bag } from './entries/fasteners/fasteners-counted.js';
import type { Judgement } from './entries/fasteners/fasteners-judged.js';
import type { Keeping } from './entries/fasteners/keeping-chosen.js';
import type { LoadReading } from './entries/lift/load-read.js';
import type { Look } from '../adjusting/index.js';
import type { AdjustmentTry } from './adjustments.js';
import type { LookTaken } from './entries/adjusting/joint-looked-at.js';
import type { Seat } from './entries/adjusting/seat-measured.js';
import type { FillTerms } from './entries/fluids/fill-planned.js';
import type { Litres } from './entries/fluids/fluid-measured.js';
import type { Level } from './entries/fluids/level-set.js';
import type { LeftAsItIs } from './entries/map/left-on-purpose.js';
import type { Literature } from './entries/literature/literature-added.js';
import type { Cost } from './entries/parts/cost-noted.js';
import type { PlacedPart } from './entries/parts/part-placed.js';
import type { Loom } from './entries/looms/pins-read.js';
import type { PartToOrder } from './entries/parts/part-needed.js';
import type { Photo } from './entries/photos/photo-taken.js';
import type { FollowedPlan } from './entries/plan/plan-followed.js';
import type { Call } from './entries/crew/help-called.js';
import type { Shift } from './entries/record/shift-handed-over.js';
import type { Note } from './entries/record/noted.js';
import type { GroundCheck } from './entries/start/ground-checked.js';
import type { Issue } from './entries/start/issue-opened.js';
import type { FoundCause } from './entries/start/cause-found.js';
import type { ReadCodes } from './entries/start/codes-read.js';
import type { LeakSeen } from './entries/start/leak-looked.js';
import type { WarmUpNote } from './entries/start/warm-up-noted.js';
import type { SecondLook } from './entries/start/second-look-planned.js';
import type { Attempt } from './entries/start/start-attempted.js';
import type { TestDone } from './entries/start/trouble-test-done.js';
import type { SkipMode } from './entries/steps/operation-skipped.js';
import type { Struggle } from './entries/steps/operation-stuck.js';
import type { Tightening } from './entries/torque/bolts-tightened.js';
import type { TorqueReading } from './entries/torque/torque-read.js';
import type { LedgerEntry } from './entry.js';

/** Who did something, when, and by which entry. */
export interface Mark {
  readonly by: string;
  readonly at: string;
  readonly entry: string;
}

export type Progress =
  | ({ readonly is: 'done'; readonly withOld?: true } & Mark)
  | ({ readonly is: 'skipped'; readonly mode: SkipMode; readonly reason: string } & Mark)
  | ({ readonly is: 'stuck' } & Struggle);

/** What a job has come to: the fold of its ledger over its plan. Plain data; nothing in it is ever changed. */
export interface JobState extends JobRecord {
  readonly plan: JobPlan;
  readonly work: Work;
}

/** What the ledger alone says of a job. */
export interface JobRecord {
  /** Entries folded so far; the position the next entry is written at is one more. */
  readonly position: number;
  readonly entries: readonly LedgerEntry[];
  readonly corrected: ReadonlySet<string>;
  readonly height: MachineHeight;
  readonly progress: ReadonlyMap<OperationId, Progress>;
  readonly found: readonly Connection[];
  readonly leftAsItIs: ReadonlyMap<ConnectionId, LeftAsItIs>;
  readonly bags: ReadonlyMap<ConnectionId, Bag>;
  /** How the job keeps its fasteners unless somebody says otherwise. */
  readonly keeping: Keeping;
  /** What really holds a joint, where somebody looked and it is not as the map says. */
  readonly sets: ReadonlyMap<ConnectionId, readonly FastenerSet[]>;
  readonly countsAccepted: ReadonlyMap<ConnectionId, Accepted>;
  readonly judged: ReadonlyMap<ConnectionId, readonly Judgement[]>;
  readonly patterns: ReadonlyMap<ConnectionId, BoltPattern>;
  readonly loose: ReadonlyMap<string, LooseBolt>;
  readonly grounds: ReadonlyMap<ConnectionId, GroundCheck>;
  /** Every try at steps that fought back, first to last. */
  readonly struggles: ReadonlyMap<OperationId, readonly Struggle[]>;
  readonly photos: ReadonlyMap<string, Photo>;
  /** Who is on a break, and since when. */
  readonly paused: ReadonlyMap<string, Mark>;
  readonly tags: ReadonlyMap<ConnectionId, number>;
  readonly torques: ReadonlyMap<ConnectionId, readonly TorqueReading[]>;
  /** Joints that are tightened bolt by bolt, stage by stage. */
  readonly tightened: ReadonlyMap<ConnectionId, Tightening>;
  /** What was looked at as joints went together, how they were set by trying, and what was measured of seats. */
  readonly looks: ReadonlyMap<ConnectionId, ReadonlyMap<Look, LookTaken>>;
  readonly tries: ReadonlyMap<ConnectionId, readonly AdjustmentTry[]>;
  readonly seats: ReadonlyMap<OperationId, Seat>;
  /** What ran out of circuits and went in, how they are to be filled, and which levels were set. */
  readonly litres: ReadonlyMap<CircuitId, Litres>;
  readonly fills: ReadonlyMap<CircuitId, FillTerms>;
  readonly levels: ReadonlyMap<CircuitId, Level>;
  /** What a tape gave, by reference plane, in mm from the one it hangs on. */
  readonly measured: ReadonlyMap<PlaneName, number>;
  readonly notes: readonly Note[];
  readonly needs: ReadonlyMap<string, PartToOrder>;
  /** Where parts are that somebody put somewhere, by owner and part. */
  readonly placed: ReadonlyMap<string, PlacedPart>;
  /** What was found at the bench, by look, and what was measured, first to last. */
  readonly findings: ReadonlyMap<string, Finding>;
  readonly readings: readonly Measured[];
  /** Pin tables by loom, and the splices that are made. */
  readonly pins: ReadonlyMap<Loom, readonly Pin[]>;
  readonly splices: ReadonlyMap<string, Mark>;
  /** The splices that are steps of the plan. */
  readonly spliceSteps: readonly Adaptation[];
  /** The files kept with the job, by file. */
  readonly literature: ReadonlyMap<string, Literature>;
  readonly costs: ReadonlyMap<string, Cost>;
  /** What becomes of the units, what is renewed and what is left, and how long what wears is given. */
  readonly units: ReadonlyMap<PartId, DecidedUnit>;
  readonly renewals: ReadonlyMap<string, DecidedRenewal>;
  readonly ownRenewals: ReadonlyMap<string, Renewal>;
  readonly lives: ReadonlyMap<string, { readonly yearsLeft: number; readonly kmLeft?: number } & Mark>;
  readonly terms?: Terms;
  readonly attempts: readonly Attempt[];
  /** What was tried to find out what is wrong, first to last, and what it was. */
  readonly troubleTests: readonly TestDone[];
  readonly causesFound: readonly FoundCause[];
  /** Warnings that were read, before the job and since. */
  readonly codes: readonly ReadCodes[];
  /** What is looked at once more, and when. */
  /** What was last seen of each joint that was looked at for leaks. */
  readonly leaks: ReadonlyMap<ConnectionId, LeakSeen>;
  /** What was last said of each point of the warm-up. */
  readonly warmUp: ReadonlyMap<string, WarmUpNote>;
  readonly secondLooks: ReadonlyMap<string, SecondLook>;
  readonly issues: ReadonlyMap<string, Issue>;
  readonly plans: ReadonlyMap<Half, FollowedPlan>;
  /** What the crane scale read, first to last. */
  readonly loads: readonly LoadReading[];
  /** The moves the lift goes by, where they were worked out for this machine. */
  readonly moves?: MovesOut;
  /** Hold points that two sign, and those of them that the first of the two has signed. */
  readonly twoSign: ReadonlySet<HoldPointId>;
  readonly firstSigned: ReadonlyMap<HoldPointId, Mark>;
  /** What somebody at a step called for, by the entry that did. */
  readonly calls: ReadonlyMap<string, Call>;
  /** The last hand-over of a shift. */
  readonly shift?: Shift;
  readonly handedOver?: Mark & { readonly note?: string };
}

/** The record of a job nobody has written anything of: the machine on the ground, fasteners in bags. */
export function emptyRecord(): JobRecord {
  return {
    position: 0,
    entries: [],
    corrected: new Set(),
    height: 'ground',
    progress: new Map(),
    found: [],
    leftAsItIs: new Map(),
    bags: new Map(),
    keeping: 'bag',
    sets: new Map(),
    countsAccepted: new Map(),
    judged: new Map(),
    patterns: new Map(),
    loose: new Map(),
    grounds: new Map(),
    struggles: new Map(),
    photos: new Map(),
    paused: new Map(),
    tags: new Map(),
    torques: new Map(),
    tightened: new Map(),
    looks: new Map(),
    tries: new Map(),
    seats: new Map(),
    litres: new Map(),
    fills: new Map(),
    levels: new Map(),
    measured: new Map(),
    notes: [],
    needs: new Map(),
    placed: new Map(),
    findings: new Map(),
    readings: [],
    pins: new Map(),
    splices: new Map(),
    spliceSteps: [],
    literature: new Map(),
    costs: new Map(),
    units: new Map(),
    renewals: new Map(),
    ownRenewals: new Map(),
    lives: new Map(),
    attempts: [],
    troubleTests: [],
    causesFound: [],
    codes: [],
    leaks: new Map(),
    warmUp: new Map(),
    secondLooks: new Map(),
    issues: new Map(),
    twoSign: new Set(),
    firstSigned: new Map(),
    calls: new Map(),
    plans: new Map(),
    loads: [],
  };
}

/** A state that fold and replay, and nobody else, may write to while it is being built. */
export type Draft = {
  -readonly [Key in keyof JobState]: JobState[Key] extends ReadonlyMap<infer Id, infer Value>
    ? Map<Id, Value>
    : JobState[Key] extends ReadonlySet<infer Id>
      ? Set<Id>
      : JobState[Key] extends readonly (infer Item)[]
        ? Item[]
        : JobState[Key];
};
