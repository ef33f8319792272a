import {
  partsById,
  planHeldTo,
  type Access,
  type Chore,
  type Connection,
  type ConnectionId,
  type JobPlan,
  type PartId,
  type Reach,
} from '../connection-map/index.js';
import type { Stages } from '../refit/index.js';
import {
  ancestorsOf,
  operationId,
  precedenceGraph,
  type Operation,
  type OperationId,
  type Precedence,
  type Reason,
} from '../teardown/index.js';
import type { BenchRequirements } from './required.js';

/** Why what is done at the bench comes before the powerpack goes back in. */
export const AT_THE_BENCH_WORDS = 'At the bench now, or in the bay with half the room.';

const sequence = (words: string): Reason => ({ kind: 'sequence', words });
const turned = (words: string): Reason => ({
  kind: 'access',
  words: `Later it cannot be reached. To take it off: ${words}`,
});

/** What is in front comes off before what is behind it, and goes on after it; a circuit is empty before it is opened. */
export function reachEdges(
  { map }: JobPlan,
  required: BenchRequirements,
  opened: readonly Connection[],
  stages: ReadonlyMap<ConnectionId, Stages>,
): readonly Precedence[] {
  return opened.flatMap(({ id, access, circuit }): readonly Precedence[] => {
    const own = stages.get(id);
    if (!own) return [];
    const drained = map.circuits.find((one) => one.id === circuit && required.drained.has(one.id));
    return [
      ...access.flatMap((need) => passed(need, operationId.open(id), own.last)),
      ...(drained
        ? [
            {
              before: operationId.drain(drained.id),
              after: operationId.open(id),
              reason: {
                kind: 'condition',
                words: `${drained.name} drained first, or the ${drained.fluid} runs over you.`,
              },
            } as const,
            {
              before: own.last,
              after: operationId.fill(drained.id),
              reason: { kind: 'condition', words: 'Filled when every joint of the circuit is closed.' },
            } as const,
          ]
        : []),
    ];
  });

  function passed(need: Access, opening: OperationId, closed: OperationId): readonly Precedence[] {
    const reason: Reason = { kind: need.because ?? 'access', words: need.why };
    if ('open' in need) {
      const other = stages.get(need.open);
      if (!other) return [];
      return [
        { before: operationId.open(need.open), after: opening, reason },
        { before: closed, after: other.first, reason: turned(need.why) },
      ];
    }
    if (!required.removed.has(need.removed)) return [];
    return [
      { before: operationId.remove(need.removed), after: opening, reason },
      { before: closed, after: operationId.fit(need.removed), reason: turned(need.why) },
    ];
  }
}

/** All that holds a part is undone before it comes off, and the part is in its place before it is fastened. */
export function partEdges(
  { map }: JobPlan,
  required: BenchRequirements,
  stages: ReadonlyMap<ConnectionId, Stages>,
): readonly Precedence[] {
  const parts = partsById(map);
  return [...required.removed.keys()].flatMap((id) =>
    map.connections
      .filter(({ between }) => between.includes(id))
      .flatMap((connection): readonly Precedence[] => {
        const own = stages.get(connection.id);
        if (!own) return [];
        const name = parts.get(id)?.name ?? id;
        return [
          {
            before: operationId.open(connection.id),
            after: operationId.remove(id),
            reason: { kind: 'part', words: `The ${name} hangs on ${connection.name} until that is open.` },
          },
          {
            before: operationId.fit(id),
            after: own.first,
            reason: { kind: 'part', words: 'The part is in its place before it is fastened.' },
          },
        ];
      }),
  );
}

/** It stands before anybody works on it. */
export function standEdges(operations: readonly Operation[]): readonly Precedence[] {
  const stand = operationId.stand();
  if (!operations.some(({ id }) => id === stand)) return [];
  return operations
    .filter(({ id, station }) => id !== stand && station === 'bench')
    .map(({ id }) => ({
      before: stand,
      after: id,
      reason: { kind: 'safety', words: 'It stands by itself before anybody works on it.' },
    }));
}

