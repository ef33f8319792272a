import type { Response } from 'express';
import { ProblemError } from './problem.js';

/** Simulated instruments at once, and how long one runs before it switches itself off. */
const MOST = 16;
const LONGEST_MS = 15 * 60_000;

/** Readings of a simulated instrument, one every so many milliseconds. */
export interface SimulatedReadings {
  readonly readings: Iterator<{ readonly atMs: number }, never>;
  readonly everyMs: number;
}

/**
 * Sends readings of simulated instruments of one kind, called `instrument`, as server-sent events that say they are
 * simulated. `closing` turns true when the server is about to stop. Throws `too-often` where too many run.
 */
export function simulatedStreams(
  instrument: string,
  closing: () => boolean,
): (response: Response, made: SimulatedReadings) => void {
  let running = 0;
  return (response, { readings, everyMs }) => {
    if (running >= MOST)
      throw new ProblemError('too-often', `So many ${instrument}s run already. Switch one off, and try again.`);
    running += 1;
    // Packed, a reading would wait for the next ones.
    response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' });
    response.flushHeaders();
    const timer = setInterval(() => {
      const reading = readings.next().value;
      if (closing() || reading.atMs > LONGEST_MS) response.end();
      else response.write(`data: ${JSON.stringify({ ...reading, simulated: true })}\n\n`);
    }, everyMs);
    response.on('close', () => {
      clearInterval(timer);
      running -= 1;
    });
  };
}
