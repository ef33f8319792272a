import { after, chore, doing, inside, nose, onGround, top, waiting, type Time, type Where } from '../author.js';
import type { Condition, StepSpec } from '../../connection-map/index.js';
import type { Choices } from '../options.js';
import type { Optional, Piece } from '../template.js';

type Fuel = NonNullable<Choices['fuel']>;

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

/** Where pressure is let down: by its own pump, at a valve, on the low side of a rail that wants its wait. */
type Low = 'valve' | 'low-side';

const letDown = (low: Low, title: string, where: Where, tip: string, when: Optional<Condition>['when']) => ({
  ...fuelSafe(
    'fuel-depressurised',
    'Fuel pressure down',
    title,
    where,
    low === 'valve' ? [4, 8, 15] : [5, 10, 20],
    { tools: ['rags', 'drain tray', 'fuel can', 'extinguisher'], tip },
    { endedBy: 'prime-fuel' },
  ),
  ...(when ? { when } : {}),
});

/** By its own key, with the pump without current: what the engine burns does not spray. */
const BY_ITS_PUMP = ['petrol-port', 'single-point'] as const;
/** Hundreds of bar: nobody opens the high side. */
const BY_A_RAIL = ['petrol-direct', 'diesel-rail'] as const;

/** What comes before the pressure is let down: the rail’s own wait, or the engine run dry while the battery is still on. */
export const pressureFirst: Piece = {
  chores: [
    chore(
      'run-dry',
      'out',
      doing('Pump fuse or relay out, then run the engine until it dies', onGround(inside), [3, 6, 12], {
        tools: ['fuse puller', 'extinguisher'],
        cautions: ['exhaust-gas', 'fuel'],
        tip: 'Wheels chocked, out of gear, exhaust led outside, nobody at the bay. Once more on the key, two seconds. It does not run: say so and go on, it is let down at the valve. The fuse is tied to the key.',
        moves: ['crank'],
      }),
      {
        when: { fuel: [...BY_ITS_PUMP] },
        why: 'What is burnt does not spray.',
        where: { condition: 'fuel-depressurised' },
        after: [],
        before: [{ connection: 'battery-negative' }, { condition: 'fuel-depressurised' }],
      },
    ),
    chore(
      'rail-wait',
      'out',
      waiting('Let the rail pressure fall, as long as the maker says', nose, [5, 10, 30], { cautions: ['fuel'] }),
      {
        when: { fuel: [...BY_A_RAIL] },
        why: 'Hundreds of bar stay in the rail after the engine stands: a jet goes through skin.',
        where: { condition: 'fuel-depressurised' },
        after: [{ condition: 'battery-isolated' }],
        before: [{ condition: 'fuel-depressurised' }],
      },
    ),
  ],
};

/** The low side of a common rail let down at `where`, by `title`, once the rail has had its wait. */
export const railDown = (title: string, where: Where) =>
  letDown(
    'low-side',
    title,
    where,
    'Cap of the tank opened once. Rag round the joint, tray under it, eyes away. The high side stays shut: pipes and rail are not opened.',
    undefined,
  );

/** How the way from the tank is closed, and held where there is no tap. */
const HELD =
  'No tap: the hose is clamped, or the tank’s cap is shut and a light suction on it holds the flow while the joint is open. A tank that has to be empty is emptied by its own pump into a proper can, before the battery is off.';

const closed = (title: string, tip: string, fuel: readonly Fuel[]) => ({
  ...fuelSafe(
    'fuel-closed',
    'Fuel closed off',
    title,
    top,
    [3, 6, 12],
    { tools: ['clamp', 'rags', 'drain tray', 'fuel can', 'extinguisher'], tip: `${tip} ${HELD}` },
    opened('Open the fuel again, or take the clamp off', top),
  ),
  when: { fuel: [...fuel] },
});

/** How fuel is made safe before any of it is opened, by what it burns and how: its pressure let down, or its way closed. */
export const fuelShut: Piece = {
  chores: pressureFirst.chores ?? [],
  conditions: [
    letDown(
      'valve',
      'Let the rest of the fuel pressure down at the rail’s valve',
      top,
      'Cap of the tank opened once. Rag over the valve, tray under it, eyes away. No valve there: at the feed, rag round it, a turn at a time.',
      { fuel: ['petrol-port'] },
    ),
    letDown(
      'valve',
      'Let the rest of the fuel pressure down at the feed of the injector unit',
      top,
      'Cap of the tank opened once. Rag round the joint, tray under it, a turn at a time, eyes away.',
      { fuel: ['single-point'] },
    ),
    {
      ...railDown('Let the low side down at the feed of the high-pressure pump', top),
      when: { fuel: ['petrol-direct'] },
    },
    { ...railDown('Let the low side down at the fuel filter', top), when: { fuel: ['diesel-rail'] } },
    closed(
      'Close the fuel, then open the bleed screw of the filter to let it run empty',
      'Rag and tray under the filter. No pressure stays in it, but what is above runs out.',
      ['diesel-mechanical'],
    ),
    closed(
      'Close the fuel tap, then let the float bowl run out into a can',
      'Cap of the tank opened once. Tray under the bowl, no lamp and no spark near it.',
      ['carburettor'],
    ),
    // A hose at the tank is opened whatever the engine burns and how.
    closed('Close the fuel tap, or clamp the hose at the tank', 'Cap of the tank opened once. Rag and tray under it.', [
      ...BY_ITS_PUMP,
      ...BY_A_RAIL,
    ]),
  ],
};
