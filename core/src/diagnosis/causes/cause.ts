import type { About, Cause, ForMachine, Signs } from '../knowledge.js';

/** Minutes of a look at what is at hand, and of what is not. */
const A_LOOK_MIN = 5;
const LOOK_MIN: Readonly<Record<string, number>> = {
  'belt-broken': 20,
  'timing-off': 30,
  'pump-timing': 30,
  'valve-or-ring': 40,
  'head-gasket': 45,
  'engine-stuck': 30,
  'starter-worn': 30,
  'starter-mesh': 25,
  'pump-dead': 30,
  'injector-dead': 30,
  'injector-leaks-off': 30,
  'needle-stuck': 15,
  'oil-strainer': 90,
  'thermostat-shut': 40,
  'thermostat-open': 40,
  'disc-reversed': 240,
  'disc-oiled': 240,
  'release-bearing': 240,
  'input-bearing': 240,
  'converter-not-home': 240,
  'rear-seal': 60,
  'front-seal': 20,
  'flywheel-loose': 30,
  balance: 60,
  // What is seen on a gauge or in a clear hose before anything is taken off.
  'metering-valve': 15,
  'rail-sensor': 15,
  'high-pressure-leak': 15,
  'air-in-fuel': 20,
  'battery-dead': 15,
  'pins-swapped': 30,
  'pin-back': 25,
};

/** Causes with which every turn on the key, or every second of running, breaks more. */
const STOP: Readonly<Record<string, string>> = {
  'timing-off': 'A tooth or two out, and valves meet pistons: by hand only, until every mark has been seen.',
  'belt-broken': 'Valves may stand in the way of pistons: by hand only, and it stops where it stops.',
  'converter-not-home': 'It grinds its pump to pieces: not another turn before the bell is off.',
  'flywheel-loose': 'It leaves through the bell: not another turn before every bolt has been seen.',
  'engine-dry': 'Bearings without oil last seconds: oil first, primed with the fuel off.',
  'gearbox-dry': 'Gears without oil seize: filled first, turned by hand.',
  'oil-not-primed': 'Bearings without pressure last seconds: primed with the fuel off first.',
  'oil-strainer': 'Bearings without pressure last seconds: level first, then the sump off.',
  'engine-stuck': 'What is in the way bends: plugs or injectors out, turned by hand.',
  'high-pressure-leak': 'It sprays through skin and burns: pressure off first, then one looks.',
};

/** What a gauge or a clear piece of hose tells of a rail before anything of it is taken off. */
const RAIL_FIRST = ['rail-pressure', 'bubbles'];
const LOOK_AFTER: Readonly<Record<string, readonly string[]>> = {
  'metering-valve': RAIL_FIRST,
  'rail-sensor': RAIL_FIRST,
  'high-pressure-leak': RAIL_FIRST,
  'injector-leaks-off': RAIL_FIRST,
  'disc-reversed': ['fork-travel', 'turns-free'],
};

/** Joints of one kind by the cylinders they serve: as many as any layout has. */
export const ofEveryCylinder = (row: string): readonly string[] =>
  Array.from({ length: MOST_CYLINDERS }, (_, index) => `${row}-${index + 1}`);
const MOST_CYLINDERS = 8;

/** One cause, on a line: what it is, how often it is, what it has to do with, how it shows, what is done about it. */
export const cause = (
  id: string,
  name: string,
  weight: number,
  about: About,
  signs: Signs,
  mend: string,
  only?: ForMachine,
): Cause => ({
  id,
  name,
  weight,
  about,
  signs,
  lookMin: LOOK_MIN[id] ?? A_LOOK_MIN,
  mend,
  ...(LOOK_AFTER[id] ? { lookAfter: LOOK_AFTER[id] } : {}),
  ...(STOP[id] === undefined ? {} : { stop: STOP[id] }),
  ...(only ? { for: only } : {}),
});

/** It turns over and never fires; it runs, but rough; it runs well and something else is wrong. */
export const NEVER_FIRES: Signs = { crank: { normal: 0.95 }, fires: { never: 0.85, dies: 0.12 } };
export const DIES: Signs = { crank: { normal: 0.95 }, fires: { dies: 0.65, never: 0.25 } };
export const ROUGH: Signs = { crank: { normal: 0.97 }, fires: { rough: 0.88, dies: 0.06 } };
export const RUNS: Signs = { crank: { normal: 0.97 }, fires: { well: 0.88, rough: 0.1 } };
