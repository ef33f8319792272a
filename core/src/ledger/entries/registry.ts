import type { EntryBody, EntryKind, BodyOf } from '../entry.js';
import type { EntryRules } from './entry-rules.js';
import { unitDecided } from './bench/unit-decided.js';
import { renewalDecided } from './bench/renewal-decided.js';
import { renewalWritten } from './bench/renewal-written.js';
import { lifeGuessed } from './bench/life-guessed.js';
import { termsSet } from './bench/terms-set.js';
import { partPriced } from './parts/part-priced.js';
import { partMovedOn } from './parts/part-moved-on.js';
import { partCompared } from './parts/part-compared.js';
import { coreReturned } from './parts/core-returned.js';
import { costNoted } from './parts/cost-noted.js';
import { partPlaced } from './parts/part-placed.js';
import { lookedAt } from './bench/looked-at.js';
import { unitMeasured } from './bench/unit-measured.js';
import { literatureAdded } from './literature/literature-added.js';
import { pageMarked } from './literature/page-marked.js';
import { pagePinned } from './literature/page-pinned.js';
import { pinsRead } from './looms/pins-read.js';
import { splicesPlanned } from './looms/splices-planned.js';
import { spliceDone } from './looms/splice-done.js';
import { boltFound } from './fasteners/bolt-found.js';
import { boltHomed } from './fasteners/bolt-homed.js';
import { boltSetAside } from './fasteners/bolt-set-aside.js';
import { countAccepted } from './fasteners/count-accepted.js';
import { fastenersCounted } from './fasteners/fasteners-counted.js';
import { fastenersJudged } from './fasteners/fasteners-judged.js';
import { keepingChosen } from './fasteners/keeping-chosen.js';
import { patternDrawn } from './fasteners/pattern-drawn.js';
import { setDescribed } from './fasteners/set-described.js';
import { tagged } from './fasteners/tagged.js';
import { adjustmentTried } from './adjusting/adjustment-tried.js';
import { jointLookedAt } from './adjusting/joint-looked-at.js';
import { seatMeasured } from './adjusting/seat-measured.js';
import { fillPlanned } from './fluids/fill-planned.js';
import { fluidMeasured } from './fluids/fluid-measured.js';
import { levelSet } from './fluids/level-set.js';
import { movesTaken } from './lift/moves-taken.js';
import { loadRead } from './lift/load-read.js';
import { machineMeasured } from './lift/machine-measured.js';
import { connectionFound } from './map/connection-found.js';
import { foundStillOn } from './map/found-still-on.js';
import { leftOnPurpose } from './map/left-on-purpose.js';
import { partArrived } from './parts/part-arrived.js';
import { partNeeded } from './parts/part-needed.js';
import { photoMarked } from './photos/photo-marked.js';
import { photoTaken } from './photos/photo-taken.js';
import { planFollowed } from './plan/plan-followed.js';
import { corrected } from './record/corrected.js';
import { handedOver } from './record/handed-over.js';
import { noted } from './record/noted.js';
import { groundChecked } from './start/ground-checked.js';
import { issueClosed } from './start/issue-closed.js';
import { issueOpened } from './start/issue-opened.js';
import { issueSorted } from './start/issue-sorted.js';
import { startAttempted } from './start/start-attempted.js';
import { troubleTestDone } from './start/trouble-test-done.js';
import { causeFound } from './start/cause-found.js';
import { codesRead } from './start/codes-read.js';
import { leakLooked } from './start/leak-looked.js';
import { shiftHandedOver } from './record/shift-handed-over.js';
import { helpAnswered } from './crew/help-answered.js';
import { helpCalled } from './crew/help-called.js';
import { secondSignerAsked } from './steps/second-signer-asked.js';
import { shiftRead } from './record/shift-read.js';
import { warmUpNoted } from './start/warm-up-noted.js';
import { secondLookDone } from './start/second-look-done.js';
import { secondLookPlanned } from './start/second-look-planned.js';
import { heightSet } from './steps/height-set.js';
import { holdPointSigned } from './steps/hold-point-signed.js';
import { operationDone } from './steps/operation-done.js';
import { operationSkipped } from './steps/operation-skipped.js';
import { operationStuck } from './steps/operation-stuck.js';
import { workPaused } from './steps/work-paused.js';
import { workResumed } from './steps/work-resumed.js';
import { boltsTightened } from './torque/bolts-tightened.js';
import { torqueAccepted } from './torque/torque-accepted.js';
import { torqueRead } from './torque/torque-read.js';

