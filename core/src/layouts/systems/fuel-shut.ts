import { after, doing, onGround, top, type Time, type Where } from '../author.js';
import type { Condition, StepSpec } from '../../connection-map/index.js';
import type { Piece } from '../template.js';

/** A condition of fuel that is brought about by one step, once nothing is live that could spark beside it. */
export function fuelSafe(
  id: string,
  name: string,
  title: string,
  where: Where,
  time: Time,
  { tools, tip }: Pick<StepSpec, 'tools' | 'tip'>,
  ends: Pick<Condition, 'released' | 'endedBy'>,
): Condition {
  return {
    id,
    name,
    makeSafe: true,
    established: {
      by: 'step',
      access: [after('battery-negative', 'No spark at a terminal while fuel is open beside it.', 'safety')],
      step: doing(title, onGround(where), time, { tools, cautions: ['fuel'], ...(tip === undefined ? {} : { tip }) }),
    },
    ...ends,
  };
}

/** What was closed or clamped is opened again by `title`, once every joint of fuel is closed. */
export const opened = (title: string, where: Where): Pick<Condition, 'released'> => ({
  released: doing(title, onGround(where), [2, 4, 8], {
    tools: ['rags', 'extinguisher'],
    cautions: ['fuel'],
    tip: 'Tap open or clamp off, the hose whole where the clamp sat. Then look at every fuel joint: dry, and still dry after five minutes.',
  }),
});

/** Pressure let down at `where`, by `title`. */
export const pressureDown = (title: string, where: Where): Condition =>
  fuelSafe(
    'fuel-depressurised',
    'Fuel pressure down',
    title,
    where,
    [5, 10, 20],
    {
      tools: ['rags', 'fuel can', 'extinguisher'],
      tip: 'Engine off and cold, then wait as the maker says: rail pressure stays for minutes.',
    },
    { endedBy: 'prime-fuel' },
  );

/** How fuel is made safe before any of it is opened: its pressure let down, or the way from the tank closed. */
export const fuelShut: Piece = {
  conditions: [
    pressureDown('Let the fuel pressure down', top),
    fuelSafe(
      'fuel-closed',
      'Fuel closed off',
      'Close the fuel, or clamp the hose to the tank',
      top,
      [2, 4, 8],
      {
        tools: ['clamp', 'rags', 'extinguisher'],
        tip: 'Tap shut, cap of the tank opened once to let its pressure out.',
      },
      opened('Open the fuel again, or take the clamp off', top),
    ),
  ],
};
