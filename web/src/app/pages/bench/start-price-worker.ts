/** Starts the worker that reads price lists. In a file of its own, since only a bundler knows where it is. */
export function startPriceWorker(): Worker {
  return new Worker(new URL('./price.worker', import.meta.url), { type: 'module' });
}
