import type { ConnectionMap } from '../connection-map/index.js';

/** An id made of the words of `name` that nothing on `map` has yet. */
export function freshId(map: ConnectionMap, name: string): string {
  const plain =
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/^the /, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '')
      .slice(0, 60) || 'thing';
  const taken = new Set([...map.parts, ...map.connections].map(({ id }) => id));
  if (!taken.has(plain)) return plain;
  let number = 2;
  while (taken.has(`${plain}-${number}`)) number += 1;
  return `${plain}-${number}`;
}
