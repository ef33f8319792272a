/** Starts the worker that reads spreadsheet files. In a file of its own, since only a bundler knows where it is. */
export function startCsvWorker(): Worker {
  return new Worker(new URL('./csv.worker', import.meta.url), { type: 'module' });
}
