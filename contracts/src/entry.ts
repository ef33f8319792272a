import { ENTRY_KINDS, type EntryKind, type LedgerEntry } from '@brisk/core/ledger';
import { lazy, mixed, type ISchema } from 'yup';
import { unitDecidedSchema } from './entries/bench/unit-decided.js';
import { renewalDecidedSchema } from './entries/bench/renewal-decided.js';
import { renewalWrittenSchema } from './entries/bench/renewal-written.js';
import { lifeGuessedSchema } from './entries/bench/life-guessed.js';
import { termsSetSchema } from './entries/bench/terms-set.js';
import { partPricedSchema } from './entries/parts/part-priced.js';
import { partMovedOnSchema } from './entries/parts/part-moved-on.js';
import { partComparedSchema } from './entries/parts/part-compared.js';
import { coreReturnedSchema } from './entries/parts/core-returned.js';
import { costNotedSchema } from './entries/parts/cost-noted.js';
import { partPlacedSchema } from './entries/parts/part-placed.js';
import { lookedAtSchema } from './entries/bench/looked-at.js';
import { unitMeasuredSchema } from './entries/bench/unit-measured.js';
import { literatureAddedSchema } from './entries/literature/literature-added.js';
import { pageMarkedSchema } from './entries/literature/page-marked.js';
import { pagePinnedSchema } from './entries/literature/page-pinned.js';
import { pinsReadSchema } from './entries/looms/pins-read.js';
import { spliceDoneSchema } from './entries/looms/splice-done.js';
import { splicesPlannedSchema } from './entries/looms/splices-planned.js';
import { boltFoundSchema } from './entries/fasteners/bolt-found.js';
import { boltHomedSchema } from './entries/fasteners/bolt-homed.js';
import { boltSetAsideSchema } from './entries/fasteners/bolt-set-aside.js';
import { countAcceptedSchema } from './entries/fasteners/count-accepted.js';
import { fastenersCountedSchema } from './entries/fasteners/fasteners-counted.js';
import { fastenersJudgedSchema } from './entries/fasteners/fasteners-judged.js';
import { keepingChosenSchema } from './entries/fasteners/keeping-chosen.js';
import { patternDrawnSchema } from './entries/fasteners/pattern-drawn.js';
import { setDescribedSchema } from './entries/fasteners/set-described.js';
import { taggedSchema } from './entries/fasteners/tagged.js';
import { adjustmentTriedSchema } from './entries/adjusting/adjustment-tried.js';
import { jointLookedAtSchema } from './entries/adjusting/joint-looked-at.js';
import { seatMeasuredSchema } from './entries/adjusting/seat-measured.js';
import { fillPlannedSchema } from './entries/fluids/fill-planned.js';
import { fluidMeasuredSchema } from './entries/fluids/fluid-measured.js';
import { levelSetSchema } from './entries/fluids/level-set.js';
import { movesTakenSchema } from './entries/lift/moves-taken.js';
import { loadReadSchema } from './entries/lift/load-read.js';
import { machineMeasuredSchema } from './entries/lift/machine-measured.js';
import { connectionFoundSchema } from './entries/map/connection-found.js';
import { foundStillOnSchema } from './entries/map/found-still-on.js';
import { leftOnPurposeSchema } from './entries/map/left-on-purpose.js';
import { partArrivedSchema } from './entries/parts/part-arrived.js';
import { partNeededSchema } from './entries/parts/part-needed.js';
import { photoMarkedSchema } from './entries/photos/photo-marked.js';
import { photoTakenSchema } from './entries/photos/photo-taken.js';
import { planFollowedSchema } from './entries/plan/plan-followed.js';
import { correctedSchema } from './entries/record/corrected.js';
import { handedOverSchema } from './entries/record/handed-over.js';
import { notedSchema } from './entries/record/noted.js';
import { groundCheckedSchema } from './entries/start/ground-checked.js';
import { issueClosedSchema } from './entries/start/issue-closed.js';
import { issueOpenedSchema } from './entries/start/issue-opened.js';
import { issueSortedSchema } from './entries/start/issue-sorted.js';
import { startAttemptedSchema } from './entries/start/start-attempted.js';
import { causeFoundSchema } from './entries/start/cause-found.js';
import { codesReadSchema } from './entries/start/codes-read.js';
import { leakLookedSchema } from './entries/start/leak-looked.js';
import { shiftHandedOverSchema } from './entries/record/shift-handed-over.js';
import { helpAnsweredSchema } from './entries/crew/help-answered.js';
import { helpCalledSchema } from './entries/crew/help-called.js';
import { secondSignerAskedSchema } from './entries/steps/second-signer-asked.js';
import { shiftReadSchema } from './entries/record/shift-read.js';
import { warmUpNotedSchema } from './entries/start/warm-up-noted.js';
import { secondLookDoneSchema } from './entries/start/second-look-done.js';
import { secondLookPlannedSchema } from './entries/start/second-look-planned.js';
import { troubleTestDoneSchema } from './entries/start/trouble-test-done.js';
import { heightSetSchema } from './entries/steps/height-set.js';
import { holdPointSignedSchema } from './entries/steps/hold-point-signed.js';
import { operationDoneSchema } from './entries/steps/operation-done.js';
import { operationSkippedSchema } from './entries/steps/operation-skipped.js';
import { operationStuckSchema } from './entries/steps/operation-stuck.js';
import { workPausedSchema } from './entries/steps/work-paused.js';
import { workResumedSchema } from './entries/steps/work-resumed.js';
import { torqueAcceptedSchema } from './entries/torque/torque-accepted.js';
import { boltsTightenedSchema } from './entries/torque/bolts-tightened.js';
import { torqueReadSchema } from './entries/torque/torque-read.js';
import type { EntrySchema } from './entries/entry-schema.js';

