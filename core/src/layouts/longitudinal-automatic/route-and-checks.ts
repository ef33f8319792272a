import type { CheckStep, HoldPoint, Powerpack, Route } from '../../connection-map/index.js';
import { minutes, step } from '../author.js';

export const powerpacks: readonly Powerpack[] = [
  { id: 'engine-with-gearbox', name: 'Engine with gearbox', roots: ['engine', 'gearbox'] },
];

const lift = (id: string, title: string, tip: string, stage: readonly [number, number, number] = [2, 4, 8]) => ({
  id,
  ...step({
    title,
    tip,
    station: 'front',
    height: 'raised',
    hands: 2,
    tools: ['engine hoist', 'load leveller'],
    minutes: minutes(...stage),
    cautions: ['under-load'],
  }),
});

export const routes: readonly Route[] = [
  {
    id: 'top',
    name: 'Out of the top',
    blockedBy: [
      { part: 'bonnet', why: 'The hoist boom needs the space above.' },
      { part: 'slam-panel', why: 'The sump has to clear the nose.' },
      { part: 'radiator', why: 'The powerpack comes forward before it comes up.' },
      { part: 'strut-brace', why: 'It crosses the opening.' },
      { part: 'airbox', why: 'It stands in the way of the turbocharger.' },
      { part: 'expansion-bottle', why: 'The gearbox tail swings past it.' },
      { part: 'bulkhead-shield', why: 'The bell housing tears it on the way up.' },
      { part: 'downpipe', why: 'It would catch behind the bulkhead.' },
      { part: 'propshaft', why: 'The gearbox moves forward off it.' },
      { part: 'crossmember', why: 'The gearbox tail has to drop.' },
    ],
    supports: ['powerpack-supported', 'gearbox-supported'],
    liftSteps: [
      lift(
        'first-inch',
        'Raise 50 mm and look all round',
        'Left, right, below, behind. If the crane works harder, something is still on.',
      ),
      lift(
        'tail-down',
        'Tail down on the leveller, forward off the tunnel',
        'The gearbox tail drops as the nose comes up.',
        [4, 8, 20],
      ),
      lift(
        'clear-nose',
        'Raise over the nose',
        'A hand’s width at the cowl and at the nose; somebody watches each.',
        [4, 8, 20],
      ),
      lift('set-down', 'Roll clear and set down on the stand', 'Level first. The sump never carries it.', [4, 8, 15]),
    ],
    lowerSteps: [
      lift('over-nose', 'Over the nose, tail down', 'Converter seated and strapped before it moves.', [4, 8, 20]),
      lift(
        'into-tunnel',
        'Back into the tunnel and level out',
        'Loom, pumps and hoses tied out of the way; look at every step.',
        [5, 10, 25],
      ),
      lift('on-mounts', 'Lower until the mount holes line up', 'A bar in the hole, never a finger.', [4, 8, 20]),
    ],
  },
];

export const holdPoints: readonly HoldPoint[] = [
  {
    id: 'made-safe',
    name: 'Made safe',
    confirmations: [
      { id: 'chocked', words: 'Wheels chocked, park position, key out' },
      { id: 'extinguisher', words: 'Extinguisher within reach' },
      { id: 'lead-tied', words: 'Battery lead tied back' },
    ],
  },
  {
    id: 'pre-lift',
    name: 'Ready to lift',
    confirmations: [
      { id: 'rated', words: 'Hoist rated for this load at this boom hole' },
      { id: 'slings', words: 'Slings and eyes looked at, no damage' },
      { id: 'walked-round', words: 'Walked all round, above and below' },
      { id: 'nobody-under', words: 'Nobody under or beside it' },
    ],
  },
  {
    id: 'pre-lower',
    name: 'Ready to lower',
    confirmations: [
      { id: 'bay-clear', words: 'Loom, hoses and pumps tied out of the way' },
      { id: 'converter', words: 'Converter fully seated and held' },
      { id: 'rated', words: 'Hoist rated for this load at this boom hole' },
      { id: 'nobody-under', words: 'Nobody under or beside it' },
    ],
  },
  {
    id: 'pre-start',
    name: 'Ready to start',
    confirmations: [
      { id: 'tools-out', words: 'Tools and rags out of the bay, belt clear' },
      { id: 'extinguisher', words: 'Extinguisher within reach' },
      { id: 'exhaust-out', words: 'Exhaust led outside' },
      { id: 'chocked', words: 'Wheels chocked, out of gear' },
      { id: 'on-the-stick', words: 'Oil on the stick, coolant in the bottle' },
    ],
  },
];

export const checks: readonly CheckStep[] = [
  {
    id: 'prime-oil',
    when: 'before-start',
    ...step({
      title: 'Crank with the fuel off until oil pressure shows',
      station: 'cabin',
      height: 'ground',
      minutes: minutes(3, 6, 15),
      cautions: ['exhaust-gas'],
      tip: 'Bursts of ten seconds at most, half a minute between. No pressure: stop.',
    }),
  },
  {
    id: 'prime-fuel',
    when: 'before-start',
    ...step({
      title: 'Prime the fuel, look for leaks',
      station: 'bay-top',
      height: 'ground',
      minutes: minutes(3, 5, 12),
      cautions: ['fuel'],
      tip: 'Key on and off five times; the pump runs a few seconds each.',
    }),
  },
  {
    id: 'warm-up',
    when: 'after-start',
    ...step({
      title: 'Warm up and bleed the coolant',
      station: 'bay-top',
      height: 'ground',
      minutes: minutes(15, 25, 45),
      cautions: ['hot-coolant', 'exhaust-gas'],
      tip: 'Heater hot, funnel raised, until no bubbles. Stop for no oil pressure, knocking, fuel leak, overheating.',
    }),
  },
  {
    id: 'levels',
    when: 'after-start',
    ...step({
      title: 'Stop, let it stand, set oil and gearbox levels',
      station: 'bay-top',
      height: 'ground',
      minutes: minutes(5, 10, 20),
    }),
  },
  {
    id: 'leaks',
    when: 'after-start',
    ...step({
      title: 'Look underneath for leaks',
      station: 'underside',
      height: 'raised',
      minutes: minutes(3, 6, 12),
      cautions: ['stands'],
    }),
  },
  {
    id: 'test-run',
    when: 'handover',
    ...step({
      title: 'Short run through every gear',
      station: 'cabin',
      height: 'ground',
      minutes: minutes(10, 20, 40),
      tip: 'Brakes first: the servo hose was off.',
    }),
  },
  {
    id: 'heat-cycle',
    when: 'handover',
    ...step({
      title: 'After a heat cycle: re-check torque and levels',
      station: 'underside',
      height: 'raised',
      minutes: minutes(10, 20, 40),
      cautions: ['stands'],
    }),
  },
];
