import { isDeepStrictEqual } from 'node:util';
import { bundleSchema, notOurBundle, type Bundle } from '@brisk/contracts/bundle';
import { type Job } from '@brisk/contracts/job';
import { revisionOf } from '@brisk/contracts/revision';
import { foldLedger, lostBy, replay, startOf, type LedgerEntry } from '@brisk/core/ledger';
import { sealOf } from '@brisk/core/seal';
import { checked } from '../http/body.js';
import { jsonIn } from '../http/json-bytes.js';
import { badInput, ProblemError } from '../http/problem.js';
import { refuseProblems, refuseUnworkable } from './workable.js';

/** A bundle that is one of ours. */
export interface ReadBundle {
  readonly bundle: Bundle;
  /** Whether its ledger follows from its plan, or why it would not be taken in as a new job. */
  readonly follows: boolean | { readonly refused: string };
}

/** A bundle as it was sent, held against everything that does not hang on what is here. Throws the problem it has. */
export function readBundle(bytes: Uint8Array): ReadBundle {
  const given = jsonIn(bytes);
  const wrong = notOurBundle(given);
  if (wrong) badInput([{ field: 'format', words: wrong }]);
  const bundle = checked(bundleSchema, given);
  const { job, ledger, ledgerLength } = bundle;
  if (ledger.length !== ledgerLength)
    badInput([
      {
        field: 'ledger',
        words: `The bundle was cut short: it says ${ledgerLength} entries and holds ${ledger.length}.`,
      },
    ]);
  if (bundle.seal && !isDeepStrictEqual(bundle.seal, sealOf(job.id, ledger)))
    badInput([
      {
        field: 'seal',
        words:
          'The ledger in that bundle is not the one it was sealed with: it was changed afterwards, or damaged on the way. Nothing was taken in.',
      },
    ]);
  refuseProblems(job.plan.map, 'job.plan.map');
  refuseUnworkable(job);
  return { bundle, follows: follows(job, ledger) };
}

/**
 * Whether a ledger follows from the plan it comes with. One whose plan was never changed has to, or is refused. Where the
 * plan was changed while the work went on, the order of what was done before the change cannot be held against it: it
 * comes in, and is said to be unchecked; what would be lost by the change is refused.
 */
function follows(job: Job, ledger: readonly LedgerEntry[]): ReadBundle['follows'] {
  const { refused } = replay(startOf(job.plan), ledger);
  if (!refused) return true;
  if (revisionOf(job) <= 1)
    return {
      refused: `Entry ${refused.index + 1} of the ledger (${refused.entry.kind}) does not follow from what comes before it: ${refused.refusals[0]?.words ?? ''} Nothing was taken in.`,
    };
  const [lost] = lostBy(foldLedger(job.plan, ledger), job.plan);
  return lost === undefined ? false : { refused: `${lost} Nothing was taken in.` };
}

/** Whether a new job from this bundle is one that nobody here has checked. Throws `refused`. */
export function isUnchecked({ follows: found }: ReadBundle): boolean {
  if (typeof found === 'object') throw new ProblemError('refused', found.refused);
  return !found;
}
