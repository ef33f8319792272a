import type { Bundle, Spot } from '@brisk/core/bay';

/** Bundles whose marks would cover each other at this size, drawn as one. */
export interface Mark {
  readonly key: string;
  readonly at: Spot;
  readonly bundles: readonly Bundle[];
}

/**
 * The marks of `bundles` where none comes nearer to another than `apartMm`: those that would, share one. What `first`
 * says matters more gives the place.
 */
export function marksAtSize(
  bundles: readonly Bundle[],
  apartMm: number,
  first: (bundle: Bundle) => boolean = () => false,
): readonly Mark[] {
  const marks: { key: string; at: Spot; bundles: Bundle[] }[] = [];
  for (const bundle of [...bundles].sort((one, other) => Number(first(other)) - Number(first(one)))) {
    const near = marks.find(({ at }) => Math.hypot(at.u - bundle.at.u, at.v - bundle.at.v) < apartMm);
    if (near) near.bundles.push(bundle);
    else marks.push({ key: bundle.key, at: bundle.at, bundles: [bundle] });
  }
  return marks;
}
