import { behind, below, doing, top, type Where } from '../author.js';
import type { Condition } from '../../connection-map/index.js';

const UNDER_LOAD = ['under-load'] as const;

/** The engine hoist with the powerpack on it, from above. */
export const onTheHoist = (where: Where, needs: readonly string[] = ['bonnet']): Condition => ({
  id: 'powerpack-supported',
  name: 'Powerpack on the hoist',
  takesLoad: true,
  established: {
    by: 'step',
    access: needs.map((part) => behind(part, 'The hoist comes in over it.')),
    step: doing('Hook on and take the weight', where, [8, 15, 30], {
      hands: 2,
      tools: ['engine hoist', 'load leveller', 'rated slings'],
      cautions: UNDER_LOAD,
      tip: 'Both lifting eyes. Up until the mounts just unload, no more. The rating counts at this boom hole.',
    }),
  },
  released: doing('Let the hoist down and unhook', where, [3, 5, 10], {
    hands: 2,
    cautions: UNDER_LOAD,
    tip: 'Slowly; watch the mounts take the weight.',
  }),
});

/** A jack with a strap under the gearbox. */
export const gearboxOnJack: Condition = {
  id: 'gearbox-supported',
  name: 'Gearbox on the jack',
  takesLoad: true,
  fromBelow: true,
  carries: ['gearbox'],
  established: {
    by: 'step',
    access: [behind('undertray', 'The jack goes where the undertray is.')],
    step: doing('Put the transmission jack under the gearbox', below, [4, 8, 15], {
      tools: ['transmission jack', 'strap', 'wood block'],
      cautions: UNDER_LOAD,
      tip: 'Wood between jack and sump; strap over the gearbox.',
    }),
  },
  released: doing('Take the transmission jack away', below, [2, 3, 6], { cautions: UNDER_LOAD }),
};

/** The engine held from above while the gearbox leaves it. */
export const engineHeld: Condition = {
  id: 'engine-held',
  name: 'Engine held by the beam',
  takesLoad: true,
  carries: ['engine'],
  established: {
    by: 'step',
    access: [],
    step: doing('Lay the beam across and hang the engine on it', { ...top, height: 'raised' }, [6, 12, 25], {
      hands: 2,
      tools: ['engine beam', 'rated slings'],
      cautions: UNDER_LOAD,
      tip: 'Feet of the beam on the flanges of the wings, never on sheet. Hook snug, no lift.',
    }),
  },
  released: doing('Unhook the engine and take the beam away', { ...top, height: 'raised' }, [3, 5, 10], {
    cautions: UNDER_LOAD,
  }),
};

/** The rear of a heavy engine held from the frame while the gearbox leaves it. */
export const heavyEngineHeld: Condition = {
  ...engineHeld,
  name: 'Engine held from the frame',
  established: {
    by: 'step',
    access: [],
    step: doing(
      'Lay the bearer across the frame and hold the engine’s rear on it',
      { ...top, height: 'raised' },
      [10, 20, 40],
      {
        hands: 2,
        tools: ['engine bearer', 'rated slings'],
        cautions: UNDER_LOAD,
        tip: 'Feet on the frame rails, never on sheet or pipes. Hook snug, no lift.',
      },
    ),
  },
  released: doing('Unhook the engine and take the bearer away', { ...top, height: 'raised' }, [4, 8, 15], {
    cautions: UNDER_LOAD,
  }),
};

/** A dolly under the powerpack and the body held by lift or stands, for a powerpack that leaves below. */
export const onTheDolly: Condition = {
  id: 'powerpack-on-dolly',
  name: 'Powerpack on the dolly',
  takesLoad: true,
  fromBelow: true,
  established: {
    by: 'step',
    access: [behind('undertray', 'The dolly goes where the undertray is.')],
    step: doing('Run the dolly under and take the weight on blocks', below, [8, 15, 30], {
      hands: 2,
      tools: ['powerpack dolly', 'wood blocks', 'straps', 'stands'],
      cautions: UNDER_LOAD,
      tip: 'Blocks under sump rail and gearbox, never under the pan. Body on stands behind the doors.',
    }),
  },
  released: doing('Free the dolly and roll it out', below, [3, 6, 12], { cautions: UNDER_LOAD }),
};

/** A stand under the front of an engine whose gearbox leaves it from below, while the hoist holds it from above. */
export const engineOnStand: Condition = {
  id: 'engine-on-stand',
  name: 'Engine on the stand',
  takesLoad: true,
  fromBelow: true,
  carries: ['engine'],
  established: {
    by: 'step',
    access: [behind('undertray', 'The stand goes where the undertray is.')],
    step: doing('Set the stand under the front of the engine', below, [3, 6, 12], {
      tools: ['engine stand', 'wood block'],
      cautions: UNDER_LOAD,
      tip: 'Wood under the sump rail, never under the pan. The hoist alone must not hold it while the gearbox is drawn off.',
    }),
  },
  released: doing('Take the stand from under the engine', below, [2, 3, 6], { cautions: UNDER_LOAD }),
};
