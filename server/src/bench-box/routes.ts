import { BOX_EVERY_MS, BOX_FAULTS, simulatedBox } from '@brisk/core/instrument';
import type { RequestHandler } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { bytesOf, rawBody } from '../http/body.js';
import { beginEvents, lastSeen, sendEvent } from '../http/event-stream.js';
import { badInput, ProblemError } from '../http/problem.js';
import { simulatedStreams } from '../http/simulated-stream.js';
import { BoxHub } from './box-hub.js';
import * as docs from './openapi.js';

const LINES = 'application/x-ndjson';
const LARGEST_LINES = '512kb';
/** Readers of real boxes at once. */
const MOST_READERS = 32;
/** A reader that takes nothing any more is let go; it asks again from where it was. */
const MOST_WAITING_BYTES = 4_000_000;
/** So often the line is looked after: whether the server closes, and that nothing in between takes it for dead. */
const LOOK_MS = 2_000;

/**
 * Bench boxes: the simulated one, and real instruments that send what they read as JSON lines. `closing` turns true when the
 * server is about to stop.
 */
export function benchBoxRoutes(closing: () => boolean, now: () => Date): ApiRouter {
  const api = apiRouter();
  const send = simulatedStreams('bench box', closing);
  const hub = new BoxHub(() => now().getTime());
  let readers = 0;

  api.get('/simulated-bench-box', docs.getSimulatedBenchBox, (request, response) => {
    const asked = request.query['fault'] ?? 'none';
    const words = `fault has to be one of ${BOX_FAULTS.join(', ')}.`;
    const fault = BOX_FAULTS.find((one) => one === asked) ?? badInput([{ field: 'fault', words }]);
    send(request, response, { made: (seed) => simulatedBox(fault, seed), everyMs: BOX_EVERY_MS });
  });

  api.get('/bench-boxes', docs.getBenchBoxes, (_request, response) => {
    response.json(hub.heard());
  });

  api.post(
    '/bench-boxes/:box/readings',
    docs.postBenchBoxReadings,
    onlyLines,
    ...rawBody(LINES, LARGEST_LINES),
    (request, response) => {
      const came = hub.take(nameIn(request.params['box']), Buffer.from(bytesOf(request)).toString('utf8'));
      const [first] = came.refused;
      if (came.taken === 0 && first)
        badInput(came.refused.map(({ line, words }) => ({ field: `line ${line}`, words: `Line ${line}: ${words}` })));
      response.json(came);
    },
  );

  api.get('/bench-boxes/:box/readings', docs.getBenchBoxReadings, (request, response) => {
    const name = nameIn(request.params['box']);
    if (readers >= MOST_READERS)
      throw new ProblemError('too-often', 'So many look at bench boxes already. Close one of them, and try again.');
    let seen = lastSeen(request);
    const tell = () => {
      if (response.writableLength > MOST_WAITING_BYTES) return void response.end();
      const { run, from, readings } = hub.since(name, seen);
      readings.forEach((reading, at) => sendEvent(response, `${run}-${from + at + 1}`, reading));
      seen = { run, number: from + readings.length };
    };
    const deaf = hub.listen(name, tell);
    readers += 1;
    beginEvents(response);
    tell();
    const timer = setInterval(() => {
      if (closing()) response.end();
      else response.write(': here\n\n');
    }, LOOK_MS);
    response.on('close', () => {
      clearInterval(timer);
      deaf();
      readers -= 1;
    });
  });

  return api;
}

const onlyLines: RequestHandler = (request, _response, next) => {
  if (!request.is(LINES))
    throw new ProblemError('not-json', `Send readings as JSON, one a line, with the content type ${LINES}.`);
  next();
};

function nameIn(box: string | undefined): string {
  return box !== undefined && /^[\w.-]{1,40}$/.test(box)
    ? box
    : badInput([{ field: 'box', words: 'A box is named by letters, figures, dot, dash and underscore: 40 at most.' }]);
}
