/** Starts the worker that looks for the way through. In a file of its own, since only a bundler knows where it is. */
export function startWayWorker(): Worker {
  return new Worker(new URL('./way.worker', import.meta.url), { type: 'module' });
}
