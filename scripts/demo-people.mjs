import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './say.mjs';

/** Who is of the demo’s shop, and how they get in; all made up. */
export const DEMO_PEOPLE = JSON.parse(readFileSync(join(root, 'demo/people.json'), 'utf8'));

async function sent(address, path, body, cookie) {
  const answer = await fetch(`${address}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...(cookie ? { cookie } : {}) },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error((await answer.json()).detail);
  return answer.headers.getSetCookie()[0]?.split(';')[0];
}

/** Makes the people of the demo where the shop has none. `code`: what the server asks of the first on a network. */
export async function letDemoPeopleIn(address, code) {
  const { first, people, passphrase, pin, notice } = DEMO_PEOPLE;
  const { open, needsFirst } = await (await fetch(`${address}/api/session`)).json();
  if (!open && !needsFirst) return;
  const cookie = await sent(address, '/api/session/first', {
    name: first,
    passphrase,
    pin,
    notice,
    device: 'Loading the demo',
    ...(code ? { code } : {}),
  });
  for (const one of people) await sent(address, '/api/people', { ...one, passphrase, pin }, cookie);
  await leaveDemo(address, cookie);
}

/** The cookie of a device with the demo’s lead at it; nothing where nobody has to sign in. */
export async function demoCookie(address, device = 'Loading the demo') {
  const { open } = await (await fetch(`${address}/api/session`)).json();
  if (open) return undefined;
  const { first: name, passphrase } = DEMO_PEOPLE;
  return sent(address, '/api/session', { name, passphrase, device });
}

/** Takes that device out again, so that each loading leaves none behind. */
export async function leaveDemo(address, cookie) {
  if (cookie) await fetch(`${address}/api/session`, { method: 'DELETE', headers: { cookie } });
}
