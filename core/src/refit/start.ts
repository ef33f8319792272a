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

/**
 * What hides leaks goes back on once they have been looked for, what covers a joint that is torqued again (`again`) once that is
 * done, and all of it before the machine is driven.
 */
export function coverEdges(
  covering: readonly Operation[],
  checks: readonly Operation[],
  again: ReadonlySet<string> = new Set(),
): readonly Precedence[] {
  const place = (check: string) => checks.findIndex(({ id }) => id === operationId.check(check));
  const [leaks, cold, driven] = [place('leaks'), place('heat-cycle'), place('test-run')];
  const looked = checks[leaks];
  if (!looked) return [];
  const torquedFirst = cold > leaks && cold < driven ? checks[cold] : undefined;
  const next = torquedFirst ? checks[driven] : checks[leaks + 1];
  return covering.flatMap(({ id, part = '', connection = '' }): readonly Precedence[] => [
    { before: looked.id, after: id, reason: { kind: 'sequence', words: 'It hides what may leak: looked for first.' } },
    ...(torquedFirst && (again.has(part) || again.has(connection))
      ? [
          {
            before: torquedFirst.id,
            after: id,
            reason: { kind: 'access', words: 'What is behind it is torqued again, cold, first.' },
          } as const,
        ]
      : []),
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
