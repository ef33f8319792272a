import {
  MapError,
  type Caution,
  type Access,
  type Chore,
  type Circuit,
  type Condition,
  type Connection,
  type ConnectionMap,
  type Deed,
  type Part,
  type Renewal,
  type Route,
  type StepSpec,
} from '../connection-map/index.js';
import { HELD_BY } from '../fluids/index.js';
import { ARRANGEMENTS } from './cylinders.js';
import { clashes } from './exclusions.js';
import { fits, OPTION_IDS, OPTIONS, type Choices } from './options.js';
import type { Optional, Template } from './template.js';

/** Choices that a layout cannot have, or that cannot stand together; `message` says why. */
export class ChoiceError extends MapError {
  override readonly name = 'ChoiceError';
}

/**
 * The map of a machine of this layout with `choices`; what is not chosen is as usual. A connection is there when both
 * its ends are, and what would have to be out of the way first counts only where it is on the machine at all.
 * Throws {@link ChoiceError} for a choice the layout does not offer and for choices that cannot stand together, and
 * {@link MapError} where something needs what nothing on the map brings about.
 */
export function compose(template: Template, choices: Choices = {}): ConnectionMap {
  const chosen = completed(template, choices);
  const here = <Thing extends object>(things: readonly Optional<Thing>[]): readonly Thing[] =>
    things.filter(({ when }) => fits(when, chosen)).map(withoutWhen);
  const without = new Set(template.without);
  const all = <Thing extends { readonly id: string }>(things: readonly Optional<Thing>[]) =>
    here(things).filter(({ id }) => !without.has(id));

  const parts = all(template.pieces.flatMap((piece) => piece.parts ?? []));
  const partIds = new Set(parts.map(({ id }) => id));
  const connections = all(template.pieces.flatMap((piece) => piece.connections ?? []))
    .map((connection) => ({ ...connection, ...template.changes?.[connection.id] }))
    .filter(({ between }) => between.every((end) => partIds.has(end)));
  const conditions = all(template.pieces.flatMap((piece) => piece.conditions ?? []));
  const circuits = all(template.pieces.flatMap((piece) => piece.circuits ?? []));
  const chores = all(template.pieces.flatMap((piece) => piece.chores ?? []));
  const renewals = all(template.pieces.flatMap((piece) => piece.renewals ?? []))
    .map((renewal) => ({ ...renewal, ...template.renewalChanges?.[renewal.id] }))
    .filter(({ at }) => partIds.has(at));

  const present = {
    parts: partIds,
    connections: new Set(connections.map(({ id }) => id)),
    conditions: new Set(conditions.map(({ id }) => id)),
    circuits: new Set(circuits.map(({ id }) => id)),
  };
  const place = placing(template, present.circuits.has('coolant'));
  const reachedPast = (access: readonly Access[]) =>
    access.filter((need) => ('open' in need ? present.connections.has(need.open) : present.parts.has(need.removed)));
  /** What `of` needs, as long as something on this map brings it about: a need nobody meets would fall away unseen. */
  const inForce = (needs: readonly string[], of: string) => {
    const unmet = needs.find((need) => !present.conditions.has(need));
    if (unmet !== undefined)
      throw new MapError(`“${of}” needs “${unmet}”, and nothing on “${template.name}” brings that about.`);
    return needs;
  };

  const keptConnections = connections.map((connection): Connection => keptConnection(place(connection)));
  function keptConnection({ circuit, ...connection }: Connection): Connection {
    const { torque } = connection.refit;
    return {
      ...connection,
      ...(circuit !== undefined && present.circuits.has(circuit) ? { circuit } : {}),
      needs: inForce(connection.needs, connection.id),
      access: reachedPast(connection.access),
      refit: {
        ...connection.refit,
        ...(torque?.after
          ? { torque: { ...torque, after: torque.after.filter((other) => present.connections.has(other.connection)) } }
          : {}),
      },
    };
  }
  const routes = here(template.routes).map((route): Route => ({
    ...route,
    blockedBy: route.blockedBy.filter(({ part }) => present.parts.has(part)),
    ...(route.opensToo
      ? { opensToo: route.opensToo.filter(({ connection }) => present.connections.has(connection)) }
      : {}),
    liftSteps: route.liftSteps.map(place),
    lowerSteps: route.lowerSteps.map(place),
  }));
  const opened = new Set(keptConnections.flatMap(({ circuit }) => circuit ?? []));
  const keptCircuits = circuits
    // What a unit holds is there whether a joint opens it or not: another one comes without.
    .filter(({ id }) => opened.has(id) || partIds.has(HELD_BY[id]?.[0] ?? ''))
    .map(({ fillsLater, ...circuit }): Circuit => ({
      ...circuit,
      ...(fillsLater
        ? { fillsLater: fillsLater.filter(({ opened: by }) => by === undefined || present.connections.has(by)) }
        : {}),
      drain: {
        ...place(circuit.drain),
        needs: inForce(circuit.drain.needs, circuit.id),
        access: reachedPast(circuit.drain.access),
      },
      fill: place(circuit.fill),
    }));
  const needed = new Set([
    ...keptConnections.flatMap(({ needs }) => needs),
    ...keptCircuits.flatMap(({ drain }) => drain.needs),
    ...routes.flatMap(({ supports }) => supports),
  ]);
  const keptConditions = conditions
    .filter(({ id }) => needed.has(id))
    .map((condition): Condition => ({
      ...condition,
      established:
        condition.established.by === 'step'
          ? {
              by: 'step',
              step: place(condition.established.step),
              access: reachedPast(condition.established.access),
            }
          : condition.established,
      ...(condition.released ? { released: place(condition.released) } : {}),
    }));
  const lies = ARRANGEMENTS.find(({ choice }) => choice === chosen.cylinders);
  const isHere = (deed: Deed): boolean => {
    if ('connection' in deed) return present.connections.has(deed.connection);
    if ('undone' in deed) return present.connections.has(deed.undone) || present.parts.has(deed.undone);
    if ('renewal' in deed) return renewals.some(({ id }) => id === deed.renewal);
    if ('part' in deed) return present.parts.has(deed.part);
    if ('circuit' in deed) return keptCircuits.some(({ id }) => id === deed.circuit);
    if ('condition' in deed) return keptConditions.some(({ id }) => id === deed.condition);
    return 'holdPoint' in deed || chores.some(({ id }) => id === deed.chore);
  };
  const keptChores = chores
    .map((chore): Chore => ({
      ...place(chore),
      after: chore.after.filter(isHere),
      before: chore.before.filter(isHere),
    }))
    .filter(({ before }) => before.length > 0);
  return {
    layout: template.layout,
    name: template.name,
    bay: template.bay,
    ...(lies ? { cylinders: { count: lies.count, arranged: lies.arranged } } : {}),
    body: template.body,
    parts: parts.map((part) => keptPart({ ...part, ...template.partChanges?.[part.id] })),
    connections: keptConnections,
    conditions: keptConditions,
    circuits: keptCircuits,
    holdPoints: template.holdPoints,
    powerpacks: here(template.powerpacks),
    routes,
    checks: template.checks
      .filter((check) => fits(check.with, chosen))
      .map(({ with: _with, ...check }) => place(check)),
    ...(keptChores.length > 0 ? { chores: keptChores } : {}),
    ...(renewals.length > 0 ? { renewals: renewals.flatMap(keptRenewal) } : {}),
  };

  /** What there is to reach it past; where nothing of that is on the machine, it is not either. */
  function keptRenewal({ drains, reach, ...renewal }: Renewal): readonly Renewal[] {
    const here = reach.filter((need) => {
      if ('open' in need) return present.connections.has(need.open);
      if ('removed' in need) return partIds.has(need.removed);
      return 'parted' in need ? need.parted.every((part) => partIds.has(part)) : partIds.has(need.out);
    });
    if (reach.some((need) => !('out' in need)) && !here.some((need) => !('out' in need))) return [];
    return [
      {
        ...place(renewal),
        reach: here,
        ...(drains !== undefined && keptCircuits.some(({ id }) => id === drains) ? { drains } : {}),
      },
    ];
  }

  function keptPart({ ridesWith, removal, ...part }: Part): Part {
    return {
      ...part,
      ...(ridesWith !== undefined && partIds.has(ridesWith) ? { ridesWith } : {}),
      ...(removal ? { removal: place(removal) } : {}),
    };
  }
}

