import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './say.mjs';

const folder = join(root, 'demo/larkmoor');
const photos = join(root, 'demo/photos');
const literature = join(root, 'demo/literature');

/**
 * Brings every bundle of the demo, its sample photos and literature, and the shop’s tools in through the API, as a person would. What has been worked on
 * since is left as it is. `cookie`: what the server knows the sender by, where it asks. Returns a line for each.
 */
export async function loadDemo(address, cookie) {
  const fetch = (path, { headers, ...how } = {}) =>
    globalThis.fetch(path, { ...how, headers: { ...headers, ...(cookie ? { cookie } : {}) } });
  const lines = [];
  for (const file of readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .sort()) {
    const answer = await fetch(`${address}/api/bundles`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: readFileSync(join(folder, file)),
    });
    const body = await answer.json();
    if (answer.ok) lines.push(`${body.title}: ${body.written} entries taken in`);
    else if (answer.status === 409) lines.push(`${file}: kept as it stands here`);
    else throw new Error(`${file}: ${body.detail}`);
  }
  const pictures = readdirSync(photos).filter((name) => name.endsWith('.jpg'));
  for (const name of pictures) {
    const answer = await fetch(`${address}/api/photos`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: readFileSync(join(photos, name)),
    });
    if (!answer.ok) throw new Error(`${name}: ${(await answer.json()).detail}`);
  }
  lines.push(`Sample photos: ${pictures.length}`);
  const files = readdirSync(literature);
  for (const name of files) {
    const answer = await fetch(`${address}/api/literature`, {
      method: 'POST',
      headers: { 'content-type': name.endsWith('.pdf') ? 'application/pdf' : 'text/plain' },
      body: readFileSync(join(literature, name)),
    });
    if (!answer.ok) throw new Error(`${name}: ${(await answer.json()).detail}`);
  }
  lines.push(`Sample literature: ${files.length}`);
  const document = JSON.parse(readFileSync(join(root, 'demo/tools.json'), 'utf8'));
  const kept = await (await fetch(`${address}/api/tools`)).json();
  if (kept.revision === 0) {
    const answer = await fetch(`${address}/api/tools`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ revision: 0, document }),
    });
    if (!answer.ok) throw new Error((await answer.json()).detail);
    lines.push(`Tools of the shop: ${document.tools.length}`);
  }
  const rack = JSON.parse(readFileSync(join(root, 'demo/wrenches.json'), 'utf8'));
  const hangs = await (await fetch(`${address}/api/torque-wrenches`)).json();
  if (hangs.revision === 0) {
    const answer = await fetch(`${address}/api/torque-wrenches`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ revision: 0, document: rack }),
    });
    if (!answer.ok) throw new Error((await answer.json()).detail);
    lines.push(`Torque wrenches of the shop: ${rack.wrenches.length}`);
  }
  return lines;
}
