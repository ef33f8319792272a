import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ProblemError } from '../http/problem.js';
import { poolOf, type Pool, type PoolLimits } from './pool.js';

const worker = pathToFileURL(join(__dirname, '../testing/slow-worker.mjs'));
const LIMITS: PoolLimits = { taskMs: 5_000, waiting: 2, memoryMb: 32, threads: 1 };

let pool: Pool;
afterEach(() => pool.close());

/** What comes of a task of the stand-in: its value, or the kind of problem it ended in. */
async function outcome(input: object): Promise<unknown> {
  try {
    return await pool.run('read a bundle', input as never);
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    return error.kind;
  }
}

describe('a pool', () => {
  it('gives back what a task gives, and throws the problem it tells of as one', async () => {
    pool = poolOf(worker, LIMITS);
    expect(await outcome({ bolts: 3 })).toEqual({ bolts: 3 });
    const errors = [{ field: 'map', words: 'No.' }];
    const told = pool.run('read a bundle', {
      problem: { kind: 'bad-input', message: 'No.', more: { errors } },
    } as never);
    await expect(told).rejects.toMatchObject({ kind: 'bad-input', message: 'No.', more: { errors } });
    await expect(outcome({ breaks: true })).rejects.toThrow('broken');
  });

  it('gives up what takes too long, and goes on with the next', async () => {
    pool = poolOf(worker, { ...LIMITS, taskMs: 400 });
    expect(await outcome({ forEver: true })).toBe('too-large');
    pool = poolOf(worker, LIMITS);
    expect(await outcome({ bolts: 4 })).toEqual({ bolts: 4 });
  });

  it('counts what a task takes, and not what it waits for its turn', async () => {
    // Together they take longer than one may, each of them far less: its thread has to begin, too, on a machine that is busy.
    pool = poolOf(worker, { ...LIMITS, taskMs: 3_000 });
    const came = await Promise.all([1, 2, 3].map((bolts) => outcome({ bolts, waitMs: 1_100 })));
    expect(came).toEqual([1, 2, 3].map((bolts) => ({ bolts, waitMs: 1_100 })));
  });

  it('gives up what takes too much room, and nobody else notices', async () => {
    pool = poolOf(worker, LIMITS);
    expect(await outcome({ fillMemory: true })).toBe('too-large');
    expect(await outcome({ bolts: 5 })).toEqual({ bolts: 5 });
  });

  it('asks whoever comes when too many wait to come again', async () => {
    pool = poolOf(worker, LIMITS);
    const came = await Promise.all(Array.from({ length: 6 }, (_, bolts) => outcome({ bolts, waitMs: 150 })));
    expect(came.filter((one) => one === 'busy')).toHaveLength(3);
    expect(came.slice(0, 3)).toEqual([0, 1, 2].map((bolts) => ({ bolts, waitMs: 150 })));
  });
});
