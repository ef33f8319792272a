import { planHeldTo, type Connection, type ConnectionId, type JobPlan } from '../connection-map/index.js';
import { facesOf, firstBolts, readyToMeet, type Stages } from '../refit/index.js';
import { operationId, precedenceGraph, type Precedence, type Reason, type Run } from '../teardown/index.js';
import type { BenchRequirements } from './required.js';

const FIRST_OF_ALL: Reason = { kind: 'sequence', words: 'Faces that met are bolted first of all.' };

/**
 * Whoever brings two units together goes straight on to the first bolts of their faces. So all that those wait for by `soFar` is
 * done before the two meet, and whatever else ties them comes after.
 */
export function meetingsAtBench(
  plan: JobPlan,
  { pairs }: BenchRequirements,
  opened: readonly Connection[],
  stages: ReadonlyMap<ConnectionId, Stages>,
  soFar: readonly Precedence[],
): { readonly runs: readonly Run[]; readonly edges: readonly Precedence[] } {
  if (!planHeldTo(plan, 7)) return { runs: [], edges: [] };
  const graph = precedenceGraph(soFar);
  const runs: Run[] = [];
  const edges: Precedence[] = [];
  for (const { stays, leaves, joints } of pairs) {
    const faces = facesOf(opened, new Set([stays, leaves]));
    const together = operationId.together(leaves);
    const then = firstBolts(faces, stages, graph);
    if (then === undefined) continue;
    runs.push({ first: together, then });
    edges.push(...readyToMeet(together, then, graph));
    for (const id of joints) {
      const own = stages.get(id);
      if (own && !faces.some((face) => face.id === id))
        edges.push({ before: then, after: own.first, reason: FIRST_OF_ALL });
    }
  }
  return { runs, edges };
}
