import { randomInt } from 'node:crypto';
import { BOX_EVERY_MS, BOX_FAULTS, simulatedBox } from '@brisk/core/instrument';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { badInput } from '../http/problem.js';
import { simulatedStreams } from '../http/simulated-stream.js';
import * as docs from './openapi.js';

/** The simulated bench box: what an engine shows that is cranked and run. `closing` turns true when the server is about to stop. */
export function benchBoxRoutes(closing: () => boolean): ApiRouter {
  const api = apiRouter();
  const send = simulatedStreams('bench box', closing);

  api.get('/simulated-bench-box', docs.getSimulatedBenchBox, ({ query }, response) => {
    const asked = query['fault'] ?? 'none';
    const words = `fault has to be one of ${BOX_FAULTS.join(', ')}.`;
    const fault = BOX_FAULTS.find((one) => one === asked) ?? badInput([{ field: 'fault', words }]);
    send(response, { readings: simulatedBox(fault, randomInt(1, 2 ** 31)), everyMs: BOX_EVERY_MS });
  });

  return api;
}