/** What ties two units is open before one is drawn off, and what is between the two is done by then. */
export function apartEdges(
  { pairs }: BenchRequirements,
  opened: readonly Connection[],
  chores: readonly Chore[],
  stages: ReadonlyMap<ConnectionId, Stages>,
): readonly Precedence[] {
  return pairs.flatMap(({ leaves, joints }): readonly Precedence[] => [
    {
      before: operationId.apart(leaves),
      after: operationId.together(leaves),
      reason: sequence('Apart before together.'),
    },
    ...joints.flatMap((id): readonly Precedence[] => {
      const own = stages.get(id);
      if (!own) return [];
      return [
        {
          before: operationId.open(id),
          after: operationId.apart(leaves),
          reason: { kind: 'part', words: 'It ties the two together until it is open.' },
        },
        {
          before: operationId.together(leaves),
          after: own.first,
          reason: { kind: 'sequence', words: 'The faces meet by hand before any fastener goes in.' },
        },
      ];
    }),
    ...opened
      .filter(
        ({ id, access }) => !joints.includes(id) && access.some((need) => 'open' in need && joints.includes(need.open)),
      )
      .flatMap(({ id }): readonly Precedence[] => [
        {
          before: operationId.apart(leaves),
          after: operationId.open(id),
          reason: { kind: 'access', words: 'It is between the two.' },
        },
        {
          before: stages.get(id)?.last ?? operationId.open(id),
          after: operationId.together(leaves),
          reason: { kind: 'access', words: 'With the two together it is not reached any more.' },
        },
      ]),
    ...chores
      .filter(({ before }) => before.some((deed) => 'connection' in deed && joints.includes(deed.connection)))
      .flatMap(({ id }): readonly Precedence[] => [
        {
          before: operationId.apart(leaves),
          after: operationId.chore(id),
          reason: { kind: 'access', words: 'It is reached with the two apart.' },
        },
        {
          before: operationId.chore(id),
          after: operationId.together(leaves),
          reason: { kind: 'access', words: 'With the two together it is not reached any more.' },
        },
      ]),
  ]);
}

/** The other unit is held against the old one and stands in its place before anything goes over to it. */
export function changeEdges(
  plan: JobPlan,
  { replaced, removed, pairs }: BenchRequirements,
  chores: readonly Chore[],
  stages: ReadonlyMap<ConnectionId, Stages>,
  soFar: readonly Precedence[],
): readonly Precedence[] {
  const { map } = plan;
  const graph = precedenceGraph(soFar);
  return [...replaced].flatMap(([unit, stays]) => {
    const change = operationId.change(unit);
    const compared = operationId.compare(unit);
    const ties = map.connections.filter(
      ({ id, between }) =>
        stages.has(id) && between.some((end) => stays.has(end)) && !between.every((end) => stays.has(end)),
    );
    const over = [...removed.keys()].filter((id) => !stays.has(id) && ties.some(({ between }) => between.includes(id)));
    // What is in the way of something that goes over is undone on the old one, whatever it is part of.
    const onTheOld = new Set(
      [...ties.map(({ id }) => operationId.open(id)), ...over.map((id) => operationId.remove(id))].flatMap((id) => [
        ...ancestorsOf(id, graph),
      ]),
    );
    const inTheNew = map.connections.filter(
      ({ id, between }) =>
        stages.has(id) && between.every((end) => stays.has(end)) && !onTheOld.has(operationId.open(id)),
    );
    const bare = sequence('The old one is bare before it leaves the stand.');
    const stands = sequence('The other one stands there before anything goes onto it.');
    return [
      {
        before: compared,
        after: change,
        reason: sequence('What does not match goes back whole; found later, the work is done twice.'),
      },
      ...ties.map(({ id }) => ({ before: operationId.open(id), after: change, reason: bare })),
      ...inTheNew.map(({ id }) => ({
        before: change,
        after: operationId.open(id),
        reason: sequence('On the old unit it would be opened for nothing.'),
      })),
      ...over.flatMap((id) => [
        { before: operationId.remove(id), after: change, reason: bare },
        { before: change, after: operationId.fit(id), reason: stands },
      ]),
      ...ties.flatMap(({ id }) => {
        const own = stages.get(id);
        return own ? [{ before: change, after: own.first, reason: stands }] : [];
      }),
      { before: change, after: operationId.carryOver(unit), reason: stands },
      ...(planHeldTo(plan, 4)
        ? [
            ...over.map((id) => operationId.fit(id)),
            ...pairs.flatMap(({ stays: one, leaves }) =>
              stays.has(one) || stays.has(leaves) ? [operationId.together(leaves)] : [],
            ),
          ].map((after) => ({
            before: operationId.carryOver(unit),
            after,
            reason: sequence('Dowels and senders are in before anything covers their places.'),
          }))
        : []),
      ...chores
        .filter(({ id, before }) => !before.some((deed) => 'undone' in deed) && !onTheOld.has(operationId.chore(id)))
        .map(({ id }) => ({
          before: change,
          after: operationId.chore(id),
          reason: sequence('On the old unit it would be done for nothing.'),
        })),
      ...pairs
        .filter((pair) => stays.has(pair.stays) || stays.has(pair.leaves))
        .flatMap(({ stays: one, leaves }): readonly Precedence[] =>
          stays.has(one) && stays.has(leaves) && !onTheOld.has(operationId.apart(leaves))
            ? // Both come in one piece: it is the other one that is parted.
              [
                {
                  before: change,
                  after: operationId.apart(leaves),
                  reason: sequence('The old one is not parted for nothing.'),
                },
              ]
            : [
                { before: operationId.apart(leaves), after: change, reason: bare },
                { before: change, after: operationId.together(leaves), reason: stands },
              ],
        ),
    ];
  });
}

