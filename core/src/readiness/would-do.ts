import type { Connection } from '../connection-map/index.js';
import type { Harm } from './readiness.js';

/** What has the battery cut off while it is open, so that nothing behind it is live. */
const CUTS_OFF = /battery-(negative|positive)/;
/** What turns the starter over, and lets it. */
const TURNS_IT = /battery|starter|park-switch|clutch-switch/;
/** What fires it: without one of these there is no spark, or no fuel. */
const FIRES_IT = /crankshaft|crank-sensor|^coil|distributor|metering|stop-solenoid|pump-relay|fuel-pump|control-unit/;
const BRAKES = /servo|brake/;
/** What turns with the crank, or is turned by it, and flies where it is loose. */
const TURNS_ALONG = /flywheel|flexplate|converter|bell|pulley|timing|drive-clutch|gearbox-bolts|retarder|work-pump/;
const FLIES_OFF = /^fan-|^wheel|^hub-|lower-arm|axle|shaft|prop-|hand-brake|toe-link/;
const BELT = /belt/;

/** What an open joint would do if the key were turned now. */
export function wouldDo(connection: Connection): Harm {
  const { id, name, kind, system, circuit, carriesLoad } = connection;
  if (carriesLoad || system === 'mounts') return 'breaks';
  if (BRAKES.test(`${id} ${name}`)) return 'hurts';
  if (circuit !== undefined) return circuit.endsWith('oil') ? 'loses-oil' : 'loses-coolant';
  if (kind === 'clip') return 'looks';
  if (kind === 'ground') return 'will-not-crank';
  if (kind !== 'plug' && (FLIES_OFF.test(id) || system === 'steering')) return 'hurts';
  if (BELT.test(id)) return 'runs-badly';
  switch (system) {
    case 'fuel':
      return ofFuel(connection);
    case 'exhaust':
      return kind === 'plug' ? 'runs-badly' : 'burns';
    case 'driveline':
      // With its linkage off nobody knows what gear it stands in.
      return kind === 'linkage' || kind === 'cable' ? 'lurches' : TURNS_ALONG.test(id) ? 'breaks' : 'looks';
    case 'electrics':
      if (kind === 'cable' && !CUTS_OFF.test(id)) return 'shorts';
      return TURNS_IT.test(id) ? 'will-not-crank' : FIRES_IT.test(id) ? 'will-not-fire' : 'runs-badly';
    case 'air':
      return 'runs-badly';
    default:
      return kind === 'plug' ? 'runs-badly' : TURNS_ALONG.test(id) ? 'breaks' : 'looks';
  }
}

function ofFuel({ id, kind }: Connection): Harm {
  if (kind === 'hose' || kind === 'pipe' || /rail|pump|filter/.test(id))
    return kind === 'plug' ? 'will-not-fire' : 'sprays';
  return kind === 'strap' ? 'looks' : 'runs-badly';
}
