import type { ForMachine } from './knowledge.js';

/** Machines that causes and tests are for, by what they burn, what cools them and what they drive through. */
export const PETROL: ForMachine = { burns: ['petrol-injected', 'carburettor'] };
export const INJECTED: ForMachine = { burns: ['petrol-injected'] };
export const CARBURETTOR: ForMachine = { burns: ['carburettor'] };
export const DIESEL: ForMachine = { burns: ['diesel-rail', 'diesel-mechanical'] };
export const RAIL: ForMachine = { burns: ['diesel-rail'] };
export const MECHANICAL: ForMachine = { burns: ['diesel-mechanical'] };
export const ELECTRONIC: ForMachine = { burns: ['petrol-injected', 'diesel-rail'] };
export const WATER: ForMachine = { cooled: 'coolant' };
export const MANUAL: ForMachine = { gearbox: 'manual' };
export const AUTOMATIC: ForMachine = { gearbox: 'automatic' };