/** What is known of each kind of entry. */
const ENTRY_RULES: { readonly [Kind in EntryKind]: EntryRules<BodyOf<Kind>> } = {
  'operation-done': operationDone,
  'operation-skipped': operationSkipped,
  'operation-stuck': operationStuck,
  'height-set': heightSet,
  'hold-point-signed': holdPointSigned,
  'work-paused': workPaused,
  'work-resumed': workResumed,
  'fasteners-counted': fastenersCounted,
  'keeping-chosen': keepingChosen,
  'set-described': setDescribed,
  'count-accepted': countAccepted,
  'fasteners-judged': fastenersJudged,
  'pattern-drawn': patternDrawn,
  'bolt-found': boltFound,
  'bolt-homed': boltHomed,
  'bolt-set-aside': boltSetAside,
  tagged,
  'torque-read': torqueRead,
  'bolts-tightened': boltsTightened,
  'torque-accepted': torqueAccepted,
  'joint-looked-at': jointLookedAt,
  'adjustment-tried': adjustmentTried,
  'seat-measured': seatMeasured,
  'fluid-measured': fluidMeasured,
  'fill-planned': fillPlanned,
  'level-set': levelSet,
  'machine-measured': machineMeasured,
  'moves-taken': movesTaken,
  'load-read': loadRead,
  'photo-taken': photoTaken,
  'photo-marked': photoMarked,
  'connection-found': connectionFound,
  'found-still-on': foundStillOn,
  'left-on-purpose': leftOnPurpose,
  'part-needed': partNeeded,
  'part-arrived': partArrived,
  'unit-decided': unitDecided,
  'renewal-decided': renewalDecided,
  'renewal-written': renewalWritten,
  'life-guessed': lifeGuessed,
  'terms-set': termsSet,
  'part-priced': partPriced,
  'part-moved-on': partMovedOn,
  'part-compared': partCompared,
  'core-returned': coreReturned,
  'cost-noted': costNoted,
  'part-placed': partPlaced,
  'looked-at': lookedAt,
  'unit-measured': unitMeasured,
  'literature-added': literatureAdded,
  'page-marked': pageMarked,
  'page-pinned': pagePinned,
  'pins-read': pinsRead,
  'splice-done': spliceDone,
  'splices-planned': splicesPlanned,
  'ground-checked': groundChecked,
  'start-attempted': startAttempted,
  'trouble-test-done': troubleTestDone,
  'cause-found': causeFound,
  'codes-read': codesRead,
  'leak-looked': leakLooked,
  'warm-up-noted': warmUpNoted,
  'shift-handed-over': shiftHandedOver,
  'shift-read': shiftRead,
  'help-called': helpCalled,
  'help-answered': helpAnswered,
  'second-signer-asked': secondSignerAsked,
  'second-look-planned': secondLookPlanned,
  'second-look-done': secondLookDone,
  'issue-opened': issueOpened,
  'issue-sorted': issueSorted,
  'issue-closed': issueClosed,
  'plan-followed': planFollowed,
  noted,
  'handed-over': handedOver,
  corrected,
};

/** Every kind there is. */
export const ENTRY_KINDS = Object.keys(ENTRY_RULES) as readonly EntryKind[];

/** What is known of entries of `kind`. */
export function rulesOf(kind: EntryKind): EntryRules<EntryBody> {
  return ENTRY_RULES[kind];
}
