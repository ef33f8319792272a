import { after, doing, onGround, top } from '../author.js';
import type { Piece } from '../template.js';

const nothingLive = [after('battery-negative', 'No spark at a terminal while fuel is open beside it.', 'safety')];

/** How fuel is made safe before any of it is opened: its pressure let down, or the way from the tank closed. */
export const fuelShut: Piece = {
  conditions: [
    {
      id: 'fuel-depressurised',
      name: 'Fuel pressure down',
      makeSafe: true,
      established: {
        by: 'step',
        access: nothingLive,
        step: doing('Let the fuel pressure down', onGround(top), [5, 10, 20], {
          tools: ['rags', 'fuel can', 'extinguisher'],
          cautions: ['fuel'],
          tip: 'Engine off and cold, then wait as the maker says: rail pressure stays for minutes.',
        }),
      },
    },
    {
      id: 'fuel-closed',
      name: 'Fuel closed off',
      makeSafe: true,
      established: {
        by: 'step',
        access: nothingLive,
        step: doing('Close the fuel, or clamp the hose to the tank', onGround(top), [2, 4, 8], {
          tools: ['clamp', 'rags', 'extinguisher'],
          cautions: ['fuel'],
          tip: 'Tap shut, cap of the tank opened once to let its pressure out.',
        }),
      },
    },
  ],
};
