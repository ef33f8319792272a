import { routeOf, type Connection, type JobPlan } from '../connection-map/index.js';
import { operationId, precedenceGraph, type Precedence, type Reason, type Run } from '../teardown/index.js';
import { firstBolts, readyToMeet } from './faces.js';
import type { Stages } from './stages.js';

/** Said of what waits until the weight is on the mounts. */
const HANGS = 'It hangs on the hoist until every mount is started: a few bolts all round, and no more before that.';

/**
 * Faces that met on the way in are bolted at once, by whoever brought them together and before the powerpack is moved any
 * further; and they are drawn up before any mount is, which would pull them open.
 */
export function meetingOnTheWayIn(
  plan: JobPlan,
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
  faces: readonly Connection[],
  sitting: readonly Connection[],
  soFar: readonly Precedence[],
): { readonly runs: readonly Run[]; readonly edges: readonly Precedence[] } {
  const steps = routeOf(plan).lowerSteps.map(({ id, meets }) => ({ id: operationId.lower(id), meets }));
  const at = steps.findIndex(({ meets }) => meets === true);
  const first = steps[at]?.id;
  const graph = precedenceGraph(soFar);
  const then = firstBolts(faces, stages, graph);
  if (first === undefined || then === undefined) return { runs: [], edges: [] };
  const next = steps[at + 1]?.id;
  const reason: Reason = { kind: 'load path', words: 'Faces that met are bolted at once: nothing hangs on a shaft.' };
  return {
    runs: [{ first, then }],
    edges: [
      { before: first, after: then, reason },
      ...readyToMeet(first, then, graph),
      ...(next === undefined ? [] : [{ before: then, after: next, reason }]),
      ...opened
        .filter((joint) => joint.carriesLoad && !faces.includes(joint) && !sitting.includes(joint))
        .flatMap(({ id }): readonly Precedence[] => {
          const own = stages.get(id);
          if (!own) return [];
          return [
            { before: then, after: own.first, reason },
            ...faces.flatMap((face): readonly Precedence[] => {
              const closed = stages.get(face.id)?.close;
              if (closed === undefined) return [];
              const words = 'The faces are closed before a mount pulls at either unit.';
              return [
                { before: closed, after: own.close, reason: { kind: 'load path', words } },
                // What is still on the hoist is put down onto its mounts before anybody stays beneath it for long.
                ...(next === undefined
                  ? []
                  : [{ before: own.first, after: closed, reason: { kind: 'load path', words: HANGS } } as const]),
              ];
            }),
          ];
        }),
    ],
  };
}

/** A unit that is down on its mounts with one step of the way in, before another unit is brought to it with the next. */
export interface Sitting {
  readonly step: string;
  readonly next: string;
  /** Its mounts. */
  readonly joints: readonly Connection[];
}

/** The unit that sits first on the route of `plan`, where one does, with those of `opened` that are its mounts. */
export function sittingFirst(
  plan: JobPlan,
  opened: readonly Connection[],
  faces: readonly Connection[],
): Sitting | undefined {
  const steps = routeOf(plan).lowerSteps;
  const at = steps.findIndex(({ sits }) => sits !== undefined);
  const [step, next] = steps.slice(at, at + 2);
  if (at < 0 || !step || !next) return undefined;
  const joints = opened.filter(
    (joint) => joint.carriesLoad && !faces.includes(joint) && joint.between.includes(step.sits ?? ''),
  );
  return { step: step.id, next: next.id, joints };
}
