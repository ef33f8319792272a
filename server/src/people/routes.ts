import {
  firstPersonSchema,
  joinSchema,
  newPersonSchema,
  personChangeSchema,
  signInSchema,
  takeOverSchema,
  type Session,
} from '@brisk/contracts/people';
import { stringifySetCookie } from 'cookie';
import type { Request, Response } from 'express';
import { apiRouter, type ApiRouter } from '../http/api-router.js';
import { bodyOf, jsonBody } from '../http/body.js';
import { perMinute, SIGN_INS_A_MINUTE } from '../http/limits.js';
import { ProblemError } from '../http/problem.js';
import type { ShopStore } from '../shop/shop-store.js';
import { DEVICE_COOKIE, leadsOnly, tokenIn, whoAsked } from './guard.js';
import * as docs from './openapi.js';
import type { DemoToTry } from '../settings.js';
import type { PeopleStore } from './people-store.js';
import { isSameCode } from './secrets.js';

const SMALL = '4kb';
/** As long as a browser keeps a cookie. */
const KEPT_S = 400 * 86_400;
const NOTICE = 'sign-in-notice';

/** How people are let in: from this machine alone, or from a network with a code that was said when the server started. */
export interface FrontDoor {
  readonly local: boolean;
  readonly firstCode: string;
  /** Whether the line is encrypted, so that the cookie is sent on no other. */
  readonly secure: boolean;
  /** What anybody may try, where the demo is served. */
  readonly demo?: DemoToTry;
}

/** Who is who: signing in and out, the people of the shop, its devices. */
export function peopleRoutes(
  people: PeopleStore,
  shop: ShopStore,
  { local, firstCode, secure, demo }: FrontDoor,
): ApiRouter {
  const api = apiRouter();
  const seldom = perMinute(SIGN_INS_A_MINUTE);

  const demoPeople = async () =>
    (await people.people()).flatMap(({ name, role, out }) => (out ? [] : [{ name, role }]));

  const sessionFor = async (token: string | undefined): Promise<Session> => {
    if (await people.isEmpty()) return { open: local, needsFirst: !local, here: [] };
    const who = await people.whoIs(token);
    const notice = (await shop.find<{ readonly words: string }>('sign-in-notice', NOTICE))?.document.words;
    return {
      open: false,
      needsFirst: false,
      here: who?.here ?? [],
      ...(who?.me ? { me: who.me } : {}),
      ...(notice === undefined ? {} : { notice }),
      ...(demo === undefined ? {} : { demo: { ...demo, people: await demoPeople() } }),
    };
  };
  const answer = async (response: Response, token: string | undefined, status = 200): Promise<void> => {
    if (token !== undefined)
      response.setHeader(
        'set-cookie',
        stringifySetCookie({
          name: DEVICE_COOKIE,
          value: token,
          httpOnly: true,
          sameSite: 'strict',
          path: '/',
          maxAge: KEPT_S,
          secure,
        }),
      );
    response.status(status).json(await sessionFor(token));
  };

  api.get('/session', docs.getSession, async (request, response) => {
    response.json(await sessionFor(tokenIn(request)));
  });

  api.post('/session', docs.postSession, seldom, ...jsonBody(SMALL), async (request, response) => {
    const said = bodyOf(signInSchema, request);
    await answer(response, await people.signIn(said, tokenIn(request), request.ip ?? ''));
  });

  api.delete('/session', docs.deleteSession, async (request, response) => {
    await people.leave(tokenIn(request));
    await answer(response, tokenIn(request));
  });

  api.post('/session/first', docs.postFirst, seldom, ...jsonBody(SMALL), async (request, response) => {
    const { notice, ...first } = bodyOf(firstPersonSchema, request);
    if (!local && !isSameCode(first.code ?? '', firstCode))
      throw new ProblemError(
        'sign-in',
        'That is not the code which the server said when it was started. Look at the window it was started in.',
      );
    const token = await people.first(first);
    if (notice !== undefined) await shop.keep('sign-in-notice', NOTICE, { revision: 0, document: { words: notice } });
    await answer(response, token, 201);
  });

  api.post('/session/join', docs.postJoin, seldom, ...jsonBody(SMALL), async (request, response) => {
    await answer(response, await people.join(bodyOf(joinSchema, request)));
  });

  api.post('/session/person', docs.postPerson, seldom, ...jsonBody(SMALL), async (request, response) => {
    const token = tokenIn(request);
    await people.takeOver(bodyOf(takeOverSchema, request), token);
    await answer(response, token);
  });

  api.get('/people', docs.getPeople, async (_request, response) => {
    response.json(await people.people());
  });

  api.post('/people', docs.postPeople, leadsOnly, ...jsonBody(SMALL), async (request, response) => {
    refuseBeforeFirst(await people.isEmpty());
    response.status(201).json(await people.add(bodyOf(newPersonSchema, request)));
  });

  api.put('/people/:person', docs.putPeopleOne, leadsOnly, ...jsonBody(SMALL), async (request, response) => {
    response.json(await people.change(idIn(request, 'person'), bodyOf(personChangeSchema, request)));
  });

  api.get('/devices', docs.getDevices, leadsOnly, async (_request, response) => {
    response.json(await people.devices(whoAsked(response)?.device ?? ''));
  });

  api.delete('/devices/:device', docs.deleteDevicesOne, leadsOnly, async (request, response) => {
    await people.putOut(idIn(request, 'device'));
    response.status(204).end();
  });

  api.post('/invitations', docs.postInvitations, leadsOnly, async (_request, response) => {
    refuseBeforeFirst(await people.isEmpty());
    response.status(201).json(people.invite());
  });

  return api;
}

function refuseBeforeFirst(empty: boolean): void {
  if (empty)
    throw new ProblemError('refused', 'The shop has no people yet. Make the first, who leads, and go on from there.');
}

function idIn(request: Request, name: string): string {
  return String(request.params[name]);
}
