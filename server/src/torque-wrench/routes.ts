import { PULLS, simulatedWrench, WRENCH_EVERY_MS, type Pull } from '@brisk/core/torque';
import type { Request } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import { simulatedStreams } from '../http/simulated-stream.js';
import * as docs from './openapi.js';

const HIGHEST_NM = 10_000;

/** The simulated torque wrench: readings sent as it is pulled. `closing` turns true when the server is about to stop. */
export function torqueWrenchRoutes(closing: () => boolean): ApiRouter {
  const api = apiRouter();
  const send = simulatedStreams('torque wrench', closing);

  api.get('/simulated-torque-wrench', docs.getSimulatedTorqueWrench, (request, response) => {
    const [nm, pull] = [newtonMetresIn(request), pullIn(request)];
    send(request, response, { made: (seed) => simulatedWrench(nm, pull, seed), everyMs: WRENCH_EVERY_MS });
  });

  return api;
}

function newtonMetresIn({ query }: Request): number {
  const nm = Number(query['nm']);
  return nm > 0 && nm <= HIGHEST_NM
    ? nm
    : badInput([{ field: 'nm', words: `nm has to be above 0 and at most ${HIGHEST_NM}.` }]);
}

function pullIn({ query }: Request): Pull {
  const asked = query['pull'] ?? 'even';
  const words = `pull has to be one of ${PULLS.join(', ')}.`;
  return PULLS.find((pull) => pull === asked) ?? badInput([{ field: 'pull', words }]);
}
