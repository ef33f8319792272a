import { operationId, type Operation, type Precedence } from '../teardown/index.js';

/** First start and handover behind the whole refit, one look after the other. */
export function startEdges(operations: readonly Operation[], checks: readonly Operation[]): readonly Precedence[] {
  const [preStart, ...steps] = checks;
  if (!preStart) return [];
  const edges = operations.map(({ id }): Precedence => ({
    before: id,
    after: preStart.id,
    reason: { kind: 'hold point', words: 'The refit has to be finished before anybody cranks.' },
  }));
  steps.forEach(({ id }, index) => {
    edges.push({
      before: steps[index - 1]?.id ?? preStart.id,
      after: id,
      reason: { kind: 'sequence', words: index === 0 ? 'Signed before the first crank.' : 'One look after the other.' },
    });
  });
  return edges;
}

/** What hides leaks goes back on once they have been looked for, and before the machine is driven. */
export function coverEdges(covering: readonly Operation[], checks: readonly Operation[]): readonly Precedence[] {
  const leaks = checks.find(({ id }) => id === operationId.check('leaks'));
  const next = checks[checks.findIndex((check) => check === leaks) + 1];
  if (!leaks) return [];
  return covering.flatMap(({ id }): readonly Precedence[] => [
    { before: leaks.id, after: id, reason: { kind: 'sequence', words: 'It hides what may leak: looked for first.' } },
    ...(next
      ? [
          {
            before: id,
            after: next.id,
            reason: { kind: 'sequence', words: 'Back on before the machine is driven.' },
          } as const,
        ]
      : []),
  ]);
}
