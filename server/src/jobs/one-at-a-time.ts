/** Runs tasks under one key after another, in the order they came; tasks under different keys do not wait. */
export function oneAtATime(): <T>(key: string, task: () => Promise<T>) => Promise<T> {
  const tails = new Map<string, Promise<unknown>>();
  return (key, task) => {
    const before = tails.get(key) ?? Promise.resolve();
    const run = before.then(task, task);
    const settled = run
      .catch(() => undefined)
      .finally(() => {
        if (tails.get(key) === settled) tails.delete(key);
      });
    tails.set(key, settled);
    return run;
  };
}
