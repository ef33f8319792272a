import { SCALE_EVERY_MS, SCALE_MODES, simulatedScale, type ScaleMode } from '@brisk/core/rigging';
import type { Request } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import { simulatedStreams } from '../http/simulated-stream.js';
import * as docs from './openapi.js';

const HEAVIEST_KG = 20_000;

/** The simulated crane scale: readings sent as they are made. `closing` turns true when the server is about to stop. */
export function craneScaleRoutes(closing: () => boolean): ApiRouter {
  const api = apiRouter();
  const send = simulatedStreams('scale', closing);

  api.get('/simulated-crane-scale', docs.getSimulatedCraneScale, (request, response) => {
    const [kg, mode] = [kilogramsIn(request), modeIn(request)];
    send(request, response, { made: (seed) => simulatedScale(kg, mode, seed), everyMs: SCALE_EVERY_MS });
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
