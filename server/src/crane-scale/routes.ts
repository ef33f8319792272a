import { randomInt } from 'node:crypto';
import { SCALE_EVERY_MS, SCALE_MODES, simulatedScale, type ScaleMode } from '@brisk/core/rigging';
import type { Request } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput, ProblemError } from '../http/problem.js';
import * as docs from './openapi.js';

/** Scales at once, and how long one runs before it switches itself off. */
const MOST_SCALES = 16;
const LONGEST_MS = 15 * 60_000;
const HEAVIEST_KG = 20_000;

/** The simulated crane scale: readings sent as they are made. `closing` turns true when the server is about to stop. */
export function craneScaleRoutes(closing: () => boolean): ApiRouter {
  const api = apiRouter();
  let running = 0;

  api.get('/simulated-crane-scale', docs.getSimulatedCraneScale, (request, response) => {
    const scale = simulatedScale(kilogramsIn(request), modeIn(request), randomInt(1, 2 ** 31));
    if (running >= MOST_SCALES)
      throw new ProblemError('too-often', 'So many scales run already. Switch one off, and try again.');
    running += 1;
    // Packed, a reading would wait for the next ones.
    response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' });
    response.flushHeaders();
    const timer = setInterval(() => {
      const reading = scale.next().value;
      if (closing() || reading.atMs > LONGEST_MS) response.end();
      else response.write(`data: ${JSON.stringify({ ...reading, simulated: true })}\n\n`);
    }, SCALE_EVERY_MS);
    response.on('close', () => {
      clearInterval(timer);
      running -= 1;
    });
  });

  return api;
}

function kilogramsIn({ query }: Request): number {
  const kg = Number(query['kg']);
  return kg > 0 && kg <= HEAVIEST_KG
    ? kg
    : badInput([{ field: 'kg', words: `kg has to be above 0 and at most ${HEAVIEST_KG}.` }]);
}

function modeIn({ query }: Request): ScaleMode {
  const asked = query['mode'] ?? 'even';
  const words = `mode has to be one of ${SCALE_MODES.join(', ')}.`;
  return SCALE_MODES.find((mode) => mode === asked) ?? badInput([{ field: 'mode', words }]);
}
