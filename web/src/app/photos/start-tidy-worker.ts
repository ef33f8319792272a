/** Starts the worker that makes pictures ready. In a file of its own, since only a bundler knows where it is. */
export function startTidyWorker(): Worker {
  return new Worker(new URL('./tidy.worker', import.meta.url), { type: 'module' });
}
