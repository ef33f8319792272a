/** Starts the worker that searches for plans. In a file of its own, since only a bundler knows where it is. */
export function startSearchWorker(): Worker {
  return new Worker(new URL('./search.worker', import.meta.url), { type: 'module' });
}
