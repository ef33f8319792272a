import { fits, type Choices, type When } from './options.js';

/** Choices that cannot stand together, and why, in the crew's words. */
export interface Exclusion {
  readonly when: When;
  readonly why: string;
}

export const EXCLUSIONS: readonly Exclusion[] = [
  {
    when: { fuel: ['diesel-rail', 'diesel-mechanical'], canister: ['yes'] },
    why: 'Diesel gives off too little vapour to need a canister.',
  },
  { when: { fuel: ['carburettor'], throttle: ['electronic'] }, why: 'A carburettor is opened by a cable.' },
  {
    when: { fuel: ['diesel-mechanical'], throttle: ['electronic'] },
    why: 'A mechanical injection pump is worked by a cable.',
  },
  {
    when: { fuel: ['diesel-rail'], throttle: ['cable'] },
    why: 'A common-rail diesel takes its orders by wire; no cable reaches it.',
  },
  {
    when: { fuel: ['carburettor', 'single-point'], boost: ['turbo'] },
    why: 'No map of ours has a turbocharger before a carburettor or a single injector.',
  },
  {
    when: { fuel: ['carburettor', 'diesel-mechanical', 'single-point'], hybrid: ['yes'] },
    why: 'A high-voltage drive needs an engine that is run by a control unit.',
  },
  {
    when: { steering: ['hydraulic'], hybrid: ['yes'] },
    why: 'The engine of a hybrid stops while it drives, so the steering is not driven by it.',
  },
  {
    when: { fan: ['engine'], hybrid: ['yes'] },
    why: 'The engine of a hybrid stops while it drives, so its fan has a motor.',
  },
  {
    when: { clutch: ['hydraulic', 'cable'], hybrid: ['yes'] },
    why: 'The drive of a hybrid couples the engine by itself; no pedal does.',
  },
  {
    when: { clutch: ['none'], hybrid: ['no'] },
    why: 'Without a pedal and without a high-voltage drive it has an automatic gearbox: that is a layout of its own.',
  },
  { when: { voltage: ['24'], hybrid: ['yes'] }, why: 'No map of ours has a high-voltage drive beside 24 V.' },
];

/** Why `choices` cannot stand together; empty when they can. */
export function clashes(choices: Choices): readonly string[] {
  return EXCLUSIONS.filter(({ when }) => fits(when, choices)).map(({ why }) => why);
}
