import type { Connection } from '../connection-map/index.js';

/** What is looked at, listened for or pulled at when a joint goes together. */
export const LOOKS = ['click', 'pull', 'way', 'clip', 'rise', 'ring', 'grooves', 'caught'] as const;
export type Look = (typeof LOOKS)[number];

/** Each look as it is asked, and as it is said once it was good. */
export const LOOK_WORDS: Readonly<Record<Look, { readonly asked: string; readonly good: string }>> = {
  click: { asked: 'It clicked', good: 'clicked' },
  pull: { asked: 'Pulled hard: it stays', good: 'pulled' },
  way: { asked: 'By its mark: not twisted, not kinked, nothing rubs', good: 'lies right' },
  clip: { asked: 'Clip behind the bead, clear of what moves', good: 'clip seated' },
  rise: { asked: 'Rises all the way to where the air is let out', good: 'rises' },
  ring: { asked: 'New ring, wetted, and both faces clean', good: 'new ring' },
  grooves: { asked: 'By the drawing: every rib in its groove, the right way round', good: 'in its grooves' },
  caught: { asked: 'Snapped over its ring', good: 'snapped in' },
};

/** A look at one joint; `own` asks for a tick of its own, the others go with the key that says the joint is done. */
export interface AskedLook {
  readonly look: Look;
  readonly own: boolean;
}

/** What lets go under pressure, burns, or takes the brakes with it. */
const LETS_GO: ReadonlySet<Connection['system']> = new Set(['fuel', 'steering', 'refrigerant']);
const BRAKES = /servo|brake/;

/**
 * What is looked at when `connection` is closed, by what it is and what holds it: a push-on fitting is heard and pulled, a
 * hose lies by its mark with its clip seated, one with coolant rises, a pipe’s ring is new, a belt is in its grooves. None
 * for what is only bolted: that is torqued.
 */
export function looksAtClosing({ id, name, kind, system, circuit, fasteners }: Connection): readonly AskedLook[] {
  const heldBy = (words: RegExp) => fasteners.some(({ what }) => words.test(what));
  const pushedOn = fasteners.length === 0 || heldBy(/push fitting/);
  const grave = LETS_GO.has(system) || BRAKES.test(`${id} ${name}`) || heldBy(/push fitting/);
  switch (kind) {
    case 'plug':
      return [
        { look: 'click', own: false },
        { look: 'pull', own: false },
      ];
    case 'hose':
    case 'pipe': {
      if (pushedOn)
        return [
          { look: 'click', own: grave },
          { look: 'pull', own: grave },
        ];
      const ring: AskedLook = { look: 'ring', own: grave };
      if (heldBy(/union|banjo|\bM\d/)) return kind === 'pipe' ? [ring] : [{ look: 'way', own: false }, ring];
      return [
        { look: 'way', own: false },
        { look: 'clip', own: grave },
        ...(circuit === 'coolant' ? [{ look: 'rise', own: true } as const] : []),
      ];
    }
    case 'shaft':
      return pushedOn && circuit !== undefined
        ? [
            { look: 'caught', own: true },
            { look: 'pull', own: true },
          ]
        : [];
    case 'strap':
      return /belt/.test(id) ? [{ look: 'grooves', own: true }] : [];
    default:
      return [];
  }
}
