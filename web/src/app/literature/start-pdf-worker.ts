/** Starts the worker that reads PDFs. In a file of its own, since only a bundler knows where it is. */
export function startPdfWorker(): Worker {
  return new Worker(new URL('./pdf.worker', import.meta.url), { type: 'module' });
}
