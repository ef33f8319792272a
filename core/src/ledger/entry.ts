import type { EntryHead } from './entries/entry-rules.js';
import type { UnitDecided } from './entries/bench/unit-decided.js';
import type { RenewalDecided } from './entries/bench/renewal-decided.js';
import type { RenewalWritten } from './entries/bench/renewal-written.js';
import type { LifeGuessed } from './entries/bench/life-guessed.js';
import type { TermsSet } from './entries/bench/terms-set.js';
import type { PartPriced } from './entries/parts/part-priced.js';
import type { PartMovedOn } from './entries/parts/part-moved-on.js';
import type { PartCompared } from './entries/parts/part-compared.js';
import type { CoreReturned } from './entries/parts/core-returned.js';
import type { CostNoted } from './entries/parts/cost-noted.js';
import type { PartPlaced } from './entries/parts/part-placed.js';
import type { LookedAt } from './entries/bench/looked-at.js';
import type { UnitMeasured } from './entries/bench/unit-measured.js';
import type { LiteratureAdded } from './entries/literature/literature-added.js';
import type { PageMarked } from './entries/literature/page-marked.js';
import type { PagePinned } from './entries/literature/page-pinned.js';
import type { PinsRead } from './entries/looms/pins-read.js';
import type { SplicesPlanned } from './entries/looms/splices-planned.js';
import type { SpliceDone } from './entries/looms/splice-done.js';
import type { BoltFound } from './entries/fasteners/bolt-found.js';
import type { BoltHomed } from './entries/fasteners/bolt-homed.js';
import type { BoltSetAside } from './entries/fasteners/bolt-set-aside.js';
import type { CountAccepted } from './entries/fasteners/count-accepted.js';
import type { FastenersCounted } from './entries/fasteners/fasteners-counted.js';
import type { FastenersJudged } from './entries/fasteners/fasteners-judged.js';
import type { KeepingChosen } from './entries/fasteners/keeping-chosen.js';
import type { PatternDrawn } from './entries/fasteners/pattern-drawn.js';
import type { SetDescribed } from './entries/fasteners/set-described.js';
import type { Tagged } from './entries/fasteners/tagged.js';
import type { AdjustmentTried } from './entries/adjusting/adjustment-tried.js';
import type { JointLookedAt } from './entries/adjusting/joint-looked-at.js';
import type { SeatMeasured } from './entries/adjusting/seat-measured.js';
import type { FillPlanned } from './entries/fluids/fill-planned.js';
import type { FluidMeasured } from './entries/fluids/fluid-measured.js';
import type { LevelSet } from './entries/fluids/level-set.js';
import type { LoadRead } from './entries/lift/load-read.js';
import type { MovesTaken } from './entries/lift/moves-taken.js';
import type { MachineMeasured } from './entries/lift/machine-measured.js';
import type { ConnectionFound } from './entries/map/connection-found.js';
import type { FoundStillOn } from './entries/map/found-still-on.js';
import type { LeftOnPurpose } from './entries/map/left-on-purpose.js';
import type { PartArrived } from './entries/parts/part-arrived.js';
import type { PartNeeded } from './entries/parts/part-needed.js';
import type { PhotoMarked } from './entries/photos/photo-marked.js';
import type { PhotoTaken } from './entries/photos/photo-taken.js';
import type { PlanFollowed } from './entries/plan/plan-followed.js';
import type { Corrected } from './entries/record/corrected.js';
import type { HandedOver } from './entries/record/handed-over.js';
import type { Noted } from './entries/record/noted.js';
import type { GroundChecked } from './entries/start/ground-checked.js';
import type { IssueClosed } from './entries/start/issue-closed.js';
import type { IssueOpened } from './entries/start/issue-opened.js';
import type { IssueSorted } from './entries/start/issue-sorted.js';
import type { StartAttempted } from './entries/start/start-attempted.js';
import type { TroubleTestDone } from './entries/start/trouble-test-done.js';
import type { CauseFound } from './entries/start/cause-found.js';
import type { CodesRead } from './entries/start/codes-read.js';
import type { LeakLooked } from './entries/start/leak-looked.js';
import type { ShiftHandedOver } from './entries/record/shift-handed-over.js';
import type { HelpAnswered } from './entries/crew/help-answered.js';
import type { HelpCalled } from './entries/crew/help-called.js';
import type { ShiftRead } from './entries/record/shift-read.js';
import type { WarmUpNoted } from './entries/start/warm-up-noted.js';
import type { SecondLookDone } from './entries/start/second-look-done.js';
import type { SecondLookPlanned } from './entries/start/second-look-planned.js';
import type { HeightSet } from './entries/steps/height-set.js';
import type { HoldPointSigned } from './entries/steps/hold-point-signed.js';
import type { SecondSignerAsked } from './entries/steps/second-signer-asked.js';
import type { OperationDone } from './entries/steps/operation-done.js';
import type { OperationSkipped } from './entries/steps/operation-skipped.js';
import type { OperationStuck } from './entries/steps/operation-stuck.js';
import type { WorkPaused } from './entries/steps/work-paused.js';
import type { WorkResumed } from './entries/steps/work-resumed.js';
import type { BoltsTightened } from './entries/torque/bolts-tightened.js';
import type { TorqueAccepted } from './entries/torque/torque-accepted.js';
import type { TorqueRead } from './entries/torque/torque-read.js';

export type EntryBody =
  | OperationDone
  | OperationSkipped
  | OperationStuck
  | HeightSet
  | HoldPointSigned
  | WorkPaused
  | WorkResumed
  | FastenersCounted
  | KeepingChosen
  | SetDescribed
  | CountAccepted
  | FastenersJudged
  | PatternDrawn
  | BoltFound
  | BoltHomed
  | BoltSetAside
  | Tagged
  | TorqueRead
  | BoltsTightened
  | TorqueAccepted
  | JointLookedAt
  | AdjustmentTried
  | SeatMeasured
  | FluidMeasured
  | FillPlanned
  | LevelSet
  | MachineMeasured
  | MovesTaken
  | LoadRead
  | PhotoTaken
  | PhotoMarked
  | ConnectionFound
  | FoundStillOn
  | LeftOnPurpose
  | PartNeeded
  | PartArrived
  | UnitDecided
  | RenewalDecided
  | RenewalWritten
  | LifeGuessed
  | TermsSet
  | PartPriced
  | PartMovedOn
  | PartCompared
  | CoreReturned
  | CostNoted
  | PartPlaced
  | LookedAt
  | UnitMeasured
  | LiteratureAdded
  | PageMarked
  | PagePinned
  | PinsRead
  | SpliceDone
  | SplicesPlanned
  | GroundChecked
  | StartAttempted
  | TroubleTestDone
  | CauseFound
  | CodesRead
  | LeakLooked
  | WarmUpNoted
  | ShiftHandedOver
  | ShiftRead
  | HelpCalled
  | HelpAnswered
  | SecondSignerAsked
  | SecondLookPlanned
  | SecondLookDone
  | IssueOpened
  | IssueSorted
  | IssueClosed
  | PlanFollowed
  | Noted
  | HandedOver
  | Corrected;
export type EntryKind = EntryBody['kind'];

/** The body of entries of one kind. */
export type BodyOf<Kind extends EntryKind> = Extract<EntryBody, { readonly kind: Kind }>;

export type LedgerEntry = EntryHead & EntryBody;
