import { wrap, type Remote } from 'comlink';

/** A line to a worker: questions are asked of it, each answered for itself, or failed where the worker breaks down. */
export interface WorkerLine<Work> {
  ask<Answer>(question: (work: Remote<Work>) => Promise<Answer>): Promise<Answer>;
  /** Ends the worker, whatever it is doing. */
  hangUp(): void;
}

/** A line to `worker`, which exposes `Work`. */
export function lineTo<Work>(worker: Worker): WorkerLine<Work> {
  const work = wrap<Work>(worker);
  const brokenDown = new Promise<never>((_give, fail) => {
    worker.addEventListener('error', () => fail(new Error('The worker stopped by itself.')));
  });
  // It is only of interest to whoever asks.
  brokenDown.catch(() => undefined);
  return {
    ask: (question) => Promise.race([question(work), brokenDown]),
    hangUp: () => worker.terminate(),
  };
}
