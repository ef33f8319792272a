/** Starts the worker that reckons now against later. In a file of its own, since only a bundler knows where it is. */
export function startReckonWorker(): Worker {
  return new Worker(new URL('./reckon.worker', import.meta.url), { type: 'module' });
}
