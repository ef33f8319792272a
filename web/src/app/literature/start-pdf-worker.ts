/** Starts the worker that reads PDFs, which comes as it is published, beside the application. Replaced where there are no workers. */
export function startPdfWorker(): Worker {
  return new Worker('pdf.worker.min.mjs', { type: 'module' });
}
