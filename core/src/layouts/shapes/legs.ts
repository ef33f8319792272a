import type { Leg } from '../../shape/index.js';

/** Up on a hoist with a leveller whose bar lies along the engine. */
export const upLengthwise: Leg = { exit: 'up', by: 'hoist', tiltDeg: [-12, 42] };
/** Up on a hoist with a leveller whose bar lies across the machine: it hardly tilts along it. */
export const upAcross: Leg = { exit: 'up', by: 'hoist', tiltDeg: [-9, 9] };
/** Level on a dolly while the body goes up. */
export const downWithTheBody: Leg = { exit: 'down', by: 'dolly', tiltDeg: [0, 0] };
/** Down on a jack with its strap. */
export const downOnAJack: Leg = { exit: 'down', by: 'jack', tiltDeg: [0, 14] };

/** So far a shaft reaches into the clutch, in mm. */
const SHAFT_MM = 130;
const SHORT_SHAFT_MM = 85;

/** The gearbox drawn off an engine that stays, then down. */
export const gearboxOffLengthwise: Leg = { ...downOnAJack, roots: ['gearbox'], drawOffMm: -SHAFT_MM };
export const gearboxOffAcross: Leg = { ...downOnAJack, roots: ['gearbox'], drawOffMm: -SHORT_SHAFT_MM };
/** The engine drawn off a gearbox that stays. */
export const engineOffLengthwise: Leg = { ...upLengthwise, roots: ['engine'], drawOffMm: SHAFT_MM };
export const engineOffAcross: Leg = { ...upAcross, roots: ['engine'], drawOffMm: SHORT_SHAFT_MM };

/** The ways out of a machine whose engine lies lengthwise with its gearbox in the tunnel. */
export const lengthwiseWays: Readonly<Record<string, readonly Leg[]>> = {
  top: [upLengthwise],
  'top-engine': [engineOffLengthwise],
  under: [gearboxOffLengthwise],
  split: [
    gearboxOffLengthwise,
    { ...upLengthwise, roots: ['engine'], between: { after: 'stand-away', before: 'stand-back' } },
  ],
};
