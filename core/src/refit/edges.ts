import { crossing, planHeldTo, routeOf, type Connection, type JobPlan } from '../connection-map/index.js';
import { operationId, type OperationId, type Precedence, type Reason, type Teardown } from '../teardown/index.js';
import type { Sitting } from './meeting.js';
import type { Stages } from './stages.js';

/** Said of what goes on before what covers it. */
export const LATER = 'Later it cannot be reached. On the way out: ';

/** By hand, then closed, then torqued; and torque in the order the map asks for. */
export function stageEdges(opened: readonly Connection[], stages: ReadonlyMap<string, Stages>): readonly Precedence[] {
  const byHand: Reason = { kind: 'sequence', words: 'Fingers before tools, or a thread is crossed.' };
  const seated: Reason = { kind: 'sequence', words: 'Seated before its final torque.' };
  return opened.flatMap(({ id, refit }) => {
    const own = stages.get(id);
    if (!own) return [];
    const edges: Precedence[] = [];
    if (own.first !== own.close) edges.push({ before: own.first, after: own.close, reason: byHand });
    if (own.last !== own.close) edges.push({ before: own.close, after: own.last, reason: seated });
    for (const { connection, why } of refit.torque?.after ?? []) {
      const other = stages.get(connection);
      if (other) edges.push({ before: other.last, after: own.last, reason: { kind: 'load path', words: why } });
    }
    return edges;
  });
}

/** Joints that stay loose until all of their group are in: pulled down one by one, the last would not meet. */
export function looseGroupEdges(
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  const groups = new Map<string, Connection[]>();
  for (const connection of opened) {
    const group = connection.refit.torque?.looseUntilAllIn;
    if (group !== undefined) groups.set(group, [...(groups.get(group) ?? []), connection]);
  }
  return [...groups.values()].flatMap((joints) =>
    joints.flatMap(({ id }) =>
      joints.flatMap((other): Precedence[] => {
        const [own, theirs] = [stages.get(id), stages.get(other.id)];
        if (other.id === id || !own || !theirs) return [];
        return [
          {
            before: theirs.close,
            after: own.last,
            reason: { kind: 'sequence', words: `It stays loose to leave room for ${other.name}.` },
          },
        ];
      }),
    ),
  );
}

/** The teardown's access, condition and part edges, walked the other way. */
export function reversedEdges(
  plan: JobPlan,
  teardown: Teardown,
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  const { map } = plan;
  const wayBack = new Map<OperationId, { first: OperationId; last: OperationId }>();
  const closing = new Map([...stages].map(([id, { close }]) => [operationId.open(id), close]));
  for (const [id, { first, last }] of stages) wayBack.set(operationId.open(id), { first, last });
  for (const id of teardown.removed.keys())
    wayBack.set(operationId.remove(id), { first: operationId.fit(id), last: operationId.fit(id) });
  for (const { id } of map.circuits)
    if (teardown.drained.has(id))
      wayBack.set(operationId.drain(id), { first: operationId.fill(id), last: operationId.fill(id) });

  const mounts = new Set(
    map.connections.filter(({ carriesLoad }) => carriesLoad).map(({ id }) => operationId.open(id)),
  );
  const title = new Map(teardown.operations.map((operation) => [operation.id, operation.title]));
  const everyOrder = planHeldTo(plan, 3);
  return teardown.precedence.flatMap(({ before, after, reason, told, firstBackToo }): Precedence[] => {
    const then = wayBack.get(before);
    const first = wayBack.get(after);
    if (firstBackToo && then && first)
      return [
        {
          before: closing.get(before) ?? then.last,
          after: first.first,
          reason: { kind: 'sequence', words: reason.words },
        },
      ];
    const turns = ['access', 'condition', 'part'].includes(reason.kind) || (everyOrder && told === true);
    if (!then || !first || !turns) return [];
    // Mounts are tightened together, so between two of them only the starting by hand is turned round.
    const bothMounts = mounts.has(before) && mounts.has(after);
    return [
      {
        before: bothMounts ? first.first : first.last,
        after: then.first,
        reason: { kind: reason.kind, words: turned(before, reason) },
      },
    ];
  });

  function turned(before: OperationId, reason: Reason): string {
    if (before.startsWith('drain:')) return 'Filled when every joint of the circuit is closed.';
    if (reason.kind === 'condition') return `${title.get(before) ?? before} was done before it; it goes back after it.`;
    if (reason.kind === 'part') return 'The part is in its place before it is fastened.';
    return `${LATER}${reason.words}`;
  }
}