/** What each kind of ledger entry has to hold, by kind. */
export const ENTRY_SCHEMAS: { readonly [Kind in EntryKind]: EntrySchema<Kind> } = {
  'operation-done': operationDoneSchema,
  'operation-skipped': operationSkippedSchema,
  'operation-stuck': operationStuckSchema,
  'height-set': heightSetSchema,
  'fasteners-counted': fastenersCountedSchema,
  'keeping-chosen': keepingChosenSchema,
  'set-described': setDescribedSchema,
  'count-accepted': countAcceptedSchema,
  'fasteners-judged': fastenersJudgedSchema,
  'pattern-drawn': patternDrawnSchema,
  'bolt-found': boltFoundSchema,
  'bolt-homed': boltHomedSchema,
  'bolt-set-aside': boltSetAsideSchema,
  'ground-checked': groundCheckedSchema,
  'photo-taken': photoTakenSchema,
  'photo-marked': photoMarkedSchema,
  'work-paused': workPausedSchema,
  'work-resumed': workResumedSchema,
  tagged: taggedSchema,
  'connection-found': connectionFoundSchema,
  'found-still-on': foundStillOnSchema,
  'left-on-purpose': leftOnPurposeSchema,
  'hold-point-signed': holdPointSignedSchema,
  'torque-read': torqueReadSchema,
  'bolts-tightened': boltsTightenedSchema,
  'torque-accepted': torqueAcceptedSchema,
  'joint-looked-at': jointLookedAtSchema,
  'adjustment-tried': adjustmentTriedSchema,
  'seat-measured': seatMeasuredSchema,
  'fluid-measured': fluidMeasuredSchema,
  'fill-planned': fillPlannedSchema,
  'level-set': levelSetSchema,
  'machine-measured': machineMeasuredSchema,
  'moves-taken': movesTakenSchema,
  'load-read': loadReadSchema,
  noted: notedSchema,
  'part-needed': partNeededSchema,
  'part-arrived': partArrivedSchema,
  'unit-decided': unitDecidedSchema,
  'renewal-decided': renewalDecidedSchema,
  'renewal-written': renewalWrittenSchema,
  'life-guessed': lifeGuessedSchema,
  'terms-set': termsSetSchema,
  'part-priced': partPricedSchema,
  'part-moved-on': partMovedOnSchema,
  'part-compared': partComparedSchema,
  'core-returned': coreReturnedSchema,
  'cost-noted': costNotedSchema,
  'part-placed': partPlacedSchema,
  'looked-at': lookedAtSchema,
  'unit-measured': unitMeasuredSchema,
  'literature-added': literatureAddedSchema,
  'page-marked': pageMarkedSchema,
  'page-pinned': pagePinnedSchema,
  'pins-read': pinsReadSchema,
  'splice-done': spliceDoneSchema,
  'splices-planned': splicesPlannedSchema,
  'start-attempted': startAttemptedSchema,
  'trouble-test-done': troubleTestDoneSchema,
  'cause-found': causeFoundSchema,
  'codes-read': codesReadSchema,
  'leak-looked': leakLookedSchema,
  'warm-up-noted': warmUpNotedSchema,
  'shift-handed-over': shiftHandedOverSchema,
  'shift-read': shiftReadSchema,
  'help-called': helpCalledSchema,
  'help-answered': helpAnsweredSchema,
  'second-signer-asked': secondSignerAskedSchema,
  'second-look-planned': secondLookPlannedSchema,
  'second-look-done': secondLookDoneSchema,
  'issue-opened': issueOpenedSchema,
  'issue-sorted': issueSortedSchema,
  'issue-closed': issueClosedSchema,
  'handed-over': handedOverSchema,
  'plan-followed': planFollowedSchema,
  corrected: correctedSchema,
};

/** An entry of no kind we know: nothing passes, and what is said is said of its kind. */
const unknownKind = mixed<LedgerEntry>((_given): _given is LedgerEntry => true)
  .required()
  .test('kind', (given, context) => {
    const path = context.path ? `${context.path}.kind` : 'kind';
    const missing = typeof given !== 'object' || !('kind' in given) || (given.kind as unknown) === undefined;
    return context.createError({
      path,
      message: missing ? `${path} is missing.` : `${path} has to be one of: ${ENTRY_KINDS.join(', ')}.`,
    });
  });

/** Any ledger entry, held against the schema of its own kind. */
export const entrySchema: ISchema<LedgerEntry> = lazy((value: unknown): ISchema<LedgerEntry> => {
  const kind = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  const known = ENTRY_KINDS.find((one) => one === kind);
  return known === undefined ? unknownKind : ENTRY_SCHEMAS[known];
});
