import type { Connection } from '../connection-map/index.js';
import type { Harm } from './readiness.js';

/** What turns the starter over, and lets it. */
const TURNS_IT = /battery|starter|park-switch|clutch-switch/;
/** What fires it: without one of these there is no spark, or no fuel. */
const FIRES_IT =
  /crankshaft|crank-sensor|coil|distributor|metering|stop-solenoid|pump-relay|fuel-pump|control-unit|main/;
const BRAKES = /servo|brake/;
const OIL = /oil/;

/** What an open joint would do if the key were turned now. */
export function wouldDo({ id, name, kind, system, circuit, carriesLoad }: Connection): Harm {
  const called = `${id} ${name}`;
  if (carriesLoad || system === 'mounts') return 'breaks';
  if (BRAKES.test(called)) return 'hurts';
  if (system === 'fuel' && kind !== 'plug' && kind !== 'clip') return 'burns';
  if (circuit !== undefined && OIL.test(circuit)) return 'loses-oil';
  if (circuit !== undefined) return 'loses-coolant';
  if (kind === 'ground' || TURNS_IT.test(id)) return 'will-not-crank';
  if (system === 'driveline' && kind === 'shaft') return 'hurts';
  if (system === 'steering') return 'hurts';
  if (system === 'exhaust') return kind === 'plug' ? 'runs-badly' : 'burns';
  if (FIRES_IT.test(id)) return 'will-not-fire';
  if (system === 'air' || system === 'electrics' || kind === 'plug') return 'runs-badly';
  return system === 'driveline' ? 'breaks' : 'looks';
}
