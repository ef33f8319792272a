import type { Request, Response } from 'express';

/** Who lost the line asks again after so long, in ms. */
const AGAIN_MS = 500;

/** Begins to answer with server-sent events; whoever loses the line is told to ask again soon. */
export function beginEvents(response: Response): void {
  // Packed, an event would wait for the next ones.
  response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' });
  response.flushHeaders();
  response.write(`retry: ${AGAIN_MS}\n\n`);
}

/** Sends one event under an `id` by which a reader that comes back says what it had last. */
export function sendEvent(response: Response, id: string, data: unknown): void {
  response.write(`id: ${id}\ndata: ${JSON.stringify(data)}\n\n`);
}

/** Says that the line is still there, as an event a page can hear: what is a comment to it is not. */
export function sendBeat(response: Response): void {
  response.write('event: beat\ndata:\n\n');
}

/**
 * The two numbers an event id of ours is made of, where the reader of `request` had one before: the browser says it
 * when it asks again by itself, a page that opens its line anew in `after`.
 */
export function lastSeen(request: Request): { readonly run: number; readonly number: number } | undefined {
  const [, run, number] =
    /^(\d{1,15})-(\d{1,10})$/.exec(request.get('last-event-id') ?? String(request.query['after'] ?? '')) ?? [];
  return run === undefined || number === undefined ? undefined : { run: Number(run), number: Number(number) };
}
