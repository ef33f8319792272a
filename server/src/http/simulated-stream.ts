import { randomInt } from 'node:crypto';
import type { Request, Response } from 'express';
import { beginEvents, lastSeen, sendEvent } from './event-stream.js';
import { ProblemError } from './problem.js';

/** Simulated instruments at once, and how long one runs before it switches itself off. */
const MOST = 16;
const LONGEST_MS = 15 * 60_000;

/** A simulated instrument: its readings for a seed, one every so many milliseconds. */
export interface SimulatedReadings {
  readonly made: (seed: number) => Iterator<{ readonly atMs: number }, never>;
  readonly everyMs: number;
}

/**
 * Sends readings of simulated instruments of one kind, called `instrument`, as server-sent events that say they are
 * simulated. Who loses the line and comes back goes on with the reading after the last it had. `closing` turns true when the
 * server is about to stop. Throws `too-often` where too many run.
 */
export function simulatedStreams(
  instrument: string,
  closing: () => boolean,
): (request: Request, response: Response, simulated: SimulatedReadings) => void {
  let running = 0;
  return (request, response, { made, everyMs }) => {
    if (running >= MOST)
      throw new ProblemError('too-often', `So many ${instrument}s run already. Switch one off, and try again.`);
    running += 1;
    const before = lastSeen(request);
    const seed = before?.run ?? randomInt(1, 2 ** 31);
    const readings = made(seed);
    let number = 0;
    for (const until = Math.min(before?.number ?? 0, LONGEST_MS / everyMs); number < until; number += 1)
      readings.next();
    beginEvents(response);
    const timer = setInterval(() => {
      const reading = readings.next().value;
      number += 1;
      if (closing() || reading.atMs > LONGEST_MS) response.end();
      else sendEvent(response, `${seed}-${number}`, { ...reading, simulated: true });
    }, everyMs);
    response.on('close', () => {
      clearInterval(timer);
      running -= 1;
    });
  };
}
