import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './say.mjs';

const folder = join(root, 'demo/larkmoor');
const photos = join(root, 'demo/photos');
const literature = join(root, 'demo/literature');

/** The day the stories of the demo were told on. */
const TOLD_ON = '2026-11-21';
const DAY_MS = 86_400_000;
const DAY_OR_MOMENT = /"(\d{4}-\d{2}-\d{2})(T[\d:.]+Z)?"/g;

/**
 * A bundle with its days counted from the day it is loaded, so that only what the story wants is overdue. The seal is that of the
 * days it was told with.
 */
function fromToday(text) {
  const today = new Date();
  const days = Math.round(
    (Date.UTC(today.getFullYear(), today.getMonth(), today.getDate()) - Date.parse(TOLD_ON)) / DAY_MS,
  );
  if (days === 0) return text;
  const { seal: _seal, ...bundle } = JSON.parse(text);
  return JSON.stringify(bundle).replace(DAY_OR_MOMENT, (all, day, time = '') => {
    const then = Date.parse(`${day}T00:00:00.000Z`);
    return Number.isNaN(then) ? all : `"${new Date(then + days * DAY_MS).toISOString().slice(0, 10)}${time}"`;
  });
}

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
      body: fromToday(readFileSync(join(folder, file), 'utf8')),
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
