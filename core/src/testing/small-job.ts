import type { JobPlan } from '../connection-map/index.js';
import { canApply, startOf, stopOf, type EntryBody, type JobState } from '../ledger/index.js';
import { recorder, workOn, write } from './crew.js';
import { smallPlan } from './small-map.js';

/** Entries of a made-up person, minute after minute. */
export const record = recorder();

/** Why `body` may not be written now, in words; empty where it may. */
export const refused = (state: JobState, body: EntryBody): string =>
  canApply(state, record(body))
    .map(({ words }) => words)
    .join(' ');

/** `state` with `bodies` written after it. */
export const then = (state: JobState, ...bodies: readonly EntryBody[]): JobState =>
  bodies.reduce((now, body) => write(now, record(body)), state);

/** The small job worked from its beginning until `stop`. */
export const until = (stop: (state: JobState) => boolean): JobState => workOn(startOf(smallPlan), record, stop).state;

/** A step is finished. */
export const done = (operation: string): EntryBody => ({ kind: 'operation-done', operation });

export const start = startOf(smallPlan);
/** The machine stripped and everything open, ready for the pre-lift hold point. */
export const stripped = until((state) => stopOf(state) === 'lift');
/** The powerpack out and set down. */
export const out = until((state) => stopOf(state) === 'bench');
/** Back in and ready for its pre-start hold point. */
export const refitted = until((state) => stopOf(state) === 'first-start');
export const running = until((state) => state.attempts.length > 0);

/** The same plan with nothing but the right mount needing the machine up. */
export function withConnectionsLow(plan: JobPlan): JobPlan {
  return {
    ...plan,
    map: {
      ...plan.map,
      connections: plan.map.connections.map((one) => (one.id === 'hose' ? { ...one, height: 'ground' } : one)),
      circuits: plan.map.circuits.map((circuit) => ({ ...circuit, drain: { ...circuit.drain, height: 'ground' } })),
    },
  };
}