/** What is filled by hand is on the unit it goes in with, and full before it is covered. */
export function chargeEdges(
  { map }: JobPlan,
  { charged, replaced, pairs }: BenchRequirements,
  chores: readonly Chore[],
  stages: ReadonlyMap<ConnectionId, Stages>,
): readonly Precedence[] {
  const full = sequence('Full before it goes on: afterwards nothing can be poured into it.');
  return charged.flatMap(({ part }): readonly Precedence[] => {
    const own = operationId.charge(part);
    const units = map.parts.flatMap(({ id, ridesWith }) => (id === part && ridesWith !== undefined ? [ridesWith] : []));
    const joints = map.connections.filter(({ between }) => between.includes(part)).map(({ id }) => id);
    const then = [
      ...joints.flatMap((id) => stages.get(id)?.first ?? []),
      ...chores
        .filter(({ after }) => after.some((deed) => 'connection' in deed && joints.includes(deed.connection)))
        .map(({ id }) => operationId.chore(id)),
      ...pairs
        .filter(({ stays, leaves }) => units.includes(stays) || units.includes(leaves))
        .map(({ leaves }) => operationId.together(leaves)),
    ];
    return [
      ...[...replaced]
        .filter(([, stays]) => units.some((unit) => stays.has(unit)))
        .map(([unit]) => ({
          before: operationId.change(unit),
          after: own,
          reason: sequence('The other one stands there before anything goes onto it.'),
        })),
      ...then.map((after) => ({ before: own, after, reason: full })),
    ];
  });
}

/** Something is renewed once all in front of it is gone, and before any of that goes back. */
export function renewalEdges(
  plan: JobPlan,
  { renewed, removed, pairs, drained, replaced }: BenchRequirements,
  opened: readonly Connection[],
  stages: ReadonlyMap<ConnectionId, Stages>,
): readonly Precedence[] {
  const endsOf = (joint: ConnectionId) => opened.find(({ id }) => id === joint)?.between ?? [];
  const inFour = planHeldTo(plan, 4);
  /** Whether something is reached behind what is fastened to a unit: then it sits on that, whatever it is hung on. */
  const isBehindPartOf = (stays: ReadonlySet<PartId>, need: Reach) => {
    if ('open' in need) return endsOf(need.open).some((end) => stays.has(end));
    if ('parted' in need) return need.parted.some((end) => stays.has(end));
    return (
      'removed' in need &&
      opened.some(({ between }) => between.includes(need.removed) && between.some((end) => stays.has(end)))
    );
  };
  const all = new Set(renewed.map((one) => one.id));
  return renewed.flatMap(({ id, name, at, reach, drains, after = [] }): readonly Precedence[] => {
    const own = operationId.renew(id);
    const back: Reason = {
      kind: 'access',
      words: `The ${name} is done first: behind this it is not reached any more.`,
    };
    const between = (off: OperationId, on: OperationId, why: string): readonly Precedence[] => [
      { before: off, after: own, reason: { kind: 'access', words: why } },
      { before: own, after: on, reason: back },
    ];
    const units = [...replaced];
    const newUnit =
      units.find(([, stays]) => stays.has(at)) ??
      (inFour ? units.find(([, stays]) => reach.some((need) => isBehindPartOf(stays, need))) : undefined);
    return [
      ...reach.flatMap((need) => {
        if ('open' in need) {
          const joint = stages.get(need.open);
          // What comes off where a joint is undone goes back on over it.
          const over = inFour ? endsOf(need.open).filter((end) => removed.has(end) && end !== at) : [];
          return [
            ...(joint ? between(operationId.open(need.open), joint.first, need.why) : []),
            ...over.map((part) => ({ before: own, after: operationId.fit(part), reason: back })),
          ];
        }
        if ('removed' in need)
          return removed.has(need.removed)
            ? between(operationId.remove(need.removed), operationId.fit(need.removed), need.why)
            : [];
        if (!('parted' in need)) return [];
        return pairs
          .filter((pair) => need.parted.includes(pair.stays) && need.parted.includes(pair.leaves))
          .flatMap(({ leaves }) => between(operationId.apart(leaves), operationId.together(leaves), need.why));
      }),
      ...after
        .filter((first) => all.has(first))
        .map((first) => ({
          before: operationId.renew(first),
          after: own,
          reason: sequence(`It is behind the ${name}, which would come off again for it.`),
        })),
      ...(drains !== undefined && drained.has(drains)
        ? between(operationId.drain(drains), operationId.fill(drains), 'It runs out where this is opened.')
        : []),
      ...(newUnit
        ? [
            {
              before: operationId.change(newUnit[0]),
              after: own,
              reason: sequence('On the old unit it would be done for nothing.'),
            },
          ]
        : []),
    ];
  });
}

/** All of it is done before the powerpack goes down. */
export function lastBeforeLowering(operations: readonly Operation[]): readonly Precedence[] {
  return operations.map(({ id }) => ({
    before: id,
    after: operationId.hold('pre-lower'),
    reason: { kind: 'sequence', words: AT_THE_BENCH_WORDS },
  }));
}
