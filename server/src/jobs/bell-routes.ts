import { revisionOf } from '@brisk/contracts/revision';
import { BEAT_EVERY_MS, hereSchema, type JobRing } from '@brisk/contracts/here';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { bodyOf, jsonBody, LARGEST_BODY } from '../http/body.js';
import { beginEvents, sendBeat, sendEvent } from '../http/event-stream.js';
import { ProblemError } from '../http/problem.js';
import { whoAsked } from '../people/guard.js';
import type { PeopleStore } from '../people/people-store.js';
import type { JobStore } from './job-store.js';
import * as docs from './openapi.js';
import { WhoIsHere } from './who-is-here.js';

/** Devices that listen for what is new, at once; so often each line is looked after. */
const MOST_LISTENING = 64;
const LOOK_MS = 2_000;
/**
 * A line is ended after so long, and whoever still listens asks for it again by itself. Whoever sleeps or has gone without a word
 * does not, and holds no line.
 */
const LINE_LASTS_MS = 60_000;
/** A job that cannot be read now is told of when it is asked for. */
const noMatter = () => undefined;

/** What the bell works with. */
export interface BellParts {
  readonly store: JobStore;
  readonly people: PeopleStore;
  readonly now: () => Date;
  /** Turns true when the server is about to stop. */
  readonly closing: () => boolean;
  /** How long one line lasts, in ms. */
  readonly lineLastsMs?: number;
}

/** The bell of the shop: what was written to which job, and who is at which step. */
export function bellRoutes({ store, people, now, closing, lineLastsMs = LINE_LASTS_MS }: BellParts): ApiRouter {
  const api = apiRouter();
  let listening = 0;
  const here = new WhoIsHere(now);

  api.get('/bell', docs.getBell, (_request, response) => {
    if (listening >= MOST_LISTENING)
      throw new ProblemError('too-often', 'So many devices listen already. What is new is fetched every few seconds.');
    const began = now().getTime();
    let beatAt = began;
    const heard = new Map<string, string>();
    const ring = (job: string) =>
      void store.read(job).then((stored) => {
        const position = stored.state.position;
        const told: JobRing = { job, position, revision: revisionOf(stored.job), here: here.at(job) };
        const said = JSON.stringify(told);
        // What is written in one go rings once.
        if (said !== heard.get(job) && !response.writableEnded)
          sendEvent(response, `${told.revision}-${position}`, told);
        heard.set(job, said);
      }, noMatter);
    const deaf = store.bell.listen(ring);
    listening += 1;
    beginEvents(response);
    // A page knows that it is heard before the first beat.
    sendBeat(response);
    let seen = here.everywhere();
    Object.keys(seen).forEach(ring);
    const who = whoAsked(response);
    const lookAfter = async () => {
      const at = now().getTime();
      // Who was put out meanwhile hears nothing more.
      const putOut = who !== undefined && !(await people.isSomebodyAt(who.device));
      if (closing() || putOut || at - began > lineLastsMs) return void response.end();
      if (at - beatAt >= BEAT_EVERY_MS) {
        sendBeat(response);
        beatAt = at;
      }
      // Who fell silent is told as gone, though nobody wrote.
      const before = seen;
      seen = here.everywhere();
      for (const job of Object.keys({ ...before, ...seen })) if (before[job] !== seen[job]) ring(job);
    };
    const timer = setInterval(() => void lookAfter().catch(noMatter), Math.min(LOOK_MS, lineLastsMs));
    response.on('close', () => {
      clearInterval(timer);
      deaf();
      listening -= 1;
    });
  });

  api.post('/jobs/:job/here', docs.postJobsHere, ...jsonBody(LARGEST_BODY), async (request, response) => {
    const id = String(request.params['job']);
    const said = bodyOf(hereSchema, request);
    await store.read(id);
    const by = whoAsked(response)?.me?.name ?? said.by;
    if (here.say(id, { ...said, by })) store.bell.ring(id);
    response.status(204).end();
  });

  api.delete('/jobs/:job/here/:page', docs.deleteJobsHere, (request, response) => {
    const id = String(request.params['job']);
    if (here.gone(id, String(request.params['page']))) store.bell.ring(id);
    response.status(204).end();
  });

  return api;
}
