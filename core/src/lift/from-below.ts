import { dolliesFor, supportsFor, type Dolly, type Held, type LiftingGear, type Support } from '../rigging/index.js';
import { extentOf } from '../shape/index.js';
import type { LiftLeg } from './legs.js';

/** How a powerpack leaves under a machine: how high the body has to come, and what carries it. */
export interface FromBelow {
  readonly massKg: number;
  /** From its lowest to its highest point, as it sits. */
  readonly heightMm: number;
  /** What it has to pass under on its way out, and how high that is with the machine on its wheels. */
  readonly under: { readonly name: string; readonly heightMm: number };
  /** What may carry it, and how far the body has to come up from its wheels for it to pass on that. */
  readonly carriers: readonly (Held<Dolly | Support> & { readonly bodyUpMm: number })[];
  /** The least of that over what is able to; without anything able, as if it lay on the floor. */
  readonly bodyUpMm: number;
}

/** What is kept free between powerpack and body, in mm. */
const MARGIN_MM = 60;

/**
 * How `leg` leaves from below, with `gear` held against it: the body has to come up by the height of what leaves, what
 * carries it and a margin, less the room that is under it already.
 */
export function fromBelow(leg: LiftLeg, gear: LiftingGear, raisedMm: number): FromBelow {
  const { massKg, moving, still, scene } = leg;
  const own = extentOf(moving.flatMap(({ solids }) => solids));
  const [low, high] = own?.z ?? [0, 0];
  const heightMm = high - low;
  const [rear, front] = own?.x ?? [0, 0];
  const across = own?.y ?? [0, 0];
  const passed = still
    .filter(({ extent: { x, y } }) => {
      const onTheWay = scene.out.towards === 'nose' ? x[1] > front : x[0] < rear;
      return onTheWay && y[0] < across[1] && y[1] > across[0];
    })
    .sort((one, other) => one.extent.z[0] - other.extent.z[0])[0];
  const under = { name: passed?.name ?? 'body', heightMm: passed?.extent.z[0] ?? low };
  const bodyUp = (deckMm: number) => Math.max(0, deckMm + heightMm + MARGIN_MM - under.heightMm);
  // A jack takes it where it sits on the raised machine, and lets it down as far as it goes.
  const carriers =
    leg.leg.by === 'dolly'
      ? dolliesFor(gear.dollies, massKg).map((held) => ({ ...held, bodyUpMm: bodyUp(held.gear.deckMm) }))
      : supportsFor(gear.jacks, { massKg, lowMm: low + raisedMm, highMm: low + raisedMm }).map((held) => ({
          ...held,
          bodyUpMm: bodyUp(held.gear.lowestMm),
        }));
  const able = carriers.filter(({ wrong }) => wrong.length === 0).map(({ bodyUpMm }) => bodyUpMm);
  return { massKg, heightMm, under, carriers, bodyUpMm: able.length > 0 ? Math.min(...able) : bodyUp(0) };
}