/** `choices` with what is usual for the rest. Throws {@link ChoiceError}. */
export function completed(template: Template, choices: Choices): Choices {
  for (const option of OPTION_IDS) {
    const choice = choices[option];
    if (choice === undefined) continue;
    const always = template.always[option];
    const offered = template.options.find((one) => one.option === option)?.choices ?? (always ? [always] : []);
    if (!offered.includes(choice))
      throw new ChoiceError(
        `${OPTIONS[option].question} “${choice}” is not among the answers for the layout “${template.name}”.`,
      );
  }
  let chosen: Choices = { ...template.always, ...choices };
  for (const { option, choices: offered } of template.options) {
    if (chosen[option] !== undefined) continue;
    const standing = offered.find((choice) => clashes({ ...chosen, [option]: choice }).length === 0);
    chosen = { ...chosen, [option]: standing ?? offered[0] };
  }
  const [clash] = clashes(chosen);
  if (clash !== undefined) throw new ChoiceError(clash);
  return chosen;
}

/** Puts a step where people stand on this layout. */
function placing({ stations, onItsWheels }: Template, hasCoolant: boolean) {
  const isHere = (caution: Caution) =>
    (caution !== 'stands' || !onItsWheels) && (caution !== 'hot-coolant' || hasCoolant);
  return <Step extends Pick<StepSpec, 'station' | 'height' | 'cautions'>>(step: Step): Step => ({
    ...step,
    station: stations?.[step.station] ?? step.station,
    cautions: step.cautions.filter(isHere),
    ...(onItsWheels ? { height: 'either' } : {}),
  });
}

function withoutWhen<Thing extends object>(optional: Optional<Thing>): Thing {
  if (!('when' in optional)) return optional;
  const thing = { ...optional };
  Reflect.deleteProperty(thing, 'when');
  return thing;
}
