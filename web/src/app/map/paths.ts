import type { Spot } from '@brisk/core/bay';

/** A closed outline as an SVG path. */
export function outlinePath(outline: readonly Spot[]): string {
  return `M${outline.map(({ u, v }) => `${round(u)} ${round(v)}`).join(' L')} Z`;
}

/** A hose’s way as an SVG path, its corners rounded. */
export function hosePath(way: readonly Spot[]): string {
  const [first, ...rest] = way;
  const last = rest.at(-1);
  if (!first || !last) return '';
  const bends = rest.slice(0, -1).map((spot, index) => {
    const next = rest[index + 1] ?? last;
    return `Q${round(spot.u)} ${round(spot.v)} ${round((spot.u + next.u) / 2)} ${round((spot.v + next.v) / 2)}`;
  });
  return `M${round(first.u)} ${round(first.v)} ${bends.join(' ')} L${round(last.u)} ${round(last.v)}`;
}

function round(mm: number): number {
  return Math.round(mm);
}
