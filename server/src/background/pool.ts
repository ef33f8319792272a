import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { ProblemError } from '../http/problem.js';
import type { InBackground, TaskOutput } from './tasks.js';
import { heard, type Told } from './told.js';

/** What a pool may use up. */
export interface PoolLimits {
  /** How long a task may take. */
  readonly taskMs: number;
  /** How many tasks wait; whoever comes after that is asked to come again. */
  readonly waiting: number;
  readonly memoryMb: number;
  readonly threads: number;
}

const USUAL: PoolLimits = {
  taskMs: 60_000,
  waiting: 16,
  memoryMb: 1_024,
  // One core is left to answer the crew.
  threads: Math.max(1, Math.min(3, availableParallelism() - 1)),
};
/** A thread nobody needs is let go after this long. */
const IDLE_MS = 60_000;

/** Threads for what takes long. */
export interface Pool {
  readonly run: InBackground;
  readonly close: () => Promise<void>;
}

/** Threads that do the tasks of `worker`, within `limits`. */
export function poolOf(
  worker: URL | string = new URL('./worker.js', import.meta.url),
  { taskMs, waiting, memoryMb, threads }: PoolLimits = USUAL,
): Pool {
  const piscina = new Piscina({
    filename: worker.toString(),
    minThreads: 0,
    maxThreads: threads,
    idleTimeout: IDLE_MS,
    resourceLimits: { maxOldGenerationSizeMb: memoryMb },
    recordTiming: false,
  });
  let underWay = 0;
  const inLine: (() => void)[] = [];
  /** Until a thread is free: what a task may take counts from there, and not what it waits. */
  const turn = async () => {
    if (underWay >= threads + waiting)
      throw new ProblemError('busy', 'The server has its hands full. Nothing was written; try again in a moment.');
    underWay += 1;
    if (underWay > threads) await new Promise<void>((resolve) => inLine.push(resolve));
  };
  return {
    run: async (name, input) => {
      await turn();
      const limit = AbortSignal.timeout(taskMs);
      try {
        const told = (await piscina.run({ name, input }, { signal: limit })) as Told;
        return heard(told) as TaskOutput<typeof name>;
      } catch (error) {
        throw inWords(error, limit);
      } finally {
        underWay -= 1;
        inLine.shift()?.();
      }
    },
    close: () => piscina.destroy(),
  };
}

function inWords(error: unknown, limit: AbortSignal): unknown {
  if (error instanceof ProblemError) return error;
  if (limit.aborted)
    return new ProblemError('too-large', 'That takes longer than it may, and was given up. Nothing was written.');
  const code = typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;
  if (code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new ProblemError('too-large', 'That needs more room than there is, and was given up. Nothing was written.');
  return error;
}