/** A heavy part is held up until the fastener that came out last is in again: the others follow. */
export function inHandEdges(
  { hanging }: Pick<Teardown, 'hanging'>,
  stages: ReadonlyMap<string, Stages>,
): readonly Precedence[] {
  return hanging.flatMap(({ part, last, others }) => {
    const own = stages.get(last.id);
    if (!own) return [];
    return others.flatMap(({ id }): Precedence[] => {
      const other = stages.get(id);
      return other
        ? [
            {
              before: own.first,
              after: other.first,
              reason: {
                kind: 'sequence',
                words: `The ${part.name} is in somebody’s hands until it hangs on ${last.name}.`,
              },
            },
          ]
        : [];
    });
  });
}

/**
 * Mounts are started, seated and torqued together; the `faces` of two units are no mounts, and those of a unit that is `sitting`
 * before the other one comes are started and seated by themselves.
 */
export function mountEdges(
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
  faces: readonly Connection[],
  sitting: readonly Connection[],
): readonly Precedence[] {
  const mounts = opened.flatMap((joint) => {
    const own = joint.carriesLoad && !faces.includes(joint) ? stages.get(joint.id) : undefined;
    return own ? [{ ...own, sits: sitting.includes(joint) }] : [];
  });
  return mounts.flatMap((one) =>
    mounts.flatMap((other): Precedence[] => {
      const edges: Precedence[] = [];
      if (one === other) return edges;
      if (one.sits === other.sits)
        edges.push({
          before: one.first,
          after: other.close,
          reason: {
            kind: 'load path',
            words: 'Every mount is started by hand before any is pulled down, or the holes walk off.',
          },
        });
      if (other.last !== other.close)
        edges.push({
          before: one.close,
          after: other.last,
          reason: {
            kind: 'load path',
            words: 'Every mount is seated before any gets its final torque, or the frame twists.',
          },
        });
      return edges;
    }),
  );
}

/** A carrier that goes in from beneath, a crossmember, waits until what holds the powerpack elsewhere is started: until then it hangs. */
export function carrierEdges(
  plan: JobPlan,
  teardown: Teardown,
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
  faces: readonly Connection[],
): readonly Precedence[] {
  if (!planHeldTo(plan, 8)) return [];
  const mounts = opened.filter((joint) => joint.carriesLoad && !faces.includes(joint));
  const carriers = [...teardown.removed.keys()].filter((part) => mounts.some(({ between }) => between.includes(part)));
  return carriers.flatMap((part) => {
    const at = new Set(mounts.filter(({ between }) => between.includes(part)).flatMap(({ between }) => between));
    return mounts
      .filter(({ between }) => !between.includes(part) && !carriers.some((other) => between.includes(other)))
      .filter(({ between }) => between.some((end) => !at.has(end)))
      .flatMap(({ id }): readonly Precedence[] => {
        const own = stages.get(id);
        return own
          ? [
              {
                before: own.first,
                after: operationId.fit(part),
                reason: { kind: 'load path', words: 'It is held by its other mounts before this goes in beneath it.' },
              },
            ]
          : [];
      });
  });
}

