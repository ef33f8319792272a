/**
 * Ways out: every powerpack of a machine by every route it can leave by, with what each costs, side by side. The crew
 * decides; this only counts.
 */
import { partsById, waysOut, type ConnectionMap, type Powerpack, type Route } from '../connection-map/index.js';
import { runSheet, startOf } from '../ledger/index.js';
import { phasesOf, requirementsOf } from '../teardown/index.js';

/** One way out, in figures. */
export interface WayOut {
  readonly powerpack: Powerpack;
  readonly route: Route;
  /** Connections that tie the powerpack, and all that have to be opened for it. */
  readonly holding: number;
  readonly opened: number;
  /** Likely minutes of work out and back, one step after the other. */
  readonly minutesOut: number;
  readonly minutesBack: number;
  /** How often the machine is raised or let down, out and back. */
  readonly heightChanges: number;
  /** Fluids that are drained, by name, and how many litres usually run out in all. */
  readonly fluids: readonly string[];
  readonly litres: number;
  /** What comes off or out of the way besides the powerpack, by name. */
  readonly comesOff: readonly string[];
  /** Mass of the powerpack in kg, as far as the map knows it. */
  readonly massKg: number;
}

/** Every way out of `map`, quickest out and back first. Throws `MapError` where the map cannot be worked. */
export function waysCompared(map: ConnectionMap): readonly WayOut[] {
  const parts = partsById(map);
  return waysOut(map)
    .map(({ powerpack, route }): WayOut => {
      const plan = { map, powerpack: powerpack.id, route: route.id };
      const state = startOf(plan);
      const required = requirementsOf(plan);
      const out = runSheet(state, phasesOf('out'));
      const back = runSheet(state, phasesOf('back'));
      const drained = map.circuits.filter(({ id }) => required.drained.has(id));
      return {
        powerpack,
        route,
        holding: state.work.boundary.length,
        opened: required.opened.size,
        minutesOut: out.minutes.likely,
        minutesBack: back.minutes.likely,
        heightChanges: out.heightChanges + back.heightChanges,
        fluids: drained.map(({ name }) => name),
        litres: drained.reduce((sum, { drainsL }) => sum + drainsL, 0),
        comesOff: [...required.removed.keys()]
          .filter((id) => !required.lump.has(id))
          .map((id) => parts.get(id)?.name ?? id),
        massKg: [...required.lump].reduce((sum, id) => sum + (parts.get(id)?.massKg ?? 0), 0),
      };
    })
    .sort((one, other) => one.minutesOut + one.minutesBack - (other.minutesOut + other.minutesBack));
}