/** What is in before lowering, the way down, and what waits for the powerpack to be there. */
export function lowerEdges(
  plan: JobPlan,
  teardown: Teardown,
  opened: readonly Connection[],
  stages: ReadonlyMap<string, Stages>,
  faces: readonly Connection[],
  sits: Sitting | undefined,
): readonly Precedence[] {
  const route = routeOf(plan);
  const preLower = operationId.hold('pre-lower');
  const chain = [preLower, ...route.lowerSteps.map(({ id }) => operationId.lower(id))];
  const down = chain.at(-1) ?? preLower;
  const edges: Precedence[] = chain.slice(1).map((after, index) => ({
    before: chain[index] ?? preLower,
    after,
    reason:
      index === 0
        ? { kind: 'hold point', words: 'Nothing is lowered before the pre-lower hold point is signed.' }
        : { kind: 'sequence', words: 'Small steps, and a look all round after each.' },
  }));

  const boundary = new Set([
    ...crossing(plan.map.connections, teardown.lump).map(({ id }) => id),
    ...(route.opensToo ?? []).map(({ connection }) => connection),
  ]);
  for (const { id, refit } of opened) {
    const own = stages.get(id);
    if (!own) continue;
    if (refit.beforeLowering !== undefined)
      edges.push({ before: own.last, after: preLower, reason: { kind: 'access', words: refit.beforeLowering } });
    else if (sits && sits.joints.some((joint) => joint.id === id))
      edges.push(
        {
          before: operationId.lower(sits.step),
          after: own.first,
          reason: { kind: 'sequence', words: 'It has to be down in the bay.' },
        },
        {
          before: own.close,
          after: operationId.lower(sits.next),
          reason: { kind: 'load path', words: 'It sits on its mounts before another unit is pushed against it.' },
        },
      );
    else if (boundary.has(id) && !faces.some((face) => face.id === id))
      edges.push({
        before: down,
        after: own.first,
        reason: { kind: 'sequence', words: 'The powerpack has to be down in the bay.' },
      });
  }
  const inBeforeLowering = new Set(
    opened.filter(({ refit }) => refit.beforeLowering !== undefined).flatMap(({ between }) => between),
  );
  for (const { part, why } of route.blockedBy)
    if (teardown.removed.has(part) && !inBeforeLowering.has(part))
      edges.push({
        before: down,
        after: operationId.fit(part),
        reason: { kind: 'access', words: `It came off to make room. ${why}` },
      });
  return edges;
}

/** What nothing on the way out drained is filled once the powerpack is in, before its plug is covered. */
export function fillEdges(plan: JobPlan, teardown: Teardown, inAll: Teardown): readonly Precedence[] {
  if (!planHeldTo(plan, 8)) return [];
  const down = operationId.lower(routeOf(plan).lowerSteps.at(-1)?.id ?? '');
  return plan.map.circuits
    .filter(({ id }) => inAll.drained.has(id) && !teardown.drained.has(id))
    .flatMap(({ id, drain }): readonly Precedence[] => [
      {
        before: down,
        after: operationId.fill(id),
        reason: { kind: 'sequence', words: 'Filled once it stands level in its place.' },
      },
      ...drain.access.flatMap((need): readonly Precedence[] =>
        'removed' in need && teardown.removed.has(need.removed)
          ? [
              {
                before: operationId.fill(id),
                after: operationId.fit(need.removed),
                reason: { kind: 'access', words: `${LATER}${need.why}` },
              },
            ]
          : [],
      ),
    ]);
}

/** What is made or changed for a joint is there before the joint is closed; the rest before the powerpack goes down, unless it may wait. */
export function adaptEdges({ adaptations = [] }: JobPlan, stages: ReadonlyMap<string, Stages>): readonly Precedence[] {
  return adaptations.flatMap(({ id, connection, dueBy }): readonly Precedence[] => {
    if (dueBy === 'start') return [];
    const joint = stages.get(connection ?? '');
    return [
      {
        before: operationId.adapt(id),
        after: joint?.first ?? operationId.hold('pre-lower'),
        reason: {
          kind: 'sequence',
          words: joint ? 'It has to fit before it is closed.' : 'It has to be there before the powerpack goes down.',
        },
      },
    ];
  });
}
